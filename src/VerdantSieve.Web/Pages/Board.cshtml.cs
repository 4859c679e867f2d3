using System.Globalization;
using System.Text.Json;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Measuring;
using VerdantSieve.Store.Looks;
using VerdantSieve.Web.Shared;

namespace VerdantSieve.Web.Pages;

/// <summary>The measuring board: a picture traced in the browser’s sight, or a sample typed.</summary>
public sealed class BoardModel(FloraShelf shelf, LookBook book) : FloraPage(shelf)
{
    /// <summary>The look that readings go into; null where the board is used by itself.</summary>
    public string? Look { get; private set; }

    /// <summary>The sample as typed.</summary>
    public string? Sample { get; private set; }
    public string? Problem { get; private set; }
    public IReadOnlyList<SampleLine> Lines { get; private set; } = [];

    /// <summary>How the characters and states that can be proposed are called in this flora.</summary>
    public string CharactersAsJson =>
        JsonSerializer.Serialize(
            Open.Flora.Characters.Where(character => Proposed.Contains(character.Id))
                .ToDictionary(
                    character => character.Id,
                    character => new
                    {
                        label = character.Label,
                        states = (character as StateCharacter)?.States.ToDictionary(state => state.Id, state => state.Label),
                    }
                )
        );

    private static readonly HashSet<string> Proposed =
    [
        "blade-length",
        "blade-width",
        "slenderness",
        "shape",
        "apex",
        "base",
        "margin",
        "lobing",
        "lobe-count",
        "lobe-depth",
    ];

    public async Task OnGet(string? look, string? sample, CancellationToken cancel)
    {
        if (look is not null && await book.Find(look, cancel) is { IsDiscarded: false })
            Look = look;
        Sample = sample?.Trim() is { Length: > 0 } typed ? typed : null;
        if (Sample is not null)
            WorkOut(Sample);
    }

    private void WorkOut(string typed)
    {
        var read = SizeSample.Read(typed);
        if (!read.Has(out var sample))
        {
            Problem = read.Faults[0].Sentence;
            return;
        }
        Lines =
        [
            SampleLine.Of("length, cm", sample.Lengths),
            .. sample.Widths is { } widths ? [SampleLine.Of("width, cm", widths)] : Array.Empty<SampleLine>(),
            .. sample.Slenderness is { } slenderness ? [SampleLine.Of("length over width", slenderness)] : Array.Empty<SampleLine>(),
        ];
    }
}

/// <summary>A sample’s mean and spread.</summary>
public sealed record SampleLine(string Name, string Mean, string Spread, string Least, string Most)
{
    internal static SampleLine Of(string name, Sample sample) =>
        new(name, Say(sample.Mean), sample.Spread is { } spread ? Say(spread) : "one leaf", Say(sample.Least), Say(sample.Most));

    private static string Say(double value) => value.ToString("0.0#", CultureInfo.InvariantCulture);
}
