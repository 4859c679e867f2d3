using System.Globalization;
using System.Text;
using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Formats.Exchange;

/// <summary>A flora, or as much of it as the format can hold, as a NEXUS file.</summary>
/// <param name="Text">The file.</param>
/// <param name="Lost">What the file can’t hold, in sentences.</param>
public sealed record NexusFile(string Text, IReadOnlyList<string> Lost);

/// <summary>Writes and reads NEXUS: a TAXA and a CHARACTERS block of standard data, several states in brackets, “?” for what is not known and “-” for what cannot apply.</summary>
/// <remarks>D. R. Maddison, D. L. Swofford and W. P. Maddison 1997, NEXUS: an extensible file format for systematic information, Systematic Biology 46.</remarks>
public static class Nexus
{
    // Digits and letters, without I and O, which are taken for 1 and 0.
    private const string Symbols = "0123456789ABCDEFGHJKLMNPQRSTUVWXYZ";

    /// <summary>Writes a flora’s states and presences.</summary>
    public static NexusFile Write(Flora flora)
    {
        Character[] written = [.. flora.Characters.Where(character => character is PresenceCharacter || character is StateCharacter { States.Count: var count } && count <= Symbols.Length)];
        var text = new StringBuilder("#NEXUS\n[Written by Verdant Sieve: ").Append(Comment(flora.About.Title)).Append(", edition ").Append(flora.About.Edition).Append("]\n\nBEGIN TAXA;\n  DIMENSIONS NTAX=")
            .Append(flora.Taxa.Count).Append(";\n  TAXLABELS\n");
        foreach (var taxon in flora.Taxa) text.Append("    ").Append(Token(taxon.Name.Text)).Append('\n');
        text.Append("  ;\nEND;\n\nBEGIN CHARACTERS;\n  DIMENSIONS NCHAR=").Append(written.Length).Append(";\n  FORMAT DATATYPE=STANDARD MISSING=? GAP=- SYMBOLS=\"")
            .Append(Symbols[..Math.Max(2, written.OfType<StateCharacter>().Select(c => c.States.Count).DefaultIfEmpty(2).Max())]).Append("\";\n  CHARSTATELABELS\n");
        text.AppendJoin(",\n", written.Select((character, i) => $"    {i + 1} {Token(character.Id)} / {string.Join(' ', StatesOf(character).Select(Token))}"));
        text.Append("\n  ;\n  MATRIX\n");
        var width = flora.Taxa.Max(taxon => Token(taxon.Name.Text).Length);
        foreach (var taxon in flora.Taxa) text.Append("  ").Append(Token(taxon.Name.Text).PadRight(width)).Append(' ').AppendJoin("", written.Select(character => Cell(taxon, character, flora))).Append('\n');
        text.Append("  ;\nEND;\n");
        return new NexusFile(text.ToString(), Lost(flora, written));
    }

    private static IReadOnlyList<string> StatesOf(Character character) => character is StateCharacter states ? [.. states.States.Select(state => state.Id)] : ["absent", "present"];

    private static string Cell(Taxon taxon, Character character, Flora flora)
    {
        if (!taxon.Scores.TryGetValue(character.Id, out var score)) return CannotApply(taxon, character, flora) ? "-" : "?";
        int[] states = score switch
        {
            StateScore shown => [.. shown.States.Select(state => ((StateCharacter)character).IndexOf(state.State)).Order()],
            PresenceScore { Frequency: 0 } => [0],
            PresenceScore { Frequency: 1 } => [1],
            _ => [0, 1]
        };
        return states.Length == 1 ? Symbols[states[0]].ToString() : $"({string.Concat(states.Select(state => Symbols[state]))})";
    }

    private static bool CannotApply(Taxon taxon, Character character, Flora flora)
    {
        for (var at = character; at.OnlyIf is { IsPresence: false } condition; at = flora.Character(condition.CharacterId))
            if (taxon.Scores.GetValueOrDefault(condition.CharacterId) is StateScore on && on.States.All(state => condition.States.Contains(state.State) == condition.Negated)) return true;
        return false;
    }

