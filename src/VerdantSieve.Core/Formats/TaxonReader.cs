using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Formats;

/// <summary>Reads one taxon from its file and checks it against the vocabulary.</summary>
internal sealed class TaxonReader(IReadOnlyList<Character> characters, List<Fault> faults)
{
    private readonly Dictionary<string, Character> byId = characters.ToDictionary(character => character.Id);

    public Taxon? Read(SourceFile source)
    {
        if (YamlMap.Read(source, faults) is not { } map) return null;
        var name = new ScientificName(map.Required("name"));
        var taxon = new Taxon(name)
        {
            Authority = map.Required("authority"),
            Family = map.Required("family"),
            Group = map.Text("group"),
            Aggregate = map.Text("aggregate"),
            HybridOf = map.List("hybrid-of"),
            Rank = map.Choice("rank", TaxonRank.Species),
            CommonNames = Required(map, "common-names"),
            Synonyms = map.List("synonyms"),
            Distribution = Range(map),
            Settings = [.. Required(map, "settings").Select(setting => map.Choice("settings", setting, Setting.Wild)).Distinct()],
            Abundance = map.Choice("abundance", Abundance.Frequent),
            Hazards = [.. map.Pairs("hazards").Select(pair => new Hazard(map.Choice("hazards", pair.Key, HazardKind.Poisonous), pair.Value))],
            Doubles = [.. map.Pairs("doubles").Select(pair => new LookAlike(pair.Key, pair.Value))],
            WindowsAt = map.Text("windows-at"),
            Remember = map.Text("remember") ?? "",
            Meaning = map.Text("meaning") ?? "",
            Provenance = map.Required("provenance"),
            Scores = Scores(map)
        };
        if (taxon.HybridOf.Count is not (0 or 2)) map.Fault("hybrid-of", "“hybrid-of” names the two parents");
        map.FaultUnasked();
        if (name.Text.Length > 0 && !source.Path.EndsWith($"{name.Genus}/{name.Epithet}.yaml", StringComparison.Ordinal))
            map.Fault("name", $"the file of {name} must be {name.Genus}/{name.Epithet}.yaml");
        return taxon;
    }

    private static IReadOnlyList<string> Required(YamlMap map, string key)
    {
        var list = map.List(key);
        if (list.Count == 0) map.Fault(key, $"“{key}” is missing: give a list of at least one");
        return list;
    }

    // A code may be followed by how common the taxon is there, where that is not as elsewhere: “FLA scarce”.
    private static Distribution Range(YamlMap map)
    {
        var local = new Dictionary<string, Abundance>();
        var range = new Distribution(RegionCodes(map, "native", local), RegionCodes(map, "introduced", local)) { Local = local };
        foreach (var code in range.Native.Concat(range.Introduced).CountBy(code => code).Where(count => count.Value > 1))
            map.Fault("introduced", $"{code.Key} stands twice: a country is in one of the lists, once");
        return range;
    }

    private static IReadOnlyList<string> RegionCodes(YamlMap map, string key, Dictionary<string, Abundance> local)
    {
        var codes = new List<string>();
        foreach (var words in map.List(key).Select(item => item.Split(' ', 2)))
        {
            if (!Regions.Exists(words[0])) map.Fault(key, $"“{words[0]}” is not a level 3 code of the World Geographical Scheme, such as ORE or BRC");
            if (words.Length == 2) local[words[0]] = map.Choice(key, words[1], Abundance.Frequent);
            codes.Add(words[0]);
        }
        return codes;
    }

    private Dictionary<string, Score> Scores(YamlMap map)
    {
        var scores = new Dictionary<string, Score>();
        if (map.Map("scores") is not { } written)
        {
            // A hybrid may leave all to its parents.
            if (map.List("hybrid-of").Count == 0) map.Fault("scores", "“scores” is missing");
            return scores;
        }
        foreach (var id in written.Keys)
        {
            if (!byId.TryGetValue(id, out var character)) written.Fault(id, $"unknown character “{id}”{Nearest(id)}");
            else if (written.Text(id) is { } text)
            {
                if (ScoreNotation.TryParse(text, character, out var score, out var problem)) scores[id] = score;
                else written.Fault(id, $"{id}: {problem}");
            }
        }
        foreach (var id in scores.Keys.Where(id => CannotApply(byId[id], scores)))
            written.Fault(id, $"{id} cannot apply here: it needs {byId[id].OnlyIf}, which the other scores rule out");
        return scores;
    }

    private bool CannotApply(Character character, Dictionary<string, Score> scores)
    {
        if (character.OnlyIf is not { } condition) return false;
        var on = byId[condition.CharacterId];
        if (scores.GetValueOrDefault(on.Id) is StateScore score && !score.States.Any(s => condition.States.Contains(s.State) != condition.Negated)) return true;
        return CannotApply(on, scores);
    }

    private string Nearest(string id)
    {
        var near = characters.Select(c => c.Id).MinBy(other => Spelling.Distance(id, other));
        return near is not null && Spelling.Distance(id, near) <= 3 ? $"; did you mean “{near}”?" : "";
    }
}
