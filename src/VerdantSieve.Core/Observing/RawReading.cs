using NodaTime.Text;
using VerdantSieve.Core.Measuring;

namespace VerdantSieve.Core.Observing;

/// <summary>A reading as it arrives from a form or a request, or as it is kept, before it is checked against a flora.</summary>
public sealed record RawReading(string? Character)
{
    /// <summary>The states named.</summary>
    public IReadOnlyList<string>? States { get; init; }

    /// <summary><c>is</c>, <c>either</c>, <c>all-seen</c> or <c>not</c>; <c>is</c> where left out.</summary>
    public string? Mode { get; init; }

    /// <summary>A count, or a measure in <see cref="Unit"/>.</summary>
    public double? Value { get; init; }

    /// <summary>The least of several.</summary>
    public double? Low { get; init; }

    /// <summary>The most of several.</summary>
    public double? High { get; init; }

    /// <summary>The usual one of several.</summary>
    public double? Mean { get; init; }

    /// <summary>Several values, one for each leaf.</summary>
    public IReadOnlyList<double>? Values { get; init; }

    /// <summary>A limit on one side: no leaf is larger.</summary>
    public double? AtMost { get; init; }

    /// <summary>A limit on one side: no leaf is smaller.</summary>
    public double? AtLeast { get; init; }

    /// <summary><c>ruler</c>, <c>hand</c> or <c>eye</c>; <c>ruler</c> where left out.</summary>
    public string? By { get; init; }

    /// <summary><c>fair-sample</c>, <c>sucker</c>, <c>litter</c>, <c>hedge</c> or <c>damaged</c>; <c>fair-sample</c> where left
    /// out.</summary>
    public string? Origin { get; init; }

    /// <summary>A count, a measure or a range as typed; instead of the numbers.</summary>
    public string? Text { get; init; }

    /// <summary>The unit of the numbers; the character's own where left out.</summary>
    public string? Unit { get; init; }

    /// <summary>Where on the plant it was read: <c>base</c>, <c>trunk</c>, <c>limb</c>, <c>young</c>, <c>tip</c>, <c>older</c>,
    /// <c>sun</c>, <c>shade</c>, <c>sucker</c> or <c>litter</c>; no place where left out.</summary>
    public string? On { get; init; }

    /// <summary>The day it was read, as year-month-day; that of the look where left out.</summary>
    public string? Date { get; init; }

    /// <summary>How many leaves showed which state or number.</summary>
    public IReadOnlyDictionary<string, int>? Tally { get; init; }

    /// <summary>The taxon it is held against, by name or synonym.</summary>
    public string? Than { get; init; }

    /// <summary><c>less</c>, <c>more</c> or <c>alike</c>: how it stands to that taxon.</summary>
    public string? Is { get; init; }

    /// <summary>How many leaves were measured; 1 where left out.</summary>
    public int? Leaves { get; init; }

    /// <summary>Whether a thing looked for was seen.</summary>
    public bool? Seen { get; init; }

    /// <summary>Whether there are flowers or fruit today.</summary>
    public bool? Today { get; init; }

    /// <summary>Looked, but can't tell.</summary>
    public bool Unknown { get; init; }

    /// <summary><c>sure</c>, <c>fair</c> or <c>guess</c>; <c>fair</c> where left out.</summary>
    public string? Certainty { get; init; }

    /// <summary>Whether it was read of a character at a place on the plant; of no one place where <paramref name="on"/> is null or
    /// empty.</summary>
    public bool IsOf(string? character, string? on) => Character == character && (On ?? "") == (on ?? "");

    /// <summary>Whether two readings stand in one place of a look, which keeps one of them: they are of one character at one place on the
    /// plant.</summary>
    public bool IsInPlaceOf(RawReading other) => IsOf(other.Character, other.On);

    /// <summary>A reading written so that <see cref="ReadingDesk.Check"/> reads it back unchanged.</summary>
    public static RawReading From(Reading reading)
    {
        var raw = new RawReading(reading.Character)
        {
            Certainty = reading.Certainty.Word(),
            Origin = reading.Origin == Observing.Origin.FairSample ? null : reading.Origin.Word(),
            On = reading.On?.Word(),
            Date = reading.Day is { } day ? LocalDatePattern.Iso.Format(day) : null,
        };
        return reading.Observation.Match(
            cannotTell: _ => raw with { Unknown = true },
            states: seen => raw with { States = seen.States, Mode = seen.Mode.Word() },
            counted: counted => raw with { Low = counted.Low, High = counted.High, Mean = counted.Usual },
            measured: measured =>
                raw with
                {
                    Low = measured.Low,
                    High = measured.High,
                    Leaves = measured.Leaves,
                    Mean = measured.Typical,
                    By = Written(measured.By),
                },
            limited: limited =>
                raw with
                {
                    AtMost = limited.Side == LimitSide.AtMost ? limited.Limit : null,
                    AtLeast = limited.Side == LimitSide.AtLeast ? limited.Limit : null,
                    By = Written(limited.By),
                },
            sought: sought => raw with { Seen = sought.Seen },
            today: today => raw with { Today = today.Seen },
            tallied: tallied => raw with { Tally = tallied.Of.ToDictionary(line => line.What, line => line.Leaves) },
            compared: compared => raw with { Than = compared.Than.Text, Is = compared.Is.Word() }
        );
    }

    private static string? Written(MeasuredBy by) => by == MeasuredBy.Ruler ? null : by.Word();
}
