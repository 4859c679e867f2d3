using NodaTime;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Formats;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Observing.Speech;
using Xunit;

namespace VerdantSieve.Core.Tests.Observing.Speech;

/// <summary>A thing that is looked for, told by what is said of its noun: of “sticky buds” the word may stand anywhere.</summary>
public class SaidOfItsNounTests
{
    private static readonly Flora Flora = FloraReader
        .Read(
            new SourceFile("flora.yaml", "id: test\ntitle: A test\n"),
            new SourceFile(
                "characters.yaml",
                """
                twig:
                  twig-colour:
                    kind: nominal
                    question: What colour is the twig?
                    says: twig {}
                    states: {brown: brown, green: green}
                petiole:
                  petiole-form:
                    kind: nominal
                    question: What form has the leaf stalk?
                    says: leaf stalk {}
                    also: [leaf stalk]
                    states: {round: round, flat: flat}
                  petiole-hair:
                    kind: ordinal
                    label: hair on the leaf stalk
                    question: Is the leaf stalk hairy?
                    says: leaf stalk {}
                    also: [leaf stalk]
                    states: {none: hairless, dense: hairy}
                buds:
                  bud-gum:
                    kind: presence
                    label: gum on the buds
                    question: Are the buds sticky?
                    also: [sticky buds, resin-coated buds]
                  bud-colour:
                    kind: nominal
                    question: What colour are the buds?
                    says: buds {}
                    states: {brown: brown, green: green}
                """
            ),
            []
        )
        .Value;

    private static readonly SpeechReader Reader = new(Flora, new VocabularyIndex(Flora.Vocabulary));

    private static Heard Hear(string text) => Reader.Read(text, new SpokenAbout(new LocalDate(2026, 8, 20)));

    [Theory]
    [InlineData("sticky buds", true)]
    [InlineData("large sticky brown buds", true)]
    [InlineData("brown sticky buds", true)]
    [InlineData("buds brown and sticky", true)]
    [InlineData("green resin-coated buds", true)]
    [InlineData("buds not sticky", false)]
    public void Wherever_the_word_stands_it_is_said_of_the_noun(string text, bool there)
    {
        var heard = Hear(text);
        Assert.Equal(new Sought(there), heard.Readings.Single(reading => reading.Reading.Character == "bud-gum").Reading.Observation);
        Assert.Empty(heard.Left);
    }

    [Theory]
    [InlineData("brown sticky buds")]
    [InlineData("sticky brown buds")]
    public void What_else_is_said_of_the_noun_is_heard_on_either_side(string text) =>
        Assert.Equal(
            ["bud-colour", "bud-gum"],
            Hear(text).Readings.Select(reading => reading.Reading.Character).Order(StringComparer.Ordinal)
        );

    [Fact]
    public void What_is_missing_is_no_state_of_all_that_is_asked_of_it()
    {
        Assert.Empty(Hear("no leaf stalk").Readings);
        Assert.Equal("petiole-hair", Assert.Single(Hear("no hair on the leaf stalk").Readings).Reading.Character);
    }

    [Theory]
    [InlineData("sticky twigs")]
    [InlineData("twig brown and sticky")]
    [InlineData("sticky")]
    public void Said_of_another_noun_or_of_none_it_is_left(string text)
    {
        var heard = Hear(text);
        Assert.DoesNotContain(heard.Readings, reading => reading.Reading.Character == "bud-gum");
        Assert.Equal(["sticky"], heard.Left.Select(left => left.Text));
    }
}
