using VerdantSieve.Core.Curating;
using Xunit;

namespace VerdantSieve.Core.Tests.Curating;

public class TaxonMergeTests
{
    private const string Before = "name: Acer testii\nnotes: old\nscores:\n  margin: entire\n  arrangement: opposite\n  lobing: palmate\n";

    [Fact]
    public void What_each_changed_alone_is_kept_of_both()
    {
        var first = Before.Replace("margin: entire", "margin: serrate").Replace("notes: old", "notes: new");
        var second = Before.Replace("lobing: palmate", "lobing: unlobed");
        var merge = TaxonMerge.Of(Before, first, second).Value;
        Assert.Equal(["notes", "margin"], merge.Theirs);
        Assert.Empty(merge.Both);
        Assert.Equal("name: Acer testii\nnotes: new\nscores:\n  margin: serrate\n  arrangement: opposite\n  lobing: unlobed\n", merge.Text);
    }

    [Fact]
    public void What_both_changed_is_named_with_both_and_stands_as_the_second_has_it()
    {
        var merge = TaxonMerge.Of(Before, Before.Replace("entire", "serrate"), Before.Replace("entire", "crenate")).Value;
        Assert.Equal([("margin", "serrate", "crenate")], merge.Both);
        Assert.Empty(merge.Theirs);
        Assert.Contains("margin: crenate", merge.Text);
        // The same change by both is no matter to speak of.
        Assert.Empty(TaxonMerge.Of(Before, Before.Replace("entire", "serrate"), Before.Replace("entire", "serrate")).Value.Both);
    }

    [Fact]
    public void What_one_took_away_stays_away_and_what_one_added_is_there()
    {
        var first = Before.Replace("  lobing: palmate\n", "  smell: resin\n");
        var merge = TaxonMerge.Of(Before, first, Before.Replace("entire", "serrate")).Value;
        Assert.DoesNotContain("lobing", merge.Text);
        Assert.Contains("smell: resin", merge.Text);
        Assert.Equal(["lobing", "smell"], merge.Theirs.Order());
    }

    [Fact]
    public void What_cannot_be_read_is_a_fault() => Assert.NotEmpty(TaxonMerge.Of(Before, Before, "name: [").Faults);
}
