namespace VerdantSieve.Core.Botany;

/// <summary>How often the thing, where the taxon can have it, is found.</summary>
public sealed record PresenceScore : Score
{
    /// <summary>How often the thing is found: 0 (never) to 1 (always).</summary>
    /// <exception cref="ArgumentOutOfRangeException">It is not from 0 to 1.</exception>
    public PresenceScore(double frequency) =>
        Frequency = frequency is >= 0 and <= 1
            ? frequency
            : throw new ArgumentOutOfRangeException(
                nameof(frequency),
                frequency,
                "How often a thing is found goes from 0 (never) to 1 (always)."
            );

    /// <summary>0 (never) to 1 (always).</summary>
    public double Frequency { get; }

    /// <summary>The condition of the plant under which it is found so often: a sign that only one growth form must have. Null where it
    /// holds
    /// of every plant.</summary>
    public Condition? When { get; init; }

    /// <inheritdoc/>
    public override T Match<T>(
        Func<StateScore, T> states,
        Func<RangeScore, T> range,
        Func<PresenceScore, T> presence,
        Func<SeasonScore, T> season
    ) => presence(this);
}
