using FsCheck;
using FsCheck.Xunit;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Sieving;
using Xunit;

namespace VerdantSieve.Core.Tests.Sieving;

/// <summary>What must hold of the sieve for any flora and any readings.</summary>
public class SieveProperties
{
    [Property(MaxTest = Cases.Some)]
    public bool Probabilities_sum_to_one(int seed)
    {
        var random = new RandomFlora(seed);
        var answer = new Sieve(random.Flora).Ask(new SieveQuestion { Readings = random.Readings() });
        return Math.Abs(answer.Candidates.Sum(c => c.Probability) + answer.NoneOfThese - 1) < 1e-9;
    }

    [Property(MaxTest = Cases.Some)]
    public bool The_order_of_readings_does_not_matter(int seed)
    {
        var random = new RandomFlora(seed);
        var (sieve, readings) = (new Sieve(random.Flora), random.Readings());
        var one = sieve.Ask(new SieveQuestion { Readings = readings });
        var other = sieve.Ask(new SieveQuestion { Readings = random.Shuffled(readings) });
        return one.Candidates.Zip(other.Candidates).All(pair => AreAlike(pair.First, pair.Second))
            && one.Determination.Sentence.ToString() == other.Determination.Sentence.ToString();
    }

    // But for the last digits, which hang on where in memory numbers happen to lie.
    private static bool AreAlike(Candidate one, Candidate other) =>
        one.Taxon == other.Taxon
        && Math.Abs(one.Probability - other.Probability) <= 1e-12 * one.Probability
        && one.Held.SequenceEqual(other.Held);

    [Property(MaxTest = Cases.Some)]
    public bool Cannot_tell_changes_no_probability(int seed)
    {
        var random = new RandomFlora(seed);
        var (sieve, readings) = (new Sieve(random.Flora), random.Readings());
        var unread = random
            .Flora.Characters.Where(c => readings.All(r => r.Character != c.Id))
            .Select(c => new Reading(c.Id, new CannotTell(), Certainty.Fair));
        var without = sieve.Ask(new SieveQuestion { Readings = readings });
        var with = sieve.Ask(new SieveQuestion { Readings = [.. readings, .. unread] });
        return without.Candidates.Zip(with.Candidates).All(pair => AreAlike(pair.First, pair.Second));
    }

    [Property(MaxTest = Cases.Some)]
    public bool More_slips_never_shrink_the_pan(int seed)
    {
        var random = new RandomFlora(seed);
        var (sieve, readings) = (new Sieve(random.Flora), random.Readings());
        var pans = Enumerable
            .Range(0, 4)
            .Select(slips =>
                sieve
                    .Ask(
                        new SieveQuestion
                        {
                            Readings = readings,
                            School = School.Strict,
                            AllowedDisagreements = slips,
                        }
                    )
                    .Pan.Select(c => c.Taxon)
                    .ToHashSet()
            )
            .ToArray();
        return pans.Zip(pans.Skip(1)).All(pair => pair.First.IsSubsetOf(pair.Second));
    }

    [Property(MaxTest = Cases.Some)]
    public bool Certainty_scales_the_evidence(int seed)
    {
        var random = new RandomFlora(seed);
        // In a series a neighbour may turn it round: see the test of its own.
        bool IsOne(Reading r) =>
            r.Observation is StatesSeen { Mode: StateMode.Is } && random.Flora.Character(r.Character) is StateCharacter { Ordered: false };
        if (random.Readings().FirstOrDefault(IsOne) is not { } reading)
            return true;
        var sieve = new Sieve(random.Flora);
        // The surer a single reading, the farther the chances move apart.
        var spreads = Enum.GetValues<Certainty>()
            .Order()
            .Select(certainty =>
            {
                var chances = sieve
                    .Ask(new SieveQuestion { Readings = [reading with { Certainty = certainty }] })
                    .Candidates.Select(c => c.Probability)
                    .ToArray();
                return chances.Max() / chances.Min();
            })
            .ToArray();
        return spreads[0] <= spreads[1] + 1e-9 && spreads[1] <= spreads[2] + 1e-9;
    }

    [Property(MaxTest = Cases.Some)]
    public bool Nothing_is_ever_quite_certain_or_quite_impossible(int seed)
    {
        var random = new RandomFlora(seed);
        var answer = new Sieve(random.Flora).Ask(new SieveQuestion { Readings = random.Readings() });
        return answer.Candidates.All(c => c.Probability is > 0 and < 1)
            && answer.NoneOfThese is > 0 and < 1
            && answer.Doubts.All(d => d.SlipChance is >= 0 and <= 1);
    }

