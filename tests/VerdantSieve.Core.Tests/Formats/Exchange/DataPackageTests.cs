using System.Diagnostics;
using System.IO.Compression;
using System.Text;
using System.Text.Json;
using System.Text.RegularExpressions;
using FsCheck;
using FsCheck.Xunit;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Formats;
using VerdantSieve.Core.Formats.Exchange;
using VerdantSieve.Core.Seasons;
using Xunit;

namespace VerdantSieve.Core.Tests.Formats.Exchange;

public partial class DataPackageTests
{
    private static readonly byte[] Shipped = Package(SmallFlora.Flora);

    [Fact]
    public void The_shipped_flora_comes_back_as_it_was()
    {
        var reading = Read(new MemoryStream(Shipped));
        var (before, after) = (SmallFlora.Flora, reading.Value);
        Assert.Equal(JsonSerializer.Serialize(before.About), JsonSerializer.Serialize(after.About));
        Assert.Equal(before.Characters.Select(Said), after.Characters.Select(Said));
        foreach (var (one, other) in before.Taxa.Zip(after.Taxa))
            Assert.Equal(TaxonWriter.Write(one, before.Vocabulary), TaxonWriter.Write(other, after.Vocabulary));

        // Confusions stand by the state they are made of; their order says nothing.
        static string Said(Character character) =>
            character is StateCharacter states
                ? JsonSerializer.Serialize(states with { Confusions = [.. states.Confusions.OrderBy(c => states.IndexOf(c.State))] })
                : JsonSerializer.Serialize(character, character.GetType());
    }

    [Fact]
    public void What_a_character_was_called_and_whether_it_comes_with_the_autumn_come_back()
    {
        var characters = SmallFlora.Flora.Characters.Select(character =>
            character switch
            {
                SeasonCharacter season when season.Id == CharacterIds.Fruiting => season with { InAutumn = true },
                PresenceCharacter sign when sign.Id == "base-sprouts" => sign with
                {
                    Formerly = [new FormerWord("suckers", null), new FormerWord("bud-form", "suckering")],
                },
                _ => character,
            }
        );
        var back = Read(new MemoryStream(Package(new Flora(SmallFlora.Flora.About, characters, SmallFlora.Flora.Taxa)))).Value;
        Assert.True(((SeasonCharacter)back.Character(CharacterIds.Fruiting)).InAutumn);
        Assert.False(((SeasonCharacter)back.Character(CharacterIds.Flowering)).InAutumn);
        Assert.Equal("base-sprouts", back.FindCharacter("suckers")?.Id);
        Assert.Equal("base-sprouts", back.Vocabulary.MovedTo("bud-form", "suckering")?.Id);
    }

    [Theory]
    [InlineData("", null)]
    [InlineData(",", null)]
    [InlineData(",x", "cells, and the table")]
    public void Cells_beyond_the_columns_may_be_empty_and_no_more(string beyond, string? refused)
    {
        var read = Read(With("states.csv", text => text.TrimEnd() + beyond + "\r\n"));
        Assert.Equal(refused is null, read.Faults.Count == 0);
        if (refused is not null)
            Assert.Contains(refused, read.Faults[0].Sentence);
    }

    [Fact]
    public void The_countries_a_flora_keys_come_back_and_what_is_shared_is_said_to_become_each_taxon_s_own()
    {
        var about = SmallFlora.Flora.About with { Keyed = ["ORE", "GRB"], Shared = [] };
        var flora = new Flora(about, SmallFlora.Flora.Vocabulary, SmallFlora.Flora.Taxa);
        Assert.Equal(["ORE", "GRB"], Read(new MemoryStream(Package(flora))).Value.About.Keyed);
        Assert.Empty(new DataPackage().Lost(flora));
        var shared = new SharedScores("Quercus", null, new Dictionary<string, Score>());
        var sharing = new Flora(about with { Shared = [shared] }, SmallFlora.Flora.Vocabulary, SmallFlora.Flora.Taxa);
        Assert.Contains("as its own", Assert.Single(new DataPackage().Lost(sharing)));
    }

