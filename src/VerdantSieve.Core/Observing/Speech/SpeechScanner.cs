using System.Globalization;
using Superpower.Model;
using VerdantSieve.Core.Botany;
using Piece = Superpower.Model.Token<VerdantSieve.Core.Observing.Speech.TokenKind>;

namespace VerdantSieve.Core.Observing.Speech;

/// <summary>Goes through a text once and says of each piece what it may mean: amounts first, then the longest phrase.</summary>
internal sealed class SpeechScanner
{
    // “12–16 or so pairs of veins”: how far behind a number its noun may stand.
    private const int WordsBeforeANoun = 3;

    private const int May = 5;

    private static readonly HashSet<string> BeforeMay =
    [
        "in",
        "by",
        "early",
        "mid",
        "late",
        "of",
        "since",
        "during",
        "from",
        "to",
        "until",
        "through",
        "or",
        "and",
    ];
    private static readonly HashSet<string> BehindMay = ["to", "or", "and", "through", "until"];

    // “A width of …”.
    private const int WordsBehindADimension = 3;

    private readonly Lexicon lexicon;
    private readonly List<SpokenToken> tokens;
    private readonly KindsSpoken kinds;
    private readonly List<SpokenItem> items = [];
    private TokenList<TokenKind> rest;

    private SpeechScanner(Lexicon lexicon, string text)
    {
        this.lexicon = lexicon;
        tokens = WithUnits(SpeechTokens.Of(text));
        kinds = new KindsSpoken(lexicon, tokens);
        rest = new TokenList<TokenKind>([.. tokens.Select(Piece)]);
    }

    public static IReadOnlyList<SpokenItem> Scan(Lexicon lexicon, string text)
    {
        var scanner = new SpeechScanner(lexicon, text);
        for (var at = 0; at < scanner.tokens.Count;)
            at = scanner.Next(at);
        return scanner.items;
    }

    private static Piece Piece(SpokenToken token) =>
        new(
            token.Kind,
            new Superpower.Model.TextSpan(
                token.Kind == TokenKind.Number ? token.Value.ToString("R", CultureInfo.InvariantCulture) : token.Form
            )
        );

    // “5 in long” is five inches; “2 in a bundle” is not.
    private static List<SpokenToken> WithUnits(List<SpokenToken> tokens)
    {
        string[] behind = ["long", "wide", "tall", "thick", "across", "high", "broad", "to", "x", "by", "or"];
        for (var at = 1; at < tokens.Count; at++)
            if (
                tokens[at] is { Kind: TokenKind.Word, Form: "in" }
                && tokens[at - 1].Kind == TokenKind.Number
                && (at + 1 == tokens.Count || tokens[at + 1].Kind != TokenKind.Word || behind.Contains(tokens[at + 1].Form))
            )
                tokens[at] = tokens[at] with { Form = "inch" };
        return tokens;
    }

    private int Next(int at)
    {
        var token = tokens[at];
        if (Sign(token) is { } sign)
        {
            items.Add(sign);
            return at + 1;
        }
        if (token.Kind == TokenKind.Dash && IsBetweenTwo(at))
        {
            items.Add(new SlashItem(token.Span));
            return at + 1;
        }
        var phrase = lexicon.Phrase(tokens, at);
        if (Amount(at, phrase) is > 0 and var behindAmount)
            return behindAmount;
        if (Compared(at, phrase) is > 0 and var behindName)
            return behindName;
        if (kinds.At(at, phrase) is var (named, behindKinds))
        {
            items.Add(new KindsItem(SpanOf(at, behindKinds), named));
            return behindKinds;
        }
        if (phrase is var (meaning, end) && (meaning.Month != May || IsTheMonth(at)) && (!meaning.IsOfAPeople || IsBeforeAPlace(end)))
        {
            items.Add(new PhraseItem(SpanOf(at, end), meaning));
            return end;
        }
        if (token.Kind == TokenKind.Word)
            items.Add(new UnknownItem(token.Span, at > 0 && tokens[at - 1].Kind == TokenKind.Dash));
        return at + 1;
    }

    // “Ovate-lanceolate” is one or the other, or something between.
    private bool IsBetweenTwo(int at) =>
        items.LastOrDefault() is PhraseItem before
        && before.Span.End == tokens[at].Span.Start
        && at + 1 < tokens.Count
        && tokens[at + 1].Span.Start == tokens[at].Span.End
        && lexicon.Phrase(tokens, at + 1) is var (behind, _)
        && behind.States.Any(meant => before.Meaning.States.Any(other => other.Character == meant.Character));

