namespace VerdantSieve.Core.Seasons;

/// <summary>What the calendar and the lie of the land say about seeing flowers and fruit.</summary>
public static class Phenology
{
    /// <summary>How far years differ: the standard deviation of a window's end, in days.</summary>
    public const double YearSpread = 10;

    /// <summary>The chance that a plant of a taxon in season shows it: young trees, off years and high crowns do not.</summary>
    public const double ShownInSeason = 0.75;

    /// <summary>The chance of seeing it well outside the season: a second flush, or last year's fruit still hanging.</summary>
    public const double ShownOutOfSeason = 0.015;

    /// <summary>How much rarer flowers and fruit are on a plant that is still young.</summary>
    public const double BorneWhenYoung = 0.15;

    // Old fruit hangs on for weeks after its season; flowers do not.
    private const double FruitLingers = 25;

    /// <summary>How many days later spring comes to <paramref name="here"/> than to <paramref name="reference"/>.</summary>
    /// <remarks>Hopkins' bioclimatic law (A. D. Hopkins, 1918, Periodical events and natural law as guides to
    /// agricultural research and practice): 4 days per degree of latitude northward, per 5 degrees of longitude
    /// eastward and per 122 m (400 ft) upward. The law describes how spring goes over one land mass: across an ocean,
    /// where another begins, the longitude says nothing and is left out.</remarks>
    public static double HopkinsDelay(Position reference, Position here) =>
        4 * (here.Latitude - reference.Latitude)
        + (IsAmerican(reference) == IsAmerican(here) ? 4 * (here.Longitude - reference.Longitude) / 5 : 0)
        + 4 * (here.Elevation - reference.Elevation) / 122;

    private const double MidAtlantic = -30;

    private static bool IsAmerican(Position position) => position.Longitude < MidAtlantic;

    /// <summary>The chance that flowers or fruit are seen on a plant of the taxon on a day of the year.</summary>
    /// <param name="window">The window at the reference place.</param>
    /// <param name="dayOfYear">0 to 364.</param>
    /// <param name="delay">Days by which the season runs late here, from <see cref="HopkinsDelay"/>.</param>
    /// <param name="fruit">Fruit rather than flowers: it hangs on past its season.</param>
    /// <param name="separateSexes">Whether half of the plants can never bear it.</param>
    /// <param name="borne">The share of plants that bear it in season, where all of them can; 0 to 1.</param>
    public static double ChanceSeen(
        SeasonWindow window,
        int dayOfYear,
        double delay,
        bool fruit,
        bool separateSexes,
        double borne = ShownInSeason
    )
    {
        var inside = window.DaysInside((int)Math.Round(dayOfYear - delay));
        var spread = inside < 0 && fruit ? FruitLingers : YearSpread;
        var inSeason = 1 / (1 + Math.Exp(-1.7 * (inside + 0.5) / spread));
        var shown = separateSexes && fruit ? borne / 2 : borne;
        return ShownOutOfSeason + (shown - ShownOutOfSeason) * inSeason;
    }
}
