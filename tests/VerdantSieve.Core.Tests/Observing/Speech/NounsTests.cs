using NodaTime;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Observing.Speech;
using Xunit;

namespace VerdantSieve.Core.Tests.Observing.Speech;

/// <summary>Which noun a word is said of: the same word beside another noun says something else, or nothing.</summary>
public class NounsTests
{
    private static readonly SpeechReader Reader = new(SmallFlora.Flora, new VocabularyIndex(SmallFlora.Flora.Vocabulary));

    private static string[] Hear(string text) =>
        [
            .. Reader
                .Read(text, new SpokenAbout(new LocalDate(2026, 8, 20)))
                .Readings.Select(heard => heard.Reading)
                .Select(reading => reading.Observation is StatesSeen seen ? $"{reading.Character}={seen.States[0]}" : reading.Character),
        ];

    [Theory]
    [InlineData("round leaf", "shape=round")]
    [InlineData("round leaf base")]
    [InlineData("green twig", "twig-colour=green")]
    [InlineData("rounded leaf tip", "apex=rounded")]
    public void A_noun_belongs_to_the_one_behind_it(string text, params string[] heard) => Assert.Equal(heard, Hear(text));

    [Theory]
    [InlineData("a climber up a maple with hairy roots", "habit=climber", "aerial-roots")]
    [InlineData("hairy roots", "aerial-roots")]
    [InlineData("a climber with roots", "habit=climber")]
    public void A_thing_with_a_name_of_its_own_is_heard_in_any_company(string text, params string[] heard) =>
        Assert.Equal(heard, Hear(text));

    [Theory]
    [InlineData("warty on grey bark", "bark-pattern=warty", "bark-colour=grey")]
    [InlineData("warty with grey bark", "bark-colour=grey")]
    public void What_lies_on_a_thing_is_said_of_that(string text, params string[] heard) => Assert.Equal(heard, Hear(text));

    [Theory]
    [InlineData("four-sided needles", "needle-section=four-angled")]
    [InlineData("four needles together", "needles-per-bundle")]
    public void What_has_sides_is_not_counted(string text, params string[] heard) =>
        Assert.Equal(heard, Hear(text).Where(reading => !reading.StartsWith("foliage", StringComparison.Ordinal)));

    [Theory]
    [InlineData("four-lobed leaves", "lobe-count")]
    [InlineData("four-lobed fruits")]
    public void Lobes_of_fruit_are_not_those_of_the_leaf(string text, params string[] heard) => Assert.Equal(heard, Hear(text));

    [Theory]
    [InlineData("pinnate leaves", "structure=pinnate")]
    [InlineData("pinnate needles", "foliage=needle")]
    public void Of_needles_nothing_is_said_that_only_broad_leaves_have(string text, params string[] heard) =>
        Assert.Equal(heard, Hear(text));

    [Theory]
    [InlineData("leaves yellow below", "underside-colour=yellowish")]
    [InlineData("leaves yellow", "leaf-colour=yellow")]
    [InlineData("leaves green above, white below", "leaf-colour=green", "underside-colour=white")]
    public void The_side_that_is_named_goes_before_the_leaf(string text, params string[] heard) => Assert.Equal(heard, Hear(text));

    [Theory]
    [InlineData("palmate leaves with five leaflets", "structure=palmate", "leaflet-count")]
    [InlineData("palmate leaves")]
    public void With_leaflets_a_word_for_both_says_how_they_stand(string text, params string[] heard) => Assert.Equal(heard, Hear(text));

    [Theory]
    [InlineData("white five-petalled flowers", "flower-colour=white", "petal-count")]
    [InlineData("five-petalled white flowers", "flower-colour=white", "petal-count")]
    public void A_count_may_stand_between_a_word_and_its_noun(string text, params string[] heard) =>
        Assert.Equal(heard.Order(), Hear(text).Order());
}
