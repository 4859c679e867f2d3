using System.Numerics.Tensors;
using NodaTime;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Sieving.Columns;

namespace VerdantSieve.Core.Sieving;

/// <summary>Finds what is most worth looking at now.</summary>
internal sealed class NextLooks
{
    // A question that fewer of the open kinds could answer waits until its condition has been read; one that hardly any could, is not
    // asked.
    private const double AnsweredByMost = 0.9,
        AnsweredAtAGlance = 0.4,
        AnsweredBySome = 0.05;

    // Where most of what it may be is bare, nothing is asked of leaves.
    private const double MostlyInLeaf = 0.5;
    private const double LeastBits = 1e-4;

    // Of two kinds told apart so little by a look, it is no test.
    private const double LeastBitsOfATest = 0.1;

    // A glance that tells so little is not worth a question.
    private const double LeastOfAGlance = 0.03;

    // What a look leaves is only said of the first few.
    private const int Said = 16;

    private readonly SieveTable table;
    private readonly double[] room;
    private readonly SiteAndDay when;
    private readonly HashSet<string> asked,
        read;
    private readonly Dictionary<string, Observation> observed = [];
    private readonly Candidate[] hurting;
    private readonly bool keepAway;

    /// <param name="weighed">The question.</param>
    public NextLooks(Weighed weighed)
        : this(weighed, weighed.When, weighed.Question.Circumstances.Date) { }

    /// <param name="weighed">The question.</param>
    /// <param name="when">The day of the looks, where it is another than that of the question.</param>
    /// <param name="today">The same as a date; null where none is known.</param>
    public NextLooks(Weighed weighed, SiteAndDay when, LocalDate? today)
    {
        table = weighed.Table;
        this.when = when;
        room = new double[table.Rows.Count];
        // Whether there are flowers or fruit is asked anew on another day.
        Reading[] readings = [.. weighed.Question.Readings.Where(reading => IsOfToday(reading, today))];
        foreach (var reading in readings)
            observed.TryAdd(reading.Character, reading.Observation.InStates(table.Flora.Character(reading.Character)));
        asked = [.. readings.Select(reading => reading.Character)];
        read = [.. readings.Where(reading => reading.Tells).Select(reading => reading.Character)];
        // Whoever says how leaves sit has seen that there are leaves.
        asked.UnionWith(
            read.SelectMany(id => table.Flora.Vocabulary.ConditionsOf(table.Flora.Character(id)))
                .Where(condition => condition.IsPresence || condition is { Negated: false, States.Count: 1 })
                .Select(condition => condition.CharacterId)
        );
        hurting = [.. weighed.ByRow.Where(candidate => candidate.IsPossible && candidate.Taxon.HurtsOnTouch)];
        keepAway = weighed.Enough is not null;
    }

    private bool IsOfToday(Reading reading, LocalDate? today) =>
        reading.Day is null || reading.Day == today || table.Flora.Character(reading.Character) is not SeasonCharacter;

    /// <summary>The looks, best first; those held back last.</summary>
    /// <param name="weights">The chance of each row, as the school has it: of the taxa, and of what is unknown, so that a look that would
    /// show the
    /// leader to be a stranger is worth something too.</param>
    public NextLook[] Find(double[] weights)
    {
        var known = weights.AsSpan(0, table.Rows.Taxa).ToArray();
        var sum = Sums.Of<double>(known);
        if (sum <= 0)
            return [];
        TensorPrimitives.Divide(known, sum, known);
        var open = Information.Entropy(known);
        var (all, ofKnown) = (new RowWeights(weights, table.Rows), new RowWeights(known, table.Rows));
        NextLook[] looks = [.. Open(table.Flora.Characters, known, (_, expected) => expected.Bits(all))];
        Array.Sort(looks, InOrder);
        for (var place = 0; place < Math.Min(Said, looks.Length); place++)
            looks[place] = looks[place] with { Leaves = Left(looks[place].Character, open, ofKnown) };
        return looks;
    }

    private static int InOrder(NextLook one, NextLook other)
    {
        if (one.HeldBack is null != other.HeldBack is null)
            return one.HeldBack is null ? -1 : 1;
        // What one glance shows is said before anything else is asked, wherever it tells anything.
        if (IsGlance(one) != IsGlance(other))
            return IsGlance(one) ? -1 : 1;
        var worth = Math.Round(other.Worth, 3).CompareTo(Math.Round(one.Worth, 3));
        return worth != 0 ? worth : one.Character.Order.CompareTo(other.Character.Order);

        static bool IsGlance(NextLook look) => look.Character.IsGlance && look.Bits * look.Chance >= LeastOfAGlance;
    }

    /// <summary>Every look there could be on a day, best first; those held back are left out.</summary>
    /// <param name="among">The characters that are asked about.</param>
    /// <param name="known">The chance of each taxon, adding up to 1.</param>
    /// <param name="bitsOf">What a look would tell, by its character.</param>
    public IEnumerable<NextLook> Open(IEnumerable<Character> among, double[] known, Func<Character, double> bitsOf) =>
        Open(among, known, (character, _) => bitsOf(character)).Where(look => look.HeldBack is null);

