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
    private const int MostLeaves = 100;

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
        var (lengths, widths) = (new List<double>(), new List<double>());
        // A unit at the end holds for all that have none.
        var parts = typed.Replace('×', 'x').Split([',', ';'], StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries);
        var unit = new string([.. typed.Reverse().TakeWhile(letter => !char.IsAsciiDigit(letter)).Reverse()]).Trim();
        if (parts.Length > MostLeaves)
        {
            Problem = $"At most {MostLeaves} leaves make a sample.";
            return;
        }
        foreach (var part in parts)
        {
            var sizes = part.Split('x', 2, StringSplitOptions.TrimEntries);
            foreach (var (size, into) in sizes.Zip(new[] { lengths, widths }))
            {
                var text = size.Length > 0 && char.IsAsciiDigit(size[^1]) ? $"{size} {unit}" : size;
                var read = QuantityParser.Parse(text, MeasureUnit.Centimetre);
                if (!read.Has(out var quantity))
                {
                    Problem = read.Faults[0].Sentence;
                    return;
                }
                into.Add(quantity.Usual ?? (quantity.Low + quantity.High) / 2);
            }
        }
        if (widths.Count > 0 && widths.Count != lengths.Count)
        {
            Problem = "Give a width for every leaf, such as 12 x 7, 9 x 6 cm, or for none.";
            return;
        }
        Lines =
        [
            SampleLine.Of("length, cm", lengths),
            .. widths.Count > 0
                ? new[]
                {
                    SampleLine.Of("width, cm", widths),
                    SampleLine.Of("length over width", [.. lengths.Zip(widths, (l, w) => l / w)]),
                }
                : [],
        ];
    }
}

/// <summary>A sample’s mean and spread.</summary>
public sealed record SampleLine(string Name, string Mean, string Spread, string Least, string Most)
{
    internal static SampleLine Of(string name, IReadOnlyList<double> values)
    {
        var mean = values.Average();
        var spread = values.Count < 2 ? double.NaN : Math.Sqrt(values.Sum(value => (value - mean) * (value - mean)) / (values.Count - 1));
        return new(name, Say(mean), double.IsNaN(spread) ? "one leaf" : Say(spread), Say(values.Min()), Say(values.Max()));
    }

    private static string Say(double value) => value.ToString("0.0#", CultureInfo.InvariantCulture);
}
