using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Measuring;
using VerdantSieve.Core.Observing;

namespace VerdantSieve.Core.Tests.Sieving;

/// <summary>Small floras and readings made up from a seed, for properties that must hold of any flora.</summary>
internal sealed class RandomFlora
{
    private static readonly string[] Certainties = ["guess", "fair", "sure"];
    private static readonly Frequency[] Frequencies = [Frequency.Usual, Frequency.Sometimes, Frequency.Rare];
    private readonly Random random;

    public RandomFlora(int seed)
    {
        random = new Random(seed);
        Character[] characters =
        [
            .. Enumerable
                .Range(0, 5)
                .Select(i => new StateCharacter($"state-{i}")
                {
                    Part = "blade",
                    Label = $"state {i}",
                    Question = "?",
                    Phrase = "{}",
                    Ordered = i % 2 == 0,
                    Variety = i == 1,
                    Order = i,
                    States = [.. Enumerable.Range(0, 2 + i).Select(s => new State($"s{s}", $"s{s}", ""))],
                    OnlyIf = i == 3 ? new Condition("state-0", ["s0"], false) : null,
                }),
            new CountCharacter("count")
            {
                Part = "lobes",
                Label = "count",
                Question = "?",
                Phrase = "{}",
                Order = 5,
            },
            new MeasureCharacter("length", MeasureUnit.Centimetre)
            {
                Part = "leaf-size",
                Label = "length",
                Question = "?",
                Phrase = "{}",
                Order = 6,
            },
            new PresenceCharacter("sprouts")
            {
                Part = "whole-plant",
                Label = "sprouts",
                Question = "?",
                Phrase = "sprouts",
                Order = 7,
            },
        ];
        Flora = new Flora(
            new FloraAbout("random", "Random"),
            characters,
            Enumerable.Range(0, random.Next(3, 14)).Select(t => Taxon(t, characters))
        );
    }

    public Flora Flora { get; }

    public IReadOnlyList<Reading> Readings() => [.. Flora.Characters.Where(_ => random.Next(3) > 0).Select(Reading).OfType<Reading>()];

    public IReadOnlyList<T> Shuffled<T>(IReadOnlyList<T> list)
    {
        T[] copy = [.. list];
        random.Shuffle(copy);
        return copy;
    }

    private Reading? Reading(Character character)
    {
        var raw = new RawReading(character.Id) { Certainty = Certainties[random.Next(3)] };
        raw = character switch
        {
            StateCharacter states when random.Next(4) == 0 => raw with
            {
                Mode = random.Next(2) == 0 ? "either" : "all-seen",
                States = [states.States[0].Id, states.States[^1].Id],
            },
            StateCharacter states => raw with { States = [states.States[random.Next(states.States.Count)].Id] },
            CountCharacter => raw with { Value = random.Next(1, 12) },
            MeasureCharacter => raw with { Value = 1 + 20 * random.NextDouble(), Leaves = random.Next(1, 6) },
            _ => raw with { Seen = random.Next(2) == 0 },
        };
        return ReadingDesk.Check(raw, Flora).Value;
    }

    private Taxon Taxon(int number, Character[] characters)
    {
        var scores = new Dictionary<string, Score>();
        foreach (var character in characters)
        {
            // Some scores are left open, and none is given where the first character rules it out.
            if (random.Next(6) == 0)
                continue;
            if (character.OnlyIf is not null && scores.GetValueOrDefault("state-0") is StateScore first && !first.Allows("s0"))
                continue;
            scores[character.Id] = Score(character);
        }
        return new Taxon(new ScientificName($"Genus{(char)('a' + number % 4)} species{number:00}"))
        {
            Authority = "Made up",
            Family = "Madeupaceae",
            CommonNames = [$"plant {number}"],
            Distribution = new Distribution(["ORE"], []),
            Settings = [Setting.Wild],
            Provenance = "made up",
            OwnScores = scores,
        };
    }

    private Score Score(Character character)
    {
        switch (character)
        {
            case StateCharacter states:
                var shown = states
                    .States.Where(_ => random.Next(2) == 0)
                    .Select(s => new StateFrequency(s.Id, Frequencies[random.Next(3)]))
                    .ToArray();
                return new StateScore(shown.Length > 0 ? shown : [new StateFrequency(states.States[0].Id, Frequency.Usual)]);
            case CountCharacter:
                var low = random.Next(1, 8);
                return new RangeScore(null, low, low + random.Next(4), random.Next(2) == 0 ? null : low + 6);
            case MeasureCharacter:
                var least = 1 + 5 * random.NextDouble();
                return new RangeScore(least, least * 1.5, least * 3, least * 4);
            default:
                return new PresenceScore(random.Next(5) / 4.0);
        }
    }
}
