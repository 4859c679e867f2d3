using VerdantSieve.Core.Botany;

namespace VerdantSieve.Views.Drawings;

/// <summary>Where the drawings of states and taxa are found.</summary>
public static class DrawingAddresses
{
    /// <summary>Where the drawings of states begin: one file a character, each state an element of it, so that a question with all its
    /// states is one request.</summary>
    public const string States = "/drawings/state";

    /// <summary>Where the likenesses of taxa begin.</summary>
    public const string Taxa = "/drawings/taxon";

    /// <summary>Where the plates of taxa begin.</summary>
    public const string Plates = "/drawings/plate";

    /// <summary>Where the sheets to print begin.</summary>
    public const string Sheets = "/drawings/sheet";

    /// <summary>The file of the drawing that says what one leaf is.</summary>
    public const string Guide = "/drawings/leaf-or-leaflet.svg";

    /// <summary>The element of a file that pages take in.</summary>
    public const string Element = "#d";

    /// <summary>The address of the drawing that says what one leaf is.</summary>
    public const string LeafOrLeaflet = Guide + Element;

    /// <summary>The address of a state's drawing, or for a broad word that of the first state it covers; null where it is told in words
    /// only.</summary>
    public static string? OfState(OpenFlora flora, string character, string state)
    {
        if (flora.Drawn.Draws(character, state))
            return OfDrawn(character, state);
        var covered = (flora.Flora.FindCharacter(character) as StateCharacter)
            ?.BroadWords.FirstOrDefault(word => word.Id == state)
            ?.States[0];
        return covered is not null && flora.Drawn.Draws(character, covered) ? OfDrawn(character, covered) : null;
    }

    private static string OfDrawn(string character, string state) => $"{States}/{character}.svg#{state}";

    /// <summary>The address of a taxon's likeness.</summary>
    public static string OfTaxon(OpenFlora flora, Taxon taxon) => $"{Taxa}/{taxon.Name.Slug}.svg{Own(flora)}{Element}";

    /// <summary>The address of a taxon's plate.</summary>
    public static string OfPlate(OpenFlora flora, Taxon taxon) => $"{Plates}/{taxon.Name.Slug}.svg{Own(flora)}{Element}";

    /// <summary>The address of a taxon's sheet to print.</summary>
    /// <param name="flora">The flora.</param>
    /// <param name="taxon">The taxon.</param>
    /// <param name="format"><c>svg</c> or <c>pdf</c>.</param>
    public static string OfSheet(OpenFlora flora, Taxon taxon, string format) => $"{Sheets}/{taxon.Name.Slug}.{format}{Own(flora)}";

    private static string Own(OpenFlora flora) => flora.Named is { } id ? $"?flora={Uri.EscapeDataString(id)}" : "";
}
