using FsCheck;
using FsCheck.Xunit;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Measuring;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Sieving;
using VerdantSieve.Core.Tests.Sieving;
using Xunit;

namespace VerdantSieve.Core.Tests.Observing;

public class ReadingDeskTests
{
    [Fact]
    public void One_state_is_is_whatever_mode_was_sent() =>
        Assert.Equal(
            new StatesSeen(["opposite"], StateMode.Is),
            Read(new RawReading("arrangement") { States = ["opposite", "opposite"], Mode = "either" }).Observation
        );

    [Fact]
    public void Certainty_is_fair_where_left_out() =>
        Assert.Equal(Certainty.Fair, Read(new RawReading("arrangement") { States = ["opposite"] }).Certainty);

    [Fact]
    public void A_measure_is_kept_in_the_unit_of_its_character() =>
        Assert.Equal(
            new Measured(14.5, 14.5, 5),
            Read(
                new RawReading("blade-length")
                {
                    Value = 145,
                    Unit = "mm",
                    Leaves = 5,
                }
            ).Observation
        );

    [Theory]
    [InlineData(Origin.FairSample, null)]
    [InlineData(Origin.Litter, "litter")]
    [InlineData(Origin.Sucker, "sucker")]
    public void Only_what_is_no_fair_sample_is_written_down_as_such(Origin origin, string? written) =>
        Assert.Equal(
            written,
            RawReading.From(new Reading("margin", new StatesSeen(["entire"], StateMode.Is), Certainty.Fair) { Origin = origin }).Origin
        );

    [Fact]
    public void Unknown_needs_nothing_more() => Assert.IsType<CannotTell>(Read(new RawReading("smell") { Unknown = true }).Observation);

    [Theory]
    [InlineData("margins", "character")]
    [InlineData(null, "character")]
    public void A_character_must_be_known(string? character, string field) => Refused(new RawReading(character) { States = ["x"] }, field);

    [Fact]
    public void A_state_must_be_of_the_character()
    {
        var problem = Refused(new RawReading("arrangement") { States = ["spiral"] }, "states");
        Assert.Contains("opposite", problem.Message);
        Assert.Equal("spiral", problem.Value);
    }

    [Fact]
    public void Several_states_need_to_be_said_how() => Refused(new RawReading("arrangement") { States = ["opposite", "whorled"] }, "mode");

    [Theory]
    [InlineData(0)]
    [InlineData(81)]
    [InlineData(2.5)]
    [InlineData(double.NaN)]
    public void A_count_is_a_whole_number_in_bounds(double value) => Refused(new RawReading("lobe-count") { Value = value }, "value");

    [Theory]
    [InlineData(-1)]
    [InlineData(0)]
    [InlineData(501)]
    [InlineData(double.PositiveInfinity)]
    public void A_length_is_in_bounds(double value) => Refused(new RawReading("blade-length") { Value = value }, "value");

    [Fact]
    public void Units_are_checked()
    {
        Refused(new RawReading("blade-length") { Value = 3, Unit = "furlong" }, "unit");
        Refused(new RawReading("lobe-count") { Value = 3, Unit = "cm" }, "unit");
        Refused(new RawReading("slenderness") { Value = 3, Unit = "cm" }, "unit");
    }

    [Fact]
    public void Presence_and_season_need_their_own_answer()
    {
        Refused(new RawReading("base-sprouts") { Today = true }, "seen");
        Refused(new RawReading("flowering") { Seen = true }, "today");
    }

    [Fact]
    public void Certainty_and_leaves_are_checked()
    {
        Refused(new RawReading("arrangement") { States = ["opposite"], Certainty = "certain" }, "certainty");
        Refused(new RawReading("blade-length") { Value = 3, Leaves = 0 }, "leaves");
    }

    [Property(MaxTest = Cases.Some)]
    public bool A_reading_written_out_reads_back_the_same(int seed)
    {
        var random = new RandomFlora(seed);
        return random.Readings().All(reading => ReadingDesk.Check(RawReading.From(reading), random.Flora).Value == reading);
    }

