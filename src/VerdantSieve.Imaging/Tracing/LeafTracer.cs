using OpenCvSharp;
using VerdantSieve.Core;
using VerdantSieve.Imaging.Pictures;
using CorePoint = VerdantSieve.Core.Drawing.Point;
using CvPoint = OpenCvSharp.Point;

namespace VerdantSieve.Imaging.Tracing;

/// <summary>Finds leaves on a plain ground and follows their outlines. A leaf is told from ground, shadow and ruler by its colour, which
/// uneven light changes less than it changes brightness.</summary>
public static class LeafTracer
{
    // The longer side of the picture that is traced: more would show nothing more of a leaf.
    private const int WorkingSide = 2200;

    // A leaf takes up at least this part of the picture.
    private const double LeastPart = 0.002;

    private const int MostLeaves = 30;

    // How far a leaf’s colour is from the ground’s at least, in thirds of a step of CIELAB.
    private const double LeastColour = 42;

    /// <summary>Traces a picture.</summary>
    /// <param name="picture">A JPEG, PNG or WebP file.</param>
    /// <param name="scale">How large things on it are, in its own pixels.</param>
    /// <param name="cuts">Lines along which leaves that touch are parted, in the pixels of the picture that came out before; empty at
    /// first.</param>
    /// <param name="cancel">Stops it.</param>
    /// <returns>What was found; or what is wrong with the picture.</returns>
    public static Outcome<TracedPicture> Trace(
        ReadOnlySpan<byte> picture,
        PictureScale scale,
        IReadOnlyList<(CorePoint From, CorePoint To)>? cuts = null,
        CancellationToken cancel = default
    )
    {
        if (PictureBounds.Amiss(picture) is { } amiss)
            return amiss;
        using var read = Cv2.ImDecode(picture, ImreadModes.Color);
        if (read.Empty())
            return PictureBounds.Unreadable;
        cancel.ThrowIfCancellationRequested();
        using var straight = Straightened(read, scale, out var perCentimetre);
        cancel.ThrowIfCancellationRequested();
        using var mask = Mask(straight);
        foreach (var (from, to) in cuts ?? [])
            Cv2.Line(mask, ToCv(from), ToCv(to), Scalar.Black, 3, LineTypes.Link4);
        cancel.ThrowIfCancellationRequested();
        var leaves = Leaves(mask, cancel);
        Cv2.ImEncode(".jpg", straight, out var written, new ImageEncodingParam(ImwriteFlags.JpegQuality, 86));
        return new TracedPicture(written, straight.Width, straight.Height, perCentimetre, leaves);
    }

    private static CvPoint ToCv(CorePoint p) => new((int)Math.Round(p.X), (int)Math.Round(p.Y));

    private static Mat Straightened(Mat read, PictureScale scale, out double perCentimetre)
    {
        switch (scale)
        {
            case PictureScale.FourCorners sheet:
                // As fine as the picture shows the sheet’s sides.
                var (top, side) = (sheet.Corners[0].To(sheet.Corners[1]), sheet.Corners[1].To(sheet.Corners[2]));
                perCentimetre = Math.Max(top / sheet.WidthCentimetres, side / sheet.HeightCentimetres);
                perCentimetre = Math.Min(perCentimetre, WorkingSide / Math.Max(sheet.WidthCentimetres, sheet.HeightCentimetres));
                var (width, height) = ((float)(sheet.WidthCentimetres * perCentimetre), (float)(sheet.HeightCentimetres * perCentimetre));
                using (
                    var turn = Cv2.GetPerspectiveTransform(
                        sheet.Corners.Select(p => new Point2f((float)p.X, (float)p.Y)),
                        [new Point2f(0, 0), new Point2f(width, 0), new Point2f(width, height), new Point2f(0, height)]
                    )
                )
                {
                    var straight = new Mat();
                    Cv2.WarpPerspective(
                        read,
                        straight,
                        turn,
                        new Size((int)Math.Round(width), (int)Math.Round(height)),
                        InterpolationFlags.Area
                    );
                    return straight;
                }
            case PictureScale.TwoPoints two:
                var shrink = Math.Min(1, (double)WorkingSide / Math.Max(read.Width, read.Height));
                perCentimetre = two.From.To(two.To) / two.Centimetres * shrink;
                var resized = new Mat();
                Cv2.Resize(read, resized, default, shrink, shrink, InterpolationFlags.Area);
                return resized;
            case var other:
                throw new ArgumentOutOfRangeException(nameof(scale), other, "A scale is given by two points or by four corners.");
        }
    }

