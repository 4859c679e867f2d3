using VerdantSieve.Core.Drawing.Maps;
using VerdantSieve.Core.Formats.Notebook;
using VerdantSieve.Core.Seasons;
using VerdantSieve.Store.Notebooks;
using VerdantSieve.Web.Drawings;

namespace VerdantSieve.Web.Notebooks;

/// <summary>Trees, and ways walked, on a map of the ground they stand on.</summary>
public sealed class GroundView
{
    /// <summary>How wide and high a map is drawn.</summary>
    public const double Width = 720,
        Height = 560;

    private readonly IReadOnlyList<IReadOnlyList<Position>> ways;

    /// <param name="trees">The trees.</param>
    /// <param name="ways">The ways that were walked.</param>
    /// <param name="features">What lies on the ground there.</param>
    /// <param name="shown">Points that are to be in sight; where there are none, all that lies on the ground is.</param>
    /// <param name="address">Where the page of a tree is.</param>
    /// <seealso cref="GroundDesk"/>
    public GroundView(
        IReadOnlyList<TreePoint> trees,
        IReadOnlyList<IReadOnlyList<Position>> ways,
        IReadOnlyList<GeoFeature> features,
        IReadOnlyList<Position> shown,
        Func<TreePoint, string> address
    )
    {
        this.ways = ways;
        (Trees, Unplaced) = ([.. trees.Where(tree => tree.Position is not null)], [.. trees.Where(tree => tree.Position is null)]);
        Features = features;
        Map = LocalMap.Of(
            shown.Count > 0 ? shown : [.. features.SelectMany(feature => feature.Lines).SelectMany(line => line)],
            Width,
            Height
        );
        Mapped = [.. Trees.Select((tree, at) => new MappedTree(at + 1, tree.Position!.Value, MarkOf(tree), WordsOf(tree), address(tree)))];
    }

    /// <summary>The map.</summary>
    public LocalMap Map { get; }

    /// <summary>What lies on it.</summary>
    public IReadOnlyList<GeoFeature> Features { get; }

    /// <summary>The trees on it, in the order of their numbers.</summary>
    public IReadOnlyList<TreePoint> Trees { get; }

    /// <summary>The trees of which it is not known where they stand.</summary>
    public IReadOnlyList<TreePoint> Unplaced { get; }

    /// <summary>The trees as they are drawn.</summary>
    public IReadOnlyList<MappedTree> Mapped { get; }

    /// <summary>The picture.</summary>
    public string Picture =>
        MapPicture.Draw(Map, Features, ways, Mapped, $"A map of {Mapped.Count} trees, north up. The list beside it says the same.");

    /// <summary>The map as a picture of its own, for a form that takes a place by a tap.</summary>
    public string Ground =>
        $"<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"{Width}\" height=\"{Height}\" viewBox=\"0 0 {Width} "
        + $"{Height}\"><rect width=\"{Width}\" height=\"{Height}\" fill=\"#fbf7ec\"/>{MapPicture.OnPaper(this)}</svg>";

    /// <summary>The ground with inks in the place of classes.</summary>
    public string Inked(IReadOnlyDictionary<string, string> inks) =>
        inks.Aggregate(
            MapPicture.Ground(Map, Features, ways),
            (ground, ink) => ground.Replace($"class=\"{ink.Key}\"", ink.Value, StringComparison.Ordinal)
        );

    /// <summary>How far a tree is settled.</summary>
    public static MapMark MarkOf(TreePoint tree)
    {
        if (tree.IsDisputed)
            return MapMark.Disputed;
        if (tree.Name is null)
            return MapMark.Open;
        return tree.IsNamedAsKind ? MapMark.Settled : MapMark.Half;
    }

    private static string WordsOf(TreePoint tree) => $"{tree.Called}, {tree.Name ?? "still open"}";
}
