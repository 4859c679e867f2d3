using System.Globalization;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Measuring;
using VerdantSieve.Core.Observing;

namespace VerdantSieve.Core.Sieving.Columns;

internal sealed class CountColumn : Column
{
    // An outcome that hardly any row shows is not worth a pass over the flora.
    private const double WorthAPass = 0.01;

    // Half of the miscounts are out by one; the rest could be anything the flora knows.
    private const double OutByOne = 0.25,
        Anything = 0.5;

    // Small numbers one by one, larger ones in bands of a sixth: among twenty leaflets one more tells nothing, and every band costs a pass
    // over the flora.
    private static readonly (int Low, int High)[] Bands = [.. InBands()];
    private const int OneByOne = 12;

    private readonly double[][] chances, // row, number: what the score says
        shown; // the same, and what it leaves out
    private readonly double[] believed;
    private readonly RangeTest ranges;

    public CountColumn(CountCharacter character, ColumnSource source)
        : base(character, source)
    {
        ranges = new RangeTest(Scores);
        var even = Enumerable.Range(0, CountCharacter.Largest + 1).Select(n => n == 0 ? 0 : 1.0 / CountCharacter.Largest).ToArray();
        double[]?[] own = [.. Scores.Select(score => score is RangeScore range ? CountSpread.From(range) : null)];
        chances = Rows.Fill(own, even);
        believed = [.. GapsOf(score => score is RangeScore { Low: var low, High: var high } && low < high).Select(gap => 1 - gap)];
        var kin = Rows.NearestKin(own, even);
        shown = [.. chances.Select((row, r) => row.Select((chance, n) => believed[r] * chance + (1 - believed[r]) * kin[r][n]).ToArray())];
    }

    // The numbers of one plant differ less than those of a kind.
    private const double Alike = 4;

    // Much the same number: one more or less, or a tenth.
    private const double NearlySame = 0.1;

    protected override void FillRows(Reading reading, SiteAndDay when, Likelihoods into)
    {
        if (reading.Observation is Compared compared)
        {
            FillCompared(compared, Model.SlipRate(reading.Certainty), into);
            return;
        }
        if (reading.Observation is Tallied tallied)
        {
            FillTally(tallied, Model.SlipRate(reading.Certainty), into);
            return;
        }
        var (low, high) = reading.Observation.OfAmount(
            // Judged on most of the sample: the usual number counts, not the odd leaf.
            counted: counted => (counted.Usual ?? counted.Low, counted.Usual ?? counted.High),
            measured: ObservationKinds.Refuse<(int, int)>,
            limited: limited => limited.Side == LimitSide.AtMost ? (1, (int)limited.Limit) : ((int)limited.Limit, CountCharacter.Largest)
        );
        var (rate, loose) = (Model.SlipRate(reading.Certainty), Model.LoosenessOf(Character));
        for (var row = 0; row < Rows.Count; row++)
        {
            var (says, shows, wrong) = (0.0, 0.0, 0.0);
            for (var n = low; n <= high; n++)
            {
                says += Loosely(chances[row], n, loose);
                shows += Loosely(shown[row], n, loose);
                wrong += OutByOne * (At(shown[row], n - 1) + At(shown[row], n + 1)) + Anything * At(chances[Rows.Average.Index], n);
            }
            into.Fitting[row] = (1 - rate) * believed[row] * says;
            into.Unslipped[row] = (1 - rate) * shows;
            into.Total[row] = into.Unslipped[row] + rate * wrong;
        }
    }

    private void FillTally(Tallied tallied, double rate, Likelihoods into)
    {
        int[] numbers = [.. tallied.Of.Select(line => int.Parse(line.What, CultureInfo.InvariantCulture))];
        var room = new double[numbers.Length];
        for (var row = 0; row < Rows.Count; row++)
        {
            var (fits, unslipped) = (1.0, 1.0);
            for (var i = 0; i < numbers.Length; i++)
            {
                var (says, shows) = (At(chances[row], numbers[i]), At(shown[row], numbers[i]));
                var wrong =
                    OutByOne * (At(shown[row], numbers[i] - 1) + At(shown[row], numbers[i] + 1))
                    + Anything * At(chances[Rows.Average.Index], numbers[i]);
                room[i] = (1 - rate) * shows + rate * wrong;
                fits = Math.Min(fits, (1 - rate) * believed[row] * says / room[i]);
                unslipped = Math.Min(unslipped, (1 - rate) * shows / room[i]);
            }
            into.Total[row] = Tallies.Chance(tallied, room, Alike);
            into.Fitting[row] = fits * into.Total[row];
            into.Unslipped[row] = unslipped * into.Total[row];
        }
    }

    private void FillCompared(Compared compared, double rate, Likelihoods into)
    {
        var than = chances[RowOf(compared).Index];
        // The chance that a plant with each number would be said to stand so to the other kind.
        var stands = Enumerable.Range(0, than.Length).Select(n => Stands(n, than, compared.Is)).ToArray();
        for (var row = 0; row < Rows.Count; row++)
        {
            into.Fitting[row] = (1 - rate) * believed[row] * Sums.OfProducts<double>(chances[row], stands);
            into.Unslipped[row] = (1 - rate) * Sums.OfProducts<double>(shown[row], stands);
            into.Total[row] = into.Unslipped[row] + rate * AnyComparison;
        }
    }

    private static double Stands(int number, double[] than, Comparison how)
    {
        var sum = 0.0;
        for (var other = 1; other < than.Length; other++)
            sum +=
                than[other]
                * how switch
                {
                    Comparison.Less => Half(other.CompareTo(number)),
                    Comparison.More => Half(number.CompareTo(other)),
                    Comparison.Alike => Math.Abs(number - other) <= Math.Max(1, NearlySame * other) ? 1 : 0,
                };
        return sum;
    }

    private static double Half(int order) => (order + 1) / 2.0;

    // Two people who count what is neither a lobe nor a tooth are out by one.
    private static double Loosely(double[] of, int n, double loose) =>
        (1 - loose) * At(of, n) + loose / 2 * (At(of, n - 1) + At(of, n + 1));

    private static double At(double[] of, int n) => n >= 0 && n <= CountCharacter.Largest ? of[n] : 0;

    public override Func<Row, bool> Allowing(Reading reading, SiteAndDay when) => ranges.Allowing(reading.Observation, Reference);

    private static IEnumerable<(int Low, int High)> InBands()
    {
        for (var low = 1; low <= CountCharacter.Largest;)
        {
            var high = low < OneByOne ? low : Math.Min(CountCharacter.Largest, low + low / 6);
            yield return (low, high);
            low = high + 1;
        }
    }

    protected override IReadOnlyList<double[]> Outcomes(SiteAndDay when) =>
        [
            .. Bands
                .Where(band => chances.Any(row => row[band.Low..(band.High + 1)].Sum() > WorthAPass))
                .Select(band => ChanceOf(new Counted(band.Low, band.High), when)),
        ];
}
