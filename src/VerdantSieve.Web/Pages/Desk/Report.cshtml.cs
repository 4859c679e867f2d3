using VerdantSieve.Core.Curating;

namespace VerdantSieve.Web.Pages.Desk;

/// <summary>The flora report.</summary>
public sealed class ReportModel(FloraShelf shelf) : FloraPage(shelf)
{
    /// <summary>Begins the report of an own flora; that of the shipped one was begun at the start.</summary>
    public void OnGet() => Open.StartReport();

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
