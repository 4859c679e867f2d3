using VerdantSieve.Core.Measuring;

namespace VerdantSieve.Core.Botany;

/// <summary>A character read as a length or a ratio.</summary>
public sealed record MeasureCharacter(string Id, MeasureUnit Unit) : Character(Id)
{
    /// <summary>The largest size that is taken for one, in its own unit: metres of a tree's height, else centimetres or a ratio.</summary>
    public double Largest => Unit == MeasureUnit.Metre ? 150 : 500;

    /// <summary>The smallest size that is taken for one, in its own unit.</summary>
    public const double Smallest = 0.001;

    /// <inheritdoc/>
    public override T Match<T>(
        Func<StateCharacter, T> states,
        Func<CountCharacter, T> count,
        Func<MeasureCharacter, T> measure,
        Func<PresenceCharacter, T> presence,
        Func<SeasonCharacter, T> season
    ) => measure(this);
}
