using System.Collections.Concurrent;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Seasons;

namespace VerdantSieve.Core.Sieving.Columns;

internal sealed class SeasonColumn : SoughtColumn
{
    // Without a date flowers and fruit say nothing of the kind: the same chance for all.
    private const double UndatedChance = 0.5;

    // Seen well out of season is held; not seen never is, for absence hardly counts.
    private const int Slack = 30;

    // The chances of one day are asked for many times over, so those of the last days are kept.
    private const int DaysKept = 600;
    private readonly ConcurrentDictionary<string, OneDay> kept = new();

    private readonly bool fruit;
    private readonly SeasonCharacter season;
    private readonly Position[] windowPlaces,
        places;
    private readonly bool[] separateSexes;
    private readonly double[] undated;

    /// <param name="character">The character.</param>
    /// <param name="source">What every column is made of.</param>
    /// <param name="windowPlaces">The place that the window of each taxon holds for.</param>
    /// <param name="separateSexes">Whether male and female plants of each taxon stand apart.</param>
    public SeasonColumn(SeasonCharacter character, ColumnSource source, Position[] windowPlaces, bool[] separateSexes)
        : base(character, source)
    {
        fruit = character.Id == CharacterIds.Fruiting;
        season = character;
        (this.windowPlaces, this.separateSexes) = (windowPlaces, separateSexes);
        places = [.. windowPlaces.Distinct()];
        undated = [.. Enumerable.Repeat(UndatedChance, Rows.Count)];
    }

    private sealed record OneDay(double[] Chances)
    {
        public ExpectedOutcomes? Expected { get; set; }
    }

    public override bool CanBeAsked(SiteAndDay when) => when.DayOfYear is not null;

    protected override double[]? Chances(SiteAndDay when) => On(when)?.Chances;

    public override double[] ChanceOn(SiteAndDay when) => Chances(when) ?? undated;

    public override ExpectedOutcomes Expected(SiteAndDay when) =>
        On(when) is { } day ? day.Expected ??= new ExpectedOutcomes(Outcomes(when), null, Rows) : new ExpectedOutcomes([], null, Rows);

    protected override Observation Observed(bool seen) => new Today(seen);

    public override Func<Row, bool> Allowing(Reading reading, SiteAndDay when) =>
        reading.Observation.OfSought()
            ? taxon =>
                ScoreOf(taxon) is not SeasonScore score
                || when.DayAt(windowPlaces[taxon.Index], season) is not { } day
                || score.Window.DaysInside(day) >= -Slack
            : _ => true;

    private sealed record Asked(SiteAndDay When, OneDay Day);

    private volatile Asked? last;

    private OneDay? On(SiteAndDay when)
    {
        if (when.DayOfYear is null)
            return null;
        // One request asks for its own day again and again.
        if (last is { } same && same.When == when)
            return same.Day;
        // A late season is an earlier day at the place a window holds for: a day is told by the day it makes at each place.
        int[] days = [.. places.Select(place => when.DayAt(place, season)!.Value)];
        var borne = (when.Young && !season.InAutumn ? Phenology.BorneWhenYoung : 1) * (1 - when.Lacking(Character));
        if (kept.Count > DaysKept)
            kept.Clear();
        var key = FormattableString.Invariant($"{string.Join(' ', days)} {borne:R} {when.Sex}");
        var day = kept.GetOrAdd(key, _ => new OneDay(ChancesOn(days, borne, when.Sex)));
        last = new Asked(when, day);
        return day;
    }

    private double[] ChancesOn(int[] days, double borne, PlantSex? sex)
    {
        var chances = Scores.Select((score, t) => score is SeasonScore own ? new[] { ChanceIn(own, days, t, sex) } : null).ToArray();
        return [.. Rows.Fill(chances, [UndatedChance]).Select(row => row[0] * borne)];
    }

    // Of a plant whose sex is known it is known whether it can bear fruit.
    private double ChanceIn(SeasonScore score, int[] days, int taxon, PlantSex? sex) =>
        fruit && separateSexes[taxon] && sex == PlantSex.Male
            ? 0
            : Phenology.ChanceSeen(
                score.Window,
                days[Array.IndexOf(places, windowPlaces[taxon])],
                0,
                fruit,
                separateSexes[taxon] && sex is null,
                score.Borne ?? season.Borne
            );
}
