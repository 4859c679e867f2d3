using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Sieving;

namespace VerdantSieve.Store.Looks;

/// <summary>All that a look says at one moment. Every change makes a new one, so that every change can be undone.</summary>
public sealed record LookContent
{
    /// <summary>The place, as the observer calls it.</summary>
    public string Place { get; init; } = "";

    /// <summary>Who looked.</summary>
    public string Observer { get; init; } = "";

    /// <summary>Where and when, as written; see <see cref="CircumstancesDesk"/>.</summary>
    public RawCircumstances Circumstances { get; init; } = new();

    /// <summary>Which school orders the answer.</summary>
    public School School { get; init; } = School.Weigh;

    /// <summary>How many readings may disagree; see <see cref="SieveQuestion.AllowedDisagreements"/>.</summary>
    public int AllowedDisagreements { get; init; } = 1;

    /// <summary>What the observer wrote beside it.</summary>
    public string Notes { get; init; } = "";

    /// <summary>The readings as written; see <see cref="ReadingDesk"/>.</summary>
    public IReadOnlyList<RawReading> Readings { get; init; } = [];

    /// <summary>What the observer settled on; null while the look is open.</summary>
    public SavedDetermination? Determined { get; init; }
}
