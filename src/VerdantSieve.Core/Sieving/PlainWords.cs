using System.Globalization;

namespace VerdantSieve.Core.Sieving;

/// <summary>Small words of sentences.</summary>
internal static class PlainWords
{
    private static readonly string[] Numbers = ["no", "one", "two", "three", "four", "five", "six", "seven", "eight", "nine", "ten"];

    public static string Article(string noun) => ("aeiou".Contains(char.ToLowerInvariant(noun[0])) ? "an " : "a ") + noun;

    public static string Capital(string text) => char.ToUpperInvariant(text[0]) + text[1..];

    public static string Number(int n) => n < Numbers.Length ? Numbers[n] : n.ToString(CultureInfo.InvariantCulture);
}
