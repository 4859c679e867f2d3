using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Sieving;

namespace VerdantSieve.Core.Practising;

/// <summary>What tells two kinds apart: the mark the flora writes down for one of them or, where it writes none, a character.</summary>
/// <param name="Of">The kind the mark is of; null where it is a character.</param>
/// <param name="Written">The mark; empty where it is a character.</param>
/// <param name="Character">The character both have that tells most; null where a mark is written down.</param>
public sealed record PartingMark(Taxon? Of, string Written, Character? Character)
{
    /// <summary>Finds it.</summary>
    /// <param name="taxon">The kind that is spoken of: its own mark comes first.</param>
    /// <param name="other">The other.</param>
    /// <param name="sieve">The sieve over their flora.</param>
    /// <returns>The mark; null where the flora knows nothing that parts the two.</returns>
    public static PartingMark? Between(Taxon taxon, Taxon other, Sieve sieve)
    {
        foreach (var (one, against) in new[] { (taxon, other), (other, taxon) })
            if (one.Doubles.FirstOrDefault(alike => alike.Name == against.Name.Text) is { Mark: { Length: > 0 } written })
                return new PartingMark(one, written, null);
        var best = sieve
            .TellApart([taxon, other], Circumstances.Unknown)
            .FirstOrDefault(apart => apart.Scores.All(score => score is not null) && apart.Bits > 0);
        return best is null ? null : new PartingMark(null, "", best.Character);
    }
}
