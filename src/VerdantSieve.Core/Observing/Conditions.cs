using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Observing;

/// <summary>What observations say of conditions.</summary>
public static class Conditions
{
    /// <summary>Whether a condition can hold for a plant of which this was observed.</summary>
    public static bool CanHold(this Condition condition, Observation observation) => observation switch
    {
        StatesSeen seen when !condition.IsPresence => seen.States.Any(state => condition.States.Contains(state) != condition.Negated),
        Sought sought => sought.Seen,
        Today today => today.Seen,
        _ => true
    };

    /// <summary>Whether an observation settles a condition one way or the other. “Unlobed or lobed, can’t tell which” does not settle that there are lobes.</summary>
    public static bool Settles(this Observation observation, Condition condition) => observation switch
    {
        CannotTell => false,
        StatesSeen { Mode: StateMode.Either } seen when !condition.IsPresence => seen.States.Select(state => condition.States.Contains(state) != condition.Negated).Distinct().Count() == 1,
        _ => true
    };
}
