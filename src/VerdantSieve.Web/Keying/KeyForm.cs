using VerdantSieve.Core;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Keys;
using VerdantSieve.Web.Listing;

namespace VerdantSieve.Web.Keying;

/// <summary>What a key is asked for: the kinds of a country, a genus or a family, or a list of names, and what can be seen of
/// them.</summary>
public sealed class KeyForm
{
    /// <summary>The most kinds of one key.</summary>
    public const int MostTaxa = 400;

    public string? Region { get; set; }
    public string? Group { get; set; }
    public string? Names { get; set; }

    /// <summary>The list it is made for.</summary>
    public string? List { get; set; }
    public string? Season { get; set; }

    /// <summary>Whether couplets stand under what leads to them, and not by their numbers.</summary>
    public bool Indented { get; set; }

    /// <summary>Whether anything was asked for.</summary>
    public bool IsAsked => !string.IsNullOrWhiteSpace(Region) || !string.IsNullOrWhiteSpace(Group) || !string.IsNullOrWhiteSpace(Names);

    /// <summary>What can be seen.</summary>
    public KeySeason Shown => EnumWords.TryRead<KeySeason>(Season, out var season) ? season : KeySeason.Leaf;

    /// <summary>Names that were mended: as written, and as they are meant.</summary>
    public IReadOnlyList<(string Written, string Meant)> Mended { get; private set; } = [];

    /// <summary>Names that no kind goes by.</summary>
    public IReadOnlyList<string> Unknown { get; private set; } = [];

    /// <summary>The kinds that are asked for, or what is wrong.</summary>
    public Outcome<IReadOnlyList<Taxon>> Taxa(OpenFlora open)
    {
        var listed = ListText.Of(Names, open);
        if (!listed.Has(out var list))
            return listed.Faults[0] with { At = "names" };
        (Mended, Unknown) = (list.Mended, list.Unknown);
        if (!string.IsNullOrWhiteSpace(Region) && !Regions.Exists(Region))
            return Fault.AtField("region", Region, "Choose a country or state from the list.");
        IEnumerable<Taxon> taxa = string.IsNullOrWhiteSpace(Names)
            ? open.Flora.Taxa
            : list.Kinds.Select(kind => open.Flora.FindTaxon(kind.Name)).OfType<Taxon>();
        if (!string.IsNullOrWhiteSpace(Region) && string.IsNullOrWhiteSpace(Names))
            taxa = taxa.Where(taxon => taxon.Distribution.Includes(Region));
        if (Group?.Trim() is { Length: > 0 } group)
            taxa = taxa.Where(taxon => taxon.IsOf(group));
        Taxon[] all = [.. taxa.DistinctBy(taxon => taxon.Name)];
        return all.Length switch
        {
            0 => new Fault("group", "No kind of this flora is asked for; try a wider country, another genus or family, or other names."),
            > MostTaxa => new Fault(
                "group",
                $"A key has at most {MostTaxa} kinds, and these are {all.Length}. Name a genus or a family as well."
            ),
            _ => all,
        };
    }
}
