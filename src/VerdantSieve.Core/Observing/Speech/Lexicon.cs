using System.Collections.Frozen;
using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Observing.Speech;

/// <summary>All phrases that mean something in a flora: its vocabulary's words, the names of its kinds, and the words of a
/// sentence.</summary>
internal sealed class Lexicon
{
    private readonly PhraseTree<Meaning> phrases = new();
    private readonly PhraseTree<List<Taxon>> names = new();
    private readonly FrozenDictionary<string, string> nouns;
    private readonly PhraseTree<List<Taxon>> surnames = new();
    private readonly Flora flora;
    private readonly FrozenSet<string> kindNames;

    public Lexicon(Flora flora)
    {
        Vocabulary = flora.Vocabulary;
        Measures = [.. flora.Characters.OfType<MeasureCharacter>()];
        kindNames = flora.Taxa.SelectMany(taxon => taxon.CommonNames).Select(WordForms.Of).ToFrozenSet();
        this.flora = flora;
        nouns = flora.Characters.ToFrozenDictionary(character => character.Id, FirstWord);
        SpokenPhrases.AddTo(phrases);
        foreach (var character in flora.Characters)
            AddNouns(character);
        foreach (var organ in Enum.GetValues<Organ>())
            Share(organ);
        foreach (var character in flora.Characters.OfType<StateCharacter>())
            AddStates(character);
        foreach (var character in flora.Characters.OfType<PresenceCharacter>())
            AddSeen(character);
        foreach (var taxon in flora.Taxa)
        {
            foreach (var name in (string[])[taxon.Name.Text, .. taxon.CommonNames, flora.GenusWord(taxon.Name.Genus), taxon.Name.Genus])
                Add(names, name, taxon);
            foreach (var name in taxon.CommonNames.Where(HasSurname))
                Add(surnames, name[(name.LastIndexOf(' ') + 1)..], taxon);
        }
    }

    public Vocabulary Vocabulary { get; }

    /// <summary>The characters that are sizes.</summary>
    public IReadOnlyList<MeasureCharacter> Measures { get; }

    /// <summary>The noun that a character is said of, in its one form: of “twig {}” and “{} twig” the twig; kinds of fruit are
    /// fruit.</summary>
    public string NounOf(Character character) => nouns[character.Id];

    /// <summary>The longest phrase at a place, and the place behind it.</summary>
    public (Meaning Meaning, int End)? Phrase(IReadOnlyList<SpokenToken> tokens, int start)
    {
        var longest = phrases.Longest(tokens, start);
        return longest is var (_, end) && EndsInAnothersNoun(tokens, start, end)
            ? phrases.Longest(tokens, start, end - 1) ?? longest
            : longest;
    }

    // “round leaf base” is no round leaf, and “rounded leaf lobes” are none either.
    private bool EndsInAnothersNoun(IReadOnlyList<SpokenToken> tokens, int start, int end)
    {
        return end - start > 1 && phrases.Longest(tokens, end - 1, end) is ({ Organ: not null }, _) && (IsNoun(end - 1) || IsNoun(end));

        bool IsNoun(int at) => phrases.Longest(tokens, at) is ({ IsTopic: true, States.Count: 0 }, var beyond) && beyond > end;
    }

    /// <summary>The kinds that bear the longest name at a place, and the place behind it.</summary>
    public (List<Taxon> Taxa, int End)? Name(IReadOnlyList<SpokenToken> tokens, int start) => names.Longest(tokens, start);

    /// <summary>What a plant that goes by the longest name at a place can be: any kind of the genera so named; else any whose name ends
    /// so, as “western red cedar” does in “cedar”.</summary>
    public (KindsCalled Kinds, int End)? Called(IReadOnlyList<SpokenToken> tokens, int start)
    {
        if (Name(tokens, start) is var (bearers, end))
            return (new([.. bearers.Select(taxon => taxon.Name.Genus).Distinct().SelectMany(flora.OfGenus)], null), end);
        if (surnames.Longest(tokens, start) is var (kinds, behind) && phrases.Longest(tokens, start) is null)
            return (new(kinds, tokens[start].Form), behind);
        return null;
    }

