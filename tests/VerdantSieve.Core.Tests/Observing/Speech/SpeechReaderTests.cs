using FsCheck.Xunit;
using NodaTime;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Measuring;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Observing.Speech;
using VerdantSieve.Core.Seasons;
using Xunit;

namespace VerdantSieve.Core.Tests.Observing.Speech;

public class SpeechReaderTests
{
    private static readonly SpeechReader Reader = new(SmallFlora.Flora, new VocabularyIndex(SmallFlora.Flora.Vocabulary));
    private static readonly LocalDate Today = new(2026, 8, 20);

    private static Heard Hear(string text) => Reader.Read(text, new SpokenAbout(Today));

    private static Reading One(string text) => Assert.Single(Hear(text).Readings).Reading;

    private static StatesSeen States(string text) => Assert.IsType<StatesSeen>(One(text).Observation);

    [Fact]
    public void One_breath_is_four_readings()
    {
        var heard = Hear("opposite, compound, green twig, mostly threes");
        Assert.Equal(
            ["arrangement", "structure", "twig-colour", "leaflet-count"],
            heard.Readings.Select(reading => reading.Reading.Character)
        );
        Assert.Equal(new Counted(3, 3), heard.Readings[3].Reading.Observation);
        Assert.Empty(heard.Left);
    }

    [Fact]
    public void A_reading_says_where_in_the_text_it_stands()
    {
        const string Text = "I saw it. The twig is green";
        var span = Assert.Single(Hear(Text).Readings).Span;
        Assert.Equal("twig is green", Text.Substring(span.Start, span.Length));
    }

    [Theory]
    [InlineData("twig green and red", "twig green and red")]
    [InlineData("leaves opposite, simple, with a toothed margin, and soft; twig green and red", "twig green and red")]
    // What stands far apart has the span of the first.
    [InlineData("twig green; leaves opposite, simple, with a toothed margin, and soft; twig red", "twig green")]
    public void What_is_said_in_two_places_has_the_span_of_both_where_they_are_close(string text, string expected)
    {
        var span = Hear(text).Readings.Single(heard => heard.Reading.Character == "twig-colour").Span;
        Assert.Equal(expected, text.Substring(span.Start, span.Length));
    }

    [Theory]
    [InlineData("fleshy berries", "fruit-type=berry")]
    // Not every cone is fleshy: neither word says all that the other does.
    [InlineData("fleshy cones", "fruit-type=fleshy+cone")]
    public void A_broader_word_says_nothing_beside_one_that_it_covers_whole(string text, string expected) =>
        Assert.Equal([expected], SpokenNotation.Of(Hear(text)));

    [Theory]
    [InlineData("bark peeling, orange beneath", "bark-pattern=peeling; bark-colour=orange")]
    [InlineData("trunk grey, peeling, orange beneath", "bark-colour@trunk=grey+orange; bark-pattern@trunk=peeling")]
    [InlineData("leaf green, white beneath", "leaf-colour=green; underside-colour=white")]
    public void Beneath_is_a_side_of_the_leaf_where_no_bark_is_spoken_of(string text, string expected) =>
        Assert.Equal(expected, string.Join("; ", SpokenNotation.Of(Hear(text))));

    [Theory]
    [InlineData("pink/purple flowers", "flower-colour=pink|purple")]
    [InlineData("pink-purple flowers", "flower-colour=pink|purple")]
    [InlineData("pink flowers", "flower-colour=pink")]
    [InlineData("green/red buds", "bud-colour=green|red")]
    public void What_stands_on_either_side_of_a_stroke_is_said_of_the_noun_behind(string text, string expected) =>
        Assert.Equal([expected], SpokenNotation.Of(Spoken.Hear(text)));

    [Theory]
    [InlineData("leaves not opposite", StateMode.Not)]
    [InlineData("leaves opposite", StateMode.Is)]
    [InlineData("leaves opposite or whorled", StateMode.Either)]
    [InlineData("leaves opposite/whorled", StateMode.Either)]
    [InlineData("twig green and red", StateMode.AllSeen)]
    public void Not_or_and_and_are_kept_apart(string text, StateMode mode) => Assert.Equal(mode, States(text).Mode);

