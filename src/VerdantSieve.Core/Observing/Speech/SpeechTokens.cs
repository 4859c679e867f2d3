using System.Globalization;

namespace VerdantSieve.Core.Observing.Speech;

/// <summary>Cuts a text into words, numbers and signs, in one pass.</summary>
internal static class SpeechTokens
{
    private const string Vulgar = "¼½¾⅓⅔⅛⅜⅝⅞";
    private static readonly double[] VulgarValues = [0.25, 0.5, 0.75, 1 / 3.0, 2 / 3.0, 0.125, 0.375, 0.625, 0.875];

    public static List<SpokenToken> Of(string text)
    {
        var tokens = new List<SpokenToken>();
        for (var at = 0; at < text.Length;)
        {
            var letter = text[at];
            if (letter is '\n')
                tokens.Add(new SpokenToken(TokenKind.Stop, "\n", new TextSpan(at++, 1)));
            else if (char.IsWhiteSpace(letter))
                at++;
            else if (char.IsAsciiDigit(letter) || Vulgar.Contains(letter, StringComparison.Ordinal))
                at = AddNumber(text, at, tokens);
            else if (char.IsLetter(letter))
                at = AddWord(text, at, tokens);
            else
                tokens.Add(new SpokenToken(SignOf(text, at), letter.ToString(), new TextSpan(at++, 1)));
        }
        return tokens;
    }

    private static TokenKind SignOf(string text, int at) =>
        text[at] switch
        {
            ',' or ':' or '(' or ')' or '[' or ']' => TokenKind.Comma,
            '.' or ';' or '!' or '•' or '*' => TokenKind.Stop,
            '-' or '–' or '—' or '‐' or '‑' or '−' => TokenKind.Dash,
            '/' => TokenKind.Slash,
            '×' => TokenKind.Times,
            '"' or '”' or '″' => AfterDigit(text, at) ? TokenKind.Inch : TokenKind.Other,
            '\'' or '’' or '′' => AfterDigit(text, at) ? TokenKind.Foot : TokenKind.Other,
            '+' => TokenKind.Plus,
            '?' => TokenKind.Question,
            '~' or '≈' => TokenKind.About,
            _ => TokenKind.Other,
        };

    private static bool AfterDigit(string text, int at) =>
        at > 0 && (char.IsAsciiDigit(text[at - 1]) || Vulgar.Contains(text[at - 1], StringComparison.Ordinal));

    private static int AddWord(string text, int start, List<SpokenToken> tokens)
    {
        var end = start;
        while (end < text.Length && (char.IsLetter(text[end]) || IsInner(text, end)))
            end++;
        var word = text[start..end];
        // “round-ish” is one word.
        if (IsIsh(text, end))
            (word, end) = (word + Ish, end + 1 + Ish.Length);
        // “hornbeam’s” is said of the hornbeam; “can’t” stays whole.
        var own = word.Length > 2 && word[^2] is '\'' or '’' && word[^1] is 's' or 'S' ? word[..^2] : word;
        own = own.Replace('\'', '’');
        var span = new TextSpan(start, end - start);
        if (own is "x" or "X" && tokens.Count > 0 && tokens[^1].Kind is TokenKind.Number or TokenKind.Inch)
            tokens.Add(new SpokenToken(TokenKind.Times, own, span));
        else
            tokens.Add(new SpokenToken(TokenKind.Word, WordForms.Of(own), span) { IsPlural = own[^1] is 's' or 'S' });
        return end;
    }

    private const string Ish = "ish";

    private static bool IsIsh(string text, int at) =>
        at + Ish.Length < text.Length
        && text[at] is ('-' or '–')
        && text.AsSpan(at + 1).StartsWith(Ish, StringComparison.OrdinalIgnoreCase)
        && (at + 1 + Ish.Length == text.Length || !char.IsLetter(text[at + 1 + Ish.Length]));

    // An apostrophe between letters belongs to the word.
    private static bool IsInner(string text, int at) =>
        text[at] is '\'' or '’' && at > 0 && at + 1 < text.Length && char.IsLetter(text[at - 1]) && char.IsLetter(text[at + 1]);

    // “12”, “9.5”, “9,5” with a digit straight behind, “1/2”, “½”, “3 1/2”, “3½”.
    private static int AddNumber(string text, int start, List<SpokenToken> tokens)
    {
        var end = start;
        var value = Simple(text, ref end);
        var next = end < text.Length && text[end] == ' ' ? end + 1 : end;
        if (next < text.Length && (char.IsAsciiDigit(text[next]) || Vulgar.Contains(text[next], StringComparison.Ordinal)))
        {
            var after = next;
            var fraction = Simple(text, ref after);
            if (fraction < 1 && value >= 1 && value == Math.Floor(value))
                (value, end) = (value + fraction, after);
        }
        tokens.Add(new SpokenToken(TokenKind.Number, text[start..end], new TextSpan(start, end - start), value));
        return end;
    }

    private static double Simple(string text, ref int at)
    {
        if (Vulgar.IndexOf(text[at], StringComparison.Ordinal) is >= 0 and var sign)
        {
            at++;
            return VulgarValues[sign];
        }
        var whole = Digits(text, ref at);
        if (at + 1 < text.Length && text[at] is '.' or ',' && char.IsAsciiDigit(text[at + 1]))
        {
            var from = ++at;
            var part = Digits(text, ref at);
            return whole + part / Math.Pow(10, at - from);
        }
        if (at + 1 < text.Length && text[at] == '/' && char.IsAsciiDigit(text[at + 1]))
        {
            at++;
            return Digits(text, ref at) is > 0 and var divisor ? whole / divisor : whole;
        }
        return whole;
    }

    private static double Digits(string text, ref int at)
    {
        var from = at;
        while (at < text.Length && char.IsAsciiDigit(text[at]))
            at++;
        // What is longer than any number in use is still a number; the desk says that it is too large.
        return double.Parse(text.AsSpan(from, Math.Min(at - from, 15)), NumberStyles.None, CultureInfo.InvariantCulture);
    }
}
