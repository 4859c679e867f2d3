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

    public async Task OnGet(
        string? discarded,
        [Microsoft.AspNetCore.Mvc.FromQuery(Name = "page")] int page = 1,
        CancellationToken cancel = default
    )
    {
        PageNumber = Math.Clamp(page, 1, LastPage);
        var entries = await book.List(skip: (PageNumber - 1) * PerPage, take: PerPage + 1, cancel: cancel);
        (Entries, More) = ([.. entries.Take(PerPage)], entries.Count > PerPage);
        if (discarded is null)
            return;
        IsATree = await trees.Find(discarded, cancel) is { IsDiscarded: true };
        if (IsATree || await book.Find(discarded, cancel) is { IsDiscarded: true })
            Discarded = discarded;
    }
}
