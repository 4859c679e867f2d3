using YamlDotNet.RepresentationModel;

namespace VerdantSieve.Core.Formats;

/// <summary>A file of a flora: its path, for messages, and its text.</summary>
public sealed record SourceFile(string Path, string Text);

/// <summary>Something wrong in a flora's files.</summary>
public sealed record Fault(string File, int Line, string Message)
{
    /// <inheritdoc/>
    public override string ToString() => $"{File}:{Line}: {Message}";
}

/// <summary>A YAML mapping that notes every fault with its line, and every key that nobody asked for.</summary>
internal sealed class YamlMap
{
    private readonly Dictionary<string, (YamlNode Key, YamlNode Value)> entries = [];
    private readonly HashSet<string> asked = [];
    private readonly string file;
    private readonly List<Fault> faults;
    private readonly int line;

    private YamlMap(YamlMappingNode node, string file, List<Fault> faults)
    {
        (this.file, this.faults, line) = (file, faults, LineOf(node));
        foreach (var (key, value) in node.Children)
            if (key is YamlScalarNode { Value: { } name }) entries[name] = (key, value);
    }

    public static YamlMap? Read(SourceFile source, List<Fault> faults)
    {
        try
        {
            var stream = new YamlStream();
            stream.Load(new StringReader(source.Text));
            if (stream.Documents.Count == 1 && stream.Documents[0].RootNode is YamlMappingNode node) return new YamlMap(node, source.Path, faults);
            faults.Add(new Fault(source.Path, 1, "the file must hold one mapping of keys to values"));
        }
        catch (YamlDotNet.Core.YamlException exception)
        {
            faults.Add(new Fault(source.Path, (int)exception.Start.Line, exception.InnerException?.Message ?? exception.Message));
        }
        // The scanner gives up so where a bracket or quotation mark stays open to the end.
        catch (InvalidOperationException)
        {
            faults.Add(new Fault(source.Path, 1, "the file can’t be read as YAML: a bracket or quotation mark is never closed"));
        }
        return null;
    }

    public IEnumerable<string> Keys => entries.Keys;

    public int Line(string key) => entries.TryGetValue(key, out var entry) ? LineOf(entry.Key) : line;

    public void Fault(string key, string message) => faults.Add(new Fault(file, Line(key), message));

    public string? Text(string key)
    {
        if (Find(key) is not { } node) return null;
        if (node is YamlScalarNode { Value: { } value }) return value;
        Fault(key, $"“{key}” must be a plain value");
        return null;
    }

    public string Required(string key)
    {
        if (Text(key) is { Length: > 0 } text) return text;
        if (!entries.ContainsKey(key)) Fault(key, $"“{key}” is missing");
        else Fault(key, $"“{key}” must not be empty");
        return "";
    }

    public bool Flag(string key) => Text(key) switch
    {
        null or "false" => false,
        "true" => true,
        var other => Complain(key, $"“{key}” must be true or false, not “{other}”", false)
    };

    public double Number(string key, double otherwise) => Text(key) switch
    {
        null => otherwise,
        var text when double.TryParse(text, System.Globalization.NumberStyles.Float, System.Globalization.CultureInfo.InvariantCulture, out var value) => value,
        var text => Complain(key, $"“{key}” must be a number, not “{text}”", otherwise)
    };

    public TEnum Choice<TEnum>(string key, TEnum otherwise) where TEnum : struct, Enum =>
        Text(key) is { } text ? Choice(key, text, otherwise) : otherwise;

    public TEnum Choice<TEnum>(string key, string text, TEnum otherwise) where TEnum : struct, Enum
    {
        foreach (var value in Enum.GetValues<TEnum>())
            if (Hyphened(value.ToString()) == text) return value;
        return Complain(key, $"“{key}” must be one of {string.Join(", ", Enum.GetNames<TEnum>().Select(Hyphened))}, not “{text}”", otherwise);
    }

    public IReadOnlyList<string> List(string key)
    {
        switch (Find(key))
        {
            case null: return [];
            case YamlSequenceNode sequence: return [.. sequence.OfType<YamlScalarNode>().Select(node => node.Value ?? "")];
            case YamlScalarNode { Value: { Length: > 0 } one }: return [one];
            case YamlScalarNode: return [];
            default: return Complain<IReadOnlyList<string>>(key, $"“{key}” must be a list", []);
        }
    }

    public YamlMap? Map(string key)
    {
        switch (Find(key))
        {
            case null or YamlScalarNode { Value: "" or null }: return null;
            case YamlMappingNode node: return new YamlMap(node, file, faults);
            default: return Complain<YamlMap?>(key, $"“{key}” must be a mapping of keys to values", null);
        }
    }

    /// <summary>A mapping of plain values; a list of names is a mapping to nothing.</summary>
    public IReadOnlyList<(string Key, string Value)> Pairs(string key)
    {
        if (Find(key) is YamlSequenceNode) return [.. List(key).Select(name => (name, ""))];
        if (Map(key) is not { } map) return [];
        return [.. map.Keys.Select(name => (name, map.Text(name) ?? ""))];
    }

    /// <summary>Faults every key that was never asked for: most are slips of the pen.</summary>
    public void FaultUnasked()
    {
        foreach (var key in entries.Keys.Where(key => !asked.Contains(key)))
            Fault(key, $"unknown key “{key}”; known here: {string.Join(", ", asked.Order())}");
    }

    private YamlNode? Find(string key)
    {
        asked.Add(key);
        return entries.TryGetValue(key, out var entry) ? entry.Value : null;
    }

    private T Complain<T>(string key, string message, T answer)
    {
        Fault(key, message);
        return answer;
    }

    internal static string Hyphened(string name) =>
        string.Concat(name.Select((letter, i) => char.IsUpper(letter) && i > 0 ? $"-{char.ToLowerInvariant(letter)}" : $"{char.ToLowerInvariant(letter)}"));

    private static int LineOf(YamlNode node) => (int)node.Start.Line;
}
