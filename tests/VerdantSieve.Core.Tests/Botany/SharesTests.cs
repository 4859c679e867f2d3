using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Formats;
using VerdantSieve.Core.Tests.Sieving;
using Xunit;

namespace VerdantSieve.Core.Tests.Botany;

/// <summary>Whoever asks how often a kind shows a state hears the same, the order in which its states are written included.</summary>
public class SharesTests
{
    private static readonly StateCharacter Plain = (StateCharacter)
        new MadeFlora().States("colour", "green grey brown").Flora.Character("colour");

    private static readonly StateCharacter Ordered = Plain with { UsualFirst = true };

    private static StateScore Score(string written) => (StateScore)ScoreNotation.Parse(written, Plain).Value;

    [Fact]
    public void A_hybrid_shows_half_of_each_parent_by_their_order()
    {
        StateScore Hybrid(StateCharacter character) => (StateScore)Hybrids.Between(Score("green, grey"), Score("grey, brown"), character)!;
        // One parent is green in five of eight, the other grey in five of eight.
        Assert.Equal([0.3125, 0.5, 0.1875], Ordered.SharesOf(Hybrid(Ordered)), (a, b) => Math.Abs(a - b) < 1e-9);
        Assert.Equal([0.25, 0.5, 0.25], Plain.SharesOf(Hybrid(Plain)), (a, b) => Math.Abs(a - b) < 1e-9);
    }

    [Fact]
    public void The_middle_of_a_series_lies_nearer_to_what_is_written_first()
    {
        Assert.Equal(0.5, Plain.MiddleOf(Score("green, grey")), 9);
        Assert.Equal(0.375, Ordered.MiddleOf(Score("green, grey")), 9);
        Assert.Equal(0.625, Ordered.MiddleOf(Score("grey, green")), 9);
    }

    [Theory]
    [InlineData("green, grey", "green, grey", 0)]
    [InlineData("green, grey", "grey, green", 0.25)]
    [InlineData("green", "brown", 1)]
    public void Two_kinds_are_as_far_apart_as_their_shares(string one, string other, double apart)
    {
        var flora = new MadeFlora()
            .States("colour", "green grey brown", colour => colour with { UsualFirst = true })
            .Taxon("Aus primus", $"colour: {one}")
            .Taxon("Aus alter", $"colour: {other}")
            .Flora;
        var nearest = Assert.Single(new Likeness(flora).Nearest(flora.FindTaxon("Aus primus")!));
        Assert.Equal(apart, nearest.Difference, 9);
    }

    [Fact]
    public void A_state_the_score_does_not_name_has_no_share()
    {
        Assert.Equal(0.625, Ordered.ShareOf(Score("green, grey"), "green"), 9);
        Assert.Equal(0, Ordered.ShareOf(Score("green, grey"), "brown"));
        Assert.Equal(0, Ordered.ShareOf(Score("green, grey"), "mauve"));
    }
}
