using FsCheck;
using FsCheck.Xunit;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Tests.Sieving;
using Xunit;

namespace VerdantSieve.Core.Tests.Observing;

public class ReadingDeskTests
{
    [Fact]
    public void One_state_is_is_whatever_mode_was_sent() =>
        Assert.Equal(new StatesSeen(["opposite"], StateMode.Is), Read(new RawReading("arrangement") { States = ["opposite", "opposite"], Mode = "either" }).Observation);

    [Fact]
    public void Certainty_is_fair_where_left_out() => Assert.Equal(Certainty.Fair, Read(new RawReading("arrangement") { States = ["opposite"] }).Certainty);

    [Fact]
    public void A_measure_is_kept_in_the_unit_of_its_character() =>
        Assert.Equal(new Measured(14.5, 14.5, 5), Read(new RawReading("blade-length") { Value = 145, Unit = "mm", Leaves = 5 }).Observation);

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
        Assert.Contains("opposite", problem.Allowed);
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

    [Property]
    public bool A_reading_written_out_reads_back_the_same(int seed)
    {
        var random = new RandomFlora(seed);
        return random.Readings().All(reading => ReadingDesk.Check(RawReading.From(reading), random.Flora).Reading == reading);
    }

    private static Reading Read(RawReading raw)
    {
        var (reading, problem) = ReadingDesk.Check(raw, ShippedFlora.Flora);
        Assert.Null(problem);
        return reading!;
    }

    private static FieldProblem Refused(RawReading raw, string field)
    {
        var (reading, problem) = ReadingDesk.Check(raw, ShippedFlora.Flora);
        Assert.Null(reading);
        Assert.Equal(field, problem!.Field);
        Assert.NotEmpty(problem.Allowed);
        return problem;
    }
}
