using Microsoft.AspNetCore.Mvc.RazorPages;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Sieving;
using VerdantSieve.Core.Trees;
using VerdantSieve.Store.Notebooks;
using VerdantSieve.Web.Drawings;

namespace VerdantSieve.Web.Pages.Trees;

/// <summary>What the season came to: what, where and when; what was taken for what; how certain determinations fared.</summary>
public sealed class SeasonModel(TreeBook trees, FloraShelf shelf) : PageModel
{
    private const int MostTrees = 1000;

    public SeasonOverview Overview { get; private set; } = null!;
    public IReadOnlyList<CharacterSlips> Slips { get; private set; } = [];

    /// <summary>Determinations that the sieve would make otherwise today, with why.</summary>
    public IReadOnlyList<(TreePoint Tree, string Stands, string Now, string Why)> Changed { get; private set; } = [];

    public int Trees { get; private set; }

    public async Task OnGet(CancellationToken cancel)
    {
        var open = shelf.Shipped;
        var points = (await trees.Points(open.Flora.About.Id, cancel: cancel)).Take(MostTrees).ToArray();
        string[] ids = [.. points.Select(point => point.Id)];
        var (visits, rest) = (await trees.VisitsOf(ids, cancel), await trees.RestOf(ids, cancel));
        var season = points.ToDictionary(
            point => point.Id,
            point => new SeasonTree(point.Called, [.. visits[point.Id]], rest[point.Id].History)
        );
        Trees = points.Length;
        Overview = new SeasonOverview([.. season.Values], open.Flora);
        var answers = season
            .Where(pair => pair.Value.History.Count > 0)
            .ToDictionary(pair => pair.Value, pair => AnswerOf(pair.Value, open));
        Slips = Overview.Slips((tree, kind) => answers[tree].Candidates.First(candidate => candidate.Taxon.Name == kind.Name).Held);
        Changed =
        [
            .. points
                .Where(point => season[point.Id].History.Count > 0)
                .Select(point => ChangeOf(point, season[point.Id], answers[season[point.Id]], open))
                .OfType<(TreePoint, string, string, string)>(),
        ];
    }

    private static SieveAnswer AnswerOf(SeasonTree tree, OpenFlora open) =>
        open.Sieve.Ask(
            LookQuestion.OfTree(tree.Visits, open.Flora, tree.Visits is [.., { Day: { } day }] ? day : new NodaTime.LocalDate(2026, 6, 15))
        );

    private static (TreePoint, string, string, string)? ChangeOf(TreePoint point, SeasonTree tree, SieveAnswer answer, OpenFlora open)
    {
        var now = answer.Determination;
        // What the sieve can only say less of is no other opinion.
        if (
            OpinionStanding.Of(tree.History).Stands is not { } stands
            || answer.Question.Readings.Count == 0
            || now.Rank is null
            || now.Name == stands.Name
            || open.Flora.FindTaxon(stands.Name) is { } kind
                && (now.Name == kind.Name.Genus || now.Name == kind.Family || now.Name == kind.Group || now.Name == kind.Aggregate)
        )
            return null;
        var edition = open.Flora.About.Edition;
        var why =
            stands.FloraEdition == edition
                ? "more has been read since, or the observer named it otherwise"
                : $"the flora went from edition {stands.FloraEdition} to {edition}";
        return (point, stands.Written, $"{now.Name}, {Say.Chance(now.Probability)}", why);
    }

    public string Sentence =>
        Trees == 0
            ? "Nothing here yet."
            : $"{Trees} trees, {Overview.Months.Sum(month => month.Visits)} visits, {Overview.Kinds.Count} names.";

    public string Months =>
        BarPicture.Draw(
            [
                .. Overview.Months.Select(month =>
                    (month.Month.ToString("MMM yy", System.Globalization.CultureInfo.InvariantCulture), month.Visits)
                ),
            ],
            "Visits by month"
        );

    public string Calibration =>
        CalibrationPicture.Draw(Overview.Calibration, "How often determinations still stand, by how certain they were when given");
}
