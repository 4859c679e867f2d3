using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Formats;

namespace VerdantSieve.Core.Curating;

/// <summary>One thing that a change to a taxon changes, in the words of its file.</summary>
/// <param name="Field">The key of the file, or the id of the character.</param>
/// <param name="Before">What it was; empty where there was nothing.</param>
/// <param name="After">What it becomes; empty where nothing is left.</param>
public sealed record FieldChange(string Field, string Before, string After)
{
    /// <summary>What is different between two forms of a taxon.</summary>
    public static IReadOnlyList<FieldChange> Between(Taxon before, Taxon after, Vocabulary vocabulary) =>
        [.. TaxonWriter.Differences(before, after, vocabulary).Select(change => new FieldChange(change.Key, change.Before, change.After))];
}
