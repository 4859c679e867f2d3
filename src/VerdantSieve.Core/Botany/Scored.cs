namespace VerdantSieve.Core.Botany;

/// <summary>A character with what a flora says of it: the two are of one kind.</summary>
public sealed class Scored
{
    /// <summary>A character with its score.</summary>
    /// <exception cref="ArgumentException">The score is of another kind, or names a state that the character does not have.</exception>
    public Scored(Character character, Score score)
    {
        if (!Fits(character, score))
            throw new ArgumentException($"{score} is no score for {character.Id}.", nameof(score));
        (Character, Score) = (character, score);
    }

    /// <summary>The character.</summary>
    public Character Character { get; }

    /// <summary>Its score.</summary>
    public Score Score { get; }

    /// <summary>Whether a score can stand for a character: it is of the character's kind and names states that there are.</summary>
    public static bool Fits(Character character, Score score) =>
        character.Match(
            states: own =>
                score is StateScore shown && shown.Elsewhere.Values.Concat(shown.ByCountry.Values).Prepend(shown).All(at => AreOf(own, at)),
            count: _ => score is RangeScore,
            measure: _ => score is RangeScore,
            presence: _ => score is PresenceScore,
            season: _ => score is SeasonScore
        );

    private static bool AreOf(StateCharacter own, StateScore shown) => shown.States.All(state => own.IndexOf(state.State) >= 0);

    /// <summary>What each kind of character answers, with its score.</summary>
    public T Match<T>(
        Func<StateCharacter, StateScore, T> states,
        Func<CountCharacter, RangeScore, T> count,
        Func<MeasureCharacter, RangeScore, T> measure,
        Func<PresenceCharacter, PresenceScore, T> presence,
        Func<SeasonCharacter, SeasonScore, T> season
    ) =>
        Character.Match(
            states: own => states(own, (StateScore)Score),
            count: own => count(own, (RangeScore)Score),
            measure: own => measure(own, (RangeScore)Score),
            presence: own => presence(own, (PresenceScore)Score),
            season: own => season(own, (SeasonScore)Score)
        );
}
