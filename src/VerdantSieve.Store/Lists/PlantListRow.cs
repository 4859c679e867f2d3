namespace VerdantSieve.Store.Lists;

/// <summary>A list of kinds as stored: the trees of a wood, a garden, a course.</summary>
public sealed class PlantListRow
{
    public required string Id { get; init; }
    public required string Owner { get; set; }
    public required string FloraId { get; init; }
    public string Title { get; set; } = "";
    public string Note { get; set; } = "";

    /// <summary>Its kinds, in its own order.</summary>
    public List<ListedKind> Kinds { get; set; } = [];

    /// <summary>What it was before the last change, so that it can be taken back; null where nothing was changed.</summary>
    public ListContent? Before { get; set; }

    /// <summary>Whether whoever has its address may read it.</summary>
    public bool IsShared { get; set; }
    public DateTimeOffset Created { get; init; }
    public DateTimeOffset Changed { get; set; }
    public DateTimeOffset? Discarded { get; set; }

    /// <summary>What it says.</summary>
    internal ListContent Content
    {
        get => new(Title, Note, Kinds);
        set
        {
            (Title, Note) = (value.Title, value.Note);
            Kinds = [.. value.Kinds];
        }
    }
}

/// <summary>A kind on a list.</summary>
/// <param name="Name">Its scientific name.</param>
/// <param name="Note">What is noted of it there.</param>
public sealed record ListedKind(string Name, string Note);

/// <summary>What a list says.</summary>
/// <param name="Title">What it is called.</param>
/// <param name="Note">What is noted of the whole.</param>
/// <param name="Kinds">Its kinds, in its own order; each once.</param>
public sealed record ListContent(string Title, string Note, IReadOnlyList<ListedKind> Kinds);

/// <summary>A class that works a list, as stored. Nobody in it is named.</summary>
public sealed class ClassRow
{
    public required string Id { get; init; }

    /// <summary>Whose it is: the teacher's.</summary>
    public required string Owner { get; set; }
    public required string ListId { get; init; }
    public required string Title { get; init; }
    public DateTimeOffset Created { get; init; }

    /// <summary>When it was closed to further answers; null while it is open.</summary>
    public DateTimeOffset? Closed { get; set; }
}
