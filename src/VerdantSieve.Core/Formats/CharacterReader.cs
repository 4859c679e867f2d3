using System.Globalization;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Measuring;
using VerdantSieve.Core.Seasons;

namespace VerdantSieve.Core.Formats;

/// <summary>Reads the characters of a vocabulary from their entries.</summary>
internal sealed class CharacterReader(List<Fault> faults)
{
    // Of readings that lie outside what a score allows no character has more than half.
    private const int MostUnlike = 50;

    private readonly List<(Character Character, EntryReader Entry)> read = [];

    /// <summary>The characters; those at fault are left out.</summary>
    public IReadOnlyList<Character> Read(IEnumerable<CharacterEntry> entries)
    {
        foreach (var (id, part, entry) in entries)
        {
            var reader = new EntryReader(entry, faults);
            if (read.Any(r => r.Character.Id == id))
                faults.Add(Fault.InFile(entry.File, entry.Line, $"the character “{id}” stands twice"));
            else if (One(id, part, reader) is { } character)
                read.Add((character, reader));
        }
        CheckCorrelations();
        var byId = read.ToDictionary(r => r.Character.Id, r => r.Character);
        var formerHold = FormerHold(byId);
        // A character whose condition or former name is at fault is read on without it, so that what follows can be checked too.
        return
        [
            .. read.Select(r => ConditionHolds(r.Character, r.Entry, byId) ? r.Character : r.Character with { OnlyIf = null })
                .Select(character => formerHold ? character : character with { Formerly = [] }),
        ];
    }

    private Character? One(string id, string? part, EntryReader entry)
    {
        if (id.Length == 0)
            entry.Fault("id", "“id” is missing");
        var kind = entry.Required("kind");
        if (Kinded(id, part, kind, entry) is not { } character)
            return null;
        var garden = entry.Text("planted") is null ? null : NamedShare("planted", entry);
        var correlation = entry.Text("correlated") is null ? null : NamedShare("correlated", entry);
        character = character with
        {
            HowToLook = entry.Text("how") ?? "",
            Also = entry.List("also"),
            OnlyIf = entry.Text("if") is { } condition ? Condition.Parse(condition) : null,
            Contact = entry.Flag("contact"),
            OnlySupports = entry.Flag("supports"),
            Effort = Effort(entry),
            Weight = entry.Text("counts") is { } counts ? Share("counts", counts, entry) ?? 1 : 1,
            Stages = [.. entry.List("stages").Select(stage => entry.Choice("stages", stage, LeafStage.Leaf)).Distinct()],
            Looseness = entry.Text("loose") is { } loose ? Share("loose", loose, entry) : null,
            Gaps = entry.Text("gaps") is { } gaps ? Share("gaps", gaps, entry) : null,
            Correlation = correlation is var (group, share) ? new Correlation(group, share) : null,
            GardenForm = garden is var (lacking, planted) ? new GardenForm(lacking == "absent" ? null : lacking, planted) : null,
            Formerly = Formerly(entry),
            Order = read.Count,
        };
        if (character is StateCharacter states && character.GardenForm is { } form && states.IndexOf(form.State ?? "") < 0)
            entry.Fault("planted", $"“planted” must name a state of {id} with a share, such as none 25 %");
        entry.FaultUnasked();
        return character;
    }

    // The character by its kind, with what every kind needs; null where the kind is at fault.
    private static Character? Kinded(string id, string? part, string kind, EntryReader entry)
    {
        if (id.Length == 0)
            return null;
        var label = entry.Text("label") ?? id.Replace('-', ' ');
        var phrase = entry.Text("says") ?? (kind is CharacterNotation.Presence or CharacterNotation.Season ? label : $"{label} {{}}");
        var question = entry.Required("question");
        switch (kind)
        {
            case CharacterNotation.Nominal or CharacterNotation.Ordinal:
                return StateReader.Read(id, entry) is { } states
                    ? new StateCharacter(id)
                    {
                        Part = part,
                        Label = label,
                        Phrase = phrase,
                        Question = question,
                        States = states,
                        Ordered = kind == CharacterNotation.Ordinal,
                        Variety = entry.Flag("variety"),
                        OneSided = entry.Flag("one-sided"),
                        UsualFirst = entry.Flag("usual-first"),
                        Confusions = StateReader.Confusions(id, states, entry),
                        Within = StateReader.Within(id, states, entry),
                        BroadWords = StateReader.BroadWords(id, states, entry),
                    }
                    : null;
            case CharacterNotation.Count:
                return new CountCharacter(id)
                {
                    Part = part,
                    Label = label,
                    Phrase = phrase,
                    Question = question,
                };
            case CharacterNotation.Measure:
                if (MeasureUnits.Read(entry.Required("unit")) is { } unit)
                    return new MeasureCharacter(id, unit)
                    {
                        Part = part,
                        Label = label,
                        Phrase = phrase,
                        Question = question,
                    };
                entry.Fault("unit", "“unit” must be cm, m or ratio");
                return null;
            case CharacterNotation.Presence:
                return new PresenceCharacter(id)
                {
                    Part = part,
                    Label = label,
                    Phrase = phrase,
                    Question = question,
                };
            case CharacterNotation.Season:
                var usual = new SeasonCharacter(id)
                {
                    Part = part,
                    Label = label,
                    Phrase = phrase,
                    Question = question,
                    InAutumn = entry.Flag("in-autumn"),
                };
                return entry.Text("borne") is { } borne && Share("borne", borne, entry) is { } share ? usual with { Borne = share } : usual;
        }
        if (kind.Length > 0)
            entry.Fault("kind", $"“{kind}” is not a kind; it must be nominal, ordinal, count, measure, presence or season");
        return null;
    }

