using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Formats;
using Xunit;

namespace VerdantSieve.Core.Tests.Formats;

public class FloraReaderTests
{
    private const string About = "id: test\ntitle: A test\n";

    private const string Vocabulary = """
        foliage:
          foliage:
            kind: nominal
            question: Broad or needle?
            states: {broad: "broad", needle: "needle"}
        leaf-size:
          blade-length:
            kind: measure
            unit: cm
            if: foliage=broad
            question: How long?
        lobes:
          lobe-count:
            kind: count
            if: foliage=broad
            question: How many?
        """;

    private const string Good = """
        name: Acer testii
        authority: Tester
        family: Sapindaceae
        common-names: [test maple]
        synonyms: [Acer oldnameum]
        native: [ORE]
        introduced: []
        settings: [wild]
        abundance: common
        provenance: from memory
        scores:
          foliage: broad
          blade-length: 5–9 cm
        """;

    [Fact]
    public void A_sound_flora_is_read()
    {
        var reading = Read(("Acer/testii", Good));
        Assert.Empty(reading.Faults);
        Assert.Equal("Acer testii", reading.Value.FindTaxon("acer  oldnameum")!.Name.Text);
    }

    [Fact]
    public void A_hybrid_has_the_marks_of_its_parents_and_a_species_is_found_by_its_variety()
    {
        var flora = Read(
            ("Acer/testii-testii", Good.Replace("Acer testii", "Acer testii var. testii")),
            (
                "Acer/other",
                Good.Replace("Acer testii", "Acer other").Replace("[Acer oldnameum]", "[]").Replace("5–9 cm", "(7–)8–12(–14) cm")
            ),
            (
                "Acer/mixtum",
                "name: Acer × mixtum\nauthority: T\nfamily: Sapindaceae\ncommon-names: [mixed maple]\nhybrid-of: [Acer testii "
                    + "var. testii, Acer other]\nsettings: [wild]\nprovenance: from memory\n"
            )
        ).Value;
        Assert.Equal(new RangeScore(5, 6, 10, 14), flora.FindTaxon("Acer x mixtum")!.Scores["blade-length"]);
        Assert.Equal("Acer testii var. testii", flora.FindTaxon("Acer testii")!.Name.Text);
    }

    [Fact]
    public void A_counted_share_and_what_is_said_of_a_character_are_read()
    {
        var vocabulary = Vocabulary.Replace(
            "question: Broad or needle?",
            "question: Broad or needle?\n    counts: 50 %\n    correlated: kind 30 %\n    planted: needle 25 %\n    one-sided: true"
        );
        var flora = FloraReader
            .Read(
                new SourceFile("flora.yaml", About),
                new SourceFile("characters.yaml", vocabulary),
                [new SourceFile("taxa/Acer/testii.yaml", Good.Replace("foliage: broad", "foliage: broad, 12% needle"))]
            )
            .Value;
        var foliage = (StateCharacter)flora.Character("foliage");
        Assert.Equal(
            (0.5, new Correlation("kind", 0.3), new GardenForm("needle", 0.25), true),
            (foliage.Weight, foliage.Correlation, foliage.GardenForm, foliage.OneSided)
        );
        Assert.Equal(0.12, ((StateScore)flora.Taxa[0].Scores["foliage"]).States[1].Weight, 12);
    }

    [Theory]
    [InlineData("counts: 0 %", "above 0")]
    [InlineData("correlated: kind", "takes a share")]
    [InlineData("planted: scaly 25 %", "must name a state")]
    public void Faults_of_a_character_are_named(string line, string says)
    {
        var vocabulary = Vocabulary.Replace("question: Broad or needle?", $"question: Broad or needle?\n    {line}");
        var reading = FloraReader.Read(
            new SourceFile("flora.yaml", About),
            new SourceFile("characters.yaml", vocabulary),
            [new SourceFile("taxa/Acer/testii.yaml", Good)]
        );
        Assert.Contains(says, Assert.Single(reading.Faults).Message);
    }

