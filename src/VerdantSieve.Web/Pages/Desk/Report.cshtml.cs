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
            FindingKind.NotLooked => "Countries nobody has looked at",
            FindingKind.RangeHole => "Holes in ranges",
            FindingKind.NativeNeverWild => "Native and never wild",
            FindingKind.OneWayDouble => "Doubles that go one way",
            FindingKind.EmptyMark => "Marks that are no difference",
            FindingKind.UnusedState => "States no kind shows",
            FindingKind.LoneState => "States one kind shows",
            FindingKind.UnripeNotGreen => "Fruit that is never unripe",
            FindingKind.ManyStones => "Stone fruit with many stones",
            FindingKind.SameWindowElsewhere => "Windows copied from another place",
            FindingKind.UnlikeItsGenus => "Marks unlike those of the genus",
            FindingKind.RememberAgainstScores => "Lines that the scores do not bear out",
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
            FindingKind.NotLooked =>
                "Of a country that the flora keys it is not said whether the kind is native, run wild, planted or absent.",
            FindingKind.RangeHole => "All neighbours have the kind as native, and nothing is said of the country between.",
            FindingKind.NativeNeverWild => "Native means wild there; settings or habitat say otherwise.",
            FindingKind.OneWayDouble => "Whoever starts from the other kind is not warned.",
            FindingKind.EmptyMark => "The two have the same score for what is said to tell them apart.",
            FindingKind.UnusedState => "A word that can be read and fits nothing.",
            FindingKind.LoneState => "True of some marks; elsewhere the others were forgotten.",
            FindingKind.UnripeNotGreen => "Fleshy fruit is green for most of the time that it can be seen.",
            FindingKind.ManyStones => "Stone fruit has one stone, a few kinds up to five.",
            FindingKind.SameWindowElsewhere =>
                "Word for word the flowering of a kind of the same genus for which spring comes weeks earlier or later.",
            FindingKind.UnlikeItsGenus => "Some marks hardly differ within a genus; this kind shares none of them.",
            FindingKind.RememberAgainstScores => "The line to remember the kind by names a colour that its scores lack.",
        };
}