    [Theory]
    [InlineData("not toothed but lobed", "margin", true)]
    [InlineData("not toothed but lobed", "lobing", false)]
    [InlineData("neither toothed nor lobed", "margin", true)]
    public void What_is_denied_ends_at_but(string text, string character, bool denied)
    {
        var reading = Hear(text).Readings.Single(heard => heard.Reading.Character == character).Reading;
        var seen = Assert.IsType<StatesSeen>(reading.Observation);
        Assert.Equal(denied, seen.Mode == StateMode.Not || seen.States.SequenceEqual(["unlobed"]));
    }

    [Theory]
    [InlineData("petiole red", 0)]
    [InlineData("twig red", 1)]
    [InlineData("red", 0)]
    [InlineData("hairy", 0)]
    [InlineData("hairy twigs", 1)]
    public void What_may_be_said_of_several_is_not_guessed(string text, int readings)
    {
        var heard = Hear(text);
        Assert.Equal(readings, heard.Readings.Count);
        Assert.Equal(readings == 0, heard.Left.Count > 0);
    }

    [Fact]
    public void What_is_not_understood_is_told_with_what_comes_near()
    {
        var heard = Hear("oposite leaves");
        var left = Assert.Single(heard.Left);
        Assert.Equal("oposite", left.Text);
        Assert.Equal("opposite", left.Near[0].State?.Id);
        Assert.Empty(Hear("opposite leaves").Left);
    }

    [Theory]
    [InlineData("a white flower cone", false)]
    [InlineData("white flower berries", false)]
    [InlineData("white flowers, cones", true)]
    [InlineData("white flowers and red berries", true)]
    [InlineData("brown cones", true)]
    public void What_flowers_are_shaped_like_is_no_fruit(string text, bool isFruit) =>
        Assert.Equal(isFruit, Hear(text).Readings.Any(heard => heard.Reading.Character == "fruit-type"));

    [Theory]
    [InlineData("leaf 30 cm long", "blade-length")]
    [InlineData("compound, leaf 30 cm long", "leaf-length")]
    [InlineData("compound, leaflets 9 cm long", "blade-length")]
    [InlineData("needles 3 cm", "needle-length")]
    [InlineData("cones 9 cm long", "cone-length")]
    [InlineData("acorns 2 cm long", "fruit-length")]
    [InlineData("tree 60 ft tall", "height")]
    [InlineData("trunk 40 cm across", "trunk-thickness")]
    public void A_size_is_that_of_what_was_named(string text, string character) =>
        Assert.Contains(character, Hear(text).Readings.Select(heard => heard.Reading.Character));

    [Theory]
    [InlineData("thorns 3 cm long")]
    [InlineData("twigs 3 mm thick")]
    public void A_size_that_no_character_has_is_left(string text) =>
        Assert.DoesNotContain(Hear(text).Readings, heard => heard.Reading.Observation is Measured);

    [Fact]
    public void A_bare_size_is_in_the_readers_units()
    {
        var inches = Reader.Read("blade 4 long", new SpokenAbout(Today, LengthStyle.Inches));
        Assert.Equal(10.16, Assert.IsType<Measured>(inches.Readings[0].Reading.Observation).Low, 3);
        Assert.Equal(4, Assert.IsType<Measured>(One("blade 4 long").Observation).Low, 3);
    }

    [Fact]
    public void Several_leaves_in_a_row_are_a_sample_of_length_and_width()
    {
        var heard = Hear("12 x 7, 9 x 6, 14 x 8 cm");
        var length = Assert.IsType<Measured>(heard.Readings[0].Reading.Observation);
        var width = Assert.IsType<Measured>(heard.Readings[1].Reading.Observation);
        Assert.Equal((9, 14, 3), (length.Low, length.High, length.Leaves));
        Assert.Equal((6, 8, 3), (width.Low, width.High, width.Leaves));
    }

    [Theory]
    [InlineData("mostly three, often five leaflets", 3, 5, 3)]
    [InlineData("usually 7 leaflets, rarely 9", 7, 9, 7)]
    [InlineData("5 to 9 leaflets", 5, 9, null)]
    [InlineData("9 leaflets", 9, 9, null)]
    public void The_usual_count_stands_apart_from_the_rare_one(string text, int low, int high, int? usual) =>
        Assert.Equal(new Counted(low, high) { Usual = usual }, One(text).Observation);

