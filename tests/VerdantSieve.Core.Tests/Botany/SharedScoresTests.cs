using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Formats;
using VerdantSieve.Core.Tests.Sieving;
using Xunit;

namespace VerdantSieve.Core.Tests.Botany;

public class SharedScoresTests
{
    private const string Genus = """
        genus: Quercus
        scores:
          foliage: broad
          lobe-tip: rounded
          pith: solid
        groups:
          red oaks:
            lobe-tip: bristle
        """;

    private const string Defaults = """
        scores:
          pith: hollow
          aerial-roots: never
        """;

    [Fact]
    public void A_taxon_takes_from_its_group_before_its_genus_and_from_both_before_what_is_given_for_all()
    {
        var flora = Read(Kind("alba", "white oaks", ""), Kind("rubra", "red oaks", ""), Kind("nigra", "red oaks", "lobe-tip: blunt"));
        var (alba, rubra, nigra) = (flora.FindTaxon("Quercus alba")!, flora.FindTaxon("Quercus rubra")!, flora.FindTaxon("Quercus nigra")!);
        Assert.Equal(("rounded", "bristle", "blunt"), (Chief(alba, "lobe-tip"), Chief(rubra, "lobe-tip"), Chief(nigra, "lobe-tip")));
        Assert.Equal("solid", Chief(alba, "pith"));
        Assert.Equal(0, ((PresenceScore)alba.Score("aerial-roots")!).Frequency);
        Assert.Equal(
            [ScoreBasis.Own, ScoreBasis.Shared, ScoreBasis.Shared, ScoreBasis.Default],
            [nigra.BasisOf("lobe-tip"), nigra.BasisOf("pith"), rubra.BasisOf("lobe-tip"), rubra.BasisOf("aerial-roots")]
        );
        Assert.Null(rubra.BasisOf("bark"));
    }

    [Fact]
    public void What_cannot_apply_to_a_taxon_is_not_taken()
    {
        var flora = Read(Kind("alba", "white oaks", "foliage: needle"));
        Assert.Equal("needle", Chief(flora.Taxa[0], "foliage"));
        Assert.Null(flora.Taxa[0].Score("lobe-tip"));
    }

    [Fact]
    public void A_hybrid_takes_from_its_parents_first()
    {
        var flora = Read(
            Kind("alba", "white oaks", "lobe-tip: blunt"),
            Kind("bicolor", "white oaks", "lobe-tip: blunt"),
            Kind("× jackiana", "white oaks", "", "hybrid-of: [Quercus alba, Quercus bicolor]")
        );
        var hybrid = flora.FindTaxon("Quercus × jackiana")!;
        Assert.Equal("blunt", Chief(hybrid, "lobe-tip"));
        Assert.Equal((ScoreBasis.Parents, ScoreBasis.Parents), (hybrid.BasisOf("lobe-tip"), hybrid.BasisOf("pith")));
    }

    [Fact]
    public void A_taxon_is_written_with_its_own_scores_and_its_genus_with_what_is_shared()
    {
        var flora = Read(Kind("nigra", "red oaks", "lobe-tip: blunt"));
        var text = TaxonWriter.Write(flora.Taxa[0], flora.Vocabulary);
        Assert.Contains("lobe-tip: blunt", text);
        Assert.DoesNotContain("pith", text);
        Assert.Equal(Genus, SharedNotation.Write("Quercus", flora.About.Shared, flora.Vocabulary).TrimEnd());
        Assert.Equal(Defaults, SharedNotation.WriteDefaults(flora.About.Shared[^1], flora.Vocabulary).TrimEnd());
    }

    [Fact]
    public void A_change_of_one_taxon_keeps_what_is_shared()
    {
        var flora = Read(Kind("alba", "white oaks", ""), Kind("rubra", "red oaks", ""));
        var changed = flora.With(flora.FindTaxon("Quercus alba")! with { Remember = "Pale bark." });
        Assert.Equal("solid", Chief(changed.FindTaxon("Quercus alba")!, "pith"));
        Assert.Empty(changed.FindTaxon("Quercus alba")!.OwnScores.Keys.Except(["habit"]));
    }

    [Theory]
    [InlineData("genus: Acer\nscores:\n  foliage: broad", "must be Acer/_genus.yaml")]
    [InlineData("genus: Quercus\nscores:\n  foliage: broadish", "has no state “broadish”")]
    [InlineData("genus: Quercus\nscore:\n  foliage: broad", "unknown key “score”")]
    public void What_is_wrong_with_a_genus_file_is_said(string text, string says) =>
        Assert.Contains(
            FloraReader.Read(About, Vocabulary, [Kind("alba", "white oaks", ""), new SourceFile("taxa/Quercus/_genus.yaml", text)]).Faults,
            fault => fault.Message.Contains(says)
        );

    [Fact]
    public void A_note_on_a_score_names_its_character()
    {
        var kind = Kind("alba", "white oaks", "", "notes:\n  pith: seen once");
        Assert.Equal("seen once", Read(kind).Taxa[0].Notes["pith"]);
        var wrong = FloraReader.Read(About, Vocabulary, [Kind("alba", "white oaks", "", "notes:\n  pits: seen once")]);
        Assert.Contains("unknown character “pits”; did you mean “pith”?", Assert.Single(wrong.Faults).Message);
    }

    private static string Chief(Taxon taxon, string character) => ((StateScore)taxon.Score(character)!).Chief;

    private static readonly SourceFile About = new("flora.yaml", "id: made\ntitle: Made\n");

    private static readonly SourceFile Vocabulary = new(
        "characters.yaml",
        """
        whole:
          foliage: {kind: nominal, label: foliage, question: "?", says: "{} foliage", states: {broad: broad |, needle: needle |}}
          lobe-tip:
            {kind: nominal, if: foliage=broad, label: tip, question: "?", states: {rounded: rounded |, bristle: bristle |, blunt: blunt |}}
          pith: {kind: nominal, label: pith, question: "?", says: "{}", states: {solid: solid |, hollow: hollow |}}
          aerial-roots: {kind: presence, label: roots, question: "?", says: roots}
          bark: {kind: nominal, label: bark, question: "?", says: "{}", states: {grey: grey |, red: red |}}
          habit: {kind: nominal, label: habit, question: "?", says: "{}", states: {tree: tree |, shrub: shrub |}}
        """
    );

    private static Flora Read(params SourceFile[] kinds) =>
        FloraReader
            .Read(
                About,
                Vocabulary,
                [.. kinds, new SourceFile("taxa/Quercus/_genus.yaml", Genus), new SourceFile("taxa/_defaults.yaml", Defaults)]
            )
            .Value;

    private static SourceFile Kind(string epithet, string group, string score, string field = "") =>
        new(
            $"taxa/Quercus/{epithet.Replace("× ", "")}.yaml",
            $"name: Quercus {epithet}\nauthority: not given\nfamily: Fagaceae\ngroup: {group}\ncommon-names: [oak]\nnative: [ORE]\n"
                + $"settings: [wild]\nprovenance: made up\n{field}\nscores:\n  habit: tree\n  {score}\n"
        );
}
