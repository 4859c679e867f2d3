using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Practising;
using VerdantSieve.Core.Sieving;
using VerdantSieve.Core.Tests.Sieving;
using Xunit;

namespace VerdantSieve.Core.Tests.Practising;

/// <summary>Records of made-up plants, to be named by what is asked of them.</summary>
public class PlantRecordTests
{
    // Three pairs that the leaf parts; within the first two bark, bud, twig and tip part them, within the last nothing does.
    private static readonly MadeFlora Made = new MadeFlora()
        .States("leaf", "wide thin round")
        .States("vein", "few many none")
        .States("bark", "grey red")
        .States("bud", "long short")
        .States("twig", "smooth rough")
        .States("tip", "sharp blunt")
        .Taxon("Aus unus", "leaf: wide / vein: few / bark: grey / bud: long / twig: smooth / tip: sharp")
        .Taxon("Aus duo", "leaf: wide / vein: few / bark: red / bud: short / twig: rough / tip: blunt")
        .Taxon("Bus unus", "leaf: thin / vein: many / bark: grey / bud: long / twig: smooth / tip: sharp")
        .Taxon("Bus duo", "leaf: thin / vein: many / bark: red / bud: short / twig: rough / tip: blunt")
        .Taxon("Cus unus", "leaf: round / vein: none / bark: grey / bud: long / twig: smooth / tip: sharp")
        .Taxon("Cus duo", "leaf: round / vein: none / bark: grey / bud: long / twig: smooth / tip: sharp");

    private static readonly Sieve Sieve = new(Made.Flora, SieveModel.Standard with { Strangers = 0.001 });

    private static PlantRecord Record(string name, int seed) => new(Sieve, Sieve.Flora.FindTaxon(name)!, "ORE", seed);

    private static IEnumerable<PlantRecord> Records(string name) => Enumerable.Range(1, Cases.Some).Select(seed => Record(name, seed));

    [Fact]
    public void A_record_is_the_same_whatever_is_asked_first_and_however_often()
    {
        foreach (var seed in Enumerable.Range(1, 10))
        {
            var (one, other) = (Record("Aus unus", seed), Record("Aus unus", seed));
            var forth = one.Askable.Select(one.Ask).ToArray();
            var back = other.Askable.Reverse().Select(other.Ask).Reverse().ToArray();
            Assert.Equal(forth, back);
            Assert.Equal(one.Where, other.Where);
        }
    }

    [Fact]
    public void Records_have_gaps_and_are_mostly_true()
    {
        var asked = Records("Aus unus").SelectMany(record => record.Askable.Select(record.Ask)).ToArray();
        Assert.Contains(asked, reading => !reading.Tells);
        Assert.InRange(asked.Count(reading => reading.Tells) / (double)asked.Length, 0.5, 0.9);
        var bark = asked.Where(reading => reading.Character == "bark" && reading.Tells).ToArray();
        Assert.True(bark.Count(reading => reading.Observation is StatesSeen { States: ["grey"] }) > 0.8 * bark.Length);
    }

    [Fact]
    public void Cannot_tell_is_right_where_nothing_in_the_record_tells_and_wrong_where_something_does()
    {
        Assert.All(Records("Cus unus"), record => Assert.False(record.CanBeTold));
        Assert.All(Records("Cus unus"), record => Assert.True(record.Judge(null, Certainty.Fair).IsRight));
        // What it is stays right all the same.
        Assert.True(Record("Cus unus", 1).Judge(Sieve.Flora.FindTaxon("Cus unus"), Certainty.Fair).IsRight);
        var told = Records("Aus unus").Where(record => record.CanBeTold).ToArray();
        Assert.NotEmpty(told);
        Assert.All(told, record => Assert.False(record.Judge(null, Certainty.Fair).IsRight));
    }

    [Fact]
    public void A_name_of_the_same_genus_is_near_and_one_of_another_is_not()
    {
        var record = Record("Aus unus", 3);
        Assert.Equal((true, true), Judged(record, "Aus unus"));
        Assert.Equal((false, true), Judged(record, "Aus duo"));
        Assert.Equal((false, false), Judged(record, "Bus unus"));
    }

    private static (bool, bool) Judged(PlantRecord record, string name) =>
        record.Judge(Sieve.Flora.FindTaxon(name), Certainty.Fair) is var answer ? (answer.IsRight, answer.IsNear) : default;

    [Fact]
    public void The_reasoning_names_what_spoke_for_the_plant_and_what_would_have()
    {
        // A record that says all there is, and as it is.
        var record = Records("Aus unus").First(record => record.CanBeTold && record.Askable.All(one => record.Ask(one).Tells));
        var reasons = record.Reason(["leaf"], Sieve.Flora.FindTaxon("Aus duo"));
        Assert.Equal("Aus duo", reasons.Rival.Name.Text);
        Assert.Empty(reasons.Decisive);
        Assert.Equal(3, reasons.Sooner.Count);
        Assert.DoesNotContain(reasons.Sooner, pair => pair.Reading.Character is "leaf" or "vein");
        var asked = record.Reason(["leaf", "bark"], null);
        Assert.Contains("bark", asked.Decisive.Select(pair => pair.Reading.Character));
        Assert.True(asked.Standing > reasons.Standing);
        Assert.All(asked.Decisive, pair => Assert.True(pair.Bits > 0));
    }

    [Fact]
    public void The_sieve_stops_asking_when_a_kind_is_settled_or_nothing_is_left()
    {
        foreach (var record in Records("Bus duo").Concat(Records("Cus duo")))
        {
            var asked = record.SieveAsks();
            Assert.Equal(asked.Count, asked.Distinct().Count());
            if (asked.Count > 0)
            {
                var before = Sieve.Ask(record.Question(asked.SkipLast(1).Select(character => character.Id)));
                Assert.True(before.Candidates[0].Probability < 0.9);
            }
        }
    }
}
