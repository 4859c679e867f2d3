using System.Text;
using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Formats;

/// <summary>Writes a taxon as its file has it, so that <see cref="FloraReader"/> reads it back unchanged. All shipped files are as this
/// writes them.</summary>
public static class TaxonWriter
{
    private const string ScoresKey = "scores";

    /// <summary>The name of a taxon's file within the flora's folder.</summary>
    public static string Path(ScientificName name) => $"taxa/{name.Genus}/{name.Epithet}.yaml";

    /// <summary>The text of a taxon's file. Scores that a hybrid takes from its parents are left out.</summary>
    public static string Write(Taxon taxon, Vocabulary vocabulary)
    {
        Character[] scored = [.. vocabulary.Characters.Where(character => taxon.OwnScores.ContainsKey(character.Id))];
        var text = YamlEntries.Write(EntryOf(taxon, scored));
        return scored.Length == 0 ? text : Parted(text, scored);
    }

    private static Entry EntryOf(Taxon taxon, Character[] scored)
    {
        var entry = new Entry(Path(taxon.Name), 1).With("name", taxon.Name.Text);
        foreach (var field in TaxonFields.All)
            if (field.Write(taxon) is { } value)
                entry.With(field.Key, value);
        return entry.With(
            ScoresKey,
            scored.Select(character => (character.Id, ScoreNotation.Format(new Scored(character, taxon.OwnScores[character.Id]))))
        );
    }

    // Scores stand one to a line at the end; an empty line parts those of one part of the plant from those of the next, for the eye.
    private static string Parted(string text, Character[] scored)
    {
        string[] lines = text.TrimEnd('\n').Split('\n');
        var parted = new StringBuilder().AppendJoin('\n', lines[..^scored.Length]).Append('\n');
        for (var i = 0; i < scored.Length; i++)
        {
            if (i > 0 && scored[i].Part != scored[i - 1].Part)
                parted.Append('\n');
            parted.Append(lines[^(scored.Length - i)]).Append('\n');
        }
        return parted.ToString();
    }

    /// <summary>What is different between two forms of a taxon, by the keys of its file and the ids of characters.</summary>
    /// <param name="before">The one form.</param>
    /// <param name="after">The other.</param>
    /// <param name="vocabulary">The vocabulary of both.</param>
    /// <returns>The key, what stood there before, and what stands there after; empty where nothing does.</returns>
    public static IEnumerable<(string Key, string Before, string After)> Differences(Taxon before, Taxon after, Vocabulary vocabulary)
    {
        var (one, other) = (Said(before, vocabulary), Said(after, vocabulary));
        return one
            .Keys.Union(other.Keys)
            .Select(key => (key, one.GetValueOrDefault(key, ""), other.GetValueOrDefault(key, "")))
            .Where(change => change.Item2 != change.Item3);
    }

    private static Dictionary<string, string> Said(Taxon taxon, Vocabulary vocabulary)
    {
        var said = new Dictionary<string, string> { ["name"] = taxon.Name.Text };
        foreach (var field in TaxonFields.All)
            switch (field.Write(taxon))
            {
                case EntryValue.Text text:
                    said[field.Key] = text.Value;
                    break;
                case EntryValue.List list:
                    said[field.Key] = $"[{string.Join(", ", list.Items)}]";
                    break;
                case EntryValue.Map map:
                    foreach (var (key, _, value) in map.Entry.Values)
                        said[$"{field.Key}: {key}"] = (value as EntryValue.Text)?.Value ?? "";
                    break;
            }
        foreach (var (id, score) in taxon.OwnScores)
            said[id] = ScoreNotation.Format(new Scored(vocabulary[id], score));
        return said;
    }
}
