using VerdantSieve.Core.Curating;
using VerdantSieve.Store.Looks;

namespace VerdantSieve.Web.Pages.Desk;

/// <summary>The flora report.</summary>
public sealed class ReportModel(FloraShelf shelf, LookBook looks) : FloraPage(shelf)
{
    /// <summary>Begins the report, and collects what settled looks found that the flora does not list.</summary>
    public async Task OnGet(CancellationToken cancel)
    {
        Open.StartReport();
        var settled =
            from content in await looks.Settled(Open.Flora.About.Id, cancel: cancel)
            let taxon = Open.Flora.FindTaxon(content.Determined!.Name)
            where taxon is not null
            select (taxon, LookQuestion.Of(content, Open.Flora).Question);
        Gaps = ReadingGap.Of(Open.Sieve, settled);
    }

    /// <summary>What was read on settled plants, and what the flora does not list for them.</summary>
    public IReadOnlyList<ReadingGap> Gaps { get; private set; } = [];

    public FloraReport? Report => Open.ReportIfReady;
    public int Edition => Open.Flora.About.Edition;

    /// <summary>A heading for a kind of finding.</summary>
    public static string Title(FindingKind kind) =>
        kind switch
        {
            FindingKind.Inseparable => "Pairs that nothing parts",
            FindingKind.UnderScored => "Too little said",
            FindingKind.UnusedCharacter => "Characters never used",
            FindingKind.OutOfLine => "Ranges out of line with the genus",
            FindingKind.OneState => "Characters with one state",
            FindingKind.GlossaryGap => "Gaps in the glossary",
        };

    /// <summary>What a kind of finding means.</summary>
    public static string Means(FindingKind kind) =>
        kind switch
        {
            FindingKind.Inseparable => $"No single look at any character tells {FloraReport.PartingBits} of the one bit between the two.",
            FindingKind.UnderScored => $"Fewer than {FloraReport.FewestScores} scores.",
            FindingKind.UnusedCharacter => "No kind is scored for them.",
            FindingKind.OutOfLine =>
                "The usual range lies wholly outside all that others of the genus reach. It may be true; it may be a slip of the pen.",
            FindingKind.OneState => "All kinds that are scored show the same state.",
            FindingKind.GlossaryGap => "States with neither plain words, nor a meaning, nor a drawing.",
        };
}
