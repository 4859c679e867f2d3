using NodaTime;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Seasons;
using VerdantSieve.Core.Sieving;

namespace VerdantSieve.Core.Planning;

/// <summary>When a kind flowers or fruits at a place, and how that follows from when it does elsewhere.</summary>
/// <param name="Taxon">The kind.</param>
/// <param name="Fruit">Fruit rather than flowers.</param>
/// <param name="Window">The days here.</param>
/// <param name="Days">How many days later than where the flora's dates hold; earlier where negative.</param>
/// <param name="At">Where the flora's dates hold.</param>
public sealed record SeasonHere(Taxon Taxon, bool Fruit, SeasonWindow Window, int Days, Place At)
{
    /// <summary>When a kind flowers or fruits at a place; null where the flora does not say, or the place is not known.</summary>
    /// <remarks>Flowers by Hopkins' law, see <see cref="Phenology.HopkinsDelay"/>.</remarks>
    public static SeasonHere? Of(Taxon taxon, bool fruit, Flora flora, Circumstances where)
    {
        var here = where.Position ?? (where.Region is { } region ? Regions.CentreOf(region) : null);
        if (here is not { } place || taxon.Score(fruit ? CharacterIds.Fruiting : CharacterIds.Flowering) is not SeasonScore score)
            return null;
        var at = flora.WindowPlace(taxon);
        var days = (int)Math.Round(Phenology.HopkinsDelay(at.Position, place));
        return new SeasonHere(taxon, fruit, score.Window.Shifted(days), days, at);
    }

    /// <summary>Whether a day falls into it.</summary>
    public bool Holds(LocalDate day) => Window.DaysInside(Math.Min(day.DayOfYear, SeasonWindow.DaysInYear) - 1) >= 0;

    /// <summary>The days here in words, with why: “flowers 10 May – 28 May here, 9 days later than at …”.</summary>
    public string Said
    {
        get
        {
            var shift = Days switch
            {
                0 => $"as at {At.Name}",
                > 0 => $"{Count(Days)} later than at {At.Name}",
                < 0 => $"{Count(-Days)} earlier than at {At.Name}",
            };
            return $"{(Fruit ? "fruit" : "flowers")} {Window} here, {shift}";
        }
    }

    private static string Count(int days) => days == 1 ? "a day" : $"{days} days";
}
