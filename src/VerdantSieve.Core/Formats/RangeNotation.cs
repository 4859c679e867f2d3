using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Formats;

/// <summary>The way a taxon’s range is written: one list a way of growing, of countries (<c>ORE</c>) and blocks of countries
/// (<c>northeastern-usa</c>, <c>northeastern-usa without INI MIC</c>), each with how common the taxon is there where that is not as
/// elsewhere (<c>TEX scarce</c>). A country that stands by itself in any list is left out of the blocks of all.</summary>
internal static class RangeNotation
{
    private const string Without = "without";

    // A block is written where so many of its countries are alike, and one is in no list for each so many that are.
    private const int FewestTogether = 3,
        OneLackingIn = 4;

    /// <summary>The keys of the lists, and what each says of its countries.</summary>
    public static IReadOnlyList<(string Key, Occurrence Occurrence)> Lists { get; } =
    [("native", Occurrence.Native), ("run-wild", Occurrence.RunWild), ("planted", Occurrence.Planted), ("absent", Occurrence.Absent)];

    // How files said it before what has run wild and what is no more than planted were told apart.
    private static readonly (string Key, Occurrence Occurrence) Brought = ("introduced", Occurrence.RunWild);

    /// <summary>Reads all lists of an entry, with a fault for each country or word that is not known and each country that stands
    /// twice.</summary>
    public static Distribution Read(EntryReader entry)
    {
        Item[] items = [.. Lists.Append(Brought).SelectMany(list => entry.List(list.Key).Select(text => ItemOf(entry, list, text.Trim())))];
        var alone = items.Where(item => !item.IsBlock).Select(item => item.Codes[0]).ToHashSet();
        var found = new Dictionary<string, Occurrence>();
        var local = new Dictionary<string, Abundance>();
        foreach (var item in items)
            foreach (var code in item.Codes.Where(code => !item.IsBlock || !alone.Contains(code)))
            {
                if (!found.TryAdd(code, item.Occurrence))
                    entry.Fault(item.Key, $"{code} stands twice: a country is in one of the lists, once");
                else if (item.Abundance is { } abundance)
                    local[code] = abundance;
            }
        return new Distribution(Of(Occurrence.Native), Of(Occurrence.RunWild), Of(Occurrence.Planted), Of(Occurrence.Absent))
        {
            Local = local,
        };

        string[] Of(Occurrence occurrence) => [.. found.Where(pair => pair.Value == occurrence).Select(pair => pair.Key)];
    }

    private sealed record Item(string Key, Occurrence Occurrence, bool IsBlock, IReadOnlyList<string> Codes, Abundance? Abundance);

    private static Item ItemOf(EntryReader entry, (string Key, Occurrence Occurrence) list, string text)
    {
        var words = text.Split(' ');
        var (place, rest) = (words[0], words[1..]);
        var lacking = rest is [Without, .. var codes] ? codes.TakeWhile(code => code.All(char.IsUpper)).ToArray() : [];
        if (lacking.Length > 0)
            rest = rest[(lacking.Length + 1)..];
        var isBlock = Blocks.Of(place).Count > 0;
        if (!isBlock && !Regions.Exists(place))
            entry.Fault(
                list.Key,
                $"“{place}” is neither a level 3 code of the World Geographical Scheme, such as ORE or BRC, nor one of the blocks "
                    + string.Join(", ", Blocks.Names)
            );
        foreach (var code in lacking.Where(code => !Blocks.Of(place).Contains(code)))
            entry.Fault(list.Key, $"“{text}” leaves out {code}, which is not in it");
        Abundance? abundance = rest.Length == 0 ? null : entry.Choice(list.Key, string.Join(' ', rest), Abundance.Frequent);
        return new Item(list.Key, list.Occurrence, isBlock, isBlock ? [.. Blocks.Of(place).Except(lacking)] : [place], abundance);
    }

    /// <summary>Writes one list of a range, so that <see cref="Read"/> reads all of them back unchanged.</summary>
    public static IReadOnlyList<string> Write(Distribution range, Occurrence occurrence)
    {
        var whole = WholeBlocks(range).Where(block => block.As.Occurrence == occurrence).ToArray();
        var told = whole.SelectMany(block => block.Codes).ToHashSet();
        return
        [
            .. whole.Select(block => Written(block.Text, block.As.Abundance)),
            .. Codes(range, occurrence).Where(code => !told.Contains(code)).Select(code => Written(code, LocalOf(range, code))),
        ];
    }

    private static string Written(string place, Abundance? abundance) => abundance is { } known ? $"{place} {known.Word()}" : place;

    private sealed record Block(string Text, (Occurrence Occurrence, Abundance? Abundance) As, IReadOnlyList<string> Codes);

    // Every block that most of its countries have in common; those that differ stand by themselves, and those in no list are left out.
    private static IEnumerable<Block> WholeBlocks(Distribution range)
    {
        foreach (var name in Blocks.Names)
        {
            var alike = Blocks
                .Of(name)
                .Where(code => range.In(code) != Occurrence.NotLooked)
                .GroupBy(code => (range.In(code), LocalOf(range, code)))
                .MaxBy(group => group.Count());
            var lacking = Blocks.Of(name).Where(code => range.In(code) == Occurrence.NotLooked).ToArray();
            if (alike is null || alike.Count() < FewestTogether || lacking.Length * OneLackingIn > alike.Count())
                continue;
            var text = lacking.Length == 0 ? name : $"{name} {Without} {string.Join(' ', lacking)}";
            yield return new Block(text, alike.Key, [.. alike]);
        }
    }

    private static IReadOnlyList<string> Codes(Distribution range, Occurrence occurrence) =>
        occurrence switch
        {
            Occurrence.Native => range.Native,
            Occurrence.RunWild => range.RunWild,
            Occurrence.Planted => range.Planted,
            Occurrence.Absent => range.Absent,
            Occurrence.NotLooked => [],
        };

    private static Abundance? LocalOf(Distribution range, string code) => range.Local.TryGetValue(code, out var local) ? local : null;
}
