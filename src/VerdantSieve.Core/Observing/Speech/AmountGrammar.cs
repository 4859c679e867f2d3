using System.Globalization;
using Superpower;
using Superpower.Model;
using Superpower.Parsers;
using VerdantSieve.Core.Measuring;

namespace VerdantSieve.Core.Observing.Speech;

/// <summary>How people say amounts: “5 to 8 inches”, “about a hand”, “mostly three, often five”, “up to 5 cm”, “half an inch”,
/// “12 x 7, 9 x 6 cm”, “10 or more”.</summary>
internal static class AmountGrammar
{
    private static readonly Dictionary<string, string> Units = new()
    {
        ["mm"] = "mm",
        ["millimeter"] = "mm",
        ["millimetre"] = "mm",
        ["cm"] = "cm",
        ["centimeter"] = "cm",
        ["centimetre"] = "cm",
        ["m"] = "m",
        ["meter"] = "m",
        ["metre"] = "m",
        ["inch"] = "in",
        ["\""] = "in",
        ["”"] = "in",
        ["″"] = "in",
        ["ft"] = "ft",
        ["foot"] = "ft",
        ["'"] = "ft",
        ["’"] = "ft",
        ["′"] = "ft",
        ["hand"] = "hands",
        ["handwidth"] = "hands",
    };

    // Behind “in” stands a place or a set as often as a number stands before it: it is a unit only straight behind a number.
    private static readonly TokenListParser<TokenKind, string> Unit = Said(Units.ContainsKey)
        .Or(Token.EqualTo(TokenKind.Inch))
        .Or(Token.EqualTo(TokenKind.Foot))
        .Select(token => Units[token.ToStringValue()]);

    private static readonly TokenListParser<TokenKind, string?> MaybeUnit = Unit.Select(unit => (string?)unit).OptionalOrDefault();

    private static readonly TokenListParser<TokenKind, double> Figure = Token
        .EqualTo(TokenKind.Number)
        .Select(token => double.Parse(token.ToStringValue(), CultureInfo.InvariantCulture));

    private static readonly TokenListParser<TokenKind, double> Number = Figure
        .Or(Said(WordForms.Numbers.ContainsKey).Select(token => (double)WordForms.Numbers[token.ToStringValue()]))
        .Or((from couple in Phrase("a", "couple") from of in Said("of").Many() select 2.0).Try());

    // “4-ish”, “4 or so”.
    private static readonly TokenListParser<TokenKind, Token<TokenKind>[]> Ish = Token
        .EqualTo(TokenKind.Dash)
        .Optional()
        .IgnoreThen(Said("ish"))
        .Try()
        .Or(Phrase("or", "so"))
        .Many();

    private static readonly TokenListParser<TokenKind, Token<TokenKind>> To = Token
        .EqualTo(TokenKind.Dash)
        .Or(Said("to", "or", "and", "till", "through"));

    // “up to 5”, “under 5”; “at least 3”.
    private static readonly TokenListParser<TokenKind, LimitSide> Limit = Phrase("up", "to")
        .Or(Phrase("at", "most"))
        .Or(Phrase("less", "than"))
        .Or(Phrase("no", "more", "than"))
        .Or(Phrase("under"))
        .Or(Phrase("maximum"))
        .Value(LimitSide.AtMost)
        .Or(Phrase("at", "least").Or(Phrase("more", "than")).Or(Phrase("over")).Or(Phrase("minimum")).Value(LimitSide.AtLeast));

    private static readonly TokenListParser<TokenKind, MeasuredBy> About = Token
        .EqualTo(TokenKind.About)
        .Or(Said("about", "around", "roughly", "circa", "ca", "approximately", "nearly", "almost", "some", "maybe", "perhaps"))
        .Value(MeasuredBy.Eye);

    private static readonly TokenListParser<TokenKind, Token<TokenKind>> Usually = Said(
        "mostly",
        "usually",
        "typically",
        "often",
        "normally"
    );

    private static readonly TokenListParser<TokenKind, Token<TokenKind>> Seldom = Said(
        "often",
        "sometimes",
        "rarely",
        "occasionally",
        "seldom",
        "a",
        "few"
    );

    private static readonly TokenListParser<TokenKind, Token<TokenKind>> Comma = Token.EqualTo(TokenKind.Comma);

