namespace VerdantSieve.Core.Measuring;

/// <summary>Leaves measured with a ruler, as typed: <c>12 x 7, 9.5 x 6 cm</c>, or lengths alone.</summary>
/// <param name="Lengths">In centimetres.</param>
/// <param name="Widths">In centimetres, one for every length; null where none were typed.</param>
public sealed record SizeSample(Sample Lengths, Sample? Widths)
{
    /// <summary>The most leaves of a sample.</summary>
    public const int MostLeaves = 100;

    /// <summary>Length over width of each leaf; null where no widths were typed.</summary>
    public Sample? Slenderness =>
        Widths is null ? null : new Sample([.. Lengths.Values.Zip(Widths.Values, (length, width) => length / width)]);

    /// <summary>Reads a sample. A unit at the end holds for all sizes that have none of their own.</summary>
    /// <returns>The sample; or what is wrong, as a sentence naming what is allowed.</returns>
    public static Outcome<SizeSample> Read(string typed)
    {
        var leaves = typed.Replace('×', 'x').Split([',', ';'], StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries);
        if (leaves.Length is 0 or > MostLeaves)
            return Fault.AtField("sample", typed, $"A sample has 1 to {MostLeaves} leaves, such as 12 x 7, 9 x 6 cm.");
        var unit = typed[(typed.LastIndexOfAny([.. "0123456789"]) + 1)..].Trim();
        var (lengths, widths) = (new List<double>(), new List<double>());
        foreach (var leaf in leaves)
            foreach (var (size, into) in leaf.Split('x', 2, StringSplitOptions.TrimEntries).Zip([lengths, widths]))
            {
                var text = size.Length > 0 && char.IsAsciiDigit(size[^1]) ? $"{size} {unit}" : size;
                var read = QuantityParser.Parse(text, MeasureUnit.Centimetre);
                if (!read.Has(out var quantity))
                    return read.Faults[0];
                into.Add(quantity.Usual ?? (quantity.Low + quantity.High) / 2);
            }
        if (widths.Count > 0 && widths.Count != lengths.Count)
            return Fault.AtField("sample", typed, "Give a width for every leaf, such as 12 x 7, 9 x 6 cm, or for none.");
        return new SizeSample(new Sample(lengths), widths.Count > 0 ? new Sample(widths) : null);
    }
}
