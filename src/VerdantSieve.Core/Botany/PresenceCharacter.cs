namespace VerdantSieve.Core.Botany;

/// <summary>A thing that is looked for: seen, or looked for and not seen.</summary>
public sealed record PresenceCharacter(string Id) : Character(Id)
{
    /// <inheritdoc/>
    public override T Match<T>(
        Func<StateCharacter, T> states,
        Func<CountCharacter, T> count,
        Func<MeasureCharacter, T> measure,
        Func<PresenceCharacter, T> presence,
        Func<SeasonCharacter, T> season
    ) => presence(this);
}