    // Frictionless Data, Data Package and Table Schema version 1, as remembered: the descriptor names its resources, each with a relative
    // path, an encoding
    // and a schema whose fields are the columns of the table, in order; names are lower case; keys name fields that there are.
    [Fact]
    public void The_descriptor_keeps_to_the_rules_of_tabular_data_packages()
    {
        using var zip = new ZipArchive(new MemoryStream(Shipped));
        using var descriptor = JsonDocument.Parse(Text(zip, "datapackage.json"));
        Assert.Equal("tabular-data-package", descriptor.RootElement.GetProperty("profile").GetString());
        Assert.Matches(NamePattern(), descriptor.RootElement.GetProperty("name").GetString());
        var names = new List<string>();
        foreach (var resource in descriptor.RootElement.GetProperty("resources").EnumerateArray())
        {
            Assert.Equal("tabular-data-resource", resource.GetProperty("profile").GetString());
            Assert.Matches(NamePattern(), resource.GetProperty("name").GetString());
            names.Add(resource.GetProperty("name").GetString()!);
            Assert.Equal("utf-8", resource.GetProperty("encoding").GetString());
            var path = resource.GetProperty("path").GetString()!;
            Assert.False(Path.IsPathRooted(path) || path.Contains(".."));
            var schema = resource.GetProperty("schema");
            string[] fields = [.. schema.GetProperty("fields").EnumerateArray().Select(field => field.GetProperty("name").GetString()!)];
            Assert.All(
                schema.GetProperty("fields").EnumerateArray(),
                field => Assert.Contains(field.GetProperty("type").GetString(), new[] { "string", "number" })
            );
            Assert.Equal(fields.Length, fields.Distinct().Count());
            Assert.Equal(string.Join(',', fields), Text(zip, path).Split("\r\n")[0]);
            Assert.All(schema.GetProperty("primaryKey").EnumerateArray(), key => Assert.Contains(key.GetString(), fields));
            Assert.Equal("", schema.GetProperty("missingValues")[0].GetString());
            foreach (var foreign in schema.GetProperty("foreignKeys").EnumerateArray())
            {
                Assert.Contains(foreign.GetProperty("fields").GetString(), fields);
                Assert.Contains(foreign.GetProperty("reference").GetProperty("resource").GetString(), names);
            }
        }
        Assert.Equal(["about", "characters", "states", "taxa"], names);
    }

    [Fact]
    public void The_template_is_a_small_flora_that_reads()
    {
        using var stream = new MemoryStream();
        new DataPackage().Write(FloraFormats.Template(SmallFlora.Flora), stream);
        var reading = Read(stream);
        // Doubles and parents that are not in it are a matter for whoever fills it in.
        Assert.True(reading.Has(out var small) ? small.Taxa.Count == 2 : reading.Faults.All(fault => fault.Message.Contains("near-alike")));
    }

    [Fact]
    public void Every_bad_row_is_told_with_its_table_and_line()
    {
        var reading = Read(
            With(
                "taxa.csv",
                text => text.Replace("Acer circinatum,,Pursh", "Acer circinatum,,").Replace("Quercus alba,,", "Quercus alba,giant,")
            )
        );
        Assert.NotEmpty(reading.Faults);
        Assert.Contains(reading.Faults, fault => fault.At == "taxa.csv" && fault.Message.Contains("“authority”"));
        Assert.Contains(reading.Faults, fault => fault.At == "taxa.csv" && fault.Message.Contains("“rank” must be one of"));
        Assert.True(reading.Faults.Select(fault => fault.Line).Distinct().Count() >= 2);
        var scored = Read(With("states.csv", text => text.Replace("margin,crenate,", "margin,krenate,")));
        Assert.Contains(scored.Faults, fault => fault.At == "taxa.csv" && fault.Message.Contains("margin has no state “crenate”"));
    }

    [Theory]
    [InlineData("=HYPERLINK(\"http://x\")")]
    [InlineData("+1")]
    [InlineData("-2+3")]
    [InlineData("@SUM(A1)")]
    [InlineData("'=quoted")]
    public void What_a_spreadsheet_would_take_for_a_formula_is_written_as_text_and_comes_back(string words)
    {
        var flora = new Flora(
            SmallFlora.Flora.About with
            {
                NearAlike = new Dictionary<string, string>(),
            },
            SmallFlora.Flora.Characters,
            [SmallFlora.Flora.FindTaxon("Quercus garryana")! with { Remember = words, Doubles = [] }]
        );
        var package = Package(flora);
        Assert.DoesNotMatch("(^|,|\")[=+@-][A-Z1-9]", Text(new ZipArchive(new MemoryStream(package)), "taxa.csv").Split("\r\n")[1]);
        Assert.Equal(words, Read(new MemoryStream(package)).Value.Taxa[0].Remember);
    }

    [Fact]
    public void A_formula_typed_as_a_score_is_refused_with_what_is_allowed() =>
        Assert.Contains(
            Read(With("taxa.csv", text => text.Replace("doubly-serrate", "=A1"))).Faults,
            fault => fault.Message.Contains("has no state “=A1”")
        );

