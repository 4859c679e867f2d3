using System.IO.Compression;
using System.Text;
using FsCheck;
using FsCheck.Xunit;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Formats;
using VerdantSieve.Core.Formats.Exchange;
using Xunit;

namespace VerdantSieve.Core.Tests.Formats;

/// <summary>Files made to take the process down, all memory, or a core for long: each is given up with a sentence, soon.</summary>
public class HostileFileTests
{
    private const string TaxonFile = "taxa/Acer/glabrum.yaml";

    /// <summary>What a file holds, and what is said of it.</summary>
    public static TheoryData<string, string, string> Files { get; } =
        new()
        {
            { "brackets.yaml", new string('[', 100_000), "brackets stand more than 12 deep" },
            { "brackets-at-a-key.yaml", "scores: " + new string('[', 100_000), "brackets stand more than 12 deep" },
            { "braces.yaml", "name: " + Repeated("{a: ", 5_000), "brackets stand more than 12 deep" },
            { "indents.yaml", Indented(1_000), "brackets stand more than 12 deep" },
            { "aliases.yaml", "a: &a [x, x]\nb: [*a, *a, *a]\n", "an alias (“*”) is not taken in" },
            { "long.yaml", new string('x', 1_000_001), "has 1000001 letters, and at most 1000000 are taken in" },
            { "elements.xml", Repeated("<a>", 100_000), "elements stand more than 32 deep" },
            { "entities.xml", "<!DOCTYPE d [<!ENTITY a 'aaaa'>]><d>&a;</d>", "a document type is not taken in" },
            { "states.xml", Described(states: 600), "600 states of “c1”, and at most 500 are taken in" },
            { "characters.xml", Described(characters: 2_001), "2001 characters, and at most 2000 are taken in" },
            { "taxa.xml", Described(taxa: 10_001), "10001 taxa, and at most 10000 are taken in" },
            { "comment.nex", "#NEXUS " + new string('[', 500_000), "a comment is never closed" },
            { "words.nex", "#NEXUS " + Repeated("a ", 2_000_001), "words, and at most 2000000 are taken in" },
            {
                "cells.nex",
                "#NEXUS begin data; format symbols=\"01\"; matrix\nAcer_a " + new string('0', 600_000) + "\n;",
                "cells, and at most"
            },
            { "same-labels.nex", Labelled(1_000), "" },
        };

    [Theory]
    [MemberData(nameof(Files))]
    public void It_is_given_up_with_a_sentence(string file, string text, string sentence)
    {
        var faults =
            Path.GetExtension(file) == ".yaml"
                ? FloraReader.ReadTaxon(new SourceFile(TaxonFile, text), SmallFlora.Flora).Faults
                : FloraFormats
                    .OfFile(file)!
                    .Read(new MemoryStream(Encoding.UTF8.GetBytes(text)), new FloraFileRequest(file, "hostile"))
                    .Faults;
        if (sentence.Length == 0)
            Assert.Empty(faults);
        else
            Assert.Contains(faults, fault => fault.Sentence.Contains(sentence));
    }

    [Fact]
    public void A_package_is_held_to_its_checksums_and_to_what_it_may_unpack_to()
    {
        var sound = Packed(SmallFlora.Flora);
        Assert.Empty(Read(sound).Faults);
        // One letter of a table another than was packed, with all lengths as they were.
        var stored = Repacked(sound, CompressionLevel.NoCompression, text => text);
        var at = Encoding.UTF8.GetString(stored).IndexOf("Acer", StringComparison.Ordinal);
        stored[Encoding.UTF8.GetByteCount(Encoding.UTF8.GetString(stored)[..at])] ^= 1;
        Assert.Contains("not a zip file, or is cut short", Assert.Single(Read(stored).Faults).Sentence);
        // A little file that becomes a large one.
        var large = Repacked(sound, CompressionLevel.SmallestSize, text => IsOfTaxa(text) ? text + new string('\n', 34_000_000) : text);
        Assert.True(large.Length < 1_000_000);
        Assert.Contains("unpacks to more than 32 MB", Assert.Single(Read(large).Faults).Sentence);

        static bool IsOfTaxa(string table) => table.Contains(",family,", StringComparison.Ordinal);
    }

