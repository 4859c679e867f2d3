using System.IO.Compression;
using System.Text;
using NodaTime;
using VerdantSieve.Core.Formats.Notebook;
using VerdantSieve.Core.Seasons;
using VerdantSieve.Core.Tests.Sieving;
using VerdantSieve.Core.Trees;
using Xunit;

namespace VerdantSieve.Core.Tests.Formats.Notebook;

/// <summary>Somebody else's files: what their columns say, what is wrong with a row, what is there already.</summary>
public class TreeImportTests
{
    private static readonly Core.Botany.Flora Flora = new MadeFlora().States("bark", "grey red").Taxon("Aus primus", "bark: grey").Flora;

    private static TreeTable Table(string name, string text) => TreeTable.Read(name, Encoding.UTF8.GetBytes(text)).Value;

    private static IReadOnlyList<ImportedRow> Rows(TreeTable table, params KnownTree[] there) =>
        TreeImport.Of(table, TreeImport.Guess(table), Flora, there);

    [Fact]
    public void Columns_are_known_by_the_names_people_give_them()
    {
        var row = Rows(
                Table("trees.csv", "Label,Lat,Lon,Date,Species,Remarks\nLC 1,45.1,\"-123,2\",2026-05-14,Aus primus,\"by, the mill\"\n")
            )
            .Single();
        Assert.Empty(row.Faults);
        Assert.Equal(("LC 1", new Position(45.1, -123.2, 0), new LocalDate(2026, 5, 14)), (row.Tree!.Tag, row.Tree.At, row.Tree.Day));
        Assert.Equal(("Aus primus", Core.Botany.TaxonRank.Species, "by, the mill"), (row.Tree.Name, row.Tree.Rank, row.Tree.Notes));
    }

    [Fact]
    public void A_name_is_a_plants_where_it_reads_like_one_and_a_tag_where_not()
    {
        Assert.Equal("Aus primus", Rows(Table("a.csv", "name,lat,lon\nAus primus,45,-123\n")).Single().Tree!.Name);
        Assert.Equal("LC 7", Rows(Table("b.csv", "name,lat,lon\nLC 7,45,-123\n")).Single().Tree!.Tag);
    }

    [Fact]
    public void Every_bad_row_is_told_with_its_number_its_field_and_what_is_allowed()
    {
        var rows = Rows(Table("a.csv", "tag,lat,lon,date\none,45,-123,2026-05-14\ntwo,95,-123,\nthree,45,west,14.5.2026\n"));
        Assert.Equal([0, 1, 2], rows.Select(row => row.Faults.Count));
        Assert.Equal((2, "latitude"), (rows[1].Number, rows[1].Faults[0].At));
        Assert.Contains("-90 to 90", rows[1].Faults[0].Sentence);
        Assert.Equal(["longitude", "date"], rows[2].Faults.Select(fault => fault.At));
        Assert.Contains("“west” can’t be used", rows[2].Faults[0].Sentence);
        Assert.Null(rows[1].Tree);
    }

    [Fact]
    public void What_is_there_already_is_pointed_at_by_day_and_spot_or_by_its_tag()
    {
        var day = new DateOnly(2026, 5, 14);
        var table = Table(
            "a.csv",
            "tag,lat,lon,date\nnear,45.00005,-123,2026-05-14\nfar,45.01,-123,2026-05-14\nlater,45,-123,2026-05-15\nLC "
                + "9,,,2026-05-14\nLC 9,,,2026-05-14\n"
        );
        var rows = Rows(table, new KnownTree("the oak", new Position(45, -123, 0), day), new KnownTree("LC 9", null, day));
        Assert.Equal(["the oak", null, null, "LC 9", "LC 9"], rows.Select(row => row.Twin));
    }

    [Fact]
    public void What_was_taken_out_comes_in_again_in_every_format()
    {
        var tree = new TreeRecord("t1", "LC 1", "ford")
        {
            At = new Position(45.1, -123.2, 90),
            Details = new TreeDetails { Tag = "LC 1" },
            Visits = [new RecordedVisit("v1", new LocalDate(2026, 5, 14), "Odalys", [], "note")],
            History = [new Opinion(1, OpinionKind.Determined, "Odalys", Instant.FromUtc(2026, 5, 14, 12, 0)) { Name = "Aus primus" }],
        };
        var darwin = Rows(TreeTable.Read("a.zip", DarwinCore.Write([tree])).Value).Single();
        Assert.Equal(("LC 1", tree.At, "Aus primus", "Odalys"), (darwin.Tree!.Tag, darwin.Tree.At, darwin.Tree.Name, darwin.Tree.Observer));
        Assert.Equal(new LocalDate(2026, 5, 14), darwin.Tree.Day);
        var json = Rows(Table("a.geojson", TreeFiles.GeoJson([tree]))).Single();
        Assert.Equal(("LC 1", 45.1, "Aus primus"), (json.Tree!.Tag, json.Tree.At!.Value.Latitude, json.Tree.Name));
        var gpx = Rows(Table("a.gpx", TreeFiles.Gpx([tree]))).Single();
        Assert.Equal(("LC 1", tree.At), (gpx.Tree!.Tag, gpx.Tree.At));
        var csv = Rows(Table("a.csv", TreeFiles.Csv([tree]))).Single();
        Assert.Equal(("LC 1", tree.At, "Aus primus"), (csv.Tree!.Tag, csv.Tree.At, csv.Tree.Name));
    }

    [Theory]
    [InlineData("a.exe", "x", ".csv")]
    [InlineData("a.csv", "", "name the columns")]
    [InlineData("a.csv", "tag,lat\n", "no tree")]
    [InlineData("a.geojson", "{", "can’t be read")]
    [InlineData("a.zip", "PK nonsense", "can’t be read")]
    public void A_broken_file_is_told_so_in_plain_words(string name, string text, string said) =>
        Assert.Contains(said, TreeTable.Read(name, Encoding.UTF8.GetBytes(text)).Faults.Single().Sentence);

    [Fact]
    public void An_archive_without_its_description_is_refused()
    {
        using var file = new MemoryStream();
        using (var zip = new ZipArchive(file, ZipArchiveMode.Create, leaveOpen: true))
            zip.CreateEntry("other.txt");
        Assert.Contains("meta.xml", TreeTable.Read("a.zip", file.ToArray()).Faults.Single().Sentence);
    }
}
