using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Sieving;

/// <summary>To what observers slip.</summary>
public static class Slips
{
    // Of the slips of a state, what the flora declares goes to its confusions; of the rest this much goes to the neighbours of
    // an ordered character, and what is left evenly to all other states.
    private const double ToNeighbours = 0.7;

    /// <summary>The chance of reading each state (second index) where the plant shows the state of the first index.</summary>
    /// <param name="character">The character, with its declared confusions.</param>
    /// <param name="rate">The chance of a slip, 0 to 1.</param>
    public static double[,] Confusion(StateCharacter character, double rate)
    {
        var count = character.States.Count;
        var table = new double[count, count];
        if (count == 1)
            rate = 0;
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
                foreach (var neighbour in neighbours)
                    table[shown, neighbour] += share / neighbours.Length;
                left -= share;
            }
            for (var read = 0; read < count; read++)
                if (read != shown)
                    table[shown, read] += left / (count - 1);
        }
        return table;
    }
}
