namespace VerdantSieve.Store.Notebooks;

/// <summary>What is said of an outing.</summary>
/// <param name="Title">What it is called.</param>
/// <param name="Date">The day.</param>
/// <param name="Who">Who went.</param>
/// <param name="Weather">The weather.</param>
/// <param name="Access">How to get there and whose leave was had.</param>
/// <param name="Hazards">What can hurt there.</param>
public sealed record OutingAbout(string Title, DateOnly? Date, string Who, string Weather, string Access, string Hazards)
{
    /// <summary>The most letters of each.</summary>
    public const int Longest = 500;
}

/// <summary>An outing as its page needs it.</summary>
/// <param name="Id">What it is called in addresses.</param>
/// <param name="About">What is said of it.</param>
/// <param name="Track">The way that was walked.</param>
/// <param name="Visits">How many visits were made on it.</param>
/// <param name="IsDiscarded">Whether it was thrown away.</param>
public sealed record Outing(string Id, OutingAbout About, IReadOnlyList<TrackPoint> Track, int Visits, bool IsDiscarded);
