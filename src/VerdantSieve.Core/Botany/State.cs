namespace VerdantSieve.Core.Botany;

/// <summary>One state of a character: its id, the plain words for it, and its meaning.</summary>
public sealed record State(string Id, string Label, string Meaning)
{
    /// <summary>What else people call it: botanists and beginners, British and American.</summary>
    public IReadOnlyList<string> Also { get; init; } = [];

    /// <inheritdoc/>
    public bool Equals(State? other) =>
        other is not null && (Id, Label, Meaning) == (other.Id, other.Label, other.Meaning) && Also.SequenceEqual(other.Also);

    /// <inheritdoc/>
    public override int GetHashCode() => HashCode.Combine(Id, Label, Meaning);
}
