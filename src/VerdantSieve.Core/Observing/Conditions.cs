using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Observing;

/// <summary>What observations say of conditions.</summary>
public static class Conditions
{
    /// <summary>What was observed, in the states of the character alone: a broad word is one of those it stands for, and what it is not
    /// leaves one of the rest.</summary>
    public static Observation InStates(this Observation observation, Character character)
    {
        if (observation is not StatesSeen seen || character is not StateCharacter states)
            return observation;
        if (seen.Mode != StateMode.Not && seen.States.All(word => states.IndexOf(word) >= 0))
            return observation;
        var named =
            seen.Mode == StateMode.Not
                ? Enumerable.Range(0, states.States.Count).Except(seen.States.SelectMany(states.Covered))
                : seen.States.SelectMany(states.Named).Distinct();
        string[] ids = [.. named.Select(i => states.States[i].Id)];
        return new StatesSeen(ids, ids.Length == 1 ? StateMode.Is : StateMode.Either);
    }

    /// <summary>Whether a condition can hold for a plant of which this was observed.</summary>
    public static bool CanHold(this Condition condition, Observation observation) =>
        observation.Match(
            cannotTell: _ => true,
            states: seen => condition.IsPresence || seen.Mode == StateMode.Not || seen.States.Any(condition.Admits),
            counted: _ => true,
            measured: _ => true,
            limited: _ => true,
            sought: sought => sought.Seen,
            today: today => today.Seen,
            tallied: tallied => condition.IsPresence || tallied.Of.Any(line => condition.Admits(line.What)),
            compared: _ => true
        );

    /// <summary>Whether an observation settles a condition one way or the other. “Unlobed or lobed, can’t tell which” does not settle that
    /// there are lobes.</summary>
    public static bool Settles(this Observation observation, Condition condition) =>
        observation.Match(
            cannotTell: _ => false,
            states: seen =>
                condition.IsPresence
                || (seen.Mode is StateMode.Is or StateMode.AllSeen)
                || (seen.Mode == StateMode.Either && seen.States.Select(condition.Admits).Distinct().Count() == 1),
            counted: _ => true,
            measured: _ => true,
            limited: _ => true,
            sought: _ => true,
            today: _ => true,
            tallied: _ => true,
            compared: _ => true
        );
}
