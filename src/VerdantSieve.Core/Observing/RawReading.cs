using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Measuring;

namespace VerdantSieve.Core.Observing;

/// <summary>A reading as it arrives from a form or a request, before it is checked against a flora.</summary>
public sealed record RawReading(string? Character)
{
    /// <summary>The states named.</summary>
    public IReadOnlyList<string>? States { get; init; }
    /// <summary><c>is</c>, <c>either</c> or <c>all-seen</c>; <c>is</c> where left out.</summary>
    public string? Mode { get; init; }
    /// <summary>A count, or a measure in <see cref="Unit"/>.</summary>
    public double? Value { get; init; }
    /// <summary>The least of several.</summary>
    public double? Low { get; init; }
    /// <summary>The most of several.</summary>
    public double? High { get; init; }
    /// <summary>A count, a measure or a range as typed; instead of the numbers.</summary>
    public string? Text { get; init; }
    /// <summary>The unit of the numbers; the character's own where left out.</summary>
    public string? Unit { get; init; }
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

    /// <summary>A reading written so that <see cref="ReadingDesk.Check"/> reads it back unchanged.</summary>
    public static RawReading From(Reading reading)
    {
        var raw = new RawReading(reading.Character)
        {
            Certainty = ReadingDesk.Certainties.First(pair => pair.Value == reading.Certainty).Key
        };
        return reading.Observation switch
        {
            StatesSeen seen => raw with { States = seen.States, Mode = ReadingDesk.Modes.First(pair => pair.Value == seen.Mode).Key },
            Counted counted => raw with { Low = counted.Low, High = counted.High },
            Measured measured => raw with { Low = measured.Low, High = measured.High, Leaves = measured.Leaves },
            Sought sought => raw with { Seen = sought.Seen },
            Today today => raw with { Today = today.Seen },
            _ => raw with { Unknown = true }
        };
    }
}

/// <summary>What is wrong with one field, the value it had, and what is allowed.</summary>
public sealed record FieldProblem(string Field, string? Value, string Allowed)
{
    /// <summary>The problem as a sentence.</summary>
    public string Sentence => Value is null or "" ? $"{Field}: {Allowed}" : $"{Field}: “{Value}” can’t be used. {Allowed}";
}

/// <summary>A reading, or what is wrong with it; never both.</summary>
public readonly record struct CheckedReading(Reading? Reading, FieldProblem? Problem);

/// <summary>Turns raw readings into readings a flora understands. The web pages and the API both come in this way.</summary>
public static class ReadingDesk
{
    /// <summary>The modes by the names they are written with.</summary>
    public static readonly IReadOnlyDictionary<string, StateMode> Modes =
        new Dictionary<string, StateMode> { ["is"] = StateMode.Is, ["either"] = StateMode.Either, ["all-seen"] = StateMode.AllSeen };

    /// <summary>The certainties by the names they are written with.</summary>
    public static readonly IReadOnlyDictionary<string, Certainty> Certainties =
        new Dictionary<string, Certainty> { ["guess"] = Certainty.Guess, ["fair"] = Certainty.Fair, ["sure"] = Certainty.Sure };

    /// <summary>Checks a raw reading against the flora's characters.</summary>
    public static CheckedReading Check(RawReading raw, Flora flora)
    {
        var character = raw.Character is null ? null : flora.FindCharacter(raw.Character);
        if (character is null)
            return Wrong("character", raw.Character, "It must be the id of a character of this flora, such as arrangement or blade-length.");
        if (!Certainties.TryGetValue(raw.Certainty ?? "fair", out var certainty))
            return Wrong("certainty", raw.Certainty, "It must be sure, fair or guess.");
        if (raw.Unknown) return new CheckedReading(new Reading(character.Id, new CannotTell(), certainty), null);

        var (observation, problem) = character switch
        {
            StateCharacter states => CheckStates(raw, states),
            CountCharacter => CheckCount(raw),
            MeasureCharacter measure => CheckMeasure(raw, measure),
            PresenceCharacter when raw.Seen is { } seen => (new Sought(seen), null),
            PresenceCharacter => Bad("seen", null, "Say true (seen) or false (looked, not seen)."),
            _ when raw.Today is { } today => (new Today(today), null),
            _ => Bad("today", null, "Say true (there are some today) or false (looked, none).")
        };
        return observation is null ? new CheckedReading(null, problem) : new CheckedReading(new Reading(character.Id, observation, certainty), null);
    }

