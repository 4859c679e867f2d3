using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using VerdantSieve.Core;
using VerdantSieve.Core.Formats.Notebook;
using VerdantSieve.Store.Notebooks;
using VerdantSieve.Web.Notebooks;
using VerdantSieve.Web.Shared;

namespace VerdantSieve.Web.Pages.Trees;

/// <summary>What leaves the notebook and what comes in: first shown, then kept as a whole.</summary>
[RequestSizeLimit(MostSent)]
[RequestFormLimits(MultipartBodyLengthLimit = MostSent, ValueLengthLimit = MostSent)]
public sealed class ExchangeModel(TreeBook trees, FloraShelf shelf) : PageModel
{
    private const int MostSent = 6_000_000,
        LargestFile = 3_000_000;

    /// <summary>How many rows are shown before they are kept, and how many of the wrong ones.</summary>
    public const int Shown = 12,
        WrongShown = 100;

    public Fault? Problem { get; private set; }

    /// <summary>The name of the file that is being looked at, and what it holds; null where none is.</summary>
    public string? FileName { get; private set; }
    public string Sent { get; private set; } = "";

    public TreeTable? Table { get; private set; }
    public IReadOnlyDictionary<TreeField, int> Columns { get; private set; } = new Dictionary<TreeField, int>();
    public IReadOnlyList<ImportedRow> Rows { get; private set; } = [];

    /// <summary>The rows that can't be kept as they are.</summary>
    public IReadOnlyList<ImportedRow> Wrong => [.. Rows.Where(row => row.Faults.Count > 0)];

    /// <summary>The rows that seem to be there already.</summary>
    public IReadOnlyList<ImportedRow> Twins => [.. Rows.Where(row => row.Twin is not null)];

    public bool LeavesTwins { get; private set; } = true;

    [TempData]
    public string? Kept { get; set; }

    [TempData]
    public string? Batch { get; set; }

    public void OnGet() { }

    /// <summary>Looks at a file: nothing is kept yet.</summary>
    public async Task<IActionResult> OnPostLook(IFormFile? file, CancellationToken cancel)
    {
        if (file is null || file.Length > LargestFile)
            return Refused(
                new Fault("file", file is null ? "Choose a file." : $"A file of up to {LargestFile / 1_000_000} MB is read; part it.")
            );
        using var bytes = new MemoryStream();
        await file.CopyToAsync(bytes, cancel);
        return await Look(Path.GetFileName(file.FileName), bytes.ToArray(), null, cancel);
    }

    /// <summary>Looks again with other columns.</summary>
    public async Task<IActionResult> OnPostMap(string? name, string? sent, int[] column, bool leaveTwins, CancellationToken cancel)
    {
        LeavesTwins = leaveTwins;
        return await Again(name, sent, column, cancel) ?? Page();
    }

    /// <summary>Keeps all of it, or says why not.</summary>
    public async Task<IActionResult> OnPostKeep(string? name, string? sent, int[] column, bool leaveTwins, CancellationToken cancel)
    {
        LeavesTwins = leaveTwins;
        if (await Again(name, sent, column, cancel) is { } refused)
            return refused;
        if (Wrong.Count > 0)
            return Refused(
                new Fault("rows", $"Nothing was kept: {Wrong.Count} of {Rows.Count} rows can’t be used. They are listed below.")
            );
        ImportedTree[] taken = [.. Rows.Where(row => row.Twin is null || !leaveTwins).Select(row => row.Tree!)];
        Batch = await trees.TakeIn(taken, shelf.Shipped.Flora.About.Id, Habits.RegionOf(Request), FileName!);
        Kept = $"{taken.Length} trees were taken from {FileName}.";
        return RedirectToPage();
    }

    public async Task<IActionResult> OnPostTakeBack(string batch)
    {
        Kept = $"{await trees.DiscardBatch(batch, true)} trees were thrown away again.";
        return RedirectToPage();
    }

    private async Task<IActionResult?> Again(string? name, string? sent, int[] column, CancellationToken cancel)
    {
        var bytes = new byte[sent?.Length ?? 0];
        if (string.IsNullOrEmpty(sent) || name is null || !Convert.TryFromBase64String(sent, bytes, out var length))
            return Refused(new Fault("file", "Choose the file again."));
        await Look(name, bytes[..length], column, cancel);
        return Table is null ? Page() : null;
    }

    private async Task<IActionResult> Look(string name, byte[] bytes, int[]? column, CancellationToken cancel)
    {
        FileName = name.Length > 100 ? name[^100..] : name;
        var read = TreeTable.Read(FileName, bytes);
        if (!read.Has(out var table))
            return Refused(read.Faults[0]);
        (Table, Sent) = (table, Convert.ToBase64String(bytes));
        Columns = column is null
            ? TreeImport.Guess(table)
            : Enum.GetValues<TreeField>()
                .Zip(column)
                .Where(pair => pair.Second >= 0 && pair.Second < table.Columns.Count)
                .ToDictionary(pair => pair.First, pair => pair.Second);
        var there = await trees.Points(cancel: cancel);
        Rows = TreeImport.Of(
            table,
            Columns,
            shelf.Shipped.Flora,
            [.. there.Select(tree => new KnownTree(tree.Called, tree.Position, tree.Date))]
        );
        return Page();
    }

    private PageResult Refused(Fault fault)
    {
        Problem = fault;
        Response.StatusCode = StatusCodes.Status422UnprocessableEntity;
        return Page();
    }

    /// <summary>What a field is called.</summary>
    public static string Of(TreeField field) =>
        field switch
        {
            TreeField.Tag => "tag or name of the tree",
            TreeField.Place => "place",
            TreeField.Latitude => "degrees north",
            TreeField.Longitude => "degrees east",
            TreeField.Elevation => "metres above the sea",
            TreeField.Date => "day",
            TreeField.Observer => "who looked",
            TreeField.Name => "name of the plant",
            TreeField.Notes => "notes",
        };
}
