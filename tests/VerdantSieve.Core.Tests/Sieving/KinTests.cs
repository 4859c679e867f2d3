using VerdantSieve.Core.Observing;
using Xunit;

namespace VerdantSieve.Core.Tests.Sieving;

/// <summary>What is expected of a kind that was not scored, by what is scored of its kin.</summary>
public class KinTests
{
    // Eight kinds of a genus, so many of which are scored, and all with the mark; and twenty others without it.
    private static double[] WithTheMark(int scored)
    {
        var flora = new MadeFlora().States("smell", "none mint");
        for (var i = 0; i < 8; i++)
            flora.Taxon($"Aus a{(char)('a' + i)}", i < scored ? "smell: mint" : "");
        for (var i = 0; i < 20; i++)
            flora.Taxon($"{(char)('B' + i)}us bus", "smell: none");
        var answer = flora.Sieve().Ask(Readings.Is("smell", "mint", Certainty.Sure));
        return [.. "ah".Select(letter => answer.Candidates.First(one => one.Taxon.Name.Text == $"Aus a{letter}").Probability)];
    }

    [Fact]
    public void A_mark_that_was_noted_of_one_kind_alone_is_none_of_its_kin()
    {
        var shown = WithTheMark(1);
        Assert.True(shown[0] > 4 * shown[1], $"{shown[0]} and {shown[1]}");
    }

    [Fact]
    public void A_mark_that_nearly_all_have_is_expected_of_the_last_one_too()
    {
        var shown = WithTheMark(7);
        Assert.True(shown[0] < 1.5 * shown[1], $"{shown[0]} and {shown[1]}");
    }
}
