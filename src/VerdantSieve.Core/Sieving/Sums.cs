using System.Numerics;
using System.Runtime.InteropServices;
using System.Runtime.Intrinsics;

namespace VerdantSieve.Core.Sieving;

/// <summary>Sums over columns of numbers. Unlike those of TensorPrimitives they are the same to the last bit wherever in memory the numbers
/// lie; and four sums run beside each other, so that none waits for the one before.</summary>
internal static class Sums
{
    /// <summary>All values together.</summary>
    public static T Of<T>(ReadOnlySpan<T> values)
        where T : struct, INumberBase<T>
    {
        var blocks = MemoryMarshal.Cast<T, Vector256<T>>(values);
        Vector256<T> one = default,
            two = default,
            three = default,
            four = default;
        var at = 0;
        for (; at <= blocks.Length - 4; at += 4)
        {
            one += blocks[at];
            two += blocks[at + 1];
            three += blocks[at + 2];
            four += blocks[at + 3];
        }
        for (; at < blocks.Length; at++)
            one += blocks[at];
        var sum = Vector256.Sum((one + two) + (three + four));
        foreach (var value in values[(blocks.Length * Vector256<T>.Count)..])
            sum += value;
        return sum;
    }

    /// <summary>The products of two columns of equal length together.</summary>
    /// <exception cref="ArgumentException">The columns are not equally long.</exception>
    public static T OfProducts<T>(ReadOnlySpan<T> left, ReadOnlySpan<T> right)
        where T : struct, INumberBase<T>
    {
        if (left.Length != right.Length)
            throw new ArgumentException($"Columns of {left.Length} and {right.Length} numbers have no products.", nameof(right));
        var lefts = MemoryMarshal.Cast<T, Vector256<T>>(left);
        var rights = MemoryMarshal.Cast<T, Vector256<T>>(right)[..lefts.Length];
        Vector256<T> one = default,
            two = default,
            three = default,
            four = default;
        var at = 0;
        for (; at <= lefts.Length - 4; at += 4)
        {
            one += lefts[at] * rights[at];
            two += lefts[at + 1] * rights[at + 1];
            three += lefts[at + 2] * rights[at + 2];
            four += lefts[at + 3] * rights[at + 3];
        }
        for (; at < lefts.Length; at++)
            one += lefts[at] * rights[at];
        var sum = Vector256.Sum((one + two) + (three + four));
        for (at = lefts.Length * Vector256<T>.Count; at < left.Length; at++)
            sum += left[at] * right[at];
        return sum;
    }
}
