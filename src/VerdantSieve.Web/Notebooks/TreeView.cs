using NodaTime;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Planning;
using VerdantSieve.Core.Sieving;
using VerdantSieve.Core.Trees;
using VerdantSieve.Store.Notebooks;

namespace VerdantSieve.Web.Notebooks;

/// <summary>All that a tree's page shows, worked out once for a request.</summary>
public sealed class TreeView
{
    public TreeView(Tree tree, OpenFlora open, LocalDate today)
    {
        (Tree, Open) = (tree, open);
        Today = today;
        Question = LookQuestion.OfTree(tree.Visits, open.Flora, today, tree.Details.Sex);
        Answer = open.Sieve.Ask(Question);
        Year = YearAhead.Of(open.Sieve, Question, today);
        Parts = PartsOf();
    }

    public Tree Tree { get; }
    public OpenFlora Open { get; }
    public LocalDate Today { get; }

    /// <summary>All that was read on all visits.</summary>
    public SieveQuestion Question { get; }

    /// <summary>What the sieve makes of it.</summary>
    public SieveAnswer Answer { get; }

    /// <summary>The coming year.</summary>
    public YearAhead Year { get; }

    /// <summary>The kinds that are named and differ, and what would part them; empty where all agree.</summary>
    public IReadOnlyList<Separation> Parts { get; }

    /// <summary>Why the best week is the best.</summary>
    public IReadOnlyList<SeasonHere> Why =>
        Year.Best is { } best ? YearAhead.Why(best, Answer.Candidates, Open.Flora, Question.Circumstances) : [];

    /// <summary>What the sieve would name otherwise from the same readings now; null where nothing.</summary>
    public ChangedOpinion? Changed => ChangedOpinion.Of(Tree.Standing, Answer, Open.Flora);

    /// <summary>The names that a second reader sees otherwise, with the one that stands.</summary>
    public IReadOnlyList<Taxon> Disputed { get; private set; } = [];

    /// <summary>What was read on a visit, in words.</summary>
    public string WordsOf(Visit visit)
    {
        var read = LookQuestion.Of(visit.Content, Open.Flora).Own;
        return read.Count == 0
            ? "Nothing was read."
            : Say.Capital(string.Join("; ", read.Select(reading => Wording.Of(reading, Open.Flora)))) + ".";
    }

    private IReadOnlyList<Separation> PartsOf()
    {
        var standing = Tree.Standing;
        if (!standing.IsDisputed || standing.Stands is null)
            return [];
        var other =
            standing.OtherNames.Count > 0
                ? standing.OtherNames
                : [.. Answer.Candidates.Take(2).Select(candidate => candidate.Taxon.Name.Text)];
        Disputed =
        [
            .. other.Prepend(standing.Stands.Name).Select(Open.Flora.FindTaxon).OfType<Taxon>().DistinctBy(taxon => taxon.Name).Take(4),
        ];
        return Disputed.Count < 2 ? [] : [.. Open.Sieve.TellApart(Disputed, Question.Circumstances).Where(part => part.Bits > 0.1).Take(3)];
    }
}