    private static (Observation?, FieldProblem?) CheckStates(RawReading raw, StateCharacter character)
    {
        var allowed = "It must be one of: " + string.Join(", ", character.States.Select(state => state.Id)) + ".";
        if (raw.States is not { Count: > 0 } named) return Bad("states", null, "Name at least one state. " + allowed);
        if (named.FirstOrDefault(state => character.IndexOf(state) < 0) is { } wrong) return Bad("states", wrong, allowed);
        if (!Modes.TryGetValue(raw.Mode ?? "is", out var mode)) return Bad("mode", raw.Mode, "It must be is, either or all-seen.");
        var states = named.Distinct().OrderBy(character.IndexOf).ToArray();
        if (states.Length == 1) mode = StateMode.Is;
        else if (mode == StateMode.Is)
            return Bad("mode", "is", "Several states need the mode either (one of these, can’t tell which) or all-seen (all of these on this plant).");
        return (new StatesSeen(states, mode), null);
    }

    private static (Observation?, FieldProblem?) CheckCount(RawReading raw)
    {
        var allowed = $"Type a whole number from 1 to {CountCharacter.Largest}, or a range such as 5-9.";
        if (raw.Unit is not (null or "")) return Bad("unit", raw.Unit, "A count has no unit.");
        if (Ends(raw, MeasureUnit.Ratio, out var quantity) is { } problem) return (null, problem with { Allowed = allowed });
        if (quantity.Low != Math.Floor(quantity.Low) || quantity.High != Math.Floor(quantity.High) || quantity.Low < 1 || quantity.High > CountCharacter.Largest)
            return Bad("value", raw.Text ?? $"{quantity.Low:0.##}", allowed);
        return (new Counted((int)quantity.Low, (int)quantity.High), null);
    }

    private static (Observation?, FieldProblem?) CheckMeasure(RawReading raw, MeasureCharacter character)
    {
        if (raw.Leaves is < 1 or > 1000) return Bad("leaves", raw.Leaves.ToString(), "It must be a whole number from 1 to 1000.");
        if (Ends(raw, character.Unit, out var quantity) is { } problem) return (null, problem);
        var largest = character.Unit == MeasureUnit.Metre ? 150 : 500;
        if (quantity.High > largest || quantity.Low < 0.001)
            return Bad("value", raw.Text ?? $"{quantity.High:0.##}", $"It must be above 0 and at most {LengthWords.Say(largest, character.Unit, LengthStyle.Metric)}.");
        return (new Measured(quantity.Low, quantity.High, raw.Leaves ?? (quantity.Low < quantity.High ? 3 : 1)), null);
    }

    private static FieldProblem? Ends(RawReading raw, MeasureUnit unit, out Quantity quantity)
    {
        quantity = default;
        if (raw.Text is { } text)
            return QuantityParser.TryParse(text, unit, out quantity, out var problem) ? null : new FieldProblem("value", text, problem);

        var low = raw.Low ?? raw.Value ?? raw.High;
        var high = raw.High ?? raw.Value ?? raw.Low;
        if (low is not { } least || high is not { } most)
            return new FieldProblem("value", null, "Give a value, or low and high.");
        if (!double.IsFinite(least) || !double.IsFinite(most) || least <= 0 || most < least)
            return new FieldProblem("value", $"{least:0.##} to {most:0.##}", "Numbers must be above 0, and low not above high.");
        if (raw.Unit is { Length: > 0 } name)
        {
            if (QuantityParser.Convert(least, name, unit) is not { } convertedLow || QuantityParser.Convert(most, name, unit) is not { } convertedHigh)
                return new FieldProblem("unit", name, unit == MeasureUnit.Ratio ? "A ratio has no unit." : $"It must be {QuantityParser.LengthUnits}.");
            (least, most) = (convertedLow, convertedHigh);
        }
        quantity = new Quantity(least, most);
        return null;
    }

    private static CheckedReading Wrong(string field, string? value, string allowed) => new(null, new FieldProblem(field, value, allowed));

    private static (Observation?, FieldProblem?) Bad(string field, string? value, string allowed) => (null, new FieldProblem(field, value, allowed));
}
