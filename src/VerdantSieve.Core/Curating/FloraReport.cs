using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Drawing;
using VerdantSieve.Core.Sieving;

namespace VerdantSieve.Core.Curating;

/// <summary>What a flora can fall short in.</summary>
public enum FindingKind
{
    /// <summary>Two taxa that no single character parts.</summary>
    Inseparable,
    /// <summary>A taxon with too few scores.</summary>
    UnderScored,
    /// <summary>A character that no taxon is scored for.</summary>
    UnusedCharacter,
    /// <summary>A range that lies apart from those of all others of its genus.</summary>
    OutOfLine,
    /// <summary>A character with one and the same state in all taxa scored for it.</summary>
    OneState,
    /// <summary>A state that is neither explained nor drawn.</summary>
    GlossaryGap
}

/// <summary>Something to mend, or to know of.</summary>
/// <param name="Kind">What it is.</param>
/// <param name="Text">In a sentence.</param>
/// <param name="Taxa">The taxa it is about; empty where it is about a character.</param>
/// <param name="Explained">Why it is no fault: an aggregate, varieties, a hybrid and its parent; null where nothing explains it.</param>
public sealed record Finding(FindingKind Kind, string Text, IReadOnlyList<Taxon> Taxa, string? Explained = null);

/// <summary>What a flora lacks, found by going through all of it.</summary>
public sealed class FloraReport
{
    /// <summary>A taxon with fewer scores than this is under-scored.</summary>
    public const int FewestScores = 25;

    /// <summary>Two taxa are parted where one look at some character tells at least this much of the one bit between them. Half of it is lost to slips at the best of times.</summary>
    public const double PartingBits = 0.3;

    // A range is compared with its genus where so many others are scored.
    private const int FewestKin = 3;

    private FloraReport(IReadOnlyList<Finding> findings) => Findings = findings;

    /// <summary>All that was found, by kind.</summary>
    public IReadOnlyList<Finding> Findings { get; }

    /// <summary>The findings that nothing explains.</summary>
    public IEnumerable<Finding> Unexplained => Findings.Where(finding => finding.Explained is null);

    /// <summary>Goes through a flora.</summary>
    /// <param name="sieve">The flora, made ready.</param>
    /// <param name="only">Looks only at what touches these taxa; null for all.</param>
    /// <param name="cancel">Stops the work.</param>
    public static FloraReport Of(Sieve sieve, IReadOnlySet<ScientificName>? only = null, CancellationToken cancel = default)
    {
        var flora = sieve.Flora;
        Taxon[] taxa = [.. flora.Taxa.Where(taxon => only is null || only.Contains(taxon.Name))];
        return new([.. Inseparable(sieve, taxa, cancel), .. UnderScored(taxa), .. Unused(flora), .. OutOfLine(flora, taxa), .. OneState(flora), .. Gaps(flora)]);
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
                    yield return new Finding(FindingKind.Inseparable, $"Nothing scored parts {one.Name} from {other.Name} at one look.", [one, other], WhyAlike(one, other));
        }
    }

    private static string? WhyAlike(Taxon one, Taxon other)
    {
        if (one.Aggregate is { } aggregate && aggregate == other.Aggregate) return $"both belong to {aggregate}";
        if (one.Name.Species == other.Name.Species) return "varieties of one species";
        if (one.HybridOf.Contains(other.Name.Text) || other.HybridOf.Contains(one.Name.Text)) return "a hybrid and its parent";
        return one.HybridOf.Count > 0 && other.HybridOf.Count > 0 ? "two hybrids, each a mixture of its parents" : null;
    }

    private static IEnumerable<Finding> UnderScored(Taxon[] taxa) =>
        taxa.Where(taxon => taxon.Scores.Count < FewestScores)
            .Select(taxon => new Finding(FindingKind.UnderScored, $"{taxon.Name} has {taxon.Scores.Count} scores; {FewestScores} are the least.", [taxon]));

    private static IEnumerable<Finding> Unused(Flora flora) =>
        flora.Characters.Where(character => flora.Taxa.All(taxon => !taxon.Scores.ContainsKey(character.Id)))
            .Select(character => new Finding(FindingKind.UnusedCharacter, $"No taxon is scored for {character.Label} ({character.Id}).", []));

    private static IEnumerable<Finding> OutOfLine(Flora flora, Taxon[] taxa)
    {
        var genera = flora.Taxa.GroupBy(taxon => taxon.Name.Genus).ToDictionary(genus => genus.Key, genus => genus.ToArray());
        foreach (var taxon in taxa)
            foreach (var (id, score) in taxon.Scores)
            {
                if (score is not RangeScore range) continue;
                var kin = genera[taxon.Name.Genus].Where(other => other.Name != taxon.Name).Select(other => other.Scores.GetValueOrDefault(id)).OfType<RangeScore>().ToArray();
                if (kin.Length < FewestKin) continue;
                var (least, most) = (kin.Min(k => k.Minimum), kin.Max(k => k.Maximum));
                if (range.Low <= most && range.High >= least) continue;
                yield return new Finding(FindingKind.OutOfLine, $"{flora.Character(id).Label} of {taxon.Name} is {range.Low:0.##}–{range.High:0.##}, all others of {taxon.Name.Genus} {least:0.##}–{most:0.##}.", [taxon]);
            }
    }

    private static IEnumerable<Finding> OneState(Flora flora) =>
        from character in flora.Characters.OfType<StateCharacter>()
        let shown = flora.Taxa.Select(taxon => taxon.Scores.GetValueOrDefault(character.Id)).OfType<StateScore>().SelectMany(score => score.States).Select(state => state.State).Distinct().ToArray()
        where shown.Length == 1
        select new Finding(FindingKind.OneState, $"Every taxon scored for {character.Label} ({character.Id}) is {character[shown[0]].Label}.", []);

    private static IEnumerable<Finding> Gaps(Flora flora) =>
        from character in flora.Characters.OfType<StateCharacter>()
        from state in character.States
        where state.Meaning.Length == 0 && state.Label == state.Id && !Plain.Contains(state.Id) && StateDrawings.Of(character.Id, state.Id) is null
        select new Finding(FindingKind.GlossaryGap, $"The state {state.Id} of {character.Label} ({character.Id}) has neither plain words of its own, nor a meaning, nor a drawing.", []);

    // Words that everybody knows as they stand: colours and the like.
    private static readonly HashSet<string> Plain =
    [
        "green", "yellow", "orange", "red", "pink", "blue", "purple", "black", "white", "brown", "grey", "cream", "none", "short", "long", "thin", "medium", "thick", "thorns", "prickles", "bristles",
        "round", "flat", "hairy", "smooth", "rough", "soft", "spicy", "rank", "aromatic", "tree", "shrub", "solid", "hollow", "single", "pointed", "plain", "glossy", "dull", "notched", "blunt", "sharp", "firm"
    ];
}
