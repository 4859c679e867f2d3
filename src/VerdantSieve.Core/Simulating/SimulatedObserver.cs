using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Measuring;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Sieving;

namespace VerdantSieve.Core.Simulating;

/// <summary>An observer who errs as often as told, and to what the flora says is confused.</summary>
/// <param name="flora">The flora.</param>
/// <param name="errs">The chance that a reading is wrong, 0 to 1.</param>
/// <param name="misses">The chance that a character can't be made out on this plant, 0 to 1.</param>
/// <param name="random">Where chance comes from.</param>
/// <param name="words">How loosely words are used; null for an observer who speaks as the flora does.</param>
public sealed class SimulatedObserver(Flora flora, double errs, double misses, Random random, SieveModel? words = null)
{
    private const int LeavesMeasured = 3;
    private static readonly double RulerError = SieveModel.MeasuringError(Certainty.Fair, MeasuredBy.Ruler);

    private readonly Dictionary<string, bool> missed = [];

    /// <summary>Reads one character of a plant, fairly sure; "can't tell" where the plant does not show it or it can't be made
    /// out.</summary>
    public Reading Read(SimulatedPlant plant, Character character) =>
        new(character.Id, Observe(plant, character) ?? new CannotTell(), Certainty.Fair);

    /// <summary>Whether the last reading of each character was wrong, by character id.</summary>
    public IReadOnlyDictionary<string, bool> Wrong => wrong;

    private readonly Dictionary<string, bool> wrong = [];

    private Observation? Observe(SimulatedPlant plant, Character character)
    {
        if (!missed.TryGetValue(character.Id, out var miss))
            missed[character.Id] = miss = random.NextDouble() < misses;
        if (miss)
            return null;
        var slips = random.NextDouble() < errs;
        return character.Match(
            states: own => State(plant, own, slips),
            count: own => Number(plant, own, slips),
            measure: own => Size(plant, own, slips),
            presence: own => Seen(plant, own, slips) is { } seen ? new Sought(seen) : null,
            season: own => Seen(plant, own, slips) is { } seen ? (Observation?)new Today(seen) : null
        );
    }

    private StatesSeen? State(SimulatedPlant plant, StateCharacter character, bool slips)
    {
        if (plant.State(character) is not { } state)
            return null;
        var shown = character.IndexOf(state);
        var read = slips ? Confuse(character, shown) : Called(character, shown);
        // Another word for the same thing is not wrong.
        wrong[character.Id] = slips && read != shown;
        return new StatesSeen([character.States[read].Id], StateMode.Is);
    }

    private Counted? Number(SimulatedPlant plant, CountCharacter character, bool slips)
    {
        if (plant.Number(character) is not { } number)
            return null;
        wrong[character.Id] = slips;
        var counted = Math.Clamp(slips ? Miscount(character, number) : number, 1, CountCharacter.Largest);
        return new Counted(counted, counted);
    }

    // Half of all miscounts are by one, the others anything the flora has.
    private int Miscount(CountCharacter character, int number)
    {
        if (random.Next(2) != 0)
            return AnyNumber(character);
        return random.Next(2) == 0 ? number - 1 : number + 1;
    }

    private Measured? Size(SimulatedPlant plant, MeasureCharacter character, bool slips)
    {
        if (plant.LogSize(character) is not { } own)
            return null;
        wrong[character.Id] = slips;
        var size = slips ? AnySize(character) : own;
        var mean =
            size + random.NextNormal() * Math.Sqrt(Math.Pow(plant.LeafSpread(character), 2) / LeavesMeasured + RulerError * RulerError);
        return new Measured(Math.Exp(mean), Math.Exp(mean), LeavesMeasured);
    }

    // What is not there is imagined half as often as what is there is overlooked.
    private bool? Seen(SimulatedPlant plant, Character character, bool slips)
    {
        if (plant.Has(character) is not { } has)
            return null;
        wrong[character.Id] = slips && (has || random.Next(2) == 0);
        return has != wrong[character.Id];
    }

    private int Confuse(StateCharacter character, int shown) => Drawn(Slips.Confusion(character, 1), shown);

    private int Called(StateCharacter character, int shown) =>
        words is null ? shown : Drawn(Slips.Words(character, 0, words.LoosenessOf(character)).Said, shown);

    private int Drawn(double[,] table, int shown)
    {
        var at = random.NextDouble();
        for (var state = 0; state < table.GetLength(1); state++)
            if ((at -= table[shown, state]) <= 0)
                return state;
        return shown;
    }

    private int AnyNumber(CountCharacter character) =>
        Any(character.Id) is RangeScore range ? random.Next((int)range.Low, (int)range.High + 1) : random.Next(1, 10);

    private double AnySize(MeasureCharacter character) =>
        Any(character.Id) is RangeScore range ? Math.Log(range.Low + random.NextDouble() * (range.High - range.Low)) : 1;

    private Score? Any(string character)
    {
        Score[] scores = [.. flora.Taxa.Select(taxon => taxon.Score(character)).OfType<Score>()];
        return scores.Length == 0 ? null : scores[random.Next(scores.Length)];
    }
}
