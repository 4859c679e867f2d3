using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Seasons;

namespace VerdantSieve.Core.Sieving;

/// <summary>What of the circumstances bears on what can be seen: the day, how late the season runs there, the plant's age, whether it was planted.</summary>
internal readonly record struct Occasion(int? DayOfYear, double Delay, bool Young, bool Planted)
{
    public static Occasion From(Circumstances circumstances, Flora flora) => new(
        circumstances.Date is { } date ? Math.Min(date.DayOfYear, SeasonWindow.DaysInYear) - 1 : null,
        circumstances.Position is { } here ? Phenology.HopkinsDelay(flora.About.ReferencePlace, here) : 0,
        circumstances.Age == Age.Young, circumstances.Setting == Setting.Planted);

    /// <summary>The day of the year at the reference place when its season stands where it stands here today; null without a date.</summary>
    public int? ReferenceDay => DayOfYear is { } day ? SeasonWindow.Wrap((int)Math.Round(day - Delay)) : null;

    /// <summary>The part of plants like this one that lack the thing: garden forms, where it was planted.</summary>
    public double Lacking(Character character) => Planted ? character.GardenForm?.Share ?? 0 : 0;
}
