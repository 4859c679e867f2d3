using System.Globalization;
using Microsoft.AspNetCore.Mvc.RazorPages;
using VerdantSieve.Core.Trees;
using VerdantSieve.Web.Drawings;
using VerdantSieve.Web.Notebooks;

namespace VerdantSieve.Web.Pages.Trees;

/// <summary>What the season came to: what, where and when; what was taken for what; how certain determinations fared.</summary>
public sealed class SeasonModel(SeasonDesk desk) : PageModel
{
    public SeasonOverview Season { get; private set; } = null!;

    public async Task OnGet(CancellationToken cancel) => Season = await desk.Take(cancel);

    public string Sentence =>
        Season.Trees == 0
            ? "Nothing here yet."
            : $"{Season.Trees} trees, {Season.Months.Sum(month => month.Visits)} visits, {Season.Kinds.Count} names.";

    public string Months =>
        BarPicture.Draw(
            [.. Season.Months.Select(month => (month.Month.ToString("MMM yy", CultureInfo.InvariantCulture), month.Visits))],
            "Visits by month"
        );

    public string Calibration =>
        CalibrationPicture.Draw(Season.Calibration, "How often determinations still stand, by how certain they were when given");
}
