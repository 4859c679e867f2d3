using NodaTime;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Seasons;

namespace VerdantSieve.Core.Observing.Speech;

/// <summary>What was understood of a text about one plant, and what was not.</summary>
public sealed record Heard
{
    /// <summary>The readings, in the order in which they stand in the text; no character, place on the plant and day twice.</summary>
    public required IReadOnlyList<HeardReading> Readings { get; init; }

    /// <summary>The botanical country that was named; null where none was.</summary>
    public string? Region { get; init; }

    /// <summary>The day that was named; null where none was.</summary>
    public LocalDate? Date { get; init; }

    /// <summary>Wild or planted; null where neither was said.</summary>
    public Setting? Setting { get; init; }

    /// <summary>Young or grown; null where neither was said.</summary>
    public Age? Age { get; init; }

    /// <summary>How far the plant is with its leaves; null where that was not said.</summary>
    public LeafStage? Stage { get; init; }

    /// <summary>The kinds that the plant was said to be one of; null where that was not said, or of two different ones.</summary>
    public KindsCalled? Kinds { get; init; }

    /// <summary>What was not understood, in the order of the text; nothing is guessed of it.</summary>
    public required IReadOnlyList<Unheard> Left { get; init; }

    /// <summary>Whether anything of what the plant is, or of where, when and how it stands, was understood.</summary>
    public bool HasCircumstances => Kinds is not null || (Region, Date, Setting, Age, Stage) != (null, null, null, null, null);
}

/// <summary>A reading as it was heard, checked against the flora, and the part of the text it came from.</summary>
public sealed record HeardReading(Reading Reading, TextSpan Span);

/// <summary>What the plant was said to be: “an oak”, “a cedar”.</summary>
/// <param name="All">All kinds it then can be; at least one.</param>
/// <param name="Called">The word that their names end in; null where they are all the kinds of some genera.</param>
public sealed record KindsCalled(IReadOnlyList<Taxon> All, string? Called)
{
    /// <summary>Their genera where they are all the kinds of these, else the kinds, by their scientific names.</summary>
    public IReadOnlyList<string> Names =>
        [.. Called is null ? All.Select(taxon => taxon.Name.Genus).Distinct() : All.Select(taxon => taxon.Name.Text)];

    /// <summary>What they are together: “the genus Quercus”, “the genera Cedrus and Thuja”, “the kinds called cedar”.</summary>
    public string Title =>
        Called is null ? $"the {(Names.Count == 1 ? "genus" : "genera")} {string.Join(" and ", Names)}" : $"the kinds called {Called}";
}

/// <summary>A part of the text that was not understood.</summary>
/// <param name="Span">Where it stands.</param>
/// <param name="Text">The words themselves.</param>
/// <param name="Near">What it may mean, the nearest first; empty where nothing comes near.</param>
public sealed record Unheard(TextSpan Span, string Text, IReadOnlyList<VocabularyWord> Near);

/// <summary>A part of a text.</summary>
/// <param name="Start">The first letter, counted from 0.</param>
/// <param name="Length">How many letters.</param>
public readonly record struct TextSpan(int Start, int Length)
{
    /// <summary>The letter after the last one.</summary>
    public int End => Start + Length;

    /// <summary>From the beginning of the one to the end of the other, whichever stands first.</summary>
    public TextSpan With(TextSpan other)
    {
        var start = Math.Min(Start, other.Start);
        return new TextSpan(start, Math.Max(End, other.End) - start);
    }
}
