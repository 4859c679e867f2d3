using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Sieving;

/// <summary>A taxon or a group of taxa at some rank, with the chance that the plant belongs to it.</summary>
/// <param name="Rank">The rank.</param>
/// <param name="Name">Its name.</param>
/// <param name="Probability">The chance, unknown kin included from the group up.</param>
/// <param name="Members">The rows of its taxa.</param>
internal sealed record RankNode(TaxonRank Rank, string Name, double Probability, IReadOnlyList<int> Members);

/// <summary>The groups of taxa at every rank, found once when the flora is loaded.</summary>
internal sealed class Ranks
{
    private readonly (TaxonRank Rank, bool WithKin, (string Name, int[] Members)[] Groups)[] all;

    public Ranks(Flora flora) => all =
    [
        Group(flora, TaxonRank.Variety, false, taxon => taxon.Rank == TaxonRank.Variety ? taxon.Name.Text : null),
        Group(flora, TaxonRank.Species, false, taxon => taxon.Name.Species.Text),
        Group(flora, TaxonRank.Aggregate, false, taxon => taxon.Aggregate),
        Group(flora, TaxonRank.Group, true, taxon => taxon.Group),
        Group(flora, TaxonRank.Genus, true, taxon => taxon.Name.Genus),
        Group(flora, TaxonRank.Family, true, taxon => taxon.HasFamily ? taxon.Family : null)
    ];

    private static (TaxonRank, bool, (string, int[])[]) Group(Flora flora, TaxonRank rank, bool withKin, Func<Taxon, string?> name) =>
        (rank, withKin, [.. Enumerable.Range(0, flora.Taxa.Count).Where(t => name(flora.Taxa[t]) is not null).GroupBy(t => name(flora.Taxa[t])!).Select(group => (group.Key, group.ToArray()))]);

    /// <summary>The chances of all groups.</summary>
    public RankShares Sum(double[] posterior, Rows rows) => new(all.ToDictionary(rank => rank.Rank, rank => rank.Groups
        .Select(group => new RankNode(rank.Rank, group.Name, group.Members.Sum(t => posterior[t] + (rank.WithKin ? posterior[rows.KinOf(t)] : 0)), group.Members))
        .OrderByDescending(node => node.Probability).ToArray()), posterior);
}

/// <summary>The chances of taxa summed up through the ranks.</summary>
internal sealed class RankShares(IReadOnlyDictionary<TaxonRank, RankNode[]> byRank, double[] posterior)
{
    /// <summary>The likeliest of a rank, its members likeliest first; null where the flora has none of it.</summary>
    public RankNode? Best(TaxonRank rank) =>
        byRank[rank].FirstOrDefault() is { } best ? best with { Members = [.. best.Members.OrderByDescending(t => posterior[t])] } : null;

    /// <summary>Genera, then families, likeliest first.</summary>
    public IReadOnlyList<RankShare> GeneraAndFamilies =>
        [.. byRank[TaxonRank.Genus].Concat(byRank[TaxonRank.Family]).Select(node => new RankShare(node.Rank, node.Name, node.Probability))];
}
