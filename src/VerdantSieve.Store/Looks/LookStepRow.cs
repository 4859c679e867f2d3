namespace VerdantSieve.Store.Looks;

/// <summary>One step of a look's history: what was done, and all the look said afterwards.</summary>
public sealed class LookStepRow
{
    public required string LookId { get; init; }
    public required int Number { get; init; }
    public required string Done { get; init; }
    public required string Content { get; init; }
    public DateTimeOffset At { get; init; }

    /// <summary>What the page called the sending that made this step, so that one sent twice counts once; null where it called it
    /// nothing.</summary>
    public Guid? Sent { get; init; }
}
