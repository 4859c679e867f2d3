using NodaTime;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Measuring;
using VerdantSieve.Core.Seasons;

namespace VerdantSieve.Core.Observing.Speech;

/// <summary>Makes mentions of the pieces of a text: which of a word's meanings is meant follows from the nouns round it.</summary>
internal sealed class SpeechListener(Lexicon lexicon, SpokenAbout about)
{
    // How many nouns of the same sentence may still be spoken of, the last first.
    private const int Remembered = 6;

    private readonly List<PhraseItem> remembered = [];

    public Lexicon Lexicon => lexicon;
    public SpokenAbout About => about;

    /// <summary>The nouns of the sentence so far, the last first.</summary>
    public IReadOnlyList<PhraseItem> Spoken => remembered;

    /// <summary>Whether bark was spoken of last.</summary>
    public bool SpeaksOfBark =>
        remembered
            .FirstOrDefault(item => item.Meaning is { IsTopic: true } and not { Place: not null, Organ: null })
            ?.Organs.Contains(Organ.Bark)
        ?? false;

    /// <summary>The unit of the last size that had one.</summary>
    public string? LastUnit { get; set; }

    /// <summary>What was mentioned, in the order of the text.</summary>
    public List<Mention> Mentions { get; } = [];

    /// <summary>States of which it can't be told what they are said of.</summary>
    public List<(TextSpan Span, IReadOnlyList<StateMeant> Candidates)> Ambiguous { get; } = [];

    public string? Region { get; private set; }
    public LocalDate? Date { get; private set; }
    public Setting? Setting { get; private set; }
    public Age? Age { get; private set; }
    public LeafStage? Stage { get; private set; }

    /// <summary>Whether the leaf has leaflets, by what was read before or is said anywhere in the text.</summary>
    public bool IsCompound { get; private set; }

    /// <summary>The last thing that was counted: “usually 7 leaflets, rarely 9”.</summary>
    public Character? LastCounted { get; set; }

    private bool speaksOfNeedles,
        namesNeedles;
    private readonly Dictionary<string, HashSet<string>> shown = [];
    private readonly Dictionary<string, HashSet<int>> said = [];

    // The first mention of the sentence.
    private int sentenceFrom;

    // What is said now was seen on this day.
    private LocalDate? seenOn;

    /// <summary>Takes a mention down.</summary>
    public void Add(Mention mention)
    {
        mention = mention with { Day = seenOn };
        Mentions.Add(mention);
        speaksOfNeedles |= IsOfNeedles(mention);
        if (mention is { State: { } state, Not: false, Character: StateCharacter character })
        {
            var covered = character.Covered(state);
            Shown(character.Id).UnionWith(covered.Select(at => character.States[at].Id));
            if (mention.On is null)
                (said.TryGetValue(character.Id, out var states) ? states : said[character.Id] = []).UnionWith(covered);
        }
        // Whoever speaks of leaf arrangement speaks of broad leaves.
        foreach (var condition in lexicon.Vocabulary.ConditionsOf(mention.Character))
            if (!condition.IsPresence && lexicon.Vocabulary.Find(condition.CharacterId) is StateCharacter on)
                Shown(on.Id).UnionWith(on.States.Select(each => each.Id).Where(condition.Admits));
    }

    /// <summary>Whether a plant as spoken of so far can have the character: there are no cone scales on cherries.</summary>
    public bool CanBeSaid(Character character) =>
        lexicon
            .Vocabulary.ConditionsOf(character)
            .All(condition =>
                condition.IsPresence
                || (shown.TryGetValue(condition.CharacterId, out var states) ? states.Any(condition.Admits) : IsOfItsFoliage(condition))
            );

    // “pinnate needles”: where needles are named anywhere, nothing is said of broad leaves.
    private bool IsOfItsFoliage(Condition condition) =>
        !namesNeedles || condition.CharacterId != CharacterIds.Foliage || condition.Admits(Needle);

