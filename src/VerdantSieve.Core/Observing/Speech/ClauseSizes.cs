using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Observing.Speech;

/// <summary>What the numbers and sizes of a clause, and its comparisons, are said of.</summary>
internal sealed class ClauseSizes(SpeechListener listener, Clause clause, ClauseNouns nounsOf, Certainty? certainty)
{
    public void HearAmount(AmountItem item, int at, bool isShare)
    {
        // “Not five-lobed”, “not 10 cm”: what it is is not said.
        if (at > 0 && clause.Items[at - 1] is PhraseItem { Meaning.Role: SpokenRole.Not })
            return;
        item.Used = item.IsBare && item.Amount is { Low: 1, High: 1 };
        listener.LastUnit = item.Amount.Unit ?? listener.LastUnit;
        var amount = item.Amount;
        // “width 2 in”: the way may stand before the size.
        var way = amount.Way ?? item.Dimension ?? (at > 0 && clause.Items[at - 1] is PhraseItem before ? before.Meaning.Dimension : null);
        if (amount.Unit is null && way is not null and not Speech.Dimension.Ratio)
            amount = amount with { Unit = listener.LastUnit };
        var nouns = nounsOf.NounsFor(at).ToArray();
        if (Counted(item, at, nouns, isShare) is { } counted)
        {
            listener.LastCounted = counted;
            AddAmount(item, counted, amount with { Unit = null }, nouns);
            return;
        }
        if (amount.Across is { } across)
        {
            AddAmount(item, Sized(Dimension.Long, nouns), amount, nouns);
            AddAmount(item, Sized(Dimension.Wide, nouns), across, nouns);
            return;
        }
        if ((way ?? (amount.Unit is null ? null : Usual(nouns))) is { } dimension)
            AddAmount(item, Sized(dimension, nouns), amount, nouns);
    }

    private void AddAmount(AmountItem item, Character? character, Amount amount, PhraseItem[] nouns)
    {
        if (character is null)
            return;
        item.Used = true;
        var span = item.Span;
        foreach (var noun in nouns.Where(noun => noun.Meaning.About.Contains(character) || noun.Meaning.Organ is not null).Take(1))
        {
            noun.Used = true;
            if (clause.Items.Contains(noun))
                span = span.With(noun.Span);
        }
        listener.Add(
            new Mention(character, span)
            {
                Amount = amount,
                Certainty = certainty,
                On = nounsOf.PlaceOf(character, nouns.FirstOrDefault(), -1),
            }
        );
    }

    // The trunk is thick, a tree is tall; all else is long where nothing is said.
    private Dimension Usual(PhraseItem[] nouns)
    {
        if (nouns.FirstOrDefault()?.Meaning is not { } first)
            return Dimension.Long;
        if (first.About.OfType<MeasureCharacter>().ToArray() is [var only])
            return Dimensions.Of(only);
        if (nouns[0].Said is { } said && Organs.Of(said) == Organ.WholePlant)
            return Dimension.Tall;
        return first.Organ == Organ.Bark ? Dimension.Thick : Dimension.Long;
    }

    // Of several counts of one noun, the one that the leaf as known so far can have.
    private Character? Counted(AmountItem item, int at, PhraseItem[] nouns, bool isShare)
    {
        if (item.Counts.Count == 1)
            return IsOfAnotherOrgan(item, at, item.Counts.First()) ? null : item.Counts.First();
        if (item.Amount.Unit is not null || item.Dimension is not null || item.IsBare && item.Amount is { Low: 1, High: 1 })
            return null;
        foreach (var noun in nouns)
            if (CountsOf(noun.Meaning) is [var one])
                return IsOfFruitAlone(one) ? null : one;
        // “most leaves have 5 leaflets, some 7”: a number with nothing beside it counts what was counted last.
        return isShare || clause.Items.All(other => other == item || other is PhraseItem { Meaning: { States.Count: 0, IsTopic: false } })
            ? listener.LastCounted
            : null;
    }

    // “bunches of five berries” are no needles.
    private bool IsOfFruitAlone(Character counted) => clause.SpeaksOfFlowersOrFruit && !listener.MayBeOfNeedles(counted);

    // “four-lobed fruits” are no leaves.
    private bool IsOfAnotherOrgan(AmountItem item, int at, Character counted) =>
        clause.Items.ElementAtOrDefault(at + 1) is PhraseItem { Meaning.Organ: { } organ } next
        && organ != Organs.Of(counted)
        && item.Span.End + 1 == next.Span.Start;

    private CountCharacter[] CountsOf(Meaning noun)
    {
        var direct = noun.Counts.Count > 0 ? noun.Counts : noun.About;
        if (direct.OfType<CountCharacter>().ToArray() is { Length: > 0 } named)
            return named;
        return [.. noun.Hanging.OfType<CountCharacter>()];
    }

