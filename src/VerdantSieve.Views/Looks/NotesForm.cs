namespace VerdantSieve.Views.Looks;

/// <summary>Notes on a look as typed, with what is wrong with them.</summary>
/// <param name="Notes">The notes.</param>
public sealed record NotesForm(string Notes)
{
    /// <summary>The most letters of notes.</summary>
    public const int Longest = 4000;

    /// <summary>What is wrong; null where nothing is.</summary>
    public string? Problem =>
        Notes.Length > Longest
            ? $"Notes can have {Longest} letters; these have {Notes.Length}. Nothing was kept; shorten them and keep them again."
            : null;
}
