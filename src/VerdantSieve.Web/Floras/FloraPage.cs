using Microsoft.AspNetCore.Mvc.Filters;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace VerdantSieve.Web;

/// <summary>A page about one flora: the shipped one, or the own flora that the address names (<c>?flora=my-flora</c>).</summary>
public abstract class FloraPage(FloraShelf shelf) : PageModel
{
    /// <summary>The flora the page is about.</summary>
    public OpenFlora Open { get; private set; } = null!;

    /// <inheritdoc/>
    public override async Task OnPageHandlerExecutionAsync(PageHandlerExecutingContext context, PageHandlerExecutionDelegate next)
    {
        if (await shelf.Take(Request.Query["flora"]) is not { } open)
        {
            context.Result = NotFound();
            return;
        }
        Open = open;
        await next();
    }
}
