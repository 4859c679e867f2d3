namespace VerdantSieve.Core.Sieving;

/// <summary>All that is known when the determination is written.</summary>
/// <param name="Weighed">What the readings come to.</param>
/// <param name="NoneOfThese">The chance that the plant is none of the taxa.</param>
/// <param name="NextLooks">What to look at, best first.</param>
/// <param name="Doubts">Every reading, most doubtful first.</param>
/// <param name="Grounds">What the lead rests on; null with fewer than two kinds.</param>
internal sealed record Findings(
    Weighed Weighed,
    double NoneOfThese,
    IReadOnlyList<NextLook> NextLooks,
    IReadOnlyList<Doubt> Doubts,
    Grounds? Grounds
)
{
    /// <summary>The best look that need not wait; null where none is left.</summary>
    public NextLook? BestLook => NextLooks.FirstOrDefault(look => look.HeldBack is null);
}
