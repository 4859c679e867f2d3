using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using Microsoft.EntityFrameworkCore;
using VerdantSieve.Store;
using VerdantSieve.Store.People;
using VerdantSieve.Web.Safety;

namespace VerdantSieve.Web.Pages.People;

/// <summary>The simulated outbox: letters that would have gone by mail. Only for whoever sits at the machine, and only without a mail
/// server.</summary>
public sealed class OutboxModel(SieveContext database, Settings settings) : PageModel
{
    private const int Shown = 50;

    public IReadOnlyList<LetterRow> Letters { get; private set; } = [];

    public async Task<IActionResult> OnGet(CancellationToken cancel)
    {
        if (settings.MailServer is not null || !Hosts.IsFromHere(HttpContext))
            return NotFound();
        Letters = await database.Letters.AsNoTracking().OrderByDescending(letter => letter.Id).Take(Shown).ToListAsync(cancel);
        return Page();
    }

    /// <summary>The address a line of a letter consists of, where it leads here; else null.</summary>
    public string? LinkIn(string line) =>
        Uri.TryCreate(line.Trim(), UriKind.Absolute, out var address) && address.Host == Request.Host.Host ? address.PathAndQuery : null;
}
