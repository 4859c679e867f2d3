using NodaTime;
using VerdantSieve.Core.Practising;
using Xunit;

namespace VerdantSieve.Core.Tests.Practising;

/// <summary>The schedule, against SM-2 as P. A. Woźniak published it in 1990; its rules and numbers are from memory.</summary>
public class RepetitionTests
{
    private static readonly LocalDate Today = new(2026, 5, 1);

    private static IEnumerable<Repetition> Course(params int[] grades)
    {
        var (card, day) = (Repetition.New, Today);
        foreach (var grade in grades)
        {
            card = card.After(grade, day);
            day = card.Due!.Value;
            yield return card;
        }
    }

    // I(1) = 1, I(2) = 6, I(n) = I(n−1) × EF rounded up, with EF 2.5 that a 4 leaves as it is: 15, 37.5, 95.
    [Fact]
    public void Intervals_are_those_of_the_published_scheme() =>
        Assert.Equal([1, 6, 15, 38, 95], Course(4, 4, 4, 4, 4).Select(card => card.Days));

    // EF′ = EF + (0.1 − (5 − q) × (0.08 + (5 − q) × 0.02)).
    [Theory]
    [InlineData(5, 2.6)]
    [InlineData(4, 2.5)]
    [InlineData(3, 2.36)]
    [InlineData(2, 2.5)]
    [InlineData(0, 2.5)]
    public void An_answer_changes_the_easiness_as_published_and_one_below_three_leaves_it(int grade, double easiness) =>
        Assert.Equal(easiness, Repetition.New.After(grade, Today).Easiness, 10);

    [Fact]
    public void What_was_not_remembered_begins_anew_and_keeps_its_easiness()
    {
        var course = Course(5, 5, 5, 2, 4, 4).ToArray();
        Assert.Equal([1, 6, 17, 1, 1, 6], course.Select(card => card.Days));
        Assert.Equal(course[2].Easiness, course[3].Easiness);
        Assert.Equal([1, 2, 3, 0, 1, 2], course.Select(card => card.Times));
    }

    [Fact]
    public void The_easiness_never_falls_below_its_least() =>
        Assert.Equal(Repetition.LeastEasiness, Course([.. Enumerable.Repeat(3, 30)]).Last().Easiness);

    [Fact]
    public void It_is_due_on_its_day_and_not_before()
    {
        var card = Repetition.New.After(4, Today).After(4, Today.PlusDays(1));
        Assert.False(card.IsDue(Today.PlusDays(6)));
        Assert.True(card.IsDue(Today.PlusDays(7)));
        Assert.False(Repetition.New.IsDue(Today));
    }

    [Theory]
    [InlineData(-1)]
    [InlineData(6)]
    public void A_grade_that_is_none_is_refused(int grade) =>
        Assert.Contains("0 to 5", Assert.Throws<ArgumentOutOfRangeException>(() => Repetition.New.After(grade, Today)).Message);

    [Fact]
    public void Nonsense_is_refused()
    {
        Assert.Throws<ArgumentOutOfRangeException>(() => new Repetition { Easiness = 1.2 });
        Assert.Throws<ArgumentOutOfRangeException>(() => new Repetition { Easiness = double.NaN });
        Assert.Throws<ArgumentOutOfRangeException>(() => new Repetition { Times = -1 });
        Assert.Throws<ArgumentOutOfRangeException>(() => new Repetition { Days = -1 });
    }

    // Learners who forget exponentially (Ebbinghaus 1885); all else about them is made up.
    [Theory]
    [InlineData(120, 12, 60)]
    [InlineData(200, 20, 45)]
    [InlineData(60, 10, 90)]
    public void Learners_remember_more_with_the_schedule_than_with_cards_in_any_order(int cards, int aDay, int days)
    {
        var trial = new LearnerTrial(cards, aDay, days);
        double Mean(CardOrder order) => Enumerable.Range(0, Cases.Few).Average(seed => trial.Remembered(order, seed));
        var (scheduled, random) = (Mean(CardOrder.Scheduled), Mean(CardOrder.AnyOrder));
        TestContext.Current.TestOutputHelper!.WriteLine($"{cards} cards, {aDay} a day, {days} days: {scheduled:0.000} {random:0.000}");
        Assert.True(scheduled > random + 0.03, $"{scheduled:0.000} with the schedule, {random:0.000} without");
    }
}
