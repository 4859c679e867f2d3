using System.Diagnostics.CodeAnalysis;
using System.Globalization;
using System.Text.RegularExpressions;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Measuring;
using VerdantSieve.Core.Seasons;

namespace VerdantSieve.Core.Formats;

/// <summary>The one way a score is written, in flora files and in the database alike:
/// <c>opposite, rarely whorled</c>; <c>(8–)15–30(–45) cm</c>; <c>25 Mar – 10 May</c>; <c>always</c>, <c>30 %</c> or <c>never</c>.</summary>
public static partial class ScoreNotation
{
    private static readonly Dictionary<string, Frequency> FrequencyWords = new()
    {
        ["usual"] = Frequency.Usual, ["usually"] = Frequency.Usual, ["sometimes"] = Frequency.Sometimes, ["rare"] = Frequency.Rare, ["rarely"] = Frequency.Rare
    };

    // What is written before the state of each frequency that has a word.
    private static readonly Dictionary<Frequency, string> FrequencyPrefixes = new()
    {
        [Frequency.Usual] = "", [Frequency.Sometimes] = "sometimes ", [Frequency.Rare] = "rarely "
    };

    private static readonly Dictionary<string, double> PresenceWords = new()
    {
        ["always"] = 1, ["usual"] = 0.9, ["often"] = 0.6, ["sometimes"] = 0.25, ["rare"] = 0.05, ["never"] = 0
    };

    /// <summary>Reads a score for a character.</summary>
    /// <param name="text">The score as written.</param>
    /// <param name="character">The character it is for.</param>
    /// <param name="score">The score.</param>
    /// <param name="problem">What is wrong and what is allowed; empty where it is read.</param>
    public static bool TryParse(string text, Character character, [NotNullWhen(true)] out Score? score, out string problem)
    {
        (score, problem) = character switch
        {
            StateCharacter states => States(text, states),
            CountCharacter => Range(text, null),
            MeasureCharacter measure => Range(text, measure),
            PresenceCharacter => Presence(text),
            _ => SeasonWindow.TryParse(text, out var window) ? (new SeasonScore(window.Value), "")
                : (null, $"“{text}” is no span of the calendar; write for example 25 Mar – 10 May")
        };
        return score is not null;
    }

    /// <summary>Writes a score so that <see cref="TryParse"/> reads it back unchanged.</summary>
    public static string Format(Score score, Character character) => score switch
    {
        StateScore states => string.Join(", ", states.States.Select(state =>
            (FrequencyPrefixes.GetValueOrDefault(state.Frequency) ?? $"{Number(Math.Round(state.Weight * 100, 6))}% ") + state.State)),
        RangeScore range => Format(range, character),
        PresenceScore presence => PresenceWords.FirstOrDefault(word => word.Value == presence.Frequency).Key ?? $"{Number(presence.Frequency * 100)} %",
        SeasonScore season => season.Window.ToString(),
        _ => throw new ArgumentOutOfRangeException(nameof(score), score, "Unknown kind of score.")
    };

    private static (Score?, string) States(string text, StateCharacter character)
    {
        var states = new List<StateFrequency>();
        foreach (var item in text.Split([',', ';'], StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries))
        {
            var words = item.Split(' ', 2, StringSplitOptions.TrimEntries);
            var frequency = Frequency.Usual;
            if (words.Length == 2 && !FrequencyWords.TryGetValue(words[0], out frequency) && !TryShare(words[0], out frequency))
                return (null, $"“{words[0]}” is not a frequency; write usual, sometimes, rarely or a share such as 12% before a state");
            var state = words[^1];
            if (character.IndexOf(state) < 0)
                return (null, $"{character.Id} has no state “{state}”; it has {string.Join(", ", character.States.Select(s => s.Id))}");
            if (states.Any(s => s.State == state)) return (null, $"the state “{state}” stands twice");
            states.Add(new StateFrequency(state, frequency));
        }
        return states.Count == 0 ? (null, "names no state") : (new StateScore(states), "");
    }

    private static bool TryShare(string text, out Frequency frequency)
    {
        frequency = Frequency.Usual;
        if (!text.EndsWith('%') || !double.TryParse(text[..^1], NumberStyles.Float, CultureInfo.InvariantCulture, out var percent) || percent is not (> 0 and <= 100)) return false;
        frequency = Frequency.Of(percent / 100);
        return true;
    }

    private static (Score?, string) Range(string text, MeasureCharacter? measure)
    {
        var match = RangePattern().Match(text.Trim());
        var unit = measure is null ? "" : LengthWords.Unit(measure.Unit, LengthStyle.Metric);
        var example = measure is null ? "(3–)5–7(–9)" : $"(8–)15–30(–45) {unit}".TrimEnd();
        if (!match.Success) return (null, $"“{text}” is no range; write for example {example}");
        var written = match.Groups["unit"].Value;
        if (written != unit) return (null, $"the unit here is {(unit.Length == 0 ? "left out" : unit)}, not “{written}”; write for example {example}");

        var low = Value("low")!.Value;
        var score = new RangeScore(Value("least"), low, Value("high") ?? low, Value("most"));
        if (score.Minimum > score.Low || score.Low > score.High || score.High > score.Maximum)
            return (null, $"the range “{text}” is inverted: its numbers must rise from left to right");
        if (score.Minimum < 0 || score.Low <= 0) return (null, $"the range “{text}” must be above 0");
        if (measure is null && score.Maximum > CountCharacter.Largest) return (null, $"a count goes up to {CountCharacter.Largest}");
        return (score, "");

        double? Value(string name) =>
            match.Groups[name].Success ? double.Parse(match.Groups[name].Value, CultureInfo.InvariantCulture) : null;
    }

    private static (Score?, string) Presence(string text)
    {
        if (PresenceWords.TryGetValue(text, out var frequency)) return (new PresenceScore(frequency), "");
        if (text.EndsWith('%') && double.TryParse(text[..^1], NumberStyles.Float, CultureInfo.InvariantCulture, out var percent) && percent is >= 0 and <= 100)
            return (new PresenceScore(percent / 100), "");
        return (null, $"“{text}” is not how often; write {string.Join(", ", PresenceWords.Keys)} or a share such as 30 %");
    }

    private static string Format(RangeScore range, Character character)
    {
        var least = range.Least is { } a ? $"({Number(a)}–)" : "";
        var most = range.Most is { } d ? $"(–{Number(d)})" : "";
        var core = range.Low == range.High ? Number(range.Low) : $"{Number(range.Low)}–{Number(range.High)}";
        var unit = character is MeasureCharacter measure ? LengthWords.Unit(measure.Unit, LengthStyle.Metric) : "";
        return $"{least}{core}{most} {unit}".TrimEnd();
    }

    private static string Number(double value) => value.ToString("R", CultureInfo.InvariantCulture);

    private const string Decimal = @"\d+(?:\.\d+)?";

    [GeneratedRegex($@"^(?:\((?<least>{Decimal})[–-]\))?(?<low>{Decimal})(?:[–-](?<high>{Decimal}))?(?:\([–-](?<most>{Decimal})\))?\s*(?<unit>[a-z]*)$")]
    private static partial Regex RangePattern();
}
