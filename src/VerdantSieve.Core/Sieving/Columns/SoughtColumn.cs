using System.Collections.Concurrent;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Seasons;

namespace VerdantSieve.Core.Sieving.Columns;

/// <summary>Looked for, seen or not: shared by presence and season, which differ in where the chance comes from.</summary>
internal abstract class SoughtColumn(Character character, Score?[] scores, Rows rows, SieveModel model) : Column(character, scores, rows, model)
{
    /// <summary>The chance that the thing is there to be seen, for each row; null where nothing is known of the day.</summary>
    public abstract double[]? Chances(Occasion occasion);

    /// <summary>As <see cref="Chances"/>; where nothing is known of the day, one and the same chance for all.</summary>
    public abstract double[]? ChancesOrEven(Occasion occasion);

    public override Likelihood Likelihood(Reading reading, Occasion occasion) =>
        Chances(occasion) is { } chances ? Of(chances, reading.Observation is Sought { Seen: true } or Today { Seen: true }, reading.Certainty) : Columns.Likelihood.Flat(Rows.Count);

    private Likelihood Of(double[] chances, bool seen, Certainty certainty)
    {
        var rate = Model.SlipRate(certainty);
        var (total, fits) = (new double[Rows.Count], new double[Rows.Count]);
        for (var row = 0; row < Rows.Count; row++)
        {
            // Overlooking is a slip as often as the certainty says; seeing what is not there, half as often.
            var (found, imagined) = (chances[row] * (1 - rate), (1 - chances[row]) * rate / 2);
            total[row] = seen ? found + imagined : 1 - found - imagined;
            fits[row] = seen ? found : (1 - chances[row]) * (1 - rate / 2);
        }
        return new Likelihood(total, fits);
    }

    public override IReadOnlyList<double[]> Outcomes(Occasion occasion) =>
        Chances(occasion) is { } chances ? [Of(chances, true, Certainty.Fair).Total, Of(chances, false, Certainty.Fair).Total] : [];
}

internal sealed class PresenceColumn : SoughtColumn
{
    private readonly double[] chances;

    public PresenceColumn(PresenceCharacter character, Score?[] scores, Rows rows, SieveModel model) : base(character, scores, rows, model) =>
        chances = [.. rows.Fill([.. scores.Select(score => score is PresenceScore presence ? new[] { presence.Frequency } : null)], [0.5]).Select(row => row[0])];

    public override double[] Chances(Occasion occasion) =>
        occasion.Lacking(Character) is > 0 and var lacking ? [.. chances.Select(chance => chance * (1 - lacking))] : chances;

    public override double[] ChancesOrEven(Occasion occasion) => Chances(occasion);

    // Absence hardly counts: only a sign that every plant of the taxon has can be missed.
    public override bool Allows(int taxon, Observation observation, Occasion occasion) =>
        Scores[taxon] is not PresenceScore score || (observation is Sought { Seen: true } ? score.Frequency > 0 : score.Frequency < 1 || occasion.Lacking(Character) > 0);
}

internal sealed class SeasonColumn(SeasonCharacter character, Score?[] scores, Position[] windowPlaces, bool[] separateSexes, Rows rows, SieveModel model) : SoughtColumn(character, scores, rows, model)
{
    private readonly bool fruit = character.Id == Vocabulary.Fruiting;
    private readonly Position[] places = [.. windowPlaces.Distinct()];

    // Without a date flowers and fruit say nothing of the kind: the same chance for all.
    private const double UndatedChance = 0.5;

    // A late season is an earlier day at the place a window holds for. The chances of one day are asked for many times
    // over, so the last few hundred are kept; a day is told by the day it makes at each place.
    private const int DaysKept = 500;
    private readonly ConcurrentDictionary<string, double[]> kept = new();

    public override double[]? Chances(Occasion occasion)
    {
        if (occasion.DayOfYear is null) return null;
        var days = places.Select(place => occasion.DayAt(place)!.Value).ToArray();
        if (kept.Count > DaysKept) kept.Clear();
        var chances = kept.GetOrAdd(string.Join(' ', days), _ => ChancesOn(days));
        var borne = (occasion.Young ? Phenology.BorneWhenYoung : 1) * (1 - occasion.Lacking(Character));
        return borne == 1 ? chances : [.. chances.Select(chance => chance * borne)];
    }

    public override Foresight Foresee(Occasion occasion) => Foresight.Of(Outcomes(occasion), null, Rows);

    private double[] ChancesOn(int[] days) =>
        [.. Rows.Fill([.. Scores.Select((score, t) => score is SeasonScore season
            ? new[] { Phenology.ChanceSeen(season.Window, days[Array.IndexOf(places, windowPlaces[t])], 0, fruit, separateSexes[t]) } : null)], [UndatedChance]).Select(row => row[0])];

    public override double[] ChancesOrEven(Occasion occasion) => Chances(occasion) ?? even;

    private readonly double[] even = [.. Enumerable.Repeat(UndatedChance, rows.Count)];

    // Seen well out of season is held; not seen never is, for absence hardly counts.
    private const int Slack = 30;

    public override bool Allows(int taxon, Observation observation, Occasion occasion) =>
        Scores[taxon] is not SeasonScore score || occasion.DayAt(windowPlaces[taxon]) is not { } day || observation is not Today { Seen: true } || score.Window.DaysInside(day) >= -Slack;
}
