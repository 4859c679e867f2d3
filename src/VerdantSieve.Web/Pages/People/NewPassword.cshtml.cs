using Microsoft.AspNetCore.Identity;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using VerdantSieve.Store.People;
using VerdantSieve.Web.People;

namespace VerdantSieve.Web.Pages.People;

/// <summary>Sets a new password with the link of a letter; wherever the account was signed in, that ends.</summary>
public sealed class NewPasswordModel(UserManager<Person> users) : PageModel
{
    private const int LongestToken = 2000;

    public string Name { get; private set; } = "";
    public string Token { get; private set; } = "";
    public string? Problem { get; private set; }

    public void OnGet(string? name, string? token) => (Name, Token) = (name ?? "", token ?? "");

    public async Task<IActionResult> OnPost(string? name, string? token, string? password)
    {
        (Name, Token) = (name ?? "", token ?? "");
        Problem = await Set(password ?? "");
        if (Problem is null)
            return RedirectToPage("/People/SignIn");
        Response.StatusCode = StatusCodes.Status422UnprocessableEntity;
        return Page();
    }

    private async Task<string?> Set(string password)
    {
        if (password.Length > SignInModel.Longest || Token.Length > LongestToken)
            return $"A password has at most {SignInModel.Longest} letters.";
        if (await users.FindByNameAsync(Name) is not { } person)
            return "This link is used up or too old; ask for a new one.";
        var set = await users.ResetPasswordAsync(person, Token, password);
        return set.Succeeded ? null : string.Join(' ', set.Errors.Select(AccountFaults.Say));
    }
}