    [Property(MaxTest = Cases.Some)]
    public bool Surer_never_turns_evidence_round(int seed)
    {
        var random = new RandomFlora(seed);
        // In a series a neighbour may turn it round: see the test of its own.
        bool IsOne(Reading r) =>
            r.Observation is StatesSeen { Mode: StateMode.Is } && random.Flora.Character(r.Character) is StateCharacter { Ordered: false };
        if (random.Readings().FirstOrDefault(IsOne) is not { } reading)
            return true;
        // Without declared confusions a surer reading only moves the chances farther the same way.
        var sieve = new Sieve(random.Flora);
        var before = sieve.Ask(new SieveQuestion()).Candidates.ToDictionary(c => c.Taxon.Name, c => c.Probability);
        double Odds(Certainty certainty, Taxon one, Taxon other)
        {
            var chances = sieve
                .Ask(new SieveQuestion { Readings = [reading with { Certainty = certainty }] })
                .Candidates.ToDictionary(c => c.Taxon.Name, c => c.Probability);
            return Math.Log(chances[one.Name] / chances[other.Name] / (before[one.Name] / before[other.Name]));
        }
        var (a, b) = (random.Flora.Taxa[0], random.Flora.Taxa[^1]);
        var leanings = Enum.GetValues<Certainty>().Select(certainty => Odds(certainty, a, b)).ToArray();
        return leanings.All(x => x >= -1e-9) || leanings.All(x => x <= 1e-9);
    }

    [Fact]
    public void In_a_series_a_guess_speaks_for_the_neighbour_and_a_sure_reading_for_what_shows_it_at_times()
    {
        double Odds(bool ordered, Certainty certainty)
        {
            var answer = new MadeFlora()
                .States("hair", "none sparse some dense", c => c with { Ordered = ordered })
                .Taxon("Aus vicinus", "hair: sparse")
                .Taxon("Aus varius", "hair: dense, 4% none")
                .Sieve()
                .Ask(Readings.Is("hair", "none", certainty));
            return Math.Log(answer.Of("Aus vicinus") / answer.Of("Aus varius"));
        }
        Assert.True(Odds(ordered: true, Certainty.Guess) > 0);
        Assert.True(Odds(ordered: true, Certainty.Sure) < 0);
        Assert.True(Odds(ordered: false, Certainty.Guess) < 0);
        Assert.True(Odds(ordered: false, Certainty.Sure) < 0);
    }

    [Property(MaxTest = Cases.Some)]
    public bool A_reading_sent_twice_counts_once(int seed)
    {
        var random = new RandomFlora(seed);
        var (sieve, readings) = (new Sieve(random.Flora), random.Readings());
        var once = sieve.Ask(new SieveQuestion { Readings = readings }).Candidates;
        var twice = sieve.Ask(new SieveQuestion { Readings = [.. readings, .. readings] }).Candidates;
        return once.Zip(twice).All(pair => AreAlike(pair.First, pair.Second));
    }

    [Property(MaxTest = Cases.Some)]
    public bool Strict_agrees_with_a_naive_restatement(int seed)
    {
        var random = new RandomFlora(seed);
        var readings = random.Readings();
        var answer = new Sieve(random.Flora).Ask(
            new SieveQuestion
            {
                Readings = readings,
                School = School.Strict,
                AllowedDisagreements = 1,
            }
        );
        return answer.Candidates.All(candidate =>
        {
            var held = readings
                .Where(reading => NaivelyHolds(candidate.Taxon, reading, random.Flora))
                .Select(reading => reading.Character)
                .ToHashSet();
            return held.SetEquals(candidate.Held) && candidate.Passes == held.Count <= 1;
        });
    }

    // The strict rule said once more, straight from the scores.
    private static bool NaivelyHolds(Taxon taxon, Reading reading, Flora flora)
    {
        var condition = flora.Character(reading.Character).OnlyIf;
        if (
            condition is not null
            && taxon.Scores.GetValueOrDefault(condition.CharacterId) is StateScore on
            && on.States.All(s => !condition.States.Contains(s.State))
        )
            return true;
        return (taxon.Scores.GetValueOrDefault(reading.Character), reading.Observation) switch
        {
            (StateScore score, StatesSeen { Mode: StateMode.AllSeen } seen) => seen.States.Except(score.States.Select(s => s.State)).Any(),
            (StateScore score, StatesSeen seen) => !seen.States.Intersect(score.States.Select(s => s.State)).Any(),
            (RangeScore score, Counted count) => count.High < score.Minimum || count.Low > score.Maximum,
            (RangeScore score, Measured measured) => measured.High < score.Minimum || measured.Low > score.Maximum,
            (PresenceScore score, Sought sought) => sought.Seen ? score.Frequency <= 0 : score.Frequency >= 1,
            _ => false,
        };
    }
}
