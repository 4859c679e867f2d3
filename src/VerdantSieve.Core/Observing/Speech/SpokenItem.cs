using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Observing.Speech;

/// <summary>A piece of a text that means something, or may.</summary>
internal abstract class SpokenItem(TextSpan span)
{
    public TextSpan Span { get; } = span;

    /// <summary>Whether something was made of it; what is not is told.</summary>
    public bool Used { get; set; }
}

/// <summary>A phrase of the lexicon.</summary>
internal sealed class PhraseItem(TextSpan span, Meaning meaning) : SpokenItem(span)
{
    public Meaning Meaning { get; } = meaning;

    /// <summary>The character it was understood to say something of; null where it was not.</summary>
    public Character? Said { get; set; }

    /// <summary>Where on the plant that was.</summary>
    public PlantPlace? On { get; set; }

    /// <summary>The organs that are spoken of by it.</summary>
    public IEnumerable<Organ?> Organs =>
        Said is { } said
            ? [Botany.Organs.Of(said)]
            : Meaning.About.Concat(Meaning.Hanging).Select(Botany.Organs.Of).Append(Meaning.IsFruit ? Organ.Fruit : Meaning.Organ);

    /// <summary>Whether flowers or fruit are spoken of by it.</summary>
    public bool IsOfFlowersOrFruit => Organs.Any(organ => organ is Organ.Flower or Organ.Fruit);

    public bool Plays(SpokenRole role) => Meaning.Role == role && Meaning.States.Count == 0 && !Meaning.IsTopic;
}

/// <summary>A number of things or a size.</summary>
internal sealed class AmountItem(
    TextSpan span,
    Amount amount,
    Dimension? dimension,
    IReadOnlyCollection<Character> counts,
    PhraseItem? noun
) : SpokenItem(span)
{
    public Amount Amount { get; } = amount;

    /// <summary>What is counted, as a noun that more may be said of: “two needles, 12 cm”; null where none stands next to it, or
    /// where it is an item of its own.</summary>
    public PhraseItem? Noun { get; } = noun;

    /// <summary>Which way it was taken, where that was said next to it.</summary>
    public Dimension? Dimension { get; } = dimension;

    /// <summary>What is counted, where that stands next to it.</summary>
    public IReadOnlyCollection<Character> Counts { get; } = counts;

    /// <summary>Whether it is a number alone, of which it may be that nothing was meant: “one”.</summary>
    public bool IsBare => Amount is { Unit: null, Limit: null, Values.Count: 0, Across: null } && Dimension is null && Counts.Count == 0;
}

/// <summary>A plant held against another: “narrower than a hornbeam”.</summary>
internal sealed class ComparedItem(TextSpan span, Comparative how, IReadOnlyList<Taxon> than) : SpokenItem(span)
{
    public Comparative How { get; } = how;
    public IReadOnlyList<Taxon> Than { get; } = than;
}

/// <summary>What the plant is said to be: “an oak”.</summary>
internal sealed class KindsItem(TextSpan span, KindsCalled kinds) : SpokenItem(span)
{
    public KindsCalled Kinds { get; } = kinds;
}

/// <summary>What parts clauses or sentences.</summary>
internal sealed class PauseItem(TextSpan span, bool ends) : SpokenItem(span)
{
    /// <summary>Whether a sentence ends here.</summary>
    public bool Ends { get; } = ends;
}

/// <summary>A doubt put as a sign: “serrate?”.</summary>
internal sealed class DoubtItem(TextSpan span) : SpokenItem(span);

/// <summary>A word that no phrase begins with.</summary>
internal sealed class UnknownItem(TextSpan span, bool isJoined) : SpokenItem(span)
{
    /// <summary>Whether a hyphen joins it to the word before: “square-tipped”.</summary>
    public bool IsJoined { get; } = isJoined;
}

/// <summary>“ovate/elliptic”: one or the other.</summary>
internal sealed class SlashItem(TextSpan span) : SpokenItem(span);
