namespace VerdantSieve.Core.Sieving;

/// <summary>Which readings hold which taxa. Taxa that are held by the same readings share one list.</summary>
internal sealed class HeldReadings
{
    private readonly Held[] byTaxon;
    private readonly Dictionary<string, int> counts = [];

    /// <param name="taxa">How many taxa there are.</param>
    public HeldReadings(int taxa)
    {
        byTaxon = new Held[taxa];
        Array.Fill(byTaxon, new Held(null, null));
    }

    // The readings that hold some taxa: those of another list and one more. A list grows to another one; readings come one after another,
    // so that only the newest is asked for again. Many a list only grows on, and is never written out.
    private sealed class Held(Held? before, string? last)
    {
        private string[]? characters;
        private Held? grown;

        public string[] Characters => characters ??= before is null ? [] : [.. before.Characters, last!];
        public string? Last => last;
        public Held With(string character) =>
            grown is { } known && known.Last == character ? known : grown = new Held(this, character);
    }

    /// <summary>Says which taxa the reading of a character holds.</summary>
    /// <param name="character">The character.</param>
    /// <param name="holds">Whether the reading holds the taxon in a row.</param>
    public void Hold(string character, Func<Row, bool> holds)
    {
        var taxa = 0;
        for (var t = 0; t < byTaxon.Length; t++)
        {
            // Read at several places, a character holds a taxon once.
            if (!holds(new Row(t)) || byTaxon[t].Last == character)
                continue;
            byTaxon[t] = byTaxon[t].With(character);
            taxa++;
        }
        if (taxa > 0)
            counts[character] = counts.GetValueOrDefault(character) + taxa;
    }

    /// <summary>The characters of the readings that hold a taxon.</summary>
    public IReadOnlyList<string> Of(Row taxon) => byTaxon[taxon.Index].Characters;

    /// <summary>How many taxa each reading holds, by its character; those that hold none are left out.</summary>
    public IReadOnlyDictionary<string, int> Counts => counts;
}
