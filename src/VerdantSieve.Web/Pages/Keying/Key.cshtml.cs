using Microsoft.AspNetCore.Mvc;
using VerdantSieve.Core;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Keys;
using VerdantSieve.Imaging;
using VerdantSieve.Web.Keying;
using VerdantSieve.Web.Shared;

namespace VerdantSieve.Web.Pages.Keying;

/// <summary>A dichotomous key made for a place and a season: as a whole, worked step by step, or as a booklet to print.</summary>
public sealed class KeyModel(FloraShelf shelf, KeyDesk desk, IWebHostEnvironment host) : FloraPage(shelf)
{
    private const int LongestWay = 80;

    /// <summary>A5, in millimetres.</summary>
    private const double Width = 148,
        Height = 210;

    [BindProperty(SupportsGet = true)]
    public KeyForm Form { get; set; } = new();

    /// <summary>The key; null where none is asked for, or none can be made.</summary>
    public Key? Key { get; private set; }
    public Fault? Problem { get; private set; }

    /// <summary>The leads taken so far, as 1 and 2 for the first and the second; empty where the key is not being worked.</summary>
    public string Way { get; private set; } = "";

    /// <summary>Whether it is worked step by step.</summary>
    public bool IsWorked { get; private set; }

    /// <summary>What was taken at each step.</summary>
    public IReadOnlyList<(Couplet Couplet, Lead Taken)> Trail { get; private set; } = [];

    /// <summary>The couplet to be decided; null where the way has ended.</summary>
    public Couplet? Now { get; private set; }

    public IReadOnlyList<string> Codes { get; } = [.. Regions.Codes.OrderBy(Regions.Name, StringComparer.Ordinal)];

    public void OnGet(string? way)
    {
        if (!Form.IsAsked)
        {
            Form.Region ??= Habits.RegionOf(Request);
            return;
        }
        Make();
        if (Key is null || way is null)
            return;
        IsWorked = true;
        Follow(way.Length > LongestWay ? way[..LongestWay] : way);
    }

    public IActionResult OnGetBooklet()
    {
        Make();
        if (Key is not { } key)
            return Page();
        var built = Path.Combine(host.WebRootPath, "built");
        var pdf = PdfSheets.Make(
            KeyBooklet.Of(key, Title, Open),
            Width,
            Height,
            Title,
            Path.Combine(built, "sheet.ttf"),
            Path.Combine(built, "sheet-italic.ttf")
        );
        return File(pdf, "application/pdf", "key.pdf");
    }

    private void Make()
    {
        var asked = Form.Taxa(Open);
        if (asked.Has(out var taxa))
            Key = desk.Of(Open, taxa, Form.Shown);
        else
        {
            Problem = asked.Faults[0];
            Response.StatusCode = StatusCodes.Status422UnprocessableEntity;
        }
    }

    private void Follow(string way)
    {
        var trail = new List<(Couplet, Lead)>();
        Now = Key!.Couplets.Count > 0 ? Key[1] : null;
        foreach (var step in way)
        {
            if (Now is null || step is not ('1' or '2'))
                break;
            var lead = step == '1' ? Now.First : Now.Second;
            trail.Add((Now, lead));
            Way += step;
            Now = lead.To is { } next ? Key[next] : null;
        }
        Trail = trail;
    }

    /// <summary>The kinds that are left.</summary>
    public IReadOnlyList<Taxon> Left => Trail.Count > 0 ? Trail[^1].Taken.Taxa : Key?.Taxa ?? [];

    /// <summary>What the key is called.</summary>
    public string Title
    {
        get
        {
            var of = Form.Group?.Trim() is { Length: > 0 } group ? group : "trees and shrubs";
            var where = (Form.Names, Form.Region) switch
            {
                ({ Length: > 0 }, _) => " of a list",
                (_, { Length: > 0 } region) => $" of {Regions.Name(region)}",
                _ => "",
            };
            return $"Key to {of}{where}, {Of(Form.Shown)}";
        }
    }

    // What an address names as the way before the first step.
    private const string Start = "start";

    /// <summary>The address of the same key, at a step of the way; of the whole key where there is none.</summary>
    public string At(string? way) => Url.Page("/Keying/Key", null, Asked(way is "" ? Start : way))!;

    /// <summary>The address of the booklet.</summary>
    public string Booklet => Url.Page("/Keying/Key", "Booklet", Asked(null))!;

    private Dictionary<string, string?> Asked(string? way) =>
        new()
        {
            ["region"] = Form.Region,
            ["group"] = Form.Group,
            ["names"] = Form.Names,
            ["season"] = Form.Season,
            ["flora"] = Open.Named,
            ["way"] = way,
        };

    /// <summary>A season in words.</summary>
    public static string Of(KeySeason season) =>
        season switch
        {
            KeySeason.Leaf => "in leaf",
            KeySeason.Flower => "in flower",
            KeySeason.Fruit => "in fruit",
            KeySeason.Winter => "in winter",
        };
}
