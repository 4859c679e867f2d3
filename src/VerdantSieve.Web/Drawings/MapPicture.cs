using System.Globalization;
using System.Net;
using System.Text;
using VerdantSieve.Core.Drawing;
using VerdantSieve.Core.Drawing.Maps;
using VerdantSieve.Core.Formats.Notebook;
using VerdantSieve.Core.Seasons;

namespace VerdantSieve.Web.Drawings;

/// <summary>How far a tree is settled, as the map shows it by shape.</summary>
public enum MapMark
{
    /// <summary>A ring: nothing is settled.</summary>
    Open,

    /// <summary>A half-filled disc: a genus or a group.</summary>
    Half,

    /// <summary>A disc: a kind.</summary>
    Settled,

    /// <summary>A diamond: two readers differ.</summary>
    Disputed,
}

/// <summary>A tree on the map.</summary>
/// <param name="Number">Its number in the list beside it.</param>
/// <param name="At">Where it stands.</param>
/// <param name="Mark">How far it is settled.</param>
/// <param name="Words">What is said of it.</param>
/// <param name="Address">Where its page is.</param>
public sealed record MappedTree(int Number, Position At, MapMark Mark, string Words, string Address);

/// <summary>Draws a piece of ground with its trees.</summary>
public static class MapPicture
{
    // Trees that would lie on each other are drawn as one mark with their number.
    private const double Mark = 11,
        Cell = 24;

    // A line of a map made for a larger scale has points that lie nearer than a pen is wide; a map may be full of them.
    private const double Pen = 0.6;

    // What lies over what.
    private static readonly List<string> Layers =
    [
        GroundKinds.Edge,
        GroundKinds.Wood,
        GroundKinds.Water,
        GroundKinds.Line,
        GroundKinds.Stream,
        GroundKinds.Path,
        GroundKinds.Road,
        GroundKinds.Building,
    ];

    /// <summary>The picture.</summary>
    /// <param name="map">The map.</param>
    /// <param name="features">What lies on it.</param>
    /// <param name="ways">The ways that were walked.</param>
    /// <param name="trees">The trees.</param>
    /// <param name="label">What it shows, in a sentence.</param>
    public static string Draw(
        LocalMap map,
        IReadOnlyList<GeoFeature> features,
        IReadOnlyList<IReadOnlyList<Position>> ways,
        IReadOnlyList<MappedTree> trees,
        string label
    )
    {
        var svg = new StringBuilder();
        svg.Append(
            CultureInfo.InvariantCulture,
            $"<svg class=\"groundmap\" viewBox=\"0 0 {N(map.Width)} {N(map.Height)}\" role=\"group\" "
                + $"aria-label=\"{WebUtility.HtmlEncode(label)}\">"
        );
        svg.Append(Ground(map, features, ways));
        foreach (var cell in trees.GroupBy(tree => CellOf(map.At(tree.At))))
            Tree(svg, map, [.. cell]);
        return svg.Append("</svg>").ToString();
    }

    /// <summary>What lies under the trees: features, ways, scale bar and north, without the frame.</summary>
    public static string Ground(LocalMap map, IReadOnlyList<GeoFeature> features, IReadOnlyList<IReadOnlyList<Position>> ways)
    {
        var svg = new StringBuilder();
        var seen = features
            .Select(feature => new Laid(feature, [.. feature.Lines.Select(line => OnMap(map, line))]))
            .Where(laid => laid.Lines.Any(line => IsInSight(map, line)))
            .ToArray();
        foreach (var (feature, lines) in seen.OrderBy(laid => Layers.IndexOf(laid.Feature.Kind)))
        {
            if (lines.All(line => line.Length == 1))
                foreach (var spot in lines.Select(line => line[0]))
                    svg.Append(
                        CultureInfo.InvariantCulture,
                        $"<circle class=\"building\" cx=\"{N(spot.X)}\" cy=\"{N(spot.Y)}\" r=\"2.5\"/>"
                    );
            else
                svg.Append($"<path class=\"{feature.Kind}\" d=\"")
                    .AppendJoin("", lines.Select(line => PathOf(line) + (feature.IsArea ? "Z" : "")))
                    .Append("\"/>");
        }
        foreach (var laid in seen.Where(laid => IsNamed(laid.Feature)))
        {
            var at = NamedAt(laid);
            svg.Append(
                CultureInfo.InvariantCulture,
                $"<text class=\"placename\" x=\"{N(at.X)}\" y=\"{N(at.Y)}\">{WebUtility.HtmlEncode(laid.Feature.Name)}</text>"
            );
        }
        foreach (var way in ways.Where(way => way.Count > 1))
            svg.Append(CultureInfo.InvariantCulture, $"<path class=\"way\" d=\"{PathOf(OnMap(map, way))}\"/>");
        Scale(svg, map);
        return svg.ToString();
    }

