using SkiaSharp;
using Svg.Skia;
using Svg.Skia.TypefaceProviders;

namespace VerdantSieve.Imaging;

/// <summary>Makes PDF files of sheets that were written as SVG.</summary>
public static class PdfSheets
{
    /// <summary>A PDF of one page.</summary>
    /// <param name="svg">The sheet, 100 units to a millimetre.</param>
    /// <param name="widthMillimetres">Its width.</param>
    /// <param name="heightMillimetres">Its height.</param>
    /// <param name="title">What the file says it is.</param>
    /// <param name="faces">The type faces its words are set in, as files.</param>
    /// <exception cref="FormatException">The text is no SVG.</exception>
    public static byte[] Make(
        string svg,
        double widthMillimetres,
        double heightMillimetres,
        string title,
        params IReadOnlyList<string> faces
    ) => Make([svg], widthMillimetres, heightMillimetres, title, faces);

    /// <summary>A PDF of several pages of one size.</summary>
    /// <param name="svgs">The sheets.</param>
    /// <param name="widthMillimetres">Their width.</param>
    /// <param name="heightMillimetres">Their height.</param>
    /// <param name="title">What the file says it is.</param>
    /// <param name="faces">The type faces their words are set in, as files.</param>
    /// <exception cref="FormatException">A text is no SVG.</exception>
    public static byte[] Make(
        IReadOnlyList<string> svgs,
        double widthMillimetres,
        double heightMillimetres,
        string title,
        params IReadOnlyList<string> faces
    )
    {
        using var file = new MemoryStream();
        using (var document = SKDocument.CreatePdf(file, new SKDocumentPdfMetadata { Title = title, Creator = "Verdant Sieve" }))
        {
            foreach (var svg in svgs)
                Add(document, svg, widthMillimetres, heightMillimetres, faces);
            document.Close();
        }
        return file.ToArray();
    }

    private static void Add(SKDocument document, string svg, double widthMillimetres, double heightMillimetres, IReadOnlyList<string> faces)
    {
        using var reader = new SKSvg();
        // The machine may have no type faces of its own.
        foreach (var face in faces)
            reader.Settings.TypefaceProviders?.Insert(0, new CustomTypefaceProvider(face));
        // Of the program's own making: nothing is fetched for it.
        using var picture = reader.FromSvg(svg) ?? throw new FormatException("The sheet is no SVG.");
        var (width, height) = ((float)(widthMillimetres * 72 / 25.4), (float)(heightMillimetres * 72 / 25.4));
        using var page = document.BeginPage(width, height);
        page.Scale(width / picture.CullRect.Width, height / picture.CullRect.Height);
        page.DrawPicture(picture);
        document.EndPage();
    }
}
