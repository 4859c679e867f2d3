using NodaTime;
using NodaTime.Text;
using VerdantSieve.Core.Observing;

namespace VerdantSieve.Core.Looking;

/// <summary>One visit to a tree: a look, with its own day.</summary>
/// <param name="LookId">The look.</param>
/// <param name="Content">What it says.</param>
public sealed record Visit(string LookId, LookContent Content)
{
    /// <summary>The day; null where none was given.</summary>
    public LocalDate? Day => LocalDatePattern.Iso.Parse(Content.Circumstances.Date ?? "") is { Success: true } day ? day.Value : null;

    /// <summary>The readings, each with the day it was made.</summary>
    public IEnumerable<RawReading> Dated =>
        Content.Readings.Select(raw => raw.Date is { Length: > 0 } ? raw : raw with { Date = Content.Circumstances.Date });
}
