using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;

namespace VerdantSieve.Core.Sieving.Columns;

internal sealed class CountColumn : Column
{
    private readonly double[][] chances;    // row, number

    public CountColumn(CountCharacter character, Score?[] scores, Rows rows, SieveModel model) : base(character, scores, rows, model)
    {
        var even = Enumerable.Range(0, CountCharacter.Largest + 1).Select(n => n == 0 ? 0 : 1.0 / CountCharacter.Largest).ToArray();
        chances = rows.Fill([.. scores.Select(score => score is RangeScore range ? CountSpread.From(range) : null)], even);
    }

    public override Likelihood Likelihood(Reading reading, Occasion occasion)
    {
        var (low, high) = reading.Observation switch
        {
            // Judged on most of the sample: the usual number counts, not the odd leaf.
            Counted { Usual: { } usual } => (usual, usual),
            Counted counted => (counted.Low, counted.High),
            Limited { IsMost: true } limited => (1, (int)limited.Limit),
            Limited limited => ((int)limited.Limit, CountCharacter.Largest),
            _ => throw new ArgumentOutOfRangeException(nameof(reading), reading, "Not a reading of a count.")
        };
        var rate = Model.SlipRate(reading.Certainty);
        var (total, fits) = (new double[Rows.Count], new double[Rows.Count]);
        for (var row = 0; row < Rows.Count; row++)
            for (var n = low; n <= high; n++)
            {
                fits[row] += (1 - rate) * At(row, n);
                total[row] += (1 - rate) * At(row, n) + rate * Miscounted(row, n);
            }
        return new Likelihood(total, fits);
    }

    // Half of the miscounts are out by one; the rest could be anything the flora knows.
    private double Miscounted(int row, int n) => 0.25 * At(row, n - 1) + 0.25 * At(row, n + 1) + 0.5 * At(Rows.None, n);

    private double At(int row, int n) => n >= 0 && n <= CountCharacter.Largest ? chances[row][n] : 0;

    public override bool Allows(int taxon, Observation observation, Occasion occasion) => Scores[taxon] is not RangeScore score || RangeTest.Allows(score, observation);

    // Small numbers one by one, larger ones in bands of a sixth: among twenty leaflets one more tells nothing, and every band costs a pass over the flora.
    private static readonly (int Low, int High)[] Bands = [.. InBands()];

    private static IEnumerable<(int Low, int High)> InBands()
    {
        for (var low = 1; low <= CountCharacter.Largest;)
        {
            var high = Math.Min(CountCharacter.Largest, low + low / 6 - (low < 12 ? low / 6 : 0));
            yield return (low, high);
            low = high + 1;
        }
    }

    public override IReadOnlyList<double[]> Outcomes(Occasion occasion) =>
    [
        .. Bands.Where(band => chances.Any(row => row[band.Low..(band.High + 1)].Sum() > 0.01))
            .Select(band => Likelihood(new Reading(Character.Id, new Counted(band.Low, band.High), Certainty.Fair), occasion).Total)
    ];
}
