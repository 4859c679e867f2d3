namespace VerdantSieve.Core.Formats.Notebook;

/// <summary>What a feature of a map can be, and by what properties it is known.</summary>
public static class GroundKinds
{
    /// <summary>Trees or shrubs.</summary>
    public const string Wood = "wood";

    /// <summary>Standing or broad water.</summary>
    public const string Water = "water";

    /// <summary>Running water, as a line.</summary>
    public const string Stream = "stream";

    /// <summary>A way for people on foot.</summary>
    public const string Path = "path";

    /// <summary>A way for vehicles.</summary>
    public const string Road = "road";

    /// <summary>A building.</summary>
    public const string Building = "building";

    /// <summary>The bounds of a reserve, a park, a garden.</summary>
    public const string Edge = "edge";

    /// <summary>Anything else: a plain line.</summary>
    public const string Line = "line";

    /// <summary>All of them.</summary>
    public static IReadOnlyList<string> All { get; } = [Wood, Water, Stream, Path, Road, Building, Edge, Line];

    private static readonly string[] OnFoot = ["path", "footway", "track", "steps", "bridleway", "cycleway", "pedestrian"];

    // The keys and values most used in open map data, as remembered; in this order, since a wood can be a reserve, too.
    private static readonly (string Key, string[] Values, string Kind)[] Tags =
    [
        ("building", [], Building),
        ("waterway", ["riverbank", "dock"], Water),
        ("waterway", [], Stream),
        ("highway", OnFoot, Path),
        ("highway", [], Road),
        ("natural", ["water", "bay"], Water),
        ("landuse", ["reservoir", "basin"], Water),
        ("natural", ["wood", "scrub", "tree_row"], Wood),
        ("landuse", ["forest", "orchard"], Wood),
        ("leisure", ["nature_reserve", "park", "garden"], Edge),
        ("boundary", [], Edge),
    ];

    /// <summary>What a feature is.</summary>
    /// <param name="property">The text of one of its properties; empty where it has none such.</param>
    /// <returns>One of <see cref="All"/>.</returns>
    public static string Of(Func<string, string> property)
    {
        var kind = property("kind").ToLowerInvariant();
        return All.Contains(kind) ? kind : Tags.FirstOrDefault(tag => Holds(tag.Values, property(tag.Key))).Kind ?? Line;
    }

    private static bool Holds(string[] values, string value) =>
        value.Length > 0 && value != "no" && (values.Length == 0 || values.Contains(value));
}
