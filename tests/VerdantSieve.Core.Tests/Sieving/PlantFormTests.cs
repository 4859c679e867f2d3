using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Formats;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Sieving;
using Xunit;

namespace VerdantSieve.Core.Tests.Sieving;

public class PlantFormTests
{
    private static readonly PlantForm Purple = new("purple", new Dictionary<string, IReadOnlyList<string>> { ["leaf"] = ["purple"] }, 0.3);

    private static MadeFlora Made() =>
        new MadeFlora()
            .States("leaf", "green purple golden")
            .States("bud", "round long")
            .Taxon("Aus hortensis", "leaf: green / bud: round", t => t with { Forms = [Purple] })
            .Taxon("Aus sylvestris", "leaf: green / bud: long");

    private static SieveAnswer Ask(Setting? setting, string leaf = "purple") =>
        Made().Sieve().Ask(new Circumstances { Region = "ORE", Setting = setting }, Readings.Is("leaf", leaf), Readings.Is("bud", "round"));

    [Fact]
    public void A_form_is_met_where_plants_are_planted_less_where_that_is_not_said_and_not_in_the_wild()
    {
        // By how many times likelier purple leaves make it than golden ones, which it has in no form.
        double Purple(Setting? setting) =>
            Ask(setting).Of("Aus hortensis")
            / Ask(setting).NoneOfThese
            * Ask(setting, "golden").NoneOfThese
            / Ask(setting, "golden").Of("Aus hortensis");
        Assert.True(Purple(Setting.Planted) > 1.05 * Purple(null));
        Assert.True(Purple(null) > 1.05 * Purple(Setting.Wild));
    }

    [Fact]
    public void The_form_is_named_with_the_kind_where_the_readings_are_its_own()
    {
        Assert.Equal("a purple form of aus hortensis", Ask(Setting.Planted).Form?.Of(Made().Flora.FindTaxon("Aus hortensis")!));
        Assert.Null(Ask(Setting.Planted, "green").Form);
        Assert.Null(Ask(Setting.Wild).Form);
    }

    [Fact]
    public void A_score_with_its_forms_shares_what_planted_plants_show()
    {
        var flora = Made().Flora;
        var (taxon, leaf) = (flora.FindTaxon("Aus hortensis")!, (StateCharacter)flora.Character("leaf"));
        Assert.Equal(0.3, leaf.ShareOf(Shown(1), "purple"), 9);
        Assert.Equal(0.7, leaf.ShareOf(Shown(1), "green"), 9);
        Assert.Equal(0.15, leaf.ShareOf(Shown(0.5), "purple"), 9);
        Assert.Same(taxon.Score("leaf"), Shown(0));
        Assert.Same(taxon.Score("bud"), PlantForm.Overlaid(taxon, flora.Character("bud"), taxon.Score("bud"), 1));

        StateScore Shown(double part) => (StateScore)PlantForm.Overlaid(taxon, leaf, taxon.Score("leaf"), part)!;
    }

    [Fact]
    public void Beside_its_forms_the_state_that_is_written_first_is_still_the_usual_one()
    {
        var leaf = (StateCharacter)Made().Flora.Character("leaf");
        var ordered = leaf with { UsualFirst = true };
        var own = (StateScore)ScoreNotation.Parse("green, purple", leaf).Value;
        var taxon = Made().Flora.FindTaxon("Aus hortensis")! with { Forms = [Purple] };
        double Green(StateCharacter character) => character.ShareOf((StateScore)PlantForm.Overlaid(taxon, character, own, 1)!, "green");
        // 0.7 of the plants are no forms; of these five in eight are green where the order speaks, and half where it does not.
        Assert.Equal(0.7 * 1 / 1.6, Green(ordered), 9);
        Assert.Equal(0.7 / 2, Green(leaf), 9);
    }

    [Fact]
    public void A_form_is_a_part_of_the_planted_plants()
    {
        Assert.Throws<ArgumentOutOfRangeException>(() => new PlantForm("purple", Purple.Shows, 1));
    }

    [Theory]
    [InlineData("purple: leaf-colour=purple; 20 %", null)]
    [InlineData("purple: leaf-colour=mauve; 20 %", "“mauve”, which is no state of leaf-colour")]
    [InlineData("purple: leaf-hue=purple; 20 %", "“leaf-hue”, which is no character with states")]
    [InlineData("purple: leaf-colour=purple", "as leaf-colour=purple; 20 %")]
    [InlineData("purple: leaf-colour=purple; leaf-colour=yellow; 20 %", "once of each character")]
    [InlineData("purple: leaf-colour=purple; 120 %", "as leaf-colour=purple; 20 %")]
    public void Forms_are_written_as_they_are_read_and_what_is_wrong_is_said(string form, string? says)
    {
        var oak = SmallFlora.Flora.FindTaxon("Quercus garryana")!;
        var text = TaxonWriter.Write(oak, SmallFlora.Flora.Vocabulary).Replace("provenance:", $"forms:\n  {form}\nprovenance:");
        var read = FloraReader.ReadTaxon(new SourceFile("taxa/Quercus/garryana.yaml", text), SmallFlora.Flora);
        if (says is null)
            Assert.Equal(text, TaxonWriter.Write(read.Value, SmallFlora.Flora.Vocabulary));
        else
            Assert.Contains(says, Assert.Single(read.Faults).Message);
    }
}
