namespace VerdantSieve.Web.Drawings;

/// <summary>The type faces that sheets of paper are set in: the machine may have none of its own.</summary>
public static class SheetFaces
{
    /// <summary>Their files.</summary>
    public static IReadOnlyList<string> Of(IWebHostEnvironment host)
    {
        var built = Path.Combine(host.WebRootPath, "built");
        return [Path.Combine(built, "sheet.ttf"), Path.Combine(built, "sheet-italic.ttf")];
    }
}