    private static List<string> Lost(Flora flora, Character[] written)
    {
        var lost = new List<string>();
        foreach (var (kind, characters) in flora.Characters.Except(written).GroupBy(c => c switch { CountCharacter => "counts", MeasureCharacter => "measures", SeasonCharacter => "seasons", _ => "characters with too many states" }).Select(g => (g.Key, g)))
            lost.Add($"{char.ToUpperInvariant(kind[0])}{kind[1..]} are left out: {string.Join(", ", characters.Select(c => c.Id))}.");
        var weighed = flora.Taxa.Sum(taxon => taxon.Scores.Values.OfType<StateScore>().Count(score => score.States.Any(state => state.Frequency != Frequency.Usual)));
        if (weighed > 0) lost.Add($"How often a state is shown is lost in {weighed} scores: usual, sometimes and rarely all become one of several states.");
        var often = flora.Taxa.Sum(taxon => taxon.Scores.Values.OfType<PresenceScore>().Count(score => score.Frequency is > 0 and < 1));
        if (often > 0) lost.Add($"How often a thing is found is lost in {often} scores: they become “absent or present”.");
        lost.Add("Questions, meanings of states, confusions and all else that is said of characters and taxa is left out but for their names.");
        return lost;
    }

    // Quoted where the format would take it for more than a word; a space becomes a low line, as the format has it.
    private static string Token(string word)
    {
        if (word.All(letter => char.IsLetterOrDigit(letter) || letter is ' ' or '.') && word.All(char.IsAscii)) return word.Replace(' ', '_');
        return $"'{word.Replace("'", "''")}'";
    }

    private static string Comment(string text) => text.Replace('[', '(').Replace(']', ')');

    /// <summary>Reads a NEXUS file of standard data as a flora whose taxa have states and nothing else.</summary>
    /// <param name="source">The file.</param>
    /// <param name="id">The id the flora is to have.</param>
    public static FloraReading Read(SourceFile source, string id)
    {
        try
        {
            return new NexusReader(source).Read(id).Read();
        }
        catch (NexusFault fault) { return new FloraReading(null, [new Fault(source.Path, fault.Line, fault.Message)]); }
    }

    private sealed class NexusFault(int line, string message) : Exception(message)
    {
        public int Line { get; } = line;
    }

    private readonly record struct Word(string Text, int Line, bool Quoted)
    {
        public bool Is(string other) => !Quoted && Text.Equals(other, StringComparison.OrdinalIgnoreCase);
    }

    private sealed class NexusReader(SourceFile source)
    {
        private readonly List<(string Label, string[] States)> characters = [];
        private readonly List<(string Name, int Line, string[] Cells)> rows = [];
        private int declared;
        private char missing = '?', gap = '-';
        private string symbols = "01";

        public DraftFlora Read(string id)
        {
            var words = Words().ToList();
            if (words.Count == 0 || !words[0].Is("#NEXUS")) throw new NexusFault(1, "the file must begin with #NEXUS");
            var block = "";
            for (var at = 1; at < words.Count;)
            {
                var end = words.FindIndex(at, word => !word.Quoted && word.Text == ";");
                if (end < 0) throw new NexusFault(words[at].Line, $"the command “{words[at].Text}” is never closed by a semicolon");
                var command = words[at..end];
                at = end + 1;
                if (command.Count == 0) continue;
                if (command[0].Is("BEGIN") && command.Count > 1) block = command[1].Text.ToUpperInvariant();
                else if (command[0].Is("END") || command[0].Is("ENDBLOCK")) block = "";
                else if (block is "CHARACTERS" or "DATA") Command(command);
            }
            if (rows.Count == 0) throw new NexusFault(1, "the file has no matrix in a CHARACTERS or DATA block");
            return Draft(id);
        }

