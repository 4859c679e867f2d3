using VerdantSieve.Core;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Drawing;
using VerdantSieve.Core.Drawing.Maps;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Seasons;

namespace VerdantSieve.Views;

/// <summary>The maps of where one taxon grows, with the place of a look where there is one.</summary>
/// <param name="Flora">The flora.</param>
/// <param name="Taxon">The taxon.</param>
/// <param name="Region">The country of the look; null where there is none.</param>
/// <param name="Place">The place of the look, where it is known better than by its country.</param>
/// <param name="Shown">The maps to show: where several taxa stand side by side, the same for all.</param>
public sealed record RangeMaps(Flora Flora, Taxon Taxon, string? Region, Position? Place, IReadOnlyList<RangeMap> Shown)
{
    /// <summary>The maps on which any of the taxa or the place can be seen.</summary>
    public static IReadOnlyList<RangeMap> Of(IReadOnlyList<Taxon> taxa, string? region) =>
        [.. RangeMap.All.Where(map => map.ShowsAny(taxa) || region is not null && map.Shows(region))];

    /// <summary>How the taxon stands in a country of a map, as a class; null for land that is only drawn.</summary>
    public string? StandingIn(string code) => Regions.Exists(code) ? Flora.OccurrenceOf(Taxon, code).Word() : null;

    /// <summary>Where the place of the look lies on a map; null where it is not on it.</summary>
    public Point? Here(RangeMap map) =>
        Region is { } region && map.Shows(region) && (Place ?? Regions.CentreOf(region)) is { } place ? map.At(place) : null;

    /// <summary>What a map shows, in words.</summary>
    public string Words(RangeMap map)
    {
        string[] parts =
        [
            .. Said(map, Occurrence.Native, "native to"),
            .. Said(map, Occurrence.RunWild, "run wild in"),
            .. Said(map, Occurrence.Planted, "planted in"),
        ];
        var said = parts.Length == 0 ? "known from none of the countries shown" : string.Join("; ", parts);
        return $"{Taxon.CommonName} in {map.Name}: {said}.";
    }

    private IEnumerable<string> Said(RangeMap map, Occurrence occurrence, string words)
    {
        string[] names =
        [
            .. map
                .Countries.Where(country => Flora.OccurrenceOf(Taxon, country.Code) == occurrence && Regions.Exists(country.Code))
                .Select(country => Regions.Name(country.Code))
                .Order(StringComparer.Ordinal),
        ];
        if (names.Length > 0)
            yield return $"{words} {Wording.Join(names, "and")}";
    }

    /// <summary>Which of a few taxa grow in the country of a look, in a sentence; empty where that does not part them.</summary>
    public static string OnlyHere(IReadOnlyList<Taxon> taxa, string? region)
    {
        if (region is null || !Regions.Exists(region))
            return "";
        Taxon[] here = [.. taxa.Where(taxon => taxon.Distribution.Includes(region))];
        if (here.Length == taxa.Count)
            return "";
        if (here.Length == 0)
            return $"None of them is known from {Regions.Name(region)}.";
        var names = Wording.Join([.. here.Select(taxon => taxon.CommonName)], "and");
        return $"Of these only {names} {(here.Length == 1 ? "is" : "are")} known from {Regions.Name(region)}.";
    }
}