    private static void Add(PhraseTree<List<Taxon>> to, string name, Taxon taxon)
    {
        if (to.At(name) is { } bearers && !bearers.Contains(taxon))
            bearers.Add(taxon);
    }

    // “Cedar of Lebanon” is no Lebanon.
    private static bool HasSurname(string name) => name.Contains(' ') && !name.Contains(" of ") && !name.Contains('(');

    private void AddNouns(Character character)
    {
        foreach (var name in character.Also.Append(character.Label))
            if (phrases.At(name) is { } meaning)
            {
                meaning.About.Add(character);
                meaning.Named.Add(character);
                meaning.Words = PhraseTree<Meaning>.Words(name).Length;
            }
        var halves = character.Phrase.Split("{}", 2, StringSplitOptions.TrimEntries);
        // “leaf stalk {} long” is said of the leaf stalk; “{} lobes” counts lobes.
        if (halves[0].Length > 0)
            About(Noun(halves[0]), character);
        else if (halves.Length > 1 && character is not MeasureCharacter)
            About(halves[1], character);
        if (character is CountCharacter && halves.Length > 1)
            AddCount(character, halves[1]);
    }

    private static string FirstWord(Character character)
    {
        var words = PhraseTree<Meaning>.Words(character.Phrase.Replace("{}", "", StringComparison.Ordinal));
        return words.FirstOrDefault(Organs.Of(character) == Organ.Fruit ? "fruit" : "");
    }

    // “buds with”, “wing reaching”, “nut in”: the noun alone.
    private static string Noun(string words)
    {
        foreach (var end in new[] { " with", " reaching", " covering", " by", " in" })
            if (words.EndsWith(end, StringComparison.Ordinal))
                return words[..^end.Length];
        return words is "a" or "growing" or "turning" or "smelling" ? "" : words;
    }

    // “number of lobes”, “pairs of veins”: what is counted.
    private void AddCount(Character character, string counted)
    {
        foreach (var name in character.Also.Append(character.Label).Append(counted))
        {
            var thing = name.StartsWith("number of ", StringComparison.Ordinal) ? name["number of ".Length..] : name;
            if (phrases.At(thing) is { } meaning)
            {
                meaning.About.Add(character);
                meaning.Counts.Add(character);
            }
        }
    }

    private void AddStates(StateCharacter character)
    {
        foreach (var state in character.States)
            AddState(character, state.Id, state.Label, state.Also);
        foreach (var broad in character.BroadWords)
            AddState(character, broad.Id, broad.Label, [broad.Id, .. broad.Also]);
    }

    private void AddState(StateCharacter character, string id, string label, IReadOnlyList<string> also)
    {
        var hanging = HangingOn(character, id);
        // “not”, “several”, “below” say something else first.
        if (phrases.At(id) is { Role: null, About.Count: 0 })
            Name(id, false);
        // “of fruit” is said behind its noun alone: “cones of fruit” smell of nothing.
        if (!label.StartsWith("of ", StringComparison.Ordinal))
            Name(label, false);
        foreach (var name in also)
        {
            Name(name, true);
            foreach (var said in SpokenPhrases.AlsoLacking(name))
                Name(said, true);
            // “acorns in the woods”: where it stands is no set of the fruit.
            if (character.Id == CharacterIds.Habitat && name != Bare(name))
                AddName(character, id, name, name, true, hanging);
            // “sawtoothed” is “saw-toothed”; “redbud” is a tree.
            if (
                PhraseTree<Meaning>.Words(name) is [var one, var other]
                && phrases.Find(one + other) is null
                && !kindNames.Contains(one + other)
            )
                Name(one + other, true);
        }

        void Name(string name, bool owned) => AddName(character, id, name, Bare(name), owned, hanging);
    }

