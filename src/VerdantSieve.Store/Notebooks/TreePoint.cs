using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Seasons;
using VerdantSieve.Core.Trees;

namespace VerdantSieve.Store.Notebooks;

/// <summary>What is kept of a tree beside what maps need and its visits.</summary>
/// <param name="FloraId">The flora it is looked at with.</param>
/// <param name="Details">Tag, girth, height and the rest.</param>
/// <param name="History">The history of determinations, oldest first.</param>
public sealed record TreeRest(string FloraId, TreeDetails Details, IReadOnlyList<Opinion> History);

/// <summary>A tree as maps and plans need it.</summary>
/// <param name="Id">The tree.</param>
/// <param name="Tag">What it is called on the ground; empty where nothing.</param>
/// <param name="Place">The place of its last visit.</param>
/// <param name="Date">The day of it.</param>
public sealed record TreePoint(string Id, string Tag, string Place, DateOnly? Date)
{
    public double? Latitude { get; init; }
    public double? Longitude { get; init; }
    public double? Elevation { get; init; }

    /// <summary>The name that stands; null while it is open.</summary>
    public string? Name { get; init; }
    public string? Rank { get; init; }
    public double? Probability { get; init; }

    /// <summary>Whether a kind is named, and not a genus or a group only.</summary>
    public bool IsNamedAsKind => Name is not null && Rank is "species" or "variety" or "aggregate";

    /// <summary>Whether a second reader sees it otherwise.</summary>
    public bool IsDisputed { get; init; }

    /// <summary>Whether it asks for another visit: what is named as a kind and doubted by nobody asks for none.</summary>
    public bool IsOpen => IsDisputed || !IsNamedAsKind;

    /// <summary>Its sex, where it is known.</summary>
    public PlantSex? Sex { get; init; }

    /// <summary>When anything of it was changed last.</summary>
    public DateTimeOffset Changed { get; init; }

    /// <summary>Whether where it stands is not told to others.</summary>
    public bool IsSensitive { get; init; }

    /// <summary>Where it stands; null where that is not known.</summary>
    public Position? Position => TreeBook.PositionOf(Latitude, Longitude, Elevation);

    /// <summary>What it is called where others read it: of a tree whose place is not told the place is no name.</summary>
    public string CalledToOthers =>
        (IsSensitive, Tag) switch
        {
            (true, "") => "A tree",
            (true, _) => Tag,
            (false, _) => Called,
        };

    /// <summary>What it is called.</summary>
    public string Called =>
        (Tag, Place) switch
        {
            ({ Length: > 0 }, _) => Tag,
            (_, { Length: > 0 }) => Place,
            _ => "A tree",
        };
}
