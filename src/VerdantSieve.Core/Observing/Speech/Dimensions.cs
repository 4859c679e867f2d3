using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Measuring;

namespace VerdantSieve.Core.Observing.Speech;

/// <summary>Which way the sizes of a vocabulary are taken.</summary>
internal static class Dimensions
{
    /// <summary>The way a size is taken, as its phrase says: “blade {} long”.</summary>
    public static Dimension Of(MeasureCharacter measure)
    {
        if (measure.Unit == MeasureUnit.Ratio)
            return Dimension.Ratio;
        var phrase = measure.Phrase;
        if (phrase.EndsWith("wide", StringComparison.Ordinal))
            return Dimension.Wide;
        if (phrase.EndsWith("tall", StringComparison.Ordinal))
            return Dimension.Tall;
        return phrase.EndsWith("thick", StringComparison.Ordinal) ? Dimension.Thick : Dimension.Long;
    }
}