    /// <summary>Whether needles are spoken of anywhere, where the character is one of theirs: “leaves curved” bends none.</summary>
    public bool MayBeOfNeedles(Character character) => character.Part != "needles" || namesNeedles || speaksOfNeedles || IsThere(character);

    /// <summary>Whether leaflets were spoken of, where the character is one of theirs: “buds without a stalk” are none.</summary>
    public bool MayBeOfLeaflets(Character character) => !IsAskedOfLeaflets(character) || IsCompound || IsThere(character);

    /// <summary>Whether another state of the character was said before in another sentence, at no place.</summary>
    public bool SaidOtherwise(StateMeant meant) =>
        said.TryGetValue(meant.Character.Id, out var states)
        && !meant.Character.Covered(meant.Word).Any(states.Contains)
        && !remembered.Exists(item => item.Said == meant.Character);

    /// <summary>Whether what a character hangs on was said to be there.</summary>
    public bool IsThere(Character character) =>
        character.OnlyIf is not { IsPresence: false } condition
        || shown.TryGetValue(condition.CharacterId, out var states) && states.Any(condition.Admits);

    private HashSet<string> Shown(string character) => shown.TryGetValue(character, out var states) ? states : shown[character] = [];

    /// <summary>Whether what is said next puts right what was said before: “opposite? no, alternate”.</summary>
    public bool Corrects { get; set; }

    /// <summary>Forgets what the sentence said of a character last, where what is said now puts it right; says whether it did.</summary>
    public bool TakesBack(Character character)
    {
        var last = Corrects ? Mentions.FindLastIndex(mention => mention.Character == character) : -1;
        Corrects = false;
        if (last < sentenceFrom)
            return false;
        Mentions.RemoveAt(last);
        return true;
    }

    public void Hear(IReadOnlyList<SpokenItem> items)
    {
        IsCompound = about.IsCompound || items.Any(SaysCompound);
        namesNeedles = items.Any(NamesNeedles);
        foreach (var sentence in Clause.Sentences(items))
        {
            remembered.Clear();
            sentenceFrom = Mentions.Count;
            Corrects = false;
            for (var at = 0; at < sentence.Count; at++)
            {
                if (sentence[at].IsAboutCircumstances)
                {
                    if (!DatesFlowersOrFruit(sentence[at]))
                        HearCircumstances(sentence[at]);
                }
                else
                    HearSeen(sentence[at], NounAhead(sentence, at));
                Remember(sentence[at]);
            }
        }
        HearLeaflets(items);
        HearNeedles(items);
    }

    // “needles that fall in autumn” says that there are needles.
    private void HearNeedles(IReadOnlyList<SpokenItem> items)
    {
        if (
            items.OfType<PhraseItem>().FirstOrDefault(item => item.Said is not null && item.Meaning.NamesNeedles) is { } needles
            && lexicon.Vocabulary.Find(CharacterIds.Foliage) is StateCharacter foliage
            && foliage.IndexOf(Needle) >= 0
            && !Mentions.Any(mention => mention.Character == foliage || mention.Character.Part == "needles")
        )
            Add(new Mention(foliage, needles.Span) { State = Needle });
    }

    // “oval leaflets” says that the leaf has some, and nobody need say so twice.
    private void HearLeaflets(IReadOnlyList<SpokenItem> items)
    {
        if (
            items.OfType<PhraseItem>().FirstOrDefault(item => item.Used && (item.Meaning.IsLeaflets || item.Meaning.NamesLeaflets))
                is not { } leaflets
            || lexicon.Vocabulary.Find(CharacterIds.Structure) is not StateCharacter structure
            || structure.BroadWords.FirstOrDefault(word => word.Id == "compound") is not { } compound
            || Mentions.Any(mention =>
                mention.Character == structure || mention is { Untold: false } && IsAskedOfLeaflets(mention.Character)
            )
        )
            return;
        Add(new Mention(structure, leaflets.Span) { State = compound.Id });
    }

