namespace VerdantSieve.Core.Sieving;

/// <summary>Which readings hold which taxa. Taxa that are held by the same readings share one list.</summary>
internal sealed class HeldReadings
{
    private readonly IReadOnlyList<string>[] byTaxon;
    private readonly Dictionary<string, int> counts = [];

    /// <param name="taxa">How many taxa there are.</param>
    public HeldReadings(int taxa)
    {
        byTaxon = new IReadOnlyList<string>[taxa];
        at = new Node[taxa];
        var none = new Node([]);
        Array.Fill(at, none);
        Array.Fill(byTaxon, none.Characters);
    }

    private readonly Node[] at;

    private sealed class Node(IReadOnlyList<string> characters)
    {
        private Node? last;
        private string? lastCharacter;

        public IReadOnlyList<string> Characters => characters;

        // Readings come one after another, so that only the newest way on is asked for again.
        public Node Then(string character)
        {
            if (last is null || lastCharacter != character)
                (last, lastCharacter) = (new Node([.. characters, character]), character);
            return last;
        }
    }

    /// <summary>Says that the reading of a character holds a taxon. All taxa that one reading holds are named before the next
    /// reading.</summary>
    public void Hold(Row taxon, string character)
    {
        // Read at several places, a character holds a taxon once.
        if (at[taxon.Index].Characters is [.., var last] && last == character)
            return;
        at[taxon.Index] = at[taxon.Index].Then(character);
        byTaxon[taxon.Index] = at[taxon.Index].Characters;
        counts[character] = counts.GetValueOrDefault(character) + 1;
    }

    /// <summary>The characters of the readings that hold a taxon.</summary>
    public IReadOnlyList<string> Of(Row taxon) => byTaxon[taxon.Index];

    /// <summary>How many taxa each reading holds, by its character.</summary>
    public IReadOnlyDictionary<string, int> Counts => counts;
}
