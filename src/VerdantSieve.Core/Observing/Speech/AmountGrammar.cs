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

    // “not”, “never”, “rarely ever”, “don’t usually get”: in front of a limit these turn it round.
    private static readonly TokenListParser<TokenKind, bool> Denied = (
        from does in Said("do", "does").Many()
        from not in Said("not", "never", "no", "rarely", "seldom", "hardly", "don't", "don’t", "doesn't", "doesn’t")
        from little in Said("ever", "usually", "often", "normally", "much", "any", "get", "grow").Many()
        select true
    )
        .Try()
        .OptionalOrDefault();

    private static readonly TokenListParser<TokenKind, (Dimension? Way, LimitSide Side)> Beyond = Phrase("more", "than")
        .Or(Phrase("greater", "than"))
        .Or(Said("over", "exceed", "exceeding"))
        .Value(((Dimension?)null, LimitSide.AtLeast))
        .Or(Phrase("less", "than").Or(Phrase("fewer", "than")).Or(Said("under")).Value(((Dimension?)null, LimitSide.AtMost)))
        .Or(Phrase("longer", "than").Or(Phrase("taller", "than")).Value(((Dimension?)Dimension.Long, LimitSide.AtLeast)))
        .Or(Phrase("shorter", "than").Value(((Dimension?)Dimension.Long, LimitSide.AtMost)))
        .Or(Phrase("wider", "than").Or(Phrase("broader", "than")).Value(((Dimension?)Dimension.Wide, LimitSide.AtLeast)))
        .Or(Phrase("narrower", "than").Value(((Dimension?)Dimension.Wide, LimitSide.AtMost)));

    private static readonly TokenListParser<TokenKind, LimitSide> AtMost = Phrase("at", "most")
        .Or(Phrase("at", "the", "most"))
        .Or(Said("maximum", "max"))
        .Value(LimitSide.AtMost);

    private static readonly TokenListParser<TokenKind, LimitSide> AtLeast = Phrase("at", "least")
        .Or(Phrase("at", "the", "least"))
        .Or(Said("minimum", "min"))
        .Value(LimitSide.AtLeast);

    // “up to 5”, “under 5”; “at least 3”, “never less than 3”, “wider than 3”.
    private static readonly TokenListParser<TokenKind, (Dimension? Way, LimitSide Side)> Limit = Phrase("up", "to")
        .Value(LimitSide.AtMost)
        .Or(AtMost)
        .Or(AtLeast)
        .Select(side => ((Dimension?)null, side))
        .Or((from denied in Denied from beyond in Beyond select denied ? (beyond.Way, Other(beyond.Side)) : beyond).Try());

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

    // “12 x 7”, “9 by 6 cm”.
    private static readonly TokenListParser<TokenKind, (Amount Long, Amount Wide)> Pair =
        from length in Side
        from times in Token.EqualTo(TokenKind.Times).Or(Said("x", "by"))
        from width in Side
        select (length with { Unit = length.Unit ?? width.Unit }, width with { Unit = width.Unit ?? length.Unit });

    private static readonly TokenListParser<TokenKind, Amount> Pairs = (
        from first in Pair
        from rest in Comma.IgnoreThen(Said("and").Many()).Or(Said("and").Select(and => new[] { and })).IgnoreThen(Pair).Try().Many()
        select Leaves([first, .. rest])
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
        from more in Comma.IgnoreThen(Token.EqualTo(TokenKind.Dash)).IgnoreThen(Figure).IgnoreThen(Comma).Try().OptionalOrDefault()
        from unitToo in MaybeUnit
        let least = (One(low) with { Unit = unit }).In(unitToo ?? unit)
        where high > least.Low
        select least with { High = high }
    ).Try();

    // “10+”, “10 or more cm”, “10 cm or less”.
    private static readonly TokenListParser<TokenKind, LimitSide?> LimitBehind = Token
        .EqualTo(TokenKind.Plus)
        .Value(LimitSide.AtLeast)
        .Or(Phrase("or", "more").Or(Phrase("or", "longer")).Or(Phrase("or", "over")).Value(LimitSide.AtLeast))
        .Or(Phrase("or", "less").Or(Phrase("or", "fewer")).Or(Phrase("or", "shorter")).Value(LimitSide.AtMost))
        // “10 cm at most”; but “10 cm, at most 3 wide”.
        .Or((from side in AtMost.Or(AtLeast) from end in Parse.Not(Number) select side).Try())
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
        from likened in (from denied in Denied from likened in As select denied ? Denying(likened) : likened).Try().Or(SizeOf)
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
        from bounded in (
            from limit in Limit
            from aboutSo in About.Many()
            from amount in Bare
            select (Amount: Limited(amount, limit), About: aboutSo.Length > 0)
        )
            .Try()
            .Or(Bare.Select(amount => (Amount: amount, About: false)))
        from usual in UsualBehind.Select(number => (double?)number).OptionalOrDefault()
        from seldom in SeldomBehind.Select(other => (Amount?)other).OptionalOrDefault()
        from unitBehind in MaybeUnit
        let amount = bounded.Amount with { Unit = bounded.Amount.Unit ?? unitBehind }
        select Put(Usual(amount, usually.Length > 0), about.Length > 0 || bounded.About, usual, seldom);

    // What an amount can begin with: all else need not be tried.
    private static readonly HashSet<string> Beginnings =
    [
        .. WordForms.Numbers.Keys,
        .. "mostly usually typically often normally about around roughly circa ca approximately nearly almost some maybe perhap".Split(
            ' '
        ),
        .. "up at less fewer under maximum max more greater over minimum min half quarter a an".Split(' '),
        .. "do does not never no rarely seldom hardly don't don’t doesn't doesn’t exceed exceeding".Split(' ').Select(WordForms.Of),
        .. "the size as like bigger larger longer taller wider broader smaller shorter narrower".Split(' '),
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

    /// <summary>Reads a limit that stands behind what was counted or which way it was taken: “10 cm long at most”, “five lobes or
    /// more”.</summary>
    /// <param name="rest">The text from there on.</param>
    /// <param name="limit">On which side it is one; null where none stands there.</param>
    /// <returns>The place behind it.</returns>
    public static int ReadLimit(TokenList<TokenKind> rest, out LimitSide? limit)
    {
        var result = LimitBehind(rest);
        limit = result.HasValue ? result.Value : null;
        return limit is null ? rest.Position : result.Remainder.Position;
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

    private static LimitSide Other(LimitSide side) => side == LimitSide.AtLeast ? LimitSide.AtMost : LimitSide.AtLeast;

    // “not as long as my hand” is shorter, “not longer than my hand” is no longer.
    private static (Dimension? Way, LimitSide? Limit) Denying((Dimension? Way, LimitSide? Limit) likened) =>
        (likened.Way, likened.Limit is { } side ? Other(side) : LimitSide.AtMost);

    private static Amount Limited(Amount amount, (Dimension? Way, LimitSide Side) limit) =>
        amount with
        {
            Way = amount.Way ?? limit.Way,
            Limit = amount.Low == amount.High ? limit.Side : amount.Limit,
        };

    private static Amount Put(Amount amount, bool about, double? usual, Amount? seldom)
    {
        if (about || amount.Unit == "hands")
            amount = amount with { By = amount.Unit == "hands" ? MeasuredBy.Hand : MeasuredBy.Eye };
        seldom = seldom?.In(amount.Unit);
        if (amount.Limit is { } side)
            return Within(amount, side, usual, seldom);
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

    // “At least 5, mostly 8” is 5 to 8; “at most 8, rarely 10” at most 10.
    private static Amount Within(Amount limit, LimitSide side, double? usual, Amount? seldom)
    {
        var limited = limit.Low;
        if (seldom is not null)
            limited = side == LimitSide.AtMost ? Math.Max(limited, seldom.High) : Math.Min(limited, seldom.Low);
        if (usual is not { } met || (side == LimitSide.AtMost ? met > limited : met < limited))
            return limit with { Low = limited, High = limited, Unit = limit.Unit ?? seldom?.Unit };
        return limit with { Low = Math.Min(limited, met), High = Math.Max(limited, met), Usual = met, Limit = null };
    }

    private static Amount Usual(Amount amount, bool usually) =>
        usually && amount.Low == amount.High ? amount with { Usual = amount.Low } : amount;

    private static Amount One(double number) => new(number, number);

    // “5 x 3, 6 x 4 cm”: what was said without a unit has that of what comes behind it.
    private static Amount Leaves((Amount Long, Amount Wide)[] pairs)
    {
        string? UnitFrom(int at) => pairs.Skip(at).Select(pair => pair.Long.Unit).FirstOrDefault(unit => unit is not null);
        return Side(pair => pair.Long) with { Across = Side(pair => pair.Wide) };

        Amount Side(Func<(Amount Long, Amount Wide), Amount> side) =>
            Together([.. pairs.Select((pair, at) => side(pair) is { Unit: null } bare ? bare with { Unit = UnitFrom(at) } : side(pair))]);
    }

    private static Amount Together(Amount[] sides)
    {
        var unit = sides[0].Unit;
        Amount[] alike = [.. sides.Select(side => side.In(unit))];
        if (alike is [var single])
            return single;
        return alike.All(side => side.Low == side.High)
            ? Sample([.. alike.Select(side => side.Low)], unit)
            : new Amount(alike.Min(side => side.Low), alike.Max(side => side.High)) { Unit = unit };
    }

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
