using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Measuring;
using VerdantSieve.Core.Observing.Speech;

namespace VerdantSieve.Views.Looks;

/// <summary>What is being said, as it stands under the field: it needs no sieving, and so can follow every letter.</summary>
/// <param name="Heard">What was understood, and what was not.</param>
/// <param name="Flora">The flora it was read with.</param>
/// <param name="Style">The reader's units.</param>
/// <param name="To">Where its links lead.</param>
public sealed record HeardView(Heard Heard, Flora Flora, LengthStyle Style, ILookAddresses To)
{
    /// <summary>A chip for each reading.</summary>
    public IReadOnlyList<HeardChip> Chips { get; } = HeardChip.Of(Heard, Flora, Style);
}
