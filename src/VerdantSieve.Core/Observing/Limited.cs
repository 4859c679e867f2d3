using VerdantSieve.Core.Measuring;

namespace VerdantSieve.Core.Observing;

/// <summary>A limit on one side: "up to 5 cm", "more than 9". A value far inside it fits as well as one at it.</summary>
public sealed record Limited : Observation
{
    /// <summary>A limit on one side.</summary>
    /// <param name="limit">The limit, in the character's own unit; above 0, a whole number for a count.</param>
    /// <param name="side">On which side it lies.</param>
    /// <exception cref="ArgumentOutOfRangeException">It is not above 0.</exception>
    public Limited(double limit, LimitSide side)
    {
        if (!(limit > 0 && double.IsFinite(limit)))
            throw new ArgumentOutOfRangeException(nameof(limit), limit, "A limit is above 0.");
        (Limit, Side) = (limit, side);
    }

    /// <summary>The limit.</summary>
    public double Limit { get; }

    /// <summary>On which side it lies.</summary>
    public LimitSide Side { get; }

    /// <summary>How it was found; counts are read as with a ruler.</summary>
    public MeasuredBy By { get; init; } = MeasuredBy.Ruler;

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
    ) => limited(this);
}
