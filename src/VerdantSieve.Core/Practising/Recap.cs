using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Practising;

/// <summary>What is to be remembered of a kind after a set.</summary>
/// <param name="Taxon">The kind.</param>
/// <param name="Mark">Its one mark: what tells it from its look-alike or, where it has none, the line to remember it by.</param>
/// <param name="LookAlike">Its look-alike; null where the flora names none that grows there.</param>
/// <param name="Missed">Whether it was missed in the set.</param>
public sealed record RecapLine(Taxon Taxon, string Mark, Taxon? LookAlike, bool Missed);

/// <summary>The recap of a set: each kind, its one mark, its look-alike.</summary>
public static class Recap
{
    /// <summary>The kinds of a set, those that were missed first.</summary>
    /// <param name="answers">What was answered.</param>
    /// <param name="flora">The flora.</param>
    /// <param name="region">Where: what does not grow there is no look-alike there; null anywhere.</param>
    public static IReadOnlyList<RecapLine> Of(IReadOnlyList<Answered> answers, Flora flora, string? region)
    {
        var missed = answers.Where(answered => !answered.Answer.IsRight).SelectMany(answered => KindsOf(answered.Exercise)).ToHashSet();
        return
        [
            .. answers
                .SelectMany(answered => KindsOf(answered.Exercise))
                .Distinct()
                .Select(flora.FindTaxon)
                .OfType<Taxon>()
                .Select(taxon => LineOf(taxon, answers, flora, region, missed.Contains(taxon.Name.Text)))
                .OrderByDescending(line => line.Missed)
                .ThenBy(line => line.Taxon.Name.Text, StringComparer.Ordinal),
        ];
    }

    // What it was taken for is its look-alike, if the flora knows the mark; else the first that grows there.
    private static RecapLine LineOf(Taxon taxon, IReadOnlyList<Answered> answers, Flora flora, string? region, bool missed)
    {
        var takenFor = answers
            .Where(answered => KindsOf(answered.Exercise).Contains(taxon.Name.Text))
            .SelectMany(answered => KindsOf(answered.Exercise).Append(answered.Answer.Said))
            .ToHashSet();
        var alike = taxon
            .Doubles.Select(other => (Double: other, Taxon: flora.FindTaxon(other.Name)))
            .Where(pair => pair.Taxon is not null && (region is null || pair.Taxon.Distribution.Includes(region)))
            .OrderByDescending(pair => takenFor.Contains(pair.Double.Name))
            .FirstOrDefault();
        return alike.Taxon is null
            ? new RecapLine(taxon, taxon.Remember, null, missed)
            : new RecapLine(taxon, alike.Double.Mark, alike.Taxon, missed);
    }

    /// <summary>The kinds an exercise is about, by scientific name.</summary>
    public static IReadOnlyList<string> KindsOf(Exercise exercise) =>
        exercise.Match<IReadOnlyList<string>>(
            name: own => [own.Taxon],
            part: own => [own.One, own.Other],
            read: _ => [],
            record: own => [own.Taxon],
            measure: _ => []
        );
}
