namespace VerdantSieve.Core.Botany;

/// <summary>A calendar window, read as "today: yes" or "looked, none".</summary>
public sealed record SeasonCharacter(string Id) : Character(Id)
{
    /// <inheritdoc/>
    public override T Match<T>(
        Func<StateCharacter, T> states,
        Func<CountCharacter, T> count,
        Func<MeasureCharacter, T> measure,
        Func<PresenceCharacter, T> presence,
        Func<SeasonCharacter, T> season
    ) => season(this);
}
