using System.Globalization;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Sieving;
using VerdantSieve.Store.Looks;
using VerdantSieve.Web.Drawings;
using VerdantSieve.Web.Shared;

namespace VerdantSieve.Web.Pages.Looks;

/// <summary>Through the meshes: the whole course of a look, as a picture and in words.</summary>
public sealed class MeshesModel(LookBook book, FloraShelf shelf) : PageModel
{
    public Look Look { get; private set; } = null!;
    public SieveAnswer Answer { get; private set; } = null!;
    public Course Course { get; private set; } = null!;

    /// <summary>Each mesh's reading in words.</summary>
    public IReadOnlyList<string> Words { get; private set; } = [];

    public async Task<IActionResult> OnGet(string id, CancellationToken cancel)
    {
        if (await book.Find(id, cancel) is not { } look)
            return NotFound();
        if (await shelf.Take(look.FloraId) is not { } open)
            return NotFound();
        Look = look;
        Answer = open.Sieve.Ask(LookQuestion.Of(look, open.Flora).Question);
        Course = Course.Of(Answer);
        Words = [.. Course.Meshes.Select(mesh => Wording.Of(mesh.Reading, open.Flora, Units.Of(Request)))];
        return Page();
    }

    /// <summary>How many disagreements a kind may have before it is held.</summary>
    public string Allowed =>
        Answer.Question.AllowedDisagreements switch
        {
            0 => "none",
            1 => "one",
            var several => several.ToString(CultureInfo.InvariantCulture),
        };

    /// <summary>The course in one sentence.</summary>
    public string Sentence
    {
        get
        {
            if (Course.Meshes.Count == 0)
                return $"{Course.Grains.Count} kinds are in, and nothing has been read yet.";
            var most = Enumerable.Range(0, Course.Meshes.Count).MaxBy(mesh => Course.Meshes[mesh].Caught);
            var pan = Course.Pan.Count();
            var through = $"{(pan == 1 ? "one" : CountOf(pan))} came through";
            return Course.Meshes[most].Caught == 0
                ? $"{Course.Grains.Count} kinds fell in, and no mesh held any."
                : $"{Course.Grains.Count} kinds fell in; “{Words[most]}” caught {Course.Meshes[most].Caught}; {through}.";
        }
    }

    private static string CountOf(int kinds) => kinds == 0 ? "none" : kinds.ToString(CultureInfo.InvariantCulture);

    public string Picture =>
        MeshPicture.Draw(
            Course,
            Words,
            [.. Answer.Doubts.Where(doubt => doubt.IsPointedAt).Select(doubt => doubt.Reading.Character)],
            $"{Sentence} The same stands below in words."
        );

    /// <summary>What a mesh did, in words.</summary>
    public string Story(int mesh)
    {
        var of = Course.Meshes[mesh];
        return $"“{Words[mesh]}”, {Wording.Of(of.Reading.Certainty)}: {of.Reached} came to it, "
            + $"{(of.Caught == 0 ? "it held none" : $"it held {of.Caught}")}; by itself it holds {of.Alone}.";
    }

    /// <summary>What became of a grain, in words.</summary>
    public string Story(Grain grain)
    {
        string Quoted(IEnumerable<int> meshes) => Wording.Join([.. meshes.Select(mesh => $"“{Words[mesh]}”")], "and");
        var fits = $"It fits {Course.Meshes.Count - grain.Snags.Count} of {Course.Meshes.Count} readings.";
        if (grain.CaughtAt is { } caught)
        {
            var before = grain.Snags.Where(snag => snag < caught).ToArray();
            return $"held by “{Words[caught]}”{(before.Length > 0 ? $" after a disagreement at {Quoted(before)}" : "")}. {fits}";
        }
        return grain.Snags.Count == 0
            ? $"passed every mesh. Its chance is {Say.Chance(grain.Probability)}."
            : $"came through, forgiven a disagreement at {Quoted(grain.Snags)}. Its chance is {Say.Chance(grain.Probability)}.";
    }
}
