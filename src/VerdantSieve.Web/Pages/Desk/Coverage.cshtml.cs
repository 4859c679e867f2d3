using Microsoft.AspNetCore.Mvc;
using VerdantSieve.Core;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Curating;
using VerdantSieve.Web.Shared;

namespace VerdantSieve.Web.Pages.Desk;

/// <summary>Which kinds are known from each keyed country, which are absent, and of which nobody has looked.</summary>
public sealed class CoverageModel(FloraShelf shelf) : FloraPage(shelf)
{
    /// <summary>The keyed countries by name; all countries where the flora keys none.</summary>
    public IReadOnlyList<Coverage> Countries { get; private set; } = [];

    /// <summary>The country whose list is shown; null for none.</summary>
    public Coverage? Chosen { get; private set; }

    public string? Problem { get; private set; }

    /// <summary>The heading of a list.</summary>
    public static string Title(Occurrence occurrence) =>
        occurrence switch
        {
            Occurrence.Native => "Native",
            Occurrence.RunWild => "Run wild",
            Occurrence.Planted => "Planted",
            Occurrence.Absent => "Absent",
            Occurrence.NotLooked => "Not looked",
        };

    public void OnGet([FromQuery] string? country)
    {
        var flora = Open.Flora;
        var keyed = flora.About.Keyed.Count > 0 ? flora.About.Keyed : flora.Countries;
        Countries = [.. keyed.OrderBy(Regions.Name, StringComparer.Ordinal).Select(code => Coverage.Of(flora, code))];
        if (string.IsNullOrEmpty(country))
            return;
        if (Regions.Exists(country))
            Chosen = Coverage.Of(flora, country);
        else
            Problem = $"“{country}” is not a level 3 code of the World Geographical Scheme, such as OHI or GRB; choose from the list.";
    }

    /// <summary>How common a taxon is in the chosen country, where it grows there.</summary>
    public string HowCommon(Taxon taxon) =>
        Chosen is { } chosen && taxon.Distribution.Includes(chosen.Country) ? taxon.AbundanceIn(chosen.Country).Word() : "";
}
