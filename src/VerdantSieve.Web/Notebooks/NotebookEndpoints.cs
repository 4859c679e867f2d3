using VerdantSieve.Core.Simulating;
using VerdantSieve.Store.Demo;
using VerdantSieve.Store.Notebooks;

namespace VerdantSieve.Web.Notebooks;

/// <summary>What the notebook serves beside its pages: files to take out, and the simulated GPS.</summary>
public static class NotebookEndpoints
{
    /// <summary>The names of the addresses, for links.</summary>
    public const string Taken = "notebook-file",
        Large = "picture",
        Small = "small-picture",
        Walked = "simulated-gps";

    // The simulated walk takes so long by the clock of whoever walks it.
    private const double WalkSeconds = 5940;

    private static readonly SimulatedGps Gps = new(ReserveMap.Path, WalkSeconds);

    /// <summary>Adds them.</summary>
    public static void MapNotebook(this IEndpointRouteBuilder routes)
    {
        routes.MapGet("/notebook/out/{format}", Send).WithName(Taken).ExcludeFromDescription();
        routes
            .MapGet("/pictures/{id}-small.jpg", (string id, HttpContext http) => Picture(http, id, small: true))
            .WithName(Small)
            .ExcludeFromDescription();
        routes
            .MapGet("/pictures/{id:regex(^[a-z0-9]+$)}.jpg", (string id, HttpContext http) => Picture(http, id, small: false))
            .WithName(Large)
            .ExcludeFromDescription();
        routes.MapGet("/gps", Walk).WithName(Walked).ExcludeFromDescription();
    }

    private static async Task<IResult> Send(string format, HttpContext http)
    {
        if (NotebookFiles.Formats.FirstOrDefault(known => known.Id == format) is not { } written)
            return Results.NotFound();
        var trees = await http.RequestServices.GetRequiredService<NotebookFiles>().Records(http.RequestAborted);
        return Results.File(written.Write(trees), written.MediaType, written.File);
    }

    private static IResult Walk(double? at, HttpContext http) =>
        http.RequestServices.GetRequiredService<Settings>().Demo && double.IsFinite(at ?? 0)
            ? Results.Json(Gps.At(at ?? 0))
            : Results.NotFound();

    // Seen by nobody but those who may: kept by their browsers alone.
    private static async Task<IResult> Picture(HttpContext http, string id, bool small)
    {
        if (await http.RequestServices.GetRequiredService<PictureBook>().Bytes(id, small, http.RequestAborted) is not { } jpeg)
            return Results.NotFound();
        http.Response.Headers.CacheControl = "private, max-age=86400";
        return Results.Bytes(jpeg, "image/jpeg");
    }
}
