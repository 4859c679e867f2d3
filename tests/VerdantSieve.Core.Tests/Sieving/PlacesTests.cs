using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Formats;
using VerdantSieve.Core.Measuring;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Sieving;
using Xunit;

namespace VerdantSieve.Core.Tests.Sieving;

/// <summary>Several readings of one thing, each with its place; tallies; and plants held against others.</summary>
public class PlacesTests
{
    private static MadeFlora Barks() =>
        new MadeFlora()
            .States("bark", "smooth blocks plates", c => c with { Part = "bark", Variety = true })
            .Measure(CharacterIds.TrunkThickness)
            .Taxon("Aus scaber", "bark: blocks; limbs: smooth; young: smooth")
            .Taxon("Bus totus", "bark: blocks")
            .Taxon("Cus levis", "bark: smooth");

    private static Reading Bark(string state, PlantPlace? on) => Readings.Is("bark", state, Certainty.Sure) with { On = on };

    [Fact]
    public void Bark_of_the_trunk_and_of_the_limbs_stand_together()
    {
        var sieve = Barks().Sieve();
        var answer = sieve.Ask(Bark("blocks", PlantPlace.Trunk), Bark("smooth", PlantPlace.Limb));
        Assert.Equal("Aus scaber", answer.Candidates[0].Taxon.Name.Text);
        Assert.Empty(answer.Candidates[0].Held);
        // A score that names no place is about the trunk: elsewhere it holds nothing, and says less.
        Assert.Empty(answer.Candidates.Single(c => c.Taxon.Name.Text == "Bus totus").Held);
        Assert.Equal(["bark"], answer.Candidates.Single(c => c.Taxon.Name.Text == "Cus levis").Held);
        // On the same place the second reading would contradict the first, and only one counts.
        var same = sieve.Ask(Bark("blocks", PlantPlace.Trunk), Bark("smooth", PlantPlace.Trunk));
        Assert.Equal(sieve.Ask(Bark("blocks", PlantPlace.Trunk)).Of("Bus totus"), same.Of("Bus totus"), 12);
    }

    [Fact]
    public void The_limbs_of_a_kind_scored_for_them_are_held_by_what_they_do_not_show()
    {
        var answer = Barks().Sieve().Ask(Bark("blocks", PlantPlace.Limb));
        Assert.Equal(["bark"], answer.Candidates.Single(c => c.Taxon.Name.Text == "Aus scaber").Held);
        Assert.True(answer.Of("Bus totus") > 2 * answer.Of("Aus scaber"));
    }

    [Fact]
    public void A_thin_trunk_has_the_bark_of_young_stems()
    {
        var thin = new Reading(CharacterIds.TrunkThickness, new Measured(6, 6, 1), Certainty.Sure);
        var thick = new Reading(CharacterIds.TrunkThickness, new Measured(40, 40, 1), Certainty.Sure);
        var sieve = Barks().Sieve();
        Assert.True(sieve.Ask(Bark("smooth", null), thin).Of("Aus scaber") > 4 * sieve.Ask(Bark("smooth", null), thick).Of("Aus scaber"));
    }

    [Fact]
    public void A_score_by_place_is_written_as_it_is_read()
    {
        var flora = Barks().Flora;
        var score = flora.FindTaxon("Aus scaber")!.Scores["bark"];
        Assert.Equal("blocks; limb: smooth; young: smooth", ScoreNotation.Format(new Scored(flora.Character("bark"), score)));
        Assert.Equal("blocks; on the limbs smooth; on young stems smooth", Wording.Of(new Scored(flora.Character("bark"), score)));
        Assert.Contains("nor a place on a plant", ScoreNotation.Parse("blocks; roof: smooth", flora.Character("bark")).Faults[0].Message);
        Assert.NotEqual(score, ScoreNotation.Parse("blocks; limb: smooth", flora.Character("bark")).Value);
    }

    [Fact]
    public void The_desk_reads_place_and_day_and_says_what_is_allowed()
    {
        var flora = Barks().Flora;
        var raw = new RawReading("bark")
        {
            States = ["smooth"],
            On = "limb",
            Date = "2026-05-03",
        };
        var reading = ReadingDesk.Check(raw, flora).Value;
        Assert.Equal((PlantPlace.Limb, 3), (reading.On!.Value, reading.Day!.Value.Day));
        Assert.Equal(reading, ReadingDesk.Check(RawReading.From(reading), flora).Value);
        Assert.Equal("bark smooth on the limbs", Wording.Of(reading, flora));
        Assert.Equal(Origin.Sucker, ReadingDesk.Check(raw with { On = "sucker" }, flora).Value.Origin);
        Assert.Equal("on", ReadingDesk.Check(raw with { On = "roof" }, flora).Faults[0].At);
        Assert.Equal("date", ReadingDesk.Check(raw with { Date = "3 May" }, flora).Faults[0].At);
    }

    private static MadeFlora Counts() =>
        new MadeFlora()
            .Count("needles")
            .States("lobes", "none one-sided palmate", c => c with { Variety = true })
            .Taxon("Aus tres", "needles: 3 / lobes: palmate")
            .Taxon("Bus mixtus", "needles: 2–3 / lobes: none, one-sided, palmate")
            .Taxon("Cus bini", "needles: 2 / lobes: none");

