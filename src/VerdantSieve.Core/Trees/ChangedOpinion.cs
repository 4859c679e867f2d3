using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Sieving;

namespace VerdantSieve.Core.Trees;

/// <summary>A name that stands, and another that the sieve would give today from all that was read.</summary>
/// <param name="Stands">The name that stands.</param>
/// <param name="Now">What the sieve would say.</param>
/// <param name="Why">Why, as the end of a sentence that begins with “because”.</param>
public sealed record ChangedOpinion(Opinion Stands, Determination Now, string Why)
{
    /// <summary>What would be named otherwise today; null where nothing would be, or nothing stands.</summary>
    /// <param name="standing">Where the history of the tree has come to.</param>
    /// <param name="answer">The sieve's answer to all that was read of it.</param>
    /// <param name="flora">The flora.</param>
    public static ChangedOpinion? Of(OpinionStanding standing, SieveAnswer answer, Flora flora)
    {
        var now = answer.Determination;
        if (standing.Stands is not { } stands || answer.Question.Readings.Count == 0 || now.Rank is null || now.Name == stands.Name)
            return null;
        // What the sieve can only say less of is no other opinion.
        if (flora.FindTaxon(stands.Name) is { } kind && IsPartOf(kind, now.Name))
            return null;
        var edition = flora.About.Edition;
        return new ChangedOpinion(
            stands,
            now,
            stands.FloraEdition > 0 && stands.FloraEdition != edition
                ? $"the flora went from edition {stands.FloraEdition} to {edition}"
                : "more has been read since, or it was named otherwise than the sieve did"
        );
    }

    private static bool IsPartOf(Taxon kind, string group) =>
        new[] { kind.Name.Species.Text, kind.Aggregate, kind.Group, kind.Name.Genus, kind.Family }.Contains(group);
}
