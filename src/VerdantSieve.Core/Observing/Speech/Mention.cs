using NodaTime;
using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Observing.Speech;

/// <summary>A character with what was said of it, at one place in the text.</summary>
internal sealed record Mention(Character Character, TextSpan Span)
{
    /// <summary>The state or broad word; null where it is no state.</summary>
    public string? State { get; init; }

    /// <summary>The number or size; null where it is none.</summary>
    public Amount? Amount { get; init; }

    /// <summary>The kind it is held against, and how it stands to it.</summary>
    public (Taxon Than, Comparison Is)? Compared { get; init; }

    /// <summary>Whether a thing looked for is there; null where that is not what was said.</summary>
    public bool? There { get; init; }

    /// <summary>Looked, but can't tell.</summary>
    public bool Untold { get; init; }

    /// <summary>Whether it was ruled out.</summary>
    public bool Not { get; init; }

    /// <summary>Whether “or” stands before it.</summary>
    public bool IsChoice { get; init; }

    /// <summary>How many of ten leaves show it, as “nearly all” or “a few” say; null where nothing was said.</summary>
    public int? Share { get; init; }

    /// <summary>Where on the plant.</summary>
    public PlantPlace? On { get; init; }

    /// <summary>The day it was seen; null where none was named with it.</summary>
    public LocalDate? Day { get; init; }

    /// <summary>How sure; null where that was not said.</summary>
    public Certainty? Certainty { get; init; }
}
