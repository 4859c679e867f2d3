using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Observing;

/// <summary>Says in the words of today what was read in those of an earlier edition of the vocabulary.</summary>
internal static class FormerWords
{
    /// <summary>The same reading in today's words. Of states that have become a sign of their own and others beside them, the others are
    /// left.</summary>
    public static RawReading Now(RawReading raw, Vocabulary vocabulary)
    {
        if (raw.Character is { } id && vocabulary.Find(id) is { } found && found.Id != id)
            raw = raw with { Character = found.Id };
        if (raw is not { Character: { } character, States: { Count: > 0 } states } || !vocabulary.HasMoved(character))
            return raw;
        string[] left = [.. states.Where(state => vocabulary.MovedTo(character, state) is null)];
        if (left.Length > 0)
            return left.Length == states.Count ? raw : raw with { States = left };
        return raw with
        {
            Character = vocabulary.MovedTo(character, states[0])!.Id,
            States = null,
            Mode = null,
            Seen = raw.Mode != StateMode.Not.Word(),
        };
    }
}
