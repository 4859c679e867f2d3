using NodaTime;
using VerdantSieve.Core.Measuring;

namespace VerdantSieve.Core.Observing.Speech;

/// <summary>What is known before a text is read: it decides what a bare number, “July” or “a leaf” means.</summary>
/// <param name="Today">The day it is said on; a month without a year is the last one before it.</param>
/// <param name="Style">The units of numbers that have none.</param>
/// <param name="IsCompound">Whether the plant's leaves are known to be compound.</param>
/// <param name="Region">The botanical country the plant stands in; null where it is not known.</param>
public sealed record SpokenAbout(LocalDate Today, LengthStyle Style = LengthStyle.Metric, bool IsCompound = false, string? Region = null);
