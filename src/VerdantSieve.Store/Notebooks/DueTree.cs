namespace VerdantSieve.Store.Notebooks;

/// <summary>A tree that is best visited now.</summary>
/// <param name="Id">The tree.</param>
/// <param name="Tag">What it is called on the ground; empty where nothing.</param>
/// <param name="Place">The place of its last visit.</param>
/// <param name="Until">The last day of the best weeks.</param>
/// <param name="Settles">The chance that a visit settles it.</param>
public sealed record DueTree(string Id, string Tag, string Place, DateOnly Until, double Settles)
{
    // Where all of the year to come is as good, no day is named.
    private const int NearlyAYear = 340;

    /// <summary>Whether it is due by some day of the coming year, and not as well at any time.</summary>
    public bool HasAnEnd(DateOnly today) => Until.DayNumber - today.DayNumber < NearlyAYear;

    /// <summary>What it is called.</summary>
    public string Called => Tag.Length > 0 ? Tag : Place;
}
