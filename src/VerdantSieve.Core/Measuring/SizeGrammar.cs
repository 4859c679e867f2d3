using System.Globalization;
using Superpower;
using Superpower.Model;
using Superpower.Parsers;

namespace VerdantSieve.Core.Measuring;

/// <summary>The numbers of a size as typed, and its unit: <c>3 1/2 in</c>, <c>5-8 in</c>, <c>12; 14; 9.5 cm</c>, <c>4 5 6 mm</c>,
/// <c>5-9 cm; mostly 7</c>. Each part tries at most one step back, so that the time is linear in the length.</summary>
internal static class SizeGrammar
{
    /// <summary>What was typed, in the unit it was typed in.</summary>
    /// <param name="First">The first number.</param>
    /// <param name="High">The end of a range; null where it is none.</param>
    /// <param name="More">The others of several.</param>
    /// <param name="Usual">The usual one; null where it was not said.</param>
    /// <param name="Units">The units named, each once.</param>
    internal sealed record TypedSize(double First, double? High, IReadOnlyList<double> More, double? Usual, IReadOnlyList<string> Units);

    private static readonly TextParser<TextSpan> Blank = Span.WithAll(char.IsWhiteSpace).OptionalOrDefault();
    private static readonly TextParser<TextSpan> Digits = Span.WithAll(char.IsAsciiDigit);

    private static readonly TextParser<double> Whole = Digits.Then(whole =>
        Character
            .EqualTo('.')
            .IgnoreThen(Digits)
            .Try()
            .Select(part => Value($"{whole.ToStringValue()}.{part.ToStringValue()}"))
            .OptionalOrDefault(Value(whole.ToStringValue()))
    );

    private static readonly TextParser<double> Divisor = Character
        .EqualTo('/')
        .IgnoreThen(Digits)
        .Select(divisor => Value(divisor.ToStringValue()));

    private static readonly TextParser<double> Fraction =
        from above in Digits
        from below in Divisor
        select Value(above.ToStringValue()) / below;

    private static readonly TextParser<double> Number = Character
        .EqualTo('.')
        .IgnoreThen(Digits)
        .Select(part => Value("0." + part.ToStringValue()))
        .Or(Fraction.Try())
        .Or(from whole in Whole from fraction in Span.WhiteSpace.IgnoreThen(Fraction).Try().OptionalOrDefault(0) select whole + fraction);

    private static readonly TextParser<double> High = Blank.IgnoreThen(Character.EqualTo('-')).IgnoreThen(Blank).IgnoreThen(Number);

    private static readonly TextParser<double> Parted = Blank.IgnoreThen(Character.EqualTo(';')).IgnoreThen(Blank).IgnoreThen(Number).Try();

    private static readonly TextParser<double> Spaced = Span.WhiteSpace.IgnoreThen(Whole).Try();

    private static readonly TextParser<string> Unit = Span.WithAll(letter =>
            char.IsAsciiLetterLower(letter) || letter is '"' or '″' or '\'' or '′'
        )
        .Select(unit => unit.ToStringValue());

    private static readonly TextParser<Unit> Pause = Blank
        .IgnoreThen(Character.In(';', '.').OptionalOrDefault())
        .IgnoreThen(Blank)
        .Value(Superpower.Model.Unit.Value);

    private static readonly TextParser<double> Mostly = Span.EqualTo("mostly")
        .Try()
        .Or(Span.EqualTo("mean").Try())
        .Or(Span.EqualTo("typically").Try())
        .Or(Span.EqualTo("usually"))
        .IgnoreThen(Span.WhiteSpace)
        .IgnoreThen(Number);

    // The unit may stand before the word, too: “5-9 cm, mostly 7”.
    private static readonly TextParser<(string? Unit, double Usual)> Usually = Pause.IgnoreThen(
        Mostly
            .Select(usual => ((string?)null, usual))
            .Try()
            .Or(from unit in Unit from usual in Pause.IgnoreThen(Mostly) select ((string?)unit, usual))
    );

    private static readonly TextParser<TypedSize> Size =
        from first in Number
        from high in High.Select(value => (double?)value).Try().OptionalOrDefault()
        from parted in high is null ? Parted.Many() : Parse.Return<double[]>([])
        from spaced in high is null && parted.Length == 0 ? Spaced.Many() : Parse.Return<double[]>([])
        from usually in Usually.Select(said => ((string? Unit, double Usual)?)said).Try().OptionalOrDefault()
        from unit in Blank.IgnoreThen(Unit.OptionalOrDefault(""))
        from stop in Character.EqualTo('.').OptionalOrDefault()
        select new TypedSize(
            first,
            high,
            [.. parted, .. spaced],
            usually?.Usual,
            [.. new[] { usually?.Unit, unit }.OfType<string>().Where(named => named.Length > 0).Distinct()]
        );

    /// <summary>Reads a size; null where it is none.</summary>
    internal static TypedSize? Read(string text) => Size.AtEnd().TryParse(text) is { HasValue: true } read ? read.Value : null;

    private static double Value(string digits) => double.Parse(digits, CultureInfo.InvariantCulture);
}
