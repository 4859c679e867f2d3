using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Sieving;

namespace VerdantSieve.Core.Simulating;

/// <summary>An observer who errs as often as told, and to what the flora says is confused.</summary>
/// <param name="flora">The flora.</param>
/// <param name="errs">The chance that a reading is wrong, 0 to 1.</param>
/// <param name="misses">The chance that a character can't be made out on this plant, 0 to 1.</param>
/// <param name="random">Where chance comes from.</param>
public sealed class SimulatedObserver(Flora flora, double errs, double misses, Random random)
{
    private const int LeavesMeasured = 3;
    private static readonly double RulerError = SieveModel.MeasuringError(Certainty.Fair, MeasuredBy.Ruler);

    private readonly Dictionary<string, bool> missed = [];

    /// <summary>Reads one character of a plant, fairly sure; "can't tell" where the plant does not show it or it can't be made out.</summary>
    public Reading Read(SimulatedPlant plant, Character character) => new(character.Id, Observe(plant, character) ?? new CannotTell(), Certainty.Fair);

    /// <summary>Whether the last reading of each character was wrong, by character id.</summary>
    public IReadOnlyDictionary<string, bool> Wrong => wrong;

    private readonly Dictionary<string, bool> wrong = [];

    private Observation? Observe(SimulatedPlant plant, Character character)
    {
        if (!missed.TryGetValue(character.Id, out var miss)) missed[character.Id] = miss = random.NextDouble() < misses;
        if (miss) return null;
        var slips = random.NextDouble() < errs;
        switch (character)
        {
            case StateCharacter states when plant.State(states) is { } state:
                var read = slips ? Confuse(states, states.IndexOf(state)) : states.IndexOf(state);
                wrong[character.Id] = read != states.IndexOf(state);
                return new StatesSeen([states.States[read].Id], StateMode.Is);
            case CountCharacter count when plant.Number(count) is { } number:
                wrong[character.Id] = slips;
                var counted = !slips ? number : random.Next(2) == 0 ? number + (random.Next(2) == 0 ? -1 : 1) : AnyNumber(count);
                return new Counted(Math.Clamp(counted, 1, CountCharacter.Largest), Math.Clamp(counted, 1, CountCharacter.Largest));
            case MeasureCharacter measure when (slips ? AnySize(measure) : plant.LogSize(measure)) is { } size && plant.LogSize(measure) is not null:
                wrong[character.Id] = slips;
                var mean = size + random.NextNormal() * Math.Sqrt(Math.Pow(plant.LeafSpread(measure), 2) / LeavesMeasured + RulerError * RulerError);
                return new Measured(Math.Exp(mean), Math.Exp(mean), LeavesMeasured);
            case PresenceCharacter or SeasonCharacter when plant.Has(character) is { } has:
                // What is not there is imagined half as often as what is there is overlooked.
                wrong[character.Id] = slips && (has || random.Next(2) == 0);
                var seen = has != wrong[character.Id];
                return character is PresenceCharacter ? new Sought(seen) : new Today(seen);
            default:
                return null;
        }
    }

    private int Confuse(StateCharacter character, int shown)
    {
        var table = Slips.Confusion(character, 1);
        var at = random.NextDouble();
        for (var state = 0; state < character.States.Count; state++)
            if ((at -= table[shown, state]) <= 0) return state;
        return shown;
    }

    private int AnyNumber(CountCharacter character) => Any(character.Id) is RangeScore range ? random.Next((int)range.Low, (int)range.High + 1) : random.Next(1, 10);

    private double AnySize(MeasureCharacter character) => Any(character.Id) is RangeScore range ? Math.Log(range.Low + random.NextDouble() * (range.High - range.Low)) : 1;

    private Score? Any(string character) =>
        flora.Taxa.Where(taxon => taxon.Scores.ContainsKey(character)).ToArray() is { Length: > 0 } scored ? scored[random.Next(scored.Length)].Scores[character] : null;
}
