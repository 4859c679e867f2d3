using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using NodaTime;
using NodaTime.Extensions;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Planning;
using VerdantSieve.Core.Trees;
using VerdantSieve.Store.Notebooks;
using VerdantSieve.Web.Drawings;
using VerdantSieve.Web.Notebooks;

namespace VerdantSieve.Web.Pages.Trees;

/// <summary>One tree: all its visits together, what is thought of it, and when to come back.</summary>
public sealed class TreeModel(
    TreeBook trees,
    OpinionBook opinions,
    Store.Looks.LookBook looks,
    PictureBook pictures,
    FloraShelf shelf,
    Reader reader,
    IClock clock
) : PageModel
{
    public TreeView View { get; private set; } = null!;
    public Tree Tree => View.Tree;

    /// <summary>The pictures kept with each visit.</summary>
    public ILookup<string, KeptPicture> Pictures { get; private set; } = null!;

    public TreeForm Details { get; private set; } = new();
    public OpinionForm Opinion { get; private set; } = new();

    /// <summary>Whether somebody is signed in whose name is known.</summary>
    public bool IsKnown => reader.Person is not null;

    public bool IsOwn => Tree.May == Sharing.Own;

    private LocalDate Today => clock.InTzdbSystemDefaultZone().GetCurrentDate();

    public async Task<IActionResult> OnGet(string id, CancellationToken cancel) => await Load(id, cancel) ? Page() : NotFound();

    public async Task<IActionResult> OnPostVisit(string id, Guid? sent)
    {
        if (await shelf.Take((await trees.Find(id))?.FloraId) is not { })
            return NotFound();
        var look = await looks.Visit(id, last => last.Again(Today), sent: sent);
        return look is null ? NotFound() : RedirectToPage("/Looks/Look", new { id = look.Id });
    }

    public async Task<IActionResult> OnPostThink(string id, OpinionForm form, CancellationToken cancel)
    {
        if (!await Load(id, cancel))
            return NotFound();
        Opinion = form;
        if (form.Fill(View) is not { } line)
            return Refused();
        return await opinions.Add(id, line) ? Back(id, "history") : NotFound();
    }

    public async Task<IActionResult> OnPostWithdraw(string id, int line, bool again) =>
        await opinions.Withdraw(id, line, !again) ? Back(id, "history") : NotFound();

    public async Task<IActionResult> OnPostDetails(string id, TreeForm form, CancellationToken cancel)
    {
        if (!await Load(id, cancel) || !IsOwn)
            return NotFound();
        Details = form;
        if (form.Fill(Tree.Details) is not var (details, position))
            return Refused();
        if (await trees.Change(id, form.Edition, details, position) is not { } changed)
            return NotFound();
        if (changed)
            return Back(id, "details");
        form.ChangedElsewhere();
        // The address names what is sent with the page; what is shown is sent next.
        ModelState.Clear();
        form.Edition = Tree.Edition;
        return Refused();
    }

    public async Task<IActionResult> OnPostUndo(string id) => await trees.Undo(id) ? Back(id, "details") : NotFound();

    public async Task<IActionResult> OnPostDiscard(string id) =>
        await trees.Discard(id, true) ? RedirectToPage("/Notebook", new { discarded = id }) : NotFound();

    public async Task<IActionResult> OnPostRestore(string id) => await trees.Discard(id, false) ? Back(id, null) : NotFound();

    private async Task<bool> Load(string id, CancellationToken cancel)
    {
        if (await trees.Find(id, cancel) is not { } tree || await shelf.Take(tree.FloraId) is not { } open)
            return false;
        View = new TreeView(tree, open, Today);
        Pictures = (await pictures.Of([.. tree.Visits.Select(visit => visit.LookId)], cancel)).ToLookup(picture => picture.LookId);
        Details = TreeForm.Of(tree);
        Opinion.Kind = tree.Standing.Stands is null ? "determined" : "agreed";
        return true;
    }

    private RedirectToPageResult Back(string id, string? part) => RedirectToPage(null, null, new { id }, part);

    private PageResult Refused()
    {
        Response.StatusCode = StatusCodes.Status422UnprocessableEntity;
        return Page();
    }

    /// <summary>When to come back, in one sentence.</summary>
    public string ComeBack
    {
        get
        {
            if (View.Question.Readings.Count == 0)
                return "Nothing has been read of it yet; any time is a good time.";
            if (View.Answer.Enough is not null)
                return "Enough is known to keep away from it; nothing is gained by going back.";
            if (View.Year.Best is not { } best || View.Year.BestSpan() is not var (from, to))
                return "No week of the coming year is likely to settle it; what parts what is left can hardly be seen.";
            var looks = Wording.Join([.. best.Looks.Take(3).Select(look => look.Character.Label)], "and");
            var when =
                from <= View.Today && to >= View.Today.PlusWeeks(YearAhead.WeeksAhead - 1)
                    ? "Any week"
                    : $"Best between {Say.Date(from)} and {Say.Date(to)}";
            return $"{when}: a visit then settles it with a chance of {Say.Percent(best.Settles)}. Look at {looks}.";
        }
    }

    /// <summary>What the best visit needs.</summary>
    public IReadOnlyList<FieldTool> Bring => View.Year.Best is { } best ? FieldTools.Of(best.Looks.Select(look => look.Character)) : [];

    public string YearDrawn =>
        YearPicture.Draw(View.Year, SeasonsDrawn, $"How likely a visit in each week of the coming year settles the tree. {ComeBack}");

    private IReadOnlyList<SeasonHere> SeasonsDrawn =>
        [
            .. View
                .Answer.Candidates.TakeWhile(candidate => candidate.Probability >= 0.08)
                .Take(3)
                .SelectMany(candidate =>
                    new[] { false, true }.Select(fruit =>
                        SeasonHere.Of(candidate.Taxon, fruit, View.Open.Flora, View.Question.Circumstances)
                    )
                )
                .OfType<SeasonHere>(),
        ];
}
