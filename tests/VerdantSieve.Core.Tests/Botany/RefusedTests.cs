using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Measuring;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Seasons;
using VerdantSieve.Core.Sieving;
using Xunit;

namespace VerdantSieve.Core.Tests.Botany;

/// <summary>Nonsense can't be made, and what is refused says what is allowed; its nearest sensible neighbour can.</summary>
public class RefusedTests
{
    private static StateFrequency Usual(string state) => new(state, Frequency.Usual);

    private static void Refused(string says, Func<object> make) => Assert.Contains(says, Assert.ThrowsAny<ArgumentException>(make).Message);

    [Fact]
    public void Scores()
    {
        Refused("at least one state", () => new StateScore([]));
        Refused("each state once", () => new StateScore([Usual("a"), Usual("a")]));
        Assert.Equal("a", new StateScore([Usual("a")]).Chief);
        Refused("rise from left to right", () => new RangeScore(9, 5, 1, -3));
        Refused("rise from left to right", () => new RangeScore(null, 5, 4, null));
        Refused("rise from left to right", () => new RangeScore(6, 5, 7, null));
        Refused("rise from left to right", () => new RangeScore(null, 5, 7, 6));
        Refused("above 0", () => new RangeScore(null, 0, 1, null));
        Refused("above 0", () => new RangeScore(-1, 1, 2, null));
        Refused("above 0", () => new RangeScore(null, 1, 2, double.PositiveInfinity));
        Refused("rise", () => new RangeScore(null, double.NaN, 2, null));
        Assert.Equal((0, 7), (new RangeScore(0, 1, 2, 7).Minimum, new RangeScore(0, 1, 2, 7).Maximum));
        Refused("from 0 (never) to 1 (always)", () => new PresenceScore(7));
        Refused("from 0 (never) to 1 (always)", () => new PresenceScore(-0.1));
        Assert.Equal((0, 1), (new PresenceScore(0).Frequency, new PresenceScore(1).Frequency));
    }

    [Fact]
    public void Equal_scores_are_equal_and_others_are_not()
    {
        Assert.Equal(new StateScore([Usual("a"), Usual("b")]), new StateScore([Usual("a"), Usual("b")]));
        Assert.Equal(new StateScore([Usual("a")]).GetHashCode(), new StateScore([Usual("a")]).GetHashCode());
        Assert.NotEqual(new StateScore([Usual("a"), Usual("b")]), new StateScore([Usual("b"), Usual("a")]));
        Assert.NotEqual(new StateScore([Usual("a")]), new StateScore([new StateFrequency("a", Frequency.Rare)]));
        Assert.Equal(new RangeScore(1, 2, 3, 4), new RangeScore(1, 2, 3, 4));
        Assert.NotEqual(new RangeScore(1, 2, 3, 4), new RangeScore(null, 2, 3, 4));
        Assert.NotEqual(new RangeScore(1, 2, 3, 4), new RangeScore(1, 2, 3, 5));
        Assert.Equal(new StatesSeen(["a", "b"], StateMode.Either), new StatesSeen(["a", "b"], StateMode.Either));
        Assert.NotEqual(new StatesSeen(["a", "b"], StateMode.Either), new StatesSeen(["a", "b"], StateMode.AllSeen));
    }

    [Fact]
    public void Observations()
    {
        Refused("least first", () => new Measured(5, 1, 1));
        Refused("above 0", () => new Measured(0, 1, 1));
        Refused("1 to 1000 leaves", () => new Measured(5, 5, 0));
        Refused("1 to 1000 leaves", () => new Measured(5, 5, 1001));
        Assert.Equal(1000, new Measured(5, 5, 1000).Leaves);
        Refused("from 5 to 6", () => new Measured(5, 6, 1) { Typical = 7 });
        Assert.Equal(5.5, new Measured(5, 6, 2) { Typical = 5.5 }.Middle);
        Refused("1 to 80", () => new Counted(0, 1));
        Refused("1 to 80", () => new Counted(1, 81));
        Refused("least first", () => new Counted(5, 4));
        Refused("from 3 to 5", () => new Counted(3, 5) { Usual = 6 });
        Refused("above 0", () => new Limited(0, LimitSide.AtMost));
        Refused("above 0", () => new Limited(double.NaN, LimitSide.AtMost));
        Refused("at least one state", () => new StatesSeen([], StateMode.Is));
        Refused("each once", () => new StatesSeen(["a", "a"], StateMode.Either));
        Refused("One state is", () => new StatesSeen(["a"], StateMode.Either));
        Refused("several are", () => new StatesSeen(["a", "b"], StateMode.Is));
    }

