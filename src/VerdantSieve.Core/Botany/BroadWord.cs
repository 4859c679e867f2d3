namespace VerdantSieve.Core.Botany;

/// <summary>A word that people read, though no flora scores it, since it covers several states: “toothed”, “hairy”, “fleshy”.</summary>
/// <param name="Id">What it is called in readings.</param>
/// <param name="Label">The plain words for it.</param>
/// <param name="States">The ids of the states it covers.</param>
public sealed record BroadWord(string Id, string Label, IReadOnlyList<string> States)
{
    /// <summary>What else people call it.</summary>
    public IReadOnlyList<string> Also { get; init; } = [];
}
