using YamlDotNet.Core;
using YamlDotNet.Core.Events;
using YamlDotNet.RepresentationModel;

namespace VerdantSieve.Core.Formats;

/// <summary>Reads and writes entries as YAML.</summary>
internal static class YamlEntries
{
    // Depth counts the stream, the document and the file's own mapping.
    private const int Deepest = 12;

    /// <summary>The most letters of a file.</summary>
    public const int Longest = 1_000_000;

    /// <summary>The mapping that a file holds.</summary>
    public static Outcome<Entry> Read(SourceFile source)
    {
        if (source.Text.Length > Longest)
            return Fault.InFile(source.Path, 1, $"the file has {source.Text.Length} letters, and at most {Longest} are taken in");
        try
        {
            var stream = new YamlStream();
            stream.Load(new ShallowParser(new Parser(new StringReader(source.Text)), Deepest));
            return stream.Documents is [{ RootNode: YamlMappingNode node }]
                ? EntryOf(node, source.Path)
                : Fault.InFile(source.Path, 1, "the file must hold one mapping of keys to values");
        }
        catch (YamlException exception)
        {
            return Fault.InFile(source.Path, (int)exception.Start.Line, exception.InnerException?.Message ?? exception.Message);
        }
        // The scanner gives up so where a mark stays open to the end, the reader where one is closed that was never open.
        catch (Exception marks) when (marks is InvalidOperationException or ArgumentException)
        {
            return Fault.InFile(source.Path, 1, "the file can’t be read as YAML: its brackets or quotation marks do not match");
        }
    }

    private static Entry EntryOf(YamlMappingNode node, string file)
    {
        var entry = new Entry(file, LineOf(node));
        foreach (var (key, value) in node.Children)
            if (key is YamlScalarNode { Value: { } name })
                entry.With(name, ValueOf(value, file), LineOf(key));
        return entry;
    }

    private static EntryValue ValueOf(YamlNode node, string file) =>
        node switch
        {
            YamlMappingNode map => new EntryValue.Map(EntryOf(map, file)),
            YamlSequenceNode list => new EntryValue.List([
                .. list.Select(item => item is YamlScalarNode scalar ? scalar.Value ?? "" : item.ToString()),
            ]),
            _ => new EntryValue.Text((node as YamlScalarNode)?.Value ?? ""),
        };

    private static int LineOf(YamlNode node) => (int)node.Start.Line;

    /// <summary>An entry as YAML: mappings in blocks, lists in brackets, each text on one line.</summary>
    public static string Write(Entry entry)
    {
        var text = new StringWriter();
        var emitter = new Emitter(
            text,
            new EmitterSettings(bestIndent: 2, bestWidth: int.MaxValue, isCanonical: false, maxSimpleKeyLength: 1024, newLine: "\n")
        );
        emitter.Emit(new StreamStart());
        emitter.Emit(new DocumentStart(null, null, isImplicit: true));
        Emit(entry, emitter);
        emitter.Emit(new DocumentEnd(isImplicit: true));
        emitter.Emit(new StreamEnd());
        return text.ToString();
    }

    private static void Emit(Entry entry, Emitter emitter)
    {
        emitter.Emit(new MappingStart(null, null, true, MappingStyle.Block));
        foreach (var (key, _, value) in entry.Values)
        {
            emitter.Emit(Scalar(key));
            switch (value)
            {
                case EntryValue.Text text:
                    emitter.Emit(Scalar(text.Value));
                    break;
                case EntryValue.List list:
                    emitter.Emit(new SequenceStart(null, null, true, SequenceStyle.Flow));
                    foreach (var item in list.Items)
                        emitter.Emit(Scalar(item));
                    emitter.Emit(new SequenceEnd());
                    break;
                case EntryValue.Map map:
                    Emit(map.Entry, emitter);
                    break;
            }
        }
        emitter.Emit(new MappingEnd());
    }

    // Quoted where the emitter finds that it must be; what has lines of its own is quoted on one line.
    private static Scalar Scalar(string value) =>
        new(
            null,
            null,
            value,
            value.Any(char.IsControl) ? ScalarStyle.DoubleQuoted : ScalarStyle.Any,
            isPlainImplicit: true,
            isQuotedImplicit: true
        );
}
