using NodaTime;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Seasons;
using VerdantSieve.Core.Sieving;
using Xunit;

namespace VerdantSieve.Flora.Tests;

/// <summary>What is offered first, wherever and whenever there are leaves: what one glance shows, as people go about it (common practice,
/// no source).</summary>
public class FirstLooksTests
{
    private static readonly string[] Glance = [CharacterIds.Foliage, CharacterIds.Arrangement, CharacterIds.Structure];

    public static TheoryData<string, int> Seasons =>
        [.. from code in ShippedFlora.Flora.Countries from month in new[] { 6, 8, 10 } select (code, month)];

    [Theory, MemberData(nameof(Seasons))]
    public void Foliage_arrangement_and_structure_are_the_first_three(string region, int month)
    {
        var circumstances = new Circumstances
        {
            Region = region,
            Date = new LocalDate(2026, month, 1),
            Setting = Setting.Wild,
        };
        var answer = ShippedFlora.Sieve.Ask(new SieveQuestion { Circumstances = circumstances });
        Assert.Equal(Glance.Order(), answer.Offered(3).Select(look => look.Character.Id).Order());
        Assert.Equal(Glance.Order(), answer.NextLooks.Take(3).Select(look => look.Character.Id).Order());
    }

    [Fact]
    public void In_winter_a_bare_tree_is_asked_for_its_twigs()
    {
        var january = new LocalDate(2026, 1, 20);
        var circumstances = new Circumstances
        {
            Region = "OHI",
            Date = january,
            Stage = LeafStage.Leafless,
        };
        var looks = ShippedFlora.Sieve.Ask(new SieveQuestion { Circumstances = circumstances }).NextLooks;
        Assert.DoesNotContain(looks, look => Organs.Of(look.Character) == Organ.Leaf);
        Assert.Contains(looks.Take(3), look => Organs.Of(look.Character) == Organ.Twig);
    }
}
