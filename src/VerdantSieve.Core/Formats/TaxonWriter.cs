using System.Text;
using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Formats;

/// <summary>Writes a taxon as its file has it, so that <see cref="FloraReader"/> reads it back unchanged. All shipped files are as this writes them.</summary>
public static class TaxonWriter
{
    /// <summary>The name of a taxon's file within the flora's folder.</summary>
    public static string Path(ScientificName name) => $"taxa/{name.Genus}/{name.Epithet}.yaml";

    /// <summary>The text of a taxon's file. Scores that a hybrid takes from its parents are left out.</summary>
    public static string Write(Taxon taxon, IReadOnlyList<Character> characters)
    {
        var text = new StringBuilder();
        Line("name", taxon.Name.Text);
        if (taxon.Rank != TaxonRank.Species) Line("rank", Word(taxon.Rank));
        Line("authority", taxon.Authority);
        Line("family", taxon.Family);
        if (taxon.Group is { } group) Line("group", group);
        List("common-names", taxon.CommonNames);
        if (taxon.Synonyms.Count > 0) List("synonyms", taxon.Synonyms);
        if (taxon.HybridOf.Count > 0) List("hybrid-of", taxon.HybridOf);
        List("native", [.. taxon.Distribution.Native.Select(Country)]);
        List("introduced", [.. taxon.Distribution.Introduced.Select(Country)]);
        List("settings", [.. taxon.Settings.Select(Word)]);
        Line("abundance", Word(taxon.Abundance));
        if (taxon.Aggregate is { } aggregate) Line("aggregate", aggregate);
        if (taxon.WindowsAt is { } place) Line("windows-at", place);
        if (taxon.Meaning.Length > 0) Line("meaning", taxon.Meaning);
        if (taxon.Remember.Length > 0) Line("remember", taxon.Remember);
        Pairs("hazards", taxon.Hazards.Select(hazard => (Word(hazard.Kind), hazard.Caution)));
        Pairs("doubles", taxon.Doubles.Select(look => (look.Name, look.Mark)));
        Line("provenance", taxon.Provenance);
        Scores(text, taxon, characters);
        return text.ToString();

        void Line(string key, string value) => text.Append(key).Append(": ").Append(Scalar(value)).Append('\n');
        void List(string key, IReadOnlyList<string> values) => text.Append(key).Append(": [").AppendJoin(", ", values.Select(Item)).Append("]\n");
        void Pairs(string key, IEnumerable<(string Key, string Value)> pairs)
        {
            var all = pairs.ToArray();
            if (all.Length == 0) return;
            text.Append(key).Append(":\n");
            foreach (var (name, value) in all) text.Append("  ").Append(Scalar(name)).Append(": ").Append(Scalar(value)).Append('\n');
        }
        string Country(string code) => taxon.Distribution.Local.TryGetValue(code, out var local) ? $"{code} {Word(local)}" : code;
    }

    private static void Scores(StringBuilder text, Taxon taxon, IReadOnlyList<Character> characters)
    {
        string? part = null;
        foreach (var character in characters)
        {
            if (!taxon.Scores.TryGetValue(character.Id, out var score) || taxon.Inferred.Contains(character.Id)) continue;
            if (part is null) text.Append("scores:\n");
            else if (part != character.Part) text.Append('\n');
            part = character.Part;
            text.Append("  ").Append(character.Id).Append(": ").Append(ScoreNotation.Format(score, character)).Append('\n');
        }
    }

    private static string Word<T>(T value) where T : struct, Enum => YamlMap.Hyphened(value.ToString());

    internal static string Item(string value) => value.IndexOfAny([',', '[', ']', '{', '}']) >= 0 ? Quoted(value) : Scalar(value);

    // Plain where YAML takes it as it stands.
    internal static string Scalar(string value) =>
        value.Length == 0 || value != value.Trim() || "!&*-?|>@`%#\"'[]{},:".Contains(value[0]) || value.Contains(": ", StringComparison.Ordinal) || value.EndsWith(':')
        || value.Contains(" #", StringComparison.Ordinal) || value.Any(char.IsControl) ? Quoted(value) : value;

    private static string Quoted(string value)
    {
        var quoted = new StringBuilder("\"");
        foreach (var letter in value)
            quoted.Append(letter switch { '"' => "\\\"", '\\' => "\\\\", '\n' => "\\n", '\t' => "\\t", _ when char.IsControl(letter) => $"\\u{(int)letter:x4}", _ => letter.ToString() });
        return quoted.Append('"').ToString();
    }
}
