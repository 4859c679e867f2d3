namespace VerdantSieve.Core.Botany;

/// <summary>When a character applies: another character shows one of some states (or none of them), or, for flowers and
/// fruit, is in season.</summary>
public sealed record Condition(string CharacterId, IReadOnlyList<string> States, bool Negated)
{
    /// <summary>True where the condition is a season or a presence ("there are flowers") and names no states.</summary>
    public bool IsPresence => States.Count == 0;

    /// <summary>Whether a plant that shows this state meets the condition.</summary>
    public bool Admits(string state) => States.Contains(state) != Negated;

    /// <summary>Whether scores leave room for the condition: a kind that shows none of the states never meets it.</summary>
    /// <param name="score">What is known of the character the condition is about; null where nothing is.</param>
    public bool CanBeMet(Score? score) => IsPresence || score is not StateScore shown || shown.States.Any(state => Admits(state.State));

    /// <summary>Reads <c>habit=climber</c>, <c>structure!=simple</c>, <c>a=b|c</c> or <c>flowering</c>.</summary>
    public static Condition Parse(string text)
    {
        var negated = text.Contains("!=", StringComparison.Ordinal);
        var halves = text.Split(negated ? "!=" : "=", 2, StringSplitOptions.TrimEntries);
        return halves.Length == 1
            ? new Condition(halves[0], [], false)
            : new Condition(halves[0], halves[1].Split('|', StringSplitOptions.TrimEntries), negated);
    }

    /// <inheritdoc/>
    public override string ToString() => IsPresence ? CharacterId : $"{CharacterId}{(Negated ? "!=" : "=")}{string.Join('|', States)}";

    /// <inheritdoc/>
    public bool Equals(Condition? other) =>
        ReferenceEquals(this, other)
        || other is not null && CharacterId == other.CharacterId && Negated == other.Negated && States.SequenceEqual(other.States);

    /// <inheritdoc/>
    public override int GetHashCode() => HashCode.Combine(CharacterId, Negated, States.Count > 0 ? States[0] : null);
}
