using System.Numerics.Tensors;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;

namespace VerdantSieve.Core.Sieving;

/// <summary>A question with what the readings come to: the ground on which looks, doubts and the determination are found.</summary>
internal sealed class Weighed : IDisposable
{
    public Weighed(SieveTable table, SieveQuestion question)
    {
        (Table, Question) = (table, question);
        When = SiteAndDay.From(question.Circumstances);
        // Each once at each place and on each day, and in the vocabulary's own order, so that sums come out the same to the last bit
        // whatever order things were read in.
        Readings =
        [
            .. question
                .Readings.Where(reading => reading.Tells)
                .DistinctBy(reading => reading.Key)
                .OrderBy(reading => table.Flora.Character(reading.Character).Order)
                .ThenBy(reading => reading.On)
                .ThenBy(reading => reading.Day),
        ];
        Evidence = table.EvidenceOf(Readings, When);
        Prior = table.PriorAt(question.Circumstances);
        if (question.Among is { } listed)
            Prior = Sieving.Prior.Among(Prior, table.Rows, table.Flora, listed);
        Plain = Evidence.Posterior(Prior);
        Evidence.Tell(Plain, table.Model.Telling);
        Posterior = Evidence.Posterior(Prior);
        if (Readings.Count > 0 && Readings.All(reading => table.Flora.Character(reading.Character).OnlySupports))
        {
            KeepKnown(Plain);
            KeepKnown(Posterior);
        }
        Held = table.Held(Readings, When);
        enough = new Lazy<Hazard?>(() => KeepAway.From(this));
        ByRow = [.. table.Flora.Taxa.Select((taxon, t) => CandidateOf(taxon, new Row(t)))];
        var likeliestFirst = LikeliestFirst();
        Ordered = question.School switch
        {
            School.Weigh => likeliestFirst,
            School.Strict =>
            [
                .. likeliestFirst.OrderByDescending(candidate => candidate.Passes).ThenBy(candidate => candidate.Held.Count),
            ],
        };
    }

    public SieveTable Table { get; }
    public SieveQuestion Question { get; }
    public SiteAndDay When { get; }

    /// <summary>The readings that tell something, each character once at each place and on each day.</summary>
    public IReadOnlyList<Reading> Readings { get; }

    /// <summary>The same readings, in the same order, as evidence.</summary>
    public EvidenceSet Evidence { get; }

    /// <summary>The chance of each row before and after the readings.</summary>
    public double[] Prior { get; }
    public double[] Posterior { get; }

    /// <summary>The same before readings that fit together count for more: what is still open is asked of these, where a leader that is
    /// wrong keeps its rivals.</summary>
    public double[] Plain { get; }

    public HeldReadings Held { get; }

    /// <summary>How each taxon fared, in the order of the flora.</summary>
    public Candidate[] ByRow { get; }

    /// <summary>The same, the best first as the school asked for has it.</summary>
    public Candidate[] Ordered { get; }

    /// <summary>The hazard that all which is left has in common; null where there is none.</summary>
    public Hazard? Enough => enough.Value;

    private readonly Lazy<Hazard?> enough;

    /// <summary>The row that is likeliest by weighing.</summary>
    public Row Leader => new(TensorPrimitives.IndexOfMax<double>(Posterior.AsSpan(0, Table.Rows.Taxa)));

    /// <summary>How much each row counts when a look is chosen: its chance or, in the strict school, one vote for each kind in the
    /// pan.</summary>
    public double[] Weights =>
        Question.School switch
        {
            School.Weigh => Plain,
            School.Strict => EvenPan(),
        };

    public Flora Flora => Table.Flora;

    public Candidate this[Row row] => ByRow[row.Index];

    // By bark, colours and outline alone no plant is more likely a stranger than not.
    private const double MostUnknown = 0.5;

    private void KeepKnown(double[] posterior)
    {
        var unknown = Sums.Of<double>(posterior.AsSpan(Table.Rows.Taxa));
        if (unknown <= MostUnknown)
            return;
        var known = posterior.AsSpan(0, Table.Rows.Taxa);
        var rest = posterior.AsSpan(Table.Rows.Taxa);
        TensorPrimitives.Multiply(known, (1 - MostUnknown) / (1 - unknown), known);
        TensorPrimitives.Multiply(rest, MostUnknown / unknown, rest);
    }

    // What differs in the last digits only is as likely, and stays in the order of the flora. One whole number says both.
    private Candidate[] LikeliestFirst()
    {
        const double digits = 1e14;
        var (places, candidates) = (new long[ByRow.Length], (Candidate[])ByRow.Clone());
        for (var t = 0; t < places.Length; t++)
            places[t] = t - (long)Math.Round(ByRow[t].Probability * digits) * places.Length;
        Array.Sort(places, candidates);
        return candidates;
    }

    private Candidate CandidateOf(Taxon taxon, Row row)
    {
        var held = Held.Of(row);
        return new Candidate(taxon, Posterior[row.Index], held, held.Count <= Question.AllowedDisagreements)
        {
            IsPossible = Math.Max(Posterior[row.Index], Plain[row.Index]) >= Sieve.Possible,
        };
    }

    private double[] EvenPan()
    {
        var even = new double[Table.Rows.All];
        for (var t = 0; t < ByRow.Length; t++)
            even[t] = ByRow[t].Passes ? 1 : 0;
        return even;
    }

    public void Dispose() => Evidence.Dispose();
}
