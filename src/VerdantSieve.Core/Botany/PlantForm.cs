namespace VerdantSieve.Core.Botany;

/// <summary>A garden form of a taxon that shows what the wild plant does not: purple leaves, hanging branches, no thorns.</summary>
/// <param name="Name">What it is called before the name of the kind: purple, weeping, cut-leaved.</param>
/// <param name="Shows">The states it shows in the place of the kind’s own, by character.</param>
/// <param name="Share">How many planted plants of the kind are such, above 0 and below 1.</param>
public sealed record PlantForm(string Name, IReadOnlyDictionary<string, IReadOnlyList<string>> Shows, double Share)
{
    /// <summary>How many planted plants of the kind are such, above 0 and below 1.</summary>
    /// <exception cref="ArgumentOutOfRangeException">It is not above 0 and below 1.</exception>
    public double Share { get; } =
        Share is > 0 and < 1
            ? Share
            : throw new ArgumentOutOfRangeException(nameof(Share), Share, "A form is a share of the planted plants, above 0 and below 1.");

    /// <summary>The form with the name of its kind: “a purple form of Norway maple”.</summary>
    public string Of(Taxon taxon) =>
        $"{("aeiou".Contains(Name[0], StringComparison.Ordinal) ? "an" : "a")} {Name} form of {taxon.CommonName}";

    /// <summary>What plants of a taxon show of a character, its garden forms among them.</summary>
    /// <param name="taxon">The taxon.</param>
    /// <param name="character">The character.</param>
    /// <param name="score">What the taxon shows without its forms.</param>
    /// <param name="part">The part of the forms’ shares that counts, 0 to 1: all of it where the plant was planted, none where it is
    /// wild.</param>
    public static Score? Overlaid(Taxon taxon, Character character, Score? score, double part)
    {
        if (score is not StateScore own || character is not StateCharacter states)
            return score;
        PlantForm[] forms = [.. taxon.Forms.Where(form => form.Shows.ContainsKey(character.Id))];
        var shares = forms.Sum(form => form.Share) * part;
        if (shares <= 0)
            return score;
        // Counted from here on: the order in which they were written has spoken.
        double[] shown = [.. states.SharesOf(own).Select(share => share * Math.Max(0, 1 - shares))];
        foreach (var form in forms)
            foreach (var state in form.Shows[character.Id])
                shown[states.IndexOf(state)] += part * form.Share / form.Shows[character.Id].Count;
        return new StateScore([
            .. states
                .States.Zip(shown)
                .Where(pair => pair.Second > 0)
                .Select(pair => new StateFrequency(pair.First.Id, Frequency.Of(pair.Second))),
        ])
        {
            Elsewhere = own.Elsewhere,
            ByCountry = own.ByCountry,
        };
    }
}
