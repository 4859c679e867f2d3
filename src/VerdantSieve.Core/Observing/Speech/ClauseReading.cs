using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Observing.Speech;

/// <summary>The mentions of one clause.</summary>
internal sealed class ClauseReading(SpeechListener listener, Clause clause, PhraseItem? ahead)
{
    // Of ten leaves.
    private static readonly Dictionary<SpokenRole, int> Tenths = new()
    {
        [SpokenRole.NearlyAll] = 9,
        [SpokenRole.Mostly] = 7,
        [SpokenRole.Some] = 1,
    };

    private readonly Certainty? certainty = CertaintyOf(clause);
    private readonly ClauseNouns nounsOf = new(listener, clause, ahead);
    private readonly StateChoice choiceOf = new(listener, clause);

    // “young leaves bronze” are no bronze leaves.
    private readonly bool speaksOfWhatPasses = clause.Items.OfType<PhraseItem>().Any(item => item.Meaning.IsFleeting);

    private bool not,
        choice,
        to;
    private int? share;

    private ClauseSizes Sizes => field ??= new ClauseSizes(listener, clause, nounsOf, certainty);

    private static Certainty? CertaintyOf(Clause clause)
    {
        foreach (var item in clause.Items)
        {
            if (item is DoubtItem || item is PhraseItem doubtful && doubtful.Plays(SpokenRole.Guess))
                return Observing.Certainty.Guess;
            if (item is PhraseItem sure && sure.Plays(SpokenRole.Sure))
                return Observing.Certainty.Sure;
        }
        return null;
    }

    public void Hear()
    {
        if (HearCannotTell())
            return;
        for (var at = 0; at < clause.Items.Count; at++)
            HearItem(at);
        HearNouns();
        PassOverNouns();
    }

    private void HearItem(int at)
    {
        switch (clause.Items[at])
        {
            case PhraseItem item when HearSeen(item, at):
                break;
            case PhraseItem { Meaning.States.Count: > 0 } item:
                HearState(item, at);
                break;
            case PhraseItem { Meaning.IsTopic: true } item:
                HearNoun(item);
                break;
            case PhraseItem item:
                HearWord(item);
                break;
            case AmountItem item:
                Sizes.HearAmount(item, at, share is not null);
                break;
            case ComparedItem item:
                Sizes.HearCompared(item, at);
                break;
            case SlashItem:
                to = true;
                break;
        }
    }

    // What steers the states behind it.
    private void HearWord(PhraseItem item)
    {
        var (meaning, role) = (item.Meaning, item.Meaning.Role);
        item.Used = role is not null || meaning.Place is not null || meaning.IsCircumstance;
        if (meaning.IsCircumstance)
            listener.HearCircumstance(meaning);
        var anew = role is SpokenRole.But or SpokenRole.And;
        var takesBack = role == SpokenRole.Not && IsBehindADoubt(item);
        listener.Corrects |= takesBack;
        not = role == SpokenRole.Not && !takesBack || not && !anew;
        choice = role == SpokenRole.Or || choice && !anew;
        to |= role == SpokenRole.To;
        if (role is { } said && Tenths.TryGetValue(said, out var tenths))
            share = tenths;
    }

    // “opposite? no, alternate” takes back what was said.
    private bool IsBehindADoubt(PhraseItem item) => clause.Items.TakeWhile(other => other != item).LastOrDefault() is DoubtItem;

    private void HearState(PhraseItem item, int at)
    {
        if (item.Meaning.Setting is not null || IsOfSomethingElse(at) || IsFormOfFlowers(item, at) || speaksOfWhatPasses)
        {
            HearUnclear(item);
            return;
        }
        PhraseItem[] nouns = item.Meaning.HasNoun ? [item, .. nounsOf.NounsFor(at)] : [.. nounsOf.NounsFor(at)];
        // “white flowers turning yellow” are no leaves that turn.
        if (
            item.Meaning is { SaysOfTurning: true, Organ: not Organ.Leaf }
            && nouns.FirstOrDefault(noun => noun != item) is { IsOfFlowersOrFruit: true }
        )
        {
            HearUnclear(item);
            return;
        }
        var (meant, noun) = choiceOf.Choose(item, nouns);
        meant ??= OfTheKind(item, at);
        // “nearly all” covers an acorn only where it is said of one.
        if (meant is null || noun is null && item.Meaning.Role is not null || GoesAgainst(meant))
        {
            HearUnclear(item);
            return;
        }
        (item.Used, var span) = (true, item.Span);
        if (noun is not null)
        {
            noun.Used = true;
            if (clause.Items.Contains(noun))
                span = span.With(noun.Span);
        }
        Say(
            item,
            new Mention(meant.Character, span)
            {
                State = meant.Word,
                Not = not,
                IsChoice = choice || to && listener.Mentions.LastOrDefault()?.Character == meant.Character,
                Share = share,
                On = nounsOf.PlaceOf(meant.Character, noun, at),
                Certainty = certainty,
            }
        );
        (choice, to) = (false, false);
        share = null;
    }

    // “a weeping willow”.
    private StateMeant? OfTheKind(PhraseItem item, int at) =>
        clause.Items.ElementAtOrDefault(at + 1) is KindsItem
            ? item.Meaning.States.FirstOrDefault(meant => Organs.Of(meant.Character) == Organ.WholePlant)
            : null;

    // What shows one state at a time and was said before is not said again otherwise: “papery scales” are not those of the foliage then.
    private bool GoesAgainst(StateMeant meant) =>
        !meant.Character.Variety
        && !choice
        && share is null
        && clause.Items.OfType<PhraseItem>().All(item => item.Said != meant.Character)
        && listener.SaidOtherwise(meant);

