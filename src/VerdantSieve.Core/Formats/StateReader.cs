using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Formats;

/// <summary>Reads the states of a character, and what is confused with what.</summary>
internal static class StateReader
{
    /// <summary>The states; null where they are at fault.</summary>
    public static IReadOnlyList<State>? Read(string id, EntryReader entry)
    {
        State[] states = [.. entry.Pairs("states").Select(pair => StateOf(pair.Key, pair.Value))];
        // Known here even where nothing is confused.
        entry.Known("confused");
        if (states.Length > 0)
            return states;
        entry.Fault("states", $"“{id}” needs states");
        return null;
    }

    // "plain words | meaning"; either may be left out.
    private static State StateOf(string id, string text)
    {
        var halves = text.Split('|', 2, StringSplitOptions.TrimEntries);
        return new State(id, halves[0].Length > 0 ? halves[0] : id.Replace('-', ' '), halves.Length > 1 ? halves[1] : "");
    }

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
