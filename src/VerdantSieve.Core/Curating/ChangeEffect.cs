using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Drawing;
using VerdantSieve.Core.Sieving;

namespace VerdantSieve.Core.Curating;

/// <summary>What a change to a taxon does, shown before it is kept.</summary>
/// <param name="Changes">What is different in the taxon.</param>
/// <param name="Mended">Findings of the report that go.</param>
/// <param name="Caused">Findings that come.</param>
/// <param name="Looks">Kept looks, asked before and after.</param>
public sealed record ChangeEffect(
    IReadOnlyList<FieldChange> Changes,
    IReadOnlyList<Finding> Mended,
    IReadOnlyList<Finding> Caused,
    IReadOnlyList<LookEffect> Looks
)
{
    /// <summary>Works out what putting <paramref name="after"/> in a taxon's place does.</summary>
    /// <param name="sieve">The flora as it is.</param>
    /// <param name="drawn">What is drawn of it.</param>
    /// <param name="after">The taxon as it would be, of the same name as one in the flora.</param>
    /// <param name="looks">The questions of some kept looks.</param>
    /// <param name="cancel">Stops the work.</param>
    public static ChangeEffect Of(
        Sieve sieve,
        DrawnVocabulary drawn,
        Taxon after,
        IEnumerable<(string Id, string Place, SieveQuestion Question)> looks,
        CancellationToken cancel = default
    )
    {
        var changed = new Sieve(sieve.Flora.With(after));
        HashSet<ScientificName> only = [after.Name];
        Finding[] before = [.. FloraReport.Of(sieve, drawn, only, cancel).Unexplained];
        Finding[] then = [.. FloraReport.Of(changed, drawn, only, cancel).Unexplained];
        return new ChangeEffect(
            FieldChange.Between(sieve.Flora.FindTaxon(after.Name.Text)!, after, sieve.Flora.Vocabulary),
            Without(before, then),
            Without(then, before),
            [.. looks.Select(look => EffectOn(look))]
        );

        LookEffect EffectOn((string Id, string Place, SieveQuestion Question) look)
        {
            cancel.ThrowIfCancellationRequested();
            return new LookEffect(look.Id, look.Place, Verdict(sieve, look.Question), Verdict(changed, look.Question));
        }
    }

    private static Finding[] Without(IReadOnlyList<Finding> findings, IReadOnlyList<Finding> others)
    {
        var told = others.Select(finding => finding.Text).ToHashSet();
        return [.. findings.Where(finding => !told.Contains(finding.Text))];
    }

    private static LookVerdict Verdict(Sieve sieve, SieveQuestion question)
    {
        var answer = sieve.Ask(question);
        return new LookVerdict(answer.Candidates[0].Taxon, answer.Candidates[0].Probability, answer.Determination.Sentence.ToString());
    }
}
