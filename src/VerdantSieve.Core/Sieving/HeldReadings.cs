namespace VerdantSieve.Core.Sieving;

/// <summary>Which readings hold which taxa. Taxa that are held by the same readings share one list.</summary>
internal sealed class HeldReadings
{
    private readonly List<Held> all = [];
    private readonly Held[] byTaxon;

    /// <param name="taxa">How many taxa there are.</param>
    public HeldReadings(int taxa)
    {
        byTaxon = new Held[taxa];
        var none = new Held(null, null) { Taxa = taxa };
        all.Add(none);
        Array.Fill(byTaxon, none);
    }

    // The readings that hold some taxa: those of another list and one more. A list grows to another one; readings come one after another,
    // so that only the newest is asked for again. Many a list only grows on, and is never written out.
    private sealed class Held(Held? before, string? last)
    {
        private string[]? characters;

        public string[] Characters => characters ??= before is null ? [] : [.. before.Characters, last!];
        public string? Last => last;
        public int Taxa { get; set; }
        public Held? Grown { get; set; }
    }

    /// <summary>Says that the reading of a character holds a taxon. All taxa that one reading holds are named before the next
    /// reading.</summary>
    public void Hold(Row taxon, string character)
    {
        ref var held = ref byTaxon[taxon.Index];
        // Read at several places, a character holds a taxon once.
        if (held.Last == character)
            return;
        held.Taxa--;
        held = held.Grown is { } grown && grown.Last == character ? grown : Grow(held, character);
        held.Taxa++;
    }

    private Held Grow(Held held, string character)
    {
        var grown = held.Grown = new Held(held, character);
        all.Add(grown);
        return grown;
    }

    /// <summary>The characters of the readings that hold a taxon.</summary>
    public IReadOnlyList<string> Of(Row taxon) => byTaxon[taxon.Index].Characters;

    /// <summary>How many taxa each reading holds, by its character; those that hold none are left out.</summary>
    public IReadOnlyDictionary<string, int> Counts()
    {
        var counts = new Dictionary<string, int>();
        foreach (var held in all)
            if (held.Taxa > 0)
                foreach (var character in held.Characters)
                    counts[character] = counts.GetValueOrDefault(character) + held.Taxa;
        return counts;
    }
}
