using System.Globalization;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using NodaTime;
using NodaTime.Text;
using VerdantSieve.Core;
using VerdantSieve.Imaging.Pictures;
using VerdantSieve.Store.Looks;
using VerdantSieve.Store.Notebooks;

namespace VerdantSieve.Web.Pages.Looks;

/// <summary>The pictures kept with a look.</summary>
[RequestSizeLimit(MostSent)]
[RequestFormLimits(MultipartBodyLengthLimit = MostSent)]
public sealed class PicturesModel(LookBook looks, PictureBook pictures) : PageModel
{
    private const int MostAtOnce = 6,
        MostSent = MostAtOnce * PictureBounds.MostBytes;

    // Each takes a core and some hundred megabytes.
    private static readonly SemaphoreSlim Places = new(2);

    public Look Look { get; private set; } = null!;
    public IReadOnlyList<KeptPicture> Pictures { get; private set; } = [];
    public IReadOnlyList<string> Problems { get; private set; } = [];
    public string CaptionTyped { get; private set; } = "";

    /// <summary>One that was just thrown away.</summary>
    public string? Discarded { get; private set; }

    [TempData]
    public string? Done { get; set; }

    public async Task<IActionResult> OnGet(string id, string? discarded, CancellationToken cancel)
    {
        Discarded = discarded;
        return await Load(id, cancel) ? Page() : NotFound();
    }

    public async Task<IActionResult> OnPost(string id, IFormFile[] file, string? caption, bool where, CancellationToken cancel)
    {
        if (!await Load(id, cancel))
            return NotFound();
        CaptionTyped = caption?.Trim() ?? "";
        if (CaptionTyped.Length > PictureBook.LongestCaption)
            return Refused($"A caption has at most {PictureBook.LongestCaption} letters.");
        if (file.Length == 0)
            return Refused("Choose a picture first: JPEG, PNG or WebP.");
        if (file.Length > MostAtOnce)
            return Refused($"At most {MostAtOnce} pictures are taken at once.");
        var problems = new List<string>();
        CleanPicture? told = null;
        foreach (var sent in file)
        {
            var read = await Read(sent, where, cancel);
            if (!read.Has(out var picture))
                problems.Add($"{sent.FileName}: {read.Faults[0].Sentence}");
            else if (
                await pictures.Add(
                    id,
                    new NewPicture(picture.Jpeg, picture.Small, picture.Width, picture.Height, CaptionTyped, picture.At, picture.Taken)
                )
                is null
            )
                problems.Add($"{sent.FileName}: with one look at most {PictureBook.MostOfALook} pictures are kept.");
            else
                told ??= picture.At is null && picture.Taken is null ? null : picture;
        }
        if (where)
            Done = told is null ? "The pictures say nothing of where or when they were taken." : await TakeWhere(id, told);
        if (problems.Count == 0)
            return RedirectToPage(new { id });
        await Load(id, cancel);
        return Refused([.. problems]);
    }

    private static async Task<Outcome<CleanPicture>> Read(IFormFile sent, bool where, CancellationToken cancel)
    {
        if (sent.Length > PictureBounds.MostBytes)
            return new Fault("picture", $"At most {PictureBounds.MostBytes / 1024 / 1024} MB can be read.");
        using var bytes = new MemoryStream((int)sent.Length);
        await sent.CopyToAsync(bytes, cancel);
        await Places.WaitAsync(cancel);
        try
        {
            return await Task.Run(() => CleanPicture.Of(bytes.ToArray(), where), cancel);
        }
        finally
        {
            Places.Release();
        }
    }

    // Where and when become the look's, as one step that undo takes back.
    private async Task<string> TakeWhere(string id, CleanPicture told)
    {
        static string N(double value) => value.ToString("0.######", CultureInfo.InvariantCulture);
        await looks.Change(
            id,
            "place and day from a picture",
            content =>
            {
                var before = content.Circumstances;
                return content with
                {
                    Circumstances = before with
                    {
                        Date = told.Taken is { } taken ? LocalDatePattern.Iso.Format(LocalDate.FromDateTime(taken)) : before.Date,
                        Latitude = told.At is { } at ? N(at.Latitude) : before.Latitude,
                        Longitude = told.At is { } east ? N(east.Longitude) : before.Longitude,
                        Elevation = told.At is { } up ? N(up.Elevation) : before.Elevation,
                    },
                };
            }
        );
        var what = (told.At, told.Taken) switch
        {
            (null, _) => "day",
            (_, null) => "place",
            _ => "place and day",
        };
        return $"The look has its {what} from the picture now; undo on its page takes that back.";
    }

    public async Task<IActionResult> OnPostCaption(string id, string picture, string? caption) =>
        await pictures.Caption(picture, Short(caption)) ? RedirectToPage(new { id }) : NotFound();

    private static string Short(string? caption) =>
        (caption?.Trim() ?? "") is var text && text.Length > PictureBook.LongestCaption ? text[..PictureBook.LongestCaption] : text;

    public async Task<IActionResult> OnPostDiscard(string id, string picture) =>
        await pictures.Discard(picture, true) ? RedirectToPage(new { id, discarded = picture }) : NotFound();

    public async Task<IActionResult> OnPostRestore(string id, string picture) =>
        await pictures.Discard(picture, false) ? RedirectToPage(new { id }) : NotFound();

    private async Task<bool> Load(string id, CancellationToken cancel)
    {
        if (await looks.Find(id, cancel) is not { } look)
            return false;
        (Look, Pictures) = (look, await pictures.Of([id], cancel));
        return true;
    }

    private PageResult Refused(params string[] problems)
    {
        Problems = problems;
        Response.StatusCode = StatusCodes.Status422UnprocessableEntity;
        return Page();
    }
}