    // “In May”, “5 May”, “May to July”; “leaves may be lobed” says no month.
    private bool IsTheMonth(int at)
    {
        var behind = at + 1 < tokens.Count ? tokens[at + 1] : default;
        if (behind.Kind == TokenKind.Number)
            return true;
        if (at > 0 && tokens[at - 1] is { Kind: TokenKind.Word, Form: var before })
            return BeforeMay.Contains(before);
        return at > 0 && tokens[at - 1].Kind == TokenKind.Number
            || at + 1 == tokens.Count
            || behind.Kind != TokenKind.Word
            || BehindMay.Contains(behind.Form);
    }

    // “Danish ditch”, “English beech wood”; of “English oak” nobody knows where it stands.
    private bool IsBeforeAPlace(int at)
    {
        for (var noun = at; noun <= at + 1 && noun < tokens.Count && tokens[noun].Kind == TokenKind.Word; noun++)
            if (SpokenPhrases.IsPlace(tokens[noun].Form) || lexicon.Phrase(tokens, noun) is ({ SaysWhere: true }, _))
                return true;
        return false;
    }

    private static SpokenItem? Sign(SpokenToken token) =>
        token.Kind switch
        {
            TokenKind.Comma => new PauseItem(token.Span, false),
            TokenKind.Stop => new PauseItem(token.Span, true),
            TokenKind.Question => new DoubtItem(token.Span),
            TokenKind.Slash => new SlashItem(token.Span),
            TokenKind.Word
            or TokenKind.Number
            or TokenKind.Dash
            or TokenKind.Times
            or TokenKind.Inch
            or TokenKind.Foot
            or TokenKind.Plus
            or TokenKind.About
            or TokenKind.Other => null,
        };

    private TextSpan SpanOf(int start, int end) => tokens[start].Span.With(tokens[end - 1].Span);

    // The place behind an amount; 0 where none begins here, or a phrase of several words does.
    private int Amount(int at, (Meaning Meaning, int End)? phrase)
    {
        while (rest.Position < at)
            rest = rest.ConsumeToken().Remainder;
        if (!MayBeginAnAmount(at))
            return 0;
        var end = AmountGrammar.Read(rest, out var amount);
        if (amount is null || IsOnlyUnder(at, amount, end))
            return 0;
        var tail = Behind(end);
        // “length 8 cm width 5 cm”: what was named before it is not named again behind it.
        if (DimensionBefore(at) is { } named)
        {
            amount = amount with { Way = amount.Way ?? named };
            tail = tail.Dimension is null ? tail : new Tail(end, null, [], null);
        }
        // “one long string” is no size.
        if (tail.Dimension is not null && amount is { Unit: null, Low: 1, High: 1 } && tokens[at].Kind == TokenKind.Word)
            return 0;
        // “two long needles” are two, and nobody says how long.
        if (tail.Dimension is not null && amount.Unit is null && Describes(tail.End))
            tail = Behind(tail.End);
        if (phrase is var (meaning, reached) && SaysMore(meaning, reached, at, end, tail))
            return 0;
        (amount, tail) = WithLimitBehind(amount, tail);
        items.Add(new AmountItem(SpanOf(at, tail.End), amount, tail.Dimension, tail.Counts, tail.Noun));
        return tail.End;
    }

    // “10 cm long at most”, “five lobes or more”.
    private (Amount, Tail) WithLimitBehind(Amount amount, Tail tail)
    {
        if (amount.Limit is not null || amount.Low < amount.High)
            return (amount, tail);
        var behind = rest;
        while (behind.Position < tail.End)
            behind = behind.ConsumeToken().Remainder;
        var end = AmountGrammar.ReadLimit(behind, out var limit);
        return limit is null ? (amount, tail) : (amount with { Limit = limit }, tail with { End = end });
    }

    // “A width of …”, “width: …”, “leaf width …”; but of “8 cm in length, …” the length is that of the size before.
    private Dimension? DimensionBefore(int at)
    {
        var item = items.Count - 1;
        var before = at - 1;
        while (item >= 0 && at - before < WordsBehindADimension && (items[item] is PauseItem { Ends: false } || IsSilent(items[item])))
            (item, before) = (item - 1, before - 1);
        return item >= 0 && items[item] is PhraseItem && SpokenPhrases.DimensionNamed(tokens[before].Form) is { } named ? named : null;

        static bool IsSilent(SpokenItem item) => item is PhraseItem phrase && phrase.Plays(SpokenRole.Silent);
    }

    // “three main veins from the base” is no count, “two flat rows” neither, and “four-sided needles” are not four. “Three veins” are said
    // of the whole leaf; three leaflets are a count, which says that they are leaflets, too.
    private bool SaysMore(Meaning meaning, int reached, int at, int end, Tail tail)
    {
        if (meaning.States.Count == 0 && !meaning.IsTopic)
            return false;
        if (tail.Counts.Count == 0)
            return reached > at + 1;
        var isNoCount = meaning.States is [var only] && tail.Counts.All(count => count.OnlyIf?.CharacterId != only.Character.Id);
        return reached > tail.End || reached == tail.End && tail.Noun is not null && (isNoCount || !IsCounted(end));
    }

