using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Sieving;

/// <summary>Says what kind of sign a reading is. The limits are choices.</summary>
internal static class Signs
{
    // So many bits more than for plants at large, and hardly anything else will do; so few, and it might as well not have been read.
    private const double TellingAll = 4,
        Little = 0.5;

    // What nearly every plant of the taxon has.
    private const double NearlyAll = 0.95;

    /// <summary>The kind of a reading for a taxon.</summary>
    /// <param name="score">What the flora says of the taxon; null where it says nothing.</param>
    /// <param name="bits">By how much more the taxon speaks for the reading than plants at large.</param>
    public static SignKind Of(Score? score, double bits)
    {
        if (bits >= TellingAll)
            return SignKind.TellsAll;
        if (Math.Abs(bits) < Little)
            return SignKind.ProvesLittle;
        return score is not null && IsRequired(score) ? SignKind.MustHave : SignKind.Ordinary;
    }

    private static bool IsRequired(Score score) =>
        score.Match(
            states: shown => shown.States.Count == 1,
            range: _ => false,
            presence: presence => presence.Frequency >= NearlyAll,
            season: _ => false
        );
}
