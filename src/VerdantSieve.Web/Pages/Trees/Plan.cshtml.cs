using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using NodaTime;
using VerdantSieve.Core.Formats.Notebook;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Planning;
using VerdantSieve.Store.Notebooks;
using VerdantSieve.Web.Drawings;
using VerdantSieve.Web.Notebooks;
using VerdantSieve.Web.Shared;

namespace VerdantSieve.Web.Pages.Trees;

/// <summary>When to come back, over all trees at once.</summary>
public sealed class PlanModel(OpenTrees open, TreeBook trees, IClock clock) : PageModel
{
    // A request that can wait so long for a small plan need not be sent twice.
    private static readonly TimeSpan Patience = TimeSpan.FromMilliseconds(400);

    private const int DaysOfAWeek = 7;

    public Plan Plan { get; private set; } = null!;
    public IReadOnlyDictionary<string, TreePoint> Trees { get; private set; } = null!;

    /// <summary>The trees that no week of the year is likely to settle.</summary>
    public IReadOnlyList<TreePoint> Hopeless => [.. Plan.Trees.Where(tree => tree.Year.Best is null).Select(tree => Trees[tree.Id])];

    public string Calendar =>
        PlanPicture.Draw(
            Plan.Trees,
            tree => Trees[tree.Id].Called,
            "How likely a visit in each week of the coming year settles each tree; the page of a tree says the same in words."
        );

    public string Sentence
    {
        get
        {
            if (Plan.Of == 0)
                return "Every tree that has been read is settled. There is nothing to come back for.";
            if (Plan.Outings is not { Count: > 0 } outings)
                return $"{Count(Plan.Of, "tree")} {(Plan.Of == 1 ? "is" : "are")} open, and no week of the coming year is "
                    + $"likely to settle {(Plan.Of == 1 ? "it" : "one")}.";
            return $"{Count(Plan.Of, "tree")} {(Plan.Of == 1 ? "is" : "are")} open. "
                + $"{Say.Capital(Count(outings.Count, "outing"))} would settle about "
                + $"{outings.Sum(outing => outing.Settles):0.#} of them.";
        }
    }

    public async Task OnGet(CancellationToken cancel)
    {
        (Plan, Trees) = await open.Plan(cancel);
        await Plan.Wait(Patience, cancel);
        if (Plan.Outings is not null)
            await trees.KeepDue(
                Plan.Trees.Where(tree => tree.Year.BestSpan() is not null)
                    .ToDictionary(
                        tree => tree.Id,
                        tree =>
                            (
                                tree.Year.BestSpan()!.Value.From.ToDateOnly(),
                                tree.Year.BestSpan()!.Value.To.ToDateOnly(),
                                tree.Year.Best!.Settles
                            )
                    )
            );
    }

    /// <summary>Whether it is still being worked out.</summary>
    public bool IsBusy => Plan.Outings is null && Plan.Trouble is null;

    /// <summary>The plan for a calendar.</summary>
    public async Task<IActionResult> OnGetCalendar(CancellationToken cancel)
    {
        await OnGet(cancel);
        await Plan.Wait(Timeout.InfiniteTimeSpan, cancel);
        var written = OutingCalendar.Write((Plan.Outings ?? []).Select(Entry), clock.GetCurrentInstant());
        return File(System.Text.Encoding.UTF8.GetBytes(written), OutingCalendar.MediaType, "outings.ics");
    }

    private CalendarOuting Entry(PlannedOuting outing, int at) =>
        new(
            $"outing-{outing.Day:yyyyMMdd}-{outing.Visits[0].Tree.Id}",
            outing.Day,
            DaysOfAWeek,
            $"Visit {Count(outing.Visits.Count, "tree")}: "
                + $"{Wording.Join([.. outing.Visits.Take(3).Select(visit => Trees[visit.Tree.Id].CalledToOthers)], "and")}"
                + $"{(outing.Visits.Count > 3 ? " and others" : "")}",
            PlaceOf(outing),
            string.Join(
                "\n",
                [
                    .. outing.Visits.Select(visit =>
                        $"{Trees[visit.Tree.Id].CalledToOthers}: "
                        + $"{string.Join(", ", visit.Ahead.Looks.Take(4).Select(look => look.Character.Label))} (settles "
                        + $"it {Say.Percent(visit.Ahead.Settles)})"
                        + (visit.Ahead.Care is { } care ? $". Look, and don’t touch: {care.CommonName} is still possible" : "")
                    ),
                    $"Bring {Wording.Join([.. outing.Bring.Select(OpinionWords.Of)], "and")}.",
                ]
            )
        );

    // Where a sensitive tree stands is told to no calendar.
    private string PlaceOf(PlannedOuting outing) =>
        outing.Visits.Select(visit => Trees[visit.Tree.Id]).FirstOrDefault(tree => !tree.IsSensitive)?.Place ?? "";

    private static string Count(int number, string what) => number == 1 ? $"one {what}" : $"{number} {what}s";

    /// <summary>How far it is, in words.</summary>
    public static string Way(PlannedOuting outing) =>
        outing.Way switch
        {
            < 50 => "",
            < 1000 => $"{Math.Round(outing.Way / 10) * 10:0} m from first to last",
            _ => $"{outing.Way / 1000:0.0} km from first to last",
        };

    /// <summary>A week in words.</summary>
    public static string Week(LocalDate day) => $"{Say.Date(day)} to {Say.Date(day.PlusDays(DaysOfAWeek - 1))}";
}
