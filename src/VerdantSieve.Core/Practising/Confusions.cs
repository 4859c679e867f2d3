using VerdantSieve.Core.Observing;

namespace VerdantSieve.Core.Practising;

/// <summary>An exercise that was answered.</summary>
/// <param name="Exercise">The exercise.</param>
/// <param name="Answer">The answer.</param>
public sealed record Answered(Exercise Exercise, Answer Answer);

/// <summary>Something that was taken for something else.</summary>
/// <param name="Was">What it was: a scientific name, or the id of a state.</param>
/// <param name="TakenFor">What it was taken for.</param>
/// <param name="Times">How often.</param>
/// <param name="Shown">How often it was shown at all.</param>
public sealed record Taken(string Was, string TakenFor, int Times, int Shown);

/// <summary>What somebody takes for what: kinds, and the words of each character.</summary>
public sealed class Confusions
{
    private Confusions(IReadOnlyList<Taken> kinds, IReadOnlyDictionary<string, IReadOnlyList<Taken>> words)
    {
        (Kinds, Words) = (kinds, words);
    }

    /// <summary>The kinds that were taken for others, the most frequent first. What was right is not among them, nor "can't
    /// tell".</summary>
    public IReadOnlyList<Taken> Kinds { get; }

    /// <summary>The states that were taken for others, by character id.</summary>
    public IReadOnlyDictionary<string, IReadOnlyList<Taken>> Words { get; }

    /// <summary>Whether nothing was taken for anything else.</summary>
    public bool IsEmpty => Kinds.Count == 0 && Words.Count == 0;

    /// <summary>Finds them.</summary>
    public static Confusions Of(IReadOnlyList<Answered> answers) =>
        new(
            Of(answers, answered => answered.Exercise is NamePlant or NameRecord ? "" : null).Values.FirstOrDefault() ?? [],
            Of(answers, answered => (answered.Exercise as ReadDrawing)?.Character)
        );

    private static Dictionary<string, IReadOnlyList<Taken>> Of(IReadOnlyList<Answered> answers, Func<Answered, string?> by) =>
        answers
            .Select(answered => (By: by(answered), Was: WasOf(answered.Exercise), answered.Answer))
            .Where(one => one.By is not null && one.Was is not null)
            .GroupBy(one => one.By!)
            .Select(group =>
            {
                var shown = group.CountBy(one => one.Was!).ToDictionary();
                Taken[] taken =
                [
                    .. group
                        .Where(one => !one.Answer.IsRight && one.Answer.Said.Length > 0)
                        .CountBy(one => (Was: one.Was!, one.Answer.Said))
                        .Select(pair => new Taken(pair.Key.Was, pair.Key.Said, pair.Value, shown[pair.Key.Was]))
                        .OrderByDescending(one => one.Times)
                        .ThenBy(one => one.Was, StringComparer.Ordinal)
                        .ThenBy(one => one.TakenFor, StringComparer.Ordinal),
                ];
                return (group.Key, Taken: (IReadOnlyList<Taken>)taken);
            })
            .Where(pair => pair.Taken.Count > 0)
            .ToDictionary(pair => pair.Key, pair => pair.Taken);

    private static string? WasOf(Exercise exercise) =>
        exercise.Match(
            name: own => own.Taxon,
            part: _ => null,
            read: own => own.State,
            record: own => own.Taxon,
            measure: _ => (string?)null
        );
}
