using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Sieving;

namespace VerdantSieve.Store.Looks;

/// <summary>All that a look says at one moment. Every change makes a new one, so that every change can be undone.</summary>
public sealed record LookContent
{
    public string Place { get; init; } = "";
    public string? Region { get; init; }
    public double? Latitude { get; init; }
    public double? Longitude { get; init; }
    public double? Elevation { get; init; }
    public DateOnly? Date { get; init; }
    public string Observer { get; init; } = "";
    public Setting? Setting { get; init; }
    public Age? Age { get; init; }
    public School School { get; init; } = School.Weigh;
    public int Slips { get; init; } = 1;
    public string Notes { get; init; } = "";

    /// <summary>The readings as written; see <see cref="ReadingDesk"/>.</summary>
    public IReadOnlyList<RawReading> Readings { get; init; } = [];

    /// <summary>What the observer settled on; null while the look is open.</summary>
    public SavedDetermination? Determined { get; init; }
}

/// <summary>A determination as it was saved, with what the sieve said at the time.</summary>
public sealed record SavedDetermination(string Name, TaxonRank? Rank, double Probability, string Sentence, int FloraEdition, DateOnly On);
