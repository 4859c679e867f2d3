using Microsoft.AspNetCore.Mvc.RazorPages;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Measuring;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Sieving;
using VerdantSieve.Store.Looks;
using VerdantSieve.Web.Shared;

namespace VerdantSieve.Web.Pages.Plants;

/// <summary>Two to five kinds side by side, what separates them first.</summary>
public sealed class BesideModel(FloraShelf shelf, LookBook book) : PageModel
{
    public const int MostTaxa = 5;

    // Below this a character says the same of all of them, near enough.
    private const double Telltale = 0.02;

    public IReadOnlyList<Taxon> Taxa { get; private set; } = [];
    public IReadOnlyList<Taxon> All => shelf.Flora.Taxa;
    public IReadOnlyList<Separation> Telling { get; private set; } = [];
    public IReadOnlyList<Separation> Shared { get; private set; } = [];
    public string? Look { get; private set; }
    public string? Problem { get; private set; }
    public LengthStyle Style => Units.Of(Request);
    public double Most => Telling.Select(row => row.Bits).DefaultIfEmpty(1).Max();

    public IReadOnlyList<(Taxon Taxon, Taxon Other, string Mark)> Marks =>
        [.. from taxon in Taxa from other in Taxa from look in taxon.Doubles where look.Name == other.Name.Text select (taxon, other, look.Mark)];

    public string Sentence
    {
        get
        {
            if (Telling.Count == 0) return "By what the flora says, nothing tells these apart.";
            var best = Wording.Join([.. Telling.Take(3).Select(row => row.Character.Label)], "and");
            return $"Look first at {best}: there they differ most. {Shared.Count} characters are the same in all.";
        }
    }

    public async Task OnGet(string[] taxa, string? look)
    {
        var wanted = taxa.Where(slug => slug.Length > 0).Distinct().ToArray();
        var found = wanted.Select(shelf.FindBySlug).OfType<Taxon>().ToArray();
        if (found.Length < wanted.Length) Problem = "One of the kinds named is not in this flora; the others are shown.";
        if (found.Length > MostTaxa) Problem = $"At most {MostTaxa} kinds fit side by side; the first {MostTaxa} are shown.";
        else if (found.Length == 1) Problem = "Choose at least two kinds.";
        Taxa = [.. found.Take(MostTaxa)];
        var circumstances = Circumstances.Unknown;
        if (look is not null && await book.Find(look) is { } kept)
        {
            Look = look;
            circumstances = LookQuestion.Of(kept.Content, shelf.Flora).Circumstances;
        }
        if (Taxa.Count < 2) return;
        var separations = shelf.Sieve.TellApart(Taxa, circumstances);
        Telling = [.. separations.Where(row => row.Bits >= Telltale)];
        Shared = [.. separations.Where(row => row.Bits < Telltale && row.Scores.All(score => score is not null))];
    }
}
