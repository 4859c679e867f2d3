using FsCheck;
using FsCheck.Xunit;
using NodaTime;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Seasons;
using Xunit;

namespace VerdantSieve.Core.Tests.Seasons;

public class SeasonTests
{
    private static readonly Position Reference = new(45, -122, 100);

    // A. D. Hopkins, 1918: four days for each degree north, five degrees east and 400 feet (122 m) up.
    [Theory]
    [InlineData(46, -122, 100, 4)]
    [InlineData(45, -117, 100, 4)]
    [InlineData(45, -122, 222, 4)]
    [InlineData(44, -122, 100, -4)]
    [InlineData(47, -117, 344, 20)]
    public void Spring_comes_later_north_east_and_up(double latitude, double longitude, double elevation, double days) =>
        Assert.Equal(days, Phenology.HopkinsDelay(Reference, new Position(latitude, longitude, elevation)), 6);

    // The law was found on one land mass: over an ocean the longitude says nothing.
    [Fact]
    public void Across_an_ocean_only_latitude_and_height_count()
    {
        Assert.Equal(4 * 6.5, Phenology.HopkinsDelay(Reference, new Position(51.5, -0.1, 100)), 6);
        Assert.Equal(4 * 13.0 / 5, Phenology.HopkinsDelay(new Position(51.5, 0, 0), new Position(51.5, 13, 0)), 6);
    }

    [Fact]
    public void A_window_holds_for_the_place_the_taxon_names()
    {
        var flora = SmallFlora.Flora;
        Assert.Equal("southern England", flora.WindowPlace(flora.FindTaxon("Quercus petraea")!).Name);
        Assert.Equal("northern Oregon near sea level", flora.WindowPlace(flora.FindTaxon("Quercus garryana")!).Name);
        // In southern England blackthorn flowers when its window says, at the flora’s own reference place a month before.
        double Chance(Position here, int month) =>
            SmallFlora
                .Sieve.Ask(
                    new Core.Sieving.SieveQuestion
                    {
                        Circumstances = new Core.Observing.Circumstances { Position = here, Date = new LocalDate(2026, month, 1) },
                        Readings = [new Core.Observing.Reading("flowering", new Core.Observing.Today(true), Core.Observing.Certainty.Sure)],
                    }
                )
                .Candidates.Single(candidate => candidate.Taxon.Name.Text == "Prunus spinosa")
                .Probability;
        var (england, oregon) = (flora.About.Places["thames"].Position, flora.About.ReferencePlace.Position);
        Assert.True(Chance(england, 4) > 3 * Chance(england, 6));
        Assert.True(Chance(oregon, 3) > 1.3 * Chance(england, 3));
    }

    [Theory]
    [InlineData("25 Mar – 10 May", 5, 1, true)]
    [InlineData("25 Mar – 10 May", 5, 11, false)]
    [InlineData("25 Mar – 10 May", 3, 25, true)]
    [InlineData("15 Dec – 30 Apr", 1, 10, true)]
    [InlineData("15 Dec – 30 Apr", 6, 10, false)]
    public void A_window_holds_its_days_also_over_new_year(string text, int month, int day, bool inside)
    {
        var window = SeasonWindow.Parse(text).Value;
        Assert.Equal(inside, window.DaysInside(SeasonWindow.DayOf(new AnnualDate(month, day))) >= 0);
    }

    [Theory]
    [InlineData("March to May")]
    [InlineData("31 Feb – 10 May")]
    [InlineData("10 May")]
    public void What_is_no_window_is_refused(string text) => Assert.NotEmpty(SeasonWindow.Parse(text).Faults);

    [Property(MaxTest = Cases.Some)]
    public bool The_chance_of_flowers_is_a_chance_and_highest_inside(PositiveInt start, PositiveInt length, PositiveInt day)
    {
        var from = LocalDate.FromDateOnly(new DateOnly(2025, 1, 1)).PlusDays(start.Get % 365);
        var to = from.PlusDays(20 + length.Get % 120);
        var window = new SeasonWindow(new AnnualDate(from.Month, Math.Min(from.Day, 28)), new AnnualDate(to.Month, Math.Min(to.Day, 28)));
        var chance = Phenology.ChanceSeen(window, day.Get % 365, 0, fruit: false, separateSexes: false);
        var middle = Phenology.ChanceSeen(window, (window.StartDay + window.Length / 2) % 365, 0, fruit: false, separateSexes: false);
        return chance is > 0 and < 1 && chance <= middle + 1e-9;
    }

    [Fact]
    public void Fruit_hangs_on_longer_than_flowers()
    {
        var window = SeasonWindow.Parse("1 Aug – 31 Aug").Value;
        var late = SeasonWindow.DayOf(new AnnualDate(9, 25));
        Assert.True(Phenology.ChanceSeen(window, late, 0, fruit: true, false) > Phenology.ChanceSeen(window, late, 0, fruit: false, false));
    }

    [Theory]
    [InlineData("25 Mar – 10 May", 4, "29 Mar – 14 May")]
    [InlineData("25 Mar – 10 May", -30, "23 Feb – 10 Apr")]
    [InlineData("15 Dec – 30 Apr", 20, "4 Jan – 20 May")]
    [InlineData("10 Jan – 30 Jan", -15, "26 Dec – 15 Jan")]
    [InlineData("1 Jan – 31 Dec", 12, "1 Jan – 31 Dec")]
    public void A_window_moves_with_the_season(string text, double days, string moved)
    {
        var window = SeasonWindow.Parse(text).Value;
        Assert.Equal(moved, window.Shifted(days).ToString());
    }

    [Property(MaxTest = Cases.Many)]
    public bool Moving_a_window_keeps_its_length_and_can_be_taken_back(int start, int length, int days)
    {
        var from = SeasonWindow.Wrap(start);
        static AnnualDate On(int day) =>
            new LocalDate(2025, 1, 1).PlusDays(SeasonWindow.Wrap(day)) is var date ? new AnnualDate(date.Month, date.Day) : default;
        var window = new SeasonWindow(On(from), On(from + Math.Abs(length % 300)));
        var shift = days % 100;
        return window.Shifted(shift).Length == window.Length && window.Shifted(shift).Shifted(-shift) == window;
    }

    [Fact]
    public void Young_plants_and_half_of_those_of_separate_sexes_bear_less()
    {
        var window = SeasonWindow.Parse("1 Jul – 31 Aug").Value;
        var day = SeasonWindow.DayOf(new AnnualDate(8, 1));
        var both = Phenology.ChanceSeen(window, day, 0, fruit: true, separateSexes: false);
        Assert.Equal(both / 2, Phenology.ChanceSeen(window, day, 0, fruit: true, separateSexes: true), 0.01);
        Assert.InRange(Phenology.BorneWhenYoung, 0.01, 0.5);
    }
}
