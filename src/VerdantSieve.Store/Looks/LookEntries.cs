using VerdantSieve.Store.Notebooks;

namespace VerdantSieve.Store.Looks;

/// <summary>Looks with their trees, and what lists show of them: the one place that says which columns those are.</summary>
internal static class LookEntries
{
    /// <summary>A look and the tree it is a visit to.</summary>
    public sealed class WithTree
    {
        public required LookRow Look { get; init; }
        public required TreeRow Tree { get; init; }
    }

    /// <summary>All looks, each with its tree.</summary>
    public static IQueryable<WithTree> LooksWithTrees(this SieveContext database) =>
        from look in database.Looks
        join tree in database.Trees on look.TreeId equals tree.Id
        select new WithTree { Look = look, Tree = tree };

    /// <summary>What lists show.</summary>
    public static IQueryable<LookEntry> Entries(this IQueryable<WithTree> pairs, SieveContext database) =>
        pairs.Select(pair => new LookEntry(
            pair.Look.Id,
            pair.Look.Place,
            pair.Look.Observer,
            pair.Look.Date,
            pair.Look.Readings,
            pair.Tree.Name,
            pair.Tree.Rank,
            pair.Tree.Probability,
            pair.Look.Changed
        )
        {
            TreeId = pair.Tree.Id,
            Tag = pair.Tree.Tag,
            Visits = database.Looks.Count(other => other.TreeId == pair.Tree.Id && other.Discarded == null),
            IsDisputed = pair.Tree.IsDisputed,
            IsSensitive = pair.Tree.IsSensitive,
            IsTreeDiscarded = pair.Tree.Discarded != null,
        });
}