    [Fact]
    public void Bark_keeps_its_places_apart()
    {
        var heard = Hear("limbs smooth, trunk furrowed");
        Assert.Equal([PlantPlace.Limb, PlantPlace.Trunk], heard.Readings.Select(reading => reading.Reading.On));
        Assert.Null(One("bark furrowed").On);
    }

    [Fact]
    public void Doubt_belongs_to_its_clause()
    {
        var heard = Hear("maybe toothed, opposite");
        Assert.Equal(Certainty.Guess, heard.Readings.Single(reading => reading.Reading.Character == "margin").Reading.Certainty);
        Assert.Equal(Certainty.Fair, heard.Readings.Single(reading => reading.Reading.Character == "arrangement").Reading.Certainty);
    }

    [Fact]
    public void Where_when_and_how_it_stands_are_no_readings()
    {
        var heard = Hear("A street tree in Ohio, late July");
        Assert.Empty(heard.Readings);
        Assert.Equal(("OHI", new LocalDate(2026, 7, 25), Setting.Planted), (heard.Region, heard.Date, heard.Setting));
        // A month that has not come yet is last year's.
        Assert.Equal(new LocalDate(2025, 10, 15), Hear("October").Date);
        Assert.Equal(LeafStage.Leafless, Hear("leafless").Stage);
        Assert.False(Hear("opposite").HasCircumstances);
    }

    [Fact]
    public void What_is_held_against_another_kind_is_a_comparison()
    {
        var compared = Assert.IsType<Compared>(One("leaf wider than a bigleaf maple’s").Observation);
        Assert.Equal(("Acer macrophyllum", Comparison.More), (compared.Than.Text, compared.Is));
        Assert.Empty(Hear("leaf wider than a house").Readings);
    }

    [Theory]
    [InlineData("grey twigs", "gray twigs")]
    [InlineData("saw-toothed", "sawtoothed")]
    [InlineData("saw-toothed", "saw toothed")]
    [InlineData("acorn", "acorns")]
    [InlineData("colour of the fruit red", "color of the fruit red")]
    public void Spellings_are_alike(string one, string other) =>
        Assert.Equal(Hear(one).Readings.Select(heard => heard.Reading), Hear(other).Readings.Select(heard => heard.Reading));

    [Fact]
    public void A_text_longer_than_a_page_or_two_is_refused()
    {
        Assert.Throws<ArgumentException>(() => Hear(new string('a', SpeechReader.Longest + 1)));
        Assert.Empty(Hear("").Readings);
    }

    [Property(MaxTest = Cases.Many)]
    public void No_text_is_too_odd(string? text) => AllStands(text ?? "");

    [Property(MaxTest = Cases.Many)]
    public void No_row_of_known_words_is_too_odd(int[] picks)
    {
        string[] words =
        [
            "not",
            "or",
            "and",
            "mostly",
            "leaf",
            "twig",
            "green",
            "5",
            "–",
            "7",
            "cm",
            "x",
            "(",
            ")",
            "than",
            "a hornbeam",
            "narrower",
            ",",
            ".",
            "bark",
            "no",
            "in",
            "Ohio",
            "May",
            "2026",
            "can’t tell",
            "?",
            "lobed",
            "needles",
            "½",
            "\"",
            "half",
            "an inch",
            "/",
        ];
        AllStands(string.Join(' ', picks.Select(pick => words[(int)((uint)pick % words.Length)])));
    }

    // Every reading is one that the desk takes, no key stands twice, and all that is told lies within the text.
    private static void AllStands(string text)
    {
        var heard = Hear(text);
        Assert.All(
            heard.Readings,
            reading => Assert.True(ReadingDesk.Check(RawReading.From(reading.Reading), SmallFlora.Flora).Has(out _))
        );
        Assert.Equal(heard.Readings.Count, heard.Readings.DistinctBy(reading => reading.Reading.Key).Count());
        Assert.All(
            heard.Readings.Select(reading => reading.Span).Concat(heard.Left.Select(left => left.Span)),
            span => Assert.True(span.Start >= 0 && span.Length > 0 && span.End <= text.Length)
        );
    }
}
