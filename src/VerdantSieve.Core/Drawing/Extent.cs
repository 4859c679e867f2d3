namespace VerdantSieve.Core.Drawing;

/// <summary>The least upright box that holds a drawing.</summary>
/// <param name="Low">Its lower left corner.</param>
/// <param name="High">Its upper right corner.</param>
public readonly record struct Extent(Point Low, Point High)
{
    /// <summary>The box of nothing: it grows with whatever it is to hold.</summary>
    public static Extent Nothing { get; } = new(new(double.MaxValue, double.MaxValue), new(double.MinValue, double.MinValue));

    /// <summary>How wide it is.</summary>
    public double Width => High.X - Low.X;

    /// <summary>How high it is.</summary>
    public double Height => High.Y - Low.Y;

    /// <summary>The box that holds a point as well.</summary>
    public Extent And(Point point) =>
        new(new Point(Math.Min(Low.X, point.X), Math.Min(Low.Y, point.Y)), new Point(Math.Max(High.X, point.X), Math.Max(High.Y, point.Y)));
}
