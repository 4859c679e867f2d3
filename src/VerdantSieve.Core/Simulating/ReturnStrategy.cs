namespace VerdantSieve.Core.Simulating;

/// <summary>When a made-up observer comes back to a tree that is not settled.</summary>
public enum ReturnStrategy
{
    /// <summary>In the week that the planner proposes.</summary>
    Planned,

    /// <summary>When the likeliest kind flowers.</summary>
    InFlower,

    /// <summary>In any week of the coming year.</summary>
    AnyWeek,
}