    private void AddName(StateCharacter character, string id, string name, string said, bool owned, Character[] hanging)
    {
        // “needles in twos” is read as an amount, which says more.
        var last = name[(name.LastIndexOf(' ') + 1)..];
        var counted = last[^1] == 's' && WordForms.Numbers.ContainsKey(WordForms.Of(last));
        if (counted || phrases.At(said) is not { } meaning)
            return;
        // “broad at the top” is no broad leaf.
        if (meaning.Dimension is not null && character.Id == CharacterIds.Foliage)
            return;
        meaning.States.RemoveAll(meant => meant.Character == character && !meant.Owned && meant.Word == id);
        if (meaning.States.All(meant => meant.Character != character || meant.Word != id))
            meaning.States.Add(new StateMeant(character, id, owned));
        meaning.Words = PhraseTree<Meaning>.Words(said).Length;
        meaning.NamesNeedles |= character.Id != CharacterIds.Foliage && PhraseTree<Meaning>.Words(name).Contains("needle");
        meaning.NamesLeaflets |= character.Id != CharacterIds.Structure && PhraseTree<Meaning>.Words(name).Contains("leaflet");
        AddNoun(meaning, name);
        meaning.Hanging.UnionWith(hanging);
        meaning.IsFlower |= character.Id == CharacterIds.FlowerForm && IsThings(name);
        if (meaning.IsFlower && Vocabulary.Find(CharacterIds.FlowerColour) is { } colour)
            meaning.About.Add(colour);
        meaning.IsFruit |= Organs.Of(character) == Organ.Fruit && character is { Phrase: "{}", OnlyIf.IsPresence: true };
    }

    private static bool IsThings(string name) => !name.Contains(' ') && name.EndsWith('s');

    // “sticky buds” says that buds can be sticky: then “large sticky brown buds” and “buds pointed and sticky” say so too. What is said
    // next to the two together is said of the noun.
    private void AddSeen(PresenceCharacter character)
    {
        foreach (var name in character.Also)
            if (
                name.Split(' ') is [var word, var last]
                && phrases.Find(WordForms.Of(last)) is { IsTopic: true } noun
                && phrases.At(word) is { IsTopic: false, Role: null } meaning
                && phrases.At(name) is { } both
            )
            {
                meaning.Seen.Add((character, noun));
                both.Seen.Add((character, both));
                both.About.UnionWith(noun.About);
                both.Organ ??= noun.Organ;
            }
    }

    // “in hanging clusters” may be said of flowers and of fruit, “hanging clusters” too.
    private static string Bare(string name) => name.StartsWith("in ", StringComparison.Ordinal) ? name[3..] : name;

    // What is said of the shoot is said of the twig, and what is said of limbs is said of bark.
    private void Share(Organ organ)
    {
        Meaning[] named = [.. SpokenPhrases.NamesOf(organ).Select(phrases.At).OfType<Meaning>()];
        Character[] all = [.. named.SelectMany(meaning => meaning.About).Distinct().Where(character => Organs.Of(character) == organ)];
        foreach (var meaning in named)
            meaning.About.UnionWith(all);
    }

    // “green twig” says green, and that it is the twig which is spoken of.
    private void AddNoun(Meaning meaning, string name)
    {
        if (PhraseTree<Meaning>.Words(name) is not { Length: > 1 } words)
            return;
        foreach (var word in new[] { words[0], words[^1] })
            if (phrases.Find(word) is { IsTopic: true } noun)
            {
                meaning.HasNoun = true;
                meaning.About.UnionWith(noun.About);
                meaning.Hanging.UnionWith(noun.Hanging);
                meaning.Organ ??= noun.Organ;
            }
    }

    // “broad” and “deciduous” are no things: nearly all hangs on them.
    private Character[] HangingOn(StateCharacter character, string word)
    {
        if (character.Id is CharacterIds.LeafPersistence || word == "broad")
            return [];
        string[] covered = [.. character.Named(word).Select(at => character.States[at].Id)];
        return
        [
            .. Vocabulary.Characters.Where(other =>
                other.OnlyIf is { IsPresence: false } condition && condition.CharacterId == character.Id && covered.All(condition.Admits)
            ),
        ];
    }

    private void About(string name, Character character) => phrases.At(name)?.About.Add(character);
}
