namespace VerdantSieve.Core.Observing;

/// <summary>How many leaves of a sample showed which state or number: "nearly all three-lobed, one mitten", "mostly 3, often 5", "2 and 3
/// together".</summary>
public sealed record Tallied : Observation
{
    /// <summary>The most leaves of one tally.</summary>
    public const int MostLeaves = 1000;

    /// <summary>A tally.</summary>
    /// <param name="of">What was counted, states or whole numbers as text, each with how many leaves showed it.</param>
    /// <exception cref="ArgumentException">Nothing was counted, one thing stands twice, or not 1 to <see cref="MostLeaves"/> leaves were
    /// counted in all.</exception>
    public Tallied(IReadOnlyList<TallyLine> of)
    {
        if (of.Count == 0 || of.DistinctBy(line => line.What).Count() < of.Count)
            throw new ArgumentException("A tally counts at least one thing, and each once.", nameof(of));
        if (of.Any(line => line.Leaves < 1) || of.Sum(line => (long)line.Leaves) > MostLeaves)
            throw new ArgumentException($"Of each at least one leaf is counted, and at most {MostLeaves} in all.", nameof(of));
        Of = of;
    }

    /// <summary>What was counted. Never empty; nothing twice.</summary>
    public IReadOnlyList<TallyLine> Of { get; }

    /// <inheritdoc/>
    public bool Equals(Tallied? other) => other is not null && Of.SequenceEqual(other.Of);

    /// <inheritdoc/>
    public override int GetHashCode() => Of.Aggregate(0, (hash, line) => HashCode.Combine(hash, line));

    /// <inheritdoc/>
    public override T Match<T>(
        Func<CannotTell, T> cannotTell,
        Func<StatesSeen, T> states,
        Func<Counted, T> counted,
        Func<Measured, T> measured,
        Func<Limited, T> limited,
        Func<Sought, T> sought,
        Func<Today, T> today,
        Func<Tallied, T> tallied,
        Func<Compared, T> compared
    ) => tallied(this);
}

/// <summary>One line of a tally.</summary>
/// <param name="What">The state or, of a count, the number.</param>
/// <param name="Leaves">How many leaves showed it.</param>
public sealed record TallyLine(string What, int Leaves);
