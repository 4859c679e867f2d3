using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Sieving;

/// <summary>A taxon or a group of taxa at some rank, with the chance that the plant belongs to it.</summary>
/// <param name="Rank">The rank.</param>
/// <param name="Name">Its name.</param>
/// <param name="Probability">The chance, unknown kin included from the group up.</param>
/// <param name="Members">The rows of its taxa, the likeliest first.</param>
internal sealed record RankedGroup(TaxonRank Rank, string Name, double Probability, IReadOnlyList<Row> Members);

/// <summary>The groups of taxa at every rank, found once when the flora is loaded.</summary>
internal sealed class RankGroups
{
    private readonly Dictionary<TaxonRank, (string Name, Row[] Members)[]> groups;

    public RankGroups(Flora flora) =>
        groups = Enum.GetValues<TaxonRank>()
            .ToDictionary(
                rank => rank,
                rank =>
                    flora
                        .Taxa.Select((taxon, t) => (Name: NameAt(taxon, rank), Row: new Row(t)))
                        .Where(pair => pair.Name is not null)
                        .GroupBy(pair => pair.Name!, pair => pair.Row)
                        .Select(group => (group.Key, group.ToArray()))
                        .ToArray()
            );

    private static string? NameAt(Taxon taxon, TaxonRank rank) =>
        rank switch
        {
            TaxonRank.Variety => taxon.Rank == TaxonRank.Variety ? taxon.Name.Text : null,
            TaxonRank.Species => taxon.Name.Species.Text,
            TaxonRank.Aggregate => taxon.Aggregate,
            TaxonRank.Group => taxon.Group,
            TaxonRank.Genus => taxon.Name.Genus,
            TaxonRank.Family => taxon.Family,
        };

    /// <summary>The likeliest group of a rank; null where the flora has none of it.</summary>
    /// <param name="rank">The rank.</param>
    /// <param name="posterior">The chance of each row of the answer.</param>
    /// <param name="rows">Who stands in which row.</param>
    public RankedGroup? Best(TaxonRank rank, double[] posterior, RowLayout rows)
    {
        if (groups[rank].Length == 0)
            return null;
        var best = groups[rank].MaxBy(group => Sum(rank, group.Members, posterior, rows));
        return new RankedGroup(
            rank,
            best.Name,
            Sum(rank, best.Members, posterior, rows),
            [.. best.Members.OrderByDescending(row => posterior[row.Index])]
        );
    }

    /// <summary>Genera, then families, the likeliest of each first.</summary>
    public IReadOnlyList<RankShare> GeneraAndFamilies(double[] posterior, RowLayout rows) =>
        [.. Shares(TaxonRank.Genus, posterior, rows), .. Shares(TaxonRank.Family, posterior, rows)];

    private IEnumerable<RankShare> Shares(TaxonRank rank, double[] posterior, RowLayout rows) =>
        groups[rank]
            .Select(group => new RankShare(rank, group.Name, Sum(rank, group.Members, posterior, rows)))
            .OrderByDescending(share => share.Probability);

    // Unknown kin of a species are of its group, its genus and its family, and not the species itself.
    private static double Sum(TaxonRank rank, Row[] members, double[] posterior, RowLayout rows)
    {
        var sum = 0.0;
        foreach (var row in members)
            sum += posterior[row.Index] + (rank >= TaxonRank.Group ? posterior[rows.KinOf(row).Index] : 0);
        return sum;
    }
}
