using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Measuring;
using VerdantSieve.Core.Observing;
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
    public LengthStyle Style => Units.Of(Request);
    public double Most => Telling.Select(row => row.Bits).DefaultIfEmpty(1).Max();

    public IReadOnlyList<(Taxon Taxon, Taxon Other, string Mark)> Marks =>
        [.. from taxon in Taxa from other in Taxa from look in taxon.Doubles where look.Name == other.Name.Text select (taxon, other, look.Mark)];

    /// <summary>The names asked for, as typed where one is not known.</summary>
    public IReadOnlyList<string> Asked { get; private set; } = [];

    // An address, a scientific name old or new, or a common name that only one kind has.
    private Taxon? Resolve(string name) => Open.FindBySlug(name) ?? Open.Flora.FindTaxon(name)
        ?? (Open.Flora.Taxa.Where(taxon => taxon.CommonNames.Contains(name, StringComparer.OrdinalIgnoreCase)).Take(2).ToArray() is [var one] ? one : null);

    /// <summary>Maps a value to hundredths of what the kinds shown take up together.</summary>
    public Func<double, double>? Scale(Separation row)
    {
        var ranges = row.Scores.OfType<RangeScore>().ToArray();
        var (low, high) = (Math.Log(ranges.Min(range => Math.Max(range.Minimum, 1e-3))), Math.Log(ranges.Max(range => range.Maximum)));
        return high - low < 1e-6 ? null : value => 100 * (Math.Log(Math.Max(value, 1e-3)) - low) / (high - low);
    }

    public string Sentence
    {
        get
        {
            if (Telling.Count == 0) return "By what the flora says, nothing tells these apart.";
            var best = Wording.Join([.. Telling.Take(3).Select(row => row.Character.Label)], "and");
            return $"They differ most in these: {best}. {Shared.Count} characters are the same in all.";
        }
    }

    public async Task OnGet(string[] taxa, string? look)
    {
        Asked = [.. taxa.Select(name => name?.Trim() ?? "").Where(name => name.Length > 0).Distinct()];
        var known = Asked.Select(name => (name, Taxon: Resolve(name))).ToArray();
        var found = known.Select(pair => pair.Taxon).OfType<Taxon>().Distinct().ToArray();
        if (known.FirstOrDefault(pair => pair.Taxon is null).name is { } unknown) Problem = $"“{unknown}” is not in this flora; choose a name from the list.{(found.Length > 1 ? " The others are shown." : "")}";
        else Asked = [.. found.Select(taxon => taxon.Name.Text)];
        if (found.Length > MostTaxa) Problem = $"At most {MostTaxa} kinds fit side by side; the first {MostTaxa} are shown.";
        else if (found.Length == 1 && Problem is null) Problem = "Choose at least two kinds.";
        Taxa = [.. found.Take(MostTaxa)];
        var circumstances = Circumstances.Unknown;
        if (look is not null && await book.Find(look) is { } kept)
        {
            Look = look;
            circumstances = LookQuestion.Of(kept.Content, Open.Flora).Circumstances;
        }
        if (Taxa.Count < 2) return;
        var separations = Open.Sieve.TellApart(Taxa, circumstances);
        Telling = [.. separations.Where(row => row.Bits >= Telltale)];
        Shared = [.. separations.Where(row => row.Bits < Telltale && row.Scores.All(score => score is not null))];
    }
}
