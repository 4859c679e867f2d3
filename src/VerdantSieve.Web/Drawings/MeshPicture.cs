using System.Globalization;
using System.Net;
using System.Text;
using VerdantSieve.Core.Sieving;

namespace VerdantSieve.Web.Drawings;

/// <summary>Draws the course of a look: grains fall from above, each in a lane of its own, and lie on the mesh that holds them; those that
/// come
/// through run together into the pan.</summary>
public sealed class MeshPicture
{
    private const double Width = 1000,
        Left = 250,
        Right = 985,
        Top = 46,
        PanDepth = 96;
    private const int NamedInPan = 6;

    private readonly Course course;
    private readonly IReadOnlyList<string> words,
        doubtful;
    private readonly StringBuilder svg = new();
    private readonly double step,
        lane;
    private readonly HashSet<int> namedInPan = [];

    private MeshPicture(Course course, IReadOnlyList<string> words, IReadOnlyList<string> doubtful)
    {
        (this.words, this.doubtful) = (words, doubtful);
        this.course = course;
        step = course.Meshes.Count > 12 ? 40 : 56;
        lane = (Right - Left - 20) / Math.Max(1, course.Grains.Count);
    }

    /// <summary>The picture as an SVG element.</summary>
    /// <param name="course">The course.</param>
    /// <param name="words">Each mesh's reading in words.</param>
    /// <param name="doubtful">The characters whose readings are likely slips.</param>
    /// <param name="label">What the picture shows, for those who don't see it.</param>
    public static string Draw(Course course, IReadOnlyList<string> words, IReadOnlyList<string> doubtful, string label) =>
        new MeshPicture(course, words, doubtful).Draw(label);

    private double MeshAt(int mesh) => Top + (mesh + 1) * step;

    private double LaneOf(int grain) => Left + 10 + (grain + 0.5) * lane;

    private double Height => MeshAt(course.Meshes.Count - 1) + PanDepth;

    private string Draw(string label)
    {
        svg.Append(
            Inv($"<svg class=\"course\" viewBox=\"0 0 {Width:0} {Height:0}\" role=\"img\" aria-label=\"{WebUtility.HtmlEncode(label)}\">")
        );
        Threads();
        for (var mesh = 0; mesh < course.Meshes.Count; mesh++)
            Mesh(mesh);
        Pan();
        for (var grain = 0; grain < course.Grains.Count; grain++)
            Grain(grain);
        return svg.Append("</svg>").ToString();
    }

    // One path for all threads of the held, and one for the heads they hang from, so that four hundred taxa stay a small picture.
    private void Threads()
    {
        svg.Append("<path class=\"thread\" d=\"");
        for (var i = 0; i < course.Grains.Count; i++)
        {
            var end = course.Grains[i].CaughtAt is { } mesh ? MeshAt(mesh) - 5 : MeshAt(course.Meshes.Count - 1);
            svg.Append(Inv($"M{LaneOf(i):0.#} {Top - 14:0}V{end:0.#}"));
        }
        svg.Append("\"/><path class=\"heads\" d=\"");
        for (var i = 0; i < course.Grains.Count; i++)
            svg.Append(Inv($"M{LaneOf(i):0.#} {Top - 14:0}h0"));
        svg.Append(Inv($"\" stroke-width=\"{Math.Clamp(lane * 0.6, 1.2, 5):0.#}\"/>"));
    }

    private void Mesh(int mesh)
    {
        var (at, of) = (MeshAt(mesh), course.Meshes[mesh]);
        var doubt = doubtful.Contains(of.Reading.Character) ? " doubtful" : "";
        svg.Append(Inv($"<g class=\"mesh-line{doubt}\" data-mesh=\"{mesh}\"><rect class=\"grip\" x=\"0\" y=\"{at - step / 2:0.#}\""));
        svg.Append(Inv($" width=\"{Width:0}\" height=\"{step:0}\"/>"));
        Label("reads", 0, at + 1, Short(words[mesh]));
        Label("holds", Left - 14, at + 1, of.Caught == 0 ? "–" : $"{of.Caught}");
        svg.Append(
            Inv($"<path class=\"wire\" d=\"M{Left:0} {at:0.#}H{Right:0}\"/><path class=\"knots\" d=\"M{Left:0} {at:0.#}H{Right:0}\"/></g>")
        );
    }

