namespace VerdantSieve.Core.Botany;

/// <summary>A character read as a whole number.</summary>
public sealed record CountCharacter(string Id) : Character(Id)
{
    /// <summary>The largest count the engine keeps apart; anything above is read as this.</summary>
    public const int Largest = 80;

    /// <inheritdoc/>
    public override T Match<T>(
        Func<StateCharacter, T> states,
        Func<CountCharacter, T> count,
        Func<MeasureCharacter, T> measure,
        Func<PresenceCharacter, T> presence,
        Func<SeasonCharacter, T> season
    ) => count(this);
}
