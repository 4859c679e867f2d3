using VerdantSieve.Core.Measuring;

namespace VerdantSieve.Core.Observing;

/// <summary>Reads the amount of a count or a measure, however it was sent: as typed, a value, several, a range or a limit.</summary>
internal static class AmountDesk
{
    public static Outcome<Quantity> Check(RawReading raw, MeasureUnit unit)
    {
        if (raw.Text is { } text)
            return QuantityParser.Parse(text, unit);
        if (raw.Unit is not { Length: > 0 } name)
            return Numbers(raw, 1);
        return QuantityParser.Factor(name, unit) is { } factor
            ? Numbers(raw, factor)
            : Fault.AtField("unit", name, unit == MeasureUnit.Ratio ? "A ratio has no unit." : $"It must be {QuantityParser.LengthUnits}.");
    }

    private static Outcome<Quantity> Numbers(RawReading raw, double factor)
    {
        if (raw.AtMost is not null && raw.AtLeast is not null)
            return Fault.AtField("atMost", null, "Give a limit on one side only; for both ends give low and high.");
        if (raw.AtMost is { } most)
            return Limit("atMost", most, LimitSide.AtMost, factor);
        if (raw.AtLeast is { } least)
            return Limit("atLeast", least, LimitSide.AtLeast, factor);
        return raw.Values is { Count: > 0 } values ? Sample(values, factor) : Range(raw, factor);
    }

    private static Outcome<Quantity> Limit(string field, double limit, LimitSide side, double factor) =>
        double.IsFinite(limit) && limit > 0
            ? new Quantity(limit * factor, limit * factor) { Limit = side }
            : Fault.AtField(field, $"{limit:0.##}", "A limit must be above 0.");

    private static Outcome<Quantity> Sample(IReadOnlyList<double> values, double factor) =>
        values.Count <= Measured.MostLeaves && values.All(value => double.IsFinite(value) && value > 0)
            ? Quantity.Of([.. values.Select(value => value * factor)])
            : Fault.AtField("values", null, $"They must be 1 to {Measured.MostLeaves} numbers above 0.");

    private static Outcome<Quantity> Range(RawReading raw, double factor)
    {
        if (
            (raw.Low ?? raw.Value ?? raw.Mean ?? raw.High) is not { } least
            || (raw.High ?? raw.Value ?? raw.Mean ?? raw.Low) is not { } most
        )
            return Fault.AtField("value", null, "Give a value, values, low and high, or a limit.");
        if (!double.IsFinite(least) || !double.IsFinite(most) || least <= 0 || most < least)
            return Fault.AtField("value", $"{least:0.##} to {most:0.##}", "Numbers must be above 0, and low not above high.");
        if (raw.Mean is { } mean && !(mean >= least && mean <= most))
            return Fault.AtField("mean", $"{mean:0.##}", "It must lie between low and high.");
        return new Quantity(least * factor, most * factor) { Usual = raw.Mean * factor };
    }
}
