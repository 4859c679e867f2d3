using NodaTime;
using VerdantSieve.Core.Trees;
using Xunit;

namespace VerdantSieve.Core.Tests.Trees;

/// <summary>Where a history of determinations has come to.</summary>
public class OpinionTests
{
    private int next;

    private Opinion Line(string by, OpinionKind kind, string name = "") =>
        new(++next, kind, by, Instant.FromUnixTimeSeconds(next)) { Name = name };

    [Fact]
    public void The_last_name_stands_and_who_agreed_with_an_older_one_has_not_agreed_with_it()
    {
        var standing = OpinionStanding.Of([
            Line("Ann", OpinionKind.Determined, "Aus primus"),
            Line("Bob", OpinionKind.Agreed),
            Line("Ann", OpinionKind.Determined, "Aus secundus"),
        ]);
        Assert.Equal("Aus secundus", standing.Stands!.Name);
        Assert.Empty(standing.Agreed);
        Assert.False(standing.IsDisputed);
    }

    [Fact]
    public void Two_names_by_two_people_are_a_dispute_until_one_agrees()
    {
        Opinion[] history = [Line("Ann", OpinionKind.Determined, "Aus primus"), Line("Bob", OpinionKind.Determined, "Aus secundus")];
        var standing = OpinionStanding.Of(history);
        Assert.Equal("Aus secundus", standing.Stands!.Name);
        Assert.Equal(["Aus primus"], standing.OtherNames);
        var agreed = OpinionStanding.Of([.. history, Line("Ann", OpinionKind.Agreed)]);
        Assert.False(agreed.IsDisputed);
        Assert.Equal("Ann", Assert.Single(agreed.Agreed).By);
    }

    [Fact]
    public void A_doubt_counts_until_it_is_taken_back_or_given_up()
    {
        var (named, doubt) = (Line("Ann", OpinionKind.Determined, "Aus primus"), Line("Bob", OpinionKind.Doubted));
        Assert.True(OpinionStanding.Of([named, doubt]).IsDisputed);
        Assert.False(OpinionStanding.Of([named, doubt with { IsWithdrawn = true }]).IsDisputed);
        Assert.False(OpinionStanding.Of([named, doubt, Line("Bob", OpinionKind.Agreed)]).IsDisputed);
    }

    [Fact]
    public void Who_doubted_a_name_does_not_doubt_the_next_one_and_who_gave_another_still_gives_it()
    {
        Opinion[] history =
        [
            Line("Ann", OpinionKind.Determined, "Aus primus"),
            Line("Bob", OpinionKind.Doubted, "Aus primus"),
            Line("Ann", OpinionKind.Determined, "Aus secundus"),
        ];
        Assert.False(OpinionStanding.Of(history).IsDisputed);
        var third = OpinionStanding.Of([.. history, Line("Cleo", OpinionKind.Determined, "Aus tertius")]);
        Assert.Equal(["Aus secundus"], third.OtherNames);
    }

    [Fact]
    public void Opened_again_nothing_stands_and_a_remark_changes_nothing()
    {
        var named = Line("Ann", OpinionKind.Determined, "Aus primus");
        Assert.Equal("Aus primus", OpinionStanding.Of([named, Line("Bob", OpinionKind.Remarked)]).Stands!.Name);
        var opened = OpinionStanding.Of([named, Line("Ann", OpinionKind.Reopened)]);
        Assert.Null(opened.Stands);
        Assert.False(opened.IsDisputed);
    }

    // Common practice in determinations, no source: the qualifier stands before what is doubted.
    [Theory]
    [InlineData("Quercus robur", Qualifier.Cf, "Quercus cf. robur")]
    [InlineData("Quercus robur", Qualifier.Aff, "Quercus aff. robur")]
    [InlineData("Quercus", Qualifier.Cf, "cf. Quercus")]
    [InlineData("Quercus robur", null, "Quercus robur")]
    public void A_qualifier_stands_before_the_epithet(string name, Qualifier? qualifier, string written) =>
        Assert.Equal(written, Opinion.Qualified(name, qualifier));
}