    [Fact]
    public void Samples_limits_ways_and_origins_read_back_the_same()
    {
        Reading[] readings =
        [
            new("blade-length", new Measured(4, 9, 5) { Typical = 6, By = MeasuredBy.Eye }, Certainty.Guess) { Origin = Origin.Litter },
            new("blade-length", new Limited(5, LimitSide.AtMost) { By = MeasuredBy.Hand }, Certainty.Sure) { Origin = Origin.Sucker },
            new("height", new Limited(12, LimitSide.AtLeast), Certainty.Fair),
            new("lobe-count", new Counted(5, 9) { Usual = 7 }, Certainty.Fair),
            new("lobe-count", new Limited(9, LimitSide.AtMost), Certainty.Fair),
            new("arrangement", new StatesSeen(["alternate", "opposite"], StateMode.Either), Certainty.Fair) { Origin = Origin.Hedge },
            new("smell", new CannotTell(), Certainty.Fair) { Origin = Origin.Damaged },
        ];
        Assert.All(readings, reading => Assert.Equal(reading, Read(RawReading.From(reading))));
    }

    [Fact]
    public void Values_in_a_unit_make_a_sample_in_the_characters_own() =>
        Assert.Equal(
            new Measured(2.54, 10.16, 3) { Typical = 5.08 },
            Read(new RawReading("blade-length") { Values = [1, 4, 2], Unit = "in" }).Observation
        );

    [Fact]
    public void A_limit_has_one_side_and_a_mean_lies_within()
    {
        Refused(new RawReading("blade-length") { AtMost = 5, AtLeast = 3 }, "atMost");
        Refused(new RawReading("blade-length") { Low = 3, High = double.PositiveInfinity }, "value");
        Refused(new RawReading("blade-length") { Low = double.NaN, High = 3 }, "value");
        Refused(new RawReading("blade-length") { AtLeast = -3 }, "atLeast");
        Refused(
            new RawReading("blade-length")
            {
                Low = 3,
                High = 5,
                Mean = 9,
            },
            "mean"
        );
        Refused(new RawReading("blade-length") { Values = [3, double.NaN] }, "values");
        Refused(new RawReading("blade-length") { Value = 3, By = "thumb" }, "by");
        Refused(new RawReading("blade-length") { Value = 3, Origin = "moon" }, "origin");
        Refused(new RawReading("lobe-count") { Text = "up to 5.5" }, "value");
    }

    [Fact]
    public void A_condition_is_ruled_out_by_what_was_read_of_it()
    {
        var broad = new Condition("foliage", ["broad"], false);
        Assert.True(broad.CanHold(new StatesSeen(["broad", "needle"], StateMode.Either)));
        Assert.False(broad.CanHold(new StatesSeen(["needle"], StateMode.Is)));
        Assert.True(Condition.Parse("lobing!=unlobed").CanHold(new StatesSeen(["palmate"], StateMode.Is)));
        Assert.False(Condition.Parse("flowering").CanHold(new Today(false)));
        Assert.True(Condition.Parse("flowering").CanHold(new CannotTell()));
        var looks = SmallFlora
            .Sieve.Ask(
                new SieveQuestion
                {
                    Circumstances = new Circumstances { Date = new NodaTime.LocalDate(2026, 5, 20) },
                    Readings = [new Reading("flowering", new Today(false), Certainty.Sure)],
                }
            )
            .NextLooks;
        Assert.DoesNotContain(looks, look => look.Character.Part == "flower");
    }

    private static Reading Read(RawReading raw)
    {
        return ReadingDesk.Check(raw, SmallFlora.Flora).Value;
    }

    private static Fault Refused(RawReading raw, string field)
    {
        var problem = Assert.Single(ReadingDesk.Check(raw, SmallFlora.Flora).Faults);
        Assert.Equal(field, problem!.At);
        Assert.NotEmpty(problem.Message);
        return problem;
    }
}
