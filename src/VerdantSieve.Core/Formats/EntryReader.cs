using System.Globalization;

namespace VerdantSieve.Core.Formats;

/// <summary>Reads an entry: notes every fault with its line, and every key that nobody asked for.</summary>
internal sealed class EntryReader(Entry entry, List<Fault> faults)
{
    private readonly HashSet<string> asked = [];

    public IEnumerable<string> Keys => entry.Keys;

    public bool IsEmpty => !entry.Keys.Any();

    public void Fault(string key, string message) => faults.Add(Core.Fault.InFile(entry.File, entry.LineOf(key), message));

    public string? Text(string key)
    {
        var found = Find(key);
        if (found is not (null or EntryValue.Text))
            Fault(key, $"“{key}” must be a plain value");
        return (found as EntryValue.Text)?.Value;
    }

    public string Required(string key)
    {
        if (Text(key) is { Length: > 0 } text)
            return text;
        Fault(key, entry[key] is null ? $"“{key}” is missing" : $"“{key}” must not be empty");
        return "";
    }

    public bool Flag(string key) =>
        Text(key) switch
        {
            null or "false" => false,
            "true" => true,
            var other => Complain(key, $"“{key}” must be true or false, not “{other}”", false),
        };

    public double Number(string key, double otherwise)
    {
        if (Text(key) is not { } text)
            return otherwise;
        return double.TryParse(text, NumberStyles.Float, CultureInfo.InvariantCulture, out var value)
            ? value
            : Complain(key, $"“{key}” must be a number, not “{text}”", otherwise);
    }

    public T Choice<T>(string key, T otherwise)
        where T : struct, Enum => Text(key) is { } text ? Choice(key, text, otherwise) : otherwise;

    public T Choice<T>(string key, string text, T otherwise)
        where T : struct, Enum =>
        EnumWords.TryRead<T>(text, out var value)
            ? value
            : Complain(key, $"“{key}” must be one of {string.Join(", ", EnumWords.All<T>())}, not “{text}”", otherwise);

    public IReadOnlyList<string> List(string key) =>
        Find(key) switch
        {
            null => [],
            EntryValue.List list => list.Items,
            EntryValue.Text { Value.Length: > 0 } one => [one.Value],
            EntryValue.Text { Value.Length: 0 } => [],
            _ => Complain<IReadOnlyList<string>>(key, $"“{key}” must be a list", []),
        };

    /// <summary>A list that must not be empty.</summary>
    public IReadOnlyList<string> RequiredList(string key)
    {
        var list = List(key);
        if (list.Count == 0)
            Fault(key, $"“{key}” is missing: give a list of at least one");
        return list;
    }

    public EntryReader? Map(string key) =>
        Find(key) switch
        {
            null or EntryValue.Text { Value: "" } => null,
            EntryValue.Map map => new EntryReader(map.Entry, faults),
            _ => Complain<EntryReader?>(key, $"“{key}” must be a mapping of keys to values", null),
        };

    /// <summary>A mapping of plain values; a list of names is a mapping to nothing.</summary>
    public IReadOnlyList<(string Key, string Value)> Pairs(string key)
    {
        if (entry[key] is EntryValue.List)
            return [.. List(key).Select(name => (name, ""))];
        if (Map(key) is not { } map)
            return [];
        return [.. map.Keys.Select(name => (name, map.Text(name) ?? ""))];
    }

    /// <summary>Says that a key is known, though nothing is read of it here.</summary>
    public void Known(string key) => asked.Add(key);

    /// <summary>Faults every key that was never asked for: most are slips of the pen.</summary>
    public void FaultUnasked()
    {
        foreach (var key in entry.Keys.Where(key => !asked.Contains(key)))
            Fault(key, $"unknown key “{key}”; known here: {string.Join(", ", asked.Order())}");
    }

    private EntryValue? Find(string key)
    {
        asked.Add(key);
        return entry[key];
    }

    private T Complain<T>(string key, string message, T answer)
    {
        Fault(key, message);
        return answer;
    }
}
