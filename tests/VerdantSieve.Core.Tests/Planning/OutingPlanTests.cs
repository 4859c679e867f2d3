using NodaTime;
using VerdantSieve.Core.Planning;
using VerdantSieve.Core.Seasons;
using VerdantSieve.Core.Sieving;
using Xunit;

namespace VerdantSieve.Core.Tests.Planning;

/// <summary>Which trees to visit together, when, and in what order.</summary>
public class OutingPlanTests
{
    private static readonly LocalDate From = new(2026, 1, 5);

    private static Position At(double north, double east) => new(45 + north / 1000, -123 + east / 1000, 100);

    // A tree that a visit settles with these chances in the first weeks of the year.
    private static PlannedTree Tree(string id, Position? at, params double[] settles) =>
        new(id, "somewhere", at, new YearAhead([.. settles.Select((chance, week) => new DayAhead(From.PlusWeeks(week), [], 0, chance))]));

    [Fact]
    public void The_week_that_settles_most_trees_together_is_chosen_first_and_what_it_leaves_after_it()
    {
        var plan = OutingPlan.Of([
            Tree("early", At(0, 0), 0.9, 0.6, 0),
            Tree("middle", At(0, 1), 0, 0.8, 0),
            Tree("late", At(1, 0), 0, 0.1, 0.9),
        ]);
        Assert.Equal([0, 1, 2], plan.Select(outing => Period.Between(From, outing.Day, PeriodUnits.Weeks).Weeks));
        // The middle week was chosen first; the other two add what it did not settle.
        Assert.Equal([0.3, 1.5, 0.8], plan.Select(outing => Math.Round(outing.Settles, 6)));
        Assert.Equal(["early", "late", "middle"], plan[1].Visits.Select(visit => visit.Tree.Id).Order());
        Assert.Equal(["late"], plan[2].Visits.Select(visit => visit.Tree.Id));
    }

    [Fact]
    public void Trees_far_apart_are_two_ways_and_trees_without_a_position_go_by_their_place()
    {
        var plan = OutingPlan.Of([
            Tree("here", At(0, 0), 0.9),
            Tree("near", At(10, 0), 0.9),
            Tree("far", At(300, 0), 0.9),
            Tree("unplaced", null, 0.9),
        ]);
        Assert.Equal([1, 1, 2], plan.Select(outing => outing.Visits.Count).Order());
        Assert.Contains(plan, outing => outing.Visits.Select(visit => visit.Tree.Id).Order().SequenceEqual(["here", "near"]));
    }

    [Fact]
    public void What_is_hardly_settled_by_anything_is_not_gone_to() => Assert.Empty(OutingPlan.Of([Tree("hopeless", At(0, 0), 0.1, 0.15)]));

    [Fact]
    public void Trees_are_walked_to_without_going_to_and_fro()
    {
        Position[] row = [At(0, 3), At(0, 0), At(0, 4), At(0, 1), At(0, 2)];
        Assert.Equal([1, 3, 4, 0, 2], WalkingOrder.Of(row));
        // Three sides of a square are shorter than two sides and a crossing.
        Position[] square = [At(0, 0), At(1, 1), At(1, 0), At(0, 1)];
        var order = WalkingOrder.Of(square);
        var across = order.Zip(order.Skip(1)).Count(pair => pair.First / 2 == pair.Second / 2);
        Assert.Equal(0, across);
    }

    // A degree of latitude on a sphere of the Earth's mean radius (IUGG 6371.0088 km) is 111.195 km.
    [Fact]
    public void A_degree_of_latitude_is_a_hundred_and_eleven_kilometres()
    {
        Assert.Equal(111_195, WalkingOrder.Metres(new Position(45, 0, 0), new Position(46, 0, 0)), 0);
        Assert.Equal(111_195 * Math.Cos(Math.PI / 3), WalkingOrder.Metres(new Position(60, 10, 0), new Position(60, 11, 0)), 15.0);
    }
}