    private bool MayBeginAnAmount(int at) =>
        tokens[at].Kind is TokenKind.Number or TokenKind.About || AmountGrammar.BeginsWith(tokens[at].Form) && !IsAShape(at);

    // “like a hand” and “in a hand”.
    private bool IsAShape(int at) =>
        tokens[at].Kind == TokenKind.Word
        && at > 0
        && (tokens[at - 1].Form == "like" || tokens[at - 1].Form == "in" && tokens[at].Form is ("a" or "an"));

    // “nuts under three-lobed wings” are no three lobes at most.
    private bool IsOnlyUnder(int at, Amount amount, int end) =>
        amount.Limit is not null && tokens[at].Form is "under" or "over" && tokens[end - 1].Kind == TokenKind.Word && IsCounted(end);

    // What stands behind an amount: which way it was taken, or what was counted.
    private readonly record struct Tail(int End, Dimension? Dimension, IReadOnlyCollection<Character> Counts, PhraseItem? Noun);

    private Tail Behind(int end)
    {
        var at = end;
        var described = false;
        for (var words = 0; at < tokens.Count && words < WordsBeforeANoun; words++)
        {
            if (tokens[at].Kind == TokenKind.Dash)
                at++;
            if (at == tokens.Count)
                break;
            // “five-lobed” counts lobes, “five pointed lobes” no points.
            if (CountedAsAdjective(at) is { } adjective && !IsCountedThing(at + 1))
                return new Tail(at + 1, null, adjective, null);
            if (lexicon.Phrase(tokens, at) is not var (meaning, behind))
                break;
            // “4 pairs of scales” are not “in pairs”.
            if (tokens[at].Form == "pair" && meaning.Counts.Count == 0)
            {
                end = at = behind;
                continue;
            }
            if (meaning.Counts.Count > 0)
                return described
                    ? new Tail(end, null, meaning.Counts, null)
                    : new Tail(behind, null, meaning.Counts, new PhraseItem(SpanOf(at, behind), meaning));
            if (meaning.Dimension is { } dimension && words == 0)
                return new Tail(behind, dimension, [], null);
            // “five deep lobes”: the noun behind is looked at, and left to be read.
            if (!IsPassedOver(meaning) || meaning.IsTopic)
                break;
            described |= meaning.States.Count > 0;
            at = behind;
        }
        return new Tail(end, null, [], null);
    }

    // “leaves 3 long with teeth” goes on to another thing.
    private bool Describes(int at) =>
        at < tokens.Count && tokens[at].Form != "with" && lexicon.Phrase(tokens, at) is ({ Role: null, Dimension: null }, _);

    private bool IsCountedThing(int at) => at < tokens.Count && lexicon.Phrase(tokens, at) is ({ Counts.Count: > 0 }, _);

    // Whether what is counted stands straight behind the number.
    private bool IsCounted(int end)
    {
        var at = end < tokens.Count && tokens[end].Kind == TokenKind.Dash ? end + 1 : end;
        return at < tokens.Count && (CountedAsAdjective(at) is not null || IsCountedThing(at));
    }

    private static bool IsPassedOver(Meaning meaning) =>
        meaning.States.Count > 0 ? !meaning.IsThing : meaning.Role is SpokenRole.Silent or SpokenRole.Degree or SpokenRole.On;

    // “five-lobed” counts lobes.
    private IReadOnlyCollection<Character>? CountedAsAdjective(int at)
    {
        var form = tokens[at].Form;
        if (tokens[at].Kind != TokenKind.Word || !form.EndsWith("ed", StringComparison.Ordinal) || form.Length < 5)
            return null;
        foreach (var noun in new[] { form[..^1], form[..^2] })
            if (lexicon.Phrase([tokens[at] with { Form = noun }], 0) is ({ Counts.Count: > 0 } meaning, _))
                return meaning.Counts;
        return null;
    }

    // The place behind “narrower than a hornbeam”; 0 where nothing is held against another kind here.
    private int Compared(int at, (Meaning Meaning, int End)? phrase)
    {
        if (phrase is not ({ Comparative: { } how }, var end))
            return 0;
        var than = end;
        for (var words = 0; than < tokens.Count && words < 6; words++)
        {
            if (words > 0 && lexicon.Name(tokens, than) is var (taxa, behind))
            {
                items.Add(new ComparedItem(SpanOf(at, behind), how, taxa));
                return behind;
            }
            if (tokens[than].Kind != TokenKind.Word)
                return 0;
            than++;
        }
        return 0;
    }
}
