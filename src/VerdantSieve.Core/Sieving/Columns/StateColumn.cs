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

    // Where the flora names the broader state, the plant shows a finer one so often.
    private const double FinerThanSaid = 0.12;

    // How like its kind a plant is in the shares of what it shows: where one plant shows several things, and where it hardly does.
    private const double VariesAlike = 2,
        HardlyVaries = 0.6;

    // What stands no more than half a step from it in a series is said to be much the same.
    private const double HalfAStep = 0.5;

    private readonly StateCharacter character;
    private readonly double[] even;
    private readonly double[][] kin; // row, state: what it may show where its score leaves something out
    private readonly ShownStates whole;
    private readonly Dictionary<PlantPlace, ShownStates> places = [];
    private readonly Dictionary<Certainty, WordTable> words;

    public StateColumn(StateCharacter character, ColumnSource source)
        : base(character, source)
    {
        this.character = character;
        even = Enumerable.Repeat(1.0 / character.States.Count, character.States.Count).ToArray();
        var own = Scores.Select(score => score is StateScore of ? character.SharesOf(of) : null).ToArray();
        kin = [.. Rows.NearestKin(own, even).Select(WithFiner)];
        whole = Of([.. Rows.Fill(own, even).Select(WithFiner)], Scores);
        foreach (var place in Enum.GetValues<PlantPlace>())
            if (Scores.Any(score => At(score, place) is not null) || Places.Differs(place, character) > 0)
                places[place] = Of(RowsAt(place), [.. Scores.Select(score => AllowedAt(score, place))]);
        words = Enum.GetValues<Certainty>()
            .ToDictionary(
                certainty => certainty,
                certainty => Slips.Words(character, Model.SlipRate(certainty), Model.LoosenessOf(character))
            );
    }

    private static StateScore? At(Score? score, PlantPlace place) => (score as StateScore)?.Elsewhere.GetValueOrDefault(place);

    // What is scored at the place; else what the whole plant shows, as far as the two are alike.
    private double[][] RowsAt(PlantPlace place)
    {
        var differs = Places.Differs(place, character);
        var average = Enumerable.Range(0, even.Length).Select(state => whole.Scored[state][Rows.Average.Index]).ToArray();
        return
        [
            .. Enumerable
                .Range(0, Rows.Count)
                .Select(row =>
                    row < Rows.Taxa && At(Scores[row], place) is { } there
                        ? WithFiner(character.SharesOf(there))
                        : [.. even.Select((_, state) => (1 - differs) * whole.Scored[state][row] + differs * average[state])]
                ),
        ];
    }

    // A score that does not name the place allows anything where places differ.
    private Score? AllowedAt(Score? score, PlantPlace place) => At(score, place) ?? (Places.Differs(place, character) > 0 ? null : score);

    private ShownStates Of(double[][] says, Score?[] scores)
    {
        double[] believed = [.. GapsOf(score => score is StateScore { States.Count: > 1 }).Select(gap => 1 - gap)];
        return new ShownStates(
            ByState(says),
            ByState([
                .. says.Select((row, r) => row.Select((chance, s) => believed[r] * chance + (1 - believed[r]) * kin[r][s]).ToArray()),
            ]),
            believed,
            [.. character.States.Select(state => scores.Select(score => score is not StateScore of || Allows(of, state.Id)).ToArray())]
        );
    }

    private double[][] ByState(double[][] byRow) =>
        [.. Enumerable.Range(0, character.States.Count).Select(state => byRow.Select(row => row[state]).ToArray())];

    // A score that names the broader of two states leaves the finer open.
    private double[] WithFiner(double[] row)
    {
        if (character.Within.Count == 0)
            return row;
        var with = row.ToArray();
        foreach (var (finer, around) in character.Within)
            if (row[character.IndexOf(finer)] == 0)
                foreach (var broader in around.Select(character.IndexOf))
                {
                    with[character.IndexOf(finer)] += FinerThanSaid * row[broader];
                    with[broader] -= FinerThanSaid * row[broader];
                }
        return with;
    }

    // Whoever names the broader of two states is right, and whoever names the finer where the flora names the broader may be.
    private bool Allows(StateScore score, string state) =>
        score.Allows(state) || score.States.Any(said => character.IsWithin(said.State, state) || character.IsWithin(state, said.State));

    public override double[] LastingChance(Condition condition)
    {
        var sum = new double[Rows.Count];
        foreach (var state in condition.States)
            TensorPrimitives.Add(sum, whole.Scored[character.IndexOf(state)], sum);
        return condition.Negated ? [.. sum.Select(chance => Math.Max(0, 1 - chance))] : sum;
    }

    // Where planted, some plants are garden forms that lack what the wild plant has.
    private ShownStates ShownAt(PlantPlace? place, SiteAndDay when)
    {
        var shown = place is { } at && places.TryGetValue(at, out var there) ? there : whole;
        return when.Lacking(character) is > 0 and var lacking
            ? shown.With(character.IndexOf(character.GardenForm!.State!), lacking)
            : shown;
    }

    protected override void FillRows(Reading reading, SiteAndDay when, Likelihoods into)
    {
        var (shown, table) = (ShownAt(reading.On, when), words[reading.Certainty]);
        if (reading.Observation is Tallied tallied)
        {
            FillTally(tallied, shown, table, into);
            return;
        }
        if (reading.Observation is Compared compared)
        {
            FillCompared(compared, shown, Model.SlipRate(reading.Certainty), into);
            return;
        }
        var seen = reading.Observation.OfStates();
        switch (seen.Mode)
        {
            case StateMode.Is or StateMode.Either when character.OneSided:
                FillOneSided(Named(seen.States), Model.SlipRate(reading.Certainty), into);
                break;
            case StateMode.Is or StateMode.Either:
                FillOneOf(Named(seen.States), shown, table, into);
                break;
            case StateMode.AllSeen:
                FillAllSeen(seen.States, shown, table, into);
                break;
            case StateMode.Not:
                // Called by none of these words, it is called by one of the rest.
                FillOneOf([.. Enumerable.Range(0, even.Length).Except(seen.States.SelectMany(character.Covered))], shown, table, into);
                break;
        }
    }

    // The states a reading stands for: a broad word stands for all it covers.
    private int[] Named(IReadOnlyList<string> states) => [.. states.SelectMany(character.Named).Distinct()];

    // One of these, can't tell which; taking one of them for another is no slip.
    private static void FillOneOf(int[] states, ShownStates plant, WordTable table, Likelihoods into)
    {
        into.Clear();
        for (var from = 0; from < plant.Shown.Length; from++)
        {
            var (said, meant) = (0.0, 0.0);
            foreach (var state in states)
            {
                said += table.Said[from, state];
                meant += table.Meant[from, state];
            }
            Add(plant, from, said, Array.IndexOf(states, from) >= 0 ? said : meant, into);
        }
        TensorPrimitives.Multiply(into.Fitting, plant.Believed, into.Fitting);
    }

    private static void Add(ShownStates plant, int from, double said, double meant, Likelihoods into)
    {
        TensorPrimitives.MultiplyAdd(plant.Shown[from], said, into.Total, into.Total);
        // Most states are called by most words only by a slip.
        if (meant == 0)
            return;
        TensorPrimitives.MultiplyAdd(plant.Shown[from], meant, into.Unslipped, into.Unslipped);
        TensorPrimitives.MultiplyAdd(plant.Scored[from], meant, into.Fitting, into.Fitting);
    }

    // Each state named must occur in a fair sample of this plant's leaves, or one that is taken for it.
    private void FillAllSeen(IReadOnlyList<string> states, ShownStates plant, WordTable table, Likelihoods into)
    {
        var leaves = character.Variety ? FairSample : TwoLooks;
        into.SayNothing();
        foreach (var word in states)
        {
            var (covered, named) = (character.Covered(word), character.Named(word));
            var right = covered.Max(from => named.Sum(state => table.Said[from, state]));
            for (var row = 0; row < Rows.Count; row++)
            {
                var (occurs, scored, mistaken, misnamed) = (0.0, 0.0, 0.0, 0.0);
                for (var from = 0; from < plant.Shown.Length; from++)
                    if (covered.Contains(from))
                    {
                        occurs += plant.Shown[from][row];
                        scored += plant.Scored[from][row];
                    }
                    else
                        foreach (var state in named)
                        {
                            mistaken += plant.Shown[from][row] * table.Said[from, state];
                            misnamed += plant.Shown[from][row] * table.Meant[from, state];
                        }
                (occurs, scored) = (InSample(occurs), InSample(scored));
                into.Total[row] *= occurs * right + (1 - occurs) * mistaken;
                into.Unslipped[row] *= occurs * right + (1 - occurs) * misnamed;
                into.Fitting[row] *= plant.Believed[row] * scored * right;
            }
        }

        double InSample(double chance) => 1 - Math.Pow(Math.Max(0, 1 - chance), leaves);
    }

    // A kind at home in many states is not the less at home in each; one at home in few is seldom met outside them.
    private void FillOneSided(int[] states, double rate, Likelihoods into)
    {
        for (var row = 0; row < Rows.Count; row++)
        {
            var (most, sum, here) = (0.0, 0.0, 0.0);
            foreach (var state in whole.Scored)
            {
                most = Math.Max(most, state[row]);
                sum += state[row];
            }
            foreach (var state in states)
                here = Math.Max(here, whole.Scored[state][row] / most);
            // The more states a kind is at home in, the oftener it strays into others.
            var stray = Math.Min(0.5, 0.1 + 0.08 * sum / most);
            into.Fitting[row] = into.Unslipped[row] = (1 - rate) * (stray + (1 - stray) * here);
            into.Total[row] = into.Fitting[row] + rate * 0.5;
        }
    }

    // Of a sample so many leaves showed this and so many that.
    private void FillTally(Tallied tallied, ShownStates plant, WordTable table, Likelihoods into)
    {
        var named = tallied.Of.Select(line => character.Named(line.What)).ToArray();
        var alike = character.Variety ? VariesAlike : HardlyVaries;
        Span<double> chances = stackalloc double[named.Length];
        for (var row = 0; row < Rows.Count; row++)
        {
            var (fits, unslipped) = (1.0, 1.0);
            for (var line = 0; line < named.Length; line++)
            {
                var (said, meant, scored) = (0.0, 0.0, 0.0);
                for (var from = 0; from < plant.Shown.Length; from++)
                    foreach (var state in named[line])
                    {
                        said += plant.Shown[from][row] * table.Said[from, state];
                        meant += plant.Shown[from][row] * table.Meant[from, state];
                        scored += plant.Scored[from][row] * table.Meant[from, state];
                    }
                chances[line] = said;
                (fits, unslipped) = (Math.Min(fits, plant.Believed[row] * scored / said), Math.Min(unslipped, meant / said));
            }
            into.Total[row] = Tallies.Chance(tallied, chances, alike);
            into.Fitting[row] = fits * into.Total[row];
            into.Unslipped[row] = unslipped * into.Total[row];
        }
    }

    private void FillCompared(Compared compared, ShownStates plant, double rate, Likelihoods into)
    {
        into.Clear();
        var than = MeanOf(RowOf(compared));
        for (var state = 0; state < plant.Shown.Length; state++)
        {
            var stands = Stands(state - than, compared.Is);
            Add(plant, state, (1 - rate) * stands, (1 - rate) * stands, into);
        }
        TensorPrimitives.Add(into.Total, rate * AnyComparison, into.Total);
        TensorPrimitives.Multiply(into.Fitting, plant.Believed, into.Fitting);
    }

    // The place in the series that a taxon takes on the whole.
    private double MeanOf(Row row)
    {
        var sum = 0.0;
        for (var state = 0; state < whole.Scored.Length; state++)
            sum += state * whole.Scored[state][row.Index];
        return sum;
    }

    // The chance that what lies so many steps further on in the series would be said to stand so.
    private static double Stands(double steps, Comparison how)
    {
        var (more, less) = (Further(steps - HalfAStep), Further(-steps - HalfAStep));
        return how switch
        {
            Comparison.Less => less,
            Comparison.More => more,
            Comparison.Alike => 1 - less - more,
        };

        static double Further(double steps) => 1 / (1 + Math.Exp(-4 * steps));
    }

    public override Func<Row, bool> Allowing(Reading reading, SiteAndDay when)
    {
        var allowed = ShownAt(reading.On, default).Allowed;
        if (reading.Observation is Tallied tallied)
        {
            var leaves = tallied.Of.Sum(line => line.Leaves);
            return AllOf([
                .. tallied.Of.Where(line => line.Leaves > leaves * Tallies.OddLeaf).Select(line => AllowedBy(line.What, allowed)),
            ]);
        }
        if (reading.Observation is Compared compared)
            return Against(Reference(compared), compared.Is);
        var seen = reading.Observation.OfStates();
        if (when.Planted && character.GardenForm?.State is { } lacking && seen.States.Contains(lacking) != (seen.Mode == StateMode.Not))
            return _ => true;
        return seen.Mode switch
        {
            StateMode.Is or StateMode.Either => AnyOf([.. seen.States.Select(word => AllowedBy(word, allowed))]),
            StateMode.AllSeen => AllOf([.. seen.States.Select(word => AllowedBy(word, allowed))]),
            StateMode.Not => AnyOf([
                .. Enumerable.Range(0, allowed.Length).Except(seen.States.SelectMany(character.Covered)).Select(state => allowed[state]),
            ]),
        };
    }

    private bool[] AllowedBy(string word, bool[][] allowed)
    {
        var named = character.Named(word);
        if (named is [var only])
            return allowed[only];
        var any = new bool[Rows.Taxa];
        foreach (var state in named)
            for (var taxon = 0; taxon < any.Length; taxon++)
                any[taxon] |= allowed[state][taxon];
        return any;
    }

    private static Func<Row, bool> AnyOf(bool[][] each) =>
        taxon =>
        {
            foreach (var state in each)
                if (state[taxon.Index])
                    return true;
            return false;
        };

    private static Func<Row, bool> AllOf(bool[][] each) =>
        taxon =>
        {
            foreach (var state in each)
                if (!state[taxon.Index])
                    return false;
            return true;
        };

    // In a series a kind can be less than another where its first state comes before the other's last.
    private Func<Row, bool> Against(Score? reference, Comparison how)
    {
        if (reference is not StateScore than)
            return _ => true;
        var (first, last) = Ends(than);
        return taxon =>
        {
            if (ScoreOf(taxon) is not StateScore own)
                return true;
            var (ownFirst, ownLast) = Ends(own);
            return how switch
            {
                Comparison.Less => ownFirst < last || last == 0,
                Comparison.More => ownLast > first || first == character.States.Count - 1,
                Comparison.Alike => ownFirst <= last && ownLast >= first,
            };
        };

        (int First, int Last) Ends(StateScore score) =>
            (score.States.Min(state => character.IndexOf(state.State)), score.States.Max(state => character.IndexOf(state.State)));
    }

    protected override IReadOnlyList<double[]> Outcomes(SiteAndDay when) =>
        [.. character.States.Select(state => ChanceOf(new StatesSeen([state.Id], StateMode.Is), default))];
}
