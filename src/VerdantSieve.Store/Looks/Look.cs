namespace VerdantSieve.Store.Looks;

/// <summary>A look as a page needs it.</summary>
/// <param name="FloraId">The flora it was made with.</param>
/// <param name="Undoes">What undo would take back; null where there is nothing.</param>
/// <param name="Redoes">What redo would do again; null where there is nothing.</param>
public sealed record Look(string Id, string FloraId, LookContent Content, string? Undoes, string? Redoes, bool IsDiscarded);
