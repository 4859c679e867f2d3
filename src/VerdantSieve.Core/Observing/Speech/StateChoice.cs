using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Observing.Speech;

/// <summary>Which of a word's states is meant, by the nouns round it.</summary>
internal sealed class StateChoice(SpeechListener listener, Clause clause)
{
    /// <summary>The state that is meant, and the noun it is said of; null where that can't be told.</summary>
    public (StateMeant? Meant, PhraseItem? Noun) Choose(PhraseItem item, PhraseItem[] nouns)
    {
        var candidates = Candidates(item.Meaning, nouns);
        if (BarkBeneath(item, candidates) is { } bared)
            return (bared, listener.Spoken[0]);
        // “a prickly shrub” says nothing of leaves.
        if (IsBeforeTheHabit(item) && candidates.Any(IsOfThePlant))
            (candidates, nouns) = ([.. candidates.Where(IsOfThePlant)], []);
        foreach (var noun in nouns)
        {
            if (SaidOf(noun, candidates) is { } meant)
                return (meant, noun);
            if (MayBeTwoThingsOf(noun, candidates) || noun == nouns[0] && IsStraightBefore(item, noun))
                break;
        }
        var alone = Alone(item, nouns, candidates);
        return (alone, alone is not null && nouns is [{ Meaning.IsLeaflets: true } leaflets, ..] ? leaflets : null);
    }

    private StateMeant[] Candidates(Meaning meaning, PhraseItem[] nouns)
    {
        StateMeant[] candidates =
        [
            .. meaning.States.Where(candidate =>
                listener.CanBeSaid(candidate.Character)
                && (meaning.IsWhole || listener.MayBeOfNeedles(candidate.Character))
                && (meaning.NamesLeaflets || IsNamed(candidate.Character) || listener.MayBeOfLeaflets(candidate.Character))
            ),
        ];
        // “palmate leaves with five leaflets”: of a leaf with leaflets it is said how these stand.
        return listener.IsCompound && candidates.Any(IsOfStructure) ? [.. candidates.Where(IsOfStructure)] : candidates;

        bool IsNamed(Character character) => meaning.About.Contains(character) || nouns.Any(noun => noun.Meaning.About.Contains(character));
    }

    // What may be said of a noun, the likeliest first: “green or red” is more of the same character, before all else; “red leaves” are in
    // autumn those that turn, else those of a red-leaved form.
    private StateMeant? SaidOf(PhraseItem noun, StateMeant[] candidates) =>
        One([.. candidates.Where(candidate => candidate.Character == noun.Said)])
        ?? One([.. candidates.Where(candidate => noun.Meaning.Organ == Organ.Leaf && IsOfTheSeason(candidate.Character))])
        ?? One([
            .. candidates.Where(candidate =>
                IsSaidOf(candidate.Character, noun.Meaning) && !(noun.Meaning.Organ is not null && IsOfWhatIsUnseen(candidate))
            ),
        ])
        ?? One([.. candidates.Where(candidate => IsMoreOfIt(candidate.Character, noun))])
        ?? One([.. candidates.Where(candidate => IsOfItsKind(candidate, noun))]);

    // “nuts, round leaves, hairy”: what the nearer noun may be in two ways is not said of the farther one.
    private bool MayBeTwoThingsOf(PhraseItem noun, StateMeant[] candidates) =>
        noun.Meaning.Organ is not null && candidates.Count(candidate => IsOfItsOrgan(candidate, noun)) > 1;

    private StateMeant? Alone(PhraseItem item, PhraseItem[] nouns, StateMeant[] candidates)
    {
        var meaning = item.Meaning;
        // “leaves alternate and long thorns”: a thing of its own begins anew.
        var first = nouns.FirstOrDefault(noun => !meaning.IsThingOfItsOwn || !AreParted(noun, item));
        StateMeant[] alone = [.. candidates.Where(candidate => MayStandAlone(candidate, meaning, first))];
        // “smooth” is said of several things: what is left of them when the nouns have spoken must be what people mean by it alone.
        var several = candidates.Select(candidate => candidate.Character).Distinct().Count() > 1;
        return several ? One([.. alone.Where(candidate => candidate.Owned && IsPlainspoken(candidate.Character))]) : Broadest(alone);
    }

