using VerdantSieve.Core.Curating;

namespace VerdantSieve.Store.Curating;

/// <summary>A change to a taxon as the history shows it.</summary>
/// <param name="Row">Who did it, when and why.</param>
/// <param name="Changes">What is different; empty where that can’t be told any more, since the vocabulary has changed.</param>
public sealed record Revision(RevisionRow Row, IReadOnlyList<FieldChange> Changes);
