using System.Diagnostics;
using System.IO.Compression;
using System.Text;
using System.Text.Json;
using System.Xml.Linq;
using Ical.Net;
using NodaTime;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Formats.Notebook;
using VerdantSieve.Core.Seasons;
using VerdantSieve.Core.Trees;
using Xunit;

namespace VerdantSieve.Core.Tests.Formats.Notebook;

/// <summary>What leaves the notebook, read back by others' programs and held against their standards.</summary>
public class NotebookFormatTests
{
    private static readonly Position At = new(45.12345, -123.20987, 90);

    private static TreeRecord Tree(bool blurred = false) =>
        new("t1", "LC 1", "Lantern Creek, ford")
        {
            Country = "ORE",
            At = blurred ? Blurred.Of(At) : At,
            IsBlurred = blurred,
            Details = new TreeDetails
            {
                Tag = "LC 1",
                Girth = new Girth(212),
                Height = TreeHeight.ByStick(62, 65, 24).Value,
                Sex = PlantSex.Female,
            },
            Visits =
            [
                new RecordedVisit(
                    "v1",
                    new LocalDate(2026, 5, 16),
                    "Odalys",
                    [new RecordedReading("margin", "smooth margin")],
                    "two\tlines\nhere"
                ),
                new RecordedVisit("v2", new LocalDate(2026, 10, 3), "Odalys", [], ""),
            ],
            History =
            [
                Line(1, OpinionKind.Determined, "Acer macrophyllum", Qualifier.Cf),
                Line(2, OpinionKind.Doubted, "Acer macrophyllum", null),
            ],
        };

    private static Opinion Line(int id, OpinionKind kind, string name, Qualifier? qualifier) =>
        new(id, kind, id == 1 ? "Odalys" : "Pim", Instant.FromUtc(2026, 6, id, 12, 0))
        {
            Name = name,
            Rank = TaxonRank.Species,
            Qualifier = qualifier,
            Probability = 0.97,
            Reasons = "because",
        };

    // Terms of Darwin Core, from memory of the quick reference guide of TDWG (2021 and later), by the classes they stand in.
    private static readonly string[] Known =
    [
        "occurrenceID organismID basisOfRecord recordedBy eventDate locality decimalLatitude decimalLongitude geodeticDatum",
        "coordinateUncertaintyInMeters minimumElevationInMeters maximumElevationInMeters dataGeneralizations organismName",
        "organismQuantity organismQuantityType sex establishmentMeans scientificName taxonRank identificationQualifier identifiedBy",
        "occurrenceRemarks identificationID dateIdentified identificationRemarks identificationVerificationStatus measurementType",
        "measurementValue measurementUnit measurementAccuracy measurementMethod measurementDeterminedDate measurementDeterminedBy",
    ];

    [Fact]
    public void Every_term_of_the_archive_is_one_of_Darwin_Core() =>
        Assert.Empty(DarwinCore.Written.Except(Known.SelectMany(line => line.Split(' '))));

    private static Dictionary<string, string> Unpacked(byte[] archive)
    {
        using var zip = new ZipArchive(new MemoryStream(archive));
        return zip.Entries.ToDictionary(
            entry => entry.Name,
            entry =>
            {
                using var reader = new StreamReader(entry.Open());
                return reader.ReadToEnd();
            }
        );
    }

    [Fact]
    public void The_archive_says_what_its_columns_are_and_every_row_fits_them()
    {
        var files = Unpacked(DarwinCore.Write([Tree()]));
        XNamespace space = "http://rs.tdwg.org/dwc/text/";
        var meta = XDocument.Parse(files["meta.xml"]).Root!;
        Assert.Equal(["core", "extension", "extension"], meta.Elements().Select(element => element.Name.LocalName));
        foreach (var table in meta.Elements())
        {
            var lines = files[table.Element(space + "files")!.Element(space + "location")!.Value].TrimEnd('\n').Split('\n');
            var terms = table.Elements(space + "field").Select(field => ((string)field.Attribute("term")!).Split('/')[^1]).ToArray();
            Assert.Equal(terms, lines[0].Split('\t'));
            Assert.All(lines, line => Assert.Equal(terms.Length, line.Split('\t').Length));
        }
        var occurrences = files["occurrence.txt"].Split('\n');
        Assert.Contains("two lines here", occurrences[1]);
        Assert.StartsWith("v2\tt1\t", occurrences[2], StringComparison.Ordinal);
        var named = files["identification.txt"].Split('\n');
        Assert.Contains("cf. macrophyllum", named[1]);
        Assert.EndsWith("\tstands", named[1], StringComparison.Ordinal);
        Assert.EndsWith("\tdoubted", named[2], StringComparison.Ordinal);
        Assert.Contains("girth at breast height\t212\tcm", files["measurementorfact.txt"]);
        Assert.Contains("24 m × 62 cm ÷ 65 cm", files["measurementorfact.txt"]);
    }

