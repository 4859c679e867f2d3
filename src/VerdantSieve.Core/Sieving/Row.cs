namespace VerdantSieve.Core.Sieving;

/// <summary>Where a kind stands in the columns and answers of a sieve; see <see cref="RowLayout"/>.</summary>
internal readonly record struct Row(int Index);
