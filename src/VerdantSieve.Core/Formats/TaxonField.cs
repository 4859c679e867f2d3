using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Formats;

/// <summary>How the value of a field is written.</summary>
internal enum FieldShape
{
    /// <summary>A plain text.</summary>
    Text,

    /// <summary>A list of texts.</summary>
    List,

    /// <summary>Texts by key.</summary>
    Pairs,
}

/// <summary>One thing that is said of a taxon, beside its name and its scores: its key in files and tables, and how it is read and
/// written.</summary>
/// <param name="Key">The key in a taxon’s file, and the column in a table.</param>
/// <param name="Shape">How the value is written.</param>
/// <param name="Read">Reads it from an entry and gives the taxon with it.</param>
/// <param name="Write">Writes it; null where it is left out.</param>
internal sealed record TaxonField(string Key, FieldShape Shape, Func<EntryReader, Taxon, Taxon> Read, Func<Taxon, EntryValue?> Write)
{
    /// <summary>What the field is, for the description of a table; empty where its key says it.</summary>
    public string Description { get; init; } = "";
}
