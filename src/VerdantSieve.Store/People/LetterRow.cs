namespace VerdantSieve.Store.People;

/// <summary>A letter in the simulated outbox: what would have gone by mail where no mail server is set.</summary>
public sealed class LetterRow
{
    public int Id { get; init; }
    public required string To { get; init; }
    public required string Subject { get; init; }
    public required string Text { get; init; }
    public DateTimeOffset At { get; init; }
}
