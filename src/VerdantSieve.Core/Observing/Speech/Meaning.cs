using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Seasons;

namespace VerdantSieve.Core.Observing.Speech;

/// <summary>What a phrase can mean. Most mean one thing; “smooth” is a state of three characters, “acorns” a state and what the next words
/// are about.</summary>
internal sealed class Meaning
{
    /// <summary>The states it can name.</summary>
    public List<StateMeant> States { get; } = [];

    /// <summary>The characters that it names, or whose part of the plant it names: what is said next to it is about one of these.</summary>
    public HashSet<Character> About { get; } = new(ReferenceEqualityComparer.Instance);

    /// <summary>Those of <see cref="About"/> that it is a name of, and not only the part they are said of: “leaf stalk” is no name of the
    /// hair on it.</summary>
    public HashSet<Character> Named { get; } = new(ReferenceEqualityComparer.Instance);

    /// <summary>The counts that it is the counted thing of: “lobes”.</summary>
    public HashSet<Character> Counts { get; } = new(ReferenceEqualityComparer.Instance);

    /// <summary>The characters that are asked only where one of its states is shown: how deep, of lobes; how the cup, of acorns.</summary>
    public HashSet<Character> Hanging { get; } = new(ReferenceEqualityComparer.Instance);

    /// <summary>The things that are looked for which it tells of when it is said of their noun: “sticky” of buds.</summary>
    public List<(PresenceCharacter Character, Meaning Noun)> Seen { get; } = [];

    /// <summary>The organ it is the plain name of: what is said next to it may be any of its characters.</summary>
    public Organ? Organ { get; set; }

    /// <summary>Where on the plant.</summary>
    public PlantPlace? Place { get; set; }

    /// <summary>The part it plays in the sentence.</summary>
    public SpokenRole? Role { get; set; }

    /// <summary>How the size before or behind it was taken.</summary>
    public Dimension? Dimension { get; set; }

    /// <summary>What two plants are held against each other in.</summary>
    public Comparative? Comparative { get; set; }

    /// <summary>A botanical country.</summary>
    public string? Region { get; set; }

    /// <summary>A month, 1 to 12.</summary>
    public int? Month { get; set; }

    /// <summary>The day of the month that “early”, “mid” or “late” stands for.</summary>
    public int? DayOfMonth { get; set; }

    /// <summary>A part of the year: “late spring”.</summary>
    public YearPart? YearPart { get; set; }

    public Setting? Setting { get; set; }
    public Age? Age { get; set; }
    public LeafStage? Stage { get; set; }

    /// <summary>Whether what stands next to it can be said of it.</summary>
    public bool IsTopic => About.Count > 0 || Organ is not null;

    /// <summary>Whether it is a thing beside being a state: “acorns”, “needles”, “lobed”.</summary>
    public bool IsThing => Hanging.Count > 0 || IsFruit || IsFlower || HasNoun;

    /// <summary>Whether it is a thing that the plant has: “thorns”, “tendrils”.</summary>
    public bool IsThingOfItsOwn => States.Any(meant => IsThingItself(meant.Character));

    /// <summary>Whether a character's states are things, and none that is said of another.</summary>
    public static bool IsThingItself(Character character) =>
        character.Phrase.EndsWith(" with {}", StringComparison.Ordinal) || character.Phrase.EndsWith(" by {}", StringComparison.Ordinal);

    /// <summary>Whether it is a state with its noun: “green twig”.</summary>
    public bool HasNoun { get; set; }

    /// <summary>Whether it names a side of the leaf, and nothing where bark is spoken of: “above”.</summary>
    public bool IsSide { get; set; }

    /// <summary>Whether what is said of it does not last, so that it says nothing of the kind: “young leaves”.</summary>
    public bool IsFleeting { get; set; }

    /// <summary>Whether it names leaflets, of which all is said that is said of leaves.</summary>
    public bool IsLeaflets => Counts.Any(count => count.Id == CharacterIds.LeafletCount);

    /// <summary>Whether it speaks of needles beside what it says: “needles that fall in autumn”.</summary>
    public bool NamesNeedles { get; set; }

    /// <summary>Whether it speaks of leaflets beside what it says: “spiny leaflets”.</summary>
    public bool NamesLeaflets { get; set; }

    /// <summary>Of how many words it is.</summary>
    public int Words { get; set; }

    /// <summary>Whether it says enough to be understood whatever stands round it.</summary>
    public bool IsWhole => HasNoun || Words > 2;

    /// <summary>Whether it says whose land it is, and that only before a place: “Scottish moor”, but “English oak”.</summary>
    public bool IsOfAPeople { get; set; }

    /// <summary>Whether it says how leaves turn, and nothing else: “turning yellow”.</summary>
    public bool SaysOfTurning => States.Count > 0 && States.All(meant => meant.Character.Stages.Count > 0);

    /// <summary>Whether it says where the plant stands, and nothing that is seen of it.</summary>
    public bool SaysWhere =>
        Region is not null || Setting is not null || States.Count > 0 && States.All(meant => meant.Character.Id == CharacterIds.Habitat);

    /// <summary>Whether it is a kind of fruit.</summary>
    public bool IsFruit { get; set; }

    /// <summary>Whether it names flowers by their form: “bells”, which have a colour.</summary>
    public bool IsFlower { get; set; }

    /// <summary>Whether it says where, when or how the plant stands.</summary>
    public bool IsCircumstance => Region is not null || Setting is not null || Age is not null || Stage is not null;
}

/// <summary>A state, or a broad word, that a phrase can name.</summary>
/// <param name="Character">The character.</param>
/// <param name="Word">The state or the broad word.</param>
/// <param name="Owned">Whether the vocabulary lists the phrase among what people say for it, so that it is understood by itself.</param>
internal sealed record StateMeant(StateCharacter Character, string Word, bool Owned);

/// <summary>The part a phrase plays in a sentence.</summary>
internal enum SpokenRole
{
    /// <summary>It says nothing.</summary>
    Silent,

    /// <summary>It says nothing, and may stand between a word and its noun: “very”, “large”.</summary>
    Degree,

    /// <summary>It says nothing but that the one lies on the other: “blisters on grey bark”.</summary>
    On,

    /// <summary>From the one to the other: “ovate to lanceolate”.</summary>
    To,
    Not,
    But,
    And,
    Or,
    Guess,
    Sure,
    CannotTell,

    /// <summary>“nearly all”: nine in ten.</summary>
    NearlyAll,

    /// <summary>“mostly”: three in four.</summary>
    Mostly,

    /// <summary>“sometimes”, “a few”: one.</summary>
    Some,
}

/// <summary>Which way a size was taken.</summary>
internal enum Dimension
{
    Long,
    Wide,
    Tall,
    Thick,
    Ratio,
}

/// <summary>“narrower”: in what, and whether the plant at hand has more of it.</summary>
internal sealed record Comparative(Dimension Of, Comparison Is);
