using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Drawing;
using VerdantSieve.Core.Sieving;

namespace VerdantSieve.Core.Curating;

/// <summary>What a flora lacks, found by going through all of it.</summary>
public sealed class FloraReport
{
    /// <summary>A taxon with fewer scores than this is under-scored.</summary>
    public const int FewestScores = 25;

    /// <summary>Two taxa are parted where one look at some character tells at least this much of the one bit between them. Half of it is
    /// lost to slips at the best of times.</summary>
    public const double PartingBits = 0.22;

    // A range is compared with its genus where so many others are scored.
    private const int FewestKin = 3;

    private FloraReport(IReadOnlyList<Finding> findings) => Findings = findings;

    /// <summary>All that was found, by kind.</summary>
    public IReadOnlyList<Finding> Findings { get; }

    /// <summary>The findings that nothing explains.</summary>
    public IEnumerable<Finding> Unexplained => Findings.Where(finding => finding.Explained is null);

    /// <summary>Goes through a flora.</summary>
    /// <param name="sieve">The flora, made ready.</param>
    /// <param name="drawn">What is drawn of it.</param>
    /// <param name="only">Looks only at what touches these taxa; null for all.</param>
    /// <param name="cancel">Stops the work.</param>
    public static FloraReport Of(
        Sieve sieve,
        DrawnVocabulary drawn,
        IReadOnlySet<ScientificName>? only = null,
        CancellationToken cancel = default
    )
    {
        var flora = sieve.Flora;
        Taxon[] taxa = [.. flora.Taxa.Where(taxon => only is null || only.Contains(taxon.Name))];
        return new([
            .. Inseparable(sieve, taxa, cancel),
            .. UnderScored(taxa),
            .. Unused(flora),
            .. OutOfLine(flora, taxa),
            .. OneState(flora),
            .. Gaps(flora, drawn),
            .. FloraRules.NotLooked(flora, taxa),
            .. FloraRules.Doubles(flora, taxa),
            .. FloraRules.States(flora),
            .. ScoreRules.NativeNeverWild(taxa),
            .. ScoreRules.UnripeNotGreen(taxa),
            .. ScoreRules.ManyStones(taxa),
            .. ScoreRules.SameWindowElsewhere(flora, taxa),
            .. ScoreRules.UnlikeItsGenus(flora, taxa),
            .. ScoreRules.RememberAgainstScores(taxa),
        ]);
    }

    private static IEnumerable<Finding> Inseparable(Sieve sieve, Taxon[] taxa, CancellationToken cancel)
    {
        var looked = new HashSet<ScientificName>();
        foreach (var one in taxa)
        {
            cancel.ThrowIfCancellationRequested();
            looked.Add(one.Name);
            foreach (var other in sieve.Flora.Taxa)
                if (!looked.Contains(other.Name) && !sieve.Parts(one, other, PartingBits))
                    yield return new Finding(
                        FindingKind.Inseparable,
                        $"Nothing scored parts {one.Name} from {other.Name} at one look.",
                        [one, other],
                        WhyAlike(one, other)
                    );
        }
    }

    private static string? WhyAlike(Taxon one, Taxon other)
    {
        if (one.Aggregate is { } aggregate && aggregate == other.Aggregate)
            return $"both belong to {aggregate}";
        if (one.Name.Species == other.Name.Species)
            return "varieties of one species";
        if (one.HybridOf.Contains(other.Name.Text) || other.HybridOf.Contains(one.Name.Text))
            return "a hybrid and its parent";
        return one.IsHybrid && other.IsHybrid ? "two hybrids, each a mixture of its parents" : null;
    }

    private static IEnumerable<Finding> UnderScored(Taxon[] taxa) =>
        taxa.Where(taxon => taxon.Scores.Count < FewestScores)
            .Select(taxon => new Finding(
                FindingKind.UnderScored,
                $"{taxon.Name} has {taxon.Scores.Count} scores; {FewestScores} are the least.",
                [taxon]
            ));

