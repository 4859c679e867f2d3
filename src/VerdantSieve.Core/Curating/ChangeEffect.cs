using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Formats;
using VerdantSieve.Core.Sieving;

namespace VerdantSieve.Core.Curating;

/// <summary>One thing that a change to a taxon changes, in the words of its file.</summary>
/// <param name="Field">The key of the file, or the id of the character.</param>
/// <param name="Before">What it was; empty where there was nothing.</param>
/// <param name="After">What it becomes; empty where nothing is left.</param>
public sealed record FieldChange(string Field, string Before, string After);

/// <summary>A look that is kept, asked again with the change made.</summary>
/// <param name="Look">The id of the look.</param>
/// <param name="Place">Where it was.</param>
/// <param name="Before">What the sieve says of it now.</param>
/// <param name="After">What it would say.</param>
public sealed record LookEffect(string Look, string Place, LookVerdict Before, LookVerdict After)
{
    /// <summary>Whether anything is different that a person would see: the name, or its chance in whole hundredths.</summary>
    public bool IsDifferent => Before.Leader.Name != After.Leader.Name || Before.Determination != After.Determination || Math.Round(Before.Probability, 2) != Math.Round(After.Probability, 2);
}

/// <summary>What the sieve says of a look.</summary>
public sealed record LookVerdict(Taxon Leader, double Probability, string Determination);

/// <summary>What a change to a taxon does, shown before it is kept.</summary>
/// <param name="Changes">What is different in the taxon.</param>
/// <param name="Mended">Findings of the report that go.</param>
/// <param name="Caused">Findings that come.</param>
/// <param name="Looks">Kept looks, asked before and after.</param>
public sealed record ChangeEffect(IReadOnlyList<FieldChange> Changes, IReadOnlyList<Finding> Mended, IReadOnlyList<Finding> Caused, IReadOnlyList<LookEffect> Looks)
{
    /// <summary>Works out what putting <paramref name="after"/> in a taxon's place does.</summary>
    /// <param name="sieve">The flora as it is.</param>
    /// <param name="after">The taxon as it would be, of the same name as one in the flora.</param>
    /// <param name="looks">The questions of some kept looks.</param>
    public static ChangeEffect Of(Sieve sieve, Taxon after, IEnumerable<(string Id, string Place, SieveQuestion Question)> looks)
    {
        var changed = new Sieve(With(sieve.Flora, after));
        HashSet<ScientificName> only = [after.Name];
        var (before, then) = (FloraReport.Of(sieve, only).Findings, FloraReport.Of(changed, only).Findings);
        return new ChangeEffect(Between(sieve.Flora.FindTaxon(after.Name.Text)!, after, sieve.Flora.Characters),
            [.. before.Where(finding => then.All(other => other.Text != finding.Text))], [.. then.Where(finding => before.All(other => other.Text != finding.Text))],
            [.. looks.Select(look => new LookEffect(look.Id, look.Place, Verdict(sieve, look.Question), Verdict(changed, look.Question)))]);
    }

    /// <summary>The flora with one taxon replaced, and its edition one higher.</summary>
    public static Flora With(Flora flora, Taxon taxon) => new(flora.About with { Edition = flora.About.Edition + 1 }, flora.Characters,
        flora.Taxa.Select(other => other.Name == taxon.Name ? taxon : Own(other)));

    // What a hybrid took from its parents is worked out anew, since a parent may have changed.
    private static Taxon Own(Taxon taxon) => taxon.Inferred.Count == 0 ? taxon
        : taxon with { Scores = taxon.Scores.Where(score => !taxon.Inferred.Contains(score.Key)).ToDictionary(), Inferred = new HashSet<string>() };

    /// <summary>What is different between two forms of a taxon, line by line of its file.</summary>
    public static IReadOnlyList<FieldChange> Between(Taxon before, Taxon after, IReadOnlyList<Character> characters)
    {
        var (one, other) = (Fields(before, characters), Fields(after, characters));
        return [.. one.Keys.Union(other.Keys).Where(key => one.GetValueOrDefault(key, "") != other.GetValueOrDefault(key, ""))
            .Select(key => new FieldChange(key, one.GetValueOrDefault(key, ""), other.GetValueOrDefault(key, "")))];
    }

    private static Dictionary<string, string> Fields(Taxon taxon, IReadOnlyList<Character> characters)
    {
        var fields = new Dictionary<string, string>();
        var section = "";
        foreach (var line in TaxonWriter.Write(taxon, characters).Split('\n', StringSplitOptions.RemoveEmptyEntries))
        {
            var halves = line.Split(": ", 2);
            if (line.EndsWith(':')) section = line[..^1];
            else if (line.StartsWith("  ", StringComparison.Ordinal)) fields[section is "scores" ? halves[0].Trim() : $"{section}: {halves[0].Trim()}"] = halves[^1];
            else fields[halves[0]] = halves[^1];
        }
        return fields;
    }

    private static LookVerdict Verdict(Sieve sieve, SieveQuestion question)
    {
        var answer = sieve.Ask(question);
        return new LookVerdict(answer.Candidates[0].Taxon, answer.Candidates[0].Probability, answer.Determination.Sentence.ToString());
    }
}
