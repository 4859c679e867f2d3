using System.Collections.Frozen;

namespace VerdantSieve.Core.Drawing;

/// <summary>The colours of states.</summary>
public static class Tints
{
    private static readonly FrozenDictionary<string, Tint> ByState = Enum.GetValues<Tint>()
        .ToFrozenDictionary(tint =>
            string.Concat(
                tint.ToString().Select((letter, at) => (at > 0 && char.IsUpper(letter) ? "-" : "") + char.ToLowerInvariant(letter))
            )
        );

    /// <summary>The colour a state is called by: <c>dark-green</c>; null where it names none.</summary>
    public static Tint? Of(string state) => ByState.TryGetValue(state, out var tint) ? tint : null;
}
