using NodaTime;
using VerdantSieve.Core.Seasons;
using VerdantSieve.Core.Sieving;

namespace VerdantSieve.Core.Planning;

/// <summary>A tree to be planned for.</summary>
/// <param name="Id">The tree.</param>
/// <param name="Place">Where it stands in words; trees without a position are gone to by it.</param>
/// <param name="Position">Where it stands; null where that is not known.</param>
/// <param name="Year">Its coming year.</param>
public sealed record PlannedTree(string Id, string Place, Position? Position, YearAhead Year);

/// <summary>A tree of a proposed outing.</summary>
/// <param name="Tree">The tree.</param>
/// <param name="Ahead">What the visit would tell.</param>
public sealed record PlannedVisit(PlannedTree Tree, DayAhead Ahead);

/// <summary>A proposed outing: a week, and the trees to visit then in walking order.</summary>
/// <param name="Day">The first day of the week.</param>
/// <param name="Visits">The visits, in walking order.</param>
/// <param name="Settles">How many trees it is expected to settle that earlier ones did not.</param>
public sealed record PlannedOuting(LocalDate Day, IReadOnlyList<PlannedVisit> Visits, double Settles)
{
    /// <summary>What to bring.</summary>
    public IReadOnlyList<FieldTool> Bring => FieldTools.Of(Visits.SelectMany(visit => visit.Ahead.Looks).Select(look => look.Character));

    /// <summary>How far it is from tree to tree, in metres.</summary>
    public double Way =>
        Visits
            .Zip(Visits.Skip(1))
            .Sum(pair => pair is { First.Tree.Position: { } one, Second.Tree.Position: { } other } ? WalkingOrder.Metres(one, other) : 0);
}

/// <summary>Chooses outings over all trees at once, so that few of them settle most.</summary>
public static class OutingPlan
{
    // Trees nearer to each other than so many metres, by steps from tree to tree, are one way.
    private const double OneWay = 3000;

    // An outing that is not expected to settle so much of one tree is not worth the way; more than so many are not planned.
    private const double LeastSettled = 0.2;
    private const int MostOutings = 8;

    // A tree for which a visit adds less is passed by.
    private const double LeastOfATree = 0.05;

    // The sooner of two weeks that are as good.
    private const double PerWeekLater = 0.002;

    /// <summary>The outings, in the order of the calendar.</summary>
    /// <remarks>The one that settles most first, and then what adds most to those chosen (greedy choice; a visit adds what it settles more
    /// than the best visit so far, since what could not be seen once can mostly not be seen the next week either).</remarks>
    public static IReadOnlyList<PlannedOuting> Of(IReadOnlyList<PlannedTree> trees)
    {
        var groups = Groups(trees);
        var best = trees.ToDictionary(tree => tree.Id, _ => 0.0);
        var outings = new List<PlannedOuting>();
        while (outings.Count < MostOutings)
        {
            var (gain, group, week) = Most(groups, best);
            if (gain < LeastSettled)
                break;
            PlannedTree[] gone = [.. group.Where(tree => Adds(tree, week, best) >= LeastOfATree)];
            outings.Add(
                new PlannedOuting(
                    gone[0].Year.Weeks[week].Day,
                    [.. InOrder(gone).Select(tree => new PlannedVisit(tree, tree.Year.Weeks[week]))],
                    gone.Sum(tree => Adds(tree, week, best))
                )
            );
            foreach (var tree in gone)
                best[tree.Id] = Math.Max(best[tree.Id], tree.Year.Weeks[week].Settles);
        }
        return [.. outings.OrderBy(outing => outing.Day)];
    }

    private static double Adds(PlannedTree tree, int week, Dictionary<string, double> best) =>
        Math.Max(0, tree.Year.Weeks[week].Settles - best[tree.Id]);

    private static (double Gain, PlannedTree[] Group, int Week) Most(IReadOnlyList<PlannedTree[]> groups, Dictionary<string, double> best)
    {
        (double Worth, double Gain, PlannedTree[] Group, int Week) most = (0, 0, [], 0);
        foreach (var group in groups)
            for (var week = 0; week < group[0].Year.Weeks.Count; week++)
            {
                var gain = group.Sum(tree => Adds(tree, week, best) is var adds and >= LeastOfATree ? adds : 0);
                var worth = gain * (1 - PerWeekLater * week);
                if (worth > most.Worth)
                    most = (worth, gain, group, week);
            }
        return (most.Gain, most.Group, most.Week);
    }

    private static IEnumerable<PlannedTree> InOrder(PlannedTree[] trees)
    {
        PlannedTree[] placed = [.. trees.Where(tree => tree.Position is not null)];
        var order = WalkingOrder.Of([.. placed.Select(tree => tree.Position!.Value)]);
        return order.Select(at => placed[at]).Concat(trees.Where(tree => tree.Position is null));
    }

    // From tree to tree in steps that one walks; those without a position go by the name of their place.
    private static IReadOnlyList<PlannedTree[]> Groups(IReadOnlyList<PlannedTree> trees)
    {
        var groups = new List<PlannedTree[]>();
        var left = trees.Where(tree => tree.Position is not null).ToList();
        while (left.Count > 0)
        {
            var group = new List<PlannedTree> { left[0] };
            left.RemoveAt(0);
            for (var at = 0; at < group.Count; at++)
            {
                var near = left.FindAll(tree => WalkingOrder.Metres(tree.Position!.Value, group[at].Position!.Value) <= OneWay);
                group.AddRange(near);
                left.RemoveAll(near.Contains);
            }
            groups.Add([.. group]);
        }
        groups.AddRange(trees.Where(tree => tree.Position is null).GroupBy(tree => tree.Place).Select(group => group.ToArray()));
        return groups;
    }
}