    // White where there is leaf.
    private static Mat Mask(Mat picture)
    {
        using var soft = new Mat();
        Cv2.GaussianBlur(picture, soft, new Size(3, 3), 0);
        using var lab = new Mat();
        Cv2.CvtColor(soft, lab, ColorConversionCodes.BGR2Lab);
        var channels = lab.Split();
        try
        {
            // The ground’s own colour is what is commonest: leaves leave most of it free.
            var (a, b) = (Commonest(channels[1]), Commonest(channels[2]));
            using var distance = new Mat();
            using var da = new Mat();
            using var db = new Mat();
            channels[1].ConvertTo(da, MatType.CV_32F, 1, -a);
            channels[2].ConvertTo(db, MatType.CV_32F, 1, -b);
            Cv2.Magnitude(da, db, distance);
            using var bytes = new Mat();
            distance.ConvertTo(bytes, MatType.CV_8U, 3);
            var mask = new Mat();
            // Where leaves take up little of the picture the parting by Otsu’s rule would fall within the grain of the ground.
            var parting = Cv2.Threshold(bytes, mask, 0, 255, ThresholdTypes.Binary | ThresholdTypes.Otsu);
            if (parting < LeastColour)
                Cv2.Threshold(bytes, mask, LeastColour, 255, ThresholdTypes.Binary);
            using var small = Cv2.GetStructuringElement(MorphShapes.Ellipse, new Size(3, 3));
            Cv2.MorphologyEx(mask, mask, MorphTypes.Close, small, iterations: 2);
            return mask;
        }
        finally
        {
            foreach (var channel in channels)
                channel.Dispose();
        }
    }

    private static double Commonest(Mat channel)
    {
        using var histogram = new Mat();
        Cv2.CalcHist([channel], [0], null, histogram, 1, [256], [new Rangef(0, 256)]);
        Cv2.MinMaxLoc(histogram, out _, out _, out _, out CvPoint most);
        return most.Y;
    }

    private static IReadOnlyList<TracedLeaf> Leaves(Mat mask, CancellationToken cancel)
    {
        Cv2.FindContours(mask, out var contours, out _, RetrievalModes.External, ContourApproximationModes.ApproxNone);
        var least = LeastPart * mask.Width * mask.Height;
        var leaves = new List<TracedLeaf>();
        foreach (
            var contour in contours
                .Where(contour => Cv2.ContourArea(contour) >= least)
                .OrderByDescending(contour => Cv2.ContourArea(contour))
                .Take(MostLeaves)
        )
        {
            cancel.ThrowIfCancellationRequested();
            if (Leaf(mask, contour) is { } leaf)
                leaves.Add(leaf);
        }
        return [.. leaves.OrderBy(leaf => leaf.Outline.Average(p => p.X))];
    }

    // The blade of one leaf without its stalk.
    private static TracedLeaf? Leaf(Mat mask, CvPoint[] contour)
    {
        const int edge = 4;
        var box = Cv2.BoundingRect(contour);
        using var own = new Mat(box.Height + 2 * edge, box.Width + 2 * edge, MatType.CV_8U, Scalar.Black);
        var shift = new CvPoint(edge - box.X, edge - box.Y);
        Cv2.FillPoly(own, [contour.Select(p => p + shift)], Scalar.White);
        var area = Cv2.ContourArea(contour);
        var cut = TakeStalk(own, Math.Sqrt(area));
        Cv2.FindContours(own, out var parts, out _, RetrievalModes.External, ContourApproximationModes.ApproxNone);
        if (parts.Length == 0)
            return null;
        var blade = parts.MaxBy(part => Cv2.ContourArea(part))!;
        CorePoint Back(CvPoint p) => new(p.X - shift.X, p.Y - shift.Y);
        IReadOnlyList<CorePoint> outline = Widened([.. Thinned(blade).Select(Back)]);
        if (outline.Count < 8)
            return null;
        // Where no stalk is seen, the lower end is taken for the foot; the person turns it round.
        var at = cut is { } found ? Back(found.Foot) : Ends(outline).MaxBy(end => end.Y);
        var nearest = outline.MinBy(p => p.To(at));
        var tip = TipOf(outline, nearest);
        var leaf = new TracedLeaf(outline, nearest, tip);
        return LeafEnds.Tip(cut is var (_, radius) ? LeafEnds.Foot(leaf, radius) : leaf);
    }

