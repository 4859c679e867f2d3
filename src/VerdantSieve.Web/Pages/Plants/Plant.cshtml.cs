using Microsoft.AspNetCore.Mvc;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Measuring;
using VerdantSieve.Core.Seasons;
using VerdantSieve.Web.Shared;

namespace VerdantSieve.Web.Pages.Plants;

/// <summary>All that the flora says of one taxon.</summary>
public sealed class PlantModel(FloraShelf shelf) : FloraPage(shelf)
{
    private const double DaysInYear = 365;

    public Taxon Taxon { get; private set; } = null!;
    public LengthStyle Style => Units.Of(Request);
    public string FamilyWord => Open.Flora.FamilyWord(Taxon.Family);

    public IReadOnlyList<(string Part, IReadOnlyList<(Character Character, Score Score)> Rows)> Scores =>
        [.. Open.Parts.Select(part => (part.Part, (IReadOnlyList<(Character, Score)>)[.. part.Characters.Where(c => Taxon.Scores.ContainsKey(c.Id)).Select(c => (c, Taxon.Scores[c.Id]))]))
            .Where(part => part.Item2.Count > 0)];

    public IReadOnlyList<(Taxon Taxon, string Mark)> Doubles =>
        [.. Taxon.Doubles.Select(look => (Taxon: Open.Flora.FindTaxon(look.Name), look.Mark)).Where(pair => pair.Taxon is not null).Select(pair => (pair.Taxon!, pair.Mark))];

    /// <summary>The taxa most like it by Gower's coefficient, whoever wrote them down as doubles or not.</summary>
    public IReadOnlyList<Taxon> MostLike => Open.MostLike(Taxon);

    public string WhyNotParted => Taxon.Aggregate is { } name ? Open.Flora.About.Aggregates.GetValueOrDefault(name, "") : "";

    public IReadOnlyList<(string Label, string Css, SeasonWindow Window)> Calendar =>
        [.. new[] { ("flowering", "In flower", "flower"), ("fruiting", "In fruit", "fruit") }
            .Where(row => Taxon.Scores.GetValueOrDefault(row.Item1) is SeasonScore)
            .Select(row => (row.Item2, row.Item3, ((SeasonScore)Taxon.Scores[row.Item1]).Window))];

    public int Edition => Open.Flora.About.Edition;
    public string WindowPlace => Open.Flora.WindowPlace(Taxon).Name;

    /// <summary>A country, with how common the taxon is there where that is not as elsewhere.</summary>
    public string Country(string code) =>
        Taxon.Distribution.Local.TryGetValue(code, out var abundance) ? $"{Regions.Name(code)} ({abundance.ToString().ToLowerInvariant()})" : Regions.Name(code);

    public string CalendarWords => string.Join("; ", Calendar.Select(row => $"{row.Label} {row.Window}"));

    public IActionResult OnGet(string slug)
    {
        if (Open.FindBySlug(slug) is not { } taxon) return NotFound();
        Taxon = taxon;
        return Page();
    }

    /// <summary>A window as spans of a strip of the year, in hundredths; two where it runs over the turn of the year.</summary>
    public static IEnumerable<(double From, double Width)> Spans(SeasonWindow window)
    {
        var from = window.StartDay;
        var untilNewYear = Math.Min(window.Length, (int)DaysInYear - from);
        yield return (100 * from / DaysInYear, 100 * untilNewYear / DaysInYear);
        if (window.Length > untilNewYear) yield return (0, 100 * (window.Length - untilNewYear) / DaysInYear);
    }

    /// <summary>Maps a value to hundredths of what the whole flora takes up.</summary>
    public Func<double, double>? Scale(Character character) => Open.Scale(character);
}
