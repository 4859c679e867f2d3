using VerdantSieve.Core;

namespace VerdantSieve.Web.Curating;

/// <summary>One import as it is shown: how far it is, and what came of it.</summary>
/// <param name="Id">What addresses call it.</param>
/// <param name="File">What the file was called where it came from.</param>
/// <param name="Stage">How far it is.</param>
/// <param name="Taxa">How many kinds were read so far.</param>
/// <param name="Flora">The id of the flora it became; empty while that is not known.</param>
/// <param name="Faults">What stood in its way, a sentence each.</param>
public sealed record FloraImport(string Id, string File, ImportStage Stage, int Taxa, string Flora, IReadOnlyList<string> Faults)
{
    /// <summary>The most faults that are kept of one import.</summary>
    public const int MostFaults = 1000;

    /// <summary>Whether nothing more comes of it.</summary>
    public bool IsOver => Stage is not (ImportStage.Reading or ImportStage.Keeping);

    /// <summary>A fault as a sentence with its place.</summary>
    public static string Said(Fault fault) => fault.Line is { } line ? $"{fault.At}, line {line}: {fault.Sentence}" : fault.Sentence;
}
