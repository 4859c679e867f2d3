using System.Numerics.Tensors;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;

namespace VerdantSieve.Core.Sieving.Columns;

internal sealed class StateColumn : Column
{
    // Leaves looked at in a fair sample: what decides whether a tree that can show a state does show it. Where a plant does not vary, two
    // looks.
    private const int FairSample = 10,
        TwoLooks = 2;

    private readonly StateCharacter character;
    private readonly double[][] chances; // state, row: what the plant shows
    private readonly bool[][] allowed; // state, taxon: whether its score can allow it
    private readonly Dictionary<Certainty, double[,]> confusion;

    public StateColumn(StateCharacter character, ColumnSource source)
        : base(character, source)
    {
        this.character = character;
        var count = character.States.Count;
        var even = Enumerable.Repeat(1.0 / count, count).ToArray();
        var filled = Rows.Fill(
            [.. Scores.Select(score => score is StateScore own ? character.States.Select(state => own.Share(state.Id)).ToArray() : null)],
            even
        );
        chances = [.. Enumerable.Range(0, count).Select(state => filled.Select(row => row[state]).ToArray())];
        allowed =
        [
            .. character.States.Select(state => Scores.Select(score => score is not StateScore own || own.Allows(state.Id)).ToArray()),
        ];
        confusion = Enum.GetValues<Certainty>()
            .ToDictionary(certainty => certainty, certainty => Slips.Confusion(character, Model.SlipRate(certainty)));
    }

    public override double[] LastingChance(Condition condition)
    {
        var sum = new double[Rows.Count];
        foreach (var state in condition.States)
            TensorPrimitives.Add(sum, chances[character.IndexOf(state)], sum);
        return condition.Negated ? [.. sum.Select(chance => 1 - chance)] : sum;
    }

    public override void Fill(Reading reading, SiteAndDay when, Span<double> total, Span<double> fitting)
    {
        var seen = reading.Observation.OfStates();
        int[] states = [.. seen.States.Select(character.IndexOf)];
        if (seen.Mode == StateMode.AllSeen)
            FillAllSeen(states, Shown(when), confusion[reading.Certainty], total, fitting);
        else if (character.OneSided)
            FillOneSided(states, Model.SlipRate(reading.Certainty), total, fitting);
        else
            FillOneOf(states, Shown(when), confusion[reading.Certainty], total, fitting);
    }

    // One of these, can't tell which; taking one of them for another is no slip.
    private static void FillOneOf(int[] states, double[][] shown, double[,] table, Span<double> total, Span<double> fitting)
    {
        total.Clear();
        fitting.Clear();
        for (var from = 0; from < shown.Length; from++)
        {
            var asRead = states.Sum(state => table[from, state]);
            TensorPrimitives.MultiplyAdd(shown[from], asRead, total, total);
            if (states.Contains(from))
                TensorPrimitives.MultiplyAdd(shown[from], asRead, fitting, fitting);
        }
    }

    // Each state named must occur in a fair sample of this plant's leaves, or one that is taken for it.
    private void FillAllSeen(int[] states, double[][] shown, double[,] table, Span<double> total, Span<double> fitting)
    {
        var leaves = character.Variety ? FairSample : TwoLooks;
        total.Fill(1);
        fitting.Fill(1);
        foreach (var state in states)
            for (var row = 0; row < Rows.Count; row++)
            {
                var occurs = 1 - Math.Pow(1 - shown[state][row], leaves);
                var mistaken = 0.0;
                for (var from = 0; from < shown.Length; from++)
                    if (from != state)
                        mistaken += shown[from][row] * table[from, state];
                var right = occurs * table[state, state];
                total[row] *= right + (1 - occurs) * mistaken;
                fitting[row] *= right;
            }
    }

    // A kind at home in many states is not the less at home in each; one at home in few is seldom met outside them.
    private void FillOneSided(int[] states, double rate, Span<double> total, Span<double> fitting)
    {
        for (var row = 0; row < Rows.Count; row++)
        {
            var (most, sum, here) = (0.0, 0.0, 0.0);
            for (var state = 0; state < chances.Length; state++)
            {
                most = Math.Max(most, chances[state][row]);
                sum += chances[state][row];
            }
            foreach (var state in states)
                here = Math.Max(here, chances[state][row] / most);
            // The more states a kind is at home in, the oftener it strays into others.
            var stray = Math.Min(0.5, 0.1 + 0.08 * sum / most);
            fitting[row] = (1 - rate) * (stray + (1 - stray) * here);
            total[row] = fitting[row] + rate * 0.5;
        }
    }

    public override Func<Row, bool> Allowing(Observation observation, SiteAndDay when)
    {
        var seen = observation.OfStates();
        if (when.Planted && character.GardenForm?.State is { } lacking && seen.States.Contains(lacking))
            return _ => true;
        bool[][] each = [.. seen.States.Select(state => allowed[character.IndexOf(state)])];
        var all = seen.Mode == StateMode.AllSeen;
        return taxon =>
        {
            foreach (var state in each)
                if (state[taxon.Index] != all)
                    return !all;
            return all;
        };
    }

    protected override IReadOnlyList<double[]> Outcomes(SiteAndDay when) =>
        [
            .. Enumerable
                .Range(0, chances.Length)
                .Select(state =>
                {
                    var (total, fitting) = (new double[Rows.Count], new double[Rows.Count]);
                    FillOneOf([state], chances, confusion[Certainty.Fair], total, fitting);
                    return total;
                }),
        ];

    // Where planted, some plants are garden forms that lack what the wild plant has.
    private double[][] Shown(SiteAndDay when)
    {
        var lacking = when.Lacking(character);
        if (lacking == 0)
            return chances;
        var state = character.IndexOf(character.GardenForm!.State!);
        return [.. chances.Select((column, s) => column.Select(chance => (1 - lacking) * chance + (s == state ? lacking : 0)).ToArray())];
    }
}
