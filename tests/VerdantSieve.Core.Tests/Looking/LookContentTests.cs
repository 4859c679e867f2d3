using NodaTime;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Looking;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Observing.Speech;
using Xunit;

namespace VerdantSieve.Core.Tests.Looking;

public class LookContentTests
{
    private static readonly LookContent Read = new LookContent().With(
        Of("bark-pattern", "smooth", PlantPlace.Limb),
        Of("bark-pattern", "furrowed", PlantPlace.Trunk),
        Of("margin", "entire")
    );

    private static Reading Of(string character, string state, PlantPlace? on = null) =>
        new(character, new StatesSeen([state], StateMode.Is), Certainty.Fair) { On = on };

    private static IEnumerable<string> Shown(LookContent content) =>
        content.Readings.Select(raw => $"{raw.Character} {raw.On} {raw.States![0]}");

    [Fact]
    public void A_reading_takes_the_place_of_what_was_read_there_and_of_nothing_else() =>
        Assert.Equal(
            ["bark-pattern limb smooth", "margin  entire", "bark-pattern trunk blocks"],
            Shown(Read.With(Of("bark-pattern", "blocks", PlantPlace.Trunk)))
        );

    [Theory]
    [InlineData("bark-pattern", "limb", 2)]
    [InlineData("bark-pattern", "base", 3)]
    [InlineData("bark-pattern", null, 3)]
    [InlineData("margin", null, 2)]
    [InlineData("margin", "", 2)]
    public void What_is_dropped_is_of_one_place(string character, string? on, int left) =>
        Assert.Equal(left, Read.Without(character, on).Readings.Count);

    [Theory]
    [InlineData("entire", 2)]
    [InlineData("toothed", 3)]
    public void Tapped_again_a_state_is_taken_back_and_another_takes_its_place(string state, int left) =>
        Assert.Equal(left, Read.Toggled(Of("margin", state)).Readings.Count);

    [Fact]
    public void One_reading_becomes_surer_and_the_others_stay()
    {
        var surer = Read.Surer("bark-pattern", "trunk", Certainty.Sure);
        Assert.Equal(["fair", "sure", "fair"], surer.Readings.Select(raw => raw.Certainty));
    }

    [Fact]
    public void What_was_not_said_of_the_place_stays()
    {
        var content = new LookContent
        {
            Circumstances = new RawCircumstances { Region = "ORE", Setting = "wild" },
        };
        var heard = new Heard
        {
            Readings = [],
            Left = [],
            Setting = Setting.Planted,
            Date = new LocalDate(2026, 7, 4),
        };
        Assert.Equal(
            new RawCircumstances
            {
                Region = "ORE",
                Setting = "planted",
                Date = "2026-07-04",
            },
            content.Placed(heard).Circumstances
        );
    }

    [Theory]
    [InlineData(1, "the one kind of Lantern Creek")]
    [InlineData(2, "among the 2 of Lantern Creek")]
    public void A_list_says_how_many_it_holds(int kinds, string expected) =>
        Assert.Equal(expected, new KindsListed("Lantern Creek", [.. Enumerable.Repeat("Aus primus", kinds)]).Words);
}
