using VerdantSieve.Core.Observing;

namespace VerdantSieve.Views.Looks;

/// <summary>What the address asks to be shown of a look, beside the look itself.</summary>
/// <param name="Ask">The character asked for; the best next look where left out.</param>
/// <param name="Several">Whether several states are to be chosen.</param>
/// <param name="Taxon">The taxon whose reasons are shown.</param>
/// <param name="Find">Words searched for among characters and plants.</param>
/// <param name="More">Whether the pan is shown in full.</param>
/// <param name="Glance">Whether the first glance is shown; where left out, while nothing is read.</param>
/// <param name="On">The place on the plant that is asked about.</param>
public sealed record LookRequest(
    string? Ask = null,
    bool Several = false,
    string? Taxon = null,
    string? Find = null,
    bool More = false,
    bool? Glance = null,
    string? On = null
)
{
    /// <summary>How sure the observer is, as set last.</summary>
    public Certainty Certainty { get; init; } = Certainty.Fair;

    /// <summary>What to say of the history beside it; null where nothing.</summary>
    public string? Note { get; init; }

    /// <summary>What was said and is being read.</summary>
    public string Said { get; init; } = "";
}
