using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Sieving;

namespace VerdantSieve.Core.Keys;

/// <summary>Makes dichotomous keys: at each couplet what parts the kinds that are left best, for what it costs to look and how seldom it is
/// misread.</summary>
/// <remarks>Couplet by couplet from the top (as R. J. Pankhurst 1970 and others did), each chosen by expected information (C. E. Shannon
/// 1948)
/// × reliability ÷ effort. Of the criteria that R. W. Payne and D. A. Preece (1980, Identification keys and diagnostic tables) gather, as
/// remembered: few couplets on the way, cheap and reliable tests first, kinds that show both sides at both ends, statements that
/// exclude each other.</remarks>
/// <param name="flora">The flora.</param>
/// <param name="model">What is assumed of observers: how loosely words are used.</param>
public sealed class KeyBuilder(Flora flora, SieveModel? model = null)
{
    // A couplet's further statements: so many, each parting the kinds as the first does but for what it lets through both ways.
    private const int MostAlongside = 2;

    // A look costs something however easy it is: turning to the plant, reading the couplet.
    private const double LeastEffort = 0.5;

    // A careful reader of a key slips as often as that, beside what words do.
    private const double Slips = 0.03;

    // A key that is deeper goes round in circles: each step must leave fewer.
    private const int Deepest = 60;

    /// <summary>Whether a couplet is chosen by how evenly it parts alone, whatever it costs and however often it is misread: for
    /// comparison.</summary>
    public bool IgnoresCost { get; init; }

    private readonly KeySplits splits = new(flora);
    private readonly SieveModel model = model ?? SieveModel.Standard;

    /// <summary>Makes a key.</summary>
    /// <param name="taxa">The kinds; at least one.</param>
    /// <param name="season">What can be seen of them.</param>
    /// <exception cref="ArgumentException">There is no kind.</exception>
    public Key Build(IReadOnlyList<Taxon> taxa, KeySeason season)
    {
        if (taxa.Count == 0)
            throw new ArgumentException("A key is made for at least one kind.", nameof(taxa));
        Character[] shown = [.. flora.Characters.Where(character => season.Shows(character))];
        var couplets = new List<Couplet?>();
        Grow(taxa, season, shown, couplets, null, 0);
        return new Key(taxa, season, [.. couplets.Select(couplet => couplet!)]);
    }

    // Adds the couplet for some taxa and what hangs on it; null where nothing parts them.
    private int? Grow(IReadOnlyList<Taxon> taxa, KeySeason season, Character[] shown, List<Couplet?> couplets, int? from, int depth)
    {
        if (taxa.Count < 2 || depth >= Deepest)
            return null;
        KeySplit[] ways = [.. Usable(taxa, season, shown).SelectMany(character => splits.Of(character, taxa)).Where(split => split.Parts)];
        var groups = GroupsOf(taxa);
        if (ways.MaxBy(way => Worth(way) * (groups is not null && Keeps(groups, way) ? GroupsFirst : 1)) is not { } best)
            return null;
        couplets.Add(null);
        var number = couplets.Count;
        var (first, second) = (Members(taxa, best, Side.First), Members(taxa, best, Side.Second));
        var alongside = Alongside(ways, best);
        var one = new Lead([best.First, .. alongside.Select(split => split.First)], first)
        {
            To = Grow(first, season, shown, couplets, number, depth + 1),
        };
        var other = new Lead([best.Second, .. alongside.Select(split => split.Second)], second)
        {
            To = Grow(second, season, shown, couplets, number, depth + 1),
        };
        couplets[number - 1] = new Couplet(number, from, one, other);
        return number;
    }

    // In a large genus the groups are parted before the kinds: whoever gets no further knows the group. A couplet that leaves each group
    // whole is worth so many times as much there.
    private const int LargeGenus = 6;
    private const double GroupsFirst = 2.5,
        MostlyOne = 0.75;

