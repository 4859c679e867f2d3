using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Sieving;

/// <summary>A taxon or a group of taxa at some rank, with the chance that the plant belongs to it.</summary>
/// <param name="Rank">The rank.</param>
/// <param name="Name">Its name.</param>
/// <param name="Probability">The chance, unknown kin included from the group up.</param>
/// <param name="Members">The rows of its taxa.</param>
internal sealed record RankNode(TaxonRank Rank, string Name, double Probability, IReadOnlyList<int> Members);

/// <summary>Sums the chances of taxa up through the ranks.</summary>
internal sealed class RankShares
{
    private readonly Dictionary<TaxonRank, RankNode[]> byRank = [];

    private RankShares() { }

    public static RankShares Of(SieveTable table, double[] posterior)
    {
        var (taxa, rows) = (table.Flora.Taxa, table.Rows);
        var shares = new RankShares();
        shares.byRank[TaxonRank.Variety] = Sum(TaxonRank.Variety, taxon => taxon.Rank == TaxonRank.Variety ? taxon.Name.Text : null);
        shares.byRank[TaxonRank.Species] = Sum(TaxonRank.Species, taxon => taxon.Name.Species.Text);
        shares.byRank[TaxonRank.Aggregate] = Sum(TaxonRank.Aggregate, taxon => taxon.Aggregate);
        shares.byRank[TaxonRank.Group] = Sum(TaxonRank.Group, taxon => taxon.Group, withKin: true);
        shares.byRank[TaxonRank.Genus] = Sum(TaxonRank.Genus, taxon => taxon.Name.Genus, withKin: true);
        shares.byRank[TaxonRank.Family] = Sum(TaxonRank.Family, taxon => taxon.Family, withKin: true);
        return shares;

        RankNode[] Sum(TaxonRank rank, Func<Taxon, string?> name, bool withKin = false) =>
        [
            .. Enumerable.Range(0, taxa.Count).Where(t => name(taxa[t]) is not null).GroupBy(t => name(taxa[t])!)
                .Select(group => new RankNode(rank, group.Key, group.Sum(t => posterior[t]) + (withKin ? Kin(group) : 0), [.. group.OrderByDescending(t => posterior[t])]))
                .OrderByDescending(node => node.Probability)
        ];

        double Kin(IEnumerable<int> members) => members.Sum(t => posterior[rows.KinOf(t)]);
    }

    /// <summary>The likeliest of a rank; null where the flora has none of it.</summary>
    public RankNode? Best(TaxonRank rank) => byRank[rank].FirstOrDefault();

    /// <summary>Genera, then families, likeliest first.</summary>
    public IReadOnlyList<RankShare> GeneraAndFamilies =>
        [.. byRank[TaxonRank.Genus].Concat(byRank[TaxonRank.Family]).Select(node => new RankShare(node.Rank, node.Name, node.Probability))];
}
