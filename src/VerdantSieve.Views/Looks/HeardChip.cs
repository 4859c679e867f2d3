using VerdantSieve.Core;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Measuring;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Observing.Speech;

namespace VerdantSieve.Views.Looks;

/// <summary>A reading as it was heard, under the words it came from.</summary>
/// <param name="Heard">The reading and its words.</param>
/// <param name="Key">What tells it from the others of the same text.</param>
/// <param name="Words">The reading in plain words.</param>
public sealed record HeardChip(HeardReading Heard, string Key, string Words)
{
    /// <summary>The chips of a text.</summary>
    public static IReadOnlyList<HeardChip> Of(Heard heard, Flora flora, LengthStyle style) =>
        [.. heard.Readings.Select(reading => new HeardChip(reading, KeyOf(reading.Reading), WordsOf(reading.Reading, flora, style)))];

    private static string WordsOf(Reading reading, Flora flora, LengthStyle style) =>
        Wording.Of(reading, flora, style) + (reading.Day is { } day ? $", {Say.Date(day)}" : "");

    /// <summary>What tells a reading from others: its character, its place on the plant and its day.</summary>
    public static string KeyOf(Reading reading) =>
        reading.Character + (reading.On is { } place ? $"@{place.Word()}" : "") + (reading.Day is { } day ? $"@{Say.Date(day)}" : "");
}
