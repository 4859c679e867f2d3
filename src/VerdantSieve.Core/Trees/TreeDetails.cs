using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Trees;

/// <summary>What is kept of a tree beside its visits.</summary>
public sealed record TreeDetails
{
    /// <summary>The most letters of a tag, and of a note.</summary>
    public const int LongestTag = 60,
        LongestNote = 2000;

    /// <summary>The most trees that one record may stand for.</summary>
    public const int MostIndividuals = 100_000;

    /// <summary>What it is called on the ground: a number on a tag, or a name.</summary>
    public string Tag { get; init; } = "";

    /// <summary>The girth of the trunk at breast height; null where it was not measured.</summary>
    public Girth? Girth { get; init; }

    /// <summary>How high it is and how that was found; null where it was not measured.</summary>
    public TreeHeight? Height { get; init; }

    /// <summary>Its sex, where it is known.</summary>
    public PlantSex? Sex { get; init; }

    /// <summary>How many trees of the same kind the record stands for.</summary>
    public int Individuals { get; init; } = 1;

    /// <summary>The garden form, as gardeners write it; empty where it is none.</summary>
    public string GardenForm { get; init; } = "";

    /// <summary>Whether where it stands is not told to others: what leaves the notebook is blurred.</summary>
    public bool IsSensitive { get; init; }

    /// <summary>How to get there, and what to watch for.</summary>
    public string Note { get; init; } = "";
}