    [Fact]
    public void What_takes_too_long_is_stopped_in_every_format()
    {
        using var stopped = new CancellationTokenSource();
        stopped.Cancel();
        foreach (var format in FloraFormats.All)
        {
            var file = new MemoryStream();
            format.Write(SmallFlora.Flora, file);
            file.Position = 0;
            Assert.Throws<OperationCanceledException>(() => format.Read(file, new FloraFileRequest("x", "x"), stopped.Token));
        }
    }

    [Fact]
    public void The_template_comes_back_in_and_passes_the_gate()
    {
        var template = FloraFormats.Template(SmallFlora.Flora);
        var back = Read(Packed(template));
        Assert.Empty(back.Faults);
        Assert.Empty(Core.Curating.FloraGate.Pass(back.Value).Faults);
        Assert.NotEqual(SmallFlora.Flora.About.Id, back.Value.About.Id);
    }

    [Theory]
    [InlineData(" : }", "its brackets or quotation marks do not match")]
    [InlineData("a: [b", "did not find expected")]
    [InlineData("a: 'b", "found unexpected end")]
    public void Marks_that_do_not_match_are_told_as_such(string text, string said) =>
        Assert.Contains(said, Assert.Single(FloraReader.ReadTaxon(new SourceFile(TaxonFile, text), SmallFlora.Flora).Faults).Message);

    [Property(MaxTest = Cases.Many)]
    public bool Any_text_of_marks_is_read_or_refused(byte[] bytes)
    {
        const string marks = "[]{}:,-&*!|>'\"%@`#? \n\tab";
        var text = string.Concat(bytes.Select(at => marks[at % marks.Length]));
        return FloraReader.ReadTaxon(new SourceFile(TaxonFile, text), SmallFlora.Flora).Faults.Count > 0;
    }

    private static Outcome<Flora> Read(byte[] package) => new DataPackage().Read(new MemoryStream(package), new FloraFileRequest("x.zip"));

    private static byte[] Packed(Flora flora)
    {
        var stream = new MemoryStream();
        new DataPackage().Write(flora, stream);
        return stream.ToArray();
    }

    private static byte[] Repacked(byte[] package, CompressionLevel level, Func<string, string> change)
    {
        var stream = new MemoryStream();
        using (var from = new ZipArchive(new MemoryStream(package)))
        using (var to = new ZipArchive(stream, ZipArchiveMode.Create))
            foreach (var entry in from.Entries)
            {
                using var reader = new StreamReader(entry.Open());
                using var writer = new StreamWriter(to.CreateEntry(entry.FullName, level).Open());
                var text = reader.ReadToEnd();
                writer.Write(entry.Name == "taxa.csv" ? change(text) : text);
            }
        return stream.ToArray();
    }

    private static string Repeated(string text, int times) => new StringBuilder().Insert(0, text, times).ToString();

    private static string Indented(int deep)
    {
        var text = new StringBuilder();
        for (var i = 0; i < deep; i++)
            text.Append(' ', i).Append("a:\n");
        return text.ToString();
    }

    private static string Described(int characters = 1, int states = 2, int taxa = 1)
    {
        var text = new StringBuilder("<Datasets xmlns='http://rs.tdwg.org/UBIF/2006/'><Dataset><Characters>");
        for (var c = 1; c <= characters; c++)
        {
            text.Append($"<CategoricalCharacter id='c{c}'><States>");
            for (var s = 0; s < states; s++)
                text.Append($"<StateDefinition id='c{c}.s{s}'><Representation><Label>same</Label></Representation></StateDefinition>");
            text.Append("</States></CategoricalCharacter>");
        }
        text.Append("</Characters><TaxonNames>");
        for (var t = 1; t <= taxa; t++)
            text.Append($"<TaxonName id='t{t}'><Representation><Label>Acer a{t}</Label></Representation></TaxonName>");
        text.Append("</TaxonNames><CodedDescriptions>");
        for (var t = 1; t <= taxa; t++)
            text.Append($"<CodedDescription><Scope><TaxonName ref='t{t}'/></Scope></CodedDescription>");
        return text.Append("</CodedDescriptions></Dataset></Datasets>").ToString();
    }

    // A thousand characters of one label, each of which needs a number behind it.
    private static string Labelled(int characters)
    {
        var text = new StringBuilder("#NEXUS\nbegin characters;\nformat symbols=\"01\";\ncharstatelabels\n");
        for (var c = 1; c <= characters; c++)
            text.Append(c == 1 ? "" : ",").Append($"{c} same / no yes\n");
        return text.Append($";\nmatrix\nAcer_glabrum {new string('0', characters)}\n;\nend;\n").ToString();
    }
}
