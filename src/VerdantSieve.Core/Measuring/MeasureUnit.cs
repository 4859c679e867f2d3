namespace VerdantSieve.Core.Measuring;

/// <summary>The unit a measure is kept in.</summary>
public enum MeasureUnit
{
    /// <summary>Centimetres.</summary>
    Centimetre,

    /// <summary>Metres.</summary>
    Metre,

    /// <summary>A ratio without a unit.</summary>
    Ratio,
}

/// <summary>How the units of measures are written in files and answers.</summary>
public static class MeasureUnits
{
    /// <summary><c>cm</c>, <c>m</c> or <c>ratio</c>.</summary>
    public static string Symbol(this MeasureUnit unit) =>
        unit switch
        {
            MeasureUnit.Centimetre => "cm",
            MeasureUnit.Metre => "m",
            MeasureUnit.Ratio => "ratio",
        };

    /// <summary>The unit a symbol stands for; null where it is none of them.</summary>
    public static MeasureUnit? Read(string symbol) =>
        Enum.GetValues<MeasureUnit>().Where(unit => unit.Symbol() == symbol).Select(unit => (MeasureUnit?)unit).FirstOrDefault();
}
