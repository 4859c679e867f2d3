using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Formats;

/// <summary>Reads the vocabulary: parts of the plant, their characters, the characters' states.</summary>
internal sealed class CharacterReader(SourceFile source, List<Fault> faults)
{
    private static readonly Dictionary<string, MeasureUnit> Units = new()
    {
        ["cm"] = MeasureUnit.Centimetre, ["m"] = MeasureUnit.Metre, ["ratio"] = MeasureUnit.Ratio
    };

    private readonly List<(Character Character, YamlMap Map)> read = [];

    public IReadOnlyList<Character> Read()
    {
        if (YamlMap.Read(source, faults) is not { } parts) return [];
        foreach (var part in parts.Keys)
        {
            if (parts.Map(part) is not { } characters) continue;
            foreach (var id in characters.Keys)
            {
                if (read.Any(r => r.Character.Id == id)) characters.Fault(id, $"the character “{id}” stands twice");
                else if (characters.Map(id) is { } map && One(id, part, map) is { } character) read.Add((character, map));
            }
        }
        var byId = read.ToDictionary(r => r.Character.Id, r => r.Character);
        foreach (var (character, map) in read)
            if (character.Echo is { } echo && read.First(r => r.Character.Echo?.Group == echo.Group).Character.Echo!.Share != echo.Share)
                map.Fault("echo", $"all characters of the echo “{echo.Group}” must have the same share");
        // A character whose condition is at fault is read on without it, so that what follows can be checked too.
        return [.. read.Select(r => ConditionHolds(r.Character, r.Map, byId) ? r.Character : r.Character with { OnlyIf = null })];
    }

    private Character? One(string id, string part, YamlMap map)
    {
        var kind = map.Required("kind");
        var label = map.Text("label") ?? id.Replace('-', ' ');
        var phrase = map.Text("says") ?? (kind is "presence" or "season" ? label : $"{label} {{}}");
        var question = map.Required("question");
        var condition = map.Text("if");
        var effort = map.Number("effort", 1);
        if (effort <= 0) map.Fault("effort", "“effort” must be above 0");
        var weight = Share(map, "counts", map.Text("counts")) ?? 1;
        var echo = Named(map, "echo") is var (group, share) && group is not null ? new Echo(group, share) : null;
        var garden = Named(map, "planted") is var (lack, planted) && lack is not null ? new GardenForm(lack == "absent" ? null : lack, planted) : null;
        Character? character = kind switch
        {
            "nominal" or "ordinal" => States(id, kind == "ordinal", map) is { } states
                ? states with { Part = part, Label = label, Phrase = phrase, Question = question } : null,
            "count" => new CountCharacter(id) { Part = part, Label = label, Phrase = phrase, Question = question },
            "measure" when Units.TryGetValue(map.Required("unit"), out var unit) =>
                new MeasureCharacter(id, unit) { Part = part, Label = label, Phrase = phrase, Question = question },
            "presence" => new PresenceCharacter(id) { Part = part, Label = label, Phrase = phrase, Question = question },
            "season" => new SeasonCharacter(id) { Part = part, Label = label, Phrase = phrase, Question = question },
            _ => null
        };
        if (character is null && kind == "measure") map.Fault("unit", "“unit” must be cm, m or ratio");
        else if (character is null && kind is not ("nominal" or "ordinal" or ""))
            map.Fault("kind", $"“{kind}” is not a kind; it must be nominal, ordinal, count, measure, presence or season");
        var how = map.Text("how") ?? "";
        var contact = map.Flag("contact");
        if (garden is not null && (character as StateCharacter)?.IndexOf(garden.State ?? "") < 0)
            map.Fault("planted", $"“planted” must name a state of {id} with a share, such as none 25 %");
        map.FaultUnasked();
        return character is null ? null : character with
        {
            Weight = weight, Echo = echo, GardenForm = garden,
            HowToLook = how, Contact = contact, Effort = effort, Order = read.Count,
            OnlyIf = condition is null ? null : Condition.Parse(condition)
        };
    }

    // "size 70 %": a name with a share.
    private static (string?, double) Named(YamlMap map, string key)
    {
        if (map.Text(key) is not { } text) return (null, 0);
        var words = text.Split(' ', 2, StringSplitOptions.TrimEntries);
        return Share(map, key, words.Length == 2 ? words[1] : "") is { } share ? (words[0], share) : (null, 0);
    }

    private static double? Share(YamlMap map, string key, string? text)
    {
        if (text is null) return null;
        if (text.EndsWith('%') && double.TryParse(text[..^1], System.Globalization.CultureInfo.InvariantCulture, out var percent) && percent is > 0 and <= 100) return percent / 100;
        map.Fault(key, $"“{key}” takes a share above 0 and at most 100 %, such as 50 %; not “{text}”");
        return null;
    }

    private static StateCharacter? States(string id, bool ordered, YamlMap map)
    {
        var states = map.Pairs("states").Select(pair =>
        {
            var halves = pair.Value.Split('|', 2, StringSplitOptions.TrimEntries);
            return new State(pair.Key, halves[0].Length > 0 ? halves[0] : pair.Key.Replace('-', ' '), halves.Length > 1 ? halves[1] : "");
        }).ToArray();
        if (states.Length == 0)
        {
            map.Fault("states", $"“{id}” needs states");
            return null;
        }
        var confusions = new List<Confusion>();
        foreach (var (state, text) in map.Pairs("confused"))
        {
            foreach (var item in text.Split(',', StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries))
            {
                var words = item.Split(' ', 2);
                if (states.All(s => s.Id != state) || states.All(s => s.Id != words[0]) || words.Length < 2 || !int.TryParse(words[1].TrimEnd('%', ' '), out var percent))
                    map.Fault("confused", $"write a confusion as “state: other 60 %”, with states of {id}; not “{state}: {item}”");
                else confusions.Add(new Confusion(state, words[0], percent / 100.0));
            }
        }
        foreach (var group in confusions.GroupBy(c => c.State).Where(group => group.Sum(c => c.Share) > 1))
            map.Fault("confused", $"the confusions of “{group.Key}” come to more than 100 %");
        return new StateCharacter(id)
        {
            Part = "", Label = "", Phrase = "", Question = "",
            States = states, Ordered = ordered, Variety = map.Flag("variety"), OneSided = map.Flag("one-sided"), Confusions = confusions
        };
    }

    private static bool ConditionHolds(Character character, YamlMap map, Dictionary<string, Character> byId)
    {
        if (character.OnlyIf is not { } condition) return true;
        if (!byId.TryGetValue(condition.CharacterId, out var on)) map.Fault("if", $"“if” names the unknown character “{condition.CharacterId}”");
        else if (condition.IsPresence && on is StateCharacter) map.Fault("if", $"“if: {condition}” must say which states of {on.Id}");
        else if (condition.States.FirstOrDefault(state => on is not StateCharacter states || states.IndexOf(state) < 0) is { } wrong)
            map.Fault("if", $"“if” names the state “{wrong}”, which {on.Id} does not have");
        else if (DependsOnItself(character, byId)) map.Fault("if", $"“{character.Id}” depends on itself through “{on.Id}”");
        else return true;
        return false;
    }

    private static bool DependsOnItself(Character character, Dictionary<string, Character> byId)
    {
        var met = new HashSet<string>();
        for (var at = character; at?.OnlyIf is { } condition; at = byId.GetValueOrDefault(condition.CharacterId))
            if (!met.Add(at.Id)) return true;
        return false;
    }
}
