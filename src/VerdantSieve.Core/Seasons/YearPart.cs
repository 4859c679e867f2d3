namespace VerdantSieve.Core.Seasons;

/// <summary>A part of the year as people name it.</summary>
internal enum YearPart
{
    EarlySpring,
    Spring,
    LateSpring,
    EarlySummer,
    Summer,
    LateSummer,
    EarlyAutumn,
    Autumn,
    LateAutumn,
    EarlyWinter,
    Winter,
    LateWinter,
}
