using NodaTime;
using VerdantSieve.Core.Looking;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Tests.Sieving;
using Xunit;

namespace VerdantSieve.Core.Tests.Looking;

/// <summary>Several visits to one tree as one question.</summary>
public class VisitTests
{
    private static readonly Core.Botany.Flora Flora = new MadeFlora()
        .States("bark", "grey red")
        .States("bud", "green brown")
        .Season("flowering")
        .Taxon("Aus primus", "bark: grey / bud: green / flowering: 1 May – 31 May")
        .Flora;

    private static Visit On(string? day, params string[] read) =>
        new(
            $"look {day}",
            new LookContent
            {
                Circumstances = new RawCircumstances { Date = day },
                Readings = [.. read.Select(pair => pair.Split(' ')).Select(pair => new RawReading(pair[0]) { States = [pair[1]] })],
            }
        );

    private static IEnumerable<string> Shown(IEnumerable<Reading> readings) =>
        readings.Select(reading =>
            $"{reading.Character} {((StatesSeen)reading.Observation).States[0]} {reading.Day?.ToString("MM-dd", null)}"
        );

    [Fact]
    public void What_was_read_in_May_and_in_October_stands_side_by_side()
    {
        var question = LookQuestion.OfTree(
            [On("2026-05-10", "bud green"), On("2026-10-03", "bud brown", "bark grey")],
            Flora,
            new LocalDate(2026, 11, 1)
        );
        Assert.Equal(["bud green 05-10", "bud brown 10-03", "bark grey 10-03"], Shown(question.Readings));
        Assert.Equal(new LocalDate(2026, 11, 1), question.Circumstances.Date);
    }

    [Fact]
    public void A_look_has_its_own_readings_and_those_of_other_visits_each_as_of_its_day()
    {
        var asked = LookQuestion.Of(On("2026-10-03", "bud brown").Content, Flora, [On("2026-05-10", "bud green", "bark grey")]);
        Assert.Equal(["bud brown "], Shown(asked.Own));
        Assert.Equal(["bud brown ", "bud green 05-10", "bark grey 05-10"], Shown(asked.Question.Readings));
    }

    [Fact]
    public void A_certainty_that_practice_has_measured_is_taken_for_what_it_is_and_shown_as_it_was_said()
    {
        var sure = new RawReading("bud") { States = ["green"], Certainty = "sure" };
        var content = new LookContent
        {
            Readings = [sure, new RawReading("bark") { States = ["grey"], Certainty = "guess" }],
            TakenFor = new Dictionary<Certainty, Certainty> { [Certainty.Sure] = Certainty.Fair },
            Circumstances = new RawCircumstances { Date = "2026-05-10" },
        };
        var asked = LookQuestion.Of(content, Flora);
        Assert.Equal([Certainty.Fair, Certainty.Guess], asked.Question.Readings.Select(reading => reading.Certainty));
        Assert.Equal([Certainty.Sure, Certainty.Guess], asked.Own.Select(reading => reading.Certainty));
        // Another visit keeps to it, and what was said on one where it was not agreed stays as it was.
        Assert.Equal(content.TakenFor, content.Again(new LocalDate(2026, 10, 3)).TakenFor);
        var tree = LookQuestion.OfTree(
            [
                new Visit("one", content),
                new Visit("two", new LookContent { Readings = [sure with { Character = "bark", States = ["red"] }] }),
            ],
            Flora,
            new LocalDate(2026, 11, 1)
        );
        Assert.Equal(
            [("bud", Certainty.Fair), ("bark", Certainty.Guess), ("bark", Certainty.Sure)],
            tree.Readings.Select(reading => (reading.Character, reading.Certainty)).Take(3)
        );
    }

    [Fact]
    public void A_list_goes_with_the_look_and_with_every_visit_after_it()
    {
        var content = new LookContent { Among = new KindsListed("Wood", ["Aus primus"]) };
        Assert.Equal(["Aus primus"], LookQuestion.Of(content, Flora).Question.Among!);
        var again = content.Again(new LocalDate(2026, 10, 3));
        Assert.Equal(
            ["Aus primus"],
            LookQuestion.OfTree([new Visit("one", content), new Visit("two", again)], Flora, new LocalDate(2026, 11, 1)).Among!
        );
        Assert.Null(LookQuestion.Of(new LookContent(), Flora).Question.Among);
    }

    [Fact]
    public void Of_two_looks_on_one_day_the_one_that_is_open_says_what_was_read()
    {
        var asked = LookQuestion.Of(On("2026-10-03", "bud brown").Content, Flora, [On("2026-10-03", "bud green", "bark grey")]);
        Assert.Equal(["bud brown ", "bark grey 10-03"], Shown(asked.Question.Readings));
    }

    [Fact]
    public void What_was_said_of_the_leaves_held_for_that_day_alone()
    {
        var visit = On("2026-05-10", "bud green");
        visit = visit with { Content = visit.Content with { Circumstances = visit.Content.Circumstances with { Stage = "leafing" } } };
        Assert.NotNull(LookQuestion.OfTree([visit], Flora, new LocalDate(2026, 5, 10)).Circumstances.Stage);
        Assert.Null(LookQuestion.OfTree([visit], Flora, new LocalDate(2026, 5, 11)).Circumstances.Stage);
    }
}
