using System.Xml.Linq;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Sieving;
using VerdantSieve.Web.Drawings;
using Xunit;

namespace VerdantSieve.Web.Tests;

/// <summary>The picture of a look's course, from five kinds to four hundred.</summary>
public class MeshPictureTests
{
    private static Course Made(int taxa, int meshes)
    {
        Grain[] grains =
        [
            .. Enumerable
                .Range(0, taxa)
                .Select(i => new Grain(
                    new Taxon(new ScientificName($"Genus{i / 9} species{i}"))
                    {
                        Authority = "",
                        Family = "",
                        CommonNames = ["a plant"],
                        Distribution = new Distribution([], []),
                        Settings = [Setting.Wild],
                        Provenance = "",
                        OwnScores = new Dictionary<string, Score>(),
                    },
                    1.0 / taxa,
                    i < taxa * 9 / 10 ? [i % meshes] : [],
                    i < taxa * 9 / 10 ? i % meshes : null
                ))
                .OrderBy(grain => grain.CaughtAt ?? 99),
        ];
        return new Course(
            [
                .. Enumerable
                    .Range(0, meshes)
                    .Select(m => new CourseMesh(
                        new Reading($"c{m}", new StatesSeen(["x"], StateMode.Is), Certainty.Fair),
                        1,
                        grains.Count(g => g.CaughtAt == m),
                        1
                    )),
            ],
            grains
        );
    }

    [Theory]
    [InlineData(5, 3)]
    [InlineData(86, 9)]
    [InlineData(400, 15)]
    public void Every_grain_is_drawn_once_on_its_mesh_and_within_the_picture(int taxa, int meshes)
    {
        var course = Made(taxa, meshes);
        var text = MeshPicture.Draw(
            course,
            [.. Enumerable.Range(0, meshes).Select(m => $"a reading <{m}> & more")],
            ["c1"],
            "what it shows"
        );
        var svg = XElement.Parse(text);
        var box = svg.Attribute("viewBox")!.Value.Split(' ').Select(double.Parse).ToArray();
        var grains = svg.Descendants().Where(e => e.Attribute("data-grain") is not null).ToArray();
        Assert.Equal(taxa, grains.Select(grain => grain.Attribute("data-grain")!.Value).Distinct().Count());
        Assert.Equal(taxa, grains.Length);
        Assert.All(
            grains,
            grain =>
            {
                Assert.InRange(double.Parse(grain.Attribute("cx")!.Value), 0, box[2]);
                Assert.InRange(double.Parse(grain.Attribute("cy")!.Value), 0, box[3]);
            }
        );
        // Those held by one mesh lie on one line.
        foreach (
            var mesh in course
                .Grains.Select((grain, i) => (grain, i))
                .Where(pair => pair.grain.CaughtAt is not null)
                .GroupBy(pair => pair.grain.CaughtAt)
        )
            Assert.Single(
                mesh.Select(pair => grains.Single(g => g.Attribute("data-grain")!.Value == $"{pair.i}").Attribute("cy")!.Value).Distinct()
            );
        Assert.Single(svg.Descendants(), e => e.Attribute("class")?.Value == "mesh-line doubtful");
        Assert.True(text.Length < 160 * taxa + 12_000, $"{text.Length} letters for {taxa} grains");
    }
}
