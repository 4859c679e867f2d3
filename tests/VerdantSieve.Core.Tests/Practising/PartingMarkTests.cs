using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Practising;
using VerdantSieve.Core.Sieving;
using VerdantSieve.Core.Tests.Sieving;
using Xunit;

namespace VerdantSieve.Core.Tests.Practising;

/// <summary>The one thing that is said to tell two kinds apart.</summary>
public class PartingMarkTests
{
    private static Func<Taxon, Taxon> Against(string other, string mark) =>
        taxon => taxon with { Doubles = [new PlantDouble(other, mark)] };

    private static readonly Sieve Sieve = new(
        new MadeFlora()
            .States("leaf", "wide thin")
            .States("bark", "grey red")
            .Taxon("Aus unus", "leaf: wide / bark: grey", Against("Aus duo", "its own mark"))
            .Taxon("Aus duo", "leaf: thin / bark: grey", Against("Aus unus", "the other’s mark"))
            .Taxon("Aus tres", "leaf: wide / bark: red")
            .Taxon("Aus quattuor", "leaf: wide / bark: red")
            .Flora
    );

    private static PartingMark? Between(string one, string other) =>
        PartingMark.Between(Sieve.Flora.FindTaxon(one)!, Sieve.Flora.FindTaxon(other)!, Sieve);

    [Fact]
    public void A_kinds_own_mark_comes_first_then_the_others()
    {
        var own = Between("Aus unus", "Aus duo")!;
        Assert.Equal(("Aus unus", "its own mark"), (own.Of!.Name.Text, own.Written));
        var other = Between("Aus duo", "Aus unus")!;
        Assert.Equal(("Aus duo", "the other’s mark"), (other.Of!.Name.Text, other.Written));
        Assert.Null(own.Character);
    }

    [Fact]
    public void Without_a_mark_it_is_a_character_that_parts_them_and_else_nothing()
    {
        var found = Between("Aus unus", "Aus tres")!;
        Assert.Equal(("bark", ""), (found.Character!.Id, found.Written));
        Assert.Null(found.Of);
        Assert.Null(Between("Aus tres", "Aus quattuor"));
    }
}
