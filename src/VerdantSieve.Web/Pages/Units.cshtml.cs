using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace VerdantSieve.Web.Pages;

/// <summary>Keeps the reader's choice of units.</summary>
public sealed class UnitsModel : PageModel
{
    public IActionResult OnGet() => RedirectToPage("/Index");

    public IActionResult OnPost(string? style, string? back)
    {
        Response.Cookies.Append(
            Shared.Units.Cookie,
            style == "inches" ? "inches" : "metric",
            new CookieOptions
            {
                MaxAge = TimeSpan.FromDays(400),
                SameSite = SameSiteMode.Lax,
                HttpOnly = true,
            }
        );
        return Url.IsLocalUrl(back) ? LocalRedirect(back!) : RedirectToPage("/Index");
    }
}
