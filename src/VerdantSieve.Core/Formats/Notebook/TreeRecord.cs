using NodaTime;
using VerdantSieve.Core.Seasons;
using VerdantSieve.Core.Trees;

namespace VerdantSieve.Core.Formats.Notebook;

/// <summary>A visit as others read it.</summary>
/// <param name="Id">The look.</param>
/// <param name="Day">The day; null where none was given.</param>
/// <param name="By">Who looked.</param>
/// <param name="Readings">What was read, each a character and what it showed.</param>
/// <param name="Notes">What was written beside it.</param>
public sealed record RecordedVisit(string Id, LocalDate? Day, string By, IReadOnlyList<RecordedReading> Readings, string Notes);

/// <summary>A reading as others read it.</summary>
/// <param name="Character">The id of the character.</param>
/// <param name="Words">The reading in words.</param>
public sealed record RecordedReading(string Character, string Words);

/// <summary>A tree as it leaves the notebook: in words that others understand, and no nearer than may be told.</summary>
/// <param name="Id">The tree.</param>
/// <param name="Called">What it is called.</param>
/// <param name="Place">Where, in words.</param>
public sealed record TreeRecord(string Id, string Called, string Place)
{
    /// <summary>The botanical country, a level 3 code; null where it is not known.</summary>
    public string? Country { get; init; }

    /// <summary>Where it stands, as it may be told; null where that is not known.</summary>
    public Position? At { get; init; }

    /// <summary>Whether the position was blurred.</summary>
    public bool IsBlurred { get; init; }

    /// <summary>Whether it was planted; null where that was not said.</summary>
    public bool? Planted { get; init; }

    /// <summary>What is kept of it beside its visits.</summary>
    public TreeDetails Details { get; init; } = new();

    /// <summary>Its visits, oldest first.</summary>
    public IReadOnlyList<RecordedVisit> Visits { get; init; } = [];

    /// <summary>Its determinations, oldest first, those that were taken back left out.</summary>
    public IReadOnlyList<Opinion> History { get; init; } = [];

    /// <summary>The determination that stands; null while it is open.</summary>
    public Opinion? Stands => OpinionStanding.Of(History).Stands;

    /// <summary>The day of the last visit.</summary>
    public LocalDate? Day => Visits.Count > 0 ? Visits[^1].Day : null;
}
