using System.Text;

namespace VerdantSieve.Core.Formats.Exchange;

/// <summary>A word, a quoted label or a mark of a NEXUS file.</summary>
internal readonly record struct NexusWord(string Text, int Line, bool Quoted)
{
    /// <summary>Whether it is this word of the format, in letters of any case.</summary>
    public bool Is(string other) => !Quoted && Text.Equals(other, StringComparison.OrdinalIgnoreCase);
}

/// <summary>Parts a NEXUS file into words; comments in square brackets fall away.</summary>
internal sealed class NexusWords(SourceFile source)
{
    private const string Marks = ";=,/(){}";
    private static readonly string[] MarkTexts = [.. Marks.Select(mark => mark.ToString())];
    private readonly string text = source.Text;
    private int at,
        line = 1;

    /// <exception cref="UnreadableException">A comment or a quotation is never closed.</exception>
    public static List<NexusWord> Of(SourceFile source, CancellationToken cancel)
    {
        var (reader, words) = (new NexusWords(source), new List<NexusWord>());
        while (reader.Next() is { } word)
        {
            words.Add(word);
            if (words.Count > FileBounds.MostWords)
                throw new UnreadableException(FileBounds.TooMany(source.Path, words.Count, "words", FileBounds.MostWords, word.Line));
            cancel.ThrowIfCancellationRequested();
        }
        return words;
    }

    // The next word; null at the end.
    private NexusWord? Next()
    {
        while (at < text.Length && (char.IsWhiteSpace(text[at]) || text[at] == '['))
            if (text[at] == '[')
                SkipComment();
            else
                Step();
        if (at >= text.Length)
            return null;
        if (text[at] is '\'' or '"')
            return Quoted();
        return Marks.Contains(text[at]) ? new NexusWord(MarkAt(at++), line, false) : Plain();
    }

    private void Step()
    {
        if (text[at++] == '\n')
            line++;
    }

    private void SkipComment()
    {
        var (depth, from) = (0, line);
        do
        {
            if (at >= text.Length)
                throw new UnreadableException(source.Path, from, "a comment is never closed by ]");
            if (text[at] == '[')
                depth++;
            if (text[at] == ']')
                depth--;
            Step();
        } while (depth > 0);
    }

    // A mark that stands twice within quotation marks stands for one.
    private NexusWord Quoted()
    {
        var (mark, from, word) = (text[at++], line, new StringBuilder());
        while (true)
        {
            if (at >= text.Length)
                throw new UnreadableException(source.Path, from, "a quotation mark is never closed");
            if (text[at] == mark)
            {
                at++;
                if (at >= text.Length || text[at] != mark)
                    return new NexusWord(word.ToString(), from, true);
            }
            word.Append(text[at]);
            Step();
        }
    }

    // The same text for the same mark, of which a matrix has many.
    private string MarkAt(int index) => MarkTexts[Marks.IndexOf(text[index])];

    private NexusWord Plain()
    {
        var start = at;
        while (at < text.Length && !char.IsWhiteSpace(text[at]) && !Marks.Contains(text[at]) && text[at] is not ('[' or '\'' or '"'))
            at++;
        return new NexusWord(text[start..at], line, false);
    }
}
