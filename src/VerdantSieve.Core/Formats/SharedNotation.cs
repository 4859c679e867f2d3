using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Formats;

/// <summary>The files of what many taxa share: <c>taxa/Quercus/_genus.yaml</c> has the scores of a genus and of the groups within it,
/// <c>taxa/_defaults.yaml</c> what is taken as given of every taxon.</summary>
public static class SharedNotation
{
    private const string DefaultsFile = "_defaults.yaml",
        GenusFile = "_genus.yaml";

    private const string Genus = "genus",
        Groups = "groups",
        Scores = "scores";

    /// <summary>Whether a file is one of these.</summary>
    public static bool IsShared(string path) => Path.GetFileName(path) is DefaultsFile or GenusFile;

    internal static IEnumerable<SharedScores> Read(Entry entry, TaxonReader taxa, List<Fault> faults)
    {
        var reader = new EntryReader(entry, faults);
        if (entry.File.EndsWith(DefaultsFile, StringComparison.Ordinal))
        {
            yield return new SharedScores(null, null, taxa.Scores(reader.Map(Scores)));
            reader.FaultUnasked();
            yield break;
        }
        var genus = reader.Required(Genus);
        if (!entry.File.EndsWith($"{genus}/{GenusFile}", StringComparison.Ordinal))
            reader.Fault(Genus, $"the file of {genus} must be {genus}/{GenusFile}");
        if (reader.Map(Scores) is { } whole)
            yield return new SharedScores(genus, null, taxa.Scores(whole));
        if (reader.Map(Groups) is { } groups)
            foreach (var group in groups.Keys.ToArray())
                yield return new SharedScores(genus, group, taxa.Scores(groups.Map(group)));
        reader.FaultUnasked();
    }

    /// <summary>Writes what a genus and its groups share as its file has it.</summary>
    public static string Write(string genus, IEnumerable<SharedScores> shared, Vocabulary vocabulary)
    {
        var entry = new Entry($"taxa/{genus}/{GenusFile}", 1).With(Genus, genus);
        var ofGenus = shared.Where(one => one.Genus == genus).ToArray();
        foreach (var whole in ofGenus.Where(one => one.Group is null))
            entry.With(Scores, Written(whole, vocabulary));
        var groups = new Entry("", 1);
        foreach (var group in ofGenus.Where(one => one.Group is not null).OrderBy(one => one.Group, StringComparer.Ordinal))
            groups.With(group.Group!, Written(group, vocabulary));
        if (groups.Keys.Any())
            entry.With(Groups, new EntryValue.Map(groups));
        return YamlEntries.Write(entry);
    }

    /// <summary>Writes what is taken as given of every taxon as its file has it.</summary>
    public static string WriteDefaults(SharedScores defaults, Vocabulary vocabulary) =>
        YamlEntries.Write(new Entry($"taxa/{DefaultsFile}", 1).With(Scores, Written(defaults, vocabulary)));

    private static IEnumerable<(string, string)> Written(SharedScores shared, Vocabulary vocabulary) =>
        vocabulary
            .Characters.Where(character => shared.Scores.ContainsKey(character.Id))
            .Select(character => (character.Id, ScoreNotation.Format(new Scored(character, shared.Scores[character.Id]))));
}