    // The far end of the line from the foot through the middle of the blade, and thereabouts the farthest place.
    private static CorePoint TipOf(IReadOnlyList<CorePoint> outline, CorePoint foot)
    {
        var middle = Core.Leaves.Polygon.Centroid(outline);
        var far = Math.Max(foot.To(middle), 1e-6);
        var (ux, uy) = ((middle.X - foot.X) / far, (middle.Y - foot.Y) / far);
        double Along(CorePoint p) => (p.X - foot.X) * ux + (p.Y - foot.Y) * uy;
        double Aside(CorePoint p) => Math.Abs((p.X - foot.X) * uy - (p.Y - foot.Y) * ux);
        var length = outline.Max(Along);
        var end = outline.Where(p => Along(p) > far).DefaultIfEmpty(outline[0]).MinBy(p => Aside(p) - 0.2 * Along(p));
        // A lobe that leans is climbed from its side to its end.
        while (outline.Where(p => p.To(end) < 0.09 * length).MaxBy(Along) is var higher && Along(higher) > Along(end))
            end = higher;
        return end;
    }

    // The longest thin part that hangs on the blade is the stalk: it is taken away, and where it hung is the foot.
    private static (CvPoint Foot, double Radius)? TakeStalk(Mat own, double size)
    {
        using var depth = new Mat();
        Cv2.DistanceTransform(own, depth, DistanceTypes.L2, DistanceTransformMasks.Mask5);
        if (Thin(own, depth, size) is not { } rough)
            return null;
        // The stalk itself is about as thin all along: what is half as wide again is blade.
        using var part = new Mat(own.Size(), MatType.CV_8U, Scalar.Black);
        Cv2.FillPoly(part, [rough], Scalar.White);
        var radius = 1.5 * HalfWidth(depth, part) + 1;
        using var finer = Opened(own, radius);
        var stalk = Longest(own, finer, depth, 0.05 * size, part) ?? rough;
        Cv2.FillPoly(own, [stalk], Scalar.Black);
        // Where it touched the blade.
        var touching = stalk.Where(p => Touches(finer, p)).ToArray();
        return touching.Length == 0 ? null : (new CvPoint((int)touching.Average(p => p.X), (int)touching.Average(p => p.Y)), radius);
    }

    // Thinner than this, and long, may be a stalk, with the narrow end of a tapered blade on it; where the ends of lobes hang on it as
    // well, it is seen alone among what is thinner still.
    private static CvPoint[]? Thin(Mat own, Mat depth, double size)
    {
        foreach (var radius in new[] { 0.03, 0.02, 0.013 })
        {
            using var opened = Opened(own, radius * size);
            if (Longest(own, opened, depth, 0.1 * size, within: null) is { } found)
                return found;
        }
        return null;
    }

    // What a disc of a radius can be moved about in: by distances, which takes as long for a large disc as for a small one.
    private static Mat Opened(Mat mask, double radius)
    {
        using var depth = new Mat();
        Cv2.DistanceTransform(mask, depth, DistanceTypes.L2, DistanceTransformMasks.Mask5);
        using var outside = new Mat();
        Cv2.Threshold(depth, outside, radius, 255, ThresholdTypes.BinaryInv);
        outside.ConvertTo(outside, MatType.CV_8U);
        using var away = new Mat();
        Cv2.DistanceTransform(outside, away, DistanceTypes.L2, DistanceTransformMasks.Mask5);
        var opened = new Mat();
        Cv2.Threshold(away, opened, radius, 255, ThresholdTypes.BinaryInv);
        opened.ConvertTo(opened, MatType.CV_8U);
        Cv2.BitwiseAnd(opened, mask, opened);
        return opened;
    }

    // Half as wide as it is along most of its middle.
    private static double HalfWidth(Mat depth, Mat part)
    {
        var values = new List<float>();
        var (width, height) = (depth.Width, depth.Height);
        for (var y = 0; y < height; y++)
        {
            var most = 0f;
            for (var x = 0; x < width; x++)
                if (part.At<byte>(y, x) > 0)
                    most = Math.Max(most, depth.At<float>(y, x));
            if (most > 0)
                values.Add(most);
        }
        values.Sort();
        return values.Count == 0 ? 1 : values[values.Count / 3];
    }

