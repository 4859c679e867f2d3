using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Sieving;
using Xunit;
using static VerdantSieve.Core.Tests.Sieving.Readings;

namespace VerdantSieve.Core.Tests.Sieving;

/// <summary>What is believed of readings that disagree: when a name is still given, which reading is doubted, what would come back without
/// it.</summary>
public class BeliefTests
{
    // Two kinds that differ in everything, read on two organs.
    private static MadeFlora Two(int characters)
    {
        var flora = new MadeFlora();
        for (var i = 0; i < characters; i++)
            flora.States($"c{i}", "one other third", c => c with { Part = i % 2 == 0 ? "blade" : "twig", Label = $"mark {i}" });
        return flora.Taxon("Aus primus", All(characters, "one")).Taxon("Bus alter", All(characters, "other"));
    }

    private static string All(int characters, string state) =>
        string.Join(" / ", Enumerable.Range(0, characters).Select(i => $"c{i}: {state}"));

    private static Reading[] Read(int characters, int slips, Certainty certainty) =>
        [.. Enumerable.Range(0, characters).Select(i => Is($"c{i}", i < slips ? "third" : "one", certainty))];

    private static Sieve Trusting(MadeFlora flora) => flora.Sieve(SieveModel.Standard with { Strangers = 1e-9 });

    [Fact]
    public void A_species_that_fits_all_readings_is_named()
    {
        var said = Trusting(Two(8)).Ask(Read(8, 0, Certainty.Sure)).Determination;
        Assert.Equal((TaxonRank.Species, "Aus primus"), (said.Rank, said.Name));
        Assert.Equal("This is Aus primus, aus primus: nothing read speaks against it.", said.Sentence.ToString());
    }

    [Fact]
    public void One_slip_among_many_fair_readings_is_believed_and_three_sure_ones_are_not()
    {
        var once = Trusting(Two(8)).Ask(Read(8, 1, Certainty.Fair)).Determination;
        Assert.Equal(TaxonRank.Species, once.Rank);
        Assert.StartsWith("This is Aus primus, aus primus, though it is held by “c0 third”. Look at that again.", once.Sentence.ToString());
        var thrice = Trusting(Two(8)).Ask(Read(8, 3, Certainty.Sure));
        Assert.True(thrice.Of("Aus primus") > 0.95, $"{thrice.Of("Aus primus")}");
        Assert.NotEqual(TaxonRank.Species, thrice.Determination.Rank);
    }

    [Fact]
    public void As_many_slips_are_believed_of_guesses_as_are_not_of_sure_readings()
    {
        Assert.Equal(TaxonRank.Species, Trusting(Two(14)).Ask(Read(14, 3, Certainty.Guess)).Determination.Rank);
        Assert.NotEqual(TaxonRank.Species, Trusting(Two(14)).Ask(Read(14, 3, Certainty.Sure)).Determination.Rank);
    }

    [Fact]
    public void The_reading_that_fits_no_other_is_doubted_with_what_stands_without_it()
    {
        var answer = Trusting(Two(6)).Ask([.. Read(6, 0, Certainty.Fair).Skip(1), Is("c0", "other", Certainty.Fair)]);
        var doubt = answer.Doubts[0];
        Assert.Equal("c0", doubt.Reading.Character);
        Assert.True(doubt.IsPointedAt);
        Assert.Equal("Aus primus", doubt.Without!.Value.Leader.Name.Text);
        Assert.True(doubt.Without.Value.Probability > answer.Of("Aus primus"));
        Assert.All(answer.Doubts.Skip(1), other => Assert.False(other.IsPointedAt));
    }

    [Fact]
    public void The_sentence_asks_to_look_again_at_a_doubtful_reading_and_at_no_other()
    {
        MadeFlora Flora() =>
            Two(4)
                .Taxon("Aus secundus", "c0: one / c1: one / c2: one / c3: one")
                .Taxon("Aus tertius", "c0: one / c1: one / c2: one / c3: one");
        string Said(params Reading[] readings) => Trusting(Flora()).Ask(readings).Determination.Sentence.ToString();
        Reading[] sound = [Is("c1", "one", Certainty.Sure), Is("c2", "one", Certainty.Sure), Is("c3", "one", Certainty.Sure)];
        Assert.DoesNotContain("Look again at", Said([.. sound, Is("c0", "one", Certainty.Fair)]));
        Assert.Contains("Look again at “c0 other”: it does not fit “c1 one”.", Said([.. sound, Is("c0", "other", Certainty.Fair)]));
    }

    [Fact]
    public void What_a_reading_alone_keeps_out_would_come_back_without_it_and_nothing_else()
    {
        var sieve = new MadeFlora()
            .States("bark", "grey red")
            .States("leaf", "broad needle")
            .States("bud", "long short")
            .Taxon("Aus primus", "bark: grey / leaf: broad / bud: long")
            .Taxon("Aus alter", "bark: red / leaf: broad / bud: long")
            .Taxon("Bus procul", "bark: red / leaf: needle / bud: short")
            .Sieve();
        SieveAnswer Strictly(params Reading[] readings) =>
            sieve.Ask(
                new SieveQuestion
                {
                    School = School.Strict,
                    AllowedDisagreements = 0,
                    Readings = readings,
                }
            );
        string[] WouldReturn(SieveAnswer answer) =>
            [.. answer.Doubts.Single(doubt => doubt.Reading.Character == "leaf").WouldReturn.Select(taxon => taxon.Name.Text)];

        // A sound reading is not explained; a doubtful one says what it keeps out.
        var sound = Strictly(Is("bark", "grey", Certainty.Guess), Is("leaf", "broad", Certainty.Sure), Is("bud", "long", Certainty.Sure));
        Assert.Equal(["Aus primus"], sound.Pan.Select(candidate => candidate.Taxon.Name.Text));
        Assert.Empty(WouldReturn(sound));
        var doubted = Strictly(
            Is("bark", "red", Certainty.Guess),
            Is("leaf", "needle", Certainty.Guess),
            Is("bud", "long", Certainty.Sure)
        );
        Assert.Contains("Aus alter", WouldReturn(doubted));
        Assert.DoesNotContain("Aus primus", WouldReturn(doubted));
    }

    [Fact]
    public void Two_readings_that_no_kind_joins_are_named_as_a_pair_and_sound_ones_are_not()
    {
        var sieve = Trusting(Two(4));
        var torn = sieve.Ask(Is("c0", "one", Certainty.Fair), Is("c1", "other", Certainty.Fair));
        Assert.Equal("c1", torn.Doubts.Single(doubt => doubt.Reading.Character == "c0").Contradicts!.Character);
        var sound = sieve.Ask(Is("c0", "one", Certainty.Fair), Is("c1", "one", Certainty.Fair));
        Assert.All(sound.Doubts, doubt => Assert.Null(doubt.Contradicts));
    }
}
