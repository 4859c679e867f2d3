using VerdantSieve.Core.Planning;

namespace VerdantSieve.Web.Notebooks;

/// <summary>A plan as it is being worked out, and when it is done.</summary>
public sealed class Plan(int of)
{
    private readonly TaskCompletionSource ended = new(TaskCreationOptions.RunContinuationsAsynchronously);
    private int done;

    /// <summary>How many trees there are, and for how many the year is worked out.</summary>
    public int Of => of;
    public int Done => Volatile.Read(ref done);

    /// <summary>The outings; null while it is being worked out.</summary>
    public IReadOnlyList<PlannedOuting>? Outings { get; private set; }

    /// <summary>The coming year of each tree.</summary>
    public IReadOnlyList<PlannedTree> Trees { get; private set; } = [];

    /// <summary>Why it could not be worked out; null where it could.</summary>
    public string? Trouble { get; private set; }

    /// <summary>Waits until it is worked out or has failed, or for so long.</summary>
    public async Task Wait(TimeSpan longest, CancellationToken cancel)
    {
        try
        {
            await ended.Task.WaitAsync(longest, cancel);
        }
        catch (TimeoutException)
        {
            // Whoever asked looks again.
        }
    }

    internal void OneMore() => Interlocked.Increment(ref done);

    internal void End(IReadOnlyList<PlannedTree> trees, IReadOnlyList<PlannedOuting> outings)
    {
        (Trees, Outings) = (trees, outings);
        ended.SetResult();
    }

    internal void Fail(string why)
    {
        Trouble = why;
        ended.SetResult();
    }
}
