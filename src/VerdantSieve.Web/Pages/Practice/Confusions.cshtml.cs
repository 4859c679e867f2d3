using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Practising;
using VerdantSieve.Core.Sieving;
using VerdantSieve.Store.Practising;
using VerdantSieve.Web.Shared;

namespace VerdantSieve.Web.Pages.Practice;

/// <summary>What somebody takes for what, and how far their certainty is to be trusted.</summary>
public sealed class ConfusionsModel(PracticeBook book, FloraShelf shelf) : PageModel
{
    public OpenFlora Open => shelf.Shipped;
    public ConfusionsView View { get; private set; } = null!;
    public MeasuredCertainty Measured { get; private set; } = null!;

    /// <summary>Whether the sieve goes by it.</summary>
    public bool IsUsed { get; private set; }

    public async Task OnGet(CancellationToken cancel)
    {
        Answered[] answers = [.. (await book.Answers(cancel)).Select(pair => pair.Answered)];
        (View, Measured) = (new ConfusionsView(Open, Confusions.Of(answers), answers.Length), MeasuredCertainty.Of(answers));
        IsUsed = Habits.MeasuredCertainties(Request).Count > 0;
    }

    /// <summary>Has the sieve go by the measured certainties in this browser, or no longer.</summary>
    public async Task<IActionResult> OnPost(bool use, CancellationToken cancel)
    {
        var measured = MeasuredCertainty.Of((await book.Answers(cancel)).Select(pair => pair.Answered));
        Habits.Remember(HttpContext, use ? measured.Changes(SieveModel.Standard) : new Dictionary<Certainty, Certainty>());
        return RedirectToPage();
    }
}

/// <summary>What is shown of confusions: one's own, or a class’s.</summary>
/// <param name="Open">The flora.</param>
/// <param name="Found">What was taken for what.</param>
/// <param name="Answers">Out of how many answers.</param>
public sealed record ConfusionsView(OpenFlora Open, Confusions Found, int Answers)
{
    // A table of more kinds is no picture any longer.
    private const int MostKinds = 12;

    /// <summary>The kinds of the table, those confused most first.</summary>
    public IReadOnlyList<Taxon> Kinds =>
        [
            .. Found
                .Kinds.SelectMany(taken => new[] { (Name: taken.Was, taken.Times), (Name: taken.TakenFor, taken.Times) })
                .GroupBy(pair => pair.Name)
                .OrderByDescending(group => group.Sum(pair => pair.Times))
                .Take(MostKinds)
                .Select(group => Open.Flora.FindTaxon(group.Key))
                .OfType<Taxon>()
                .OrderBy(taxon => taxon.Name.Text, StringComparer.Ordinal),
        ];

    /// <summary>How often one was taken for another.</summary>
    public int Times(Taxon was, Taxon takenFor) =>
        Found.Kinds.FirstOrDefault(taken => taken.Was == was.Name.Text && taken.TakenFor == takenFor.Name.Text)?.Times ?? 0;

    /// <summary>The words that were taken for others, by character, in the order of the work.</summary>
    public IEnumerable<(StateCharacter Character, IReadOnlyList<Taken> Taken)> Words =>
        Found
            .Words.Select(pair => (Character: Open.Flora.FindCharacter(pair.Key) as StateCharacter, pair.Value))
            .Where(pair => pair.Character is not null)
            .OrderBy(pair => pair.Character!.Order)
            .Select(pair => (pair.Character!, pair.Value));
}
