using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Measuring;

namespace VerdantSieve.Core.Observing;

/// <summary>Says readings and scores in plain words.</summary>
public static class Wording
{
    /// <summary>A reading as a short phrase: "leaves in pairs", "blade 14.5 cm long", "no flowers".</summary>
    public static string Of(Reading reading, Flora flora, LengthStyle style = LengthStyle.Metric)
    {
        var character = flora.Character(reading.Character);
        return reading.Observation switch
        {
            CannotTell => $"{character.Label}: can’t tell",
            StatesSeen seen => Fill(character, Join([.. seen.States.Select(state => ((StateCharacter)character)[state].Label)], seen.Mode == StateMode.AllSeen ? "and" : "or")),
            Counted counted => Fill(character, counted.Usual is { } usual ? $"mostly {usual} ({counted.Low}–{counted.High})" : counted.Low == counted.High ? $"{counted.Low}" : $"{counted.Low}–{counted.High}"),
            Measured measured => Fill(character, Size(measured, ((MeasureCharacter)character).Unit, style)),
            Limited limited => Fill(character, $"{(limited.IsMost ? "up to" : "at least")} {(character is MeasureCharacter of ? About(limited.By) + LengthWords.Say(limited.Limit, of.Unit, style) : $"{limited.Limit:0}")}"),
            Sought { Seen: true } or Today { Seen: true } => Fill(character, ""),
            _ => $"no {Fill(character, "")}"
        };
    }

    /// <summary>A count or a size as it could be typed, so that the parser reads it back; empty for all else.</summary>
    public static string Typed(Observation? observation, Character character, LengthStyle style = LengthStyle.Metric)
    {
        string Say(double value) => character is MeasureCharacter measure ? LengthWords.Say(value, measure.Unit, style) : $"{value:0}";
        string Both(double low, double high) => character is MeasureCharacter measure ? LengthWords.Say(low, high, measure.Unit, style) : low == high ? $"{low:0}" : $"{low:0}–{high:0}";
        return observation switch
        {
            Counted counted => Both(counted.Low, counted.High) + (counted.Usual is { } usual ? $", mostly {usual}" : ""),
            Measured measured => About(measured.By) + Both(measured.Low, measured.High) + (measured.Typical is { } typical ? $", mostly {LengthWords.Number(typical, ((MeasureCharacter)character).Unit, style)}" : ""),
            Limited limited => About(limited.By) + (limited.IsMost ? "up to " : "at least ") + Say(limited.Limit),
            _ => ""
        };
    }

    private static string Size(Measured measured, Botany.MeasureUnit unit, LengthStyle style) => About(measured.By)
        + (measured.Typical is { } typical ? $"mostly {LengthWords.Say(typical, unit, style)} ({LengthWords.Say(measured.Low, measured.High, unit, style)})" : LengthWords.Say(measured.Low, measured.High, unit, style));

    private static string About(MeasuredBy by) => by == MeasuredBy.Ruler ? "" : "about ";

    /// <summary>What a reading was taken on, for "from …"; empty for a fair sample.</summary>
    public static string Of(Origin origin) => origin switch
    {
        Origin.Sucker => "a sucker shoot", Origin.Litter => "litter on the ground", Origin.Hedge => "a clipped plant", Origin.Damaged => "damaged leaves", _ => ""
    };

    /// <summary>A score in words: "usually in pairs, rarely in whorls", "(8–)15–30(–45) cm", "25 Mar – 10 May", "often".</summary>
    public static string Of(Score score, Character character, LengthStyle style = LengthStyle.Metric) => (score, character) switch
    {
        (StateScore states, StateCharacter c) => States(states, c, state => state.Label),
        (RangeScore range, MeasureCharacter c) => Range(range, value => LengthWords.Number(value, c.Unit, style), LengthWords.Unit(c.Unit, style)),
        (RangeScore range, _) => Range(range, value => $"{value:0}", ""),
        (PresenceScore presence, _) => HowOften(presence.Frequency),
        (SeasonScore season, _) => season.Window.ToString(),
        _ => throw new ArgumentOutOfRangeException(nameof(score), score, "Unknown kind of score.")
    };

    /// <summary>A score as what a kind has: "leaves in pairs", "flowers often", "fruit from 5 Jun – 31 Oct".</summary>
    /// <param name="score">The score.</param>
    /// <param name="character">Its character.</param>
    /// <param name="delay">Days by which the season runs late where it is read; 0 at the flora's reference place.</param>
    public static string Has(Score score, Character character, double delay = 0) => score switch
    {
        PresenceScore presence => $"{Fill(character, "")} {HowOften(presence.Frequency)}",
        SeasonScore season => $"{Fill(character, "")} {season.Window.Shifted(delay)}",
        _ => Fill(character, Of(score, character))
    };

    /// <summary>"never", "rarely", "now and then", "often", "nearly always" or "always".</summary>
    public static string HowOften(double frequency) => frequency switch
    {
        <= 0 => "never",
        < 0.1 => "rarely",
        < 0.4 => "now and then",
        < 0.8 => "often",
        < 1 => "nearly always",
        _ => "always"
    };

    /// <summary>The certainty as a person says it.</summary>
    public static string Of(Certainty certainty) => certainty switch { Certainty.Sure => "sure", Certainty.Fair => "fairly sure", _ => "a guess" };

    /// <summary>"a", "a or b", "a, b or c".</summary>
    public static string Join(IReadOnlyList<string> words, string last) =>
        words.Count < 2 ? words.FirstOrDefault() ?? "" : $"{string.Join(", ", words.Take(words.Count - 1))} {last} {words[^1]}";

    private static string Fill(Character character, string value) => character.Phrase.Replace("{}", value, StringComparison.Ordinal).Trim();

    /// <summary>The states of a score, the usual ones first.</summary>
    /// <param name="score">The score.</param>
    /// <param name="character">Its character.</param>
    /// <param name="write">How a state is written.</param>
    public static string States(StateScore score, StateCharacter character, Func<State, string> write)
    {
        var parts = score.States.GroupBy(state => HowUsual(state.Weight)).OrderBy(group => group.Key).Select(group =>
            (group.Key, Words: Join([.. group.Select(state => write(character[state.State]))], "or"))).ToArray();
        return string.Join("; ", parts.Select(part => part.Key switch
        {
            0 => parts.Length > 1 ? $"usually {part.Words}" : part.Words,
            1 => $"sometimes {part.Words}",
            _ => $"rarely {part.Words}"
        }));
    }

    // 0 usual, 1 sometimes, 2 rare: a counted share goes to the nearest word.
    private static int HowUsual(double weight) => weight >= 0.5 ? 0 : weight >= 0.12 ? 1 : 2;

    private static string Range(RangeScore range, Func<double, string> number, string unit)
    {
        var core = range.Low == range.High ? number(range.Low) : $"{number(range.Low)}–{number(range.High)}";
        var least = range.Least is { } a ? $"({number(a)}–)" : "";
        var most = range.Most is { } d ? $"(–{number(d)})" : "";
        return $"{least}{core}{most} {unit}".TrimEnd();
    }
}
