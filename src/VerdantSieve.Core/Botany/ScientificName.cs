using System.Text.Json;
using System.Text.Json.Serialization;

namespace VerdantSieve.Core.Botany;

/// <summary>An accepted scientific name without its author, for example <c>Acer macrophyllum</c> or
/// <c>Platanus × hispanica</c>.</summary>
[JsonConverter(typeof(AsText))]
public sealed record ScientificName : IComparable<ScientificName>
{
    private static readonly string[] RomanParts = ["×", "x", "var.", "subsp.", "f.", "agg.", "sect.", "subg."];

    /// <summary>A name.</summary>
    /// <exception cref="ArgumentException">It is blank, or begins or ends with a blank.</exception>
    public ScientificName(string text) =>
        Text = IsName(text) ? text : throw new ArgumentException($"“{text}” is no name: it {NotBlank}.", nameof(text));

    private const string NotBlank = "must not be blank, nor begin or end with a blank";

    private static bool IsName(string text) => text.Length > 0 && text == text.Trim();

    /// <summary>A name, or what is wrong with it.</summary>
    public static Outcome<ScientificName> Parse(string text) =>
        IsName(text) ? new ScientificName(text) : Fault.AtField("name", text, $"“name” {NotBlank}");

    /// <summary>The name as it is written.</summary>
    public string Text { get; }

    /// <summary>The first word.</summary>
    public string Genus => Text.Split(' ', 2)[0];

    /// <summary>All after the genus, in the form files are named by: <c>× hispanica</c> gives <c>hispanica</c>.</summary>
    public string Epithet => string.Join('-', Text.Split(' ').Skip(1).Where(word => !RomanParts.Contains(word)));

    /// <summary>The species a variety or subspecies belongs to; the name itself for all else.</summary>
    public ScientificName Species
    {
        get
        {
            var words = Text.Split(' ');
            var at = Array.FindIndex(words, word => word is "var." or "subsp.");
            return at > 1 ? new ScientificName(string.Join(' ', words[..at])) : this;
        }
    }

    /// <summary>The name in lower case with hyphens, for addresses and file names.</summary>
    public string Slug => $"{Genus}-{Epithet}".ToLowerInvariant().TrimEnd('-');

    /// <summary>The words of a name of any rank, each with whether it is set in italics: ranks, <c>×</c> and cultivars are not.</summary>
    public static IEnumerable<(string Word, bool Italic)> WordsOf(string name) =>
        name.Split(' ').Select(word => (word, !RomanParts.Contains(word) && !word.StartsWith('\'')));

    /// <summary>The form used to find a name however it was typed: one kind of space and hybrid sign, lower case.</summary>
    public static string Fold(string text) =>
        string.Join(' ', text.Replace("×", " x ").Split((char[]?)null, StringSplitOptions.RemoveEmptyEntries)).ToLowerInvariant();

    /// <inheritdoc/>
    public int CompareTo(ScientificName? other) => string.CompareOrdinal(Text, other?.Text);

    /// <inheritdoc/>
    public override string ToString() => Text;

    private sealed class AsText : JsonConverter<ScientificName>
    {
        public override ScientificName Read(ref Utf8JsonReader reader, Type type, JsonSerializerOptions options) =>
            new(reader.GetString()!);

        public override void Write(Utf8JsonWriter writer, ScientificName name, JsonSerializerOptions options) =>
            writer.WriteStringValue(name.Text);
    }
}