    // The group of each kind, where they are mostly of one large genus that has groups; null where not.
    private static string?[]? GroupsOf(IReadOnlyList<Taxon> taxa)
    {
        var genus = taxa.CountBy(taxon => taxon.Name.Genus).MaxBy(pair => pair.Value);
        if (genus.Value < LargeGenus || genus.Value < MostlyOne * taxa.Count)
            return null;
        string?[] groups = [.. taxa.Select(taxon => taxon.Name.Genus == genus.Key ? taxon.Group : null)];
        return groups.OfType<string>().Distinct().Count() > 1 ? groups : null;
    }

    private static bool Keeps(string?[] groups, KeySplit way)
    {
        var sides = groups.Zip(way.Sides).Where(pair => pair.First is not null).ToLookup(pair => pair.First!, pair => pair.Second);
        return sides.All(group => group.Distinct().Count() == 1 && group.First() != Side.Both)
            && sides.Select(group => group.First()).Distinct().Count() > 1;
    }

    private static Taxon[] Members(IReadOnlyList<Taxon> taxa, KeySplit split, Side side) =>
        [.. taxa.Where((_, at) => split.Sides[at] == side || split.Sides[at] == Side.Both)];

    // A character is asked only where all that is left can show it, and is touched only where nothing that is left hurts.
    private IEnumerable<Character> Usable(IReadOnlyList<Taxon> taxa, KeySeason season, Character[] shown)
    {
        var hurts = taxa.Any(taxon => taxon.HurtsOnTouch);
        return shown.Where(character =>
            (!hurts || !character.Contact) && flora.Vocabulary.ConditionsOf(character).All(condition => IsMet(condition, taxa, season))
        );
    }

    private bool IsMet(Condition condition, IReadOnlyList<Taxon> taxa, KeySeason season)
    {
        if (flora.FindCharacter(condition.CharacterId) is SeasonCharacter of)
            return of.Id == CharacterIds.Flowering ? season == KeySeason.Flower : season == KeySeason.Fruit;
        return taxa.All(taxon =>
            taxon.Score(condition.CharacterId) switch
            {
                StateScore states => states.States.Where(state => state.Weight > 0).All(state => condition.Admits(state.State)),
                PresenceScore presence => presence.Frequency > 0,
                _ => false,
            }
        );
    }

    private double Worth(KeySplit split)
    {
        var (first, second, both) = (split.Of(Side.First), split.Of(Side.Second), split.Of(Side.Both));
        double all = first + second + both;
        // A kind that comes out both ways goes one way as often as the other.
        var left = (first + both / 2.0) / all;
        var after = left * Math.Log2(first + both) + (1 - left) * Math.Log2(second + both);
        if (IgnoresCost)
            return Math.Log2(all) - after;
        var wrong = Math.Min(0.5, Slips + model.LoosenessOf(split.Character));
        return (Math.Log2(all) - after) * Math.Pow(1 - wrong, 2) * split.Character.Weight / (LeastEffort + split.Character.Effort);
    }

    // What runs alongside says the same of every kind that the first statement parts, or nothing.
    private IReadOnlyList<KeySplit> Alongside(KeySplit[] ways, KeySplit best) =>
        [
            .. ways.Where(split => split.Character.Id != best.Character.Id)
                .SelectMany(split => new[] { split, new KeySplit(split.Second, split.First, [.. split.Sides.Select(Turned)]) })
                .Where(split => RunsWith(split, best))
                .GroupBy(split => split.Character.Id)
                .Select(ofOne => ofOne.MinBy(split => split.Of(Side.Both))!)
                .OrderBy(split => split.Of(Side.Both))
                .ThenByDescending(Worth)
                .Take(MostAlongside),
        ];

    // At least so much of what the first statement parts is parted by one that runs alongside.
    private const double MostOfIt = 0.7;

    private static bool RunsWith(KeySplit split, KeySplit best)
    {
        var (parted, alike) = (0, 0);
        for (var at = 0; at < split.Sides.Length; at++)
        {
            if (best.Sides[at] == Side.Both)
                continue;
            parted++;
            if (split.Sides[at] == best.Sides[at])
                alike++;
            else if (split.Sides[at] != Side.Both)
                return false;
        }
        return alike >= MostOfIt * parted;
    }

    private static Side Turned(Side side) =>
        side switch
        {
            Side.First => Side.Second,
            Side.Second => Side.First,
            Side.Both => Side.Both,
        };
}
