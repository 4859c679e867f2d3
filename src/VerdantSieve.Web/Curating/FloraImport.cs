using VerdantSieve.Core;

namespace VerdantSieve.Web.Curating;

/// <summary>One import: how far it is, and what came of it.</summary>
public sealed class FloraImport
{
    public required string Id { get; init; }
    public required string File { get; init; }
    public ImportStage Stage { get; set; }
    public int Taxa { get; set; }
    public string Flora { get; set; } = "";
    public IReadOnlyList<Fault> Faults { get; set; } = [];
    public CancellationTokenSource Stop { get; } = new();
    public bool IsOver => Stage is not (ImportStage.Reading or ImportStage.Keeping);
}
