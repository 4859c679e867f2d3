using Microsoft.AspNetCore.Identity;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using VerdantSieve.Store.Curating;
using VerdantSieve.Web.Curating;

namespace VerdantSieve.Web.Pages.Desk;

/// <summary>Signs curators in and out. After several wrong passwords an account is locked for a while.</summary>
public sealed class SignInModel(SignInManager<Curator> signIn, Settings settings) : PageModel
{
    public string? Problem { get; private set; }
    public string Name { get; private set; } = "";
    public string Back { get; private set; } = "";

    /// <summary>The demonstration's accounts; empty where it is switched off.</summary>
    public IReadOnlyList<DemoCurators.Account> Accounts => settings.Demo ? DemoCurators.All : [];

    public void OnGet(string? back) => Back = Local(back);

    public async Task<IActionResult> OnPost(string? name, string? password, string? back)
    {
        (Name, Back) = (name?.Trim() ?? "", Local(back));
        if (Name.Length == 0 || string.IsNullOrEmpty(password))
            return Refused("Give a name and a password.");
        var result = await signIn.PasswordSignInAsync(Name, password, isPersistent: true, lockoutOnFailure: true);
        if (result.Succeeded)
            return LocalRedirect(Back);
        return Refused(
            result.IsLockedOut
                ? "Too many wrong passwords: this name is locked for five minutes."
                : "No curator goes by that name and password."
        );
    }

    public async Task<IActionResult> OnPostOut()
    {
        await signIn.SignOutAsync();
        return RedirectToPage("/Desk/Index");
    }

    private PageResult Refused(string problem)
    {
        Problem = problem;
        Response.StatusCode = StatusCodes.Status422UnprocessableEntity;
        return Page();
    }

    private string Local(string? back) => back is { Length: > 0 } && Url.IsLocalUrl(back) ? back : Url.Page("/Desk/Index")!;
}
