using VerdantSieve.Core;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Trees;

namespace VerdantSieve.Web.Notebooks;

/// <summary>What somebody thinks of a tree, as it is typed.</summary>
public sealed class OpinionForm
{
    /// <summary><c>agreed</c>, <c>doubted</c>, <c>determined</c> or <c>remarked</c>.</summary>
    public string? Kind { get; set; }
    public string? Name { get; set; }
    public string? Qualifier { get; set; }
    public string? Reasons { get; set; }

    /// <summary>Who says it, where nobody is signed in.</summary>
    public string? By { get; set; }

    private Fault? fault;

    private const int LongestName = 200,
        LongestBy = 80;

    /// <summary>What is wrong with a field; null where nothing is.</summary>
    public string? FaultAt(string field) => fault?.At == field ? fault.Sentence : null;

    /// <summary>What is to be kept; null where something is wrong, which is then told at its field.</summary>
    public Opinion? Fill(TreeView view)
    {
        var (flora, stands) = (view.Open.Flora, view.Tree.Standing.Stands);
        var reasons = Reasons?.ReplaceLineEndings("\n").Trim() ?? "";
        fault = null;
        if (!EnumWords.TryRead<OpinionKind>(Kind, out var kind) || kind == OpinionKind.Reopened)
            return Wrong("kind", "Choose what you want to say.");
        if (reasons.Length > Opinion.LongestReasons)
            return Wrong("reasons", $"At most {Opinion.LongestReasons} letters fit here; these are {reasons.Length}.");
        if (By?.Trim().Length > LongestBy)
            return Wrong("by", $"A name has at most {LongestBy} letters.");
        if (kind is OpinionKind.Doubted or OpinionKind.Remarked && reasons.Length == 0)
            return Wrong("reasons", kind == OpinionKind.Doubted ? "Say what makes you doubt it." : "Write the remark.");
        if (kind is OpinionKind.Agreed or OpinionKind.Doubted && stands is null)
            return Wrong("kind", "No name stands yet that could be agreed with or doubted.");
        var line = new Opinion(0, kind, By?.Trim() ?? "", default)
        {
            Reasons = reasons,
            Name = stands?.Written ?? "",
            FloraEdition = flora.About.Edition,
            Readings = [.. view.Question.Readings.Select(reading => Wording.Of(reading, flora))],
        };
        return kind == OpinionKind.Determined ? Named(line, view) : line;
    }

    private Opinion? Named(Opinion line, TreeView view)
    {
        var typed = Name?.Trim() ?? "";
        if (typed.Length is 0 or > LongestName || Resolve(typed, view) is not var (name, rank))
            return Wrong(
                "name",
                typed.Length == 0
                    ? "Give the name of a kind, a genus or a family."
                    : $"“{typed}” is not in this flora. Choose a kind from the list, or write a genus or a family."
            );
        return line with
        {
            Name = name,
            Rank = rank,
            Qualifier = EnumWords.TryRead<Qualifier>(Qualifier, out var qualifier) ? qualifier : null,
            Probability = Chance(name, rank, view),
        };
    }

    private static (string Name, TaxonRank Rank)? Resolve(string typed, TreeView view)
    {
        var flora = view.Open.Flora;
        var named =
            flora.FindTaxon(typed) ?? flora.Taxa.FirstOrDefault(kind => kind.CommonNames.Contains(typed, StringComparer.OrdinalIgnoreCase));
        if (named is not null)
            return (named.Name.Text, named.Rank);
        bool Is(string? name) => string.Equals(name, typed, StringComparison.OrdinalIgnoreCase);
        if (flora.Taxa.FirstOrDefault(kind => Is(kind.Name.Genus)) is { } genus)
            return (genus.Name.Genus, TaxonRank.Genus);
        return flora.Taxa.FirstOrDefault(kind => Is(kind.Family)) is { } family ? (family.Family!, TaxonRank.Family) : null;
    }

    // What the sieve gives the name today, from all that was read.
    private static double? Chance(string name, TaxonRank rank, TreeView view)
    {
        if (view.Question.Readings.Count == 0)
            return null;
        return rank is TaxonRank.Genus or TaxonRank.Family
            ? view.Answer.Ranking.FirstOrDefault(share => share.Rank == rank && share.Name == name)?.Probability
            : view.Answer.Candidates.FirstOrDefault(candidate => candidate.Taxon.Name.Text == name)?.Probability;
    }

    private Opinion? Wrong(string field, string sentence)
    {
        fault = new Fault(field, sentence);
        return null;
    }
}
