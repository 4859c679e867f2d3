using System.Collections.Concurrent;
using NodaTime;
using VerdantSieve.Core.Planning;
using VerdantSieve.Core.Sieving;
using VerdantSieve.Core.Trees;
using VerdantSieve.Store.Notebooks;

namespace VerdantSieve.Web.Notebooks;

/// <summary>A tree with all that was read of it, ready to be planned for.</summary>
public sealed record TreeToPlan(TreePoint Tree, SieveQuestion Question);

/// <summary>A plan as it is being worked out, and when it is done.</summary>
public sealed class Plan(int of)
{
    private int done;

    /// <summary>How many trees there are, and for how many the year is worked out.</summary>
    public int Of => of;
    public int Done => Volatile.Read(ref done);

    /// <summary>The outings; null while it is being worked out.</summary>
    public IReadOnlyList<PlannedOuting>? Outings { get; private set; }

    /// <summary>The coming year of each tree.</summary>
    public IReadOnlyList<PlannedTree> Trees { get; private set; } = [];

    /// <summary>Why it could not be worked out; null where it could.</summary>
    public string? Trouble { get; private set; }

    internal void OneMore() => Interlocked.Increment(ref done);

    internal void End(IReadOnlyList<PlannedTree> trees, IReadOnlyList<PlannedOuting> outings) => (Trees, Outings) = (trees, outings);

    internal void Fail(string why) => Trouble = why;
}

/// <summary>Works out plans beside all else, and keeps the last ones.</summary>
public sealed class PlanDesk(ILogger<PlanDesk> log)
{
    private const int MostKept = 40;

    private readonly ConcurrentDictionary<string, Plan> plans = new();

    /// <summary>The plan for some trees, begun now where there is none.</summary>
    /// <param name="key">What tells it from other plans: whose, of which day, of which flora, with what read.</param>
    /// <param name="trees">The trees; asked for only where it is begun.</param>
    /// <param name="sieve">The sieve.</param>
    /// <param name="from">The first day that can be gone.</param>
    public async Task<Plan> Take(string key, Func<Task<IReadOnlyList<TreeToPlan>>> trees, Sieve sieve, LocalDate from)
    {
        if (plans.TryGetValue(key, out var known) && known.Trouble is null)
            return known;
        if (plans.Count >= MostKept)
            plans.Clear();
        var all = await trees();
        var plan = plans[key] = new Plan(all.Count);
        _ = Task.Run(() => Work(plan, all, sieve, from));
        return plan;
    }

    private void Work(Plan plan, IReadOnlyList<TreeToPlan> trees, Sieve sieve, LocalDate from)
    {
        try
        {
            var planned = new PlannedTree[trees.Count];
            Parallel.For(
                0,
                trees.Count,
                at =>
                {
                    var (tree, question) = trees[at];
                    planned[at] = new PlannedTree(tree.Id, tree.Place, tree.Position, YearAhead.Of(sieve, question, from));
                    plan.OneMore();
                }
            );
            plan.End(planned, OutingPlan.Of(planned));
        }
        catch (Exception trouble)
        {
            log.LogError(trouble, "A plan could not be worked out.");
            plan.Fail("The plan could not be worked out; nothing is lost. Try again.");
        }
    }
}
