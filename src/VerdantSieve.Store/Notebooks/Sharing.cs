namespace VerdantSieve.Store.Notebooks;

/// <summary>What a reader may do with a tree; each may do what those before may.</summary>
public enum Sharing
{
    /// <summary>See it, with its visits.</summary>
    Read,

    /// <summary>Remark on it, agree and doubt.</summary>
    Comment,

    /// <summary>Determine it anew.</summary>
    Determine,

    /// <summary>Change it: it is their own.</summary>
    Own,
}