    private Character? Sized(Dimension dimension, PhraseItem[] nouns)
    {
        if (nouns.FirstOrDefault()?.Meaning is { } first && Taken(dimension, first) is var other && other != dimension)
            return Sized(other, nouns);
        MeasureCharacter[] all = [.. listener.Lexicon.Measures.Where(measure => Dimensions.Of(measure) == dimension)];
        var mayBeAnything = nouns.Length == 0 || nouns[0].Organs.Any(organ => organ is Organ.Bark or Organ.WholePlant);
        if (dimension == Dimension.Wide && nouns is [var nearest, ..] && clause.Items.Contains(nearest) && HasNoSize(nearest))
            return null;
        if (all.Length == 1 && (mayBeAnything || dimension != Dimension.Thick))
            return all[0];
        foreach (var noun in nouns)
            if (SizeOf(noun, dimension, all) is { } size)
                return size;
            else if (clause.Items.Contains(noun) && HasNoSize(noun))
                return null;
        return listener.OfTheLeaf(dimension, false);
    }

    // The trunk is as thick as it is “across”, a leaf “in diameter” is so wide, and berries are as long as they are wide.
    private static Dimension Taken(Dimension dimension, Meaning noun)
    {
        if (dimension == Dimension.Wide && noun.Organ == Organ.Bark)
            return Dimension.Thick;
        if (dimension == Dimension.Thick && noun.Organ == Organ.Leaf)
            return Dimension.Wide;
        var isRound = noun.IsFruit && noun.States.Any(meant => AsWideAsLong.Contains(meant.Word));
        var hasOneSize = dimension == Dimension.Thick && (noun.IsFruit || noun.Organ == Organ.Fruit);
        return dimension == Dimension.Wide && isRound || hasOneSize ? Dimension.Long : dimension;
    }

    // Kinds of fruit, as vocabularies of trees call them.
    private static readonly HashSet<string> AsWideAsLong =
    [
        "berry",
        "berry-like",
        "fleshy",
        "compound-berry",
        "berry-cone",
        "aril",
        "drupe",
        "pome",
        "hip",
        "nut",
        "husked-nut",
        "seed-ball",
    ];

    // “thorns 3 cm long”, “an acorn 2 cm wide”: the thing was named, and there is no such character. “Leaf length” names the leaf.
    private static bool HasNoSize(PhraseItem noun) =>
        noun.Meaning is { Organ: null or Organ.Twig, States.Count: 0 } && !noun.Meaning.About.OfType<MeasureCharacter>().Any(IsOfTheLeaf)
        || noun.Meaning.Organ is Organ.Flower or Organ.Fruit
        || noun.Meaning.IsFruit
        || noun.Meaning.IsFlower
        || noun.Meaning.IsThingOfItsOwn
        || noun.Said is { } said && Organs.Of(said) != Organ.Leaf;

    private Character? SizeOf(PhraseItem noun, Dimension dimension, MeasureCharacter[] all)
    {
        var meaning = noun.Meaning;
        MeasureCharacter[] near = [.. all.Where(measure => meaning.About.Contains(measure) || meaning.Hanging.Contains(measure))];
        if (meaning.Organ == Organ.Leaf || near.Any(IsOfTheLeaf))
            return listener.OfTheLeaf(dimension, meaning.Counts.Any(count => count.Id == CharacterIds.LeafletCount));
        if (near.Length == 1)
            return near[0];
        // Of a twig only buds have a size, and what is said of twigs is not said of them.
        if (meaning.Organ is { } organ and not Organ.Twig && all.Where(measure => Organs.Of(measure) == organ).ToArray() is [var only])
            return only;
        return meaning.IsFruit && near.Length == 0
            ? all.FirstOrDefault(measure => Organs.Of(measure) == Organ.Fruit && measure.OnlyIf is { IsPresence: true })
            : null;
    }

    private static bool IsOfTheLeaf(MeasureCharacter measure) =>
        measure.Id is CharacterIds.LeafLength or CharacterIds.BladeLength or CharacterIds.BladeWidth;

    public void HearCompared(ComparedItem item, int at)
    {
        var nouns = nounsOf.NounsFor(at).ToArray();
        var taxon = item.Than.FirstOrDefault(than => listener.About.Region is { } here && than.Distribution.Includes(here)) ?? item.Than[0];
        var character =
            item.How.Of == Dimension.Thick
                ? nouns.SelectMany(noun => noun.Meaning.About).FirstOrDefault(IsThickness) ?? Sized(item.How.Of, nouns)
                : Sized(item.How.Of, nouns);
        if (character is null || taxon.Score(character.Id) is null)
            return;
        item.Used = true;
        foreach (var noun in nouns.Take(1))
            noun.Used = true;
        listener.Add(new Mention(character, item.Span) { Compared = (taxon, item.How.Is), Certainty = certainty });
    }

    private static bool IsThickness(Character character) =>
        character is StateCharacter { Ordered: true } && character.Label.StartsWith("thickness", StringComparison.Ordinal);
}
