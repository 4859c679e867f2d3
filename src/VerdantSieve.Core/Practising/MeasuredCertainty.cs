using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Sieving;

namespace VerdantSieve.Core.Practising;

/// <summary>How often somebody errs when they are sure, fairly sure or guessing, as measured on drawings whose truth is known, and what
/// the sieve would rather take their word for.</summary>
/// <remarks>A rate is (errors + k·r) ÷ (answers + k): the mean of the posterior of a beta distribution whose mean r is what the sieve
/// assumes of everybody, and which counts as k answers.</remarks>
public sealed class MeasuredCertainty
{
    /// <summary>Fewer answers of a certainty say nothing of a person.</summary>
    public const int Fewest = 20;

    // What is known of everybody counts as so many answers.
    private const double Everybody = 20;

    private readonly IReadOnlyDictionary<Certainty, (int Answers, int Errors)> counts;

    private MeasuredCertainty(IReadOnlyDictionary<Certainty, (int Answers, int Errors)> counts) => this.counts = counts;

    /// <summary>Measures it. What was said to be untellable is no error; neither is the neighbouring word.</summary>
    public static MeasuredCertainty Of(IEnumerable<Answered> answers) =>
        new(
            answers
                .Where(answered => answered.Exercise is ReadDrawing && answered.Answer.Said.Length > 0)
                .GroupBy(answered => answered.Answer.Certainty)
                .ToDictionary(
                    group => group.Key,
                    group => (group.Count(), group.Count(answered => !answered.Answer.IsRight && !answered.Answer.IsNear))
                )
        );

    /// <summary>How many answers there are of a certainty, and how many of them err.</summary>
    public (int Answers, int Errors) this[Certainty certainty] => counts.GetValueOrDefault(certainty);

    /// <summary>The rate of errors of a certainty.</summary>
    public double Rate(Certainty certainty, SieveModel model)
    {
        var (answers, errors) = this[certainty];
        return (errors + Everybody * model.SlipRate(certainty)) / (answers + Everybody);
    }

    /// <summary>What a certainty of this person is best taken for: the one whose rate everywhere is nearest, in proportion. The same where
    /// too little is known.</summary>
    public Certainty TakenAs(Certainty said, SieveModel model)
    {
        if (this[said].Answers < Fewest)
            return said;
        var rate = Rate(said, model);
        return Enum.GetValues<Certainty>().MinBy(certainty => Math.Abs(Math.Log(model.SlipRate(certainty) / rate)));
    }

    /// <summary>What each certainty is taken for; empty where none is taken for another.</summary>
    public IReadOnlyDictionary<Certainty, Certainty> Changes(SieveModel model) =>
        Enum.GetValues<Certainty>()
            .Select(said => (Said: said, Taken: TakenAs(said, model)))
            .Where(pair => pair.Said != pair.Taken)
            .ToDictionary(pair => pair.Said, pair => pair.Taken);
}
