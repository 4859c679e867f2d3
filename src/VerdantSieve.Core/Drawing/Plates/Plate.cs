namespace VerdantSieve.Core.Drawing.Plates;

/// <summary>The plate of a kind, as a field guide has it, on a sheet of <see cref="Width"/> by <see cref="Height"/> millimetres; y grows
/// upward from the sheet’s foot.</summary>
/// <param name="Parts">What is drawn, each where it stands.</param>
/// <param name="Marks">The marks against its doubles, each pointed at.</param>
/// <param name="Scale">At which scale leaves are drawn; null where their size is not known.</param>
public sealed record Plate(IReadOnlyList<PlatePart> Parts, IReadOnlyList<PlateMark> Marks, PlateScale? Scale)
{
    /// <summary>The sheet’s width, in millimetres.</summary>
    public const double Width = 180;

    /// <summary>The sheet’s height, in millimetres.</summary>
    public const double Height = 150;
}

/// <summary>One drawing of a plate.</summary>
/// <param name="Organ">What it shows.</param>
/// <param name="Drawing">The drawing.</param>
/// <param name="At">Where it stands, in millimetres.</param>
public sealed record PlatePart(PlateOrgan Organ, Drawing Drawing, Placement At);

/// <summary>A mark against one or more doubles.</summary>
/// <param name="Number">The number at the pointer: 1 and up.</param>
/// <param name="At">What it points at.</param>
/// <param name="Label">Where its number stands.</param>
/// <param name="Text">The mark in words, said of this kind.</param>
/// <param name="Doubles">The scientific names of the kinds it tells from.</param>
public sealed record PlateMark(int Number, Point At, Point Label, string Text, IReadOnlyList<string> Doubles);

/// <summary>The scale of leaves on a plate.</summary>
/// <param name="Times">How many times as long as the plant’s they are drawn: 0.5 is half as long.</param>
/// <param name="BarCentimetres">What the bar stands for, in centimetres of the plant.</param>
/// <param name="Bar">The bar’s left end.</param>
public sealed record PlateScale(double Times, double BarCentimetres, Point Bar)
{
    /// <summary>The bar’s length on the sheet, in millimetres.</summary>
    public double BarLength => BarCentimetres * 10 * Times;
}
