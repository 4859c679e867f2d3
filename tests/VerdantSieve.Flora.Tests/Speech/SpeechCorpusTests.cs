using NodaTime;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing.Speech;
using VerdantSieve.Core.Tests.Observing.Speech;
using Xunit;

namespace VerdantSieve.Flora.Tests.Speech;

/// <summary>Sentences and paragraphs as people describe plants, written for this test, with what should be understood of each: the
/// judgement of one reader, no source. What is not listed should be left, not guessed.</summary>
public class SpeechCorpusTests
{
    private const double Right = 0.98,
        Wrong = 0.01;

    private static readonly SpeechReader Reader = new(ShippedFlora.Flora, new VocabularyIndex(ShippedFlora.Flora.Vocabulary));

    // The corpus speaks of months without a year.
    private static readonly SpokenAbout About = new(new LocalDate(2026, 8, 20));

    [Theory]
    [InlineData("sentences.txt", 300)]
    [InlineData("paragraphs.txt", 40)]
    public void Nearly_all_is_understood_and_next_to_nothing_wrong(string file, int atLeast)
    {
        var lines = Lines(file);
        Assert.True(lines.Length >= atLeast, $"{lines.Length} texts");
        var (wanted, missed, wrong) = (0, new List<string>(), new List<string>());
        foreach (var (text, expected) in lines)
        {
            string[] heard = [.. SpokenNotation.Of(Reader.Read(text, About))];
            wanted += expected.Length;
            missed.AddRange(expected.Except(heard).Select(reading => $"{text}: {reading}"));
            wrong.AddRange(heard.Except(expected).Select(reading => $"{text}: {reading}"));
        }
        Assert.True(missed.Count <= (1 - Right) * wanted, $"missed {missed.Count} of {wanted}: {string.Join(" / ", missed)}");
        Assert.True(wrong.Count < Wrong * wanted, $"wrong {wrong.Count} of {wanted}: {string.Join(" / ", wrong)}");
    }

    [Fact]
    public void Every_label_and_word_of_a_state_is_heard_or_told()
    {
        var silent =
            from character in ShippedFlora.Flora.Characters.OfType<StateCharacter>()
            from state in character.States
            from word in state.Also
            let heard = Reader.Read(word, About)
            where heard.Readings.Count == 0 && heard.Left.Count == 0 && !heard.HasCircumstances
            select $"{character.Id}:{state.Id}: {word}";
        // These say something of their noun alone, and nothing by themselves.
        Assert.Equal(["crown:spreading: wide", "underside-colour:paler: pale"], silent.Order());
    }

    private static (string Text, string[] Expected)[] Lines(string file) =>
        [
            .. File.ReadLines(Path.Combine(AppContext.BaseDirectory, "Speech", file))
                .Where(line => line.Length > 0)
                .Select(line => line.Split(" =>", 2))
                .Select(halves =>
                    (halves[0], halves[1].Split(';', StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries))
                ),
        ];
}
