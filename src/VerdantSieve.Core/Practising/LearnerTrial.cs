using NodaTime;
using VerdantSieve.Core.Simulating;

namespace VerdantSieve.Core.Practising;

/// <summary>How cards are chosen for a made-up learner.</summary>
public enum CardOrder
{
    /// <summary>What the schedule says is due, then what is new, then what comes due soonest.</summary>
    Scheduled,

    /// <summary>Any card, each as likely.</summary>
    AnyOrder,
}

/// <summary>Makes up learners who forget at a known rate, and has them practise.</summary>
/// <remarks>What is remembered of a card after t days is 2^(−t/h) (exponential forgetting: H. Ebbinghaus 1885, as it is usually written);
/// each time it is remembered its half-life h grows by a factor, the more the nearer it was to being forgotten, and each time it is not h
/// falls back. The factors are choices.</remarks>
/// <param name="cards">How many cards there are.</param>
/// <param name="aDay">How many are practised each day.</param>
/// <param name="days">For how many days.</param>
public sealed class LearnerTrial(int cards, int aDay, int days)
{
    private const double FirstHalfLife = 2,
        Growth = 2,
        FallsBack = 0.5;

    /// <summary>The mean chance that a card is remembered at the end, 0 to 1; cards never shown are not.</summary>
    /// <param name="order">How cards are chosen.</param>
    /// <param name="seed">Where chance comes from.</param>
    public double Remembered(CardOrder order, int seed)
    {
        var random = new Random(seed);
        var start = new LocalDate(2026, 4, 1);
        var (halfLife, last, card) = (new double[cards], new int?[cards], Enumerable.Repeat(Repetition.New, cards).ToArray());
        // Cards are not equally hard.
        var hard = Enumerable.Range(0, cards).Select(_ => Math.Exp(0.4 * random.NextNormal())).ToArray();
        for (var day = 0; day < days; day++)
            for (var turn = 0; turn < aDay; turn++)
            {
                var chosen = order switch
                {
                    CardOrder.Scheduled => Next(card, start.PlusDays(day)),
                    CardOrder.AnyOrder => random.Next(cards),
                };
                var chance = last[chosen] is { } then ? Math.Pow(2, -(day - then) / halfLife[chosen]) : 0;
                var remembers = random.NextDouble() < chance;
                halfLife[chosen] = (last[chosen], remembers) switch
                {
                    (null, _) => FirstHalfLife / hard[chosen],
                    // What was about to be forgotten gains most by being remembered.
                    (_, true) => halfLife[chosen] * (1 + Growth * (1.2 - chance) / hard[chosen]),
                    (_, false) => Math.Max(FirstHalfLife / hard[chosen], halfLife[chosen] * FallsBack),
                };
                last[chosen] = day;
                card[chosen] = card[chosen].After(remembers ? 4 : 1, start.PlusDays(day));
            }
        return Enumerable.Range(0, cards).Average(at => last[at] is { } then ? Math.Pow(2, -(days - then) / halfLife[at]) : 0);
    }

    private static int Next(Repetition[] cards, LocalDate today)
    {
        var (due, isNew, soonest) = (-1, -1, -1);
        for (var at = 0; at < cards.Length; at++)
        {
            if (cards[at].Due is not { } day)
            {
                if (isNew < 0)
                    isNew = at;
                continue;
            }
            if (day <= today && (due < 0 || day < cards[due].Due))
                due = at;
            if (soonest < 0 || day < cards[soonest].Due)
                soonest = at;
        }
        if (due >= 0)
            return due;
        return isNew >= 0 ? isNew : soonest;
    }
}
