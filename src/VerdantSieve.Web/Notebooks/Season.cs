using NodaTime;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Trees;
using VerdantSieve.Store.Notebooks;

namespace VerdantSieve.Web.Notebooks;

/// <summary>What a season came to, worked out.</summary>
public sealed class Season
{
    /// <param name="points">The trees.</param>
    /// <param name="trees">What was seen and thought of each, by its id.</param>
    /// <param name="open">The flora they are looked at with.</param>
    /// <param name="today">The day it is.</param>
    public Season(
        IReadOnlyList<TreePoint> points,
        IReadOnlyDictionary<string, (SeasonTree Tree, PlantSex? Sex)> trees,
        OpenFlora open,
        LocalDate today
    )
    {
        Trees = points.Count;
        var overview = new SeasonOverview([.. points.Select(point => trees[point.Id].Tree)], open.Flora);
        (Months, Kinds) = (overview.Months, overview.Kinds);
        (Seen, Calibration) = (overview.Seasons, overview.Calibration);
        TakenFor = overview.TakenFor;
        var answers = trees
            .Values.Where(tree => tree.Tree.History.Count > 0)
            .ToDictionary(tree => tree.Tree, tree => open.Sieve.Ask(LookQuestion.OfTree(tree.Tree.Visits, open.Flora, today, tree.Sex)));
        Slips = overview.Slips((tree, kind) => answers[tree].Candidates.First(candidate => candidate.Taxon.Name == kind.Name).Held);
        Changed =
        [
            .. from point in points
            let tree = trees[point.Id].Tree
            where answers.ContainsKey(tree)
            let changed = ChangedOpinion.Of(OpinionStanding.Of(tree.History), answers[tree], open.Flora)
            where changed is not null
            select (point.Id, point.Called, changed),
        ];
    }

    /// <summary>How many trees there are.</summary>
    public int Trees { get; }

    /// <inheritdoc cref="SeasonOverview.Months"/>
    public IReadOnlyList<(LocalDate Month, int Visits)> Months { get; }

    /// <inheritdoc cref="SeasonOverview.Kinds"/>
    public IReadOnlyList<(string Name, int Trees)> Kinds { get; }

    /// <inheritdoc cref="SeasonOverview.Seasons"/>
    public IReadOnlyList<SeenInSeason> Seen { get; }

    /// <inheritdoc cref="SeasonOverview.Calibration"/>
    public IReadOnlyList<CertaintyBin> Calibration { get; }

    /// <inheritdoc cref="SeasonOverview.TakenFor"/>
    public IReadOnlyList<(string First, string Then, int Trees)> TakenFor { get; }

    /// <inheritdoc cref="SeasonOverview.Slips"/>
    public IReadOnlyList<CharacterSlips> Slips { get; }

    /// <summary>Determinations that the sieve would make otherwise today, with why.</summary>
    public IReadOnlyList<(string Tree, string Called, ChangedOpinion Changed)> Changed { get; }
}
