namespace VerdantSieve.Core.Formats.Exchange;

/// <summary>Reads a NEXUS file of standard data as a flora whose taxa have states and nothing else.</summary>
internal sealed class NexusReader(SourceFile source, CancellationToken cancel)
{
    private readonly List<(string Label, string[] States)> characters = [];
    private readonly List<(string Name, int Line, string[] Cells)> rows = [];
    private int declared,
        held;
    private char missing = '?',
        gap = '-';
    private string symbols = "01";

    /// <exception cref="UnreadableException">The file can’t be read on from somewhere.</exception>
    public FloraEntries Read(string id)
    {
        var words = NexusWords.Of(source, cancel);
        if (words.Count == 0 || !words[0].Is("#NEXUS"))
            throw Wrong(1, "the file must begin with #NEXUS");
        var block = "";
        for (var at = 1; at < words.Count;)
        {
            var end = words.FindIndex(at, word => word.Is(";"));
            if (end < 0)
                throw Wrong(words[at].Line, $"the command “{words[at].Text}” is never closed by a semicolon");
            var command = words[at..end];
            at = end + 1;
            if (command.Count == 0)
                continue;
            if (command[0].Is("BEGIN") && command.Count > 1)
                block = command[1].Text.ToUpperInvariant();
            else if (command[0].Is("END") || command[0].Is("ENDBLOCK"))
                block = "";
            else if (block is "CHARACTERS" or "DATA")
                Command(command);
        }
        if (rows.Count == 0)
            throw Wrong(1, "the file has no matrix in a CHARACTERS or DATA block");
        return Entries(id);
    }

    private UnreadableException Wrong(int line, string message) => new(source.Path, line, message);

    private void Command(List<NexusWord> command)
    {
        // Commands that are not known here, such as titles and sets, say nothing of states.
        switch (command[0].Text.ToUpperInvariant())
        {
            case "DIMENSIONS":
                if (int.TryParse(Setting(command, "NCHAR"), out var count))
                    declared = count;
                break;
            case "FORMAT":
                Format(command);
                break;
            case "CHARSTATELABELS":
                Labels(command);
                break;
            case "MATRIX":
                Matrix(command);
                break;
        }
    }

    private void Format(List<NexusWord> command)
    {
        if (Setting(command, "DATATYPE") is { } type && !type.Equals("STANDARD", StringComparison.OrdinalIgnoreCase))
            throw Wrong(command[0].Line, $"only standard data can be read, not “{type}”");
        if (
            command.Any(word => word.Is("INTERLEAVE"))
            && !string.Equals(Setting(command, "INTERLEAVE"), "no", StringComparison.OrdinalIgnoreCase)
        )
            throw Wrong(command[0].Line, "an interleaved matrix can’t be read; write each taxon on one line");
        missing = Setting(command, "MISSING") is { Length: 1 } m ? m[0] : missing;
        gap = Setting(command, "GAP") is { Length: 1 } g ? g[0] : gap;
        symbols = Setting(command, "SYMBOLS")?.Replace(" ", "") is { Length: > 0 } s ? s : symbols;
    }

    private static string? Setting(List<NexusWord> command, string name)
    {
        var at = command.FindIndex(word => word.Is(name));
        return at >= 0 && at + 2 < command.Count && command[at + 1].Text == "=" ? command[at + 2].Text : null;
    }

    private void Labels(List<NexusWord> command)
    {
        for (var at = 1; at < command.Count;)
        {
            var end = command.FindIndex(at, word => word.Is(","));
            if (end < 0)
                end = command.Count;
            var one = command[at..end];
            at = end + 1;
            var slash = one.FindIndex(word => word.Is("/"));
            if (one.Count < 2)
                throw Wrong(command[0].Line, "a label of a character has a number and a name");
            characters.Add((one[1].Text, slash < 0 ? [] : [.. one[(slash + 1)..].Select(word => word.Text)]));
        }
    }

