using System.Globalization;
using VerdantSieve.Core;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Formats;
using VerdantSieve.Core.Measuring;
using VerdantSieve.Core.Seasons;

namespace VerdantSieve.Web.Curating;

/// <summary>What was sent of one score, field by field, and from it the score as it is written.</summary>
/// <param name="Character">The character the score is for.</param>
/// <param name="Fields">The fields by name, as typed.</param>
public sealed record ScoreForm(Character Character, IReadOnlyDictionary<string, string> Fields)
{
    /// <summary>The value that takes a score away.</summary>
    public const string NotScored = "not-scored";

    private static readonly string[] RangeFields = ["least", "low", "high", "most"],
        SeasonFields = ["from", "to"];

    /// <summary>The fields that say what a score is now; empty ones where there is none.</summary>
    public static ScoreForm Of(Character character, Score? score) =>
        new(
            character,
            score is null
                ? []
                : new Scored(character, score).Match<Dictionary<string, string>>(
                    states: Of,
                    count: (_, range) => Of(range),
                    measure: (_, range) => Of(range),
                    presence: (_, presence) => new() { ["often"] = ScoreNotation.Format(new Scored(character, presence)) },
                    season: (_, season) => new() { ["from"] = season.Window.Ends.Start, ["to"] = season.Window.Ends.End }
                )
        );

    /// <summary>The fields of a form that was sent.</summary>
    public static ScoreForm Sent(Character character, IFormCollection form) =>
        new(character, form.ToDictionary(field => field.Key, field => field.Value.ToString().Trim()));

    /// <summary>The field that says how often a state is shown.</summary>
    public static string FieldOf(string state) => $"state-{state}";

    /// <summary>A field as typed; empty where it was left so.</summary>
    public string this[string field] => Fields.GetValueOrDefault(field, "");

    /// <summary>Whether the score is taken away.</summary>
    public bool TakesAway => this[NotScored].Length > 0;

    /// <summary>The score, or what is wrong, at its field.</summary>
    public Outcome<Score> Read() =>
        Character.Match(
            states: States,
            count: _ => Range(""),
            measure: measure => Range(LengthWords.Unit(measure.Unit, LengthStyle.Metric)),
            presence: _ => Parsed("often", this["often"]),
            season: _ => Season()
        );

    /// <summary>The score with what the form does not ask for as it was before: other places of the plant and other countries, the order of
    /// states, how many plants bear, and the condition.</summary>
    public Score Keeping(Score? before, Score after) =>
        after.Match<Score>(
            states: shown =>
                before is StateScore was ? InOrder(shown, was) with { Elsewhere = was.Elsewhere, ByCountry = was.ByCountry } : shown,
            range: range => range,
            presence: presence =>
                presence.When is null && before is PresenceScore { When: { } on } ? presence with { When = on } : presence,
            season: season => before is SeasonScore was ? season with { Borne = was.Borne } : season
        );

    private const string Usual = "usual";

    /// <summary>How often the most usual of several usual states is shown.</summary>
    public const string UsualAndFirst = "first";

    private static Dictionary<string, string> Of(StateCharacter character, StateScore shown)
    {
        var usual = shown.States.Where(state => state.Frequency == Frequency.Usual).ToArray();
        var first = character.UsualFirst && usual.Length > 1 ? usual[0] : null;
        return shown.States.ToDictionary(state => FieldOf(state.State), state => state == first ? UsualAndFirst : Often(state));

        static string Often(StateFrequency state) =>
            ScoreNotation.Often(state.Frequency).TrimEnd() is { Length: > 0 } often ? often : Usual;
    }

    // What was said before stands in the order it had, the one now called first before it.
    private StateScore InOrder(StateScore shown, StateScore before)
    {
        var places = before.States.Select((state, place) => (state.State, place)).ToDictionary(pair => pair.State, pair => pair.place);
        return new([
            .. shown
                .States.OrderBy(state => this[FieldOf(state.State)] != UsualAndFirst)
                .ThenBy(state => places.GetValueOrDefault(state.State, places.Count)),
        ]);
    }

    private static Dictionary<string, string> Of(RangeScore range) =>
        new()
        {
            ["least"] = Written(range.Least),
            ["low"] = Written(range.Low),
            ["high"] = Written(range.High),
            ["most"] = Written(range.Most),
        };

    private static string Written(double? value) => value?.ToString("R", CultureInfo.InvariantCulture) ?? "";

    private Outcome<Score> States(StateCharacter character)
    {
        string[] shown =
        [
            .. character
                .States.Where(state => this[FieldOf(state.Id)].Length > 0)
                .OrderBy(state => this[FieldOf(state.Id)] != UsualAndFirst)
                .Select(state => Often(this[FieldOf(state.Id)]) + state.Id),
        ];
        return shown.Length == 0
            ? new Fault("states", "Say of at least one state how often it is shown, or tick that there is no score.")
            : Parsed("states", string.Join(", ", shown));
    }

    private static string Often(string often) => often is Usual or UsualAndFirst ? "" : often + " ";

    private Outcome<Score> Range(string unit)
    {
        foreach (var field in RangeFields)
            if (Amiss(field) is { } amiss)
                return amiss;
        var least = this["least"].Length > 0 ? $"({this["least"]}–)" : "";
        var high = this["high"].Length > 0 ? $"–{this["high"]}" : "";
        var most = this["most"].Length > 0 ? $"(–{this["most"]})" : "";
        return Parsed("low", $"{least}{this["low"]}{high}{most} {unit}".TrimEnd());
    }

    private Fault? Amiss(string field)
    {
        var typed = this[field];
        if (typed.Length == 0)
            return field == "low" ? new Fault(field, "Give at least the lower end of what is usual.") : null;
        return double.TryParse(typed, NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture, out _)
            ? null
            : new Fault(field, $"“{typed}” is not a number; write it with a point, such as 4.5.");
    }

    private Outcome<Score> Season()
    {
        foreach (var end in SeasonFields)
            if (!SeasonWindow.IsDay(this[end]))
                return new Fault(end, $"“{this[end]}” is no day of the year; write for example 25 Mar.");
        return Parsed("from", $"{this["from"]} – {this["to"]}");
    }

    private Outcome<Score> Parsed(string field, string text) =>
        ScoreNotation
            .Parse(text, Character)
            .Placed(fault => new Fault(field, char.ToUpperInvariant(fault.Message[0]) + fault.Message[1..] + "."));
}
