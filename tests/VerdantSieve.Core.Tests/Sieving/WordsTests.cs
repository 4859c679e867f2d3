using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Sieving;
using Xunit;

namespace VerdantSieve.Core.Tests.Sieving;

/// <summary>Words that contain words, and what scores leave out.</summary>
public class WordsTests
{
    private static StateCharacter Nested(StateCharacter margin) =>
        margin with
        {
            Within = new Dictionary<string, IReadOnlyList<string>> { ["doubly"] = ["serrate"] },
            BroadWords = [new BroadWord("toothed", "toothed", ["serrate", "doubly", "crenate"])],
        };

    private static Sieve Margins(Func<StateCharacter, StateCharacter> with) =>
        new MadeFlora()
            .States("margin", "entire serrate doubly crenate", with)
            .Taxon("Aus duplex", "margin: doubly")
            .Taxon("Bus simplex", "margin: serrate")
            .Taxon("Cus integer", "margin: entire")
            .Taxon("Dus rotundus", "margin: crenate")
            .Sieve(Readings.AsItStands);

    private static double Bits(SieveAnswer answer, string one, string other) => Math.Log2(answer.Of(one) / answer.Of(other));

    [Theory, InlineData(Certainty.Guess), InlineData(Certainty.Fair), InlineData(Certainty.Sure)]
    public void Whoever_names_the_broader_word_is_not_wrong_in_either_school(Certainty certainty)
    {
        var nested = Margins(Nested).Ask(Readings.Is("margin", "serrate", certainty));
        Assert.Empty(nested.Candidates.Single(c => c.Taxon.Name.Text == "Aus duplex").Held);
        Assert.InRange(Bits(nested, "Bus simplex", "Aus duplex"), 0.1, 2);
        Assert.Equal(["margin"], nested.Candidates.Single(c => c.Taxon.Name.Text == "Cus integer").Held);
        var apart = Margins(c => c).Ask(Readings.Is("margin", "serrate", certainty));
        Assert.Equal(["margin"], apart.Candidates.Single(c => c.Taxon.Name.Text == "Aus duplex").Held);
        Assert.True(Bits(apart, "Bus simplex", "Aus duplex") > Bits(nested, "Bus simplex", "Aus duplex") + 1);
    }

    [Fact]
    public void The_finer_word_costs_little_where_the_flora_says_only_the_broader()
    {
        var nested = Margins(Nested).Ask(Readings.Is("margin", "doubly", Certainty.Sure));
        Assert.Empty(nested.Candidates.Single(c => c.Taxon.Name.Text == "Bus simplex").Held);
        Assert.InRange(Bits(nested, "Aus duplex", "Bus simplex"), 1, 4);
        Assert.True(Bits(nested, "Bus simplex", "Cus integer") > 2);
        Assert.True(Bits(Margins(c => c).Ask(Readings.Is("margin", "doubly", Certainty.Sure)), "Aus duplex", "Bus simplex") > 4.5);
    }

    [Fact]
    public void A_broad_word_is_read_though_never_scored()
    {
        var sieve = Margins(Nested);
        var toothed = ReadingDesk.Check(new RawReading("margin") { States = ["toothed"], Certainty = "sure" }, sieve.Flora).Value;
        var answer = sieve.Ask(toothed);
        Assert.Equal(3, answer.Candidates.Count(candidate => candidate.Held.Count == 0));
        Assert.Equal(1, answer.HeldBy("margin"));
        Assert.InRange(Bits(answer, "Bus simplex", "Dus rotundus"), -0.2, 0.2);
        Assert.Equal("margin toothed", Wording.Of(toothed, sieve.Flora));
        var fault = ReadingDesk.Check(new RawReading("margin") { States = ["hairy"] }, sieve.Flora).Faults[0];
        Assert.Contains("doubly, crenate, toothed", fault.Message);
    }

    [Fact]
    public void Not_keeps_what_it_is_not_and_leaves_the_rest_alike()
    {
        var sieve = Margins(Nested);
        var not = ReadingDesk
            .Check(
                new RawReading("margin")
                {
                    States = ["serrate"],
                    Mode = "not",
                    Certainty = "sure",
                },
                sieve.Flora
            )
            .Value;
        var answer = sieve.Ask(not);
        // What is doubly serrate is serrate.
        Assert.Equal(["margin"], answer.Candidates.Single(c => c.Taxon.Name.Text == "Aus duplex").Held);
        Assert.Equal(["margin"], answer.Candidates.Single(c => c.Taxon.Name.Text == "Bus simplex").Held);
        Assert.InRange(Bits(answer, "Cus integer", "Dus rotundus"), -0.2, 0.2);
        Assert.True(Bits(answer, "Cus integer", "Bus simplex") > 3);
        Assert.Equal("margin not serrate", Wording.Of(not, sieve.Flora));
        var all = new RawReading("margin") { States = ["toothed", "entire"], Mode = "not" };
        Assert.Contains("leave at least one", ReadingDesk.Check(all, sieve.Flora).Faults[0].Message);
    }

    private static double BitsAgainst(double gaps, double loose, Certainty certainty, SieveModel? model = null) =>
        Bits(
            new MadeFlora()
                .States("bark", "grey brown", c => c with { Gaps = gaps, Looseness = loose })
                .Taxon("Aus canus", "bark: grey")
                .Taxon("Bus fuscus", "bark: brown")
                .Sieve(model)
                .Ask(Readings.Is("bark", "brown", certainty)),
            "Bus fuscus",
            "Aus canus"
        );