    private void Matrix(List<NexusWord> command)
    {
        for (var at = 1; at < command.Count;)
        {
            var name = command[at++];
            var cells = new List<string>();
            // All words up to the next line belong to the taxon.
            while (at < command.Count && command[at].Line == name.Line)
                at = Cells(command, at, cells);
            var expected = declared > 0 ? declared : characters.Count;
            if (expected > 0 && cells.Count != expected)
                throw Wrong(name.Line, $"{name.Text} has {cells.Count} characters, and {expected} are declared");
            held += cells.Count;
            if (held > FileBounds.MostCells)
                throw new UnreadableException(FileBounds.TooMany(source.Path, held, "cells", FileBounds.MostCells, name.Line));
            cancel.ThrowIfCancellationRequested();
            rows.Add((name.Text.Replace('_', ' '), name.Line, [.. cells]));
        }
    }

    // Reads a word of cells, or several states in brackets; gives where to read on.
    private int Cells(List<NexusWord> command, int at, List<string> cells)
    {
        if (command[at].Text is not ("(" or "{"))
        {
            if (held + cells.Count + command[at].Text.Length > FileBounds.MostCells)
                throw new UnreadableException(
                    FileBounds.TooMany(source.Path, held + command[at].Text.Length, "cells", FileBounds.MostCells, command[at].Line)
                );
            cells.AddRange(command[at].Text.Select(letter => letter.ToString()));
            return at + 1;
        }
        var close = command.FindIndex(at, word => word.Text is ")" or "}");
        if (close < 0)
            throw Wrong(command[at].Line, "a bracket in the matrix is never closed");
        cells.Add(string.Concat(command[(at + 1)..close].Select(word => word.Text)));
        return close + 1;
    }

    private FloraEntries Entries(string id)
    {
        var count = rows[0].Cells.Length;
        while (characters.Count < count)
            characters.Add(($"character {characters.Count + 1}", []));
        var taken = new Slugs();
        string[] ids = [.. characters.Take(count).Select(character => taken.Unique(Slugs.Of(character.Label, "character")))];
        var states = Enumerable.Range(0, count).Select(StatesOf).ToArray();
        return new FloraEntries(
            PlainMatrix.About(source.Path, id, ""),
            [.. ids.Select((character, c) => CharacterOf(character, characters[c].Label, states[c]))],
            [.. rows.Select(row => PlainMatrix.Taxon(source.Path, row.Line, row.Name, ScoresOf(row.Cells, ids, states)))]
        );
    }

    // The states that are labelled, and those whose symbols are met with.
    private List<string> StatesOf(int character)
    {
        var (states, taken) = (new List<string>(), new Slugs());
        foreach (var label in characters[character].States)
            states.Add(taken.Unique(Slugs.Of(label, "state")));
        foreach (var row in rows)
            foreach (var symbol in Shown(row.Cells[character]))
            {
                var at = symbols.IndexOf(symbol, StringComparison.OrdinalIgnoreCase);
                if (at < 0)
                    throw Wrong(row.Line, $"“{symbol}” is not among the symbols {symbols}");
                while (states.Count <= at)
                    states.Add(taken.Unique($"state-{states.Count}"));
            }
        return states.Count > 0 ? states : ["state-0"];
    }

    private IEnumerable<char> Shown(string cell) => cell.Where(symbol => symbol != missing && symbol != gap);

    private CharacterEntry CharacterOf(string id, string label, List<string> states)
    {
        var plain = label.Replace('_', ' ');
        var entry = new Entry(source.Path, 1)
            .With("kind", CharacterNotation.Nominal)
            .With("label", plain)
            .With("question", $"What is the {plain.Replace('-', ' ')}?");
        return new CharacterEntry(id, null, entry.With("states", states.Select(state => (state, state.Replace('-', ' ')))));
    }

    private IEnumerable<(string, string)> ScoresOf(string[] cells, string[] ids, List<string>[] states) =>
        Enumerable
            .Range(0, ids.Length)
            .Select(c =>
                (
                    ids[c],
                    string.Join(
                        ", ",
                        Shown(cells[c]).Select(symbol => states[c][symbols.IndexOf(symbol, StringComparison.OrdinalIgnoreCase)]).Distinct()
                    )
                )
            )
            .Where(score => score.Item2.Length > 0);
}
