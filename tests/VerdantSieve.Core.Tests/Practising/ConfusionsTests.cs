using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Practising;
using VerdantSieve.Core.Sieving;
using VerdantSieve.Core.Tests.Sieving;
using Xunit;

namespace VerdantSieve.Core.Tests.Practising;

/// <summary>What somebody takes for what, how far their certainty is to be trusted, and what a set leaves to remember.</summary>
public class ConfusionsTests
{
    private static Answered Named(string was, string said, Certainty certainty = Certainty.Fair) =>
        new(new NamePlant(was, 1), new Answer(said, was, was == said, false, certainty));

    private static Answered Read(string was, string said, Certainty certainty = Certainty.Sure, bool near = false) =>
        new(new ReadDrawing("margin", was, 1), new Answer(said, was, was == said, near, certainty));

    [Fact]
    public void What_was_taken_for_something_else_is_counted_and_what_was_right_or_left_open_is_not()
    {
        var found = Confusions.Of([
            Named("Aus a", "Aus b"),
            Named("Aus a", "Aus b"),
            Named("Aus a", "Aus a"),
            Named("Aus a", ""),
            Named("Aus b", "Aus a"),
            Read("serrate", "dentate"),
            Read("serrate", "serrate"),
        ]);
        Assert.Equal([new Taken("Aus a", "Aus b", 2, 4), new Taken("Aus b", "Aus a", 1, 1)], found.Kinds);
        Assert.Equal([new Taken("serrate", "dentate", 1, 2)], found.Words["margin"]);
        Assert.True(Confusions.Of([Named("Aus a", "Aus a"), Read("serrate", "")]).IsEmpty);
    }

    [Fact]
    public void A_kind_fares_as_often_as_it_was_named_right_and_the_worst_comes_first()
    {
        var fared = Fared.Of([
            Named("Aus a", "Aus a"),
            Named("Aus b", ""),
            Named("Aus b", "Aus b"),
            Named("Aus b", "Aus a"),
            Read("serrate", "dentate"),
            new(new PartTwo("Aus a", "Aus b", 1), new Answer("margin", "shape", false, false, Certainty.Fair)),
        ]);
        Assert.Equal([new Fared("Aus b", 3, 1), new Fared("Aus a", 1, 1)], fared);
        Assert.Equal(1 / 3.0, fared[0].Share, 9);
    }

    [Fact]
    public void Whoever_errs_when_sure_is_taken_to_guess_and_whoever_does_not_as_they_say()
    {
        var careless = MeasuredCertainty.Of([
            .. Enumerable.Repeat(Read("serrate", "dentate"), 30),
            .. Enumerable.Repeat(Read("serrate", "serrate"), 30),
        ]);
        Assert.Equal(Certainty.Guess, careless.TakenAs(Certainty.Sure, SieveModel.Standard));
        var careful = MeasuredCertainty.Of(Enumerable.Repeat(Read("serrate", "serrate"), 60));
        Assert.Empty(careful.Changes(SieveModel.Standard));
    }

    [Fact]
    public void Too_few_answers_say_nothing_and_the_neighbouring_word_is_no_error()
    {
        var few = MeasuredCertainty.Of(Enumerable.Repeat(Read("serrate", "dentate"), MeasuredCertainty.Fewest - 1));
        Assert.Equal(Certainty.Sure, few.TakenAs(Certainty.Sure, SieveModel.Standard));
        var enough = MeasuredCertainty.Of(Enumerable.Repeat(Read("serrate", "dentate"), MeasuredCertainty.Fewest));
        Assert.NotEqual(Certainty.Sure, enough.TakenAs(Certainty.Sure, SieveModel.Standard));
        Assert.Equal((40, 0), MeasuredCertainty.Of(Enumerable.Repeat(Read("serrate", "dentate", near: true), 40))[Certainty.Sure]);
    }

    // (6 + 20 × 0.10) ÷ (30 + 20)
    [Fact]
    public void A_rate_is_drawn_towards_what_is_known_of_everybody()
    {
        var measured = MeasuredCertainty.Of([
            .. Enumerable.Repeat(Read("serrate", "dentate", Certainty.Fair), 6),
            .. Enumerable.Repeat(Read("serrate", "serrate", Certainty.Fair), 24),
        ]);
        Assert.Equal(0.148, measured.Rate(Certainty.Fair, SieveModel.Standard), 10);
    }

    [Fact]
    public void A_recap_has_each_kind_with_its_one_mark_and_what_was_missed_first()
    {
        var flora = new MadeFlora()
            .States("bark", "grey red")
            .Taxon("Aus albus", "bark: grey", taxon => taxon with { Remember = "the pale one" })
            .Taxon(
                "Bus ruber",
                "bark: red",
                taxon => taxon with { Doubles = [new("Aus albus", "bark red, not grey"), new("Cus solus", "twig green")] }
            )
            .Taxon("Cus solus", "bark: red")
            .Flora;
        var recap = Recap.Of([Named("Aus albus", "Aus albus"), Named("Bus ruber", "Cus solus")], flora, null);
        Assert.Equal(["Bus ruber", "Aus albus"], recap.Select(line => line.Taxon.Name.Text));
        // What it was taken for is its look-alike.
        Assert.Equal(("twig green", "Cus solus", true), (recap[0].Mark, recap[0].LookAlike!.Name.Text, recap[0].Missed));
        Assert.Equal(("the pale one", null, false), (recap[1].Mark, recap[1].LookAlike, recap[1].Missed));
        Assert.Null(Recap.Of([Named("Bus ruber", "Bus ruber")], flora, "GRB")[0].LookAlike);
    }
}
