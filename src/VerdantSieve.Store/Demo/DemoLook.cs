using VerdantSieve.Core.Observing;

namespace VerdantSieve.Store.Demo;

/// <summary>A look of the demonstration: where it starts, and its readings one after another.</summary>
internal sealed record DemoLook(string Id, LookContent Start, IReadOnlyList<RawReading> Readings, bool Settle, string Notes = "")
{
    /// <summary>The look that was the first visit to the same tree; its own where it is that one.</summary>
    public string TreeId { get; init; } = Id;

    /// <summary>What the tree is called on the ground.</summary>
    public string Tag { get; init; } = "";

    /// <summary>The outing it was made on; null where on none.</summary>
    public string? Outing { get; init; }
}
