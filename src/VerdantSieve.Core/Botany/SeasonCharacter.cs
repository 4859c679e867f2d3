using VerdantSieve.Core.Seasons;

namespace VerdantSieve.Core.Botany;

/// <summary>A calendar window, read as "today: yes" or "looked, none".</summary>
public sealed record SeasonCharacter(string Id) : Character(Id)
{
    /// <summary>The share of plants that bear it in season, where a score does not say otherwise: young trees, off years and high crowns do
    /// not. Above 0 and at most 1.</summary>
    /// <exception cref="ArgumentOutOfRangeException">It is not above 0 and at most 1.</exception>
    public double Borne
    {
        get;
        init =>
            field = value is > 0 and <= 1
                ? value
                : throw new ArgumentOutOfRangeException(nameof(Borne), value, "A share of plants is above 0 and at most 1.");
    } = Phenology.ShownInSeason;

    /// <summary>Whether it comes with the autumn, as turning leaves do: earlier where spring comes later, and on young plants as on
    /// others.</summary>
    public bool InAutumn { get; init; }

    /// <summary>By how many days it runs late where spring does by so many; below 0 where it runs early.</summary>
    public double DelayWith(double spring) => InAutumn ? LeafYear.AutumnDelay(spring) : spring;

    /// <inheritdoc/>
    public override T Match<T>(
        Func<StateCharacter, T> states,
        Func<CountCharacter, T> count,
        Func<MeasureCharacter, T> measure,
        Func<PresenceCharacter, T> presence,
        Func<SeasonCharacter, T> season
    ) => season(this);
}
