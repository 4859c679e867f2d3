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
    [InlineData("narrow leaves", "shape=narrow")]
    [InlineData("narrow leaves on a tree", "shape=narrow", "habit=tree")]
    [InlineData("a narrow tree", "crown=columnar", "habit=tree")]
    [InlineData("a narrow conical tree", "crown=columnar", "habit=tree")]
    public void Before_the_plant_itself_what_may_be_said_of_it_is(string text, params string[] heard) => Assert.Equal(heard, Hear(text));

    [Theory]
    [InlineData("leaves ovate-lanceolate", StateMode.Either)]
    [InlineData("leaves ovate, lanceolate", StateMode.AllSeen)]
    public void What_a_hyphen_joins_is_one_or_the_other(string text, StateMode mode) =>
        Assert.Equal(
            mode,
            Assert
                .IsType<StatesSeen>(Spoken.Hear(text).Readings.Single(heard => heard.Reading.Character == "shape").Reading.Observation)
                .Mode
        );

    [Theory]
    [InlineData("yellow bells", "flower-colour=yellow", "flower-form=bell-or-urn")]
    [InlineData("yellow, bell-shaped", "flower-form=bell-or-urn")]
    public void Flowers_that_are_called_by_their_form_have_a_colour(string text, params string[] heard) => Assert.Equal(heard, Hear(text));

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
    [InlineData("black bitter berries", "fruit-colour=black", "fruit-type=berry")]
    [InlineData("black bitter", "")]
    [InlineData("with black marks on the twig", "")]
    [InlineData("green bitter twigs", "twig-colour=green")]
    [InlineData("green-bitter twigs", "")]
    public void A_word_that_is_not_known_may_stand_before_the_noun(string text, params string[] heard) =>
        Assert.Equal(heard.Where(one => one.Length > 0), Hear(text));

    [Theory]
    [InlineData("a conifer with two needles, 12 cm, bark grey", "needle-length")]
    [InlineData("five leaflets, 12 cm, bark grey", "blade-length")]
    public void More_is_said_of_what_was_counted(string text, string size) => Assert.Contains(size, Hear(text));

    [Theory]
    [InlineData("cones with scales", "fruit-type=cone")]
    [InlineData("twigs with scales", "foliage=scale")]
    public void Scales_of_cones_are_none_of_the_foliage(string text, params string[] heard) => Assert.Equal(heard, Hear(text));

    [Theory]
    [InlineData("nuts under three-lobed leaves", "lobe-count", false)]
    [InlineData("leaf under three cm long", "blade-length", true)]
    public void What_lies_under_a_lobed_thing_has_no_fewer_lobes(string text, string character, bool limited)
    {
        var readings = Reader.Read(text, new SpokenAbout(new LocalDate(2026, 8, 20))).Readings;
        Assert.Equal(limited, readings.Single(one => one.Reading.Character == character).Reading.Observation is Limited);
    }

    [Theory]
    [InlineData("white flowers turning yellow", false)]
    [InlineData("berries turning red", false)]
    [InlineData("leaves turning yellow", true)]
    [InlineData("leaves turning yellow, white flowers", true)]
    public void What_turns_beside_flowers_or_fruit_is_no_leaf(string text, bool heard) =>
        Assert.Equal(heard, Hear(text).Any(reading => reading.StartsWith("autumn-colour", StringComparison.Ordinal)));

    [Theory]
    [InlineData("leaves opposite and thorns", true)]
    [InlineData("leaves opposite, thorns", true)]
    [InlineData("leaves with thorns", false)]
    public void A_thing_of_its_own_begins_anew_behind_and(string text, bool heard) =>
        Assert.Equal(heard, Hear(text).Contains("armature=thorns"));

    [Theory]
    [InlineData("leaves opposite and yellow thorns", false)]
    [InlineData("leaves opposite and yellow", true)]
    public void The_colour_of_thorns_is_not_that_of_the_leaves(string text, bool heard) =>
        Assert.Equal(heard, Hear(text).Any(reading => reading.StartsWith("leaf-colour", StringComparison.Ordinal)));

    [Theory]
    [InlineData("triangular toothed leaves", "shape=triangular", "margin=toothed")]
    [InlineData("triangular toothed buds", "bud-form=triangular")]
    public void Behind_a_word_that_others_hang_on_the_noun_is_looked_for(string text, params string[] heard) =>
        Assert.Equal(heard.Order(), Hear(text).Order());

    [Theory]
    [InlineData("rusty", false)]
    [InlineData("ferruginous", false)]
    [InlineData("rusty underneath", true)]
    [InlineData("underside rusty", true)]
    public void Colours_of_the_underside_need_their_side(string text, bool heard) =>
        Assert.Equal(heard, Hear(text).Contains("underside-colour=rusty"));

    [Theory]
    [InlineData("acorns in the woods", "fruit-type=acorn", "habitat=rich-woods")]
    [InlineData("acorns in clusters", "fruit-type=acorn")]
    public void Where_it_stands_is_heard_beside_any_noun(string text, params string[] heard) =>
        Assert.Equal(heard, Hear(text).Where(reading => !reading.StartsWith("fruit-hang", StringComparison.Ordinal)));

    [Theory]
    [InlineData("oval leaflets", true)]
    [InlineData("oval leaves", false)]
    [InlineData("no leaflets", false)]
    [InlineData("five leaflets", false)]
    public void Who_speaks_of_leaflets_says_that_there_are_some_where_nothing_else_does(string text, bool heard) =>
        Assert.Equal(heard, Hear(text).Contains("structure=compound"));

    [Theory]
    [InlineData("five pointed lobes", "lobe-tip=pointed", "lobe-count")]
    [InlineData("five-lobed", "lobe-count")]
    public void What_is_said_of_the_counted_thing_is_not_what_is_counted(string text, params string[] heard) =>
        Assert.Equal(heard.Order(), Hear(text).Order());

    [Theory]
    [InlineData("leaves silver", false)]
    [InlineData("leaves silver underneath", true)]
    public void What_is_said_of_the_leaf_is_not_said_of_its_underside(string text, bool heard) =>
        Assert.Equal(heard, Hear(text).Contains("underside-colour=white"));

    [Theory]
    [InlineData("white five-petalled flowers", "flower-colour=white", "petal-count")]
    [InlineData("five-petalled white flowers", "flower-colour=white", "petal-count")]
    public void A_count_may_stand_between_a_word_and_its_noun(string text, params string[] heard) =>
        Assert.Equal(heard.Order(), Hear(text).Order());

    [Theory]
    [InlineData("spiny shrub with acorns, oval leaves", "armature=thorns")]
    [InlineData("spiny leaves", "margin=spiny")]
    public void What_is_said_straight_before_the_habit_is_said_of_the_plant(string text, string heard)
    {
        string[] spiny = ["armature=thorns", "margin=spiny"];
        Assert.Equal([heard], Hear(text).Where(spiny.Contains));
    }

    [Theory]
    [InlineData("hairy berries, leaves round", true)]
    [InlineData("berries, hairy", true)]
    [InlineData("berries, leaves round, hairy", false)]
    public void What_the_nearer_noun_may_be_in_two_ways_is_not_said_of_the_farther(string text, bool heard) =>
        Assert.Equal(heard, Hear(text).Contains("fruit-hair=hairy"));

    [Theory]
    [InlineData("leaves soft", false)]
    [InlineData("needles soft", true)]
    [InlineData("five needles in a bundle, soft", true)]
    public void What_needles_alone_can_be_is_heard_where_they_are_spoken_of(string text, bool heard) =>
        Assert.Equal(heard, Hear(text).Contains("needle-stiffness=soft"));

    [Theory]
    [InlineData("thorns and pods", true)]
    [InlineData("pods and thorns", true)]
    [InlineData("pods with thorns", false)]
    public void Things_stand_on_either_side_of_and(string text, bool heard) => Assert.Equal(heard, Hear(text).Contains("armature=thorns"));

    [Theory]
    [InlineData("leaves round and hairy berries red", true)]
    [InlineData("leaves lobed and hairy", false)]
    public void Behind_and_a_word_straight_before_a_noun_is_that_nouns(string text, bool heard) =>
        Assert.Equal(heard, Hear(text).Contains("fruit-hair=hairy"));

    [Theory]
    [InlineData("bark peeling, white underneath", "bark-colour=white")]
    [InlineData("bark peeling, leaves white underneath", "underside-colour=white")]
    [InlineData("bark peeling, leaves opposite, white underneath", "underside-colour=white")]
    public void What_peels_shows_the_bark_beneath(string text, string heard) =>
        Assert.Equal([heard], Hear(text).Where(reading => reading.EndsWith("colour=white", StringComparison.Ordinal)));

    [Theory]
    [InlineData("pointed leaflets", true)]
    [InlineData("pointed stipules", false)]
    public void Leaflets_are_what_leaves_are(string text, bool heard) => Assert.Equal(heard, Hear(text).Contains("apex=acute"));

    [Theory]
    [InlineData("leaves opposite and spiny", true)]
    [InlineData("leaves opposite and spiny acorns", false)]
    public void What_stands_straight_before_a_fruit_is_not_said_of_the_leaf(string text, bool heard) =>
        Assert.Equal(heard, Hear(text).Contains("margin=spiny"));

    [Theory]
    [InlineData("round-ish leaves", "shape=round")]
    [InlineData("Round-ish, opposite", "shape=round", "arrangement=opposite")]
    [InlineData("blueish needles", "foliage=needle", "needle-colour=blue-green")]
    [InlineData("roundish buds", "bud-form=rounded")]
    public void More_or_less_so_is_so(string text, params string[] heard) => Assert.Equal(heard.Order(), Hear(text).Order());

    [Theory]
    [InlineData("leaves opposite? No, alternate", "alternate")]
    [InlineData("leaves opposite? no alternate", "alternate")]
    [InlineData("leaves opposite? no, hairless buds", "opposite")]
    [InlineData("leaves opposite? no. Alternate", "opposite")]
    [InlineData("leaves opposite, alternate", "opposite", "alternate")]
    public void What_is_put_right_behind_a_doubt_takes_the_place_of_what_was_said(string text, params string[] heard) =>
        Assert.Equal(
            heard.Order(),
            Spoken
                .Hear(text)
                .Readings.Where(one => one.Reading.Character == "arrangement")
                .Select(one => (StatesSeen)one.Reading.Observation)
                .SelectMany(seen => seen.Mode == StateMode.Not ? [] : seen.States)
                .Order()
        );

    [Theory]
    [InlineData("acorns hang on one long string", false)]
    [InlineData("acorns one inch long", true)]
    public void One_long_thing_is_no_size(string text, bool heard) => Assert.Equal(heard, Hear(text).Contains("fruit-length"));

    [Theory]
    [InlineData("compound leaves, end leaflet without a stalk", "terminal-leaflet=sessile", true)]
    [InlineData("buds without a stalk", "terminal-leaflet=sessile", false)]
    [InlineData("leaves opposite, soft", "petiole-hair-type=soft", false)]
    [InlineData("soft leaves", "petiole-hair-type=soft", false)]
    [InlineData("leaf stalk hairy, soft", "petiole-hair-type=soft", true)]
    public void Of_what_nobody_spoke_of_nothing_is_said(string text, string reading, bool heard) =>
        Assert.Equal(heard, Hear(text).Contains(reading));

    [Theory]
    [InlineData("three oval leaflets", "leaflet-count")]
    [InlineData("five oval leaflets", "leaflet-count")]
    [InlineData("in three flat rows")]
    public void What_is_counted_may_stand_behind_what_is_said_of_it(string text, params string[] heard) =>
        Assert.Equal(heard, Hear(text).Where(reading => reading.EndsWith("-count", StringComparison.Ordinal)));
}
