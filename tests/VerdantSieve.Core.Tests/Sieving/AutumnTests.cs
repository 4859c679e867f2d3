using NodaTime;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Formats;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Seasons;
using VerdantSieve.Core.Sieving;
using Xunit;

namespace VerdantSieve.Core.Tests.Sieving;

/// <summary>What comes with the autumn comes earlier where spring comes later.</summary>
public class AutumnTests
{
    private static readonly Flora Flora = new MadeFlora()
        .Season(CharacterIds.Flowering)
        .Season(CharacterIds.Turning, turning => turning with { InAutumn = true, Borne = 0.9 })
        .Taxon("Acer early", "flowering: 1 Oct – 10 Oct / turning: 1 Oct – 10 Oct")
        .Taxon("Acer late", "flowering: 1 Nov – 10 Nov / turning: 1 Nov – 10 Nov")
        .Flora;

    private static readonly Sieve Sieve = new(Flora);

    private static readonly Position Home = Flora.About.ReferencePlace.Position;

    // Ten degrees on: spring is 40 days later there, and autumn ten days earlier.
    private static readonly Position North = new(Home.Latitude + 10, Home.Longitude, Home.Elevation);

    private static double Early(string character, Position place, LocalDate day, Age? age = null) =>
        Sieve
            .Ask(
                new Circumstances
                {
                    Date = day,
                    Position = place,
                    Age = age,
                },
                new Reading(character, new Today(true), Certainty.Sure)
            )
            .Of("Acer early");

    [Fact]
    public void A_quarter_as_many_days_the_other_way()
    {
        var turning = (SeasonCharacter)Flora.Character(CharacterIds.Turning);
        var flowering = (SeasonCharacter)Flora.Character(CharacterIds.Flowering);
        Assert.Equal((-10, 40), (turning.DelayWith(40), flowering.DelayWith(40)));
        Assert.Equal((5, -20), (turning.DelayWith(-20), flowering.DelayWith(-20)));
        // No autumn is more than eleven days away from another.
        Assert.Equal(-11.25, turning.DelayWith(400));
    }

    [Fact]
    public void Leaves_that_turn_on_the_late_kinds_day_at_home_are_the_late_kinds_ten_days_sooner_in_the_north()
    {
        var between = new LocalDate(2026, 10, 21);
        // At home the day lies as far from the one window as from the other; in the north it is the first of November already.
        Assert.InRange(Early(CharacterIds.Turning, Home, between), 0.4, 0.6);
        Assert.True(Early(CharacterIds.Turning, North, between) < 0.2);
        // Flowers go the way of spring: there it is still September.
        Assert.True(Early(CharacterIds.Flowering, North, between) > 0.5);
    }

    [Fact]
    public void Young_plants_turn_as_others_do_and_flower_less()
    {
        var day = new LocalDate(2026, 10, 5);
        Assert.Equal(Early(CharacterIds.Turning, Home, day, Age.Grown), Early(CharacterIds.Turning, Home, day, Age.Young), 6);
        Assert.NotEqual(Early(CharacterIds.Flowering, Home, day, Age.Grown), Early(CharacterIds.Flowering, Home, day, Age.Young), 3);
    }

    [Fact]
    public void The_weeks_are_told_as_they_fall_where_it_is_read()
    {
        var taxon = Flora.FindTaxon("Acer early")!;
        string Told(string id) => Wording.Has(new Scored(Flora.Character(id), taxon.Score(id)!), delay: 40);
        Assert.Equal("turning 21 Sep – 30 Sep", Told(CharacterIds.Turning));
        Assert.Equal("flowering 10 Nov – 19 Nov", Told(CharacterIds.Flowering));
    }

    [Theory]
    [InlineData("in-autumn: true", true)]
    [InlineData("effort: 1", false)]
    public void A_vocabulary_says_which_season_it_is(string line, bool inAutumn)
    {
        var vocabulary = $"surface:\n  turning:\n    kind: season\n    question: Turning?\n    {line}\n";
        var reading = FloraReader.Read(
            new SourceFile("flora.yaml", "id: test\ntitle: A test\n"),
            new SourceFile("characters.yaml", vocabulary),
            []
        );
        Assert.Equal(inAutumn, ((SeasonCharacter)reading.Value.Character("turning")).InAutumn);
    }
}
