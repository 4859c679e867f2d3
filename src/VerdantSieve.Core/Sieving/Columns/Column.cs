using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;

namespace VerdantSieve.Core.Sieving.Columns;

/// <summary>One character over all rows, made once when the flora is loaded.</summary>
internal abstract class Column(Character character, ColumnSource source)
{
    private ExpectedOutcomes? expected;

    public Character Character { get; } = character;

    /// <summary>The chance that each row can show the character at all, seasons put aside; null where it always can.</summary>
    public double[]? Applies => source.Applies;

    protected RowLayout Rows => source.Rows;
    protected SieveModel Model => source.Model;
    protected Score?[] Scores => source.Scores;

    /// <summary>The flora's score of a taxon; null where it has none.</summary>
    public Score? ScoreOf(Row taxon) => source.Scores[taxon.Index];

    /// <summary>Whether the taxon's scores leave room for the character.</summary>
    public bool CanApply(Row taxon) => source.CanApply[taxon.Index];

    /// <summary>Whether the taxon's score says something, or that there is nothing to say.</summary>
    public bool IsSettled(Row taxon) => ScoreOf(taxon) is not null || !CanApply(taxon);

    /// <summary>Writes the chance of a reading for each row of the column, given that the character applies, and the parts of it that are
    /// nobody's fault.</summary>
    public void Fill(Reading reading, SiteAndDay when, Likelihoods into)
    {
        FillRows(reading, when, into);
        // What an average kind would show counts as the mean over the kinds, and not as what a plant would show that has something of all
        // of them: such a plant would profit from every rich reading and every rare one.
        if (Rows.Taxa == 0)
            return;
        into.Total[Rows.Average.Index] = Sums.Of<double>(into.Total[..Rows.Taxa]) / Rows.Taxa;
        into.Fitting[Rows.Average.Index] = Sums.Of<double>(into.Fitting[..Rows.Taxa]) / Rows.Taxa;
        into.Unslipped[Rows.Average.Index] = Sums.Of<double>(into.Unslipped[..Rows.Taxa]) / Rows.Taxa;
    }

    /// <summary>Writes the same for each row by itself.</summary>
    protected abstract void FillRows(Reading reading, SiteAndDay when, Likelihoods into);

    /// <summary>Whether what is scored of a taxon allows a reading: the strict school's rule. What hangs on the reading alone is worked out
    /// once, since all taxa are asked.</summary>
    public abstract Func<Row, bool> Allowing(Reading reading, SiteAndDay when);

    /// <summary>Whether a look could tell anything on this day.</summary>
    public virtual bool CanBeAsked(SiteAndDay when) => true;

    /// <summary>The chance that each row meets a condition about this character, whatever the day; null where that hangs on the day
    /// alone.</summary>
    public virtual double[]? LastingChance(Condition condition) => null;

    /// <summary>The chance that the thing this character is about is there on a day, for each row; null where it has nothing to do with the
    /// day.</summary>
    public virtual double[]? ChanceOn(SiteAndDay when) => null;

    /// <summary>What a look could show, "does not apply" among it, on a wild plant. Made once, but for seasons, which change with the
    /// day.</summary>
    public virtual ExpectedOutcomes Expected(SiteAndDay when) => expected ??= new ExpectedOutcomes(Outcomes(default), Applies, Rows);

    /// <summary>Every outcome a look could have, fairly sure, with its chance for each row where the character applies.</summary>
    protected abstract IReadOnlyList<double[]> Outcomes(SiteAndDay when);

    // Of those who slip in holding a plant against another, a third each say less, more and alike.
    protected const double AnyComparison = 1.0 / 3;

    /// <summary>The row of the taxon a reading is held against.</summary>
    protected Row RowOf(Compared compared) => Rows.Of(compared.Than);

    /// <summary>The score of the taxon a reading is held against.</summary>
    protected Score? Reference(Compared compared) => ScoreOf(RowOf(compared));

    /// <summary>The chance of a fairly sure reading for each row.</summary>
    protected double[] ChanceOf(Observation observation, SiteAndDay when)
    {
        var (total, other) = (new double[Rows.Count], new double[Rows.Count]);
        Fill(new Reading(Character.Id, observation, Certainty.Fair), when, new Likelihoods(total, other, new double[Rows.Count]));
        return total;
    }

    /// <summary>The chance, for each row, that a plant shows what the score leaves out; that of the average is 0.</summary>
    /// <param name="several">Whether a score names several states, or leaves room.</param>
    protected double[] GapsOf(Func<Score?, bool> several) =>
        [.. Scores.Select((score, t) => Model.GapOf(Character, source.Bases[t], several(score))), 0];
}
