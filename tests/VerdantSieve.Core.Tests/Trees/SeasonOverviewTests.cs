using NodaTime;
using VerdantSieve.Core.Looking;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Sieving;
using VerdantSieve.Core.Tests.Sieving;
using VerdantSieve.Core.Trees;
using Xunit;

namespace VerdantSieve.Core.Tests.Trees;

/// <summary>What a season came to.</summary>
public class SeasonOverviewTests
{
    private static readonly Core.Botany.Flora Flora = new MadeFlora()
        .States("bark", "grey red")
        .States("leaf", "long round")
        .Season("flowering")
        .Taxon("Aus primus", "bark: grey / leaf: long / flowering: 1 May – 31 May")
        .Taxon("Aus secundus", "bark: red / leaf: round / flowering: 1 Jul – 31 Jul")
        .Flora;

    private static Visit On(string day, bool flowers) =>
        new(
            day,
            new LookContent
            {
                Circumstances = new RawCircumstances
                {
                    Date = day,
                    Latitude = "45.5",
                    Longitude = "-122.7",
                    Elevation = "60",
                },
                Readings = [new RawReading("flowering") { Today = flowers }],
            }
        );

    private static Opinion Named(int at, string name, double chance) =>
        new(at, OpinionKind.Determined, "Ann", Instant.FromUnixTimeSeconds(at)) { Name = name, Probability = chance };

    private static SeasonOverview Of(params SeasonTree[] trees) => new(trees, Flora, new Sieve(Flora), new LocalDate(2026, 10, 1));

    [Fact]
    public void Flowers_seen_are_held_against_the_calendar_of_the_kind_that_stands()
    {
        var seen = Of(
            new SeasonTree(
                "a",
                "a",
                [On("2026-05-10", true), On("2026-06-10", true), On("2026-07-01", false)],
                [Named(1, "Aus primus", 0.9)]
            )
        ).Seen;
        Assert.Equal(["2026-05-10", "2026-06-10"], seen.Select(one => one.Day.ToString("uuuu-MM-dd", null)));
        Assert.True(seen[0].DaysInside >= 0);
        Assert.Equal(-10, seen[1].DaysInside);
        Assert.Empty(Of(new SeasonTree("o", "open", [On("2026-05-10", true)], [])).Seen);
    }

    [Fact]
    public void What_was_said_with_much_certainty_and_given_up_is_told_from_what_stands()
    {
        var overview = Of(
            new SeasonTree("r", "right", [], [Named(1, "Aus primus", 0.97)]),
            new SeasonTree("c", "changed", [], [Named(1, "Aus secundus", 0.96), Named(2, "Aus primus", 0.85)])
        );
        var bins = overview.Calibration.Where(bin => bin.Count > 0).ToArray();
        Assert.Equal([(0.8, 1, 1), (0.95, 2, 1)], bins.Select(bin => (bin.From, bin.Count, bin.Stood)));
        Assert.Equal(("Aus secundus", "Aus primus", 1), overview.TakenFor.Single());
        Assert.Equal(("Aus primus", 2), overview.Kinds.Single());
    }

    private static SeasonTree WithBark(string bark, params Opinion[] history)
    {
        var visit = On("2026-05-10", true);
        var barks = new RawReading("bark") { States = [bark], Certainty = "sure" };
        return new SeasonTree(
            bark,
            bark,
            [visit with { Content = visit.Content with { Readings = [.. visit.Content.Readings, barks] } }],
            history
        );
    }

    [Fact]
    public void Readings_that_spoke_against_the_name_are_counted_by_character()
    {
        var slips = Of(WithBark("red", Named(1, "Aus primus", 0.9)), WithBark("grey", Named(1, "Aus primus", 0.9))).Slips;
        Assert.Equal(("bark", 1, 2), (slips.Single().Character.Id, slips.Single().Against, slips.Single().Of));
        Assert.Empty(Of(WithBark("grey", Named(1, "Aus primus", 0.9))).Slips);
        Assert.Empty(Of(WithBark("red")).Slips);
    }

    [Fact]
    public void What_would_be_named_otherwise_from_its_readings_is_told()
    {
        var red = new RawReading("bark") { States = ["red"], Certainty = "sure" };
        var leaf = new RawReading("leaf") { States = ["round"], Certainty = "sure" };
        var visit = On("2026-07-10", true);
        visit = visit with { Content = visit.Content with { Readings = [red, leaf, .. visit.Content.Readings] } };
        var changed = Assert.Single(
            Of(
                new SeasonTree("a", "the red one", [visit], [Named(1, "Aus primus", 0.9)]),
                new SeasonTree("b", "rightly named", [visit], [Named(1, "Aus secundus", 0.9)]),
                new SeasonTree("c", "open", [visit], [])
            ).Changed
        );
        Assert.Equal(
            ("the red one", "Aus primus", "Aus secundus"),
            (changed.Tree.Called, changed.Changed.Stands.Name, changed.Changed.Now.Name)
        );
    }

    [Fact]
    public void Visits_are_counted_by_month() =>
        Assert.Equal(
            [(new LocalDate(2026, 5, 1), 2), (new LocalDate(2026, 7, 1), 1)],
            Of(new SeasonTree("a", "a", [On("2026-05-10", true), On("2026-07-02", false), On("2026-05-31", false)], [])).Months
        );
}
