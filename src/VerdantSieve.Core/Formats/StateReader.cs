using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Formats;

/// <summary>Reads the states of a character, and what is confused with what.</summary>
internal static class StateReader
{
    /// <summary>The states; null where they are at fault.</summary>
    public static IReadOnlyList<State>? Read(string id, EntryReader entry)
    {
        var words = entry.Pairs("words").ToDictionary(pair => pair.Key, pair => Words(pair.Value));
        State[] states = [.. entry.Pairs("states").Select(pair => StateOf(pair.Key, pair.Value, words))];
        foreach (var unknown in words.Keys.Except(states.Select(state => state.Id)).Except(entry.Pairs("broader").Select(pair => pair.Key)))
            entry.Fault("words", $"“words” names “{unknown}”, which is no state of {id}");
        // Known here even where nothing is said of them.
        foreach (var key in new[] { "confused", "within", "broader" })
            entry.Known(key);
        if (states.Length > 0)
            return states;
        entry.Fault("states", $"“{id}” needs states");
        return null;
    }

    // "plain words | meaning"; either may be left out.
    private static State StateOf(string id, string text, Dictionary<string, string[]> words)
    {
        var halves = text.Split('|', 2, StringSplitOptions.TrimEntries);
        return new State(id, halves[0].Length > 0 ? halves[0] : id.Replace('-', ' '), halves.Length > 1 ? halves[1] : "")
        {
            Also = words.GetValueOrDefault(id, []),
        };
    }

    // “toothed like a saw, saw-edged”
    private static string[] Words(string text) => text.Split(',', StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries);

    /// <summary>Which states lie within which: “finer: broader, broader”.</summary>
    public static IReadOnlyDictionary<string, IReadOnlyList<string>> Within(string id, IReadOnlyList<State> states, EntryReader entry)
    {
        var within = new Dictionary<string, IReadOnlyList<string>>();
        foreach (var (finer, text) in entry.Pairs("within"))
            if (Listed(text) is { Count: > 0 } broader && !broader.Contains(finer) && AreStates(broader.Prepend(finer), states))
                within[finer] = broader;
            else
                entry.Fault("within", $"write what lies within what as “finer: broader”, with states of {id}; not “{finer}: {text}”");
        return within;
    }

    /// <summary>Words for several states: “word: plain words | state, state”.</summary>
    public static IReadOnlyList<BroadWord> BroadWords(string id, IReadOnlyList<State> states, EntryReader entry)
    {
        var words = new List<BroadWord>();
        var also = entry.Pairs("words").ToDictionary(pair => pair.Key, pair => Words(pair.Value));
        foreach (var (word, text) in entry.Pairs("broader"))
            if (
                text.Split('|', 2, StringSplitOptions.TrimEntries) is [{ Length: > 0 } label, var covered]
                && Listed(covered) is { Count: > 1 } named
                && AreStates(named, states)
                && states.All(state => state.Id != word)
            )
                words.Add(new BroadWord(word, label, named) { Also = also.GetValueOrDefault(word, []) });
            else
                entry.Fault(
                    "broader",
                    $"write a broader word as “word: plain words | state, state”, with states of {id}; not “{word}: {text}”"
                );
        return words;
    }

    private static IReadOnlyList<string> Listed(string text) =>
        text.Split(',', StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries);

    private static bool AreStates(IEnumerable<string> ids, IReadOnlyList<State> states) =>
        ids.All(id => states.Any(state => state.Id == id));

    public static IReadOnlyList<Confusion> Confusions(string id, IReadOnlyList<State> states, EntryReader entry)
    {
        var confusions = new List<Confusion>();
        foreach (var (state, text) in entry.Pairs("confused"))
            foreach (var item in text.Split(',', StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries))
            {
                if (One(state, item, states) is { } confusion)
                    confusions.Add(confusion);
                else
                    entry.Fault("confused", $"write a confusion as “state: other 60 %”, with states of {id}; not “{state}: {item}”");
            }
        foreach (var group in confusions.GroupBy(confusion => confusion.State).Where(group => group.Sum(confusion => confusion.Share) > 1))
            entry.Fault("confused", $"the confusions of “{group.Key}” come to more than 100 %");
        return confusions;
    }

    private static Confusion? One(string state, string item, IReadOnlyList<State> states)
    {
        var known = states.Select(s => s.Id).ToHashSet();
        return
            item.Split(' ', 2) is [var other, var share]
            && known.Contains(state)
            && known.Contains(other)
            && int.TryParse(share.TrimEnd('%', ' '), out var percent)
            ? new Confusion(state, other, percent / 100.0)
            : null;
    }
}