        private void Command(List<Word> command)
        {
            switch (command[0].Text.ToUpperInvariant())
            {
                case "DIMENSIONS":
                    if (int.TryParse(Setting(command, "NCHAR"), out var count)) declared = count;
                    break;
                case "FORMAT":
                    if (Setting(command, "DATATYPE") is { } type && !type.Equals("STANDARD", StringComparison.OrdinalIgnoreCase))
                        throw new NexusFault(command[0].Line, $"only standard data can be read, not “{type}”");
                    if (command.Any(word => word.Is("INTERLEAVE")) && !string.Equals(Setting(command, "INTERLEAVE"), "no", StringComparison.OrdinalIgnoreCase)) throw new NexusFault(command[0].Line, "an interleaved matrix can’t be read; write each taxon on one line");
                    missing = Setting(command, "MISSING") is { Length: 1 } m ? m[0] : missing;
                    gap = Setting(command, "GAP") is { Length: 1 } g ? g[0] : gap;
                    symbols = Setting(command, "SYMBOLS")?.Replace(" ", "") is { Length: > 0 } s ? s : symbols;
                    break;
                case "CHARSTATELABELS":
                    Labels(command);
                    break;
                case "MATRIX":
                    Matrix(command);
                    break;
            }
        }

        private static string? Setting(List<Word> command, string name)
        {
            var at = command.FindIndex(word => word.Is(name));
            return at >= 0 && at + 2 < command.Count && command[at + 1].Text == "=" ? command[at + 2].Text : null;
        }

        private void Labels(List<Word> command)
        {
            for (var at = 1; at < command.Count;)
            {
                var end = command.FindIndex(at, word => !word.Quoted && word.Text == ",");
                if (end < 0) end = command.Count;
                var one = command[at..end];
                at = end + 1;
                var slash = one.FindIndex(word => !word.Quoted && word.Text == "/");
                if (one.Count < 2) throw new NexusFault(command[0].Line, "a label of a character has a number and a name");
                characters.Add((one[1].Text, slash < 0 ? [] : [.. one[(slash + 1)..].Select(word => word.Text)]));
            }
        }

        private void Matrix(List<Word> command)
        {
            for (var at = 1; at < command.Count;)
            {
                var name = command[at];
                var cells = new List<string>();
                at++;
                // All words up to the next line belong to the taxon.
                while (at < command.Count && command[at].Line == name.Line)
                {
                    var word = command[at].Text;
                    if (word is "(" or "{")
                    {
                        var close = command.FindIndex(at, w => w.Text is ")" or "}");
                        if (close < 0) throw new NexusFault(command[at].Line, "a bracket in the matrix is never closed");
                        cells.Add(string.Concat(command[(at + 1)..close].Select(w => w.Text)));
                        at = close + 1;
                        continue;
                    }
                    cells.AddRange(word.Select(letter => letter.ToString()));
                    at++;
                }
                var expected = declared > 0 ? declared : characters.Count;
                if (expected > 0 && cells.Count != expected) throw new NexusFault(name.Line, $"{name.Text} has {cells.Count} characters, and {expected} are declared");
                rows.Add((name.Text.Replace('_', ' '), name.Line, [.. cells]));
            }
        }

