using VerdantSieve.Core.Formats.Notebook;
using VerdantSieve.Core.Seasons;
using Xunit;

namespace VerdantSieve.Core.Tests.Formats.Notebook;

/// <summary>Maps of somebody's own.</summary>
public class GroundMapTests
{
    private static string Feature(string properties, string geometry) =>
        $$$"""{"type":"Feature","properties":{ {{{properties}}} },"geometry":{ {{{geometry}}} } }""";

    private static string Line(params string[] points) => $"\"type\":\"LineString\",\"coordinates\":[{string.Join(',', points)}]";

    private static string Map(params string[] features) =>
        $$"""{"type":"FeatureCollection","features":[{{string.Join(',', features)}}] }""";

    private static Outcome<GroundMap> Read(string geoJson, string title = "", string file = "wood.geojson") =>
        GroundMap.Read(title, file, geoJson);

    [Fact]
    public void It_is_called_what_was_typed_or_what_its_bounds_are_called_or_the_file()
    {
        var plain = Feature("", Line("[7,50]", "[7.01,50.01]"));
        var bounds = Feature("\"leisure\":\"nature_reserve\",\"name\":\"Heron Marsh\"", Line("[7,50]", "[7.02,50.01]"));
        Assert.Equal("wood", Read(Map(plain)).Value.Title);
        Assert.Equal("Heron Marsh", Read(Map(plain, bounds)).Value.Title);
        Assert.Equal("The marsh", Read(Map(plain, bounds), " The marsh ").Value.Title);
        Assert.Equal("title", Read(Map(plain), new string('x', 101)).Faults.Single().At);
    }

    [Fact]
    public void It_reaches_as_far_as_what_lies_on_it_and_is_of_use_a_little_beyond()
    {
        var extent = Read(Map(Feature("", Line("[7,50]", "[7.01,50.02]")))).Value.Extent;
        Assert.Equal(new GroundExtent(50, 7, 50.02, 7.01), extent);
        Assert.True(extent.IsNear(new Position(50.01, 7.005, 0)));
        Assert.True(extent.IsNear(new Position(50.024, 7.005, 0)));
        Assert.False(extent.IsNear(new Position(50.026, 7.005, 0)));
        Assert.False(extent.IsNear(new Position(50.01, 7.016, 0)));
        Assert.False(extent.IsNear(new Position(50.01, 6.994, 0)));
        Assert.False(extent.IsNear(new Position(49.994, 7.005, 0)));
    }

    // The tags are those of open map data as remembered.
    [Theory]
    [InlineData("\"kind\":\"wood\"", "wood")]
    [InlineData("\"kind\":\"WATER\",\"highway\":\"path\"", "water")]
    [InlineData("\"kind\":\"dragon\"", "line")]
    [InlineData("\"natural\":\"wood\"", "wood")]
    [InlineData("\"natural\":\"wood\",\"leisure\":\"nature_reserve\"", "wood")]
    [InlineData("\"natural\":\"cliff\"", "line")]
    [InlineData("\"natural\":\"water\"", "water")]
    [InlineData("\"waterway\":\"stream\"", "stream")]
    [InlineData("\"waterway\":\"riverbank\"", "water")]
    [InlineData("\"highway\":\"footway\"", "path")]
    [InlineData("\"highway\":\"residential\"", "road")]
    [InlineData("\"building\":\"yes\"", "building")]
    [InlineData("\"building\":\"no\"", "line")]
    [InlineData("\"leisure\":\"park\"", "edge")]
    [InlineData("\"boundary\":\"protected_area\"", "edge")]
    public void What_a_feature_is_stands_in_its_kind_or_in_the_usual_tags(string properties, string kind) =>
        Assert.Equal(kind, Read(Map(Feature(properties, Line("[7,50]", "[7.01,50.01]")))).Value.Features.Single().Kind);

    [Fact]
    public void A_point_is_a_feature_too_and_a_hole_is_one_of_its_areas_lines()
    {
        var read = Read(
            Map(
                Feature("\"name\":\"Gate\"", "\"type\":\"Point\",\"coordinates\":[7,50]"),
                Feature(
                    "",
                    "\"type\":\"Polygon\",\"coordinates\":[[[7,50],[7.01,50],[7.01,50.01],[7,50]],"
                        + "[[7.004,50.002],[7.006,50.002],[7.006,50.004],[7.004,50.002]]]"
                )
            )
        ).Value.Features;
        Assert.Equal(("Gate", 1), (read[0].Name, read[0].Lines.Single().Count));
        Assert.Equal((true, 2), (read[1].IsArea, read[1].Lines.Count));
    }

    [Theory]
    [InlineData("[500000,4990000]", "no degrees")]
    [InlineData("[50,-91]", "no degrees")]
    [InlineData("[8.1,50]", "degree across")]
    [InlineData("[7.9,50.9]", null)]
    public void Metres_for_degrees_and_half_a_country_are_refused_in_words(string far, string? said)
    {
        var read = Read(Map(Feature("", Line("[7,50]", far))));
        if (said is null)
            Assert.True(read.Has(out _));
        else
            Assert.Contains(said, Assert.Single(read.Faults, fault => fault.At == "file").Sentence);
    }

    [Theory]
    [InlineData(80)]
    [InlineData(81)]
    public void A_name_is_cut_at_eighty_letters(int letters)
    {
        var name = new string('n', letters);
        var read = GeoFeatures.Read(Map(Feature($"\"name\":\"{name}\"", Line("[7,50]", "[7.01,50.01]")))).Value;
        Assert.Equal(name[..80], read[0].Name);
    }

    [Fact]
    public void Nothing_and_far_too_much_are_refused()
    {
        Assert.Contains("nothing on this map", Read(Map()).Faults.Single().Sentence);
        Assert.Contains(
            "nothing on this map",
            Read("""{"type":"FeatureCollection","features":[{"type":"Feature","properties":{},"geometry":null}]}""")
                .Faults.Single()
                .Sentence
        );
        string[] Points(int count) => [.. Enumerable.Range(0, count).Select(at => FormattableString.Invariant($"[7.{at:000000},50]"))];
        Assert.True(Read(Map(Feature("", Line(Points(GeoFeatures.MostPoints))))).Has(out _));
        Assert.Contains("up to 50000", Read(Map(Feature("", Line(Points(GeoFeatures.MostPoints + 1))))).Faults.Single().Sentence);
    }
}
