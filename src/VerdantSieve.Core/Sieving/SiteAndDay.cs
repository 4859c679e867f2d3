using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Seasons;

namespace VerdantSieve.Core.Sieving;

/// <summary>What of the circumstances bears on what can be seen: the day, the place, the plant's age, whether it was planted.</summary>
internal readonly record struct SiteAndDay(int? DayOfYear, Position? Here, bool Young, bool Planted)
{
    public static SiteAndDay From(Circumstances circumstances) =>
        new(
            circumstances.Date is { } date ? Math.Min(date.DayOfYear, SeasonWindow.DaysInYear) - 1 : null,
            circumstances.Position,
            circumstances.Age == Age.Young,
            circumstances.Setting == Setting.Planted
        );

    /// <summary>By how many days the season runs later here than at a place; 0 where it is not known where “here” is.</summary>
    public double DelayFrom(Position place) => Here is { } here ? Phenology.HopkinsDelay(place, here) : 0;

    /// <summary>The day of the year at a place when its season stands where it stands here today; null without a date.</summary>
    public int? DayAt(Position place) => DayOfYear is { } day ? SeasonWindow.Wrap((int)Math.Round(day - DelayFrom(place))) : null;

    /// <summary>The part of plants like this one that lack the thing: garden forms, where it was planted.</summary>
    public double Lacking(Character character) => Planted ? character.GardenForm?.Share ?? 0 : 0;
}
