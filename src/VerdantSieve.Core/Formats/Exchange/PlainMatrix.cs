using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Formats.Exchange;

/// <summary>What formats have in common that hold taxa and scores and little else.</summary>
internal static class PlainMatrix
{
    /// <summary>What a flora says of itself, where its file says nothing more than a title.</summary>
    public static Entry About(string file, string id, string title) =>
        new Entry(file, 1).With("id", id).With("title", title.Length > 0 ? title : id);

    /// <summary>A taxon of which only scores are known.</summary>
    public static Entry Taxon(string file, int line, string name, IEnumerable<(string Character, string Score)> scores)
    {
        // A taxon of one word is given a second, since a name has a genus and an epithet.
        var entry = new Entry(file, line).With("name", name.Contains(' ') ? name : $"{name} sp.");
        foreach (var field in TaxonFields.All)
            if (field.Write(NothingKnown(name, file)) is { } value)
                entry.With(field.Key, value);
        return entry.With("scores", new EntryValue.Map(new Entry(file, line))).With("scores", scores);
    }

    private static Taxon NothingKnown(string name, string file) =>
        new(new ScientificName("?"))
        {
            Authority = null,
            Family = null,
            CommonNames = [name],
            Distribution = Distribution.NotGiven,
            Settings = [Setting.Wild, Setting.Planted],
            Provenance = $"Read from {file}.",
        };

    /// <summary>What is lost where a format holds neither how often a state is shown nor how often a thing is found.</summary>
    public static IEnumerable<string> LostFrequencies(Flora flora)
    {
        var scores = flora.Taxa.SelectMany(taxon => taxon.Scores.Values).ToArray();
        var weighed = scores.OfType<StateScore>().Count(score => score.States.Any(state => state.Frequency != Frequency.Usual));
        if (weighed > 0)
            yield return $"How often a state is shown is lost in {weighed} scores: usual, sometimes and rarely all become one of "
                + "several states.";
        var often = scores.OfType<PresenceScore>().Count(score => score.Frequency is > 0 and < 1);
        if (often > 0)
            yield return $"How often a thing is found is lost in {often} scores: they become “absent or present”.";
        var places = scores.OfType<StateScore>().Count(score => score.Elsewhere.Count + score.ByCountry.Count > 0);
        if (places > 0)
            yield return $"What is shown at a place of the plant or in one country is lost in {places} scores.";
    }
}
