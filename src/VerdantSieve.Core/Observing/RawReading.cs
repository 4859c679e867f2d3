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
    /// <summary><c>fair-sample</c>, <c>sucker</c>, <c>litter</c>, <c>hedge</c> or <c>damaged</c>; <c>fair-sample</c> where left out.</summary>
    public string? Origin { get; init; }
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
            Certainty = ReadingDesk.Certainties.First(pair => pair.Value == reading.Certainty).Key,
            Origin = reading.Origin == Observing.Origin.FairSample ? null : ReadingDesk.Origins.First(pair => pair.Value == reading.Origin).Key
        };
        return reading.Observation switch
        {
            StatesSeen seen => raw with { States = seen.States, Mode = ReadingDesk.Modes.First(pair => pair.Value == seen.Mode).Key },
            Counted counted => raw with { Low = counted.Low, High = counted.High, Mean = counted.Usual },
            Measured measured => raw with { Low = measured.Low, High = measured.High, Leaves = measured.Leaves, Mean = measured.Typical, By = Word(measured.By) },
            Limited limited => raw with { AtMost = limited.IsMost ? limited.Limit : null, AtLeast = limited.IsMost ? null : limited.Limit, By = Word(limited.By) },
            Sought sought => raw with { Seen = sought.Seen },
            Today today => raw with { Today = today.Seen },
            _ => raw with { Unknown = true }
        };

        static string? Word(MeasuredBy by) => by == MeasuredBy.Ruler ? null : ReadingDesk.Ways.First(pair => pair.Value == by).Key;
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

    /// <summary>The origins by the names they are written with.</summary>
    public static readonly IReadOnlyDictionary<string, Origin> Origins = new Dictionary<string, Origin>
    {
        ["fair-sample"] = Origin.FairSample, ["sucker"] = Origin.Sucker, ["litter"] = Origin.Litter, ["hedge"] = Origin.Hedge, ["damaged"] = Origin.Damaged
    };

    /// <summary>The ways of measuring by the names they are written with.</summary>
    public static readonly IReadOnlyDictionary<string, MeasuredBy> Ways =
        new Dictionary<string, MeasuredBy> { ["ruler"] = MeasuredBy.Ruler, ["hand"] = MeasuredBy.Hand, ["eye"] = MeasuredBy.Eye };

    /// <summary>Checks a raw reading against the flora's characters.</summary>
    public static CheckedReading Check(RawReading raw, Flora flora)
    {
        var character = raw.Character is null ? null : flora.FindCharacter(raw.Character);
        if (character is null)
            return Wrong("character", raw.Character, "It must be the id of a character of this flora, such as arrangement or blade-length.");
        if (!Certainties.TryGetValue(raw.Certainty ?? "fair", out var certainty))
            return Wrong("certainty", raw.Certainty, "It must be sure, fair or guess.");
        if (!Origins.TryGetValue(raw.Origin ?? "fair-sample", out var origin))
            return Wrong("origin", raw.Origin, $"It must be one of: {string.Join(", ", Origins.Keys)}.");
        if (raw.Unknown) return new CheckedReading(new Reading(character.Id, new CannotTell(), certainty) { Origin = origin }, null);

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
        return observation is null ? new CheckedReading(null, problem) : new CheckedReading(new Reading(character.Id, observation, certainty) { Origin = origin }, null);
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
        var allowed = $"Type a whole number from 1 to {CountCharacter.Largest}, a range such as 5-9, or several counts such as 5, 7, 7.";
        if (raw.Unit is not (null or "")) return Bad("unit", raw.Unit, "A count has no unit.");
        if (Amount(raw, MeasureUnit.Ratio, out var amount) is { } problem) return (null, problem with { Allowed = allowed });
        double[] numbers = [amount.Low, amount.High, .. amount.Usual is { } stated ? [stated] : Array.Empty<double>()];
        if (numbers.Any(number => number != Math.Floor(number) || number < 1 || number > CountCharacter.Largest))
            return Bad("value", raw.Text ?? $"{amount.Low:0.##}", allowed);
        if (amount.Limit is { } isMost) return (new Limited(amount.Low, isMost), null);
        return (new Counted((int)amount.Low, (int)amount.High) { Usual = amount.Low < amount.High ? (int?)amount.Usual : null }, null);
    }

    private static (Observation?, FieldProblem?) CheckMeasure(RawReading raw, MeasureCharacter character)
    {
        if (raw.Leaves is < 1 or > 1000) return Bad("leaves", raw.Leaves.ToString(), "It must be a whole number from 1 to 1000.");
        if (!Ways.TryGetValue(raw.By ?? "ruler", out var way)) return Bad("by", raw.By, "It must be ruler, hand or eye.");
        if (Amount(raw, character.Unit, out var amount) is { } problem) return (null, problem);
        var largest = character.Unit == MeasureUnit.Metre ? 150 : 500;
        if (amount.High > largest || amount.Low < 0.001)
            return Bad("value", raw.Text ?? $"{amount.High:0.##}", $"It must be above 0 and at most {LengthWords.Say(largest, character.Unit, LengthStyle.Metric)}.");
        var by = amount.By > way ? amount.By : way;
        if (amount.Limit is { } isMost) return (new Limited(amount.Low, isMost) { By = by }, null);
        var leaves = raw.Leaves ?? amount.Leaves ?? (amount.Low < amount.High ? 3 : 1);
        return (new Measured(amount.Low, amount.High, leaves) { Typical = amount.Low < amount.High ? amount.Usual : null, By = by }, null);
    }

    private static FieldProblem? Amount(RawReading raw, MeasureUnit unit, out Quantity quantity)
    {
        quantity = default;
        if (raw.Text is { } text)
            return QuantityParser.TryParse(text, unit, out quantity, out var problem) ? null : new FieldProblem("value", text, problem);

        var factor = 1.0;
        if (raw.Unit is { Length: > 0 } name)
        {
            if (QuantityParser.Convert(1, name, unit) is not { } converted)
                return new FieldProblem("unit", name, unit == MeasureUnit.Ratio ? "A ratio has no unit." : $"It must be {QuantityParser.LengthUnits}.");
            factor = converted;
        }
        if (raw.AtMost is not null && raw.AtLeast is not null) return new FieldProblem("atMost", null, "Give a limit on one side only; for both ends give low and high.");
        if ((raw.AtMost ?? raw.AtLeast) is { } limit)
        {
            if (!double.IsFinite(limit) || limit <= 0) return new FieldProblem(raw.AtMost is null ? "atLeast" : "atMost", $"{limit:0.##}", "A limit must be above 0.");
            quantity = new Quantity(limit * factor, limit * factor) { Limit = raw.AtMost is not null };
            return null;
        }
        if (raw.Values is { Count: > 0 } values)
        {
            if (values.Count > 1000 || values.Any(value => !double.IsFinite(value) || value <= 0)) return new FieldProblem("values", null, "They must be 1 to 1000 numbers above 0.");
            quantity = Quantity.Of([.. values.Select(value => value * factor)]);
            return null;
        }
        var low = raw.Low ?? raw.Value ?? raw.Mean ?? raw.High;
        var high = raw.High ?? raw.Value ?? raw.Mean ?? raw.Low;
        if (low is not { } least || high is not { } most)
            return new FieldProblem("value", null, "Give a value, values, low and high, or a limit.");
        if (!double.IsFinite(least) || !double.IsFinite(most) || least <= 0 || most < least)
            return new FieldProblem("value", $"{least:0.##} to {most:0.##}", "Numbers must be above 0, and low not above high.");
        if (raw.Mean is { } mean && !(mean >= least && mean <= most))
            return new FieldProblem("mean", $"{mean:0.##}", "It must lie between low and high.");
        quantity = new Quantity(least * factor, most * factor) { Usual = raw.Mean * factor };
        return null;
    }

    private static CheckedReading Wrong(string field, string? value, string allowed) => new(null, new FieldProblem(field, value, allowed));

    private static (Observation?, FieldProblem?) Bad(string field, string? value, string allowed) => (null, new FieldProblem(field, value, allowed));
}
