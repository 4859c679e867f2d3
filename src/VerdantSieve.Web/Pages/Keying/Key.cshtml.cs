using Microsoft.AspNetCore.Mvc;
using VerdantSieve.Core;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Keys;
using VerdantSieve.Imaging;
using VerdantSieve.Store.Lists;
using VerdantSieve.Web.Drawings;
using VerdantSieve.Web.Keying;
using VerdantSieve.Web.Shared;

namespace VerdantSieve.Web.Pages.Keying;

/// <summary>A dichotomous key made for a place and a season: as a whole, worked step by step, or as a booklet to print.</summary>
public sealed class KeyModel(FloraShelf shelf, KeyDesk desk, ListBook lists, IWebHostEnvironment host) : FloraPage(shelf)
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

    public async Task OnGet(string? way, CancellationToken cancel)
    {
        await FillFromList(cancel);
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

    // A list stands in the place of names, as it is now.
    private async Task FillFromList(CancellationToken cancel)
    {
        if (Form.List is { Length: > 0 } id && await lists.Find(id, cancel) is { } list)
            (Form.Names, ListTitle) = (string.Join('\n', list.Content.Kinds.Select(kind => kind.Name)), list.Content.Title);
    }

    /// <summary>What the list is called that the key is made for; null where it is made for none.</summary>
    public string? ListTitle { get; private set; }

    public async Task<IActionResult> OnGetBooklet(CancellationToken cancel)
    {
        await FillFromList(cancel);
        Make();
        if (Key is not { } key)
            return Page();
        var pdf = PdfSheets.Make(KeyBooklet.Of(key, Title, Open, Form.Indented), Width, Height, Title, SheetFaces.Of(host));
        return File(pdf, "application/pdf", "key.pdf");
    }

    /// <summary>How the key fares with an ordinary observer, which takes a moment to work out.</summary>
    public async Task<IActionResult> OnGetQuality(CancellationToken cancel)
    {
        await FillFromList(cancel);
        Make();
        if (Key is not { Couplets.Count: > 0 } key)
            return NotFound();
        var region = Regions.Exists(Form.Region ?? "") ? Form.Region : null;
        return Partial("Keying/_Quality", await Task.Run(() => desk.QualityOf(Open, key, region), cancel));
    }

    /// <summary>The address of how it fares.</summary>
    public string Quality => Url.Page("/Keying/Key", "Quality", Asked(null))!;

    /// <summary>The address of the same key with its couplets in the other order.</summary>
    public string Otherwise
    {
        get
        {
            var asked = Asked(null);
            asked["indented"] = Form.Indented ? null : "true";
            return Url.Page("/Keying/Key", null, asked)!;
        }
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

    /// <summary>The group that the way has come down to so far; null where to none.</summary>
    public string? Within => Trail.Select(step => step.Couplet.NarrowsTo(step.Taken)).LastOrDefault(group => group is not null);

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
                ({ Length: > 0 }, _) => $" of {ListTitle ?? "a list"}",
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
            ["names"] = Form.List is { Length: > 0 } ? null : Form.Names,
            ["list"] = Form.List,
            ["season"] = Form.Season,
            ["indented"] = Form.Indented ? "true" : null,
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
