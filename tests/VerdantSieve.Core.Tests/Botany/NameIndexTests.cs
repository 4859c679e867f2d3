using VerdantSieve.Core.Botany;
using Xunit;

namespace VerdantSieve.Core.Tests.Botany;

public class NameIndexTests
{
    private static readonly NameIndex Names = new(SmallFlora.Flora);

    [Theory]
    [InlineData("Quercus alba", "Quercus alba")]
    [InlineData("alba quercus", "Quercus alba")]
    [InlineData("white oak", "Quercus alba")]
    [InlineData("WHITE-OAK", "Quercus alba")]
    [InlineData("big leaf maple", "Acer macrophyllum")]
    [InlineData("bigleaf mapel", "Acer macrophyllum")]
    [InlineData("quercas albba", "Quercus alba")]
    [InlineData("Quercus prinus", "Quercus montana")]
    [InlineData("Marguerite", null)]
    [InlineData("Lonicera maacki", "Lonicera maackii")]
    [InlineData("rododendron maximum", "Rhododendron maximum")]
    [InlineData("travelers joy", "Clematis vitalba")]
    public void A_plant_is_found_by_any_name_nearly_spelt(string typed, string? first) =>
        Assert.Equal(first, Names.Find(typed).Taxa.FirstOrDefault()?.Name.Text);

    [Fact]
    public void Well_spelt_names_come_without_the_misspelt_and_that_is_said()
    {
        Assert.False(Names.Find("oak").Misspelt);
        Assert.All(
            Names.Find("oak").Taxa.Take(20),
            taxon => Assert.Contains(taxon.Name.Genus, new[] { "Quercus", "Toxicodendron", "Notholithocarpus" })
        );
        Assert.True(Names.Find("quercas").Misspelt);
        Assert.Empty(Names.Find("   ").Taxa);
        Assert.Empty(Names.Find("zzzzzzzz").Taxa);
    }

    // F. J. Damerau 1964: one letter wrong, missing, too many, or two swapped, each counts one.
    [Theory]
    [InlineData("maple", "maple", 0)]
    [InlineData("maple", "mapel", 1)]
    [InlineData("maple", "mple", 1)]
    [InlineData("maple", "mapple", 1)]
    [InlineData("maple", "mable", 1)]
    [InlineData("kitten", "sitting", 3)]
    [InlineData("", "oak", 3)]
    public void Spellings_are_so_far_apart(string one, string other, int distance)
    {
        Assert.Equal(distance, Spelling.Distance(one, other));
        Assert.Equal(distance, Spelling.Distance(other, one));
    }
}