    // “half an inch”, “a hand”, “an inch and a half”.
    private static readonly TokenListParser<TokenKind, Amount> InWords = (
        from half in Said("half", "quarter")
        from article in Said("a", "an", "of").Many()
        from unit in Unit
        select One(half.ToStringValue() == "half" ? 0.5 : 0.25) with
        {
            Unit = unit,
        }
    )
        .Try()
        .Or(
            (
                from article in Said("a", "an", "one")
                from unit in Unit
                from more in Phrase("and", "a", "half").Value(0.5).OptionalOrDefault()
                select One(1 + more) with
                {
                    Unit = unit,
                }
            ).Try()
        );

    // “12”, “6–9 cm”: one side of a leaf.
    private static readonly TokenListParser<TokenKind, Amount> Side =
        from low in Figure
        from high in Token.EqualTo(TokenKind.Dash).Or(Said("to")).IgnoreThen(Figure).Select(high => (double?)high).Try().OptionalOrDefault()
        from unit in MaybeUnit
        select new Amount(low, Math.Max(low, high ?? low)) { Unit = unit };

    // “12 x 7”, “9 by 6”.
    private static readonly TokenListParser<TokenKind, (Amount Long, Amount Wide)> Pair =
        from length in Side
        from times in Token.EqualTo(TokenKind.Times).Or(Said("x", "by"))
        from width in Side
        select (length, width);

    private static readonly TokenListParser<TokenKind, Amount> Pairs = (
        from first in Pair
        from rest in Comma.IgnoreThen(Pair).Try().Many()
        select Sides([first.Long, .. rest.Select(pair => pair.Long)], Last(first, rest).Unit) with
        {
            Across = Sides([first.Wide, .. rest.Select(pair => pair.Wide)], Last(first, rest).Unit),
        }
    ).Try();

    // “12, 14, 9.5 cm”, “12, 14 and 9 cm”; two in a row only with a unit behind them.
    private static readonly TokenListParser<TokenKind, Amount> Row = (
        from first in Figure
        from rest in Comma.IgnoreThen(Figure).Try().AtLeastOnce()
        from last in Comma.Many().IgnoreThen(Said("and")).IgnoreThen(Figure).Try().Many()
        from unit in MaybeUnit
        where unit is not null || rest.Length + last.Length > 1
        select Sample([first, .. rest, .. last], unit)
    ).Try();

    // “5-9”, “5 cm to 9 cm”, “(3–)5–9(–11)”: what stands in brackets is met now and then, and the rest is the usual run.
    private static readonly TokenListParser<TokenKind, Amount> Range = (
        from extreme in Comma.IgnoreThen(Figure).IgnoreThen(Token.EqualTo(TokenKind.Dash)).IgnoreThen(Comma).Try().OptionalOrDefault()
        from low in Number
        from unit in MaybeUnit
        from to in To
        from high in Number
        where high > low
        from more in Comma.IgnoreThen(Token.EqualTo(TokenKind.Dash)).IgnoreThen(Figure).IgnoreThen(Comma).Try().OptionalOrDefault()
        from unitToo in MaybeUnit
        select new Amount(low, high) { Unit = unitToo ?? unit }
    ).Try();

    // “10+”, “10 or more cm”, “10 cm or less”.
    private static readonly TokenListParser<TokenKind, LimitSide?> LimitBehind = Token
        .EqualTo(TokenKind.Plus)
        .Value(LimitSide.AtLeast)
        .Or(Phrase("or", "more").Or(Phrase("or", "longer")).Or(Phrase("or", "over")).Value(LimitSide.AtLeast))
        .Or(Phrase("or", "less").Or(Phrase("or", "fewer")).Or(Phrase("or", "shorter")).Value(LimitSide.AtMost))
        .Select(side => (LimitSide?)side)
        .OptionalOrDefault();

    private static readonly TokenListParser<TokenKind, Amount> Single =
        from number in Number
        from ish in Ish
        from limit in LimitBehind
        from unit in MaybeUnit
        from ishToo in Ish
        from limitToo in LimitBehind
        select One(number) with
        {
            Unit = unit,
            Limit = limit ?? limitToo,
            By = ish.Length + ishToo.Length > 0 ? MeasuredBy.Eye : MeasuredBy.Ruler,
        };

    private static readonly TokenListParser<TokenKind, Token<TokenKind>[]> Article = Said("a", "an", "the", "my", "your", "his", "her")
        .Many();

