namespace VerdantSieve.Store.Notebooks;

/// <summary>A notebook that is shared with somebody.</summary>
public sealed class ShareRow
{
    /// <summary>Whose notebook it is: an account.</summary>
    public required string Owner { get; init; }

    /// <summary>The account it is shared with.</summary>
    public required string With { get; init; }

    /// <summary>What they may do.</summary>
    public Sharing May { get; set; }
}
