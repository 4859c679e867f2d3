namespace VerdantSieve.Core.Formats.Exchange;

/// <summary>Makes ids of labels: small letters, digits and hyphens. Those of one instance are all different.</summary>
internal sealed class Slugs
{
    // How many were asked for by each label, so that the thousandth of the same label need not try all numbers before it.
    private readonly Dictionary<string, int> asked = [];
    private readonly HashSet<string> taken = [];

    /// <summary>The label as an id, or what is given where nothing of it is left.</summary>
    public static string Of(string label, string otherwise)
    {
        var slug = new string([.. label.ToLowerInvariant().Select(letter => char.IsAsciiLetterOrDigit(letter) ? letter : '-')]).Trim('-');
        return slug.Length == 0 ? otherwise : slug;
    }

    /// <summary>The id, or the id with the first number behind it that is not taken; it is taken then.</summary>
    public string Unique(string id)
    {
        var unique = id;
        while (!taken.Add(unique))
        {
            var number = asked[id] = asked.GetValueOrDefault(id, 1) + 1;
            unique = $"{id}-{number}";
        }
        return unique;
    }
}