    private static bool IsAskedOfLeaflets(Character character) => character.OnlyIf?.CharacterId == CharacterIds.Structure;

    // “white flowers in May”, “in late spring”: that is when these were seen, and not the day of the look.
    private void HearSeen(Clause clause, PhraseItem? ahead)
    {
        var (when, what) = clause.When();
        seenOn = when.Count > 0 && what.Count > 0 ? DayOf(when) : null;
        var before = Mentions.Count;
        new ClauseReading(this, what.Count == 0 ? clause : new Clause(what), ahead).Hear();
        // Where nothing was seen, the time says nothing, and is told.
        foreach (var item in clause.Items.Except(what))
            item.Used = Mentions.Count > before && (item.Used || !when.Contains(item));
        seenOn = null;
        if (Mentions.Count == before)
            DatesFlowersOrFruit(clause);
    }

    // “flowers white, late spring”, “winged fruit, ripe in fall”: so vague a time belongs to the flowers or fruit that were just spoken of.
    private bool DatesFlowersOrFruit(Clause clause)
    {
        if (clause.YearPart is null || Mentions.Count == sentenceFrom)
            return false;
        var organ = Organs.Of(Mentions[^1].Character);
        if (organ is not (Organ.Flower or Organ.Fruit))
            return false;
        var day = DayOf([.. clause.Items.Where(item => item is PhraseItem { Meaning.YearPart: not null })]);
        for (var at = sentenceFrom; at < Mentions.Count; at++)
            if (Mentions[at].Day is null && Organs.Of(Mentions[at].Character) == organ)
                Mentions[at] = Mentions[at] with { Day = day };
        return true;
    }

    // “slender, hairless, brown twigs”: the noun of a row of words stands at its end.
    private PhraseItem? NounAhead(IReadOnlyList<Clause> sentence, int at)
    {
        if (remembered.Any(item => item.Meaning.IsTopic))
            return null;
        for (var i = at + 1; i < sentence.Count && i < at + 5; i++)
        {
            if (sentence[i].IsNounFirst || sentence[i].Items.Any(item => item is AmountItem or ComparedItem))
                return null;
            if (
                sentence[i]
                    .Items.OfType<PhraseItem>()
                    .FirstOrDefault(item => item.Meaning is { IsTopic: true, States.Count: 0 } or { HasNoun: true }) is
                { } noun
            )
                return noun;
        }
        return null;
    }

    private void Remember(Clause clause)
    {
        var said = clause.When().What.Select(item => item is AmountItem { Noun: { } counted } ? counted : item);
        foreach (var item in said.OfType<PhraseItem>())
            if (item.Meaning.IsTopic || item.Meaning.IsThing || item.Said is not null)
                remembered.Insert(0, item);
        if (remembered.Count > Remembered)
            remembered.RemoveRange(Remembered, remembered.Count - Remembered);
    }

    private void HearCircumstances(Clause clause)
    {
        foreach (var item in clause.Items.OfType<PhraseItem>())
            HearCircumstance(item.Meaning);
        Date = DayOf(clause.Items) ?? Date;
    }

    // The day that some pieces name; null where they name no time of the year. “May to July” is the middle of it.
    private LocalDate? DayOf(IReadOnlyList<SpokenItem> items)
    {
        int? first = null,
            last = null,
            part = null,
            day = null,
            year = null;
        foreach (var item in items)
        {
            item.Used = true;
            if (item is AmountItem { Amount.Low: var number })
            {
                if (number is >= 1 and <= 31)
                    day = (int)number;
                else if (number is >= 1900 and <= 2200)
                    year = (int)number;
                else
                    item.Used = false;
            }
            else if (item is PhraseItem { Meaning: var meaning })
            {
                var named = meaning.YearPart is { } season ? DayOf(season) : (LocalDate?)null;
                (last, part) = (named?.Month ?? meaning.Month ?? last, named?.Day ?? meaning.DayOfMonth ?? part);
                first ??= last;
            }
        }
        if (first is not { } from || last is not { } to)
            return null;
        var end = DayOf(to, day ?? part ?? 15, year);
        return from < to ? end.PlusDays(-Period.DaysBetween(new LocalDate(end.Year, from, 15), end) / 2) : end;
    }

