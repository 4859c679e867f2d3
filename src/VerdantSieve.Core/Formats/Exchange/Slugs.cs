namespace VerdantSieve.Core.Formats.Exchange;

/// <summary>Makes ids of labels: small letters, digits and hyphens.</summary>
internal static class Slugs
{
    /// <summary>The label as an id, or what is given where nothing of it is left.</summary>
    public static string Of(string label, string otherwise)
    {
        var slug = new string([.. label.ToLowerInvariant().Select(letter => char.IsAsciiLetterOrDigit(letter) ? letter : '-')]).Trim('-');
        return slug.Length == 0 ? otherwise : slug;
    }

    /// <summary>The id, or the id with the first number behind it that is not taken; it is taken then.</summary>
    public static string Unique(string id, HashSet<string> taken)
    {
        var (unique, n) = (id, 2);
        while (!taken.Add(unique))
            unique = $"{id}-{n++}";
        return unique;
    }
}
