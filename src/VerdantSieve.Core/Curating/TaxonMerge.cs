using VerdantSieve.Core.Formats;

namespace VerdantSieve.Core.Curating;

/// <summary>Two changes to one taxon, put together by score and field: what only one of them changed is as they changed it.</summary>
/// <param name="Text">The taxon's file with both changes; where both changed the same, with the second's.</param>
/// <param name="Theirs">What the first changed, by key.</param>
/// <param name="Both">What both changed, each to something else: key, what the first has, what the second has.</param>
public sealed record TaxonMerge(string Text, IReadOnlyList<string> Theirs, IReadOnlyList<(string Key, string First, string Second)> Both)
{
    private const string Scores = "scores";

    /// <summary>Puts two changes together.</summary>
    /// <param name="before">The file that both began with.</param>
    /// <param name="first">The file as the first has kept it.</param>
    /// <param name="second">The file as the second would have it.</param>
    /// <returns>The merge, or what can't be read.</returns>
    public static Outcome<TaxonMerge> Of(string before, string first, string second) =>
        Read(before).Then(was => Read(first).Then(theirs => Read(second).Map(mine => Of(was, theirs, mine))));

    private static Outcome<Entry> Read(string text) => YamlEntries.Read(new SourceFile("taxon.yaml", text));

    private static TaxonMerge Of(Entry was, Entry first, Entry second)
    {
        var (theirs, both) = (new List<string>(), new List<(string, string, string)>());
        var merged = Merged(was, first, second, theirs, both);
        return new TaxonMerge(YamlEntries.Write(merged), theirs, both);
    }

    private static Entry Merged(Entry was, Entry first, Entry second, List<string> theirs, List<(string, string, string)> both)
    {
        var merged = new Entry(second.File, second.Line);
        foreach (var key in second.Keys.Concat(first.Keys).Distinct())
        {
            if (key == Scores && first[key] is EntryValue.Map a && second[key] is EntryValue.Map b)
            {
                var before = (was[key] as EntryValue.Map)?.Entry ?? new Entry(was.File, was.Line);
                merged.With(key, new EntryValue.Map(Merged(before, a.Entry, b.Entry, theirs, both)));
                continue;
            }
            var (old, one, other) = (Said(was[key]), Said(first[key]), Said(second[key]));
            if (one != old && other == old)
                theirs.Add(key);
            if (one != old && other != old && one != other)
                both.Add((key, one, other));
            if ((other == old ? first[key] : second[key]) is { } value)
                merged.With(key, value);
        }
        return merged;
    }

    private static string Said(EntryValue? value) =>
        value switch
        {
            null => "",
            EntryValue.Text text => text.Value,
            EntryValue.List list => string.Join(", ", list.Items),
            EntryValue.Map map => string.Join("; ", map.Entry.Values.Select(pair => $"{pair.Key}: {Said(pair.Value)}")),
            _ => throw new ArgumentOutOfRangeException(nameof(value)),
        };
}
