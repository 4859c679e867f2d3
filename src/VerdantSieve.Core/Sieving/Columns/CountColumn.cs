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

    private readonly double[][] chances; // row, number

    public CountColumn(CountCharacter character, ColumnSource source)
        : base(character, source)
    {
        var even = Enumerable.Range(0, CountCharacter.Largest + 1).Select(n => n == 0 ? 0 : 1.0 / CountCharacter.Largest).ToArray();
        chances = Rows.Fill([.. Scores.Select(score => score is RangeScore range ? CountSpread.From(range) : null)], even);
    }

    public override void Fill(Reading reading, SiteAndDay when, Span<double> total, Span<double> fitting)
    {
        var (low, high) = reading.Observation.OfAmount(
            // Judged on most of the sample: the usual number counts, not the odd leaf.
            counted: counted => (counted.Usual ?? counted.Low, counted.Usual ?? counted.High),
            measured: ObservationKinds.Refuse<(int, int)>,
            limited: limited => limited.Side == LimitSide.AtMost ? (1, (int)limited.Limit) : ((int)limited.Limit, CountCharacter.Largest)
        );
        var rate = Model.SlipRate(reading.Certainty);
        for (var row = 0; row < Rows.Count; row++)
        {
            var (right, wrong) = (0.0, 0.0);
            for (var n = low; n <= high; n++)
            {
                right += At(row, n);
                wrong += OutByOne * At(row, n - 1) + OutByOne * At(row, n + 1) + Anything * At(Rows.None.Index, n);
            }
            fitting[row] = (1 - rate) * right;
            total[row] = fitting[row] + rate * wrong;
        }
    }

    private double At(int row, int n) => n >= 0 && n <= CountCharacter.Largest ? chances[row][n] : 0;

    public override Func<Row, bool> Allowing(Observation observation, SiteAndDay when)
    {
        var allows = RangeTest.Of(observation);
        return taxon => ScoreOf(taxon) is not RangeScore score || allows(score);
    }

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
