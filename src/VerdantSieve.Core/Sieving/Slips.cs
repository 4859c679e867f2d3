using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Sieving;

/// <summary>How what is shown comes to be said: in the flora's word, in a broader or another word for the same thing, or by a
/// slip.</summary>
/// <param name="Said">The chance of each word (second index) where the plant shows the state of the first index, slips among
/// them.</param>
/// <param name="Meant">The part of it that is no slip.</param>
public sealed record WordTable(double[,] Said, double[,] Meant);

/// <summary>To what observers slip, and what else they call what they see.</summary>
public static class Slips
{
    // Of the slips of a state, what the flora declares goes to its confusions; of the rest this much goes to the neighbours of
    // an ordered character, and what is left evenly to all other states.
    private const double ToNeighbours = 0.7;

    // Of those who see a state that lies within a broader one, so many name the broader: a choice.
    private const double NameTheBroader = 0.3;

    /// <summary>The chance of reading each state (second index) where the plant shows the state of the first index, every word being the
    /// flora's own.</summary>
    /// <param name="character">The character, with its declared confusions.</param>
    /// <param name="rate">The chance of a slip, 0 to 1.</param>
    public static double[,] Confusion(StateCharacter character, double rate) => Words(character, rate, 0, broader: false).Said;

    /// <summary>The chance of each word where the plant shows each state.</summary>
    /// <param name="character">The character.</param>
    /// <param name="rate">The chance of a slip, 0 to 1.</param>
    /// <param name="looseness">The chance of another word for the same thing, 0 to 1; it goes where slips go that are declared, or to
    /// neighbours.</param>
    /// <param name="broader">Whether some name the broader of two words.</param>
    public static WordTable Words(StateCharacter character, double rate, double looseness, bool broader = true)
    {
        var count = character.States.Count;
        var (said, meant) = (new double[count, count], new double[count, count]);
        if (count == 1)
            (rate, looseness) = (0, 0);
        for (var shown = 0; shown < count; shown++)
        {
            var (slipped, loose) = (Slipped(character, shown), Declared(character, shown));
            var around = broader ? character.Within.GetValueOrDefault(character.States[shown].Id, []) : [];
            // Where the vocabulary says which words are taken for others, those that it does not name are not.
            var loosely = loose is null && character.Confusions.Count > 0 ? 0 : looseness;
            var plain = 1 - loosely;
            foreach (var word in around)
                meant[shown, character.IndexOf(word)] += plain * NameTheBroader / around.Count;
            meant[shown, shown] += around.Count > 0 ? plain * (1 - NameTheBroader) : plain;
            for (var read = 0; read < count; read++)
            {
                meant[shown, read] = (1 - rate) * (meant[shown, read] + loosely * (loose ?? slipped)[read]);
                said[shown, read] = meant[shown, read] + rate * slipped[read];
            }
        }
        return new WordTable(said, meant);
    }

    // Where slips of a state go.
    private static double[] Slipped(StateCharacter character, int shown)
    {
        var count = character.States.Count;
        var (to, left) = (new double[count], 1.0);
        foreach (var confusion in character.Confusions.Where(c => c.State == character.States[shown].Id))
        {
            to[character.IndexOf(confusion.TakenFor)] += confusion.Share;
            left -= confusion.Share;
        }
        if (character.Ordered && count > 2)
        {
            var share = left * ToNeighbours;
            int[] neighbours = [.. Neighbours(character, shown)];
            foreach (var neighbour in neighbours)
                to[neighbour] += share / neighbours.Length;
            left -= share;
        }
        for (var read = 0; read < count; read++)
            if (read != shown)
                to[read] += left / (count - 1);
        return to;
    }

    // What it is called for want of the flora's word: what it is declared to be taken for, and its neighbours; null where there are
    // neither.
    private static double[]? Declared(StateCharacter character, int shown)
    {
        var to = new double[character.States.Count];
        foreach (var confusion in character.Confusions.Where(c => c.State == character.States[shown].Id))
            to[character.IndexOf(confusion.TakenFor)] += confusion.Share;
        var left = 1 - to.Sum();
        if (character.Ordered)
            foreach (var neighbour in Neighbours(character, shown))
                to[neighbour] += left / Neighbours(character, shown).Count();
        var sum = to.Sum();
        return sum == 0 ? null : [.. to.Select(share => share / sum)];
    }

    private static IEnumerable<int> Neighbours(StateCharacter character, int shown) =>
        new[] { shown - 1, shown + 1 }.Where(n => n >= 0 && n < character.States.Count);
}
