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
        Assert.Equal("Acer testii", reading.Flora!.FindTaxon("acer  oldnameum")!.Name.Text);
    }

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
        Assert.Null(reading.Flora);
        var fault = Assert.Single(reading.Faults);
        Assert.Equal("taxa/Acer/testii.yaml", fault.File);
        Assert.Contains(says, fault.Message);
        Assert.Equal(line, fault.Line);
    }

    [Fact]
    public void All_faults_come_at_once()
    {
        var reading = Read(("Acer/testii", Good.Replace("foliage: broad", "folige: broad").Replace("5–9 cm", "9–5 cm").Replace("[ORE]", "[XXX]")), ("Acer/other", "name: Acer other\n"));
        Assert.Equal(3, reading.Faults.Count(fault => fault.File.EndsWith("testii.yaml")));
        Assert.Contains(reading.Faults, fault => fault.File.EndsWith("other.yaml"));
    }

    [Fact]
    public void A_name_may_stand_once_only()
    {
        var reading = Read(("Acer/testii", Good), ("Acer/oldnameum", Good.Replace("Acer testii", "Acer oldnameum").Replace("synonyms: [Acer oldnameum]", "synonyms: []")));
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
        var vocabulary = Vocabulary.Replace("question: Broad or needle?", "question: Broad or needle?\n    if: lobe-shape=a") + "\n  lobe-shape:\n    kind: nominal\n    if: foliage=broad\n    question: What?\n    states: {a: \"a\", b: \"b\"}\n";
        var reading = FloraReader.Read(new SourceFile("flora.yaml", About), new SourceFile("characters.yaml", vocabulary), [new SourceFile("taxa/Acer/testii.yaml", Good)]);
        Assert.Contains(reading.Faults, fault => fault.Message.Contains("depends on itself"));
    }

    private static FloraReading Read(params (string Path, string Text)[] taxa) => FloraReader.Read(new SourceFile("flora.yaml", About),
        new SourceFile("characters.yaml", Vocabulary), taxa.Select(file => new SourceFile($"taxa/{file.Path}.yaml", file.Text)));
}
