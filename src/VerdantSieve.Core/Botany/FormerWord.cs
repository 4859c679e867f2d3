namespace VerdantSieve.Core.Botany;

/// <summary>What a character was called before: another id, or a state of another character. It is understood for good, since looks that
/// were kept say it.</summary>
/// <param name="Character">The id of that character.</param>
/// <param name="State">The state of it; null where the whole character has become this one.</param>
public sealed record FormerWord(string Character, string? State)
{
    /// <summary>Reads <c>needle-colour</c> or <c>bud-form=sticky</c>; null where it is neither.</summary>
    public static FormerWord? Parse(string text) =>
        text.Split('=', StringSplitOptions.TrimEntries) switch
        {
            [{ Length: > 0 } character] => new(character, null),
            [{ Length: > 0 } character, { Length: > 0 } state] => new(character, state),
            _ => null,
        };

    /// <inheritdoc/>
    public override string ToString() => State is null ? Character : $"{Character}={State}";
}
