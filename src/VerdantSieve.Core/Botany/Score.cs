namespace VerdantSieve.Core.Botany;

/// <summary>What a flora says of one taxon for one character.</summary>
/// <remarks>The kinds are closed: <see cref="StateScore"/>, <see cref="RangeScore"/>, <see cref="PresenceScore"/> and
/// <see cref="SeasonScore"/>. With
/// its character, a score is a <see cref="Scored"/>.</remarks>
public abstract record Score
{
    private protected Score() { }

    /// <summary>What each kind of score answers.</summary>
    public abstract T Match<T>(
        Func<StateScore, T> states,
        Func<RangeScore, T> range,
        Func<PresenceScore, T> presence,
        Func<SeasonScore, T> season
    );
}
