using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;

namespace VerdantSieve.Core.Sieving;

/// <summary>How much a reading counts beside others that say nearly the same.</summary>
public static class Damping
{
    private const double ReadAgain = 0.3;

    private static double Among(int alike, double share) => 1 / (1 + (alike - 1) * share);

    /// <summary>The exponent of a reading's likelihood, above 0 and at most 1.</summary>
    /// <remarks>Of k readings that repeat each other to the share ρ all together count as k / (1 + (k − 1) ρ) readings: the effective size
    /// of a
    /// sample whose members are correlated (L. Kish 1965, Survey Sampling, the design effect). Each counts an equal part of that.</remarks>
    public static double Weight(Reading reading, IReadOnlyList<Reading> all, Flora flora)
    {
        var character = flora.Character(reading.Character);
        // The same character at another place or on another day says part of the same again.
        var again = Among(all.Count(other => other.Character == reading.Character), ReadAgain);
        if (character.Correlation is not { } correlation)
            return character.Weight * again;
        var alike = all.Where(other => flora.Character(other.Character).Correlation?.Group == correlation.Group)
            .DistinctBy(other => other.Character)
            .Count();
        return character.Weight * again * Among(alike, correlation.Share);
    }
}