    [Fact]
    public void What_is_blurred_is_blurred_in_every_file()
    {
        Assert.Equal(new Position(45.15, -123.25, 0), Blurred.Of(At));
        Assert.Equal(new Position(45.15, -123.25, 0), Blurred.Of(new Position(45.1, -123.2999, 8)));
        string[] all =
        [
            .. Unpacked(DarwinCore.Write([Tree(blurred: true)])).Values,
            TreeFiles.GeoJson([Tree(blurred: true)]),
            TreeFiles.Gpx([Tree(blurred: true)]),
            TreeFiles.Csv([Tree(blurred: true)]),
        ];
        Assert.All(all, text => Assert.DoesNotContain("45.123", text));
        Assert.All(all, text => Assert.DoesNotContain("123.209", text));
        Assert.Contains("45.123", TreeFiles.Csv([Tree()]));
    }

    // RFC 7946: a FeatureCollection of Features, east before north, WGS 84 and nothing said of another.
    [Fact]
    public void GeoJSON_is_as_its_standard_has_it()
    {
        var read = System.Text.Json.JsonDocument.Parse(TreeFiles.GeoJson([Tree()])).RootElement;
        Assert.Equal("FeatureCollection", read.GetProperty("type").GetString());
        Assert.False(read.TryGetProperty("crs", out _));
        var feature = read.GetProperty("features")[0];
        Assert.Equal("Feature", feature.GetProperty("type").GetString());
        Assert.Equal(
            [-123.20987, 45.12345],
            feature.GetProperty("geometry").GetProperty("coordinates").EnumerateArray().Select(number => number.GetDouble())
        );
        Assert.Equal("Acer cf. macrophyllum", feature.GetProperty("properties").GetProperty("name").GetString());
    }

    [Fact]
    public void A_way_comes_back_from_GPX_as_it_was()
    {
        GpxPoint[] way = [new(At, Instant.FromUtc(2026, 9, 12, 9, 10)), new(new Position(45.2, -123.1, 120), null)];
        var text = GpxFiles.Write([new GpxPlace("LC 1", At, "Acer")], way);
        var read = GpxFiles.Read(text).Value;
        Assert.Equal(way, read.Way);
        Assert.Equal(new GpxPlace("LC 1", At, "Acer"), read.Places.Single());
        XNamespace space = "http://www.topografix.com/GPX/1/1";
        var root = XDocument.Parse(text).Root!;
        Assert.Equal(("gpx", "1.1"), (root.Name.LocalName, (string)root.Attribute("version")!));
        Assert.Equal(2, root.Descendants(space + "trkpt").Count());
    }

    [Theory]
    [InlineData("no file at all")]
    [InlineData("<gpx version=\"1.1\" creator=\"x\" xmlns=\"http://www.topografix.com/GPX/1/1\"><wpt lat=\"95\" lon=\"0\"/></gpx>")]
    [InlineData(
        "<!DOCTYPE gpx [<!ENTITY x \"x\">]><gpx version=\"1.1\" xmlns=\"http://www.topografix.com/GPX/1/1\"><metadata>"
            + "<name>&x;</name></metadata></gpx>"
    )]
    public void What_is_no_GPX_is_told_so(string text) => Assert.Equal("file", GpxFiles.Read(text).Faults.Single().At);

