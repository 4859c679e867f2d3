namespace VerdantSieve.Core.Observing;

/// <summary>What can be observed of each kind of character; all else is refused.</summary>
internal static class ObservationKinds
{
    /// <summary>Of a character with states.</summary>
    public static StatesSeen OfStates(this Observation observation) =>
        observation.Match(
            cannotTell: Refuse<StatesSeen>,
            states: seen => seen,
            counted: Refuse<StatesSeen>,
            measured: Refuse<StatesSeen>,
            limited: Refuse<StatesSeen>,
            sought: Refuse<StatesSeen>,
            today: Refuse<StatesSeen>,
            tallied: Refuse<StatesSeen>,
            compared: Refuse<StatesSeen>
        );

    /// <summary>Of a count or a measure: how many or how large it was, or on which side of a limit.</summary>
    public static T OfAmount<T>(
        this Observation observation,
        Func<Counted, T> counted,
        Func<Measured, T> measured,
        Func<Limited, T> limited
    ) =>
        observation.Match(
            cannotTell: Refuse<T>,
            states: Refuse<T>,
            counted: counted,
            measured: measured,
            limited: limited,
            sought: Refuse<T>,
            today: Refuse<T>,
            tallied: Refuse<T>,
            compared: Refuse<T>
        );

    /// <summary>Of what is looked for: whether it was seen.</summary>
    public static bool OfSought(this Observation observation) =>
        observation.Match(
            cannotTell: Refuse<bool>,
            states: Refuse<bool>,
            counted: Refuse<bool>,
            measured: Refuse<bool>,
            limited: Refuse<bool>,
            sought: sought => sought.Seen,
            today: today => today.Seen,
            tallied: Refuse<bool>,
            compared: Refuse<bool>
        );

    /// <summary>Refuses an observation of another kind than the character's.</summary>
    /// <exception cref="ArgumentException">Always.</exception>
    public static T Refuse<T>(Observation observation) =>
        throw new ArgumentException($"{observation} is no observation of this kind of character.", nameof(observation));
}
