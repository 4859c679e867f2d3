namespace VerdantSieve.Core.Botany;

/// <summary>What a taxon shows in one country, where that is not what it shows elsewhere.</summary>
public static class CountryScores
{
    /// <summary>The score of a character as it holds in a country.</summary>
    /// <param name="flora">The flora.</param>
    /// <param name="taxon">One of its taxa.</param>
    /// <param name="character">The id of the character.</param>
    /// <param name="country">The level 3 code.</param>
    /// <returns>What the score says of the country; where it says nothing, a taxon that is no more than planted there stands where it was
    /// planted, and hardly ever where it grows at home. Null where the taxon has no score.</returns>
    public static Score? In(Flora flora, Taxon taxon, string character, string country)
    {
        if (taxon.Score(character) is not StateScore score)
            return taxon.Score(character);
        if (score.ByCountry.TryGetValue(country, out var here))
            return here;
        return character == CharacterIds.Habitat && flora.OccurrenceOf(taxon, country) == Occurrence.Planted ? Planted(score) : score;
    }

    /// <summary>Whether any taxon shows something else of the character in this country than elsewhere.</summary>
    public static bool Differ(Flora flora, string character, string country) =>
        flora.FindCharacter(character) is StateCharacter states
        && (
            character == CharacterIds.Habitat && states.IndexOf(CharacterIds.PlantedThere) >= 0
            || flora.Taxa.Any(taxon => taxon.Score(character) is StateScore score && score.ByCountry.ContainsKey(country))
        );

    private static StateScore Planted(StateScore home) =>
        new([
            new StateFrequency(CharacterIds.PlantedThere, Frequency.Usual),
            .. home
                .States.Where(state => state.State != CharacterIds.PlantedThere)
                .Select(state => state with { Frequency = Frequency.Rare }),
        ]);
}
