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
}
