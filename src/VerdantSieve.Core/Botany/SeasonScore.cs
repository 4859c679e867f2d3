using VerdantSieve.Core.Seasons;

namespace VerdantSieve.Core.Botany;

/// <summary>The weeks in which a taxon flowers or fruits at the flora's reference place.</summary>
public sealed record SeasonScore(SeasonWindow Window) : Score
{
    /// <inheritdoc/>
    public override T Match<T>(
        Func<StateScore, T> states,
        Func<RangeScore, T> range,
        Func<PresenceScore, T> presence,
        Func<SeasonScore, T> season
    ) => season(this);
}