    // “with black marks”: what stands before a word that is not known is said of that.
    private bool IsOfSomethingElse(int at) =>
        at + 1 < clause.Items.Count
        && clause.Items[at + 1] is UnknownItem
        && !nounsOf.IsUnknownAdjective(at + 1)
        && (at == 0 || clause.Items[at - 1] is PhraseItem before && (before.Plays(SpokenRole.Silent) || before.Plays(SpokenRole.On)))
        && clause.Items[at] is PhraseItem { Meaning: { IsWhole: false, IsThing: false } meaning }
        && !meaning.States.Any(meant => StateChoice.IsPlainspoken(meant.Character));

    // “a white flower cone” is no fruit.
    private bool IsFormOfFlowers(PhraseItem item, int at) =>
        item.Meaning.IsFruit && at > 0 && clause.Items[at - 1] is PhraseItem before && before.Organs.Contains(Organ.Flower);

    // A word that is also the name of something is that; one that says nothing by itself is passed over; else it is told.
    private void HearUnclear(PhraseItem item)
    {
        if (item.Meaning is { IsTopic: true, HasNoun: false })
            HearNoun(item);
        else if (item.Meaning.Role is not null || item.Meaning.IsCircumstance || item.Meaning.Place is not null)
            HearWord(item);
        else
            listener.Ambiguous.Add((item.Span, item.Meaning.States));
    }

    // “no stipules”, “without glands”.
    private void HearNoun(PhraseItem item)
    {
        if (item.Meaning.IsCircumstance)
            listener.HearCircumstance(item.Meaning);
        if (!not)
            return;
        // “no leaf stalk” says nothing of its hair, its form or its colour.
        var absent =
            item.Meaning.Named.OfType<StateCharacter>().ToArray() is [var named]
            && named.States.FirstOrDefault(state => state.Id is "none" or "absent" or "none-or-lost") is { } none
                ? (named, none)
                : ((StateCharacter, State)?)null;
        if (item.Meaning.About.FirstOrDefault(IsLookedFor) is { } sought)
            Say(item, new Mention(sought, item.Span) { There = false, Certainty = certainty });
        else if (absent is var (character, state))
            Say(item, new Mention(character, item.Span) { State = state.Id, Certainty = certainty });
        else
            return;
        item.Used = true;
    }

    // “large sticky brown buds”: a thing that is looked for, told by what is said of its noun.
    private bool HearSeen(PhraseItem item, int at)
    {
        if (item.Meaning.Seen.Count == 0)
            return false;
        foreach (var noun in nounsOf.NounsFor(at).Prepend(item))
            if (item.Meaning.Seen.FirstOrDefault(pair => Names(noun.Meaning, pair.Noun)).Character is { } sought)
            {
                (item.Used, noun.Used) = (true, true);
                Say(item, new Mention(sought, item.Span.With(noun.Span)) { There = !not, Certainty = certainty });
                return true;
            }
        return false;
    }

    // “brown buds” names the buds as well.
    private static bool Names(Meaning said, Meaning noun) => said == noun || said.HasNoun && noun.About.IsSubsetOf(said.About);

    // A thing that is looked for and named without more is there: “flowers”, “sprouts from the base”. A name of several words says it in
    // any company: “up a tree with hairy roots”.
    private void HearNouns()
    {
        foreach (var item in clause.Items.OfType<PhraseItem>().Where(item => !item.Used && item.Meaning.IsTopic))
            if (
                item.Meaning.About.FirstOrDefault(IsLookedFor) is { } sought
                && (item.Meaning is { Words: > 1, About.Count: 1 } || clause.Items.All(other => other == item || SaysNothing(other)))
            )
            {
                item.Used = true;
                Say(item, new Mention(sought, item.Span) { There = true, Certainty = certainty });
            }
    }

    // “crushed leaves smell of oranges”: two nouns for one thing.
    private void PassOverNouns()
    {
        PhraseItem[] nouns = [.. clause.Items.OfType<PhraseItem>().Where(item => item.Meaning.IsTopic)];
        foreach (var item in nouns.Where(item => !item.Used && item.Meaning.States.Count == 0))
            item.Used = nouns.Any(other => other.Used && other.Meaning.About.Overlaps(item.Meaning.About)) || IsNameOfWhatWasSaid(item);
    }

    // “red leaves in fall”: the autumn colour.
    private bool IsNameOfWhatWasSaid(PhraseItem noun) =>
        clause.Items.OfType<PhraseItem>().Any(item => item.Said is { } said && noun.Meaning.Named.Contains(said));

    private static bool SaysNothing(SpokenItem item) =>
        item is PhraseItem { Meaning: { States.Count: 0, Role: not null } or { Organ: not null } };

    private static bool IsLookedFor(Character character) => character is PresenceCharacter or SeasonCharacter;

    private bool HearCannotTell()
    {
        if (!clause.Items.OfType<PhraseItem>().Any(item => item.Plays(SpokenRole.CannotTell)))
            return false;
        foreach (var item in clause.Items.OfType<PhraseItem>())
        {
            var named = item.Meaning.About.Count == 1 ? item.Meaning.About.First() : null;
            item.Used = item.Meaning.Role is not null || named is not null;
            if (named is null && item.Meaning.IsTopic)
                listener.Ambiguous.Add((item.Span, []));
            if (named is not null)
                listener.Add(new Mention(named, item.Span) { Untold = true });
        }
        return true;
    }

    private void Say(PhraseItem item, Mention mention)
    {
        // “scaly at the base, white above”: such a place ends with its clause; “young stems smooth, green” goes on.
        (item.Said, item.On) = (mention.Character, nounsOf.HasPlaceOfItsOwn ? null : mention.On);
        if (listener.TakesBack(mention.Character))
            mention = mention with { Certainty = null };
        listener.Add(mention);
    }
}
