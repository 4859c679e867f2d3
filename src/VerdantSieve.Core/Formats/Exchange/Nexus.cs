using System.Text;
using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Formats.Exchange;

/// <summary>Writes and reads NEXUS: a TAXA and a CHARACTERS block of standard data, several states in brackets, “?” for what is not known
/// and “-” for what cannot apply.</summary>
/// <remarks>D. R. Maddison, D. L. Swofford and W. P. Maddison 1997, NEXUS: an extensible file format for systematic information, Systematic
/// Biology 46.</remarks>
public sealed class Nexus : TextFormat
{
    // Digits and letters, without I and O, which are taken for 1 and 0.
    private const string Symbols = "0123456789ABCDEFGHJKLMNPQRSTUVWXYZ";
    private static readonly string[] AbsentOrPresent = ["absent", "present"];

    /// <inheritdoc/>
    public override string Id => "nexus";

    /// <inheritdoc/>
    public override string Name => "NEXUS";

    /// <inheritdoc/>
    public override IReadOnlyList<string> Extensions { get; } = [".nex", ".nxs"];

    /// <inheritdoc/>
    public override string MediaType => "text/plain; charset=utf-8";

    /// <inheritdoc/>
    public override string Holds => "states only";

    /// <inheritdoc/>
    public override Outcome<Flora> ReadText(SourceFile source, string id, CancellationToken cancel = default)
    {
        try
        {
            return FloraReader.ReadEntries(new NexusReader(source, cancel).Read(id), cancel);
        }
        catch (UnreadableException unreadable)
        {
            return unreadable.Fault;
        }
    }

    /// <inheritdoc/>
    public override string WriteText(Flora flora)
    {
        var written = Written(flora);
        var most = written.OfType<StateCharacter>().Select(character => character.States.Count).DefaultIfEmpty(2).Max();
        var width = flora.Taxa.Max(taxon => Token(taxon.Name.Text).Length);
        var text = new StringBuilder(
            $"#NEXUS\n[Written by Verdant Sieve: {Comment(flora.About.Title)}, edition {flora.About.Edition}]\n\n"
        );
        text.Append($"BEGIN TAXA;\n  DIMENSIONS NTAX={flora.Taxa.Count};\n  TAXLABELS\n");
        foreach (var taxon in flora.Taxa)
            text.Append("    ").Append(Token(taxon.Name.Text)).Append('\n');
        text.Append($"  ;\nEND;\n\nBEGIN CHARACTERS;\n  DIMENSIONS NCHAR={written.Length};\n");
        text.Append($"  FORMAT DATATYPE=STANDARD MISSING=? GAP=- SYMBOLS=\"{Symbols[..Math.Max(2, most)]}\";\n  CHARSTATELABELS\n");
        text.AppendJoin(
            ",\n",
            written.Select((character, i) => $"    {i + 1} {Token(character.Id)} / {string.Join(' ', StatesOf(character).Select(Token))}")
        );
        text.Append("\n  ;\n  MATRIX\n");
        foreach (var taxon in flora.Taxa)
            text.Append("  ")
                .Append(Token(taxon.Name.Text).PadRight(width))
                .Append(' ')
                .AppendJoin("", written.Select(character => Cell(taxon, character, flora)))
                .Append('\n');
        return text.Append("  ;\nEND;\n").ToString();
    }

    /// <inheritdoc/>
    public override IReadOnlyList<string> Lost(Flora flora) =>
        [
            .. flora
                .Characters.Except(Written(flora))
                .GroupBy(KindLost)
                .Select(group =>
                    $"{char.ToUpperInvariant(group.Key[0])}{group.Key[1..]} are left out: "
                    + $"{string.Join(", ", group.Select(character => character.Id))}."
                ),
            .. PlainMatrix.LostFrequencies(flora),
            "Questions, meanings of states, confusions and all else that is said of characters and taxa is left out but for their names.",
        ];

    private static Character[] Written(Flora flora) =>
        [
            .. flora.Characters.Where(character =>
                character.Match(
                    states: states => states.States.Count <= Symbols.Length,
                    count: _ => false,
                    measure: _ => false,
                    presence: _ => true,
                    season: _ => false
                )
            ),
        ];

    private static string KindLost(Character character) =>
        character.Match(
            states: _ => "characters with too many states",
            count: _ => "counts",
            measure: _ => "measures",
            presence: _ => "presences",
            season: _ => "seasons"
        );

    private static IReadOnlyList<string> StatesOf(Character character) =>
        character is StateCharacter states ? [.. states.States.Select(state => state.Id)] : AbsentOrPresent;

    private static string Cell(Taxon taxon, Character character, Flora flora)
    {
        if (taxon.Score(character.Id) is not { } score)
            return flora.CanApply(taxon, character) ? "?" : "-";
        var symbols = string.Concat(SymbolsOf(new Scored(character, score)).Select(state => Symbols[state]));
        return symbols.Length == 1 ? symbols : $"({symbols})";
    }

    private static int[] SymbolsOf(Scored scored) =>
        scored.Match<int[]>(
            states: (character, shown) => [.. shown.States.Select(state => character.IndexOf(state.State)).Order()],
            count: (_, _) => [],
            measure: (_, _) => [],
            presence: (_, presence) =>
                presence.Frequency switch
                {
                    0 => [0],
                    1 => [1],
                    _ => [0, 1],
                },
            season: (_, _) => []
        );

    // Quoted where the format would take it for more than a word; a space becomes a low line, as the format has it.
    private static string Token(string word)
    {
        var plain = word.All(letter => char.IsAsciiLetterOrDigit(letter) || letter is ' ' or '.');
        return plain ? word.Replace(' ', '_') : $"'{word.Replace("'", "''")}'";
    }

    private static string Comment(string text) => text.Replace('[', '(').Replace(']', ')');
}
