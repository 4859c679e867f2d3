namespace VerdantSieve.Core.Practising;

/// <summary>How a kind fared.</summary>
/// <param name="Kind">Its scientific name.</param>
/// <param name="Shown">How often it was to be named.</param>
/// <param name="Right">How often it was.</param>
public sealed record Fared(string Kind, int Shown, int Right)
{
    /// <summary>The share that was right, 0 to 1.</summary>
    public double Share => (double)Right / Shown;

    /// <summary>The kinds that were to be named, those that fared worst first.</summary>
    public static IReadOnlyList<Fared> Of(IEnumerable<Answered> answers) =>
        [
            .. answers
                .Where(answered => answered.Exercise is NamePlant or NameRecord)
                .GroupBy(answered => Recap.KindsOf(answered.Exercise)[0])
                .Select(group => new Fared(group.Key, group.Count(), group.Count(answered => answered.Answer.IsRight)))
                .OrderBy(kind => kind.Share)
                .ThenBy(kind => kind.Kind, StringComparer.Ordinal),
        ];
}
