using System.Text.Json;
using VerdantSieve.Core.Drawing;
using VerdantSieve.Core.Leaves;
using Xunit;

namespace VerdantSieve.Core.Tests.Reference;

/// <summary>Measures of outlines against image analysis. Source: regionprops of scikit-image 0.19.3 on the same outlines filled on a
/// raster;
/// the script that made the fixture stands beside this file.</summary>
public class RegionPropsTests
{
    private static readonly JsonElement Fixture = JsonDocument
        .Parse(File.ReadAllText(Path.Combine(AppContext.BaseDirectory, "Reference", "regionprops.json")))
        .RootElement;

    public static TheoryData<string> Outlines => [.. Fixture.EnumerateObject().Select(property => property.Name)];

    [Theory]
    [MemberData(nameof(Outlines))]
    public void Area_perimeter_axes_and_centroid_are_within_a_hundredth(string name)
    {
        var expected = Fixture.GetProperty(name);
        Point[] outline =
        [
            .. expected.GetProperty("outline").EnumerateArray().Select(place => new Point(place[0].GetDouble(), place[1].GetDouble())),
        ];
        double Of(string measure) => expected.GetProperty(measure).GetDouble();
        void Near(string measure, double found) => Assert.InRange(found, 0.99 * Of(measure), 1.01 * Of(measure));

        Near("area", Math.Abs(Polygon.SignedArea(outline)));
        Near("perimeter", Polygon.Perimeter(outline));
        Near("major", Polygon.Axes(outline).Major);
        Near("minor", Polygon.Axes(outline).Minor);
        // Of the centroid a hundredth of the blade’s length is asked.
        Assert.InRange(Polygon.Centroid(outline).To(new Point(Of("x"), Of("y"))), 0, 0.01);
    }
}
