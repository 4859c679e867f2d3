using Microsoft.AspNetCore.Authorization;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using VerdantSieve.Core;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Curating;
using VerdantSieve.Core.Formats;
using VerdantSieve.Core.Sieving;
using VerdantSieve.Store.Curating;
using VerdantSieve.Store.Looks;
using VerdantSieve.Web.Curating;

namespace VerdantSieve.Web.Pages.Desk;

/// <summary>Changes one taxon: a score by its drawn states or its numbers, or the whole file as text. What a change does is shown before it
/// is kept.</summary>
[Authorize(CuratorAccess.ChangesTaxa)]
public sealed class TaxonModel(FloraShelf shelf, RevisionBook revisions, LookBook looks) : FloraPage(shelf)
{
    private const int LongestWhy = 1000;

    // Of the newest looks with this flora, a few that have readings are asked again.
    private const int LooksAsked = 5;

    public Taxon Taxon { get; private set; } = null!;
    public int Edition => Open.Flora.About.Edition;
    public IReadOnlyList<PlantPart> Parts => Open.Parts;
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

    /// <summary>How the taxon comes by a score that is not its own, and what is noted of it; empty where there is nothing to say.</summary>
    public string HowItCame(string character)
    {
        var basis = Taxon.BasisOf(character) switch
        {
            ScoreBasis.Parents => "from its parents",
            ScoreBasis.Shared => "shared by its genus or section",
            ScoreBasis.Default => "taken as given",
            ScoreBasis.Own or null => "",
        };
        return Taxon.Notes.TryGetValue(character, out var note) ? $"{basis} ({note})".TrimStart() : basis;
    }

    public IActionResult OnGet(string slug, string? character, bool text)
    {
        if (!Find(slug))
            return NotFound();
        if (character is not null && Open.Flora.FindCharacter(character) is { } asked)
            Form = ScoreForm.Of(asked, Taxon.Score(asked.Id));
        (AsText, After) = (text, TaxonWriter.Write(Taxon, Open.Flora.Vocabulary));
        return Page();
    }

    public async Task<IActionResult> OnPostScore(string slug, string? character, CancellationToken cancel)
    {
        if (!Find(slug) || Open.Flora.FindCharacter(character ?? "") is not { } asked)
            return NotFound();
        Form = ScoreForm.Sent(asked, Request.Form);
        var scores = Taxon.OwnScores.ToDictionary();
        scores.Remove(asked.Id);
        if (!Form.TakesAway)
        {
            var outcome = Form.Read();
            if (!outcome.Has(out var score))
            {
                Field = outcome.Faults[0].At;
                return Refused(outcome.Faults[0].Message);
            }
            scores[asked.Id] = Form.Keeping(Taxon.Score(asked.Id), score);
        }
        return await Preview(TaxonWriter.Write(Taxon with { OwnScores = scores }, Open.Flora.Vocabulary), cancel);
    }

    public async Task<IActionResult> OnPostText(string slug, string? after, int? edition, CancellationToken cancel)
    {
        if (!Find(slug))
            return NotFound();
        (AsText, After) = (true, (after ?? "").ReplaceLineEndings("\n"));
        return await Preview(await Meanwhile(edition ?? Edition, cancel) ?? After, cancel);
    }

    public async Task<IActionResult> OnPostKeep(string slug, string? after, string? why, int edition, CancellationToken cancel)
    {
        if (!Find(slug))
            return NotFound();
        (After, Why) = ((after ?? "").ReplaceLineEndings("\n"), why?.Trim() ?? "");
        if (Why.Length > LongestWhy)
        {
            Problems = [$"At most {LongestWhy} letters of reasons; these have {Why.Length}."];
            return await Preview(After, cancel);
        }
        if (Why.Length == 0)
        {
            WhyMissing = true;
            Problems = ["Say why, and where the values come from: the history keeps it."];
            return await Preview(After, cancel);
        }
        var text = Read(After);
        if (!text.Has(out var taxon))
            return Refused([.. text.Faults.Select(Say)]);
        if (await Meanwhile(edition, cancel) is { } meanwhile)
            return await Preview(meanwhile, cancel);
        try
        {
            Shelf.Put(await revisions.Keep(Open.Flora, taxon, User.Shown(), Why, cancel: cancel));
        }
        catch (StaleEditionException stale)
        {
            Problems = [stale.Message];
            return await Preview(After, cancel);
        }
        return RedirectToPage(
            "/Desk/History",
            new
            {
                taxon = Taxon.Name.Text,
                kept = true,
                flora = Open.Named,
            }
        );
    }

    // What another has changed of this kind since the form was shown, put together with what is being changed; null where nothing was.
    private async Task<string?> Meanwhile(int edition, CancellationToken cancel)
    {
        if (await revisions.FirstSince(Open.Flora, Taxon.Name.Text, edition, cancel) is not { } other)
            return null;
        var now = TaxonWriter.Write(Taxon, Open.Flora.Vocabulary);
        if (now == After)
            return null;
        var merge = TaxonMerge.Of(other.Before, now, After);
        if (!merge.Has(out var both))
            return null;
        string Label(string key) => Open.Flora.FindCharacter(key)?.Label ?? key;
        Problems =
        [
            $"{other.Who} changed {Taxon.Name} while you were at it. Both changes stand below; look them over and keep them.",
            .. both.Theirs.Select(key => $"Theirs: {Label(key)}."),
            .. both.Both.Select(one =>
                $"You both changed {Label(one.Key)}: theirs is “{one.First}”, yours “{one.Second}” stands below. "
                + "Change it back where theirs is right."
            ),
        ];
        return both.Text;
    }

    private async Task<IActionResult> Preview(string after, CancellationToken cancel)
    {
        After = after;
        var text = Read(after);
        if (!text.Has(out var taxon))
            return Refused([.. text.Faults.Select(Say)]);
        var asked = new List<(string, string, SieveQuestion)>();
        foreach (var entry in await looks.List(Open.Flora.About.Id, take: LooksAsked, read: true, cancel: cancel))
            if (await looks.Find(entry.Id, cancel) is { } look)
                asked.Add((entry.Id, entry.Place, LookQuestion.Of(look, Open.Flora).Question));
        Effect = ChangeEffect.Of(Open.Sieve, Open.Drawn, taxon, asked, cancel);
        if (Problems.Count > 0)
            Response.StatusCode = StatusCodes.Status422UnprocessableEntity;
        return Page();
    }

    private Outcome<Taxon> Read(string text)
    {
        var outcome = FloraReader.ReadTaxon(new SourceFile(TaxonWriter.Path(Taxon.Name), text), Open.Flora);
        return outcome.Then<Taxon>(taxon =>
            taxon.Name == Taxon.Name ? taxon : Fault.InFile("", 1, $"the name must stay {Taxon.Name}: another kind is another file")
        );
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
        if (Open.FindBySlug(slug) is not { } taxon)
            return false;
        Taxon = taxon;
        return true;
    }
}