    private void Pan()
    {
        var pan = course.Pan.ToArray();
        var (from, to) = (MeshAt(course.Meshes.Count - 1), Height - 40);
        var named = pan.Take(NamedInPan).ToArray();
        var lanes = course.Grains.Select((grain, i) => (grain, i)).ToDictionary(pair => pair.grain.Taxon.Name, pair => pair.i);
        // The named ones spread over the width, the likeliest at the right, so that no thread crosses another.
        var inOrder = named.OrderBy(grain => lanes[grain.Taxon.Name]).ToArray();
        for (var i = 0; i < inOrder.Length; i++)
        {
            var start = LaneOf(lanes[inOrder[i].Taxon.Name]);
            var end = Left + 60 + (Right - Left - 120) * (inOrder.Length == 1 ? 1 : i / (double)(inOrder.Length - 1));
            svg.Append(Inv($"<path class=\"through\" d=\"M{start:0.#} {from:0.#}"));
            svg.Append(Inv($"C{start:0.#} {from + 40:0.#} {end:0.#} {to - 42:0.#} {end:0.#} {to:0.#}\"/>"));
            Dot("free", lanes[inOrder[i].Taxon.Name], end, to, 4.5);
            namedInPan.Add(lanes[inOrder[i].Taxon.Name]);
            var words = inOrder[i].Taxon.Name.Text.Split(' ', 2);
            // Genus above epithet: two short lines stand where one long one would run into the next.
            svg.Append(Inv($"<text class=\"name\" x=\"{end:0.#}\" y=\"{to + 17:0.#}\">{WebUtility.HtmlEncode(words[0])}"));
            svg.Append(Inv($"<tspan x=\"{end:0.#}\" dy=\"14\">{WebUtility.HtmlEncode(words.ElementAtOrDefault(1))}</tspan></text>"));
        }
        Label("reads", 0, to + 4, "in the pan");
        Label("holds", Left - 14, to + 4, $"{pan.Length}");
        svg.Append(Inv($"<text class=\"top\" x=\"{Left:0}\" y=\"{Top - 26:0}\">{course.Grains.Count} kinds fall in</text>"));
    }

    private void Label(string kind, double x, double y, string text) =>
        svg.Append(Inv($"<text class=\"{kind}\" x=\"{x:0.#}\" y=\"{y:0.#}\">{WebUtility.HtmlEncode(text)}</text>"));

    private void Grain(int i)
    {
        var grain = course.Grains[i];
        var radius = Math.Clamp(lane * 0.38, 1.2, 4.5);
        if (grain.CaughtAt is { } mesh)
            Dot("caught", i, LaneOf(i), MeshAt(mesh) - radius - 1, radius);
        else if (!namedInPan.Contains(i))
            Dot("free", i, LaneOf(i), MeshAt(course.Meshes.Count - 1) + 9, radius);
        // Where a grain had a slip forgiven, a small mark shows on the way.
        foreach (var snag in grain.Snags.Where(snag => grain.CaughtAt is null || snag < grain.CaughtAt))
            svg.Append(
                Inv($"<circle class=\"snag\" cx=\"{LaneOf(i):0.#}\" cy=\"{MeshAt(snag):0.#}\" r=\"{Math.Max(1, radius * 0.6):0.#}\"/>")
            );
    }

    private void Dot(string kind, int grain, double x, double y, double radius) =>
        svg.Append(Inv($"<circle class=\"grain {kind}\" data-grain=\"{grain}\" cx=\"{x:0.#}\" cy=\"{y:0.#}\" r=\"{radius:0.#}\"/>"));

    private static string Short(string words) => words.Length > 34 ? words[..33].TrimEnd() + "…" : words;

    private static string Inv(FormattableString text) => text.ToString(CultureInfo.InvariantCulture);
}
