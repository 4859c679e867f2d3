using Microsoft.AspNetCore.Mvc.Filters;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace VerdantSieve.Web;

/// <summary>A page about one flora: the shipped one, or the own flora that the address names (<c>?flora=my-flora</c>). It is the same from
/// the first
/// line of the request to the last.</summary>
public abstract class FloraPage(FloraShelf shelf) : PageModel
{
    /// <summary>The flora the page is about.</summary>
    public OpenFlora Open { get; private set; } = null!;

    /// <summary>Where a changed flora is put, for the requests that follow.</summary>
    protected FloraShelf Shelf => shelf;

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
