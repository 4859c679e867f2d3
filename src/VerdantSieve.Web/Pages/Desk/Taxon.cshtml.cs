using Microsoft.AspNetCore.Authorization;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Curating;
using VerdantSieve.Core.Formats;
using VerdantSieve.Core.Sieving;
using VerdantSieve.Store.Curating;
using VerdantSieve.Store.Looks;
using VerdantSieve.Web.Curating;

namespace VerdantSieve.Web.Pages.Desk;

/// <summary>Changes one taxon: a score by its drawn states or its numbers, or the whole file as text. What a change does is shown before it is kept.</summary>
[Authorize(Roles = $"{CuratorRoles.Curator},{CuratorRoles.Keeper}")]
public sealed class TaxonModel(FloraShelf shelf, RevisionBook revisions, LookBook looks) : FloraPage(shelf)
{
    private const int LooksAsked = 5;

    public Taxon Taxon { get; private set; } = null!;
    public int Edition => Open.Flora.About.Edition;
    public IReadOnlyList<(string Part, IReadOnlyList<Character> Characters)> Parts => Open.Parts;
    public string WindowPlace => Open.Flora.WindowPlace(Taxon).Name;

    /// <summary>The score being changed; null where none is.</summary>
    public ScoreForm? Form { get; private set; }

    /// <summary>Whether the whole file is shown as text.</summary>
    public bool AsText { get; private set; }

    /// <summary>The file as it would become.</summary>
    public string After { get; private set; } = "";

    public ChangeEffect? Effect { get; private set; }
    public IReadOnlyList<string> Problems { get; private set; } = [];
    public string Field { get; private set; } = "";
    public string Why { get; private set; } = "";
    public bool WhyMissing { get; private set; }

    public IActionResult OnGet(string slug, string? character, bool text)
    {
        if (!Find(slug)) return NotFound();
        if (character is not null && Open.Flora.FindCharacter(character) is { } asked) Form = ScoreForm.Of(asked, Taxon.Scores.GetValueOrDefault(asked.Id));
        (AsText, After) = (text, TaxonWriter.Write(Taxon, Open.Flora.Characters));
        return Page();
    }

    public async Task<IActionResult> OnPostScore(string slug, string character)
    {
        if (!Find(slug) || Open.Flora.FindCharacter(character) is not { } asked) return NotFound();
        Form = ScoreForm.Sent(asked, Request.Form);
        var (score, field, problem) = Form.TakesAway ? (null, "", "") : Form.Read();
        if (problem.Length > 0)
        {
            Field = field;
            return Refused(problem);
        }
        var scores = Taxon.Scores.Where(pair => pair.Key != character && !Taxon.Inferred.Contains(pair.Key)).ToDictionary();
        if (score is not null) scores[character] = score;
        return await Preview(TaxonWriter.Write(Taxon with { Scores = scores, Inferred = new HashSet<string>() }, Open.Flora.Characters));
    }

    public async Task<IActionResult> OnPostText(string slug, string? after)
    {
        if (!Find(slug)) return NotFound();
        AsText = true;
        return await Preview((after ?? "").ReplaceLineEndings("\n"));
    }

    public async Task<IActionResult> OnPostKeep(string slug, string? after, string? why, int edition)
    {
        if (!Find(slug)) return NotFound();
        (After, Why) = ((after ?? "").ReplaceLineEndings("\n"), why?.Trim() ?? "");
        if (Why.Length == 0)
        {
            WhyMissing = true;
            Problems = ["Say why, and where the values come from: the history keeps it."];
            return await Preview(After);
        }
        if (edition != Edition)
        {
            Problems = [new StaleEditionException(Edition).Message];
            return await Preview(After);
        }
        var (taxon, faults) = Read(After);
        if (taxon is null) return Refused([.. faults.Select(Say)]);
        try
        {
            Open.Replace(await revisions.Keep(Open.Flora, taxon, User.Shown(), Why));
        }
        catch (StaleEditionException stale)
        {
            Problems = [stale.Message];
            return await Preview(After);
        }
        return RedirectToPage("/Desk/History", new { taxon = Taxon.Name.Text, kept = true, flora = Open.Named });
    }

    private async Task<IActionResult> Preview(string after)
    {
        After = after;
        var (taxon, faults) = Read(after);
        if (taxon is null) return Refused([.. faults.Select(Say)]);
        var asked = new List<(string, string, SieveQuestion)>();
        foreach (var entry in (await looks.List(Open.Flora.About.Id, take: 50)).Where(entry => entry.Readings > 0).Take(LooksAsked))
            if (await looks.Find(entry.Id) is { } look) asked.Add((entry.Id, entry.Place, LookQuestion.Of(look.Content, Open.Flora)));
        Effect = ChangeEffect.Of(Open.Sieve, taxon, asked);
        if (Problems.Count > 0) Response.StatusCode = StatusCodes.Status422UnprocessableEntity;
        return Page();
    }

    private (Taxon? Taxon, IReadOnlyList<Fault> Faults) Read(string text)
    {
        var (taxon, faults) = FloraReader.ReadTaxon(new SourceFile(TaxonWriter.Path(Taxon.Name), text), Open.Flora);
        return taxon is null || taxon.Name == Taxon.Name ? (taxon, faults) : (null, [new Fault("", 1, $"the name must stay {Taxon.Name}: another kind is another file")]);
    }

    private static string Say(Fault fault) => $"Line {fault.Line}: {fault.Message}.";

    private PageResult Refused(params string[] problems)
    {
        Problems = problems;
        Response.StatusCode = StatusCodes.Status422UnprocessableEntity;
        return Page();
    }

    private bool Find(string slug)
    {
        if (Open.FindBySlug(slug) is not { } taxon) return false;
        Taxon = taxon;
        return true;
    }
}
