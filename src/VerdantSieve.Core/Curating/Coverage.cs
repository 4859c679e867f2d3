using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Curating;

/// <summary>How well a flora covers a country: every taxon by how it stands there.</summary>
/// <param name="Country">The level 3 code.</param>
/// <param name="Taxa">The taxa by how they stand there; every taxon is in one of the lists.</param>
public sealed record Coverage(string Country, IReadOnlyDictionary<Occurrence, IReadOnlyList<Taxon>> Taxa)
{
    /// <summary>Goes through a flora for one country.</summary>
    public static Coverage Of(Flora flora, string country)
    {
        var standing = flora.Taxa.ToLookup(taxon => flora.OccurrenceOf(taxon, country));
        return new(
            country,
            Enum.GetValues<Occurrence>()
                .ToDictionary(occurrence => occurrence, occurrence => (IReadOnlyList<Taxon>)[.. standing[occurrence]])
        );
    }

    /// <summary>How many taxa stand so.</summary>
    public int this[Occurrence occurrence] => Taxa[occurrence].Count;
}
