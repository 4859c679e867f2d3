using NodaTime;
using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Trees;

/// <summary>What a line in a tree's history of determinations says.</summary>
public enum OpinionKind
{
    /// <summary>Names it.</summary>
    Determined,

    /// <summary>Agrees with the name that stands.</summary>
    Agreed,

    /// <summary>Doubts the name that stands, and says why.</summary>
    Doubted,

    /// <summary>Remarks on it without a judgement.</summary>
    Remarked,

    /// <summary>Opens it again: no name stands.</summary>
    Reopened,
}

/// <summary>How a name is qualified (common practice in determinations).</summary>
public enum Qualifier
{
    /// <summary><i>confer</i>: like it, and to be compared; not certain.</summary>
    Cf,

    /// <summary><i>affinis</i>: near it, and not it.</summary>
    Aff,
}

/// <summary>One line in a tree's history of determinations; lines are added and taken back, and never written over.</summary>
/// <param name="Id">Its number.</param>
/// <param name="Kind">What it says.</param>
/// <param name="By">Who said it.</param>
/// <param name="At">When.</param>
public sealed record Opinion(int Id, OpinionKind Kind, string By, Instant At)
{
    /// <summary>The most letters of a reason.</summary>
    public const int LongestReasons = 2000;

    /// <summary>The name it gives, or speaks of; empty where none stood.</summary>
    public string Name { get; init; } = "";

    /// <summary>The rank of the name.</summary>
    public TaxonRank? Rank { get; init; }

    /// <summary>How certain: what the sieve gave the name at the time, 0 to 1.</summary>
    public double? Probability { get; init; }

    /// <summary>How the name is qualified.</summary>
    public Qualifier? Qualifier { get; init; }

    /// <summary>Why.</summary>
    public string Reasons { get; init; } = "";

    /// <summary>What had been read, in words.</summary>
    public IReadOnlyList<string> Readings { get; init; } = [];

    /// <summary>The edition of the flora at the time.</summary>
    public int FloraEdition { get; init; }

    /// <summary>Whether it has been taken back by whoever said it.</summary>
    public bool IsWithdrawn { get; init; }

    /// <summary>Whether the account it was said from is one's own; only then it can be taken back.</summary>
    public bool IsOwn { get; init; }

    /// <summary>The name as it is written with its qualifier: <c>Quercus cf. robur</c>.</summary>
    public string Written => Qualified(Name, Qualifier);

    /// <summary>A name with its qualifier, which stands before the epithet in doubt, or before the genus where there is no
    /// epithet.</summary>
    public static string Qualified(string name, Qualifier? qualifier)
    {
        if (qualifier is not { } how)
            return name;
        var word = $"{how.Word()}.";
        var space = name.IndexOf(' ', StringComparison.Ordinal);
        return space < 0 ? $"{word} {name}" : $"{name[..space]} {word} {name[(space + 1)..]}";
    }
}
