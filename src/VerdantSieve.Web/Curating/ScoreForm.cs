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

    /// <summary>The fields that say what a score is now; empty ones where there is none.</summary>
    public static ScoreForm Of(Character character, Score? score)
    {
        var fields = new Dictionary<string, string>();
        switch (score)
        {
            case StateScore states:
                foreach (var item in ScoreNotation.Format(states, character).Split(", "))
                    fields[$"state-{item.Split(' ')[^1]}"] = item.Split(' ') is [var often, _] ? often : "usual";
                break;
            case RangeScore range:
                (fields["least"], fields["low"], fields["high"], fields["most"]) = (Say(range.Least), Say(range.Low), Say(range.High), Say(range.Most));
                break;
            case PresenceScore:
                fields["often"] = ScoreNotation.Format(score, character);
                break;
            case SeasonScore season:
                var ends = season.Window.ToString().Split(" – ");
                (fields["from"], fields["to"]) = (ends[0], ends[1]);
                break;
        }
        return new ScoreForm(character, fields);

        static string Say(double? value) => value?.ToString("R", System.Globalization.CultureInfo.InvariantCulture) ?? "";
    }

    /// <summary>The fields of a form that was sent.</summary>
    public static ScoreForm Sent(Character character, IFormCollection form) => new(character, form.ToDictionary(field => field.Key, field => field.Value.ToString().Trim()));

    /// <summary>A field as typed; empty where it was left so.</summary>
    public string this[string field] => Fields.GetValueOrDefault(field, "");

    /// <summary>Whether the score is taken away.</summary>
    public bool TakesAway => this[NotScored].Length > 0;

    /// <summary>The score, or what is wrong and at which field.</summary>
    public (Score? Score, string Field, string Problem) Read()
    {
        var (text, field) = Character switch
        {
            StateCharacter states => (string.Join(", ", states.States.Where(state => this[$"state-{state.Id}"].Length > 0).Select(state => Often(this[$"state-{state.Id}"]) + state.Id)), "states"),
            CountCharacter or MeasureCharacter => (Range(), "low"),
            PresenceCharacter => (this["often"], "often"),
            _ => ($"{this["from"]} – {this["to"]}", "from")
        };
        if (Character is StateCharacter && text.Length == 0) return (null, field, "Say of at least one state how often it is shown, or tick that there is no score.");
        if (Character is CountCharacter or MeasureCharacter && Amiss() is { } amiss) return (null, amiss.Field, amiss.Problem);
        if (Character is SeasonCharacter && new[] { "from", "to" }.FirstOrDefault(end => !SeasonWindow.TryParse($"{this[end]} – {this[end]}", out _)) is { } wrong)
            return (null, wrong, $"“{this[wrong]}” is no day of the year; write for example 25 Mar.");
        return ScoreNotation.TryParse(text, Character, out var score, out var problem) ? (score, "", "") : (null, field, char.ToUpperInvariant(problem[0]) + problem[1..] + ".");
    }

    private static string Often(string often) => often == "usual" ? "" : often + " ";

    private string Range()
    {
        var unit = Character is MeasureCharacter measure ? LengthWords.Unit(measure.Unit, LengthStyle.Metric) : "";
        return $"{(this["least"].Length > 0 ? $"({this["least"]}–)" : "")}{this["low"]}{(this["high"].Length > 0 ? $"–{this["high"]}" : "")}{(this["most"].Length > 0 ? $"(–{this["most"]})" : "")} {unit}".TrimEnd();
    }

    // Which of the four numbers is no number.
    private (string Field, string Problem)? Amiss()
    {
        foreach (var field in new[] { "least", "low", "high", "most" })
        {
            if (this[field].Length == 0 && field != "low") continue;
            if (!double.TryParse(this[field], System.Globalization.NumberStyles.AllowDecimalPoint, System.Globalization.CultureInfo.InvariantCulture, out _))
                return (field, this[field].Length == 0 ? "Give at least the lower end of what is usual." : $"“{this[field]}” is not a number; write it with a point, such as 4.5.");
        }
        return null;
    }
}