    private static string ACalendar() =>
        OutingCalendar.Write(
            [
                new CalendarOuting(
                    "o1",
                    new LocalDate(2027, 5, 6),
                    7,
                    "Visit two trees",
                    "Lantern Creek",
                    "Bring a lens;\nlook at fruit, buds"
                ),
            ],
            Instant.FromUtc(2026, 11, 26, 8, 0)
        );

    // ical.js of the npm registry, which has nothing to do with what writes the calendar.
    [Fact]
    public void A_second_reader_of_calendars_reads_the_same()
    {
        using var node = Process.Start(
            new ProcessStartInfo("node", [Path.Combine(Root, "tests/VerdantSieve.Core.Tests/Formats/Notebook/read-calendar.mjs")])
            {
                RedirectStandardInput = true,
                RedirectStandardOutput = true,
            }
        )!;
        node.StandardInput.Write(ACalendar());
        node.StandardInput.Close();
        var read = JsonDocument.Parse(node.StandardOutput.ReadToEnd()).RootElement.EnumerateArray().Single();
        string Of(string property) => read.GetProperty(property).GetString()!;
        Assert.Equal(("o1@verdant-sieve.example", "Visit two trees", "Lantern Creek"), (Of("uid"), Of("summary"), Of("location")));
        Assert.Equal("Bring a lens;\nlook at fruit, buds", Of("description"));
        Assert.Equal(("2027-05-06", "2027-05-13"), (Of("start"), Of("end")));
        Assert.True(read.GetProperty("isDay").GetBoolean());
    }

    private static string Root
    {
        get
        {
            var at = new DirectoryInfo(AppContext.BaseDirectory);
            while (!File.Exists(Path.Combine(at.FullName, "VerdantSieve.slnx")))
                at = at.Parent!;
            return at.FullName;
        }
    }

    [Fact]
    public void An_outing_is_read_by_another_reader_of_calendars()
    {
        var text = ACalendar();
        var read = Calendar.Load(text)!.Events.Single();
        Assert.Equal(("Visit two trees", "Lantern Creek"), (read.Summary, read.Location));
        Assert.Equal(new DateTime(2027, 5, 6), read.Start!.Value);
        Assert.Equal(new DateTime(2027, 5, 13), read.End!.Value);
        Assert.Equal("Bring a lens;\nlook at fruit, buds", read.Description);
        Assert.Equal("o1@verdant-sieve.example", read.Uid);

        // By the rules of RFC 5545 themselves: lines of at most 75 octets that end in CR LF, values escaped, days without a time.
        var lines = text.TrimEnd().Split("\r\n");
        Assert.All(lines, line => Assert.True(Encoding.UTF8.GetByteCount(line) <= 75, line));
        Assert.DoesNotContain('\n', string.Concat(lines));
        Assert.Contains("DTSTART;VALUE=DATE:20270506", lines);
        Assert.Contains("lens\\;\\nlook at fruit\\, buds", text);
        Assert.Equal(("BEGIN:VCALENDAR", "END:VCALENDAR"), (lines[0], lines[^1]));
    }

    [Fact]
    public void A_spreadsheet_works_nothing_out_of_what_people_wrote()
    {
        var sly = Tree() with { Details = new TreeDetails { Tag = "=1+1" } };
        Assert.Contains("'=1+1", TreeFiles.Csv([sly]));
    }

    [Fact]
    public void A_map_is_read_from_GeoJSON_with_what_its_features_are()
    {
        var read = GeoFeatures
            .Read(
                """
                {"type":"FeatureCollection","features":[
                  {"type":"Feature","properties":{"kind":"water","name":"Pond"},
                   "geometry":{"type":"Polygon","coordinates":[[[-123,45],[-123,45.1],[-122.9,45],[-123,45]]]}},
                  {"type":"Feature","properties":{},"geometry":{"type":"LineString","coordinates":[[-123,45],[-122,46]]}}]}
                """
            )
            .Value;
        Assert.Equal(("water", "Pond", true, 4), (read[0].Kind, read[0].Name, read[0].IsArea, read[0].Lines[0].Count));
        Assert.Equal(new Position(46, -122, 0), read[1].Lines[0][1]);
        Assert.False(read[1].IsArea);
        Assert.Equal("file", GeoFeatures.Read("[1,2]").Faults.Single().At);
    }
}