        private DraftFlora Draft(string id)
        {
            var count = rows[0].Cells.Length;
            while (characters.Count < count) characters.Add(($"character {characters.Count + 1}", []));
            var ids = new List<string>();
            foreach (var (label, _) in characters) ids.Add(Unique(Slug(label, "character"), ids));
            var states = characters.Select(character => character.States.Aggregate(new List<string>(), (list, state) => { list.Add(Unique(Slug(state, "state"), list)); return list; })).ToArray();
            // A character without labels has the symbols that are met with.
            for (var c = 0; c < count; c++)
                foreach (var row in rows)
                    foreach (var symbol in row.Cells[c].Where(symbol => symbol != missing && symbol != gap))
                    {
                        var at = symbols.IndexOf(symbol, StringComparison.OrdinalIgnoreCase);
                        if (at < 0) throw new NexusFault(row.Line, $"“{symbol}” is not among the symbols {symbols}");
                        while (states[c].Count <= at) states[c].Add(Unique($"state-{states[c].Count}", states[c]));
                    }
            return new DraftFlora
            {
                About = new DraftEntry(source.Path, 1, new Dictionary<string, string> { ["id"] = id, ["title"] = id }),
                Characters = [.. characters.Take(count).Select((character, c) => new DraftEntry(source.Path, 1, new Dictionary<string, string>
                {
                    ["part"] = Organs.PartNotGiven, ["id"] = ids[c], ["kind"] = "nominal", ["label"] = character.Label.Replace('_', ' '), ["question"] = $"What is the {character.Label.Replace('_', ' ').Replace('-', ' ')}?"
                }) { Pairs = new Dictionary<string, IReadOnlyList<(string, string)>> { ["states"] = [.. (states[c].Count == 0 ? ["state-0"] : states[c]).Select(state => (state, state.Replace('-', ' ')))] } })],
                Taxa = [.. rows.Select(row => new DraftEntry(source.Path, row.Line, new Dictionary<string, string> { ["name"] = Binomial(row.Name), ["authority"] = Taxon.NotGiven, ["family"] = Taxon.NotGiven, ["provenance"] = $"Read from {source.Path}." })
                {
                    Lists = new Dictionary<string, IReadOnlyList<string>> { ["common-names"] = [row.Name], ["settings"] = ["wild", "planted"] },
                    Pairs = new Dictionary<string, IReadOnlyList<(string, string)>> { ["scores"] = Scores(row.Cells) }
                })]
            };

            IReadOnlyList<(string, string)> Scores(string[] cells)
            {
                var scores = new List<(string, string)>();
                for (var c = 0; c < count; c++)
                    if (cells[c].Where(symbol => symbol != missing && symbol != gap).Select(symbol => states[c][symbols.IndexOf(symbol, StringComparison.OrdinalIgnoreCase)]).Distinct().ToArray() is { Length: > 0 } shown)
                        scores.Add((ids[c], string.Join(", ", shown)));
                return scores;
            }
        }

        // A taxon of one word is given a second, since a name has a genus and an epithet.
        private static string Binomial(string name) => name.Contains(' ') ? name : $"{name} sp.";

        private static string Slug(string label, string otherwise)
        {
            var slug = new string([.. label.ToLowerInvariant().Select(letter => char.IsAsciiLetterOrDigit(letter) ? letter : '-')]).Trim('-');
            return slug.Length == 0 ? otherwise : slug;
        }

        private static string Unique(string id, ICollection<string> taken)
        {
            var (unique, n) = (id, 2);
            while (taken.Contains(unique)) unique = $"{id}-{n++}";
            return unique;
        }

        // Words, quoted labels and marks; comments in square brackets fall away.
        private IEnumerable<Word> Words()
        {
            var (text, line) = (source.Text, 1);
            for (var i = 0; i < text.Length;)
            {
                var letter = text[i];
                if (letter == '\n') line++;
                if (char.IsWhiteSpace(letter)) i++;
                else if (letter == '[')
                {
                    var (depth, from) = (0, line);
                    do
                    {
                        if (i >= text.Length) throw new NexusFault(from, "a comment is never closed by ]");
                        if (text[i] == '[') depth++;
                        if (text[i] == ']') depth--;
                        if (text[i] == '\n') line++;
                        i++;
                    } while (depth > 0);
                }
                else if (letter is '\'' or '"')
                {
                    var (word, from) = (new StringBuilder(), line);
                    for (i++; ; i++)
                    {
                        if (i >= text.Length) throw new NexusFault(from, "a quotation mark is never closed");
                        if (text[i] == letter && i + 1 < text.Length && text[i + 1] == letter) i++;
                        else if (text[i] == letter) break;
                        if (text[i] == '\n') line++;
                        word.Append(text[i]);
                    }
                    i++;
                    yield return new Word(word.ToString(), from, true);
                }
                else if (";=,/(){}".Contains(letter))
                {
                    yield return new Word(letter.ToString(), line, false);
                    i++;
                }
                else
                {
                    var start = i;
                    while (i < text.Length && !char.IsWhiteSpace(text[i]) && !";=,/(){}['\"".Contains(text[i])) i++;
                    yield return new Word(text[start..i], line, false);
                }
            }
        }
    }
}