    // The longest part that an opening took away, at least so long; within another part where one is given.
    private static CvPoint[]? Longest(Mat own, Mat opened, Mat depth, double least, Mat? within)
    {
        using var rest = new Mat();
        Cv2.Subtract(own, opened, rest);
        if (within is not null)
            Cv2.BitwiseAnd(rest, within, rest);
        Cv2.FindContours(rest, out var thin, out _, RetrievalModes.External, ContourApproximationModes.ApproxNone);
        CvPoint[]? best = null;
        var most = 0.0;
        foreach (var part in thin.Where(part => part.Length > 8))
        {
            var box = Cv2.MinAreaRect(part);
            var length = Math.Max(box.Size.Width, box.Size.Height);
            var width = Math.Max(1, Cv2.ContourArea(part) / length);
            if (length < least || length < 4 * width)
                continue;
            // A lobe’s or blade’s drawn-out tip tapers; a stalk is about as thin all along.
            var even = Evenness(part, depth);
            // Of a lobe and a stalk as long the thinner is the stalk.
            var stalkiness = length * even / Math.Sqrt(width);
            if (even > 0.55 && stalkiness > most)
                (best, most) = (part, stalkiness);
        }
        return best;
    }

    // How thin it is towards its thinner end, over how thin towards the other: 1 where it is as thin all along.
    private static double Evenness(CvPoint[] part, Mat depth)
    {
        var (one, other) = (part.MaxBy(p => Far(p, part[0])), part[0]);
        other = part.MaxBy(p => Far(p, one));
        var length = Math.Sqrt(Far(one, other));
        var (ux, uy) = ((other.X - one.X) / length, (other.Y - one.Y) / length);
        var box = Cv2.BoundingRect(part);
        var (first, second) = (0f, 0f);
        for (var y = box.Top; y < box.Bottom; y++)
            for (var x = box.Left; x < box.Right; x++)
            {
                var along = ((x - one.X) * ux + (y - one.Y) * uy) / length;
                if (along is > 0.2 and < 0.35)
                    first = Math.Max(first, depth.At<float>(y, x));
                else if (along is > 0.65 and < 0.8)
                    second = Math.Max(second, depth.At<float>(y, x));
            }
        return Math.Min(first, second) / Math.Max(Math.Max(first, second), 1e-3);
    }

    private static double Far(CvPoint a, CvPoint b) => Math.Pow(a.X - b.X, 2) + Math.Pow(a.Y - b.Y, 2);

    private static bool Touches(Mat opened, CvPoint p)
    {
        for (var y = -2; y <= 2; y++)
            for (var x = -2; x <= 2; x++)
                if (
                    p.X + x is var i
                    && p.Y + y is var j
                    && i >= 0
                    && j >= 0
                    && i < opened.Width
                    && j < opened.Height
                    && opened.At<byte>(j, i) > 0
                )
                    return true;
        return false;
    }

    // Steps of a pixel make a way round too long; each place becomes the mean of a few, and every second is kept.
    private static IEnumerable<CvPoint> Thinned(CvPoint[] contour)
    {
        var every = Math.Max(1, contour.Length / 1800);
        for (var i = 0; i < contour.Length; i += every)
            yield return contour[i];
    }

    // The way round goes through the middles of pixels: the edge lies half a pixel farther out.
    private static IReadOnlyList<CorePoint> Widened(IReadOnlyList<CorePoint> outline)
    {
        const double out_ = 0.5;
        const int reach = 3;
        var count = outline.Count;
        var side = Core.Leaves.Polygon.SignedArea(outline) > 0 ? out_ : -out_;
        return
        [
            .. Enumerable
                .Range(0, count)
                .Select(i =>
                {
                    var (a, b) = (outline[(i + count - reach) % count], outline[(i + reach) % count]);
                    var far = Math.Max(a.To(b), 1e-6);
                    return new CorePoint(outline[i].X + side * (b.Y - a.Y) / far, outline[i].Y - side * (b.X - a.X) / far);
                }),
        ];
    }

    // Both ends of the longest line across.
    private static IReadOnlyList<CorePoint> Ends(IReadOnlyList<CorePoint> outline)
    {
        var one = outline.MaxBy(p => p.To(outline[0]));
        return [one, outline.MaxBy(p => p.To(one))];
    }
}
