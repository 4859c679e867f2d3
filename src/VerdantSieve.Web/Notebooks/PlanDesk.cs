using System.Collections.Concurrent;
using NodaTime;
using VerdantSieve.Core.Planning;
using VerdantSieve.Core.Sieving;
using VerdantSieve.Core.Trees;
using VerdantSieve.Store.Notebooks;

namespace VerdantSieve.Web.Notebooks;

/// <summary>A tree with all that was read of it, ready to be planned for.</summary>
public sealed record TreeToPlan(TreePoint Tree, SieveQuestion Question);

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
