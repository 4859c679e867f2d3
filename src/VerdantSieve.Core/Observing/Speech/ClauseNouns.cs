using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Observing.Speech;

/// <summary>Which nouns what stands in a clause may be said of, and where on the plant. The noun ahead stands at the end of a row of words
/// that begins here: “slender, hairless, brown twigs”.</summary>
internal sealed class ClauseNouns(SpeechListener listener, Clause clause, PhraseItem? ahead)
{
    private readonly bool nounFirst = clause.IsNounFirst;
    private readonly PlantPlace? place = clause
        .Items.OfType<PhraseItem>()
        .Select(item => item.Meaning)
        .FirstOrDefault(meaning => meaning.Place is not null && meaning.Organ is null)
        ?.Place;

    /// <summary>Whether the clause names a place that is no noun: “at the base”.</summary>
    public bool HasPlaceOfItsOwn => place is not null;

    /// <summary>The nouns that what stands at a place may be said of, the likeliest first.</summary>
    public IEnumerable<PhraseItem> NounsFor(int at)
    {
        var before = Before(at);
        var behind = Behind(at, out var freed);
        // “twig green, buds white”: the noun goes before; “green twig”: it goes behind.
        var first = behind is null || nounFirst && !freed && !IsNearer(behind, at);
        if (first)
            foreach (var item in before)
                yield return item;
        if (behind is not null)
            yield return behind;
        // “triangular toothed leaves”: teeth are things, and the leaf behind them is what is triangular.
        if (behind is { Meaning: { States.Count: > 0, IsFruit: false, HasNoun: false } } && Behind(IndexOf(behind), out _) is { } beyond)
            yield return beyond;
        if (!first)
            foreach (var item in before)
                yield return item;
        if (OnWhat(at) is { } on)
            yield return on;
        if (before.Count > 0 || behind is not null)
            yield break;
        foreach (var item in listener.Spoken)
            yield return item;
        if (ahead is not null)
            yield return ahead;
    }

    // “leaves grey beneath”: the side goes behind whatever goes before; “long leaves and spiny burrs”: behind “and” another noun begins.
    private bool IsNearer(PhraseItem behind, int at) =>
        behind.Meaning.IsSide
        || at > 0 && clause.Items[at - 1] is PhraseItem and && and.Plays(SpokenRole.And) && clause.Items[at + 1] == behind;

    private int IndexOf(PhraseItem item)
    {
        for (var at = 0; at < clause.Items.Count; at++)
            if (clause.Items[at] == item)
                return at;
        return -1;
    }

    // The nearest noun before, then what is a thing or was said of one.
    private List<PhraseItem> Before(int at)
    {
        var nouns = new List<PhraseItem>();
        var things = new List<PhraseItem>();
        // “the underside of the leaf”: the nearer noun may only say whose the other is.
        for (var i = at - 1; i >= 0 && at - i < 16 && nouns.All(noun => noun.Meaning.Organ is not null) && nouns.Count < 2; i--)
            if ((clause.Items[i] as PhraseItem ?? (clause.Items[i] as AmountItem)?.Noun) is { } item)
            {
                if (item.Meaning is { IsTopic: true, HasNoun: false } && !(item.Meaning.IsSide && listener.SpeaksOfBark))
                    nouns.Insert(item.Meaning.Organ is null ? 0 : nouns.Count, item);
                else if (things.Count == 0 && (item.Meaning.IsThing || item.Said is not null))
                    things.Add(item);
            }
        nouns.AddRange(things);
        return nouns;
    }

    // The noun behind, where only states stand between; and whether nothing is said behind it, so that it is free.
    private PhraseItem? Behind(int at, out bool freed)
    {
        freed = false;
        for (var i = at + 1; i < clause.Items.Count && i - at < 8; i++)
        {
            // “white four-petalled flowers”.
            if (clause.Items[i] is AmountItem { Counts.Count: > 0 })
                continue;
            // “pink/purple flowers”, “yellow-orange berries”.
            if (IsUnknownAdjective(i) || clause.Items[i] is SlashItem)
                continue;
            if (clause.Items[i] is not PhraseItem item)
                return null;
            if (item.Meaning.IsSide && listener.SpeaksOfBark || IsPlaceOnIt(item, at))
                return null;
            if (
                item.Meaning is { IsTopic: true, States.Count: 0 } or { IsThing: true } or { IsThingOfItsOwn: true }
                || item.Meaning.Organ is not null
            )
            {
                freed = !clause.Items.Skip(i + 1).Take(6).Any(rest => rest is PhraseItem { Meaning.States.Count: > 0 } or AmountItem);
                return item;
            }
            var isSaidOfIt = item.Meaning.States.Count > 0 || item.Meaning.Seen.Count > 0;
            if (!isSaidOfIt && item.Meaning.Role is not (SpokenRole.Degree or SpokenRole.And or SpokenRole.Or))
                return null;
        }
        return null;
    }

    /// <summary>Whether a word that is not known stands straight before a noun, and says more of that: “black bitter cherries”.</summary>
    public bool IsUnknownAdjective(int at) =>
        clause.Items[at] is UnknownItem { IsJoined: false }
        && clause.Items.ElementAtOrDefault(at + 1)
            is PhraseItem { Meaning: { IsFruit: true } or { IsTopic: true, States.Count: 0, IsSide: false } };

    // “blisters on grey bark”.
    private PhraseItem? OnWhat(int at) =>
        at + 2 < clause.Items.Count && clause.Items[at + 1] is PhraseItem lies && lies.Plays(SpokenRole.On)
            ? clause
                .Items.Skip(at + 2)
                .TakeWhile(item => item is PhraseItem)
                .Cast<PhraseItem>()
                .FirstOrDefault(item => item.Meaning is { IsTopic: true, States.Count: 0 } or { HasNoun: true } or { Organ: not null })
            : null;

    // “bark scaly at the base”: of bark and of twigs it is a place, of leaves a part.
    private bool IsPlaceOnIt(PhraseItem item, int at) =>
        item.Meaning is { Place: not null, Organ: null }
        && Before(at).Any(noun => noun.Organs.Any(organ => organ is Organ.Bark or Organ.Twig));

    public PlantPlace? PlaceOf(Character character, PhraseItem? noun, int at)
    {
        if (noun?.Meaning.Place is { } named && FitsOn(named, character))
            return named;
        if (
            at >= 0
            && Before(at).FirstOrDefault(item => item.Meaning.Place is not null)?.Meaning.Place is { } before
            && FitsOn(before, character)
        )
            return before;
        if (at >= 0 && Behind(at, out _)?.Meaning.Place is { } behind && FitsOn(behind, character))
            return behind;
        return (place ?? noun?.On) is { } said && FitsOn(said, character) ? said : null;
    }

    private static bool FitsOn(PlantPlace place, Character character) =>
        place switch
        {
            PlantPlace.Base or PlantPlace.Trunk or PlantPlace.Limb or PlantPlace.Young => Organs.Of(character) == Organ.Bark,
            PlantPlace.Tip or PlantPlace.Older => Organs.Of(character) == Organ.Twig,
            PlantPlace.Sun or PlantPlace.Shade or PlantPlace.Sucker or PlantPlace.Litter => Organs.Of(character) == Organ.Leaf,
        };
}
