using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Curating;

/// <summary>A look that is kept, asked again with a change made.</summary>
/// <param name="Look">The id of the look.</param>
/// <param name="Place">Where it was.</param>
/// <param name="Before">What the sieve says of it now.</param>
/// <param name="After">What it would say.</param>
public sealed record LookEffect(string Look, string Place, LookVerdict Before, LookVerdict After)
{
    /// <summary>Whether anything is different that a person would see: the name, or its chance in whole hundredths.</summary>
    public bool IsDifferent =>
        Before.Leader.Name != After.Leader.Name
        || Before.Determination != After.Determination
        || Math.Round(Before.Probability, 2) != Math.Round(After.Probability, 2);
}

/// <summary>What the sieve says of a look.</summary>
public sealed record LookVerdict(Taxon Leader, double Probability, string Determination);
