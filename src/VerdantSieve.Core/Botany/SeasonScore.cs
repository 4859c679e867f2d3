using VerdantSieve.Core.Seasons;

namespace VerdantSieve.Core.Botany;

/// <summary>The weeks in which a taxon flowers or fruits at the flora's reference place.</summary>
public sealed record SeasonScore(SeasonWindow Window) : Score
{
    /// <summary>The share of plants that bear it in season, above 0 and at most 1; null where it is as usual for the character.</summary>
    /// <exception cref="ArgumentOutOfRangeException">It is not above 0 and at most 1.</exception>
    public double? Borne
    {
        get;
        init =>
            field = value is null or (> 0 and <= 1)
                ? value
                : throw new ArgumentOutOfRangeException(nameof(Borne), value, "A share of plants is above 0 and at most 1.");
    }

    /// <inheritdoc/>
    public override T Match<T>(
        Func<StateScore, T> states,
        Func<RangeScore, T> range,
        Func<PresenceScore, T> presence,
        Func<SeasonScore, T> season
    ) => season(this);
}
