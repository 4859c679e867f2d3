using VerdantSieve.Core.Observing;

namespace VerdantSieve.Core.Sieving;

/// <summary>A question to the sieve.</summary>
public sealed record SieveQuestion
{
    /// <summary>The most disagreements that can be allowed.</summary>
    public const int MostAllowed = 3;

    /// <summary>The certainty asked of a determination where none is said.</summary>
    public const double UsualCertainty = 0.95;

    /// <summary>Where and when.</summary>
    public Circumstances Circumstances { get; init; } = Circumstances.Unknown;

    /// <summary>What was read; each character at most once.</summary>
    public IReadOnlyList<Reading> Readings { get; init; } = [];

    /// <summary>What the plant is most likely one of: the kinds of a list, by scientific name. Others stay possible. Null where there is no
    /// such list.</summary>
    public IReadOnlySet<string>? Among { get; init; }

    /// <summary>Which school orders the answer.</summary>
    public School School { get; init; } = School.Weigh;

    /// <summary>How many readings may disagree with a taxon before the strict school holds it back: 0 to
    /// <see cref="MostAllowed"/>.</summary>
    /// <exception cref="ArgumentOutOfRangeException">It is not from 0 to <see cref="MostAllowed"/>.</exception>
    public int AllowedDisagreements
    {
        get;
        init =>
            field = value is >= 0 and <= MostAllowed
                ? value
                : throw new ArgumentOutOfRangeException(
                    nameof(AllowedDisagreements),
                    value,
                    $"From 0 to {MostAllowed} readings may disagree."
                );
    } = 1;

    /// <summary>The certainty asked of a determination, above 0.5 and below 1.</summary>
    /// <exception cref="ArgumentOutOfRangeException">It is not above 0.5 and below 1.</exception>
    public double Certainty
    {
        get;
        init =>
            field = value is > 0.5 and < 1
                ? value
                : throw new ArgumentOutOfRangeException(nameof(Certainty), value, "A certainty is above 0.5 and below 1.");
    } = UsualCertainty;
}
