using NodaTime;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Seasons;

namespace VerdantSieve.Core.Sieving;

/// <summary>What of the circumstances bears on what can be seen: the day, the place, the plant's age, whether it was planted.</summary>
internal readonly record struct SiteAndDay(int? DayOfYear, Position? Here, bool Young, bool Planted)
{
    /// <summary>The part of the garden forms' shares that counts: all where it was planted, some where that is not said, none in the
    /// wild.</summary>
    public double GardenForms { get; init; }

    /// <summary>The plant's sex, where it is known.</summary>
    public PlantSex? Sex { get; init; }

    /// <summary>The botanical country; null where it is not known.</summary>
    public string? Country { get; init; }

    /// <summary>How far a plant that loses its leaves is with them, as was said or as day and place tell; null where neither is
    /// known.</summary>
    public LeafStage? Stage { get; init; }

    /// <summary>Whether the stage was said of this very plant.</summary>
    public bool StageIsSaid { get; init; }

    // How often a plant of which nothing is said was planted: a choice.
    private const double MayBePlanted = 0.3;

    public static SiteAndDay From(Circumstances circumstances)
    {
        int? day = circumstances.Date is { } date ? DayOf(date) : null;
        // A country without a nearer place is taken at its centre.
        var here = circumstances.Position ?? (circumstances.Region is { } region ? Regions.CentreOf(region) : null);
        return new(day, here, circumstances.Age == Age.Young, circumstances.Setting == Setting.Planted)
        {
            Country = circumstances.Region,
            Sex = circumstances.Sex,
            GardenForms = circumstances.Setting switch
            {
                Setting.Planted => 1,
                Setting.Wild => 0,
                null => MayBePlanted,
            },
            Stage = circumstances.Stage ?? (day is { } known && here is { } place ? LeafYear.StageOn(known, place) : null),
            StageIsSaid = circumstances.Stage is not null,
        };
    }

    /// <summary>The same on another day. What was said of the plant's leaves held for its own day.</summary>
    public SiteAndDay On(LocalDate date)
    {
        var day = DayOf(date);
        if (day == DayOfYear)
            return this;
        return this with { DayOfYear = day, Stage = Here is { } place ? LeafYear.StageOn(day, place) : null, StageIsSaid = false };
    }

    private static int DayOf(LocalDate date) => Math.Min(date.DayOfYear, SeasonWindow.DaysInYear) - 1;

    /// <summary>By how many days the season runs later here than at a place; 0 where it is not known where “here” is.</summary>
    public double DelayFrom(Position place) => Here is { } here ? Phenology.HopkinsDelay(place, here) : 0;

    /// <summary>The day of the year at a place when a season of its stands where it stands here today; null without a date.</summary>
    public int? DayAt(Position place, SeasonCharacter season) =>
        DayOfYear is { } day ? SeasonWindow.Wrap((int)Math.Round(day - season.DelayWith(DelayFrom(place)))) : null;

    /// <summary>The part of plants like this one that lack the thing: garden forms, where it was planted.</summary>
    public double Lacking(Character character) => Planted ? character.GardenForm?.Share ?? 0 : 0;
}