    [Theory]
    [InlineData("hybrid-of: [Acer testii, Acer nosuch]", "parent “Acer nosuch”")]
    [InlineData("hybrid-of: [Acer testii]", "names the two parents")]
    [InlineData("aggregate: Acer testii agg.", "does not stand under “aggregates”")]
    public void Kin_that_is_not_there_is_a_fault(string line, string says) =>
        Assert.Contains(
            Read(("Acer/testii", Good.Replace("settings: [wild]", "settings: [wild]\n" + line))).Faults,
            fault => fault.Message.Contains(says)
        );

    [Fact]
    public void A_genus_said_to_be_near_alike_must_be_there() =>
        Assert.Contains(
            FloraReader
                .Read(
                    new SourceFile("flora.yaml", About + "near-alike:\n  Salix: Willows are.\n"),
                    new SourceFile("characters.yaml", Vocabulary),
                    [new SourceFile("taxa/Acer/testii.yaml", Good)]
                )
                .Faults,
            fault => fault.Message.Contains("Salix")
        );

    [Theory]
    [InlineData("foliage: broad", "folige: broad", 12, "did you mean “foliage”")]
    [InlineData("foliage: broad", "foliage: broadish", 12, "no state “broadish”")]
    [InlineData("5–9 cm", "9–5 cm", 13, "inverted")]
    [InlineData("5–9 cm", "5–9 m", 13, "unit")]
    [InlineData("foliage: broad", "foliage: needle", 13, "cannot apply")]
    [InlineData("[ORE]", "[OREGON]", 6, "level 3 code")]
    [InlineData("abundance: common", "abundance: plentiful", 9, "plentiful")]
    [InlineData("provenance: from memory\n", "", 1, "provenance")]
    [InlineData("authority: Tester", "authority: Tester\nflower: red", 3, "flower")]
    public void A_fault_is_named_with_its_line(string what, string instead, int line, string says)
    {
        var reading = Read(("Acer/testii", Good.Replace(what, instead)));
        Assert.NotEmpty(reading.Faults);
        var fault = Assert.Single(reading.Faults);
        Assert.Equal("taxa/Acer/testii.yaml", fault.At);
        Assert.Contains(says, fault.Message);
        Assert.Equal(line, fault.Line);
    }

    [Fact]
    public void All_faults_come_at_once()
    {
        var reading = Read(
            ("Acer/testii", Good.Replace("foliage: broad", "folige: broad").Replace("5–9 cm", "9–5 cm").Replace("[ORE]", "[XXX]")),
            ("Acer/other", "name: Acer other\n")
        );
        Assert.Equal(3, reading.Faults.Count(fault => fault.At.EndsWith("testii.yaml")));
        Assert.Contains(reading.Faults, fault => fault.At.EndsWith("other.yaml"));
    }

    [Fact]
    public void A_name_may_stand_once_only()
    {
        var reading = Read(
            ("Acer/testii", Good),
            ("Acer/oldnameum", Good.Replace("Acer testii", "Acer oldnameum").Replace("synonyms: [Acer oldnameum]", "synonyms: []"))
        );
        Assert.Contains(reading.Faults, fault => fault.Message.Contains("already"));
    }

    [Fact]
    public void Broken_YAML_is_a_fault_with_a_line_and_no_crash()
    {
        var fault = Assert.Single(Read(("Acer/testii", "name: [unclosed\nfamily: x")).Faults);
        Assert.True(fault.Line >= 1);
    }

    [Fact]
    public void A_condition_that_comes_back_to_itself_is_a_fault_and_no_endless_loop()
    {
        var vocabulary =
            Vocabulary.Replace("question: Broad or needle?", "question: Broad or needle?\n    if: lobe-shape=a")
            + "\n  lobe-shape:\n    kind: nominal\n    if: foliage=broad\n    question: What?\n    states: {a: \"a\", b: \"b\"}\n";
        var reading = FloraReader.Read(
            new SourceFile("flora.yaml", About),
            new SourceFile("characters.yaml", vocabulary),
            [new SourceFile("taxa/Acer/testii.yaml", Good)]
        );
        Assert.Contains(reading.Faults, fault => fault.Message.Contains("depends on itself"));
    }

    private static Outcome<Flora> Read(params (string Path, string Text)[] taxa) =>
        FloraReader.Read(
            new SourceFile("flora.yaml", About),
            new SourceFile("characters.yaml", Vocabulary),
            taxa.Select(file => new SourceFile($"taxa/{file.Path}.yaml", file.Text))
        );
}