    [Fact]
    public void A_table_in_another_encoding_or_with_an_endless_cell_is_refused_in_words()
    {
        var latin = Read(WithBytes("taxa.csv", Encoding.Latin1.GetBytes("name,family\r\nAcer campestré,X\r\n")));
        Assert.Contains("not UTF-8", Assert.Single(latin.Faults).Message);
        var endless = Read(WithBytes("taxa.csv", Encoding.UTF8.GetBytes("name,family\r\nAcer \"" + new string('x', 300_000))));
        Assert.NotEmpty(endless.Faults);
        Assert.Contains("the table is empty", Assert.Single(Read(WithBytes("taxa.csv", [])).Faults).Message);
    }

    // A line of a hundred megabytes: the reader gives up at the first cell that is too long, and does not take the line in.
    [Fact]
    public void A_line_without_end_is_given_up_early()
    {
        using var package = new MemoryStream();
        using (var zip = new ZipArchive(package, ZipArchiveMode.Create, leaveOpen: true))
        {
            foreach (var table in new[] { "about", "characters", "states" })
                Copy(zip, $"{table}.csv");
            using var entry = zip.CreateEntry("taxa.csv").Open();
            entry.Write("name,family\r\n\""u8);
            var block = new byte[1024 * 1024];
            Array.Fill(block, (byte)'x');
            for (var mb = 0; mb < Cases.Megabytes; mb++)
                entry.Write(block);
        }
        package.Position = 0;
        var clock = Stopwatch.StartNew();
        var fault = Assert.Single(Read(package).Faults);
        Assert.Contains("longer than", fault.Message);
        Assert.Equal(("taxa.csv", 2), (fault.At, fault.Line));
    }

    [Fact]
    public void What_is_no_package_is_refused()
    {
        Assert.Contains("not a zip", Assert.Single(Read(new MemoryStream("hello"u8.ToArray())).Faults).Message);
        Assert.Contains("not a zip", Assert.Single(Read(new MemoryStream()).Faults).Message);
    }

    // Cut short anywhere, or with any byte changed: a message or a flora, never a crash.
    [Property(MaxTest = Cases.Few)]
    public bool Damage_is_answered_in_words(PositiveInt cut, PositiveInt place, byte value)
    {
        var small = Package(
            new Flora(
                SmallFlora.Flora.About with
                {
                    NearAlike = new Dictionary<string, string>(),
                },
                SmallFlora.Flora.Characters,
                SmallFlora.Flora.Taxa.Take(3)
            )
        );
        var damaged = small[..Math.Min(small.Length, cut.Get * 997 % small.Length)];
        var changed = small.ToArray();
        changed[place.Get * 991 % changed.Length] = value;
        return Answered(damaged) && Answered(changed);

        static bool Answered(byte[] bytes) =>
            Read(new MemoryStream(bytes)) is { } reading && (reading.Has(out _) || reading.Faults.Count > 0);
    }

    [Property(MaxTest = Cases.Few)]
    public bool Any_table_of_taxa_is_answered_in_words(NonEmptyString anything) =>
        Read(WithBytes("taxa.csv", Encoding.UTF8.GetBytes("name,family,margin\r\n" + anything.Get))) is { } reading
        && (reading.Has(out _) || reading.Faults.Count > 0);

    private static Outcome<Flora> Read(Stream stream) => new DataPackage().Read(stream, new FloraFileRequest("package.zip"));

    internal static byte[] Package(Flora flora)
    {
        using var stream = new MemoryStream();
        new DataPackage().Write(flora, stream);
        return stream.ToArray();
    }

    private static MemoryStream With(string table, Func<string, string> change) =>
        WithBytes(table, Encoding.UTF8.GetBytes(change(Text(new ZipArchive(new MemoryStream(Shipped)), table))));

    private static MemoryStream WithBytes(string table, byte[] bytes)
    {
        var package = new MemoryStream();
        using (var zip = new ZipArchive(package, ZipArchiveMode.Create, leaveOpen: true))
        {
            foreach (var name in new[] { "about.csv", "characters.csv", "states.csv", "taxa.csv" }.Where(name => name != table))
                Copy(zip, name);
            using var entry = zip.CreateEntry(table).Open();
            entry.Write(bytes);
        }
        package.Position = 0;
        return package;
    }

    private static void Copy(ZipArchive zip, string name)
    {
        using var entry = zip.CreateEntry(name).Open();
        entry.Write(Encoding.UTF8.GetBytes(Text(new ZipArchive(new MemoryStream(Shipped)), name)));
    }

    private static string Text(ZipArchive zip, string name)
    {
        using var reader = new StreamReader(zip.GetEntry(name)!.Open());
        return reader.ReadToEnd();
    }

    [GeneratedRegex("^[-a-z0-9._/]+$")]
    private static partial Regex NamePattern();
}
