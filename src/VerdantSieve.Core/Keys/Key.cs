using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Keys;

/// <summary>One statement of a lead: a character, and what of it the lead claims.</summary>
/// <param name="Character">The character.</param>
/// <param name="Words">The claim in words.</param>
/// <param name="States">The states claimed, where the character has states; they can be drawn.</param>
/// <param name="Least">The least number or size claimed, where it has those; null where there is no lower limit.</param>
/// <param name="Most">The most; null where there is no upper limit.</param>
/// <param name="Seen">Whether a thing is claimed to be there, where that is asked; null where it is not.</param>
public sealed record Statement(
    Character Character,
    string Words,
    IReadOnlyList<string> States,
    double? Least = null,
    double? Most = null,
    bool? Seen = null
);

/// <summary>One of the two ways of a couplet.</summary>
/// <param name="Statements">What it claims; the first decides, the others run alongside.</param>
/// <param name="Taxa">The taxa that lie this way.</param>
public sealed record Lead(IReadOnlyList<Statement> Statements, IReadOnlyList<Taxon> Taxa)
{
    /// <summary>The number of the couplet it leads to; null where it ends at its taxa.</summary>
    public int? To { get; init; }

    /// <summary>Whether it ends: at one kind, or at several that this key can't part.</summary>
    public bool Ends => To is null;
}

/// <summary>Two leads that exclude each other.</summary>
/// <param name="Number">Its number, from 1.</param>
/// <param name="From">The number of the couplet that leads to it; null for the first.</param>
/// <param name="First">The one way.</param>
/// <param name="Second">The other.</param>
public sealed record Couplet(int Number, int? From, Lead First, Lead Second)
{
    /// <summary>Both ways.</summary>
    public IReadOnlyList<Lead> Leads => [First, Second];

    /// <summary>The group of a genus, or the genus, that a way comes down to and the couplet had not: who gets no further knows that much.
    /// Null where it comes down to none, or to a single kind.</summary>
    public string? NarrowsTo(Lead lead)
    {
        var to = GroupOf(lead.Taxa);
        return lead.Taxa.Count > 1 && to != GroupOf([.. First.Taxa, .. Second.Taxa]) ? to : null;
    }

    private static string? GroupOf(IReadOnlyList<Taxon> taxa)
    {
        var (genus, group) = (taxa[0].Name.Genus, taxa[0].Group);
        if (taxa.Any(taxon => taxon.Name.Genus != genus))
            return null;
        return group is not null && taxa.All(taxon => taxon.Group == group) ? $"{genus}, {group}" : genus;
    }
}

/// <summary>A dichotomous key.</summary>
/// <param name="Taxa">The kinds it is made for.</param>
/// <param name="Season">What must be there to be seen.</param>
/// <param name="Couplets">The couplets in the order of their numbers; none where there is one kind alone.</param>
public sealed record Key(IReadOnlyList<Taxon> Taxa, KeySeason Season, IReadOnlyList<Couplet> Couplets)
{
    /// <summary>A couplet by its number.</summary>
    public Couplet this[int number] => Couplets[number - 1];

    /// <summary>How many couplets lie on the shortest way to each kind.</summary>
    public IReadOnlyDictionary<string, int> Lengths
    {
        get
        {
            var lengths = new Dictionary<string, int>();
            Walk(1, 1, lengths);
            return lengths;
        }
    }

    private void Walk(int number, int length, Dictionary<string, int> lengths)
    {
        if (Couplets.Count == 0)
            return;
        foreach (var lead in this[number].Leads)
            if (lead.To is { } next)
                Walk(next, length + 1, lengths);
            else
                foreach (var taxon in lead.Taxa)
                    lengths[taxon.Name.Text] = Math.Min(length, lengths.GetValueOrDefault(taxon.Name.Text, int.MaxValue));
    }

    /// <summary>The kinds that come out at more than one end, since they show both sides of a couplet.</summary>
    public IReadOnlyList<Taxon> SeveralTimes =>
        [
            .. Couplets
                .SelectMany(couplet => couplet.Leads)
                .Where(lead => lead.Ends)
                .SelectMany(lead => lead.Taxa)
                .CountBy(taxon => taxon)
                .Where(pair => pair.Value > 1)
                .Select(pair => pair.Key),
        ];

    /// <summary>The mean number of couplets on the way to a kind, each kind counting alike.</summary>
    public double MeanLength => Lengths.Count > 0 ? Lengths.Values.Average() : 0;

    /// <summary>The longest way.</summary>
    public int LongestLength => Lengths.Count > 0 ? Lengths.Values.Max() : 0;

    /// <summary>The least mean length that any key with two leads a couplet can have, where each kind comes out once: log₂ of their
    /// number (C. E. Shannon 1948).</summary>
    public double Bound => Taxa.Count > 0 ? Math.Log2(Taxa.Count) : 0;

    /// <summary>The characters used.</summary>
    public IReadOnlyList<Character> Characters =>
        [
            .. Couplets
                .SelectMany(couplet => couplet.Leads)
                .SelectMany(lead => lead.Statements)
                .Select(statement => statement.Character)
                .DistinctBy(character => character.Id)
                .OrderBy(character => character.Order),
        ];

    /// <summary>The states of a character that its statements name, in the order of the vocabulary.</summary>
    public IReadOnlyList<State> StatesUsed(StateCharacter character)
    {
        var used = Couplets
            .SelectMany(couplet => couplet.Leads)
            .SelectMany(lead => lead.Statements)
            .Where(statement => statement.Character.Id == character.Id)
            .SelectMany(statement => statement.States)
            .ToHashSet();
        return [.. character.States.Where(state => used.Contains(state.Id))];
    }
}
