using System.IO.Compression;
using System.Net.Mime;
using System.Text.Json;
using System.Text.Json.Serialization;
using Microsoft.AspNetCore.Authorization;
using Microsoft.AspNetCore.Identity;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using VerdantSieve.Core;
using VerdantSieve.Store.Notebooks;
using VerdantSieve.Store.People;
using VerdantSieve.Web.Curating;
using VerdantSieve.Web.People;

namespace VerdantSieve.Web.Pages.People;

/// <summary>One's own account: sharing, password, a copy of everything, and its end.</summary>
[Authorize(CuratorAccess.HasAccount)]
public sealed class AccountModel(AccountBook accounts, TreeBook trees, SignInManager<Person> signIn, UserManager<Person> users) : PageModel
{
    private static readonly JsonSerializerOptions Json = new(JsonSerializerDefaults.Web)
    {
        WriteIndented = true,
        Converters = { new JsonStringEnumConverter(JsonNamingPolicy.KebabCaseLower) },
    };

    public IReadOnlyList<AccountBook.Shared> With { get; private set; } = [];
    public IReadOnlyList<AccountBook.Shared> From { get; private set; } = [];

    /// <summary>How many trees would go with it.</summary>
    public int Trees { get; private set; }

    /// <summary>What was typed as a name and refused.</summary>
    public string Name { get; private set; } = "";

    /// <summary>What was done last.</summary>
    [TempData]
    public string? Done { get; set; }

    private Fault? fault;

    public string? FaultAt(string field) => fault?.At == field ? fault.Sentence : null;

    public Task OnGet(CancellationToken cancel) => Load(cancel);

    public async Task<IActionResult> OnPostShare(string? name, string? may, CancellationToken cancel)
    {
        Name = name?.Trim() ?? "";
        Sharing? level = Enum.TryParse<Sharing>(may, out var read) && read < Sharing.Own ? read : null;
        fault = await accounts.Share(Name, level);
        return await Answer(level is null ? "It is shared with them no longer." : "Shared.", cancel);
    }

    public async Task<IActionResult> OnPostPassword(string? old, string? password, CancellationToken cancel)
    {
        var person = (await users.GetUserAsync(User))!;
        var set = await users.ChangePasswordAsync(person, old ?? "", password ?? "");
        if (set.Succeeded)
            await signIn.RefreshSignInAsync(person);
        else
            fault = new Fault("password", string.Join(' ', set.Errors.Select(AccountFaults.Say)));
        return await Answer("The password is changed; elsewhere you are signed out.", cancel);
    }

    public async Task<IActionResult> OnGetEverything(CancellationToken cancel)
    {
        using var file = new MemoryStream();
        using (var zip = new ZipArchive(file, ZipArchiveMode.Create, leaveOpen: true))
        {
            await using (var json = zip.CreateEntry("notebook.json").Open())
                await JsonSerializer.SerializeAsync(json, await accounts.Everything(cancel), Json, cancel);
            await foreach (var (id, look, _, jpeg) in accounts.Pictures().WithCancellation(cancel))
            {
                await using var picture = zip.CreateEntry($"pictures/{look}-{id}.jpg", CompressionLevel.NoCompression).Open();
                await picture.WriteAsync(jpeg, cancel);
            }
        }
        return File(file.ToArray(), MediaTypeNames.Application.Zip, "notebook.zip");
    }

    public async Task<IActionResult> OnPostDelete(string? old, CancellationToken cancel)
    {
        var person = (await users.GetUserAsync(User))!;
        if (person.IsDemo)
            fault = new Fault("delete", "The demonstration’s people stay; make an account of your own to try this.");
        else if (!await users.CheckPasswordAsync(person, old ?? ""))
            fault = new Fault("delete", "That is not the password.");
        if (fault is not null)
            return await Answer("", cancel);
        await accounts.Forget();
        await users.DeleteAsync(person);
        await signIn.SignOutAsync();
        return RedirectToPage("/Index");
    }

    private async Task<IActionResult> Answer(string done, CancellationToken cancel)
    {
        if (fault is null)
        {
            Done = done;
            return RedirectToPage();
        }
        await Load(cancel);
        Response.StatusCode = StatusCodes.Status422UnprocessableEntity;
        return Page();
    }

    private async Task Load(CancellationToken cancel)
    {
        (With, From) = (await accounts.With(cancel), await accounts.From(cancel));
        Trees = await trees.Count(cancel);
    }
}
