using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Observing.Speech;

/// <summary>Reads what people say of a plant, three words or a page of them: “opposite, compound, green twig, mostly threes”. Nothing is
/// guessed: what is not understood is told.</summary>
/// <remarks>Time and memory grow linearly with the text. One reader serves all requests of a flora.</remarks>
public sealed class SpeechReader
{
    /// <summary>The longest text that is read, in letters.</summary>
    public const int Longest = 20_000;

    // Looking for what comes near costs most; a text of which so much is not understood is no description.
    private const int LookedUp = 8,
        NearShown = 3,
        MeantShown = 5;

    private readonly Flora flora;
    private readonly Lexicon lexicon;
    private readonly VocabularyIndex index;

    /// <summary>Learns the words of a flora.</summary>
    public SpeechReader(Flora flora, VocabularyIndex index)
    {
        (this.flora, this.index) = (flora, index);
        lexicon = new Lexicon(flora);
    }

    /// <summary>Reads a text.</summary>
    /// <exception cref="ArgumentException">It is longer than <see cref="Longest"/>.</exception>
    public Heard Read(string text, SpokenAbout about)
    {
        if (text.Length > Longest)
            throw new ArgumentException($"A text has at most {Longest} letters.", nameof(text));
        var items = SpeechScanner.Scan(lexicon, text);
        var listener = new SpeechListener(lexicon, about);
        listener.Hear(items);
        var left = new List<(TextSpan Span, IReadOnlyList<StateMeant> Candidates)>(listener.Ambiguous);
        var readings = new List<HeardReading>();
        foreach (var (raw, span) in MentionsGathered.Of(listener.Mentions, about))
            if (ReadingDesk.Check(raw, flora).Has(out var reading))
                readings.Add(new HeardReading(reading, span));
            else
                left.Add((span, []));
        var kinds = KindsOf(items);
        var told = left.Select(part => part.Span).ToHashSet();
        left.AddRange(
            items.Where(item => IsLeft(item) && !told.Contains(item.Span)).Select(item => (item.Span, (IReadOnlyList<StateMeant>)[]))
        );
        return new Heard
        {
            Readings = [.. readings.OrderBy(heard => heard.Span.Start)],
            Region = listener.Region,
            Date = listener.Date,
            Setting = listener.Setting,
            Age = listener.Age,
            Stage = listener.Stage,
            Kinds = kinds,
            Left = Left(text, [.. left.OrderBy(part => part.Span.Start)]),
        };
    }

    // Where two are named it is neither, and both are told.
    private static KindsCalled? KindsOf(IReadOnlyList<SpokenItem> items)
    {
        KindsItem[] named = [.. items.Where((item, at) => item is KindsItem && !IsTakenBack(items, at)).Cast<KindsItem>()];
        var one = named is [var first, .. var more] && more.All(other => other.Kinds.All.SequenceEqual(first.Kinds.All));
        foreach (var item in named)
            item.Used = one;
        return one ? named[0].Kinds : null;
    }

    // “Tree of heaven? No, it has thorns.”
    private static bool IsTakenBack(IReadOnlyList<SpokenItem> items, int at)
    {
        var behind = items.Skip(at + 1).SkipWhile(item => item is DoubtItem or PauseItem { Ends: false }).Take(2).ToArray();
        if (behind is not [PhraseItem no, .. var rest] || !no.Plays(SpokenRole.Not) || rest is [not PauseItem])
            return false;
        items[at].Used = true;
        return true;
    }

    // The plain name of an organ says nothing by itself, and is no loss.
    private static bool IsLeft(SpokenItem item) =>
        !item.Used
        && item switch
        {
            PhraseItem { Meaning: var meaning } => meaning.Role is null
                && meaning.Organ is null
                && meaning.Dimension is null
                && meaning.Place is null,
            AmountItem amount => !amount.IsBare || amount.Amount.Low > 1,
            PauseItem or DoubtItem or SlashItem => false,
            _ => true,
        };

    // What stands side by side is told as one.
    private IReadOnlyList<Unheard> Left(string text, IReadOnlyList<(TextSpan Span, IReadOnlyList<StateMeant> Candidates)> parts)
    {
        var left = new List<Unheard>();
        var lookedUp = new Dictionary<string, IReadOnlyList<VocabularyWord>>();
        for (var at = 0; at < parts.Count;)
        {
            var (span, candidates) = parts[at++];
            while (
                at < parts.Count
                && (candidates.Count == 0 || parts[at].Candidates.Count == 0)
                && IsBlank(text, span.End, parts[at].Span.Start)
            )
            {
                candidates = candidates.Count > 0 ? candidates : parts[at].Candidates;
                span = span.With(parts[at++].Span);
            }
            var words = text.Substring(span.Start, span.Length);
            left.Add(new Unheard(span, words, candidates.Count > 0 ? Meant(candidates) : Near(words, lookedUp)));
        }
        return left;
    }

    private static IReadOnlyList<VocabularyWord> Meant(IReadOnlyList<StateMeant> candidates) =>
        [.. candidates.Take(MeantShown).Select(meant => new VocabularyWord(meant.Character, Find(meant)))];

    private IReadOnlyList<VocabularyWord> Near(string words, Dictionary<string, IReadOnlyList<VocabularyWord>> lookedUp)
    {
        if (lookedUp.TryGetValue(words, out var known))
            return known;
        if (lookedUp.Count >= LookedUp)
            return [];
        var near = index.Find(words);
        // Of several words the first that comes near anything.
        foreach (var word in words.Split(' ').Take(near.Count > 0 ? 0 : 3))
            if (near.Count == 0)
                near = index.Find(word);
        return lookedUp[words] = [.. near.Take(NearShown)];
    }

    private static State? Find(StateMeant meant) => meant.Character.States.FirstOrDefault(state => state.Id == meant.Word);

    private static bool IsBlank(string text, int from, int to) =>
        to >= from && to - from < 3 && text.AsSpan(from, to - from).IsWhiteSpace();
}
