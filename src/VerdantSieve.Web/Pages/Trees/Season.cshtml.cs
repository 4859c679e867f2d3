using Microsoft.AspNetCore.Mvc.RazorPages;
using NodaTime;
using NodaTime.Extensions;
using VerdantSieve.Core.Trees;
using VerdantSieve.Store.Notebooks;
using VerdantSieve.Web.Drawings;

namespace VerdantSieve.Web.Pages.Trees;

/// <summary>What the season came to: what, where and when; what was taken for what; how certain determinations fared.</summary>
public sealed class SeasonModel(TreeBook trees, FloraShelf shelf, IClock clock) : PageModel
{
    private const int MostTrees = 1000;

    public SeasonOverview Overview { get; private set; } = null!;
    public IReadOnlyList<CharacterSlips> Slips { get; private set; } = [];

    /// <summary>Determinations that the sieve would make otherwise today, with why.</summary>
    public IReadOnlyList<(TreePoint Tree, ChangedOpinion Changed)> Changed { get; private set; } = [];

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
        var answers = points
            .Where(point => season[point.Id].History.Count > 0)
            .ToDictionary(
                point => season[point.Id],
                point =>
                    open.Sieve.Ask(
                        LookQuestion.OfTree(
                            season[point.Id].Visits,
                            open.Flora,
                            clock.InTzdbSystemDefaultZone().GetCurrentDate(),
                            rest[point.Id].Details.Sex
                        )
                    )
            );
        Slips = Overview.Slips((tree, kind) => answers[tree].Candidates.First(candidate => candidate.Taxon.Name == kind.Name).Held);
        Changed =
        [
            .. from point in points
            where answers.ContainsKey(season[point.Id])
            let tree = season[point.Id]
            let changed = ChangedOpinion.Of(OpinionStanding.Of(tree.History), answers[tree], open.Flora)
            where changed is not null
            select (point, changed),
        ];
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
