using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Curating;
using VerdantSieve.Core.Tests.Sieving;
using Xunit;

namespace VerdantSieve.Core.Tests.Curating;

public class FloraMergeTests
{
    private static readonly Flora First = new MadeFlora()
        .States("bark", "grey red")
        .Measure("leaf")
        .Presence("odd")
        .Taxon("Aus primus", "bark: grey")
        .Taxon("Aus alter", "bark: red / leaf: 3–5 cm")
        .Flora;
    private static readonly Flora Second = new MadeFlora()
        .States("bark", "grey white")
        .States("gloss", "dull shiny")
        .States("odd", "yes no")
        .Taxon("Aus primus", "bark: white / gloss: dull / odd: yes")
        .Taxon("Bus novus", "bark: white / gloss: shiny")
        .Flora;

    [Fact]
    public void The_first_has_the_say_and_the_second_fills_what_it_leaves_open()
    {
        var (flora, kept) = FloraMerge.Of(First, Second, "both", "Both");
        Assert.Equal(["Aus alter", "Aus primus", "Bus novus"], flora.Taxa.Select(taxon => taxon.Name.Text));
        Assert.Equal(["grey", "red", "white"], ((StateCharacter)flora.Character("bark")).States.Select(state => state.Id));
        var primus = flora.FindTaxon("Aus primus")!;
        Assert.Equal("grey", ((StateScore)primus.Scores["bark"]).States[0].State);
        Assert.Equal("dull", ((StateScore)primus.Scores["gloss"]).States[0].State);
        Assert.False(primus.Scores.ContainsKey("odd"));
        Assert.Contains("Aus primus, bark: “grey” kept, not “white”.", kept);
        Assert.Contains(kept, line => line.Contains("odd is another kind of character"));
        Assert.Equal(["bark", "leaf", "odd", "gloss"], flora.Characters.Select(character => character.Id));
    }

    [Fact]
    public void A_flora_put_together_with_itself_is_itself()
    {
        var (flora, kept) = FloraMerge.Of(SmallFlora.Flora, SmallFlora.Flora, "both", "Both");
        Assert.Empty(kept);
        foreach (var (one, other) in SmallFlora.Flora.Taxa.Zip(flora.Taxa))
            Assert.Equal(Formats(one, SmallFlora.Flora), Formats(other, flora));

        static string Formats(Taxon taxon, Flora flora) => Core.Formats.TaxonWriter.Write(taxon, flora.Vocabulary);
    }
}