    // “bark peels off, white underneath” speaks of the bark that is bared.
    private StateMeant? BarkBeneath(PhraseItem item, StateMeant[] candidates) =>
        item.Meaning.IsWhole
        && !clause.Items.Any(other => other != item && IsNoun(other))
        && candidates.All(candidate => IsOfASide(candidate.Character) || !listener.MayBeOfNeedles(candidate.Character))
        && listener.Spoken is [var last, ..]
        && last.Organs.Contains(Organ.Bark)
        && listener.Lexicon.Vocabulary.Find(CharacterIds.BarkColour) is StateCharacter colour
        && candidates.FirstOrDefault(candidate => colour.IndexOf(candidate.Word) >= 0) is { } shown
            ? new StateMeant(colour, shown.Word, true)
            : null;

    private static bool IsNoun(SpokenItem item) => item is PhraseItem { Meaning: { IsTopic: true, IsSide: false } };

    // Straight before it, or before more that may be said of the plant: “a narrow upright tree”, “a narrow poplar”.
    private bool IsBeforeTheHabit(PhraseItem item) =>
        clause
            .Items.SkipWhile(other => other != item)
            .Skip(1)
            .SkipWhile(other =>
                other is PhraseItem { Meaning.IsTopic: false } more && !IsHabit(more) && more.Meaning.States.Any(IsOfThePlant)
            )
            .FirstOrDefault()
            is { } next
        && (next is KindsItem || next is PhraseItem phrase && IsHabit(phrase));

    private static bool IsHabit(PhraseItem item) => item.Meaning.States is [{ Character.Id: CharacterIds.Habit }, ..];

    private static bool IsOfThePlant(StateMeant candidate) =>
        Organs.Of(candidate.Character) == Organ.WholePlant || Meaning.IsThingItself(candidate.Character);

    private bool AreParted(PhraseItem noun, PhraseItem item) =>
        clause
            .Items.OfType<PhraseItem>()
            .Any(and => and.Plays(SpokenRole.And) && and.Span.Start > noun.Span.Start != and.Span.Start > item.Span.Start);

    private static bool IsOfStructure(StateMeant candidate) => candidate.Character.Id == CharacterIds.Structure;

    // “pink anthers” are no pink flowers: what stands straight before a noun is said of that.
    private bool IsStraightBefore(PhraseItem item, PhraseItem noun) =>
        !item.Meaning.IsWhole
        && (
            noun.Meaning is { Organ: null, States.Count: 0, IsSide: false, IsLeaflets: false }
            || noun.Meaning.IsFruit && !AreParted(noun, item)
            // “red thorns” are no red leaves.
            || noun.Meaning.IsThingOfItsOwn
        )
        && noun.Span.Start > item.Span.Start
        && clause.Items.Contains(noun);

    // “stipules red”: what is plainly said of a part that has no such state is not something else's.
    private bool MayStandAlone(StateMeant candidate, Meaning meaning, PhraseItem? noun)
    {
        if (!IsThereToBeSaid(candidate.Character, meaning) || !meaning.IsWhole && IsOfWhatIsUnseen(candidate))
            return false;
        // “pale green” alone is no underside.
        if (!meaning.IsWhole && IsOfASide(candidate.Character) && noun?.Meaning.About.Contains(candidate.Character) != true)
            return false;
        if (noun is null || meaning.IsWhole && (candidate.Owned || meaning.HasNoun))
            return true;
        return noun.Organs.Contains(Organs.Of(candidate.Character))
            ? MayStandBeside(candidate, noun)
            : MayStandApart(candidate.Character, noun) && !IsPartOfFruit(candidate, noun);
    }

    // Colours alone: “hairy leaves” are so beneath, where hair is.
    private static bool IsOfASide(Character character) =>
        character.OnlySupports && character.Phrase.StartsWith("underside", StringComparison.Ordinal);

    // “cones with thick scales”: these are none of the foliage.
    private bool IsPartOfFruit(StateMeant candidate, PhraseItem noun) =>
        candidate is { Character.Id: CharacterIds.Foliage, Word: "scale" }
        && noun.Organs.Contains(Organ.Fruit)
        && clause.Items.Contains(noun);

    // No fruit and no needles were spoken of, so that “hanging” is not said of cones.
    private bool IsThereToBeSaid(Character character, Meaning meaning)
    {
        // “hop-like fruit” names the fruit itself.
        var namesFruit = meaning is { HasNoun: true, Organ: Organ.Fruit };
        var mustBeThere = character.Part == "fruit" && !namesFruit || character.Part == "needles" && !meaning.IsWhole;
        return !mustBeThere || IsPlainspoken(character) && character.Part != "needles" || listener.IsThere(character);
    }