    private static IEnumerable<Finding> Unused(Flora flora) =>
        flora
            // The thickness of a trunk says how far the bark has come, and is no mark of a kind.
            .Characters.Where(character => character.Id != CharacterIds.TrunkThickness)
            .Where(character => flora.Taxa.All(taxon => taxon.Score(character.Id) is null))
            .Select(character => new Finding(
                FindingKind.UnusedCharacter,
                $"No taxon is scored for {character.Label} ({character.Id}).",
                []
            ));

    private static IEnumerable<Finding> OutOfLine(Flora flora, Taxon[] taxa)
    {
        var genera = flora.Taxa.ToLookup(taxon => taxon.Name.Genus);
        return from taxon in taxa
               from score in taxon.Scores
               let range = score.Value as RangeScore
               where range is not null
               let kin = SpanOf(genera[taxon.Name.Genus].Where(other => other.Name != taxon.Name), score.Key)
               where kin is not null && !kin.Touches(range.Low, range.High)
               let label = flora.Character(score.Key).Label
               select new Finding(
                   FindingKind.OutOfLine,
                   $"{label} of {taxon.Name} is {Written(range)}, all others of {taxon.Name.Genus} {Written(kin)}.",
                   [taxon],
                   taxon.Notes.TryGetValue(score.Key, out var note) ? note : null
               );

        static string Written(RangeScore range) => $"{range.Low:0.##}–{range.High:0.##}";
    }

    // From the least to the most that any of a genus reaches; null where too few are scored.
    private static RangeScore? SpanOf(IEnumerable<Taxon> kin, string character)
    {
        RangeScore[] ranges = [.. kin.Select(taxon => taxon.Score(character)).OfType<RangeScore>()];
        return ranges.Length < FewestKin
            ? null
            : new RangeScore(null, Math.Max(1e-9, ranges.Min(range => range.Minimum)), ranges.Max(range => range.Maximum), null);
    }

    private static IEnumerable<Finding> OneState(Flora flora) =>
        from character in flora.Characters.OfType<StateCharacter>()
        let shown = StatesShown(flora, character.Id)
        where shown.Length == 1
        select new Finding(
            FindingKind.OneState,
            $"Every taxon scored for {character.Label} ({character.Id}) is {character[shown[0]].Label}.",
            []
        );

    private static string[] StatesShown(Flora flora, string character) =>
        [
            .. flora
                .Taxa.Select(taxon => taxon.Score(character))
                .OfType<StateScore>()
                .SelectMany(score => score.States)
                .Select(state => state.State)
                .Distinct(),
        ];

    private static IEnumerable<Finding> Gaps(Flora flora, DrawnVocabulary drawn) =>
        from character in flora.Characters.OfType<StateCharacter>()
        from state in character.States
        where state.Meaning.Length == 0 && state.Label == state.Id && !Plain.Contains(state.Id) && !drawn.Draws(character.Id, state.Id)
        select new Finding(
            FindingKind.GlossaryGap,
            $"The state {state.Id} of {character.Label} ({character.Id}) has neither plain words of its own, nor a meaning, nor a drawing.",
            []
        );

    // Words that everybody knows as they stand: colours and the like.
    private static readonly HashSet<string> Plain =
    [
        "green",
        "yellow",
        "orange",
        "red",
        "pink",
        "blue",
        "purple",
        "black",
        "white",
        "brown",
        "grey",
        "cream",
        "none",
        "short",
        "long",
        "thin",
        "medium",
        "thick",
        "thorns",
        "prickles",
        "bristles",
        "round",
        "flat",
        "hairy",
        "smooth",
        "rough",
        "soft",
        "spicy",
        "rank",
        "aromatic",
        "tree",
        "shrub",
        "solid",
        "hollow",
        "single",
        "pointed",
        "plain",
        "glossy",
        "dull",
        "notched",
        "blunt",
        "sharp",
        "firm",
    ];
}
