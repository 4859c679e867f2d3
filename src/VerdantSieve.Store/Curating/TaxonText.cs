using VerdantSieve.Core;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Formats;

namespace VerdantSieve.Store.Curating;

/// <summary>Taxa as the history has them: in the text of their files.</summary>
internal static class TaxonText
{
    /// <summary>Reads one.</summary>
    public static Outcome<Taxon> Read(string text, ScientificName name, Flora flora) =>
        FloraReader.ReadTaxon(new SourceFile(TaxonWriter.Path(name), text), flora);

    /// <summary>Whether a text says what the taxon says, however it is set.</summary>
    public static bool Is(string text, Taxon taxon, Flora flora) =>
        text == TaxonWriter.Write(taxon, flora.Vocabulary)
        || Read(text, taxon.Name, flora).Has(out var read) && !TaxonWriter.Differences(read, taxon, flora.Vocabulary).Any();
}