    [Fact]
    public void Places_questions_and_names()
    {
        Refused("number from -90 to 90", () => new Position(900, 0, 0));
        Refused("number from -180 to 180", () => new Position(0, -181, 0));
        Refused("number from -500 to 9000", () => new Position(0, 0, 9001));
        Refused("number from -90 to 90", () => new Position(double.NaN, 0, 0));
        Assert.Equal(-500, new Position(-90, 180, -500).Elevation);
        Refused("From 0 to 3", () => new SieveQuestion { AllowedDisagreements = -4 });
        Refused("From 0 to 3", () => new SieveQuestion { AllowedDisagreements = 4 });
        Refused("above 0.5 and below 1", () => new SieveQuestion { Certainty = 1 });
        Refused("above 0.5 and below 1", () => new SieveQuestion { Certainty = 0.5 });
        Assert.Equal(3, new SieveQuestion { AllowedDisagreements = 3 }.AllowedDisagreements);
        Refused("must not be blank", () => new ScientificName(""));
        Refused("must not be blank", () => new ScientificName(" Acer"));
        Assert.Null(default(ScientificName));
    }

    [Fact]
    public void Characters_and_taxa()
    {
        Refused("at least one state", () => Character([]));
        Refused("each id once", () => Character([new State("a", "", ""), new State("a", "", "")]));
        Refused("An effort is above 0", () => Character([new State("a", "", "")]) with { Effort = 0 });
        Refused("A weight is above 0", () => Character([new State("a", "", "")]) with { Weight = 1.1 });
        Refused("in one of the lists, once", () => new Distribution(["ORE"], ["ORE"]));
        Refused("in one of the lists, once", () => new Distribution(["ORE", "ORE"], []));
        var taxon = SmallFlora.Flora.Taxa[0];
        Refused("two parents", () => taxon with { HybridOf = ["Acer rubrum"] });
        Refused("at least one common name", () => taxon with { CommonNames = [] });
        Refused("wild, planted or both", () => taxon with { Settings = [] });
    }

    [Fact]
    public void A_score_goes_with_a_character_of_its_kind_only()
    {
        var character = Character([new State("a", "", ""), new State("b", "", "")]);
        Assert.True(Scored.Fits(character, new StateScore([Usual("a")])));
        Assert.False(Scored.Fits(character, new StateScore([Usual("c")])));
        Assert.False(Scored.Fits(character, new PresenceScore(1)));
        Refused("no score for", () => new Scored(character, new RangeScore(null, 1, 2, null)));
        Refused("does not fit", () => new Flora(new FloraAbout("x", "x"), [], [SmallFlora.Flora.Taxa[0]]));
    }

    [Fact]
    public void Outcomes_are_a_value_or_faults_and_never_both()
    {
        Outcome<string> good = "yes";
        Outcome<string> bad = new Fault("field", "It must be yes.");
        Assert.True(good.Has(out var value));
        Assert.Equal("yes", value);
        Assert.False(bad.Has(out _));
        Assert.Throws<InvalidOperationException>(() => bad.Value);
        Refused("at least one fault", () => Outcome.Faulty<string>([]));
        Assert.Equal(3, good.Map(text => text.Length).Value);
        Assert.Same(bad.Faults, bad.Map(text => text.Length).Faults);
        Assert.Equal("other: It must be yes.", bad.Placed(fault => fault with { At = "other" }).Faults[0].ToString());
        Assert.Equal("field: “no” can’t be used. It must be yes.", Fault.AtField("field", "no", "It must be yes.").ToString());
        Assert.Equal("file.yaml:3: it is wrong", Fault.InFile("file.yaml", 3, "it is wrong").ToString());
    }

    private static StateCharacter Character(IReadOnlyList<State> states) =>
        new("c")
        {
            Part = null,
            Label = "c",
            Question = "?",
            Phrase = "{}",
            States = states,
        };
}
