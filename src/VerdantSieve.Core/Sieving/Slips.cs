using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;

namespace VerdantSieve.Core.Sieving;

/// <summary>How often observers slip, and to what.</summary>
public static class Slips
{
    /// <summary>The chance that a reading is a slip: 2 %, 10 % or 30 %.</summary>
    public static double Rate(Certainty certainty) => certainty switch { Certainty.Sure => 0.02, Certainty.Fair => 0.10, _ => 0.30 };

    /// <summary>The error of a measurement as a standard deviation in log units: 4 %, 8 % or 25 %.</summary>
    public static double MeasuringError(Certainty certainty) => certainty switch { Certainty.Sure => 0.04, Certainty.Fair => 0.08, _ => 0.25 };

    // Of the slips of a state: this much goes to the declared confusions (in their shares), this much to neighbours of
    // an ordered character, the rest evenly to all other states.
    private const double ToNeighbours = 0.7;

    /// <summary>The chance of reading each state (second index) where the plant shows the state of the first index.</summary>
    public static double[,] Confusion(StateCharacter character, Certainty certainty)
    {
        var count = character.States.Count;
        var table = new double[count, count];
        var rate = count > 1 ? Rate(certainty) : 0;
        for (var shown = 0; shown < count; shown++)
        {
            table[shown, shown] = 1 - rate;
            var left = rate;
            foreach (var confusion in character.Confusions.Where(c => c.State == character.States[shown].Id))
            {
                table[shown, character.IndexOf(confusion.TakenFor)] += rate * confusion.Share;
                left -= rate * confusion.Share;
            }
            if (character.Ordered && count > 2)
            {
                int[] neighbours = [.. new[] { shown - 1, shown + 1 }.Where(n => n >= 0 && n < count)];
                var share = left * ToNeighbours;
                foreach (var neighbour in neighbours) table[shown, neighbour] += share / neighbours.Length;
                left -= share;
            }
            for (var read = 0; read < count; read++)
                if (read != shown) table[shown, read] += left / (count - 1);
        }
        return table;
    }
}