    /// <summary>The map for a sheet of paper: no page is there to give it its colours.</summary>
    public static string OnPaper(Notebooks.GroundView view)
    {
        var svg = new StringBuilder();
        svg.Append(view.Inked(Inks));
        foreach (var tree in view.Mapped)
        {
            var at = view.Map.At(tree.At);
            svg.Append(
                CultureInfo.InvariantCulture,
                $"<circle cx=\"{N(at.X)}\" cy=\"{N(at.Y)}\" r=\"{N(Mark)}\" "
                    + $"fill=\"{(tree.Mark == MapMark.Settled ? "#4a6628" : "#fff")}\" stroke=\"#111\" stroke-width=\"1.5\"/>"
                    + $"<text x=\"{N(at.X)}\" y=\"{N(at.Y + 4)}\" text-anchor=\"middle\" font-family=\"DejaVu Sans\" "
                    + $"font-size=\"11\" fill=\"{(tree.Mark == MapMark.Settled ? "#fff" : "#111")}\">{tree.Number}</text>"
            );
        }
        return svg.ToString();
    }

    // The classes of the ground in inks of their own.
    private static readonly Dictionary<string, string> Inks = new()
    {
        ["wood"] = "fill=\"#dbe2bf\"",
        ["water"] = "fill=\"#cfdde0\"",
        ["stream"] = "fill=\"none\" stroke=\"#7d9ba3\" stroke-width=\"3\"",
        ["path"] = "fill=\"none\" stroke=\"#6b4a33\" stroke-width=\"1.2\" stroke-dasharray=\"4 3\"",
        ["road"] = "fill=\"none\" stroke=\"#cbb79b\" stroke-width=\"5\"",
        ["building"] = "fill=\"#6b4a33\"",
        ["edge"] = "fill=\"none\" stroke=\"#6b4a33\" stroke-dasharray=\"9 3 2 3\"",
        ["line"] = "fill=\"none\" stroke=\"#777\"",
        ["way"] = "fill=\"none\" stroke=\"#9d2f2c\" stroke-width=\"1.6\"",
        ["scalebar"] = "fill=\"none\" stroke=\"#111\"",
        ["north"] = "fill=\"none\" stroke=\"#111\"",
        ["placename"] = "font-family=\"DejaVu Serif\" font-style=\"italic\" font-size=\"12\" text-anchor=\"middle\" fill=\"#555\"",
        ["scaletext"] = "font-family=\"DejaVu Sans\" font-size=\"11\" text-anchor=\"middle\" fill=\"#111\"",
    };

    private static (int, int) CellOf(Point at) => ((int)(at.X / Cell), (int)(at.Y / Cell));

    private static void Tree(StringBuilder svg, LocalMap map, MappedTree[] trees)
    {
        var at = map.At(trees[0].At);
        var words =
            trees.Length == 1 ? trees[0].Words : $"{trees.Length} trees: {string.Join("; ", trees.Take(8).Select(tree => tree.Words))}";
        var mark = trees.All(tree => tree.Mark == trees[0].Mark) ? trees[0].Mark : MapMark.Half;
        // What stands in the mark: the number of the tree in the list, or how many there are.
        var inside = trees.Length == 1 ? trees[0].Number.ToString(CultureInfo.InvariantCulture) : $"×{trees.Length}";
        var address = trees.Length == 1 ? trees[0].Address : $"#tree-{trees[0].Number}";
        svg.Append($"<a href=\"{WebUtility.HtmlEncode(address)}\" class=\"treemark {mark.ToString().ToLowerInvariant()}\"")
            .Append($" data-tree=\"{trees[0].Number}\" aria-label=\"{WebUtility.HtmlEncode($"{inside} {words}")}\">")
            .Append($"<title>{WebUtility.HtmlEncode(words)}</title>{Shape(at, mark)}")
            .Append($"<text x=\"{N(at.X)}\" y=\"{N(at.Y + 4)}\">{inside}</text></a>");
    }

