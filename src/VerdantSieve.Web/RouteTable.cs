using VerdantSieve.Web.Api;
using VerdantSieve.Web.Curating;
using VerdantSieve.Web.Drawings;
using VerdantSieve.Web.Measuring;
using VerdantSieve.Web.Notebooks;
using VerdantSieve.Web.Practising;

namespace VerdantSieve.Web;

/// <summary>All addresses there are.</summary>
public static class RouteTable
{
    /// <summary>Adds them.</summary>
    public static void MapAll(this IEndpointRouteBuilder routes)
    {
        routes.MapRazorPages();
        routes.MapDeskFiles();
        routes.MapDrawings();
        routes.MapBoard();
        routes.MapNotebook();
        routes.MapPractice();
        routes.MapSieveApi();
        routes.MapOpenApi("/openapi/{documentName}.json");
        routes.MapHealthChecks("/health");
    }
}
