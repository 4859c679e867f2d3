using NodaTime;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Sieving;
using VerdantSieve.Core.Tests.Sieving;
using VerdantSieve.Core.Trees;
using Xunit;

namespace VerdantSieve.Core.Tests.Trees;

/// <summary>What would be named otherwise today.</summary>
public class ChangedOpinionTests
{
    private static readonly MadeFlora Made = new MadeFlora()
        .States("bark", "grey red", c => c with { Part = "bark" })
        .States("leaf", "wide thin")
        .Taxon("Aus primus", "bark: grey / leaf: wide")
        .Taxon("Bus alter", "bark: red / leaf: thin");

    private static ChangedOpinion? Of(string stands, int edition, params string[] read)
    {
        var sure = SieveModel.Standard with { Strangers = 1e-9, SlipWhenSure = 1e-6, Looseness = 0, Gaps = 0 };
        Reading[] readings =
        [
            .. read.Select(pair => pair.Split(' '))
                .Select(pair => new Reading(pair[0], new StatesSeen([pair[1]], StateMode.Is), Certainty.Sure)),
        ];
        var answer = Made.Sieve(sure).Ask(new SieveQuestion { Readings = readings });
        Opinion line = new(1, OpinionKind.Determined, "Ann", Instant.FromUnixTimeSeconds(1)) { Name = stands, FloraEdition = edition };
        return ChangedOpinion.Of(OpinionStanding.Of([line]), answer, Made.Flora);
    }

    [Fact]
    public void Another_kind_is_told_with_why()
    {
        var changed = Of("Bus alter", 0, "bark grey", "leaf wide")!;
        Assert.Equal(("Bus alter", "Aus primus"), (changed.Stands.Name, changed.Now.Name));
        Assert.Contains("more has been read", changed.Why);
        Assert.Contains("from edition 7 to 1", Of("Bus alter", 7, "bark grey", "leaf wide")!.Why);
    }

    [Fact]
    public void The_same_kind_its_genus_and_nothing_at_all_are_no_change()
    {
        Assert.Null(Of("Aus primus", 0, "bark grey", "leaf wide"));
        // On one organ alone the sieve says the genus, which the name that stands belongs to.
        Assert.Null(Of("Aus primus", 0, "bark grey"));
        Assert.Null(Of("Bus alter", 0));
    }
}