    private static string Shape(Point at, MapMark mark)
    {
        var disc = string.Create(CultureInfo.InvariantCulture, $"<circle cx=\"{N(at.X)}\" cy=\"{N(at.Y)}\" r=\"{N(Mark)}\"/>");
        return mark switch
        {
            MapMark.Open or MapMark.Settled => disc,
            MapMark.Half => disc
                + string.Create(
                    CultureInfo.InvariantCulture,
                    $"<path class=\"fill\" d=\"M{N(at.X - Mark)} {N(at.Y)}A{N(Mark)} {N(Mark)} 0 0 0 {N(at.X + Mark)} {N(at.Y)}Z\"/>"
                ),
            MapMark.Disputed => string.Create(
                CultureInfo.InvariantCulture,
                $"<path class=\"diamond\" d=\"M{N(at.X)} {N(at.Y - 14)}L{N(at.X + 14)} {N(at.Y)}L{N(at.X)} "
                    + $"{N(at.Y + 14)}L{N(at.X - 14)} {N(at.Y)}Z\"/>"
            ),
        };
    }

    private static void Scale(StringBuilder svg, LocalMap map)
    {
        var (metres, drawn) = map.Bar;
        var y = map.Height - 14;
        var words = metres >= 1000 ? $"{metres / 1000:0.#} km" : $"{metres:0.#} m";
        svg.Append(
            CultureInfo.InvariantCulture,
            $"<path class=\"scalebar\" d=\"M14 {N(y - 5)}V{N(y)}H{N(14 + drawn)}V{N(y - 5)}\"/><text "
                + $"class=\"scaletext\" x=\"{N(14 + drawn / 2)}\" y=\"{N(y - 5)}\">{words}</text>"
        );
        svg.Append(
            CultureInfo.InvariantCulture,
            $"<path class=\"north\" d=\"M{N(map.Width - 22)} 40V14M{N(map.Width - 27)} 22L{N(map.Width - 22)} "
                + $"13L{N(map.Width - 17)} 22\"/><text class=\"scaletext\" x=\"{N(map.Width - 22)}\" y=\"54\">N</text>"
        );
    }

    // A thing with its lines as they lie on the map: each of its points is laid there once.
    private sealed record Laid(GeoFeature Feature, IReadOnlyList<Point[]> Lines);

    private static Point[] OnMap(LocalMap map, IReadOnlyList<Position> line) => [.. line.Select(map.At)];

    private static bool IsInSight(LocalMap map, Point[] line) =>
        line.Max(at => at.X) >= 0 && line.Min(at => at.X) <= map.Width && line.Max(at => at.Y) >= 0 && line.Min(at => at.Y) <= map.Height;

    private static bool IsNamed(GeoFeature feature) =>
        feature.Name.Length > 0 && feature.Kind is not (GroundKinds.Edge or GroundKinds.Path or GroundKinds.Road);

    // In the middle of an area or half along a line; a point's name stands above it.
    private static Point NamedAt(Laid laid)
    {
        var line = laid.Lines[0];
        if (line.Length == 1)
            return new Point(line[0].X, line[0].Y - 6);
        return laid.Feature.IsArea ? new Point(line.Average(at => at.X), line.Average(at => at.Y)) : line[line.Length / 2];
    }

    private static string PathOf(Point[] line)
    {
        var path = new StringBuilder();
        Point? last = null;
        for (var i = 0; i < line.Length; i++)
        {
            var at = line[i];
            if (last is { } before && i < line.Length - 1 && Math.Abs(at.X - before.X) < Pen && Math.Abs(at.Y - before.Y) < Pen)
                continue;
            path.Append(CultureInfo.InvariantCulture, $"{(last is null ? 'M' : 'L')}{N(at.X)} {N(at.Y)}");
            last = at;
        }
        return path.ToString();
    }

    private static string N(double value) => Math.Round(value, 1).ToString(CultureInfo.InvariantCulture);
}