    // “as wide as”, “wider than”: which way, and on which side it is a limit.
    private static readonly TokenListParser<TokenKind, (Dimension? Way, LimitSide? Limit)> As = Said("as")
        .IgnoreThen(Likened("as", null, ("big large small", null), ("long", Dimension.Long), ("wide broad", Dimension.Wide)))
        .Try()
        .Or(Likened("than", LimitSide.AtLeast, ("bigger larger", null), ("longer", Dimension.Long), ("wider", Dimension.Wide)))
        .Or(Likened("than", LimitSide.AtMost, ("smaller", null), ("shorter", Dimension.Long), ("narrower", Dimension.Wide)));

    private static readonly TokenListParser<TokenKind, (Dimension? Way, LimitSide? Limit)> SizeOf = Said("the")
        .Many()
        .IgnoreThen(Phrase("size", "of"))
        .Value(((Dimension?)null, (LimitSide?)null))
        .Try();

    // “the size of a tennis ball”, “half as long as my hand”, “like dinner plates”, “pea-sized”.
    private static readonly TokenListParser<TokenKind, Amount> BySize = (
        from times in Said("half").Value(0.5).Or(Said("twice").Value(2.0)).OptionalOrDefault(1)
        from likened in As.Or(SizeOf)
        from article in Article
        from thing in Thing(words => likened.Limit is null || !ThingSizes.Plants.Contains(words))
        select Sized(thing * times) with
        {
            Way = likened.Way,
            Limit = likened.Limit,
        }
    )
        .Try()
        .Or((from like in Said("like") from article in Article from thing in Thing(ThingSizes.IsBallOrPlate) select Sized(thing)).Try())
        .Or(
            (
                from thing in Thing(_ => true)
                from dash in Token.EqualTo(TokenKind.Dash).Optional()
                from sized in Said("sized", "size")
                select Sized(thing)
            ).Try()
        );

    private static readonly TokenListParser<TokenKind, Amount> Bare = BySize.Or(InWords).Or(Pairs).Or(Row).Or(Range).Or(Single);

    // “, mostly 7”, “(usually 7)” behind a range.
    private static readonly TokenListParser<TokenKind, double> UsualBehind = (
        from comma in Comma.Many()
        from word in Usually.Where(word => word.ToStringValue() != "often")
        from usual in Number
        from close in Comma.Where(token => token.ToStringValue() is ")" or "]").Optional()
        select usual
    ).Try();

    // “, often 5”, “(rarely 9)”, “, sometimes up to 11” behind what is usual.
    private static readonly TokenListParser<TokenKind, Amount> SeldomBehind = (
        from comma in Comma.Many()
        from and in Said("and", "or", "but").Many()
        from word in Seldom.AtLeastOnce()
        from upTo in Phrase("up", "to").Or(Said("to")).Many()
        from other in Range.Or(Single)
        from close in Comma.Where(token => token.ToStringValue() is ")" or "]").Optional()
        select other
    ).Try();

    private static readonly TokenListParser<TokenKind, Amount> Amounts =
        from usually in Usually.Many()
        from about in About.Many()
        from limit in Limit.Select(side => (LimitSide?)side).OptionalOrDefault()
        from amount in Bare
        from usual in UsualBehind.Select(number => (double?)number).OptionalOrDefault()
        from seldom in SeldomBehind.Select(other => (Amount?)other).OptionalOrDefault()
        from unitBehind in MaybeUnit
        select Put(Usual(amount with { Unit = amount.Unit ?? unitBehind }, usually.Length > 0), about.Length > 0, limit, usual, seldom);

    // What an amount can begin with: all else need not be tried.
    private static readonly HashSet<string> Beginnings =
    [
        .. WordForms.Numbers.Keys,
        .. "mostly usually typically often normally about around roughly circa ca approximately nearly almost some maybe perhap".Split(
            ' '
        ),
        .. "up at less no under maximum more over minimum half quarter a an".Split(' '),
        .. "the size as like bigger larger longer wider smaller shorter narrower".Split(' '),
        .. ThingSizes.Beginnings,
    ];

    /// <summary>Whether an amount can begin with this word.</summary>
    public static bool BeginsWith(string word) => Beginnings.Contains(word);

