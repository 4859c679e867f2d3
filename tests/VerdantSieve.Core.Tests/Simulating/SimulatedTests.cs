using NodaTime;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Sieving;
using VerdantSieve.Core.Simulating;
using VerdantSieve.Core.Tests.Sieving;
using Xunit;

namespace VerdantSieve.Core.Tests.Simulating;

/// <summary>Made-up plants keep to their scores, and made-up observers err as often as they are told.</summary>
public class SimulatedTests
{
    private static readonly Flora Flora = SmallFlora.Flora;
    private static readonly Circumstances June = new() { Date = new LocalDate(2026, 6, 15) };

    [Fact]
    public void A_plant_shows_only_what_its_taxon_can_and_stays_as_it_is()
    {
        foreach (var taxon in Flora.Taxa)
        {
            var plant = new SimulatedPlant(taxon, Flora, June, new Random(1));
            foreach (var character in Flora.Characters.OfType<StateCharacter>())
            {
                var state = plant.State(character);
                Assert.Equal(state, plant.State(character));
                if (state is not null)
                    Assert.True(((StateScore)taxon.Scores[character.Id]).Allows(state), $"{taxon.Name}: {character.Id} {state}");
            }
        }
    }

    [Fact]
    public void What_cannot_apply_is_not_shown()
    {
        var pine = new SimulatedPlant(Flora.FindTaxon("Pinus ponderosa")!, Flora, June, new Random(2));
        Assert.Null(pine.State((StateCharacter)Flora.Character("arrangement")));
        Assert.Null(pine.LogSize((MeasureCharacter)Flora.Character("blade-length")));
    }

    [Theory]
    [InlineData(0)]
    [InlineData(0.2)]
    public void Observers_err_as_often_as_told(double errs)
    {
        var (wrong, read) = (0, 0);
        var arrangement = (StateCharacter)Flora.Character("arrangement");
        for (var i = 0; i < 2000; i++)
        {
            var random = new Random(i);
            var plant = new SimulatedPlant(Flora.FindTaxon("Acer circinatum")!, Flora, June, random);
            var seen = (StatesSeen)new SimulatedObserver(Flora, errs, 0, random).Read(plant, arrangement).Observation;
            read++;
            if (seen.States[0] != plant.State(arrangement))
                wrong++;
        }
        // Three standard errors of a share of 2000.
        Assert.InRange(wrong / (double)read, errs - 0.027, errs + 0.027);
    }

    [Fact]
    public void What_is_missed_stays_missed()
    {
        var random = new Random(4);
        var plant = new SimulatedPlant(Flora.FindTaxon("Acer circinatum")!, Flora, June, random);
        var observer = new SimulatedObserver(Flora, 0, 1, random);
        Assert.All(Flora.Characters, character => Assert.IsType<CannotTell>(observer.Read(plant, character).Observation));
    }

    [Fact]
    public void Sizes_spread_as_the_score_says()
    {
        var length = (MeasureCharacter)Flora.Character("blade-length");
        var alder = Flora.FindTaxon("Alnus rubra")!;
        var range = (RangeScore)alder.Scores["blade-length"];
        var sizes = Enumerable
            .Range(0, 1000)
            .Select(i => Math.Exp(new SimulatedPlant(alder, Flora, June, new Random(i)).LogSize(length)!.Value))
            .Order()
            .ToArray();
        Assert.InRange(sizes[500], range.Low, range.High);
        // Plants' own centres spread less than single leaves do: nine in ten of them lie between the extremes.
        Assert.InRange(sizes.Count(size => size >= range.Minimum && size <= range.Maximum), 900, 1000);
    }

    [Fact]
    public void The_strict_standing_counts_ties_as_a_lot()
    {
        Assert.Equal(0.25, new StrictStanding(0, 4, true).Within(1), 9);
        Assert.Equal(0.75, new StrictStanding(0, 4, true).Within(3), 9);
        Assert.Equal(0.5, new StrictStanding(2, 2, true).Within(3), 9);
        Assert.Equal(0, new StrictStanding(0, 1, false).Within(3), 9);
    }

    [Fact]
    public void People_use_other_words_and_plants_show_what_the_book_leaves_out()
    {
        var flora = new MadeFlora()
            .States("bark", "grey brown", c => c with { Looseness = 0.2, Gaps = 0.2 })
            .Taxon("Aus canus", "bark: grey")
            .Taxon("Bus fuscus", "bark: brown")
            .Flora;
        var bark = (StateCharacter)flora.Character("bark");
        int Brown(SieveModel? book, SieveModel? words, Func<SimulatedPlant, Reading, bool> counts) =>
            Enumerable
                .Range(0, 2000)
                .Count(i =>
                {
                    var plant = new SimulatedPlant(flora.FindTaxon("Aus canus")!, flora, June, new Random(i), book);
                    var observer = new SimulatedObserver(flora, 0, 0, new Random(-i), words);
                    return counts(plant, observer.Read(plant, bark)) && !observer.Wrong["bark"];
                });
        bool Shown(SimulatedPlant plant, Reading _) => plant.State(bark) == "brown";
        bool Read(SimulatedPlant plant, Reading reading) => reading.Observation is StatesSeen { States: ["brown"] };
        Assert.Equal(0, Brown(null, null, Shown));
        Assert.Equal(0, Brown(null, null, Read));
        // A score of one state is believed a little more than the vocabulary says; half of what is left out is what kin show.
        Assert.InRange(Brown(SieveModel.Standard, null, Shown), 100, 220);
        Assert.InRange(Brown(null, SieveModel.Standard, Read), 340, 460);
    }
}
