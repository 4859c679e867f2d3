using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using VerdantSieve.Store.Looks;
using VerdantSieve.Store.Notebooks;

namespace VerdantSieve.Web.Pages;

/// <summary>The looks that are kept, by month.</summary>
public sealed class NotebookModel(LookBook book, TreeBook trees) : PageModel
{
    private const int PerPage = 60,
        LastPage = 100_000;

    public IReadOnlyList<LookEntry> Entries { get; private set; } = [];
    public string? Discarded { get; private set; }

    /// <summary>Whether what was thrown away is a tree with all its visits, and not one look.</summary>
    public bool IsATree { get; private set; }

    public int PageNumber { get; private set; } = 1;
    public bool More { get; private set; }

    public string Summary =>
        Entries.Count == 0
            ? "Nothing here yet. Every look is kept from its first reading on, and can be taken up again at any time."
            : $"{Entries.Count(e => e.Name is not null)} trees are settled and {Entries.Count(e => e.Name is null)} still open. "
                + "Each can be taken up again: come back at flowering or fruiting.";

    /// <summary>What was thrown away and can still be brought back.</summary>
    public IReadOnlyList<LookEntry> ThrownAway { get; private set; } = [];

    /// <summary>Whose notebook it is, where it is another's; null where it is the reader's own.</summary>
    public string? Whose { get; private set; }

    /// <summary>The name its owner signs in with.</summary>
    public string? Of { get; private set; }

    public async Task<IActionResult> OnGet(
        string? discarded,
        string? of,
        [FromQuery(Name = "page")] int page = 1,
        CancellationToken cancel = default
    )
    {
        PageNumber = Math.Clamp(page, 1, LastPage);
        var skip = (PageNumber - 1) * PerPage;
        IReadOnlyList<LookEntry> entries;
        if (of is { Length: > 0 })
        {
            if (await book.ListOf(of, skip, PerPage + 1, cancel) is not var (shown, shared))
                return NotFound();
            (Whose, Of) = (shown, of);
            entries = [.. shared.Select(entry => entry with { IsShared = true })];
        }
        else
        {
            entries = await book.List(skip: skip, take: PerPage + 1, cancel: cancel);
            ThrownAway = await trees.ThrownAway(cancel);
        }
        (Entries, More) = ([.. entries.Take(PerPage)], entries.Count > PerPage);
        if (discarded is null)
            return Page();
        IsATree = await trees.Find(discarded, cancel) is { IsDiscarded: true };
        if (IsATree || await book.Find(discarded, cancel) is { IsDiscarded: true })
            Discarded = discarded;
        return Page();
    }
}
