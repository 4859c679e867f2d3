using NodaTime;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Looking;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Observing.Speech;
using VerdantSieve.Core.Sieving;
using Xunit;

namespace VerdantSieve.Core.Tests.Observing.Speech;

/// <summary>“An oak with lobed leaves” says what the plant is; “oak leaves” and “under an oak” do not.</summary>
public class KindsCalledTests
{
    [Theory]
    [InlineData("very thorny oak with acorns")]
    [InlineData("an oak with lobed leaves")]
    [InlineData("Oak, leaves lobed")]
    [InlineData("I think this is some kind of oak. Leaves lobed")]
    [InlineData("it's probably an oak")]
    [InlineData("leaves lobed, a young oak")]
    [InlineData("the oak has lobed leaves")]
    [InlineData("an oak in Ohio")]
    [InlineData("Quercus sp.")]
    [InlineData("oak species with lobed leaves")]
    [InlineData("The tree is an oak")]
    [InlineData("we found an oak")]
    [InlineData("White oak, leaves lobed")]
    [InlineData("What is it? An oak, leaves lobed")]
    public void What_the_plant_is_said_to_be_is_heard(string text)
    {
        var heard = Spoken.Hear(text);
        Assert.NotNull(heard.Kinds);
        Assert.Equal(["Quercus"], heard.Kinds.Names);
        Assert.Equal(SmallFlora.Flora.Taxa.Count(taxon => taxon.Name.Genus == "Quercus"), heard.Kinds.All.Count);
        Assert.Empty(heard.Left);
    }

    [Theory]
    [InlineData("oak leaves")]
    [InlineData("leaves like an oak")]
    [InlineData("bark of oak")]
    [InlineData("bark very smooth oak")]
    [InlineData("not an oak")]
    [InlineData("under an oak")]
    [InlineData("leaf lobed, oak")]
    [InlineData("oaks and maples")]
    [InlineData("an oak or a maple")]
    [InlineData("leaves narrower than an oak")]
    public void What_only_stands_beside_it_is_not(string text) => Assert.Null(Spoken.Hear(text).Kinds);

    [Theory]
    [InlineData("Oregon, oak with lobed leaves", true)]
    [InlineData("Oregon hills, tall oak, leaves lobed", true)]
    [InlineData("hedge in Oregon, oak", true)]
    [InlineData("roadside oak, Oregon", true)]
    // A place that nobody knows is one where more is told of the kind.
    [InlineData("somewhere, oak with lobed leaves", true)]
    [InlineData("somewhere, oak, leaves lobed", false)]
    [InlineData("leaves lobed, oak with acorns", false)]
    [InlineData("leaves lobed in Oregon, oak", false)]
    [InlineData("Oregon, oak leaves", false)]
    public void Behind_a_place_and_nothing_that_was_seen_the_bare_name_says_what_it_is(string text, bool heard) =>
        Assert.Equal(heard, Spoken.Hear(text).Kinds is not null);

    [Theory]
    [InlineData("an evergreen oak", "leaf-persistence")]
    [InlineData("Oregon, evergreen oak", "leaf-persistence")]
    [InlineData("a weeping oak", "crown")]
    // By itself it may be said of buds as well.
    [InlineData("a conical oak", "crown")]
    // Of a leaf it would be its shape.
    [InlineData("a narrow oak", "crown")]
    [InlineData("a narrow and upright oak", "crown")]
    public void What_is_said_of_the_whole_plant_before_its_name_is_heard_as_well(string text, string character)
    {
        var heard = Spoken.Hear(text);
        Assert.Equal(["Quercus"], heard.Kinds?.Names ?? []);
        Assert.Equal([character], heard.Readings.Select(one => one.Reading.Character));
        Assert.Empty(heard.Left);
    }

    [Theory]
    [InlineData("an evergreen oak", true)]
    [InlineData("an oak", false)]
    public void A_name_that_begins_with_what_is_said_of_the_plant_says_that_too(string text, bool evergreen)
    {
        var flora = FloraNamed("evergreen oak");
        var heard = new SpeechReader(flora, new VocabularyIndex(flora.Vocabulary)).Read(text, new SpokenAbout(new LocalDate(2026, 8, 20)));
        Assert.NotNull(heard.Kinds);
        Assert.Equal(evergreen, heard.Readings.Any(one => one.Reading.Character == "leaf-persistence"));
    }

    [Fact]
    public void What_is_said_of_a_part_is_not_said_of_the_kind() => Assert.Null(Spoken.Hear("hairy oak").Kinds);

    [Fact]
    public void Of_two_different_ones_neither_is_heard_and_both_are_told()
    {
        var heard = Spoken.Hear("An oak. It is a maple.");
        Assert.Null(heard.Kinds);
        Assert.Equal(["oak", "maple"], heard.Left.Select(left => left.Text));
    }

    [Fact]
    public void A_word_that_is_a_state_too_stays_one()
    {
        var flora = FloraNamed("needle");
        var reader = new SpeechReader(flora, new VocabularyIndex(flora.Vocabulary));
        Assert.Null(reader.Read("needle, dark", new SpokenAbout(new LocalDate(2026, 8, 20))).Kinds);
        Assert.NotNull(
            new SpeechReader(FloraNamed("wirebush"), new VocabularyIndex(flora.Vocabulary))
                .Read("wirebush, dark", new SpokenAbout(new LocalDate(2026, 8, 20)))
                .Kinds
        );
    }

    private static Flora FloraNamed(string name) =>
        new(
            SmallFlora.Flora.About with
            {
                GenusWords = new Dictionary<string, string> { ["Quercus"] = name },
            },
            SmallFlora.Flora.Vocabulary,
            SmallFlora.Flora.Taxa
        );

    [Fact]
    public void A_look_is_then_among_these_and_the_rest_stays_possible()
    {
        var content = new LookContent { Readings = [] }.Placed(Spoken.Hear("an oak with lobed leaves"));
        Assert.Equal("the genus Quercus", content.Among?.Title);
        Assert.Equal(content.Among, content.Placed(Spoken.Hear("lobed leaves")).Among);
        var among = content.Among!.Kinds.ToHashSet();
        var sieve = new Sieve(SmallFlora.Flora);
        var answer = sieve.Ask(new SieveQuestion { Readings = [], Among = among });
        Assert.InRange(answer.Candidates.Where(one => among.Contains(one.Taxon.Name.Text)).Sum(one => one.Probability), 0.85, 0.95);
    }

    [Theory]
    [InlineData("An oak? No, the leaves are compound", false)]
    [InlineData("an oak, no, compound leaves", false)]
    [InlineData("An oak? The leaves are lobed", true)]
    [InlineData("an oak, no leaflets", true)]
    public void What_is_taken_back_was_not_said(string text, bool heard) => Assert.Equal(heard, Spoken.Hear(text).Kinds is not null);

    [Theory]
    [InlineData("Oak they call it", true)]
    [InlineData("oak wood", false)]
    public void What_people_call_it_is_its_name(string text, bool heard) => Assert.Equal(heard, Spoken.Hear(text).Kinds is not null);

    [Theory]
    [InlineData("Vine maple, leaves opposite", false)]
    [InlineData("vine, leaves opposite", true)]
    public void A_habit_that_is_part_of_a_name_is_none(string text, bool heard) =>
        Assert.Equal(heard, Spoken.Hear(text).Readings.Any(one => one.Reading.Character == "habit"));
}
