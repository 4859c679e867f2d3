using NodaTime;
using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Sieving;

/// <summary>What a visit on a coming day would let one see of a plant, and how far that would bring it.</summary>
/// <param name="Day">The day.</param>
/// <param name="Looks">The looks most worth making then, best first: as many as one visit holds.</param>
/// <param name="Bits">What they are expected to tell together.</param>
/// <param name="Settles">The chance that they settle the kind, 0 to 1.</param>
public sealed record DayAhead(LocalDate Day, IReadOnlyList<NextLook> Looks, double Bits, double Settles)
{
    /// <summary>The likeliest kind still possible that hurts the skin: the plant is looked at and not touched. Null where none
    /// is.</summary>
    public Taxon? Care { get; init; }
}
