namespace VerdantSieve.Core.Seasons;

/// <summary>How the year goes for plants that lose their leaves.</summary>
public static class LeafYear
{
    // The first day of each stage in northern Oregon near the sea (from memory), counted from 0.
    private static readonly (int From, LeafStage Stage, bool Spring)[] Stages =
    [
        (63, LeafStage.Bud, true),
        (90, LeafStage.Leafing, true),
        (120, LeafStage.Leaf, true),
        (273, LeafStage.Turning, false),
        (297, LeafStage.LeafFall, false),
        (328, LeafStage.Leafless, false),
    ];
    private static readonly Position Reference = new(45.5, -122.7, 60);

    // Autumn comes earlier where spring comes later, but not by as much; and no country is farther off than so many days.
    private const double OfSpring = 0.25;
    private const double MostDays = 45;

    /// <summary>The stage that most plants which lose their leaves have reached.</summary>
    /// <param name="dayOfYear">0 to 364.</param>
    /// <param name="here">The place; null where it is not known, and the reference stands for it.</param>
    /// <remarks>Spring is shifted by Hopkins' law (see <see cref="Phenology.HopkinsDelay"/>), autumn by a quarter as much the other way;
    /// days at
    /// the reference and the quarter are choices.</remarks>
    public static LeafStage StageOn(int dayOfYear, Position? here)
    {
        var delay = SpringDelay(here);
        var reached = LeafStage.Leafless;
        foreach (var (from, stage, spring) in Stages)
            if (dayOfYear >= from + (spring ? delay : AutumnDelay(delay)))
                reached = stage;
        return reached;
    }

    private static double SpringDelay(Position? here) =>
        here is { } place ? Math.Clamp(Phenology.HopkinsDelay(Reference, place), -MostDays, MostDays) : 0;

    /// <summary>By how many days autumn runs late where spring does by so many: a quarter as much the other way, and at most eleven days (a
    /// choice).</summary>
    public static double AutumnDelay(double spring) => -OfSpring * Math.Clamp(spring, -MostDays, MostDays);

    // How much of the delay of spring is left in summer: a choice.
    private const double OfSummer = 0.5;

    /// <summary>The day of the year that people mean by a part of it, 0 to 364.</summary>
    /// <param name="part">The part.</param>
    /// <param name="here">The place; null where it is not known, and the reference stands for it.</param>
    /// <remarks>The days at the reference are from memory, common practice without a source; they are shifted as the stages are.</remarks>
    internal static int DayOf(YearPart part, Position? here)
    {
        var spring = SpringDelay(here);
        var (day, delay) = part switch
        {
            YearPart.EarlySpring => (75, spring),
            YearPart.Spring => (105, spring),
            YearPart.LateSpring => (135, spring),
            YearPart.EarlySummer => (160, OfSummer * spring),
            YearPart.Summer => (195, OfSummer * spring),
            YearPart.LateSummer => (232, 0),
            YearPart.EarlyAutumn => (262, AutumnDelay(spring)),
            YearPart.Autumn => (283, AutumnDelay(spring)),
            YearPart.LateAutumn => (310, AutumnDelay(spring)),
            YearPart.EarlyWinter => (345, 0),
            YearPart.Winter => (15, 0),
            YearPart.LateWinter => (45, 0),
        };
        return (int)Math.Round(day + delay);
    }

    /// <summary>The chance that a plant which loses its leaves has some to look at, 0 to 1 (choices).</summary>
    public static double ChanceOfLeaves(LeafStage stage) =>
        stage switch
        {
            LeafStage.Leafless => 0.02,
            LeafStage.Bud => 0.05,
            LeafStage.Leafing => 0.7,
            LeafStage.Leaf => 1,
            LeafStage.Turning => 0.95,
            LeafStage.LeafFall => 0.5,
        };
}
