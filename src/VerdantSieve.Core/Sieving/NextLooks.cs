using System.Numerics.Tensors;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Sieving.Columns;

namespace VerdantSieve.Core.Sieving;

/// <summary>Finds what is most worth looking at now.</summary>
internal sealed class NextLooks
{
    // A question that fewer of the open kinds could answer waits until its condition has been read; one that hardly any could, is not asked.
    private const double AnsweredByMost = 0.9, AnsweredBySome = 0.05;
    private const double LeastBits = 1e-4;

    private readonly SieveTable table;
    private readonly Occasion occasion;
    private readonly IReadOnlySet<string> asked, read;
    private readonly IReadOnlyList<Reading> readings;
    private readonly Taxon? hurting;

    /// <param name="table">The flora made ready.</param>
    /// <param name="occasion">The day and the rest.</param>
    /// <param name="posterior">The chance of each row.</param>
    /// <param name="readings">What was asked about already, told or not.</param>
    public NextLooks(SieveTable table, Occasion occasion, double[] posterior, IReadOnlyList<Reading> readings)
    {
        (this.table, this.occasion, this.readings) = (table, occasion, readings);
        asked = readings.Select(reading => reading.Character).ToHashSet();
        read = readings.Where(reading => reading.Tells).Select(reading => reading.Character).ToHashSet();
        hurting = Enumerable.Range(0, table.Rows.Taxa).Where(t => posterior[t] > Sieve.Possible && table.Flora.Taxa[t].HurtsOnTouch)
            .OrderByDescending(t => posterior[t]).Select(t => table.Flora.Taxa[t]).FirstOrDefault();
    }

    /// <summary>The looks, best first; those held back last.</summary>
    /// <param name="weights">The chance of each row, as the school has it: of the taxa, and of what is unknown, so that a look that would show the
    /// leader to be a stranger is worth something too.</param>
    public NextLook[] Find(double[] weights)
    {
        var known = weights.AsSpan(0, table.Rows.Taxa).ToArray();
        var sum = TensorPrimitives.Sum<double>(known);
        if (sum <= 0) return [];
        TensorPrimitives.Divide(known, sum, known);
        var open = Information.Entropy(known);
        return
        [
            .. Open(known, foresight => foresight.Bits(weights))
                .OrderBy(look => look.HeldBack is not null).ThenByDescending(look => Math.Round(look.Worth, 3)).ThenBy(look => look.Character.Order)
                // What a look leaves of the known kinds is only said of the first few.
                .Select((look, place) => place < Said ? look with { Leaves = Math.Pow(2, open - table[look.Character.Id].Foresee(occasion).Bits(known) * look.Character.Weight) } : look)
        ];
    }

    /// <summary>The look that best parts two kinds; null where none does.</summary>
    public NextLook? Between(int one, int other)
    {
        var known = new double[table.Rows.Taxa];
        known[one] = known[other] = 0.5;
        return Open(known, foresight => foresight.Between(one, other)).Where(look => look.Bits > 0.1)
            .OrderBy(look => look.HeldBack is not null).ThenByDescending(look => look.Worth).ThenBy(look => look.Character.Order).FirstOrDefault();
    }

    private const int Said = 16;

    // Every character that can be asked, with the bits it would tell.
    private IEnumerable<NextLook> Open(double[] known, Func<Foresight, double> bitsOf)
    {
        foreach (var character in table.Flora.Characters)
        {
            if (asked.Contains(character.Id) || character is SeasonCharacter && occasion.DayOfYear is null || RuledOut(character)) continue;
            var chance = 1.0;
            if (character.OnlyIf is { } condition)
            {
                chance = TensorPrimitives.Dot(known, table.Readable(character, read, occasion).AsSpan(0, known.Length));
                if (chance < (!condition.IsPresence && !read.Contains(condition.CharacterId) ? AnsweredByMost : AnsweredBySome)) continue;
            }
            var bits = bitsOf(table[character.Id].Foresee(occasion)) * character.Weight;
            if (bits < LeastBits) continue;
            var heldBack = character.Contact && hurting is not null ? $"Wait with touching: {hurting.CommonName} is still possible." : null;
            yield return new NextLook(character, bits, chance, heldBack);
        }
    }

    // What was read may say that there is nothing to look at: no flowers today, so no colour of flowers.
    private bool RuledOut(Character character)
    {
        for (var at = character; at.OnlyIf is { } condition; at = table.Flora.Character(condition.CharacterId))
            if (readings.FirstOrDefault(reading => reading.Character == condition.CharacterId) is { } on && !condition.CanHold(on.Observation)) return true;
        return false;
    }
}
