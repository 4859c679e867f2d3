using Microsoft.AspNetCore.Identity;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using VerdantSieve.Store.People;
using VerdantSieve.Web.People;
using VerdantSieve.Web.Safety;

namespace VerdantSieve.Web.Pages.People;

/// <summary>Sends a letter with which a new password can be set. Whether there is such an account is not told.</summary>
public sealed class ForgottenModel(UserManager<Person> users, IPost post, Settings settings) : PageModel
{
    /// <summary>Whether the form was sent.</summary>
    public bool IsSent { get; private set; }

    /// <summary>Whether letters can be read on this machine.</summary>
    public bool Outbox => settings.MailServer is null && Hosts.IsFromHere(HttpContext);

    public void OnGet() { }

    public async Task<IActionResult> OnPost(string? name)
    {
        IsSent = true;
        if (
            name is { Length: > 0 and <= SignInModel.Longest }
            && await users.FindByNameAsync(name.Trim()) is { Email: { Length: > 0 } email } person
        )
        {
            var token = await users.GeneratePasswordResetTokenAsync(person);
            var link = Url.PageLink("/People/NewPassword", values: new { name = person.UserName, token });
            await post.Send(
                email,
                "A new password for your notebook",
                $"Somebody asked for a new password for the account {person.UserName}. If it was you, set one here:\n\n{link}\n\n"
                    + "If it was not, nothing needs to be done."
            );
        }
        return Page();
    }
}
