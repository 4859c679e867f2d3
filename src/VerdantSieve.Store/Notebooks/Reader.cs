namespace VerdantSieve.Store.Notebooks;

/// <summary>Who asks for a notebook: an account, a browser whose person has none, or whoever sits at a machine of their own.</summary>
/// <param name="Own">The owners whose notebooks are this reader's own; what is begun belongs to the first. None where nobody is
/// known.</param>
/// <param name="Person">The account they are signed in with, which others' notebooks may be shared with; null where none.</param>
/// <param name="Shown">The name shown beside what they write.</param>
public sealed record Reader(IReadOnlyList<string> Own, string? Person, string Shown)
{
    /// <summary>The owner of what is kept without an account on a machine of one's own.</summary>
    public const string Machine = "here";

    /// <summary>Whoever sits at a machine of their own.</summary>
    public static Reader Here { get; } = new([Machine], null, "");

    /// <summary>Nobody who is known.</summary>
    public static Reader Nobody { get; } = new([], null, "");

    /// <summary>The owner that stands for a browser.</summary>
    /// <param name="key">What the browser's cookie says, or rather its digest: who reads the database learns nothing to come in
    /// with.</param>
    public static string Guest(string key) => $"guest:{key}";

    /// <summary>The owner of what this reader begins.</summary>
    /// <exception cref="InvalidOperationException">Nobody is known.</exception>
    public string Owner => Own.Count > 0 ? Own[0] : throw new InvalidOperationException("Nobody is known whom this could belong to.");

    /// <summary>The owners as a query takes them.</summary>
    internal string[] Owners { get; } = [.. Own];
}
