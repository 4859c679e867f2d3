using System.Numerics.Tensors;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;

namespace VerdantSieve.Core.Sieving.Columns;

internal sealed class StateColumn : Column
{
    // Leaves looked at in a fair sample: what decides whether a tree that can show a state does show it.
    private const int FairSample = 10;

    private readonly StateCharacter character;
    private readonly double[][] chances;        // state, row: what the plant shows
    private readonly Dictionary<Certainty, double[,]> confusion;

    public StateColumn(StateCharacter character, Score?[] scores, Rows rows, SieveModel model) : base(character, scores, rows, model)
    {
        this.character = character;
        var count = character.States.Count;
        var even = Enumerable.Repeat(1.0 / count, count).ToArray();
        var filled = rows.Fill([.. scores.Select(score => score is StateScore own ? Normalise(own) : null)], even);
        chances = [.. Enumerable.Range(0, count).Select(state => filled.Select(row => row[state]).ToArray())];
        confusion = Enum.GetValues<Certainty>().ToDictionary(certainty => certainty, certainty => Slips.Confusion(character, model.SlipRate(certainty)));
    }

    /// <summary>The chance that each row shows one of these states (or none of them).</summary>
    public double[] ChanceOf(Condition condition)
    {
        var sum = new double[Rows.Count];
        foreach (var state in condition.States) TensorPrimitives.Add(sum, chances[character.IndexOf(state)], sum);
        return condition.Negated ? [.. sum.Select(chance => 1 - chance)] : sum;
    }

    public override Likelihood Likelihood(Reading reading, Occasion occasion)
    {
        var seen = (StatesSeen)reading.Observation;
        var shown = Shown(occasion);
        var table = confusion[reading.Certainty];
        int[] states = [.. seen.States.Select(character.IndexOf)];
        return seen.Mode == StateMode.AllSeen ? AllSeen(states, shown, table) : character.OneSided ? OneSided(states, reading.Certainty) : OneOf(states, shown, table);
    }

    // One of these, can't tell which; taking one of them for another is no slip.
    private Likelihood OneOf(int[] states, double[][] shown, double[,] table)
    {
        var (total, fits) = (new double[Rows.Count], new double[Rows.Count]);
        for (var from = 0; from < shown.Length; from++)
        {
            var asRead = states.Sum(state => table[from, state]);
            TensorPrimitives.MultiplyAdd(shown[from], asRead, total, total);
            if (states.Contains(from)) TensorPrimitives.MultiplyAdd(shown[from], asRead, fits, fits);
        }
        return new Likelihood(total, fits);
    }

    // Each state named must occur in a fair sample of this plant's leaves, or one that is taken for it.
    private Likelihood AllSeen(int[] states, double[][] shown, double[,] table)
    {
        var leaves = character.Variety ? FairSample : 2;
        var (total, fits) = (new double[Rows.Count], new double[Rows.Count]);
        for (var row = 0; row < Rows.Count; row++)
        {
            (total[row], fits[row]) = (1, 1);
            foreach (var state in states)
            {
                var occurs = 1 - Math.Pow(1 - shown[state][row], leaves);
                var mistaken = 0.0;
                for (var from = 0; from < shown.Length; from++)
                    if (from != state) mistaken += shown[from][row] * table[from, state];
                var right = occurs * table[state, state];
                total[row] *= right + (1 - occurs) * mistaken;
                fits[row] *= right;
            }
        }
        return new Likelihood(total, fits);
    }

    // A kind at home in many states is not the less at home in each; one at home in few is seldom met outside them.
    private Likelihood OneSided(int[] states, Certainty certainty)
    {
        var rate = Model.SlipRate(certainty);
        var (total, fits) = (new double[Rows.Count], new double[Rows.Count]);
        for (var row = 0; row < Rows.Count; row++)
        {
            var (most, breadth, here) = (0.0, 0.0, 0.0);
            for (var state = 0; state < chances.Length; state++) most = Math.Max(most, chances[state][row]);
            for (var state = 0; state < chances.Length; state++) breadth += chances[state][row] / most;
            foreach (var state in states) here = Math.Max(here, chances[state][row] / most);
            var stray = Math.Min(0.5, 0.1 + 0.08 * breadth);
            fits[row] = (1 - rate) * (stray + (1 - stray) * here);
            total[row] = fits[row] + rate * 0.5;
        }
        return new Likelihood(total, fits);
    }

    public override bool Allows(int taxon, Observation observation, Occasion occasion)
    {
        if (Scores[taxon] is not StateScore score) return true;
        var seen = (StatesSeen)observation;
        if (occasion.Planted && character.GardenForm?.State is { } lacking && seen.States.Contains(lacking)) return true;
        var all = seen.Mode == StateMode.AllSeen;
        foreach (var state in seen.States)
            if (score.Allows(state) != all) return !all;
        return all;
    }

    public override IReadOnlyList<double[]> Outcomes(Occasion occasion) =>
        [.. Enumerable.Range(0, chances.Length).Select(state => OneOf([state], chances, confusion[Certainty.Fair]).Total)];

    // Where planted, some plants are garden forms that lack what the wild plant has.
    private double[][] Shown(Occasion occasion)
    {
        var lacking = occasion.Lacking(character);
        if (lacking == 0) return chances;
        var state = character.IndexOf(character.GardenForm!.State!);
        return [.. chances.Select((column, s) => column.Select(chance => (1 - lacking) * chance + (s == state ? lacking : 0)).ToArray())];
    }

    private double[] Normalise(StateScore score)
    {
        var weights = new double[character.States.Count];
        foreach (var state in score.States) weights[character.IndexOf(state.State)] = state.Weight;
        var sum = weights.Sum();
        for (var i = 0; i < weights.Length; i++) weights[i] /= sum;
        return weights;
    }
}
