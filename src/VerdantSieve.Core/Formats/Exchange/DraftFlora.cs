using System.Text;
using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Formats.Exchange;

/// <summary>One character or taxon as it came in another format: its fields by the keys of the flora's own files, and where it stood.</summary>
/// <param name="File">The file it stood in.</param>
/// <param name="Line">The line, from 1.</param>
/// <param name="Fields">Plain values by key.</param>
public sealed record DraftEntry(string File, int Line, IReadOnlyDictionary<string, string> Fields)
{
    /// <summary>Values that are lists.</summary>
    public IReadOnlyDictionary<string, IReadOnlyList<string>> Lists { get; init; } = new Dictionary<string, IReadOnlyList<string>>();

    /// <summary>Values that are pairs of a key and a text.</summary>
    public IReadOnlyDictionary<string, IReadOnlyList<(string Key, string Text)>> Pairs { get; init; } = new Dictionary<string, IReadOnlyList<(string, string)>>();

    /// <summary>A field; empty where there is none.</summary>
    public string this[string key] => Fields.GetValueOrDefault(key, "");
}

/// <summary>A flora as it came in another format. It is checked by the one reader that checks the flora's own files, and what is wrong is said
/// with the file and line it stood in.</summary>
public sealed class DraftFlora
{
    /// <summary>The fields of flora.yaml.</summary>
    public required DraftEntry About { get; init; }

    /// <summary>The characters in order; each has an id and a part.</summary>
    public required IReadOnlyList<DraftEntry> Characters { get; init; }

    /// <summary>The taxa, their scores under the pairs “scores”.</summary>
    public required IReadOnlyList<DraftEntry> Taxa { get; init; }

    /// <summary>Reads and checks it.</summary>
    public FloraReading Read()
    {
        var lines = new Dictionary<string, (string File, int[] Lines)>();
        var about = Source("flora.yaml", [About], entry => Entry(entry, 0));
        var characters = Source("characters.yaml", [.. Characters.GroupBy(entry => entry["part"]).SelectMany(part => part.Select((entry, i) => (entry, i == 0)))
            .Select(pair => pair.Item2 ? pair.entry : pair.entry with { Fields = pair.entry.Fields.Where(f => f.Key != "part").ToDictionary() })], Character);
        var taxa = Taxa.Select(entry => Source(TaxonWriter.Path(new ScientificName(entry["name"])) is var path && lines.ContainsKey(path) ? $"{path}#{entry.Line}" : path, [entry], e => Entry(e, 0))).ToArray();
        // The path of a file is checked against the name in it, so a name that stands twice keeps its path.
        var reading = FloraReader.Read(about, characters, taxa.Select(file => file with { Path = file.Path.Split('#')[0] }));
        return reading with { Faults = [.. reading.Faults.Select(Placed)] };

        SourceFile Source(string path, IReadOnlyList<DraftEntry> entries, Func<DraftEntry, IEnumerable<string>> write)
        {
            var (text, from) = (new StringBuilder(), new List<int>());
            foreach (var entry in entries)
                foreach (var line in write(entry))
                {
                    text.Append(line).Append('\n');
                    from.Add(entry.Line);
                }
            lines[path] = (entries.Count > 0 ? entries[0].File : path, [.. from]);
            return new SourceFile(path, text.ToString());
        }

        Fault Placed(Fault fault) => lines.TryGetValue(fault.File, out var place)
            ? fault with { File = place.File, Line = place.Lines.Length == 0 ? 1 : place.Lines[Math.Clamp(fault.Line - 1, 0, place.Lines.Length - 1)] } : fault;
    }

    private static IEnumerable<string> Character(DraftEntry entry)
    {
        if (entry["part"].Length > 0) yield return $"{TaxonWriter.Scalar(entry["part"])}:";
        yield return $"  {TaxonWriter.Scalar(entry["id"])}:";
        foreach (var line in Entry(entry with { Fields = entry.Fields.Where(field => field.Key is not ("part" or "id")).ToDictionary() }, 4)) yield return line;
    }

    private static IEnumerable<string> Entry(DraftEntry entry, int indent)
    {
        var margin = new string(' ', indent);
        foreach (var (key, value) in entry.Fields)
            if (value.Length > 0) yield return $"{margin}{key}: {TaxonWriter.Scalar(value)}";
        foreach (var (key, values) in entry.Lists) yield return $"{margin}{key}: [{string.Join(", ", values.Select(TaxonWriter.Item))}]";
        // A key of two words, such as “places thames”, stands a level deeper.
        foreach (var group in entry.Pairs.Where(pair => pair.Value.Count > 0).GroupBy(pair => pair.Key.Split(' ')[0]))
        {
            yield return $"{margin}{group.Key}:";
            foreach (var (key, pairs) in group)
            {
                if (key.Contains(' ')) yield return $"{margin}  {TaxonWriter.Scalar(key.Split(' ', 2)[1])}:";
                foreach (var (name, text) in pairs) yield return $"{margin}{(key.Contains(' ') ? "    " : "  ")}{TaxonWriter.Scalar(name)}: {TaxonWriter.Scalar(text)}";
            }
        }
    }
}
