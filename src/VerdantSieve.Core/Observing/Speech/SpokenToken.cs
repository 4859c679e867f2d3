namespace VerdantSieve.Core.Observing.Speech;

/// <summary>What a piece of a text is, before it is known what it means.</summary>
internal enum TokenKind
{
    Word,
    Number,

    /// <summary>What parts clauses: a comma, a colon, a bracket.</summary>
    Comma,

    /// <summary>What parts sentences: a full stop, a semicolon, a new line.</summary>
    Stop,
    Dash,
    Slash,
    Times,
    Inch,
    Foot,
    Plus,
    Question,
    About,
    Other,
}

/// <summary>A piece of a text.</summary>
/// <param name="Kind">What it is.</param>
/// <param name="Form">A word in its one form (see <see cref="WordForms"/>); else as typed.</param>
/// <param name="Span">Where it stands.</param>
/// <param name="Value">The number; 0 for all else.</param>
internal readonly record struct SpokenToken(TokenKind Kind, string Form, TextSpan Span, double Value = 0)
{
    /// <summary>Whether the word stands for several: “threes”, “inches”.</summary>
    public bool IsPlural { get; init; }
}
