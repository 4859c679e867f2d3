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
        ["usual"] = Frequency.Usual,
        ["usually"] = Frequency.Usual,
        ["sometimes"] = Frequency.Sometimes,
        ["rare"] = Frequency.Rare,
        ["rarely"] = Frequency.Rare,
    };

    // What is written before the state of each frequency that has a word.
    private static readonly Dictionary<Frequency, string> FrequencyPrefixes = new()
    {
        [Frequency.Usual] = "",
        [Frequency.Sometimes] = "sometimes ",
        [Frequency.Rare] = "rarely ",
    };

    private static readonly Dictionary<string, double> PresenceWords = new()
    {
        ["always"] = 1,
        ["usual"] = 0.9,
        ["often"] = 0.6,
        ["sometimes"] = 0.25,
        ["rare"] = 0.05,
        ["never"] = 0,
    };

    /// <summary>Reads a score for a character.</summary>
    /// <param name="text">The score as written.</param>
    /// <param name="character">The character it is for.</param>
    /// <returns>The score, or what is wrong and what is allowed, in lower case and without a full stop.</returns>
    public static Outcome<Score> Parse(string text, Character character) =>
        character.Match(
            states: states => States(text, states),
            count: _ => Range(text, null),
            measure: measure => Range(text, measure),
            presence: _ => Presence(text),
            season: _ => Season(text)
        );

    /// <summary>Writes a score so that <see cref="Parse"/> reads it back unchanged.</summary>
    public static string Format(Scored scored) =>
        scored.Match(
            states: (_, shown) =>
                string.Concat(
                    shown
                        .Elsewhere.OrderBy(place => place.Key)
                        .Select(place => $"; {place.Key.Word()}: {Listed(place.Value)}")
                        .Prepend(Listed(shown))
                        .Concat(Countries(shown))
                ),
            count: (_, range) => range.Write(Number),
            measure: (character, range) => $"{range.Write(Number)} {Unit(character)}".TrimEnd(),
            presence: (_, presence) =>
                (PresenceWords.FirstOrDefault(word => word.Value == presence.Frequency).Key ?? $"{Number(presence.Frequency * 100)} %")
                + (presence.When is { } condition ? $" {When} {condition}" : ""),
            season: (_, season) =>
                season.Borne is { } borne ? $"{season.Window}, {Number(Math.Round(borne * 100, 6))} %" : $"{season.Window}"
        );

    // "1 Aug – 31 Oct" or "1 Aug – 31 Oct, 60 %": when, and how many plants then bear it.
    private static Outcome<Score> Season(string text)
    {
        var parts = text.Split(',', 2, StringSplitOptions.TrimEntries);
        var window = SeasonWindow.Parse(parts[0]);
        if (parts.Length == 1)
            return window.Map(Score (one) => new SeasonScore(one));
        return Percent(parts[1]) is > 0 and var percent
            ? window.Map(Score (one) => new SeasonScore(one) { Borne = percent / 100 })
            : Wrong(text, $"“{parts[1]}” is not how many plants bear it; write a share such as 60 %");
    }

    // Countries with the same score stand together.
    private static IEnumerable<string> Countries(StateScore shown) =>
        shown
            .ByCountry.GroupBy(pair => pair.Value, pair => pair.Key)
            .Select(group => (Codes: string.Join(' ', group.Order(StringComparer.Ordinal)), Shown: group.Key))
            .OrderBy(group => group.Codes, StringComparer.Ordinal)
            .Select(group => $"; {group.Codes}: {Listed(group.Shown)}");

    private static string Listed(StateScore shown) => string.Join(", ", shown.States.Select(Format));

    /// <summary>A state as it is written in a score, with how often before it.</summary>
    private static string Format(StateFrequency state) => Often(state.Frequency) + state.State;

    /// <summary>How often a state is shown, as it is written before it: empty, <c>sometimes </c>, <c>rarely </c> or a share such as <c>12%
    /// </c>.</summary>
    public static string Often(Frequency frequency) =>
        FrequencyPrefixes.GetValueOrDefault(frequency) ?? $"{Number(Math.Round(frequency.Weight * 100, 6))}% ";

    /// <summary>A score of a taxon; empty where it has none.</summary>
    public static string Format(Taxon taxon, Character character) =>
        taxon.Score(character.Id) is { } score ? Format(new Scored(character, score)) : "";

    private static Fault Wrong(string text, string message) => Fault.AtField("score", text, message);

    // "blocks, plates; limb: smooth; GRB IRE: scales": what it shows, and what elsewhere on the plant or in other countries.
    private static Outcome<Score> States(string text, StateCharacter character)
    {
        var (here, elsewhere) = (new List<string>(), new Dictionary<PlantPlace, StateScore>());
        var byCountry = new Dictionary<string, StateScore>();
        foreach (var part in text.Split(';', StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries))
        {
            if (part.Split(':', 2, StringSplitOptions.TrimEntries) is not [var at, var shown])
            {
                here.Add(part);
                continue;
            }
            var codes = at.Split(' ', StringSplitOptions.RemoveEmptyEntries);
            if (codes.Length > 0 && codes.All(Regions.Exists))
            {
                var inCountry = Shown(shown, character);
                if (!inCountry.Has(out var score))
                    return Outcome.Faulty<Score>(inCountry.Faults);
                if (codes.FirstOrDefault(code => !byCountry.TryAdd(code, score)) is { } twice)
                    return Wrong(text, $"the country {twice} stands twice");
                continue;
            }
            // People write limbs as well as limb.
            if (!EnumWords.TryRead<PlantPlace>(at, out var place) && !EnumWords.TryRead(at.TrimEnd('s'), out place))
                return Wrong(
                    text,
                    $"“{at}” is neither a country’s code nor a place on a plant, which are {string.Join(", ", EnumWords.All<PlantPlace>())}"
                );
            var there = Shown(shown, character);
            if (!there.Has(out var thereShown))
                return Outcome.Faulty<Score>(there.Faults);
            if (!elsewhere.TryAdd(place, thereShown))
                return Wrong(text, $"the place “{place.Word()}” stands twice");
        }
        return Shown(string.Join(", ", here), character).Map(Score (score) => score with { Elsewhere = elsewhere, ByCountry = byCountry });
    }

    private static Outcome<StateScore> Shown(string text, StateCharacter character)
    {
        var states = new List<StateFrequency>();
        foreach (var item in text.Split(',', StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries))
        {
            var words = item.Split(' ', 2, StringSplitOptions.TrimEntries);
            var frequency = Frequency.Usual;
            if (words.Length == 2 && !FrequencyWords.TryGetValue(words[0], out frequency) && !TryShare(words[0], out frequency))
                return Wrong(
                    text,
                    $"“{words[0]}” is not a frequency; write usual, sometimes, rarely or a share such as 12% before a state"
                );
            var state = words[^1];
            if (character.IndexOf(state) < 0)
                return Wrong(
                    text,
                    $"{character.Id} has no state “{state}”; it has {string.Join(", ", character.States.Select(s => s.Id))}"
                );
            if (states.Any(s => s.State == state))
                return Wrong(text, $"the state “{state}” stands twice");
            states.Add(new StateFrequency(state, frequency));
        }
        return states.Count == 0 ? Wrong(text, "names no state") : new StateScore(states);
    }

    private static bool TryShare(string text, out Frequency frequency)
    {
        frequency = Frequency.Usual;
        if (Percent(text) is not (> 0 and var percent))
            return false;
        frequency = Frequency.Of(percent / 100);
        return true;
    }

    // The number before a per cent sign, 0 to 100; null for all else.
    internal static double? Percent(string text) =>
        text.EndsWith('%')
        && double.TryParse(text[..^1], NumberStyles.Float, CultureInfo.InvariantCulture, out var percent)
        && percent is >= 0 and <= 100
            ? percent
            : null;

    private static Outcome<Score> Range(string text, MeasureCharacter? measure)
    {
        var match = RangePattern().Match(text.Trim());
        var unit = measure is null ? "" : Unit(measure);
        var example = measure is null ? "(3–)5–7(–9)" : $"(8–)15–30(–45) {unit}".TrimEnd();
        if (!match.Success)
            return Wrong(text, $"“{text}” is no range; write for example {example}");
        var written = match.Groups["unit"].Value;
        if (written != unit)
            return Wrong(text, $"the unit here is {(unit.Length == 0 ? "left out" : unit)}, not “{written}”; write for example {example}");

        var low = Value("low")!.Value;
        return RangeScore
            .Of(Value("least"), low, Value("high") ?? low, Value("most"), text)
            .Then(range =>
                measure is null && range.Maximum > CountCharacter.Largest
                    ? Wrong(text, $"a count goes up to {CountCharacter.Largest}")
                    : Outcome.Of<Score>(range)
            );

        double? Value(string name) =>
            match.Groups[name].Success ? double.Parse(match.Groups[name].Value, CultureInfo.InvariantCulture) : null;
    }

    private const string When = "when";

    // "always" or "always when habit=climber"; people write "habit is climber", too.
    private static Outcome<Score> Presence(string text)
    {
        if (text.Split($" {When} ", 2, StringSplitOptions.TrimEntries) is not [var often, var condition])
            return HowOften(text);
        var on = Condition.Parse(condition.Replace(" is ", "=", StringComparison.Ordinal));
        return on.IsPresence
            ? Wrong(text, $"“{condition}” is no condition; write for example habit=climber")
            : HowOften(often).Map(Score (score) => (PresenceScore)score with { When = on });
    }

    private static Outcome<Score> HowOften(string text)
    {
        if (PresenceWords.TryGetValue(text, out var frequency))
            return new PresenceScore(frequency);
        if (Percent(text) is { } percent)
            return new PresenceScore(percent / 100);
        return Wrong(text, $"“{text}” is not how often; write {string.Join(", ", PresenceWords.Keys)} or a share such as 30 %");
    }

    private static string Unit(MeasureCharacter measure) => LengthWords.Unit(measure.Unit, LengthStyle.Metric);

    private static string Number(double value) => value.ToString("R", CultureInfo.InvariantCulture);

    private const string Decimal = @"\d+(?:\.\d+)?";

    [GeneratedRegex(
        $@"^(?:\((?<least>{Decimal})[–-]\))?(?<low>{Decimal})(?:[–-](?<high>{Decimal}))?(?:\([–-](?<most>{Decimal})\))?\s*(?<unit>[a-z]*)$"
    )]
    private static partial Regex RangePattern();
}
