namespace VerdantSieve.Core.Formats;

/// <summary>What stands at a key of an entry.</summary>
internal abstract record EntryValue
{
    private EntryValue() { }

    public sealed record Text(string Value) : EntryValue;

    public sealed record List(IReadOnlyList<string> Items) : EntryValue;

    public sealed record Map(Entry Entry) : EntryValue;
}

/// <summary>One mapping of keys to values as it came, from YAML or from a format of others, with where each stood: what all readers
/// read.</summary>
/// <param name="file">The file it stood in.</param>
/// <param name="line">The line, from 1.</param>
internal sealed class Entry(string file, int line)
{
    private readonly List<(string Key, int Line, EntryValue Value)> values = [];
    private readonly Dictionary<string, int> at = [];

    public string File => file;
    public int Line => line;
    public IEnumerable<string> Keys => values.Select(value => value.Key);
    public IReadOnlyList<(string Key, int Line, EntryValue Value)> Values => values;

    public EntryValue? this[string key] => at.TryGetValue(key, out var index) ? values[index].Value : null;

    public int LineOf(string key) => at.TryGetValue(key, out var index) ? values[index].Line : line;

    /// <summary>The text at a key; empty where there is none.</summary>
    public string TextAt(string key) => this[key] is EntryValue.Text text ? text.Value : "";

    /// <summary>Adds a value; a later one of the same key takes the place of the first.</summary>
    public Entry With(string key, EntryValue value, int? line = null)
    {
        var added = (key, line ?? Line, value);
        if (at.TryGetValue(key, out var index))
            values[index] = added;
        else
        {
            at[key] = values.Count;
            values.Add(added);
        }
        return this;
    }

    /// <summary>Adds a text, unless it is empty.</summary>
    public Entry With(string key, string text) => text.Length > 0 ? With(key, new EntryValue.Text(text)) : this;

    /// <summary>Adds a list.</summary>
    public Entry With(string key, IReadOnlyList<string> items) => With(key, new EntryValue.List(items));

    /// <summary>Adds a mapping of plain texts, unless it is empty.</summary>
    public Entry With(string key, IEnumerable<(string Key, string Text)> pairs)
    {
        var map = new Entry(File, Line);
        foreach (var (name, text) in pairs)
            map.With(name, new EntryValue.Text(text));
        return map.values.Count > 0 ? With(key, new EntryValue.Map(map)) : this;
    }
}
