namespace VerdantSieve.Core.Practising;

/// <summary>What is learnt: kinds, doubles and characters, as the schedule names them.</summary>
public static class Subjects
{
    private const string Kind = "kind:",
        Double = "double:",
        Character = "character:";

    /// <summary>A kind, by its scientific name.</summary>
    public static string OfKind(string taxon) => Kind + taxon;

    /// <summary>Two kinds that are taken for each other, the same whichever is named first.</summary>
    public static string OfDouble(string one, string other) =>
        string.CompareOrdinal(one, other) <= 0 ? $"{Double}{one}|{other}" : $"{Double}{other}|{one}";

    /// <summary>A character, by its id.</summary>
    public static string OfCharacter(string character) => Character + character;
}