    /// <summary>Reads an amount at a place in the text.</summary>
    /// <param name="rest">The text from there on.</param>
    /// <param name="amount">The amount; null where none stands there.</param>
    /// <returns>The place behind it.</returns>
    public static int Read(TokenList<TokenKind> rest, out Amount? amount)
    {
        var result = Amounts(rest);
        amount = result.HasValue ? result.Value : null;
        return result.HasValue ? result.Remainder.Position : rest.Position;
    }

    private static Amount Sized(double centimetres) => One(centimetres) with { Unit = "cm", By = MeasuredBy.Eye };

    // “as wide as”: the word between says which way.
    private static TokenListParser<TokenKind, (Dimension? Way, LimitSide? Limit)> Likened(
        string behind,
        LimitSide? limit,
        params (string Words, Dimension? Way)[] ways
    ) =>
        ways.Select(way => Said(way.Words.Split(' ')).IgnoreThen(Said(behind)).Value((way.Way, limit)).Try())
            .Aggregate((one, other) => one.Or(other));

    // The thing with the longest name that stands here; “dinner-plate” is “dinner plate”.
    private static TokenListParser<TokenKind, double> Thing(Func<string, bool> isMeant) =>
        input =>
        {
            var (words, rest) = ("", input);
            TokenListParserResult<TokenKind, double>? longest = null;
            for (var many = 0; many < ThingSizes.MostWords && !rest.IsAtEnd; many++)
            {
                var next = rest.ConsumeToken();
                if (many > 0 && next.Value.Kind == TokenKind.Dash && !next.Remainder.IsAtEnd)
                    next = next.Remainder.ConsumeToken();
                if (next.Value.Kind != TokenKind.Word)
                    break;
                words = many == 0 ? next.Value.ToStringValue() : $"{words} {next.Value.ToStringValue()}";
                rest = next.Remainder;
                if (isMeant(words) && ThingSizes.ByWords.TryGetValue(words, out var size))
                    longest = TokenListParserResult.Value(size, input, rest);
            }
            return longest ?? TokenListParserResult.Empty<TokenKind, double>(input);
        };

    private static Amount Put(Amount amount, bool about, LimitSide? limit, double? usual, Amount? seldom)
    {
        if (about || amount.Unit == "hands")
            amount = amount with { By = amount.Unit == "hands" ? MeasuredBy.Hand : MeasuredBy.Eye };
        if (limit is not null && amount.Low == amount.High)
            return amount with { Limit = limit };
        if (limit is not null)
            return amount;
        if (seldom is not null)
        {
            var usually = usual ?? (amount.Low == amount.High ? amount.Low : amount.Usual);
            return amount with
            {
                Low = Math.Min(amount.Low, seldom.Low),
                High = Math.Max(amount.High, seldom.High),
                Usual = usually,
                Unit = amount.Unit ?? seldom.Unit,
            };
        }
        return usual >= amount.Low && usual <= amount.High ? amount with { Usual = usual } : amount;
    }

    private static Amount Usual(Amount amount, bool usually) =>
        usually && amount.Low == amount.High ? amount with { Usual = amount.Low } : amount;

    private static Amount One(double number) => new(number, number);

    private static Amount Last((Amount, Amount Wide) first, (Amount, Amount Wide)[] rest) => rest.Length > 0 ? rest[^1].Wide : first.Wide;

    private static Amount Sides(Amount[] sides, string? unit) =>
        sides.Length == 1 ? sides[0] with { Unit = sides[0].Unit ?? unit } : Sample([.. sides.Select(side => side.Low)], unit);

    private static Amount Sample(double[] numbers, string? unit) =>
        new(numbers.Min(), numbers.Max()) { Values = numbers.Length > 1 ? numbers : [], Unit = unit };

    private static TokenListParser<TokenKind, Token<TokenKind>> Said(params string[] words)
    {
        // “Sometimes” and “perhaps” are cut short as if they were plurals, as all words are.
        string[] forms = [.. words.Select(WordForms.Of)];
        return Said(forms.Contains);
    }

    private static TokenListParser<TokenKind, Token<TokenKind>> Said(Func<string, bool> isOne) =>
        Token.EqualTo(TokenKind.Word).Where(token => isOne(token.ToStringValue()));

    private static TokenListParser<TokenKind, Token<TokenKind>> Phrase(params string[] words) =>
        words.Select(word => Said(word)).Aggregate((one, other) => one.IgnoreThen(other)).Try();
}
