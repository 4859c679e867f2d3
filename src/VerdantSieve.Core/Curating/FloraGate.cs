using System.Text.RegularExpressions;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing.Speech;
using VerdantSieve.Core.Sieving;

namespace VerdantSieve.Core.Curating;

/// <summary>The one gate before a flora is kept, made here or brought in: what passes has an address for each of its kinds, opens, and
/// answers
/// a question.</summary>
public static partial class FloraGate
{
    /// <summary>The most letters of a title.</summary>
    public const int LongestTitle = 200;

    /// <summary>What an id may be, as messages say it.</summary>
    public const string IdAllowed = "small letters, digits and hyphens, at most 60, beginning with a letter or digit, such as my-flora";

    /// <summary>Whether a text is an id of a flora.</summary>
    public static bool IsId(string? id) => id is not null && IdPattern().IsMatch(id);

    /// <summary>The flora, or all that keeps it from being used; each fault at the field or taxon it is about.</summary>
    /// <param name="flora">The flora.</param>
    public static Outcome<Flora> Pass(Flora flora)
    {
        var faults = new List<Fault>();
        if (!IsId(flora.About.Id))
            faults.Add(Fault.AtField("id", flora.About.Id, $"Use {IdAllowed}."));
        if (flora.About.Title.Length is 0 or > LongestTitle)
            faults.Add(Fault.AtField("title", null, $"Give it a title of 1 to {LongestTitle} letters."));
        if (flora.Taxa.Count == 0)
            faults.Add(Fault.AtField("taxa", null, "A flora needs at least one kind."));
        foreach (var twice in flora.Taxa.GroupBy(taxon => taxon.Name.Slug).Where(group => group.Count() > 1))
            faults.Add(
                Fault.AtField(
                    "taxa",
                    null,
                    $"{string.Join(" and ", twice.Select(taxon => taxon.Name.Text))} would share the address “{twice.Key}”; rename one."
                )
            );
        if (faults.Count == 0 && WhatStopsIt(flora) is { } trouble)
            faults.Add(Fault.AtField("flora", null, $"It can’t be keyed with: {trouble}"));
        return faults.Count == 0 ? flora : Outcome.Faulty<Flora>(faults);
    }

    // Tried once as a reader would: found in, read with, asked.
    private static string? WhatStopsIt(Flora flora)
    {
        try
        {
            _ = new NameIndex(flora);
            _ = new SpeechReader(flora, new VocabularyIndex(flora.Vocabulary));
            var answer = new Sieve(flora).Ask(new SieveQuestion());
            return answer.Candidates.All(candidate => double.IsFinite(candidate.Probability)) ? null : "its kinds can’t be weighed.";
        }
        catch (Exception trouble)
            when (trouble is ArgumentException or InvalidOperationException or KeyNotFoundException or IndexOutOfRangeException)
        {
            return trouble.Message;
        }
    }

    [GeneratedRegex("^[a-z0-9][a-z0-9-]{0,59}$")]
    private static partial Regex IdPattern();
}
