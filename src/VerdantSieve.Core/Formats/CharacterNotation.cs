using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Measuring;

namespace VerdantSieve.Core.Formats;

/// <summary>How kinds of characters and their units are written, in files and answers alike.</summary>
public static class CharacterNotation
{
    internal const string Nominal = "nominal",
        Ordinal = "ordinal",
        Count = "count",
        Measure = "measure",
        Presence = "presence",
        Season = "season";

    /// <summary><c>nominal</c>, <c>ordinal</c>, <c>count</c>, <c>measure</c>, <c>presence</c> or <c>season</c>.</summary>
    public static string Kind(Character character) =>
        character.Match(
            states: states => states.Ordered ? Ordinal : Nominal,
            count: _ => Count,
            measure: _ => Measure,
            presence: _ => Presence,
            season: _ => Season
        );

    /// <summary>The unit of a measure; null for all else.</summary>
    public static string? Unit(Character character) => (character as MeasureCharacter)?.Unit.Symbol();
}
