using Microsoft.AspNetCore.Identity;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using VerdantSieve.Store.Notebooks;
using VerdantSieve.Store.People;
using VerdantSieve.Web.People;
using VerdantSieve.Web.Safety;

namespace VerdantSieve.Web.Pages.People;

/// <summary>Signs people in and out. Every wrong password makes the next one wait longer.</summary>
public sealed class SignInModel(
    SignInManager<Person> signIn,
    UserManager<Person> users,
    IPasswordHasher<Person> hasher,
    SignInDelays delays,
    AccountBook accounts,
    Settings settings
) : PageModel
{
    /// <summary>The most letters of a name, and of a password.</summary>
    public const int Longest = 200;

    // Checked where no person has the name given, so that the answer takes as long as where one has.
    private static readonly Person Nobody = new() { UserName = "nobody" };
    private static string? nobodysPassword;

    public string? Problem { get; private set; }
    public string Name { get; private set; } = "";
    public string Back { get; private set; } = "";

    /// <summary>The demonstration's accounts; empty where it is switched off or seen from another machine.</summary>
    public IReadOnlyList<DemoPeople.Account> Accounts => settings.Demo && Hosts.IsFromHere(HttpContext) ? DemoPeople.All : [];

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
        if (await Known(Name, password) is { } person)
        {
            delays.Right(address, Name);
            await signIn.SignInAsync(person, isPersistent: true);
            await TakeOver(HttpContext, accounts, person);
            return LocalRedirect(Back);
        }
        delays.Wrong(address, Name);
        return Refused("No account goes by that name and password.");
    }

    /// <summary>Signs out here and wherever else the same person is signed in: a copy of the cookie is worth nothing afterwards.</summary>
    public async Task<IActionResult> OnPostOut()
    {
        if (await users.GetUserAsync(User) is { } person)
            await users.UpdateSecurityStampAsync(person);
        await signIn.SignOutAsync();
        return RedirectToPage("/Index");
    }

    /// <summary>What was begun in this browser without an account moves into the notebook of whoever signs in.</summary>
    internal static async Task TakeOver(HttpContext http, AccountBook accounts, Person person)
    {
        if (Readers.GuestOf(http, make: false) is not { } guest)
            return;
        await accounts.Claim(guest, person.Id);
        Readers.Forget(http);
    }

    private async Task<Person?> Known(string name, string password)
    {
        var person = await users.FindByNameAsync(name);
        if (person is null)
        {
            hasher.VerifyHashedPassword(Nobody, nobodysPassword ??= hasher.HashPassword(Nobody, "nobody at all"), password);
            return null;
        }
        return await users.CheckPasswordAsync(person, password) && (!person.IsDemo || Hosts.IsFromHere(HttpContext)) ? person : null;
    }

    private PageResult Refused(string problem)
    {
        Problem = problem;
        Response.StatusCode = StatusCodes.Status422UnprocessableEntity;
        return Page();
    }

    private string Local(string? back) => back is { Length: > 0 } && Url.IsLocalUrl(back) ? back : Url.Page("/Notebook")!;
}
