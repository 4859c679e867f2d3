using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;

namespace VerdantSieve.Core.Sieving.Columns;

/// <summary>The chance of an observation for every row, and the part of it that is not a slip.</summary>
internal readonly record struct Likelihood(double[] Total, double[] Fitting)
{
    public static Likelihood Flat(int rows)
    {
        var ones = new double[rows];
        Array.Fill(ones, 1);
        return new Likelihood(ones, ones);
    }
}

/// <summary>The outcomes of a look with their chance for each row, and the entropy they have in each row.</summary>
internal sealed record Foresight(IReadOnlyList<double[]> Outcomes, double[] RowEntropy)
{
    /// <summary>Outcomes given that the character applies, and the chance that it does; null where it always does.</summary>
    public static Foresight Of(IReadOnlyList<double[]> given, double[]? applies, Rows rows)
    {
        IReadOnlyList<double[]> outcomes = applies is null ? given
            : [.. given.Select(outcome => outcome.Select((chance, row) => chance * applies[row]).ToArray()), applies.Select(a => 1 - a).ToArray()];
        outcomes = [.. outcomes.Select(rows.AddKin)];
        return new Foresight(outcomes, Information.RowEntropy(outcomes));
    }

    /// <summary>The bits the look is expected to tell about the row.</summary>
    /// <param name="rows">The chance of each row of an answer, or of the first of them alone; need not add up to 1.</param>
    public double Bits(ReadOnlySpan<double> rows) => Information.Mutual(rows, Outcomes, RowEntropy);

    /// <summary>As above, between two rows of the same chance.</summary>
    public double Between(int one, int other)
    {
        if (Outcomes.Count == 0) return 0;
        Span<double> marginal = Outcomes.Count <= 128 ? stackalloc double[Outcomes.Count] : new double[Outcomes.Count];
        for (var o = 0; o < Outcomes.Count; o++) marginal[o] = Outcomes[o][one] + Outcomes[o][other];
        return Math.Max(0, Information.Entropy(marginal) - (RowEntropy[one] + RowEntropy[other]) / 2);
    }
}

/// <summary>One character over all rows, made once when the flora is loaded.</summary>
internal abstract class Column(Character character, Score?[] scores, Rows rows, SieveModel model)
{
    public Character Character { get; } = character;

    /// <summary>The flora's own score of each taxon; null where it has none.</summary>
    public Score?[] Scores { get; } = scores;

    /// <summary>The chance that each row can show the character at all; without the condition's season.</summary>
    public double[] Applies { get; set; } = [];

    /// <summary>Whether the taxon's own scores leave room for the character.</summary>
    public bool[] CanApply { get; set; } = [];

    protected Rows Rows { get; } = rows;
    protected SieveModel Model { get; } = model;

    /// <summary>The chance of a reading for each row, given that the character applies.</summary>
    public abstract Likelihood Likelihood(Reading reading, Occasion occasion);

    /// <summary>Whether the taxon's score can allow the observation: the strict school's only question.</summary>
    public abstract bool Allows(int taxon, Observation observation, Occasion occasion);

    /// <summary>Every outcome a look could have, fairly sure, with its chance for each row where the character applies.</summary>
    public abstract IReadOnlyList<double[]> Outcomes(Occasion occasion);

    /// <summary>What a look could show, "does not apply" among it. Made once, but for seasons, which change with the day.</summary>
    public virtual Foresight Foresee(Occasion occasion) => foresight ??= Foresight.Of(Outcomes(occasion), Character.OnlyIf is null ? null : Applies, Rows);

    private Foresight? foresight;
}
