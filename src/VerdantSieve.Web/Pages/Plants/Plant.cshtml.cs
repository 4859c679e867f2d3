using Microsoft.AspNetCore.Mvc;
using VerdantSieve.Core;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Measuring;
using VerdantSieve.Core.Seasons;
using VerdantSieve.Views.Drawings;
using VerdantSieve.Web.Shared;

namespace VerdantSieve.Web.Pages.Plants;

/// <summary>All that the flora says of one taxon.</summary>
public sealed class PlantModel(FloraShelf shelf) : FloraPage(shelf)
{
    private const double DaysInYear = SeasonWindow.DaysInYear;

    // The seasons shown, each with its label and the class of its strip.
    private static readonly (string Character, string Label, string Css)[] Seasons =
    [
        (CharacterIds.Flowering, "In flower", "flower"),
        (CharacterIds.Fruiting, "In fruit", "fruit"),
        (CharacterIds.Turning, "Leaves turning", "turning"),
    ];

    public Taxon Taxon { get; private set; } = null!;

    /// <summary>Its plate, and what is seen on it in words.</summary>
    public KeptPlate Plate => Open.Plate(Taxon);
    public string PlateWords => $"Plate of {Taxon.Name.Text}: {string.Join(", ", Plate.Organs.Select(Say.Of))}";
    public LengthStyle Style => Units.Of(Request);

    /// <summary>What is scored, by part of the plant.</summary>
    public IReadOnlyList<(string? Part, IReadOnlyList<Scored> Rows)> Scores { get; private set; } = [];

    /// <summary>What it is taken for, with the mark that tells.</summary>
    public IReadOnlyList<(Taxon Taxon, string Mark)> Doubles { get; private set; } = [];

    /// <summary>The taxa most like it by Gower's coefficient, whoever wrote them down as doubles or not.</summary>
    public IReadOnlyList<Taxon> MostLike { get; private set; } = [];

    public string WhyNotParted => Taxon.Aggregate is { } name ? Open.Flora.About.Aggregates.GetValueOrDefault(name, "") : "";

    public IReadOnlyList<(string Label, string Css, SeasonWindow Window)> Calendar { get; private set; } = [];

    /// <summary>Where it grows.</summary>
    public RangeMaps Maps => new(Open.Flora, Taxon, null, null, RangeMaps.Of([Taxon], null));

    public int Edition => Open.Flora.About.Edition;
    public string WindowPlace => Open.Flora.WindowPlace(Taxon).Name;

    /// <summary>Where it is native, in words.</summary>
    public string NativeTo
    {
        get
        {
            if (!Taxon.Distribution.Countries.Any())
                return "the flora does not say";
            return Taxon.Distribution.Native.Count == 0
                ? "none of the countries that are named here"
                : string.Join(", ", Taxon.Distribution.Native.Select(Country));
        }
    }

    /// <summary>A country, with how common the taxon is there where that is not as elsewhere.</summary>
    public string Country(string code) =>
        Taxon.Distribution.Local.TryGetValue(code, out var abundance) ? $"{Regions.Name(code)} ({abundance.Word()})" : Regions.Name(code);

    public string CalendarWords => string.Join("; ", Calendar.Select(row => $"{row.Label} {row.Window}"));

    public IActionResult OnGet(string slug)
    {
        if (Open.FindBySlug(slug) is not { } taxon)
            return NotFound();
        Taxon = taxon;
        Scores = [.. Open.Parts.Select(part => (part.Part, Rows: ScoredIn(part))).Where(part => part.Rows.Count > 0)];
        Doubles =
        [
            .. from alike in taxon.Doubles let other = Open.Flora.FindTaxon(alike.Name) where other is not null select (other, alike.Mark),
        ];
        MostLike = Open.MostLike(taxon);
        Calendar =
        [
            .. from row in Seasons
            let season = taxon.Score(row.Character) as SeasonScore
            where season is not null
            select (row.Label, row.Css, season.Window),
        ];
        return Page();
    }

    /// <summary>A window as spans of a strip of the year, in hundredths; two where it runs over the turn of the year.</summary>
    public static IEnumerable<(double From, double Width)> Spans(SeasonWindow window)
    {
        var from = window.StartDay;
        var untilNewYear = Math.Min(window.Length, (int)DaysInYear - from);
        yield return (100 * from / DaysInYear, 100 * untilNewYear / DaysInYear);
        if (window.Length > untilNewYear)
            yield return (0, 100 * (window.Length - untilNewYear) / DaysInYear);
    }

    private IReadOnlyList<Scored> ScoredIn(PlantPart part) =>
        [
            .. from character in part.Characters
            let score = Taxon.Score(character.Id)
            where score is not null
            select new Scored(character, score),
        ];
}
