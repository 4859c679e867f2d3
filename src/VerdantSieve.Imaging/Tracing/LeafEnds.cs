using VerdantSieve.Core.Drawing;
using VerdantSieve.Core.Leaves;

namespace VerdantSieve.Imaging.Tracing;

/// <summary>Where a blade really begins and ends: a stalk hides its foot, and a drawn-out tip becomes thinner than the picture is sharp.
/// Both sides are followed to where they meet.</summary>
internal static class LeafEnds
{
    // As parts of the length: how far the sides are looked at, and how far they are followed at most.
    private const double LookedAt = 0.045,
        FollowedUp = 0.09,
        FollowedDown = 0.06,
        FollowedToTip = 0.13;

    // So many pixels along the edge on both sides of its end a sharp tip is this thin at most; a round one is nearly twice as wide.
    private const double AtTheEnd = 6,
        Sharp = 6;

    /// <summary>Sets the foot right.</summary>
    /// <param name="leaf">The leaf without its stalk, cut off where it hung.</param>
    /// <param name="cut">Half as wide as what was cut through, in pixels.</param>
    public static TracedLeaf Foot(TracedLeaf leaf, double cut) => Hidden(leaf) ?? Tapering(leaf, cut) ?? leaf;

    /// <summary>Sets the tip right.</summary>
    public static TracedLeaf Tip(TracedLeaf leaf)
    {
        var (at, step) = Place(leaf, leaf.Tip);
        var length = leaf.Foot.To(leaf.Tip);
        var near = Math.Max(2, (int)(AtTheEnd / step));
        if (Across(leaf, at, near).Width > Sharp)
            return leaf;
        // The sides of a drawn-out tip bend inward: seen from too near they meet too far.
        foreach (var look in new[] { LookedAt, 2 * LookedAt })
            if (
                Met(leaf, at, near, Math.Max(near + 6, (int)(look * length / step))) is { } met
                && met.To(leaf.Tip) is var beyond
                && beyond > 1
                && beyond < FollowedToTip * length
            )
                return new TracedLeaf(With(leaf.Outline, at, near, met), leaf.Foot, met);
        return leaf;
    }

    // A wedge runs into its stalk: where the stalk was cut off the blade is already as wide as it.
    private static TracedLeaf? Tapering(TracedLeaf leaf, double cut)
    {
        var (at, step) = Place(leaf, leaf.Foot);
        var length = leaf.Foot.To(leaf.Tip);
        var near = Math.Max(2, (int)(1.4 * cut / step));
        return Met(leaf, at, near, near + (int)(LookedAt * length / step)) is { } met && met.To(leaf.Foot) < FollowedDown * length
            ? new TracedLeaf(With(leaf.Outline, at, near, met), met, leaf.Tip)
            : null;
    }

    // Where the sides that are this and that many steps away from a place meet outside of the blade; null where they do not.
    private static Point? Met(TracedLeaf leaf, int at, int near, int far)
    {
        if (2 * far >= leaf.Outline.Count || far <= near)
            return null;
        var (one, other) = (Across(leaf, at, near), Across(leaf, at, far));
        var apart = one.Middle.To(other.Middle);
        var widening = (other.Width - one.Width) / Math.Max(apart, 1e-6);
        if (widening <= 0.02)
            return null;
        var beyond = one.Width / widening / apart;
        return new Point(one.Middle.X + (one.Middle.X - other.Middle.X) * beyond, one.Middle.Y + (one.Middle.Y - other.Middle.Y) * beyond);
    }

    private static (Point Middle, double Width) Across(TracedLeaf leaf, int at, int steps)
    {
        var (a, b) = (On(leaf.Outline, at - steps), On(leaf.Outline, at + steps));
        return (new Point((a.X + b.X) / 2, (a.Y + b.Y) / 2), a.To(b));
    }

    // Where a stalk lies between two sides that hang below it, it hides the end of the bay.
    private static TracedLeaf? Hidden(TracedLeaf leaf)
    {
        var (foot, tip) = (leaf.Foot, leaf.Tip);
        var length = foot.To(tip);
        var (at, step) = Place(leaf, foot);
        var (near, far) = ((int)(0.035 * length / step), (int)(0.08 * length / step));
        if (near < 2 || far <= near + 2)
            return null;
        Point Of(int steps) => On(leaf.Outline, at + steps);
        var (a, b, c, d) = (Of(-far), Of(-near), Of(far), Of(near));
        var (ax, ay, cx, cy) = (b.X - a.X, b.Y - a.Y, d.X - c.X, d.Y - c.Y);
        var cross = ax * cy - ay * cx;
        // Nearly in one line they meet nowhere that says anything.
        if (Math.Abs(cross) < 0.4 * a.To(b) * c.To(d))
            return null;
        var along = ((c.X - a.X) * cy - (c.Y - a.Y) * cx) / cross;
        var meet = new Point(a.X + along * ax, a.Y + along * ay);
        var up = ((meet.X - foot.X) * (tip.X - foot.X) + (meet.Y - foot.Y) * (tip.Y - foot.Y)) / length;
        return up < 0.004 * length || up > FollowedUp * length || meet.To(foot) > 0.1 * length
            ? null
            : new TracedLeaf(With(leaf.Outline, at, near, meet), meet, tip);
    }

    private static (int At, double Step) Place(TracedLeaf leaf, Point end) =>
        (Enumerable.Range(0, leaf.Outline.Count).MinBy(i => leaf.Outline[i].To(end)), Polygon.Perimeter(leaf.Outline) / leaf.Outline.Count);

    private static Point On(IReadOnlyList<Point> outline, int at) => outline[(at % outline.Count + outline.Count) % outline.Count];

    // A point in the place of what lies so many steps on both sides of another.
    private static IReadOnlyList<Point> With(IReadOnlyList<Point> outline, int at, int steps, Point end) =>
        [end, .. Enumerable.Range(steps, outline.Count - 2 * steps).Select(i => On(outline, at + i))];
}
