using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Sieving.Columns;

/// <summary>What every column is made of.</summary>
/// <param name="Scores">The flora's score of each taxon; null where it has none.</param>
/// <param name="Bases">How each score came to be.</param>
/// <param name="CanApply">Whether each taxon's scores leave room for the character.</param>
/// <param name="Applies">The chance that each row can show the character at all, the seasons of its conditions put aside; null where it
/// always can.</param>
/// <param name="Rows">Who stands in which row.</param>
/// <param name="Model">What is assumed of observers.</param>
internal sealed record ColumnSource(
    Score?[] Scores,
    ScoreBasis?[] Bases,
    bool[] CanApply,
    double[]? Applies,
    RowLayout Rows,
    SieveModel Model
)
{
    // From so many kinds on a score that all of a genus share to the letter was most likely entered once.
    private const int EnteredOnce = 3;

    /// <summary>How the scores of a character came to be; null where a taxon has none.</summary>
    public static ScoreBasis?[] BasesOf(Flora flora, Character character)
    {
        var own = flora
            .Taxa.Select(taxon => taxon.BasisOf(character.Id) == ScoreBasis.Own ? taxon.OwnScores[character.Id] : null)
            .ToArray();
        var shared = flora
            .Taxa.Select((taxon, t) => (taxon.Name.Genus, Score: own[t]))
            .Where(pair => pair.Score is not null)
            .GroupBy(pair => pair.Genus, pair => pair.Score!)
            .Where(genus => genus.Count() >= EnteredOnce && genus.Distinct().Count() == 1)
            .Select(genus => genus.Key)
            .ToHashSet();
        return
        [
            .. flora.Taxa.Select(
                (taxon, t) => own[t] is not null && shared.Contains(taxon.Name.Genus) ? ScoreBasis.Shared : taxon.BasisOf(character.Id)
            ),
        ];
    }
}
