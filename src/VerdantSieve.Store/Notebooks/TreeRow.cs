using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Trees;

namespace VerdantSieve.Store.Notebooks;

/// <summary>A tree as stored; its visits are looks.</summary>
public sealed class TreeRow
{
    /// <summary>The same as that of its first look.</summary>
    public required string Id { get; init; }

    /// <summary>Whose it is; see <see cref="Reader.Own"/>.</summary>
    public required string Owner { get; set; }

    public required string FloraId { get; init; }

    public TreeDetails Details { get; set; } = new();

    // Copied from the details, for lists.
    public string Tag { get; set; } = "";
    public bool IsSensitive { get; set; }
    public PlantSex? Sex { get; set; }

    // The weeks in which a visit is best made, as they were worked out last, and how likely it settles the tree.
    public DateOnly? DueFrom { get; set; }
    public DateOnly? DueTo { get; set; }
    public double? DueSettles { get; set; }

    /// <summary>What the details were before the last change, so that it can be taken back; null where nothing was changed.</summary>
    public TreeDetails? Before { get; set; }

    /// <summary>Counts the changes, so that nobody writes over what they have not seen.</summary>
    public int Edition { get; set; }

    // Where it stands: what its visits said last, or what was set on the map.
    public double? Latitude { get; set; }
    public double? Longitude { get; set; }
    public double? Elevation { get; set; }

    // The name that stands, copied from the history of determinations so that lists are one query.
    public string? Name { get; set; }
    public string? Rank { get; set; }
    public double? Probability { get; set; }
    public bool IsDisputed { get; set; }

    /// <summary>What it was taken in with, so that all of that can be taken back; null where it was begun here.</summary>
    public string? Batch { get; init; }

    public bool IsDemo { get; init; }
    public DateTimeOffset Created { get; init; }
    public DateTimeOffset Changed { get; set; }

    /// <summary>Set when thrown away; kept for a while, and can be brought back.</summary>
    public DateTimeOffset? Discarded { get; set; }
}
