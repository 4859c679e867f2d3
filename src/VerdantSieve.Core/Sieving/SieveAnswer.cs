using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Sieving;

/// <summary>All that the sieve answers.</summary>
public sealed record SieveAnswer
{
    /// <summary>The question answered.</summary>
    public required SieveQuestion Question { get; init; }

    /// <summary>Every taxon, best first as the school asked for has it.</summary>
    public required IReadOnlyList<Candidate> Candidates { get; init; }

    /// <summary>How many taxa the reading of each character holds, by the character's id; those that hold none are left out.</summary>
    public required IReadOnlyDictionary<string, int> Holds { get; init; }

    /// <summary>The chance that it is none of them: an unknown relative of theirs, or something else altogether.</summary>
    public required double NoneOfThese { get; init; }

    /// <summary>What can be said.</summary>
    public required Determination Determination { get; init; }

    /// <summary>How many kinds are open: as many equally likely ones would leave as much doubt.</summary>
    public required double Open { get; init; }

    /// <summary>What to look at, best first; those held back last.</summary>
    public required IReadOnlyList<NextLook> NextLooks { get; init; }

    /// <summary>Every reading with its slip chance, most doubtful first.</summary>
    public required IReadOnlyList<Doubt> Doubts { get; init; }

    /// <summary>What could hurt, of the kinds still possible.</summary>
    public required IReadOnlyList<PossibleHazard> Hazards { get; init; }

    /// <summary>The hazard that all which is left has in common, so that enough is known to keep away; null where there is none.</summary>
    public Hazard? Enough { get; init; }

    /// <summary>Genera and families, likeliest first.</summary>
    public required IReadOnlyList<RankShare> Ranking { get; init; }

    /// <summary>What the lead rests on; null with fewer than two kinds.</summary>
    public Grounds? Grounds { get; init; }

    /// <summary>The check that is due before the leader is believed; null where none is.</summary>
    public LeaderCheck? Check { get; init; }

    /// <summary>The last two kinds; null where more or fewer are left.</summary>
    public LastTwo? LastTwo { get; init; }

    /// <summary>The garden form of the first kind that the readings are those of; null where they are those of the wild plant.</summary>
    public PlantForm? Form { get; init; }

    /// <summary>The best look, then the best of each other organ, so that one is at hand.</summary>
    /// <param name="count">How many to offer.</param>
    public IReadOnlyList<NextLook> Offered(int count) =>
        [
            .. NextLooks
                .Select((look, place) => (Look: look, Place: place))
                // What one glance shows is offered together, whatever organ it is of.
                .GroupBy(pair => (Organs.Of(pair.Look.Character), pair.Look.Character.IsGlance ? pair.Look.Character.Id : null))
                .SelectMany(organ => organ.Select((pair, within) => (pair.Look, pair.Place, Within: within)))
                .Where(item => item.Within < (count + 2) / 3)
                .OrderBy(item => item.Look.HeldBack is not null)
                .ThenBy(item => item.Within)
                .ThenBy(item => item.Place)
                .Take(count)
                .Select(item => item.Look),
        ];

    /// <summary>Why reading a character must wait, whether it is offered or not; null where it need not.</summary>
    public string? WaitFor(Character character) => KeepAway.WaitFor(character, Candidates);

    /// <summary>The taxa that came through.</summary>
    public IEnumerable<Candidate> Pan => Candidates.Where(candidate => candidate.Passes);

    /// <summary>How many taxa a reading holds.</summary>
    public int HeldBy(string characterId) => Holds.GetValueOrDefault(characterId);
}