    /// <summary>The chance that a look can be made on a plant of each row of a column, on this day.</summary>
    public double[] Readable(Character character)
    {
        if (when.Stage is { } stage && character.Stages.Count > 0 && !character.Stages.Contains(stage))
            return new double[table.Rows.Count];
        var chances = character.OnlyIf is null
            ? [.. Enumerable.Repeat(1.0, table.Rows.Count)]
            : table.Readable(character, read, when, room).ToArray();
        if (Organs.Of(character) == Organ.Leaf && character.Stages.Count == 0 && table.Leafy(when) is { } leafy)
            TensorPrimitives.Multiply(chances, leafy, chances);
        return chances;
    }

    private double Left(Character character, double open, RowWeights known) =>
        Math.Pow(2, open - table[character.Id].Expected(when).Bits(known) * character.Weight);

    /// <summary>The look that best parts two kinds; null where none does.</summary>
    public NextLook? Between(Row one, Row other)
    {
        var known = new double[table.Rows.Taxa];
        known[one.Index] = known[other.Index] = 0.5;
        return Open(table.Flora.Characters, known, (_, expected) => expected.Between(one, other))
            .Where(look => look.Bits > LeastBitsOfATest)
            .OrderBy(look => look.HeldBack is not null)
            .ThenByDescending(look => look.Worth)
            .ThenBy(look => look.Character.Order)
            .FirstOrDefault();
    }

    // Every character that can be asked, with the bits it would tell, and what its answer opens.
    private IEnumerable<NextLook> Open(IEnumerable<Character> among, double[] known, Func<Character, ExpectedOutcomes, double> bitsOf)
    {
        var opened = new Dictionary<string, double>();
        var open = new List<(Character Character, double Bits, double Chance)>(table.Flora.Characters.Count);
        var inLeaf = ChanceInLeaf(known);
        var met = new Dictionary<Condition, double>();
        foreach (var character in among)
        {
            // What needs touching is held back, which says why; what needs coming near is not offered.
            if (keepAway && !character.Contact && !KeepAway.IsAtArmsLength(character))
                continue;
            if (asked.Contains(character.Id) || RuledOut(character))
                continue;
            var column = table[character.Id];
            if (!column.CanBeAsked(when))
                continue;
            var (chance, waits) = ChanceReadable(character, known, inLeaf, met);
            if (chance < AnsweredBySome)
                continue;
            var bits = bitsOf(character, column.Expected(when)) * character.Weight;
            if (bits < LeastBits)
                continue;
            if (!waits)
                open.Add((character, bits, chance));
            else
                opened[character.OnlyIf!.CharacterId] = Math.Max(
                    opened.GetValueOrDefault(character.OnlyIf.CharacterId),
                    bits * chance / character.Effort
                );
        }
        foreach (var (character, bits, chance) in open)
        {
            var heldBack = KeepAway.WaitFor(character, hurting);
            yield return new NextLook(character, bits, chance, heldBack) { Opens = chance * opened.GetValueOrDefault(character.Id) };
        }
    }

    // The chance that it can be answered on this plant, and whether it has to wait for the look it hangs on. Many hang on the same.
    private (double Chance, bool Waits) ChanceReadable(
        Character character,
        double[] known,
        double inLeaf,
        Dictionary<Condition, double> met
    )
    {
        if (when.Stage is { } stage && character.Stages.Count > 0 && !character.Stages.Contains(stage))
            return (0, false);
        var visible = Organs.Of(character) == Organ.Leaf && character.Stages.Count == 0 ? inLeaf : 1;
        if (visible < MostlyInLeaf)
            return (0, false);
        if (character.OnlyIf is not { } condition)
            return (visible, false);
        if (!met.TryGetValue(condition, out var isMet))
            met[condition] = isMet = Sums.OfProducts<double>(known, table.Readable(character, read, when, room)[..known.Length]);
        var chance = visible * isMet;
        var unread = !condition.IsPresence && !read.Contains(condition.CharacterId);
        return (chance, unread && chance < (character.IsGlance ? AnsweredAtAGlance : AnsweredByMost));
    }

    private double ChanceInLeaf(double[] known) =>
        table.Leafy(when) is { } leafy ? Sums.OfProducts<double>(known, leafy.AsSpan(0, known.Length)) : 1;

    // What was read may say that there is nothing to look at: no flowers today, so no colour of flowers.
    private bool RuledOut(Character character)
    {
        var conditions = table.Flora.Vocabulary.ConditionsOf(character);
        for (var i = 0; i < conditions.Count; i++)
            if (observed.TryGetValue(conditions[i].CharacterId, out var on) && !conditions[i].CanHold(on))
                return true;
        return false;
    }
}
