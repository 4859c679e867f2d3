using System.Globalization;
using NodaTime;
using NodaTime.Text;

namespace VerdantSieve.Core.Observing;

/// <summary>Where and when, as it arrives from a form or a request, or as it is kept, before it is checked. Empty stands for not
/// known.</summary>
public sealed record RawCircumstances
{
    /// <summary>A level 3 code of the World Geographical Scheme, in letters of any case.</summary>
    public string? Region { get; init; }

    /// <summary>Degrees north.</summary>
    public string? Latitude { get; init; }

    /// <summary>Degrees east; west is negative.</summary>
    public string? Longitude { get; init; }

    /// <summary>Metres above the sea.</summary>
    public string? Elevation { get; init; }

    /// <summary>The day, as year-month-day.</summary>
    public string? Date { get; init; }

    /// <summary><c>wild</c> or <c>planted</c>.</summary>
    public string? Setting { get; init; }

    /// <summary><c>young</c> or <c>grown</c>.</summary>
    public string? Age { get; init; }

    /// <summary><c>leafless</c>, <c>bud</c>, <c>leafing</c>, <c>leaf</c>, <c>turning</c> or <c>leaf-fall</c>.</summary>
    public string? Stage { get; init; }

    /// <summary>Circumstances written so that <see cref="CircumstancesDesk.Check"/> reads them back unchanged.</summary>
    public static RawCircumstances From(Circumstances circumstances) =>
        new()
        {
            Region = circumstances.Region,
            Latitude = Written(circumstances.Position?.Latitude),
            Longitude = Written(circumstances.Position?.Longitude),
            Elevation = Written(circumstances.Position?.Elevation),
            Date = circumstances.Date is { } date ? LocalDatePattern.Iso.Format(date) : null,
            Setting = circumstances.Setting?.Word(),
            Age = circumstances.Age?.Word(),
            Stage = circumstances.Stage?.Word(),
        };

    private static string? Written(double? value) => value?.ToString("R", CultureInfo.InvariantCulture);
}
