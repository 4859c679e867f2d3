using System.Globalization;
using NodaTime.Text;
using VerdantSieve.Core;
using VerdantSieve.Core.Measuring;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Observing.Speech;

namespace VerdantSieve.Core.Tests.Observing.Speech;

/// <summary>What was heard, as the corpus writes it: <c>margin=serrate|crenate?</c>, <c>blade-length=12.7..20.3</c>,
/// <c>bark-pattern@limb=smooth</c>.</summary>
public static class SpokenNotation
{
    public static IEnumerable<string> Of(Heard heard)
    {
        foreach (var reading in heard.Readings)
            yield return Of(reading.Reading);
        if (heard.Kinds is { } kinds)
            yield return $"among={kinds.Called ?? string.Join('|', kinds.Names)}";
        if (heard.Region is { } region)
            yield return $"region={region}";
        if (heard.Date is { } date)
            yield return $"date={date:yyyy-MM-dd}";
        if (heard.Setting is { } setting)
            yield return $"setting={setting.Word()}";
        if (heard.Age is { } age)
            yield return $"age={age.Word()}";
        if (heard.Stage is { } stage)
            yield return $"stage={stage.Word()}";
    }

    public static string Of(Reading reading)
    {
        var place = reading.On is { } on ? $"@{on.Word()}" : "";
        var sure = reading.Certainty switch
        {
            Certainty.Guess => "?",
            Certainty.Sure => "!",
            Certainty.Fair => "",
        };
        var value = reading.Observation.Match(
            cannotTell: _ => "untold",
            states: States,
            counted: counted => Ends(counted.Low, counted.High) + (counted.Usual is { } usual ? $"~{usual}" : ""),
            measured: measured => (measured.By == MeasuredBy.Ruler ? "" : "about ") + Ends(measured.Low, measured.High),
            limited: limited => (limited.Side == LimitSide.AtMost ? "<=" : ">=") + Number(limited.Limit),
            sought: sought => sought.Seen ? "yes" : "no",
            today: today => today.Seen ? "yes" : "no",
            tallied: tallied => string.Join(",", tallied.Of.Select(line => $"{line.What}*{line.Leaves}")),
            compared: compared => Sign(compared.Is) + compared.Than.Text
        );
        var seenOn = reading.Day is { } day ? $"@{LocalDatePattern.Iso.Format(day)}" : "";
        return $"{reading.Character}{place}{seenOn}={value}{sure}";
    }

    private static string States(StatesSeen seen) =>
        seen.Mode switch
        {
            StateMode.Not => "-" + string.Join("-", seen.States),
            StateMode.AllSeen => string.Join("+", seen.States),
            StateMode.Is or StateMode.Either => string.Join("|", seen.States),
        };

    private static string Sign(Comparison how) =>
        how switch
        {
            Comparison.More => ">",
            Comparison.Less => "<",
            Comparison.Alike => "=",
        };

    private static string Ends(double low, double high) => low == high ? Number(low) : $"{Number(low)}..{Number(high)}";

    private static string Number(double value) => value.ToString("0.#", CultureInfo.InvariantCulture);
}
