namespace VerdantSieve.Core.Tests;

/// <summary>How many cases are drawn of what is drawn by chance. While mutants are tried, which runs every test for each of them, fewer;
/// and a smaller file where one must be large.</summary>
internal static class Cases
{
#if MUTANTS
    public const int Few = 4,
        Some = 8,
        Many = 15;
    public const int Megabytes = 4;
#else
    public const int Few = 10,
        Some = 30,
        Many = 100;
    public const int Megabytes = 10;
#endif
}
