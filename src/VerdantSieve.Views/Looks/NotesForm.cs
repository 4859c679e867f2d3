using VerdantSieve.Core.Looking;

namespace VerdantSieve.Views.Looks;

/// <summary>Notes on a look as typed, with what is wrong with them.</summary>
/// <param name="Notes">The notes.</param>
/// <param name="Was">The mark of the notes that were changed, see <see cref="LookContent.NotesMark"/>; null for those kept now.</param>
/// <param name="Elsewhere">The notes as they were changed elsewhere meanwhile; null where they were not.</param>
public sealed record NotesForm(string Notes, string? Was = null, string? Elsewhere = null)
{
    /// <summary>The most letters of notes.</summary>
    public const int Longest = 4000;

    /// <summary>What is wrong; null where nothing is.</summary>
    public string? Problem
    {
        get
        {
            if (Elsewhere is { } other)
                return $"These notes were changed elsewhere meanwhile, to: “{other}”. "
                    + "Yours stand here; keep them again to have them instead.";
            return Notes.Length > Longest
                ? $"Notes can have {Longest} letters; these have {Notes.Length}. Nothing was kept; shorten them and keep them again."
                : null;
        }
    }
}
