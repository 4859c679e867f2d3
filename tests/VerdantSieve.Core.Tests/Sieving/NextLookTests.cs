using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Sieving;
using Xunit;
using static VerdantSieve.Core.Tests.Sieving.Readings;

namespace VerdantSieve.Core.Tests.Sieving;

/// <summary>What is worth looking at, what it would leave, and what waits.</summary>
public class NextLookTests
{
    // Eight kinds in two halves by their bark, in four quarters by their buds, all alike in gloss.
    private static MadeFlora Eight()
    {
        var flora = new MadeFlora()
            .States("gloss", "dull shiny")
            .States("bark", "grey red")
            .States("bud", "a b c d", c => c with { Part = "twig" });
        for (var i = 0; i < 8; i++)
            flora.Taxon($"Aus s{i}", $"gloss: dull / bark: {(i < 4 ? "grey" : "red")} / bud: {"abcd"[i / 2]}");
        return flora;
    }

    private static Sieve Unerring(MadeFlora flora) =>
        flora.Sieve(
            SieveModel.Standard with
            {
                Strangers = 1e-9,
                SlipWhenSure = 1e-6,
                SlipWhenFair = 1e-6,
                SlipWhenGuessing = 1e-6,
                Looseness = 0,
                Gaps = 0,
            }
        );

    [Fact]
    public void The_look_that_parts_most_comes_first_and_one_that_parts_nothing_is_not_offered()
    {
        var looks = Unerring(Eight()).Ask().NextLooks;
        Assert.Equal(["bud", "bark"], looks.Select(look => look.Character.Id));
        Assert.Equal(2, looks[0].Bits, 2);
        Assert.Equal(1, looks[1].Bits, 2);
    }

    [Fact]
    public void A_look_leaves_as_many_kinds_as_it_does_not_part()
    {
        var looks = Unerring(Eight()).Ask().NextLooks;
        Assert.Equal(2, looks[0].Leaves!.Value, 1);
        Assert.Equal(4, looks[1].Leaves!.Value, 1);
    }

    [Fact]
    public void What_takes_longer_comes_later_where_it_tells_little_more()
    {
        var flora = Eight();
        var dear = new MadeFlora().States("bark", "grey red").States("bud", "a b c d", c => c with { Effort = 5 });
        for (var i = 0; i < 8; i++)
            dear.Taxon($"Aus s{i}", $"bark: {(i < 4 ? "grey" : "red")} / bud: {"abcd"[i / 2]}");
        Assert.Equal("bud", Unerring(flora).Ask().NextLooks[0].Character.Id);
        Assert.Equal("bark", Unerring(dear).Ask().NextLooks[0].Character.Id);
    }

    [Fact]
    public void What_was_read_or_could_not_be_told_is_not_asked_again()
    {
        var sieve = Unerring(Eight());
        Assert.DoesNotContain(sieve.Ask(Is("bud", "a")).NextLooks, look => look.Character.Id == "bud");
        var unknown = sieve.Ask(new Reading("bud", new CannotTell(), Certainty.Fair));
        Assert.DoesNotContain(unknown.NextLooks, look => look.Character.Id == "bud");
        Assert.Contains(unknown.NextLooks, look => look.Character.Id == "bark");
    }

    [Fact]
    public void Touching_waits_while_what_burns_is_possible_and_no_longer()
    {
        Sieve Made(bool burns) =>
            new MadeFlora()
                .States("bark", "grey red")
                .States("smell", "rank none", c => c with { Contact = true })
                .Taxon(
                    "Aus urens",
                    "bark: grey / smell: rank",
                    t => burns ? t with { Hazards = [new Hazard(HazardKind.SkinIrritant, "Burns.")] } : t
                )
                .Taxon("Aus mitis", "bark: grey / smell: none")
                .Taxon("Bus mitis", "bark: red / smell: none")
                .Sieve();
        var waits = Made(burns: true).Ask(Is("bark", "grey")).NextLooks.Single(look => look.Character.Id == "smell");
        Assert.Equal("Wait with touching: aus urens is still possible.", waits.HeldBack);
        Assert.Null(Made(burns: false).Ask(Is("bark", "grey")).NextLooks.Single(look => look.Character.Id == "smell").HeldBack);
        var poisonous = new MadeFlora()
            .States("smell", "rank none", c => c with { Contact = true })
            .Taxon("Aus venenatus", "smell: rank", t => t with { Hazards = [new Hazard(HazardKind.Poisonous, "Poisonous.")] })
            .Taxon("Aus mitis", "smell: none")
            .Sieve();
        Assert.Null(poisonous.Ask().NextLooks[0].HeldBack);
    }

    [Fact]
    public void A_question_that_hangs_on_another_waits_until_nearly_all_that_is_open_could_answer()
    {
        Sieve Made(int broad) =>
            Enumerable
                .Range(0, 10)
                .Aggregate(
                    new MadeFlora()
                        .States("leaf", "broad needle")
                        .States("margin", "entire serrate", c => c with { OnlyIf = Condition.Parse("leaf=broad") }),
                    (flora, i) =>
                        flora.Taxon(
                            $"Aus s{i}",
                            i < broad ? $"leaf: broad / margin: {(i % 2 == 0 ? "entire" : "serrate")}" : "leaf: needle"
                        )
                )
                .Sieve();
        Assert.DoesNotContain(Made(5).Ask().NextLooks, look => look.Character.Id == "margin");
        Assert.Contains(Made(5).Ask(Is("leaf", "broad")).NextLooks, look => look.Character.Id == "margin");
        Assert.DoesNotContain(Made(5).Ask(Is("leaf", "needle")).NextLooks, look => look.Character.Id == "margin");
        Assert.Contains(Made(10).Ask().NextLooks, look => look.Character.Id == "margin");
    }
}
