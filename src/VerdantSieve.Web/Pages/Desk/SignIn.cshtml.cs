using Microsoft.AspNetCore.Identity;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using VerdantSieve.Store.Curating;
using VerdantSieve.Web.Curating;
using VerdantSieve.Web.Safety;

namespace VerdantSieve.Web.Pages.Desk;

/// <summary>Signs curators in and out. Every wrong password makes the next one wait longer.</summary>
public sealed class SignInModel(
    SignInManager<Curator> signIn,
    UserManager<Curator> users,
    IPasswordHasher<Curator> hasher,
    SignInDelays delays,
    Settings settings
) : PageModel
{
    /// <summary>The most letters of a name, and of a password.</summary>
    public const int Longest = 200;

    // Checked where no curator has the name given, so that the answer takes as long as where one has.
    private static readonly Curator Nobody = new() { UserName = "nobody" };
    private static string? nobodysPassword;

    public string? Problem { get; private set; }
    public string Name { get; private set; } = "";
    public string Back { get; private set; } = "";

    /// <summary>The demonstration's accounts; empty where it is switched off or seen from another machine.</summary>
    public IReadOnlyList<DemoCurators.Account> Accounts => settings.Demo && Hosts.IsFromHere(HttpContext) ? DemoCurators.All : [];

    public void OnGet(string? back) => Back = Local(back);

    public async Task<IActionResult> OnPost(string? name, string? password, string? back, CancellationToken cancel)
    {
        (Name, Back) = (name?.Trim() ?? "", Local(back));
        if (Name.Length == 0 || string.IsNullOrEmpty(password))
            return Refused("Give a name and a password.");
        if (Name.Length > Longest || password.Length > Longest)
            return Refused($"A name and a password have at most {Longest} letters.");
        var address = HttpContext.Connection.RemoteIpAddress?.ToString() ?? "";
        await Task.Delay(delays.Of(address, Name).ToTimeSpan(), cancel);
        if (await Known(Name, password) is { } curator)
        {
            delays.Right(address, Name);
            await signIn.SignInAsync(curator, isPersistent: true);
            return LocalRedirect(Back);
        }
        delays.Wrong(address, Name);
        return Refused("No curator goes by that name and password.");
    }

    /// <summary>Signs out here and wherever else the same curator is signed in: a copy of the cookie is worth nothing afterwards.</summary>
    public async Task<IActionResult> OnPostOut()
    {
        if (await users.GetUserAsync(User) is { } curator)
            await users.UpdateSecurityStampAsync(curator);
        await signIn.SignOutAsync();
        return RedirectToPage("/Desk/Index");
    }

    private async Task<Curator?> Known(string name, string password)
    {
        var curator = await users.FindByNameAsync(name);
        if (curator is null)
        {
            hasher.VerifyHashedPassword(Nobody, nobodysPassword ??= hasher.HashPassword(Nobody, "nobody at all"), password);
            return null;
        }
        return await users.CheckPasswordAsync(curator, password) && (!curator.IsDemo || Hosts.IsFromHere(HttpContext)) ? curator : null;
    }

    private PageResult Refused(string problem)
    {
        Problem = problem;
        Response.StatusCode = StatusCodes.Status422UnprocessableEntity;
        return Page();
    }

    private string Local(string? back) => back is { Length: > 0 } && Url.IsLocalUrl(back) ? back : Url.Page("/Desk/Index")!;
}
