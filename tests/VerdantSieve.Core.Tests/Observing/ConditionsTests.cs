using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Measuring;
using VerdantSieve.Core.Observing;
using Xunit;

namespace VerdantSieve.Core.Tests.Observing;

/// <summary>What a reading of one character says of another that hangs on it, for every kind of observation.</summary>
public class ConditionsTests
{
    private static readonly Condition Compound = Condition.Parse("structure=pinnate|palmate");
    private static readonly Condition NotSimple = Condition.Parse("structure!=simple");
    private static readonly Condition InFlower = Condition.Parse("flowering");

    private static StatesSeen Seen(StateMode mode, params string[] states) => new(states, mode);

    private static Tallied Of(params (string What, int Leaves)[] lines) =>
        new([.. lines.Select(line => new TallyLine(line.What, line.Leaves))]);

    [Fact]
    public void A_state_meets_a_condition_that_admits_it()
    {
        Assert.True(Compound.CanHold(Seen(StateMode.Is, "pinnate")));
        Assert.False(Compound.CanHold(Seen(StateMode.Is, "simple")));
        Assert.True(Compound.CanHold(Seen(StateMode.Either, "simple", "palmate")));
        Assert.True(NotSimple.CanHold(Seen(StateMode.Is, "palmate")));
        Assert.False(NotSimple.CanHold(Seen(StateMode.Is, "simple")));
        // What it is not leaves the rest open.
        Assert.True(Compound.CanHold(Seen(StateMode.Not, "simple")));
        Assert.True(InFlower.CanHold(Seen(StateMode.Is, "simple")));
    }

    [Fact]
    public void Of_a_tally_one_line_is_enough()
    {
        Assert.True(Compound.CanHold(Of(("simple", 6), ("pinnate", 2))));
        Assert.False(Compound.CanHold(Of(("simple", 8))));
        Assert.True(Compound.CanHold(Of(("pinnate", 8))));
        Assert.True(InFlower.CanHold(Of(("simple", 8))));
    }

    [Fact]
    public void What_was_looked_for_in_vain_is_not_there()
    {
        Assert.True(InFlower.CanHold(new Sought(true)));
        Assert.False(InFlower.CanHold(new Sought(false)));
        Assert.True(InFlower.CanHold(new Today(true)));
        Assert.False(InFlower.CanHold(new Today(false)));
    }

    [Fact]
    public void Amounts_and_not_knowing_leave_it_open()
    {
        foreach (var observation in Amounts.Append(new CannotTell()))
            Assert.True(Compound.CanHold(observation), observation.ToString());
    }

    [Fact]
    public void What_was_read_settles_a_condition_and_what_was_left_open_does_not()
    {
        foreach (var observation in Amounts)
            Assert.True(observation.Settles(Compound), observation.ToString());
        Assert.True(new Sought(false).Settles(InFlower));
        Assert.True(new Today(false).Settles(InFlower));
        Assert.True(Of(("simple", 8)).Settles(Compound));
        Assert.False(new CannotTell().Settles(Compound));
        Assert.True(Seen(StateMode.Is, "simple").Settles(Compound));
        Assert.True(Seen(StateMode.AllSeen, "simple", "pinnate").Settles(Compound));
        Assert.True(Seen(StateMode.Either, "palmate", "pinnate").Settles(Compound));
        Assert.False(Seen(StateMode.Either, "simple", "pinnate").Settles(Compound));
        Assert.False(Seen(StateMode.Not, "simple").Settles(Compound));
        Assert.True(Seen(StateMode.Not, "simple").Settles(InFlower));
    }

    private static IEnumerable<Observation> Amounts =>
        [
            new Counted(3, 5),
            new Measured(3, 5, 2),
            new Limited(5, LimitSide.AtMost),
            new Compared(new ScientificName("Carpinus betulus"), Comparison.Less),
        ];

    [Fact]
    public void Equal_conditions_are_equal_and_others_are_not()
    {
        Assert.Equal(Condition.Parse("structure=pinnate|palmate"), Compound);
        Assert.Equal(Condition.Parse("structure=pinnate|palmate").GetHashCode(), Compound.GetHashCode());
        Assert.NotEqual(Condition.Parse("structure=pinnate"), Compound);
        Assert.NotEqual(Condition.Parse("structure=simple"), NotSimple);
        Assert.NotEqual(Condition.Parse("lobing=pinnate|palmate"), Compound);
        Assert.Equal(Condition.Parse("flowering"), InFlower);
    }
}
