using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Seasons;

namespace VerdantSieve.Core.Observing.Speech;

/// <summary>The pieces between two pauses.</summary>
/// <param name="Items">The pieces; never empty.</param>
internal sealed record Clause(IReadOnlyList<SpokenItem> Items)
{
    // Nobody says more in one breath; a text that never pauses is cut, so that what looks about within a clause costs no more than this.
    private const int MostItems = 60,
        MostClauses = 60;

    /// <summary>The clauses of a text, sentence by sentence.</summary>
    public static IEnumerable<IReadOnlyList<Clause>> Sentences(IReadOnlyList<SpokenItem> items)
    {
        var sentence = new List<Clause>();
        var clause = new List<SpokenItem>();
        foreach (var item in items)
        {
            var pause = item as PauseItem;
            if (pause is null)
                clause.Add(item);
            if (pause is null && clause.Count < MostItems)
                continue;
            if (clause.Count > 0)
                sentence.Add(new Clause(clause));
            clause = [];
            if (pause is not { Ends: true } && sentence.Count < MostClauses || sentence.Count == 0)
                continue;
            yield return sentence;
            sentence = [];
        }
        if (clause.Count > 0)
            sentence.Add(new Clause(clause));
        if (sentence.Count > 0)
            yield return sentence;
    }

    /// <summary>Whether the pieces say only where, when and how the plant stands.</summary>
    public bool IsAboutCircumstances =>
        Items.Any(item => item is PhraseItem { Meaning: var meaning } && IsWhereOrWhen(meaning))
        && Items.All(item =>
            item is AmountItem { IsBare: true } or KindsItem
            || item is PhraseItem { Meaning: var meaning }
                && (IsWhereOrWhen(meaning) || meaning.Role is SpokenRole.Silent or SpokenRole.Degree or SpokenRole.On)
        );

    /// <summary>Whether a noun begins it, as in “twig green, hairy”; else what is said stands before its noun: “green twig”.</summary>
    public bool IsNounFirst =>
        Items.OfType<PhraseItem>().FirstOrDefault(item => item.Meaning.States.Count > 0 || item.Meaning.IsTopic)
            is { Meaning: { IsTopic: true } first }
        && (first.States.Count == 0 || first.Organ is not null);

    /// <summary>Whether flowers or fruit are named in it.</summary>
    public bool SpeaksOfFlowersOrFruit => Items.OfType<PhraseItem>().Any(item => item.IsOfFlowersOrFruit);

    /// <summary>The part of the year that is named; null where none is.</summary>
    public YearPart? YearPart => Items.OfType<PhraseItem>().Select(item => item.Meaning.YearPart).FirstOrDefault(part => part is not null);

    /// <summary>The pieces that name a month, with the day or the part of it that stands beside, or a part of the year; and the
    /// others.</summary>
    public (IReadOnlyList<SpokenItem> When, IReadOnlyList<SpokenItem> What) When()
    {
        var when = Items.Where(IsTime).ToHashSet();
        // “berries turn red” are no leaves that turn.
        return (
            [.. Items.Where(when.Contains)],
            [.. Items.Where(item => !when.Contains(item) && !(SpeaksOfFlowersOrFruit && Turns(item)))]
        );

        bool IsTime(SpokenItem item, int at) =>
            IsMonth(item)
            || IsDay(item) && (IsMonth(At(at - 1)) || IsMonth(At(at + 1)))
            // “leaves red in autumn” speaks of autumn colours, “berries red in autumn” doesn't.
            || item is PhraseItem { Meaning: { YearPart: not null } meaning } && (SpeaksOfFlowersOrFruit || !meaning.IsTopic);

        SpokenItem? At(int at) => at >= 0 && at < Items.Count ? Items[at] : null;
    }

    private static bool Turns(SpokenItem item) =>
        item is PhraseItem { Meaning: { Words: 1, States.Count: 0, Named: { Count: > 0 } named } }
        && named.All(one => one.Stages.Count > 0);

    private static bool IsMonth(SpokenItem? item) => item is PhraseItem { Meaning.Month: not null };

    private static bool IsDay(SpokenItem item) =>
        item is AmountItem { IsBare: true, Amount.Low: >= 1 and <= 31 } or PhraseItem { Meaning.DayOfMonth: not null };

    private static bool IsWhereOrWhen(Meaning meaning) =>
        meaning.IsCircumstance || meaning is { Month: not null } or { DayOfMonth: not null } or { YearPart: not null, IsTopic: false };
}
