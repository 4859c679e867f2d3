using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Formats;
using Xunit;

namespace VerdantSieve.Core.Tests.Botany;

public class VocabularyIndexTests
{
    private const string Vocabulary = """
        margin:
          margin:
            kind: nominal
            label: leaf margin
            question: What is the edge like?
            also: [leaf edge, rim]
            words:
              serrate: toothed like a saw, saw-edged
            states: {entire: smooth |, serrate: saw-toothed | Sharp teeth.}
          bark:
            kind: nominal
            label: bark
            question: What is the bark like?
            states: {smooth: smooth |, rough: rough |}
        """;

    // A word for several states has further words too, and a search finds them.
    [Fact]
    public void A_broad_word_is_found_by_its_further_words()
    {
        var text = Vocabulary
            .Replace("serrate: toothed like a saw", "saw: like a saw\n      serrate: toothed like a saw")
            .Replace("    states: {entire", "    broader:\n      saw: sawn | entire, serrate\n    states: {entire");
        Assert.Equal("margin", new VocabularyIndex(Read(text).Value.Vocabulary).Find("like a saw")[0].Character.Id);
    }

    private static VocabularyWord[] Find(string text) => [.. new VocabularyIndex(Read(Vocabulary).Value.Vocabulary).Find(text)];

    [Theory]
    [InlineData("leaf edge", "margin", null)]
    [InlineData("rim", "margin", null)]
    [InlineData("saw edged", "margin", "serrate")]
    [InlineData("toothed like a saw", "margin", "serrate")]
    [InlineData("serate", "margin", "serrate")]
    public void A_character_or_state_is_found_by_any_of_its_words(string text, string character, string? state)
    {
        var first = Find(text)[0];
        Assert.Equal((character, state), (first.Character.Id, first.State?.Id));
    }

    [Theory]
    [InlineData("rim", "rim")]
    [InlineData("saw edged", "saw-edged")]
    [InlineData("margin", "margin")]
    public void What_it_was_found_by_is_said(string text, string said) => Assert.Equal(said, Find(text)[0].Said);

    [Fact]
    public void What_says_nothing_more_comes_first_and_what_nobody_says_finds_nothing()
    {
        Assert.Equal(["bark"], Find("bark").Select(word => word.Character.Id));
        Assert.Equal(2, Find("smooth").Length);
        Assert.Empty(Find("zymurgy"));
        Assert.Empty(Find("  "));
    }

    [Fact]
    public void Words_for_a_state_that_is_not_there_are_a_fault() =>
        Assert.Contains(
            "names “serate”, which is no state of margin",
            Assert.Single(Read(Vocabulary.Replace("serrate: toothed", "serate: toothed")).Faults).Message
        );

    private static Outcome<Flora> Read(string vocabulary) =>
        FloraReader.Read(
            new SourceFile("flora.yaml", "id: made\ntitle: Made\n"),
            new SourceFile("characters.yaml", vocabulary),
            [
                new SourceFile(
                    "taxa/Acer/testii.yaml",
                    "name: Acer testii\nauthority: not given\nfamily: Sapindaceae\ncommon-names: [test]\nnative: [ORE]\nsettings: [wild]\n"
                        + "provenance: made up\nscores: {bark: smooth}\n"
                ),
            ]
        );
}