    // A day of this year: spring is another where it comes late.
    private LocalDate DayOf(YearPart part) => new LocalDate(about.Today.Year, 1, 1).PlusDays(LeafYear.DayOf(part, Here));

    private Position? Here => (Region ?? about.Region) is { } region ? Regions.CentreOf(region) : null;

    /// <summary>How far trees that lose their leaves are with them in a part of the year; where none is named, on the day that is spoken
    /// of.</summary>
    public LeafStage StageIn(YearPart? part) =>
        LeafYear.StageOn((part is { } named ? DayOf(named) : seenOn ?? Date ?? about.Today).DayOfYear - 1, Here);

    public void HearCircumstance(Meaning meaning)
    {
        Region = meaning.Region ?? Region;
        Setting = meaning.Setting ?? Setting;
        Age = meaning.Age ?? Age;
        Stage = meaning.Stage ?? Stage;
    }

    // The last such day before today where no year is named.
    private LocalDate DayOf(int month, int day, int? year)
    {
        var known = year ?? about.Today.Year;
        var date = new LocalDate(known, month, Math.Min(day, CalendarSystem.Iso.GetDaysInMonth(known, month)));
        return year is null && date > about.Today ? date.PlusYears(-1) : date;
    }

    /// <summary>The measure that is meant where only “the leaf” or nothing is named.</summary>
    /// <remarks>“The leaf is 30 cm long”: the whole leaf where it is compound, else the blade; the needle where needles were spoken
    /// of.</remarks>
    public Character? OfTheLeaf(Dimension dimension, bool leaflet)
    {
        if (!leaflet && speaksOfNeedles)
            return lexicon.Measures.FirstOrDefault(measure => measure.Part == "needles" && Dimensions.Of(measure) == dimension);
        var id = dimension switch
        {
            Dimension.Long => IsCompound && !leaflet ? CharacterIds.LeafLength : CharacterIds.BladeLength,
            Dimension.Wide => CharacterIds.BladeWidth,
            Dimension.Ratio => CharacterIds.Slenderness,
            Dimension.Tall => CharacterIds.Height,
            Dimension.Thick => "",
        };
        return lexicon.Vocabulary.Find(id);
    }

    private static bool IsOfNeedles(Mention mention) =>
        mention.Character.Part == "needles" || mention is { Character.Id: CharacterIds.Foliage, State: Needle or "awl", Not: false };

    private const string Needle = "needle";

    private static bool NamesNeedles(SpokenItem item) =>
        item is AmountItem amount && amount.Counts.Any(count => count.Part == "needles")
        || item is PhraseItem { Meaning: var meaning }
            && (
                meaning.NamesNeedles
                || meaning.States.Any(meant => meant is { Character.Id: CharacterIds.Foliage, Word: Needle })
                || meaning.IsWhole && meaning.States.Count > 0 && meaning.States.All(meant => meant.Character.Part == "needles")
            );

    private static bool SaysCompound(SpokenItem item) =>
        item switch
        {
            AmountItem amount => amount.Counts.Any(IsOfLeaflets),
            PhraseItem { Meaning: var meaning } => meaning.Counts.Any(IsOfLeaflets)
                // “flowers from one point” are no leaflets.
                || meaning.States.Count > 0
                    && meaning.States.All(meant => meant is { Character.Id: CharacterIds.Structure, Owned: true, Word: not "simple" }),
            _ => false,
        };

    private static bool IsOfLeaflets(Character character) => character.Id == CharacterIds.LeafletCount;
}
