using Microsoft.AspNetCore.Mvc;
using VerdantSieve.Core;
using VerdantSieve.Imaging.Pictures;
using VerdantSieve.Imaging.Tracing;

namespace VerdantSieve.Web.Measuring;

/// <summary>What the measuring board asks of the server: tracing a picture and measuring outlines. Nothing that is sent is kept.</summary>
public static class BoardEndpoints
{
    private const string Root = "/board";

    // Two at once: each takes a core and some hundred megabytes.
    private static readonly SemaphoreSlim Places = new(2);

    /// <summary>Adds the addresses.</summary>
    public static void MapBoard(this IEndpointRouteBuilder routes)
    {
        routes
            .MapPost($"{Root}/trace", Trace)
            .ExcludeFromDescription()
            .WithMetadata(new RequestSizeLimitAttribute(PictureBounds.MostBytes + 64 * 1024));
        routes.MapPost($"{Root}/measure", Measure).ExcludeFromDescription().WithMetadata(new RequestSizeLimitAttribute(2 * 1024 * 1024));
        routes
            .MapGet(
                $"{Root}/photograph-{{number:int:range(1,{Photographs.Count})}}.jpg",
                (int number, HttpContext http) =>
                {
                    http.Response.Headers.CacheControl = "public, max-age=86400";
                    return Results.Bytes(Photographs.Take(number).Jpeg, "image/jpeg");
                }
            )
            .ExcludeFromDescription();
    }

    private static async Task<IResult> Trace(HttpRequest request, CancellationToken cancel)
    {
        if (!request.HasFormContentType)
            return Refused(Fault.AtField("picture", null, "Send the picture as a form."));
        var form = await request.ReadFormAsync(cancel);
        if (form.Files.GetFile("picture") is not { Length: > 0 } file)
            return Refused(Fault.AtField("picture", null, "Choose a picture first: JPEG, PNG or WebP."));
        if (file.Length > PictureBounds.MostBytes)
            return Refused(Fault.AtField("picture", null, $"At most {PictureBounds.MostBytes / 1024 / 1024} MB can be read."));
        var read = ScaleForm.Read(form);
        if (!read.Has(out var scale))
            return Refused(read.Faults[0]);
        using var bytes = new MemoryStream((int)file.Length);
        await file.CopyToAsync(bytes, cancel);
        await Places.WaitAsync(cancel);
        try
        {
            var cuts = ScaleForm.Cuts(form);
            var picture = bytes.GetBuffer().AsMemory(0, (int)bytes.Length);
            var traced = await Task.Run(() => LeafTracer.Trace(picture.Span, scale, cuts, cancel), cancel);
            return traced.Has(out var found) ? Results.Json(TracedAnswer.Of(found)) : Refused(traced.Faults[0]);
        }
        finally
        {
            Places.Release();
        }
    }

    private static IResult Measure([FromBody] MeasureQuestion? asked)
    {
        var measured = (asked ?? new MeasureQuestion()).Measure();
        return measured.Has(out var answer) ? Results.Json(answer) : Refused(measured.Faults[0]);
    }

    private static IResult Refused(Fault fault) =>
        Results.Json(new { at = fault.At, problem = fault.Sentence }, statusCode: StatusCodes.Status422UnprocessableEntity);
}
