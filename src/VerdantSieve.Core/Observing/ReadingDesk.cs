using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Measuring;

namespace VerdantSieve.Core.Observing;

/// <summary>Turns raw readings into readings a flora understands. The web pages and the API both come in this way.</summary>
public static class ReadingDesk
{
    // A range of which nothing else is said was measured on a few leaves.
    private const int LeavesOfARange = 3;

    /// <summary>Checks a raw reading against the flora's characters.</summary>
    public static Outcome<Reading> Check(RawReading raw, Flora flora)
    {
        if (raw.Character is null || flora.FindCharacter(raw.Character) is not { } character)
            return Fault.AtField(
                "character",
                raw.Character,
                "It must be the id of a character of this flora, such as arrangement or blade-length."
            );
        if (!EnumWords.TryRead<Certainty>(raw.Certainty ?? Certainty.Fair.Word(), out var certainty))
            return Fault.AtField("certainty", raw.Certainty, "It must be sure, fair or guess.");
        if (!EnumWords.TryRead<Origin>(raw.Origin ?? Origin.FairSample.Word(), out var origin))
            return Fault.AtField("origin", raw.Origin, $"It must be one of: {string.Join(", ", EnumWords.All<Origin>())}.");
        var observed = raw.Unknown
            ? new CannotTell()
            : character.Match(
                states: states => CheckStates(raw, states),
                count: _ => CheckCount(raw),
                measure: measure => CheckMeasure(raw, measure),
                presence: _ =>
                    raw.Seen is { } seen ? new Sought(seen) : Fault.AtField("seen", null, "Say true (seen) or false (looked, not seen)."),
                season: _ =>
                    raw.Today is { } today
                        ? new Today(today)
                        : Fault.AtField("today", null, "Say true (there are some today) or false (looked, none).")
            );
        return observed.Map(observation => new Reading(character.Id, observation, certainty) { Origin = origin });
    }

    private static Outcome<Observation> CheckStates(RawReading raw, StateCharacter character)
    {
        var allowed = "It must be one of: " + string.Join(", ", character.States.Select(state => state.Id)) + ".";
        if (raw.States is not { Count: > 0 } named)
            return Fault.AtField("states", null, "Name at least one state. " + allowed);
        foreach (var state in named)
            if (state is null || character.IndexOf(state) < 0)
                return Fault.AtField("states", state, allowed);
        if (!EnumWords.TryRead<StateMode>(raw.Mode ?? StateMode.Is.Word(), out var mode))
            return Fault.AtField("mode", raw.Mode, "It must be is, either or all-seen.");
        string[] states = [.. named.Distinct().OrderBy(character.IndexOf)];
        if (states.Length == 1)
            return new StatesSeen(states, StateMode.Is);
        if (mode == StateMode.Is)
            return Fault.AtField(
                "mode",
                "is",
                "Several states need the mode either (one of these, can’t tell which) or all-seen (all of these on this plant)."
            );
        return new StatesSeen(states, mode);
    }

    private static Outcome<Observation> CheckCount(RawReading raw)
    {
        var allowed = $"Type a whole number from 1 to {CountCharacter.Largest}, a range such as 5-9, or several counts such as 5, 7, 7.";
        if (raw.Unit is not (null or ""))
            return Fault.AtField("unit", raw.Unit, "A count has no unit.");
        return AmountDesk
            .Check(raw, MeasureUnit.Ratio)
            .Placed(fault => fault with { Message = allowed })
            .Then(amount =>
                Count(amount) is { } count ? Outcome.Of(count) : Fault.AtField("value", raw.Text ?? $"{amount.Low:0.##}", allowed)
            );
    }

    // Null where a number is no count.
    private static Observation? Count(Quantity amount)
    {
        double[] numbers = [amount.Low, amount.High, amount.Usual ?? amount.Low];
        if (numbers.Any(number => number != Math.Floor(number) || number < 1 || number > CountCharacter.Largest))
            return null;
        if (amount.Limit is { } side)
            return new Limited(amount.Low, side);
        return new Counted((int)amount.Low, (int)amount.High) { Usual = amount.Low < amount.High ? (int?)amount.Usual : null };
    }

    private static Outcome<Observation> CheckMeasure(RawReading raw, MeasureCharacter character)
    {
        if (raw.Leaves is < 1 or > Measured.MostLeaves)
            return Fault.AtField("leaves", raw.Leaves.ToString(), $"It must be a whole number from 1 to {Measured.MostLeaves}.");
        if (!EnumWords.TryRead<MeasuredBy>(raw.By ?? MeasuredBy.Ruler.Word(), out var way))
            return Fault.AtField("by", raw.By, "It must be ruler, hand or eye.");
        return AmountDesk
            .Check(raw, character.Unit)
            .Then(amount => InBounds(amount, raw, character))
            .Map(amount => Measure(amount, raw, way));
    }

    private static Outcome<Quantity> InBounds(Quantity amount, RawReading raw, MeasureCharacter character) =>
        amount.High <= character.Largest && amount.Low >= MeasureCharacter.Smallest
            ? amount
            : Fault.AtField(
                "value",
                raw.Text ?? $"{amount.High:0.##}",
                $"It must be above 0 and at most {LengthWords.Say(character.Largest, character.Unit, LengthStyle.Metric)}."
            );

    private static Observation Measure(Quantity amount, RawReading raw, MeasuredBy way)
    {
        // The words may say that it was found less surely than the field does.
        var by = amount.By > way ? amount.By : way;
        if (amount.Limit is { } side)
            return new Limited(amount.Low, side) { By = by };
        var several = amount.Low < amount.High;
        var leaves = raw.Leaves ?? amount.Leaves ?? (several ? LeavesOfARange : 1);
        return new Measured(amount.Low, amount.High, leaves) { Typical = several ? amount.Usual : null, By = by };
    }
}
