namespace VerdantSieve.Core.Formats.Exchange;

/// <summary>How much a file that is brought in may hold: more than any flora of a country needs, and little enough that no file, however it
/// was made, takes all memory or a core for long.</summary>
public static class FileBounds
{
    /// <summary>The most bytes of a file as it is sent: 16 MB.</summary>
    public const long MostBytes = 16L * 1024 * 1024;

    /// <summary>The most bytes of it unpacked, and the most letters of a text: 32 MB.</summary>
    public const int MostUnpacked = 32 * 1024 * 1024;

    /// <summary>The most characters.</summary>
    public const int MostCharacters = 2_000;

    /// <summary>The most states of one character.</summary>
    public const int MostStates = 500;

    /// <summary>The most taxa.</summary>
    public const int MostTaxa = 10_000;

    /// <summary>The most scores of all taxa together, and the most cells of a table that hold something.</summary>
    public const int MostCells = 500_000;

    /// <summary>The most words, elements or the like that a text falls into.</summary>
    public const int MostWords = 2_000_000;

    /// <summary>How deep brackets, elements or mappings may stand within each other.</summary>
    public const int Deepest = 32;

    /// <summary>How long a file may take to be read.</summary>
    public static readonly TimeSpan Patience = TimeSpan.FromSeconds(20);

    /// <summary>What is too much in a flora's entries; null where nothing is.</summary>
    internal static Fault? Exceeded(FloraEntries entries)
    {
        var file = entries.About.File;
        if (entries.Characters.Count > MostCharacters)
            return TooMany(file, entries.Characters.Count, "characters", MostCharacters);
        if (entries.Taxa.Count > MostTaxa)
            return TooMany(file, entries.Taxa.Count, "taxa", MostTaxa);
        foreach (var character in entries.Characters)
            if (character.Entry["states"] is EntryValue.Map { Entry.Values.Count: > MostStates and var states })
                return TooMany(file, states, $"states of “{character.Id}”", MostStates);
        var scores = entries.Taxa.Sum(taxon => taxon["scores"] is EntryValue.Map map ? map.Entry.Values.Count : 0);
        return scores > MostCells ? TooMany(file, scores, "scores", MostCells) : null;
    }

    internal static Fault TooMany(string file, int count, string what, int most, int line = 1) =>
        Fault.InFile(file, line, $"it has {count} {what}, and at most {most} are taken in");
}