    private static double Effort(EntryReader entry)
    {
        var effort = entry.Number("effort", 1);
        if (effort > 0)
            return effort;
        entry.Fault("effort", "“effort” must be above 0");
        return 1;
    }

    // "size 70 %": a name with a share.
    private static (string Name, double Share)? NamedShare(string key, EntryReader entry)
    {
        var words = (entry.Text(key) ?? "").Split(' ', 2, StringSplitOptions.TrimEntries);
        return Share(key, words.Length == 2 ? words[1] : "", entry) is { } share ? (words[0], share) : null;
    }

    private static double? Share(string key, string text, EntryReader entry)
    {
        var most = key is "loose" or "gaps" ? MostUnlike : 100;
        if (
            text.EndsWith('%')
            && double.TryParse(text[..^1], CultureInfo.InvariantCulture, out var percent)
            && percent > 0
            && percent <= most
        )
            return percent / 100;
        entry.Fault(key, $"“{key}” takes a share above 0 and at most {most} %, such as 50 %; not “{text}”");
        return null;
    }

    private static List<FormerWord> Formerly(EntryReader entry)
    {
        var words = new List<FormerWord>();
        foreach (var text in entry.List("formerly"))
            if (FormerWord.Parse(text) is { } word)
                words.Add(word);
            else
                entry.Fault("formerly", $"“formerly” takes ids of characters, or such as bud-form=sticky; not “{text}”");
        return words;
    }

    // What is there now is nobody's former name; one word has one meaning; only a sign that is there or not can have been a state.
    private bool FormerHold(Dictionary<string, Character> byId)
    {
        var before = faults.Count;
        var met = new HashSet<FormerWord>();
        foreach (var (character, entry) in read)
            foreach (var word in character.Formerly)
                if (WhyNotFormer(character, word, byId) is { } fault)
                    entry.Fault("formerly", fault);
                else if (!met.Add(word))
                    entry.Fault("formerly", $"“{word}” has become another character already");
        return faults.Count == before;
    }

    private static string? WhyNotFormer(Character character, FormerWord word, Dictionary<string, Character> byId)
    {
        var there = byId.GetValueOrDefault(word.Character);
        if (word.State is null)
            return there is null ? null : $"“{word}” is a character of this vocabulary still";
        if (there is not StateCharacter states || states.Words.Contains(word.State))
            return $"“{word}” must name a state that {word.Character} had, and has no longer";
        return character is PresenceCharacter
            ? null
            : $"only what is there or not (kind: presence) can have been a state; not {character.Id}";
    }

    private void CheckCorrelations()
    {
        foreach (var group in read.Where(r => r.Character.Correlation is not null).GroupBy(r => r.Character.Correlation!.Group))
            foreach (var (character, entry) in group)
                if (character.Correlation!.Share != group.First().Character.Correlation!.Share)
                    entry.Fault("correlated", $"all that are correlated by “{group.Key}” must have the same share");
    }

    private static bool ConditionHolds(Character character, EntryReader entry, Dictionary<string, Character> byId)
    {
        if (character.OnlyIf is not { } condition)
            return true;
        if (WhyNot(character, condition, byId) is not { } fault)
            return true;
        entry.Fault("if", fault);
        return false;
    }

    private static string? WhyNot(Character character, Condition condition, Dictionary<string, Character> byId)
    {
        if (!byId.TryGetValue(condition.CharacterId, out var on))
            return $"“if” names the unknown character “{condition.CharacterId}”";
        if (condition.IsPresence && on is StateCharacter)
            return $"“if: {condition}” must say which states of {on.Id}";
        if (condition.States.FirstOrDefault(state => (on as StateCharacter)?.IndexOf(state) is not >= 0) is { } wrong)
            return $"“if” names the state “{wrong}”, which {on.Id} does not have";
        return DependsOnItself(character, byId) ? $"“{character.Id}” depends on itself through “{on.Id}”" : null;
    }

    private static bool DependsOnItself(Character character, Dictionary<string, Character> byId)
    {
        var met = new HashSet<string>();
        for (var at = character; at?.OnlyIf is { } condition; at = byId.GetValueOrDefault(condition.CharacterId))
            if (!met.Add(at.Id))
                return true;
        return false;
    }
}