    private bool MayStandBeside(StateMeant candidate, PhraseItem noun) =>
        noun.Meaning is { Organ: null, States.Count: 0 } && clause.Items.Contains(noun)
            ? SaysItsNoun(candidate.Character)
            : candidate.Owned || IsPlainspoken(candidate.Character) || !clause.Items.Contains(noun);

    private static bool SaysItsNoun(Character character) => character.IsGlance || character.Phrase is "{}" or "a {}";

    private bool MayStandApart(Character character, PhraseItem noun)
    {
        if (!IsPlainspoken(character))
            return false;
        return SaysItsNoun(character) || !clause.Items.Contains(noun) || noun.Said is { } said && Organs.Of(said) == Organ.WholePlant;
    }

    // What may be said of the whole organ, of any fruit, or of what hangs on the noun: teeth on the margin.
    private bool IsOfItsKind(StateMeant candidate, PhraseItem noun) =>
        IsOfItsOrgan(candidate, noun) || HangsOnIt(candidate.Character, noun) || noun.Meaning.IsFruit && IsOfAnyFruit(candidate.Character);

    private bool IsOfItsOrgan(StateMeant candidate, PhraseItem noun) =>
        noun.Meaning.Organ is { } organ
        && candidate.Owned
        && !IsOfASide(candidate.Character)
        && IsOf(candidate.Character, organ)
        && (organ != Organ.Fruit || listener.IsThere(candidate.Character));

    private static bool HangsOnIt(Character character, PhraseItem noun) =>
        Organs.Of(character) == Organ.Leaf
        && character.Part != "petiole"
        && !IsOfASide(character)
        && character.OnlyIf is { IsPresence: false } condition
        && noun.Meaning.About.Any(other => other.Id == condition.CharacterId);

    private static bool IsOfAnyFruit(Character character) =>
        Organs.Of(character) == Organ.Fruit && character.OnlyIf is { IsPresence: true };

    private static bool IsOf(Character character, Organ organ) =>
        Organs.Of(character) == organ && character.Part is not ("needles" or "petiole");

    // “ovate”, “opposite”, “a shrub” are said without a noun; “black” and “hairy” are not.
    public static bool IsPlainspoken(Character character) =>
        SaysItsNoun(character)
        || Meaning.IsThingItself(character)
        || character.Phrase is "leaves {}" or "blade {}" or "{} margin" or "{} leaf" or "growing {}" or "flowers {}";

    private static StateMeant? Broadest(StateMeant[] candidates) =>
        candidates.MaxBy(candidate => candidate.Character.Covered(candidate.Word).Count + (candidate.Owned ? 0.5 : 0));

    private bool IsOfTheSeason(Character character) => character.Stages.Contains(listener.StageIn(clause.YearPart));

    private static bool IsSaidOf(Character character, Meaning noun) => noun.About.Contains(character) || noun.Hanging.Contains(character);

    // “soft leaves” says nothing of hairs on their stalks that nobody spoke of.
    private bool IsOfWhatIsUnseen(StateMeant candidate) =>
        !candidate.Owned
        && candidate.Character.OnlyIf is { IsPresence: false, CharacterId: not (CharacterIds.Foliage or CharacterIds.Structure) }
        && !listener.IsThere(candidate.Character);

    // “smooth bark, grey”: what was said of the bark once is followed by more of it.
    private bool IsMoreOfIt(Character character, PhraseItem noun) =>
        noun.Said is { } said
        && said != character
        && said.Part == character.Part
        && (Organs.Of(said) != Organ.Leaf || said.Part == "needles")
        && listener.Lexicon.NounOf(said) == listener.Lexicon.NounOf(character)
        && !Meaning.IsThingItself(said)
        && listener.IsThere(character);

    // The only one; of one character's the broadest word; else the only one that the vocabulary lists among what people say.
    private static StateMeant? One(StateMeant[] candidates)
    {
        if (candidates.Length == 0 || candidates.All(candidate => candidate.Character == candidates[0].Character))
            return Broadest(candidates);
        StateMeant[] owned = [.. candidates.Where(candidate => candidate.Owned)];
        return owned.Length > 0 && owned.Length < candidates.Length ? One(owned) : null;
    }
}
