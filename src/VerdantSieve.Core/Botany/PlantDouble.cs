namespace VerdantSieve.Core.Botany;

/// <summary>A taxon that another is taken for.</summary>
/// <param name="Name">The scientific name of the double.</param>
/// <param name="Mark">The mark that tells the two apart, said of the taxon whose double it is.</param>
public sealed record PlantDouble(string Name, string Mark)
{
    /// <summary>The characters that the mark is about, the best first; empty where the flora does not say.</summary>
    public IReadOnlyList<string> Marks { get; init; } = [];

    /// <inheritdoc/>
    public bool Equals(PlantDouble? other) =>
        other is not null && Name == other.Name && Mark == other.Mark && Marks.SequenceEqual(other.Marks);

    /// <inheritdoc/>
    public override int GetHashCode() => HashCode.Combine(Name, Mark);
}