    [Fact]
    public void Being_sure_lowers_the_observers_slip_and_nothing_else()
    {
        // Where only the observer errs, sure weighs far more than fair; where the book has gaps or words are loose, hardly more.
        var byObserver = BitsAgainst(0, 0, Certainty.Sure) - BitsAgainst(0, 0, Certainty.Fair);
        Assert.True(byObserver > 1.5);
        Assert.True(BitsAgainst(0.4, 0, Certainty.Sure) - BitsAgainst(0.4, 0, Certainty.Fair) < byObserver / 2);
        Assert.True(BitsAgainst(0, 0.3, Certainty.Sure) - BitsAgainst(0, 0.3, Certainty.Fair) < byObserver / 2);
    }

    [Fact]
    public void A_plain_model_knows_neither_gaps_nor_loose_words()
    {
        Assert.True(BitsAgainst(0.4, 0.3, Certainty.Sure) < 3);
        Assert.Equal(double.PositiveInfinity, BitsAgainst(0.4, 0.3, Certainty.Sure, SieveModel.Plain));
    }

    [Fact]
    public void What_was_entered_once_for_a_genus_is_believed_less_than_a_kinds_own()
    {
        double AgainstGenus(string third) =>
            Bits(
                new MadeFlora()
                    .States("bark", "grey brown red", c => c with { Gaps = 0.1 })
                    .Taxon("Aus unus", "bark: grey")
                    .Taxon("Aus duo", "bark: grey")
                    .Taxon("Aus tres", $"bark: {third}")
                    .Taxon("Bus fuscus", "bark: brown")
                    .Sieve(SieveModel.Standard with { SlipWhenSure = 1e-6 })
                    .Ask(Readings.Is("bark", "brown", Certainty.Sure)),
                "Bus fuscus",
                "Aus unus"
            );
        Assert.True(AgainstGenus("grey") < AgainstGenus("red") - 0.3);
    }

    [Theory]
    [InlineData("cone", StateMode.Is, true)]
    [InlineData("seed", StateMode.Is, true)]
    [InlineData("acorn", StateMode.Is, false)]
    [InlineData("seed", StateMode.Not, false)]
    [InlineData("acorn", StateMode.Not, true)]
    public void What_hangs_on_a_state_is_still_asked_after_a_word_that_stands_for_it(string word, StateMode mode, bool asked)
    {
        var looks = new MadeFlora()
            .States("fruit", "seed catkin acorn", c => c with { BroadWords = [new BroadWord("cone", "cones", ["seed", "catkin"])] })
            .States("scales", "plain prickly", c => c with { OnlyIf = new Condition("fruit", ["seed"], false) })
            .Taxon("Aus planus", "fruit: seed / scales: plain")
            .Taxon("Bus pungens", "fruit: seed / scales: prickly")
            .Taxon("Cus glandifer", "fruit: acorn")
            .Sieve()
            .Ask(new Reading("fruit", new StatesSeen([word], mode), Certainty.Sure))
            .NextLooks;
        Assert.Equal(asked, looks.Any(look => look.Character.Id == "scales"));
    }

    private static StateCharacter UsualFirst(StateCharacter shape) => shape with { UsualFirst = true };

    private static Sieve Shapes(Func<StateCharacter, StateCharacter> with) =>
        new MadeFlora()
            .States("shape", "egg oblong heart", with)
            .Taxon("Aus ovatus", "shape: egg, oblong")
            .Taxon("Bus oblongus", "shape: oblong, egg")
            .Sieve();

    [Fact]
    public void Of_two_usual_states_the_first_written_counts_for_more_where_the_vocabulary_says_so()
    {
        var ordered = Shapes(UsualFirst);
        Assert.InRange(Bits(ordered.Ask(Readings.Is("shape", "egg")), "Aus ovatus", "Bus oblongus"), 0.4, 1.2);
        Assert.InRange(Bits(ordered.Ask(Readings.Is("shape", "oblong")), "Bus oblongus", "Aus ovatus"), 0.4, 1.2);
        // Neither is held: both are usual.
        Assert.All(ordered.Ask(Readings.Is("shape", "oblong")).Candidates, candidate => Assert.Empty(candidate.Held));
        Assert.Equal(0, Bits(Shapes(c => c).Ask(Readings.Is("shape", "egg")), "Aus ovatus", "Bus oblongus"), 9);
    }

    [Fact]
    public void The_order_weighs_among_what_is_usual_alone()
    {
        var shape = UsualFirst((StateCharacter)Shapes(c => c).Flora.Character("shape"));
        Assert.Equal([0.625, 0.375, 0], Rounded(shape.SharesOf(Score("egg", "oblong"))));
        Assert.Equal([0.2, 0.8, 0], Rounded(shape.SharesOf(new([new("egg", Frequency.Sometimes), new("oblong", Frequency.Usual)]))));
        Assert.Equal([0.5, 0.5, 0], Rounded((shape with { UsualFirst = false }).SharesOf(Score("egg", "oblong"))));
        Assert.Throws<ArgumentException>(() => shape.SharesOf(Score("round")));

        static StateScore Score(params string[] states) => new([.. states.Select(state => new StateFrequency(state, Frequency.Usual))]);

        static double[] Rounded(double[] shares) => [.. shares.Select(share => Math.Round(share, 12))];
    }
}
