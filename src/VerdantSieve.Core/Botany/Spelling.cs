namespace VerdantSieve.Core.Botany;

/// <summary>How far two spellings are apart.</summary>
public static class Spelling
{
    /// <summary>The letters to put in, take out, change, or swap with their neighbour, to get from one word to the other.</summary>
    /// <remarks>F. J. Damerau 1964 and V. I. Levenshtein 1966, in the restricted form that changes no place twice.</remarks>
    public static int Distance(string one, string other)
    {
        var (before, last, row) = (new int[other.Length + 1], new int[other.Length + 1], new int[other.Length + 1]);
        for (var j = 0; j <= other.Length; j++)
            last[j] = j;
        for (var i = 1; i <= one.Length; i++)
        {
            row[0] = i;
            for (var j = 1; j <= other.Length; j++)
            {
                row[j] = Math.Min(Math.Min(row[j - 1], last[j]) + 1, last[j - 1] + (one[i - 1] == other[j - 1] ? 0 : 1));
                if (i > 1 && j > 1 && one[i - 1] == other[j - 2] && one[i - 2] == other[j - 1])
                    row[j] = Math.Min(row[j], before[j - 2] + 1);
            }
            var oldest = before;
            (before, last) = (last, row);
            row = oldest;
        }
        return last[other.Length];
    }
}
