using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Sieving;

namespace VerdantSieve.Core.Curating;

/// <summary>What was read on plants that were settled as a taxon, and what the flora does not list for it.</summary>
/// <param name="Taxon">The taxon.</param>
/// <param name="Reading">The reading, one of those alike.</param>
/// <param name="Looks">On how many plants.</param>
public sealed record ReadingGap(Taxon Taxon, Reading Reading, int Looks)
{
    /// <summary>The gaps that settled looks point to, those met most often first; what may as well be the observer's slip is left
    /// out.</summary>
    /// <param name="sieve">The key over the flora.</param>
    /// <param name="settled">The looks, each with the taxon it was settled as.</param>
    public static IReadOnlyList<ReadingGap> Of(Sieve sieve, IEnumerable<(Taxon Taxon, SieveQuestion Question)> settled) =>
        [
            .. settled
                .SelectMany(look =>
                    sieve
                        .Bearings(look.Taxon, look.Question)
                        .Where(bearing => bearing.Standing == Standing.Disagrees && bearing.Reading.Certainty != Certainty.Guess)
                        .Select(bearing => (look.Taxon, bearing.Reading))
                )
                .GroupBy(pair => (pair.Taxon.Name, pair.Reading.Character, pair.Reading.Observation, pair.Reading.On))
                .Select(gap => new ReadingGap(gap.First().Taxon, gap.First().Reading, gap.Count()))
                .OrderByDescending(gap => gap.Looks)
                .ThenBy(gap => gap.Taxon.Name),
        ];
}