    private static Reading Tally(string character, params (string What, int Leaves)[] lines) =>
        ReadingDesk
            .Check(
                new RawReading(character) { Tally = lines.ToDictionary(line => line.What, line => line.Leaves), Certainty = "sure" },
                Counts().Flora
            )
            .Value;

    [Fact]
    public void Two_and_three_together_is_another_reading_than_always_three()
    {
        var sieve = Counts().Sieve();
        Assert.Equal("Bus mixtus", sieve.Ask(Tally("needles", ("2", 4), ("3", 6))).Candidates[0].Taxon.Name.Text);
        var always = sieve.Ask(Tally("needles", ("3", 10)));
        Assert.Equal("Aus tres", always.Candidates[0].Taxon.Name.Text);
        Assert.True(always.Of("Bus mixtus") > always.Of("Cus bini"));
        Assert.Equal(["needles"], always.Candidates.Single(c => c.Taxon.Name.Text == "Cus bini").Held);
    }

    [Fact]
    public void Nearly_all_of_one_form_and_a_single_other_is_one_positive_fact()
    {
        var sieve = Counts().Sieve();
        var mitten = sieve.Ask(Tally("lobes", ("palmate", 7), ("one-sided", 1)));
        Assert.Equal("Bus mixtus", mitten.Candidates[0].Taxon.Name.Text);
        // An odd leaf holds nothing; two of eight do.
        Assert.Empty(mitten.Candidates.Single(c => c.Taxon.Name.Text == "Aus tres").Held);
        Assert.Equal(
            ["lobes"],
            sieve.Ask(Tally("lobes", ("palmate", 6), ("one-sided", 2))).Candidates.Single(c => c.Taxon.Name.Text == "Aus tres").Held
        );
    }

    [Theory, InlineData("seven", 3, "tally.seven"), InlineData("palmate", 0, "tally.palmate"), InlineData("palmate", 1001, "tally")]
    public void A_tally_that_counts_nothing_is_refused_at_its_field(string what, int leaves, string field)
    {
        var raw = new RawReading("lobes") { Tally = new Dictionary<string, int> { [what] = leaves } };
        Assert.Equal(field, ReadingDesk.Check(raw, Counts().Flora).Faults[0].At);
    }

    private static MadeFlora Leaves() =>
        new MadeFlora()
            .Measure("width")
            .States("twig", "slender medium stout", c => c with { Ordered = true, Part = "twig" })
            .States("colour", "green red")
            .Count("veins")
            .Taxon("Aus angustus", "width: 1–2 cm / twig: slender / colour: green / veins: 4–6")
            .Taxon("Bus medius", "width: 4–5 cm / twig: medium / colour: green / veins: 9–11")
            .Taxon("Cus latus", "width: 9–12 cm / twig: stout / colour: red / veins: 15–18")
            .Taxon("Dus ignotus", "colour: red");

    [Theory]
    [InlineData("width", "less", "Aus angustus", "Cus latus")]
    [InlineData("width", "more", "Cus latus", "Aus angustus")]
    [InlineData("width", "alike", "Bus medius", "Cus latus")]
    [InlineData("twig", "less", "Aus angustus", "Cus latus")]
    [InlineData("twig", "more", "Cus latus", "Aus angustus")]
    [InlineData("twig", "alike", "Bus medius", "Aus angustus")]
    [InlineData("veins", "less", "Aus angustus", "Cus latus")]
    [InlineData("veins", "more", "Cus latus", "Aus angustus")]
    [InlineData("veins", "alike", "Bus medius", "Cus latus")]
    public void A_plant_is_held_against_another_kind(string character, string how, string fits, string held)
    {
        var flora = Leaves().Flora;
        var raw = new RawReading(character)
        {
            Than = "Bus medius",
            Is = how,
            Certainty = "sure",
        };
        var reading = ReadingDesk.Check(raw, flora).Value;
        Assert.Equal(reading, ReadingDesk.Check(RawReading.From(reading), flora).Value);
        var answer = new Sieve(flora).Ask(reading);
        Assert.True(answer.Of(fits) > 4 * answer.Of(held));
        Assert.Empty(answer.Candidates.Single(c => c.Taxon.Name.Text == fits).Held);
        Assert.Equal([character], answer.Candidates.Single(c => c.Taxon.Name.Text == held).Held);
        Assert.Contains("Bus medius", Wording.Of(reading, flora));
    }

    [Theory]
    [InlineData("width", "Zus nemo", "less", "than")]
    [InlineData("width", "Dus ignotus", "less", "than")]
    [InlineData("width", "Bus medius", "wider", "is")]
    [InlineData("colour", "Bus medius", "less", "than")]
    public void What_can_not_be_held_against_another_is_refused_at_its_field(string character, string than, string how, string field) =>
        Assert.Equal(field, ReadingDesk.Check(new RawReading(character) { Than = than, Is = how }, Leaves().Flora).Faults[0].At);
}
