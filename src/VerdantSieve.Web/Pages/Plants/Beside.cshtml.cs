using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Drawing.Maps;
using VerdantSieve.Core.Drawing.Plates;
using VerdantSieve.Core.Measuring;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Seasons;
using VerdantSieve.Core.Sieving;
using VerdantSieve.Store.Looks;
using VerdantSieve.Web.Shared;

namespace VerdantSieve.Web.Pages.Plants;

/// <summary>Two to eight kinds side by side, what separates them first.</summary>
public sealed class BesideModel(FloraShelf shelf, LookBook book) : FloraPage(shelf)
{
    public const int MostTaxa = 8;

    // Below this a character says the same of all of them, near enough.
    private const double Telltale = 0.02;

    public IReadOnlyList<Taxon> Taxa { get; private set; } = [];
    public IReadOnlyList<Taxon> All => Open.Flora.Taxa;
    public IReadOnlyList<Separation> Telling { get; private set; } = [];
    public IReadOnlyList<Separation> Shared { get; private set; } = [];
    public string? Look { get; private set; }
    public string? Problem { get; private set; }

    /// <summary>The country of the look, and its place where that is known better.</summary>
    public string? Region { get; private set; }
    public Position? Place { get; private set; }

    /// <summary>The maps shown of each kind.</summary>
    public IReadOnlyList<RangeMap> Maps { get; private set; } = [];
    public LengthStyle Style => Units.Of(Request);
    public double Most => Telling.Select(row => row.Bits).DefaultIfEmpty(1).Max();

    public IReadOnlyList<(Taxon Taxon, Taxon Other, string Mark)> Marks =>
        [
            .. from taxon in Taxa
            from other in Taxa
            from look in taxon.Doubles
            where look.Name == other.Name.Text
            select (taxon, other, look.Mark),
        ];

    /// <summary>The names asked for, as typed where one is not known.</summary>
    public IReadOnlyList<string> Asked { get; private set; } = [];

    // An address, a scientific name old or new, or a common name that only one kind has.
    private Taxon? Resolve(string name) =>
        Open.FindBySlug(name)
        ?? Open.Flora.FindTaxon(name)
        ?? (
            Open.Flora.Taxa.Where(taxon => taxon.CommonNames.Contains(name, StringComparer.OrdinalIgnoreCase)).Take(2).ToArray()
                is [var one]
                ? one
                : null
        );

    /// <summary>Where values stand in what the kinds shown take up together.</summary>
    public static LogScale? Scale(Separation row) =>
        LogScale.Over(row.Scores.OfType<RangeScore>().Select(range => (range.Minimum, range.Maximum)));

    public string Sentence
    {
        get
        {
            if (Telling.Count == 0)
                return "By what the flora says, nothing tells these apart.";
            var best = Wording.Join([.. Telling.Take(3).Select(row => row.Character.Label)], "and");
            return $"They differ most in these: {best}. {Shared.Count} characters are the same in all.";
        }
    }

    public async Task OnGet(string[] taxa, string? look, CancellationToken cancel)
    {
        Asked = [.. taxa.Select(name => name?.Trim() ?? "").Where(name => name.Length > 0).Distinct()];
        var known = Asked.Select(name => (Name: name, Taxon: Resolve(name))).ToArray();
        Taxon[] found = [.. known.Select(pair => pair.Taxon).OfType<Taxon>().DistinctBy(taxon => taxon.Name)];
        var unknown = known.FirstOrDefault(pair => pair.Taxon is null).Name;
        Problem = Amiss(unknown, found.Length);
        if (unknown is null)
            Asked = [.. found.Select(taxon => taxon.Name.Text)];
        Taxa = [.. found.Take(MostTaxa)];
        var circumstances = Circumstances.Unknown;
        if (look is not null && await book.Find(look, cancel) is { } kept)
        {
            Look = look;
            var question = LookQuestion.Of(kept, Open.Flora).Question;
            circumstances = question.Circumstances;
            Measured = question
                .Readings.Where(reading => reading.Character == CharacterIds.BladeLength)
                .Select(reading => reading.Observation)
                .OfType<Measured>()
                .Select(measured => (double?)(measured.Middle * 10))
                .LastOrDefault();
        }
        (Region, Place) = (circumstances.Region, circumstances.Position);
        if (Taxa.Count < 2)
            return;
        Maps = RangeMaps.Of(Taxa, Region);
        var separations = Open.Sieve.TellApart(Taxa, circumstances);
        Telling = [.. separations.Where(row => row.Bits >= Telltale)];
        Shared = [.. separations.Where(row => row.Bits < Telltale && row.Scores.All(score => score is not null))];
    }

    /// <summary>The leaves of the kinds, each at the same scale; empty where fewer than two have broad leaves of a size that is
    /// known.</summary>
    public IReadOnlyList<ScaledLeaf?> Leaves
    {
        get
        {
            ScaledLeaf?[] leaves = [.. Taxa.Select(taxon => ScaledLeaf.Of(taxon, Open.Drawn))];
            return leaves.Count(leaf => leaf is not null) < 2 ? [] : leaves;
        }
    }

    /// <summary>The blade’s length as it was read in the look, in millimetres; null where it was not.</summary>
    public double? Measured { get; private set; }

    /// <summary>The maps of one of the kinds.</summary>
    public RangeMaps MapsOf(Taxon taxon) => new(Open.Flora, taxon, Region, Place, Maps);

    private static string? Amiss(string? unknown, int found)
    {
        if (found > MostTaxa)
            return $"At most {MostTaxa} kinds fit side by side; the first {MostTaxa} are shown.";
        if (unknown is not null)
            return $"“{unknown}” is not in this flora; choose a name from the list.{(found > 1 ? " The others are shown." : "")}";
        return found == 1 ? "Choose at least two kinds." : null;
    }
}
