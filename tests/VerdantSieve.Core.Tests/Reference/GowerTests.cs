using System.Text.Json;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Measuring;
using Xunit;

namespace VerdantSieve.Core.Tests.Reference;

/// <summary>The likeness that finds doubles is Gower's. Source: R's cluster::daisy(metric = "gower") on its own data sets flower and
/// plantTraits; the script that made the fixtures stands beside this file.</summary>
public class GowerTests
{
    [Theory]
    [InlineData("flower")]
    [InlineData("plantTraits")]
    public void Differences_equal_those_of_daisy(string name)
    {
        var set = JsonDocument
            .Parse(File.ReadAllText(Path.Combine(AppContext.BaseDirectory, "Reference", "daisy.json")))
            .RootElement.GetProperty("sets")
            .EnumerateArray()
            .Single(s => s.GetProperty("name").GetString() == name);
        var rows = set.GetProperty("rows")
            .EnumerateArray()
            .Select(row => row.EnumerateArray().Select(v => v.ValueKind == JsonValueKind.Null ? (double?)null : v.GetDouble()).ToArray())
            .ToArray();
        var characters = set.GetProperty("kinds").EnumerateArray().Select((kind, i) => Make(kind.GetString()!, i, rows)).ToArray();
        var flora = new Flora(new FloraAbout(name, name), characters, rows.Select((row, i) => Plant(row, i, characters)));
        var likeness = new Likeness(flora);
        var expected = set.GetProperty("dissimilarity")
            .EnumerateArray()
            .Select(row => row.EnumerateArray().Select(v => v.GetDouble()).ToArray())
            .ToArray();
        for (var i = 0; i < expected.Length; i++)
            for (var j = 0; j < i; j++)
                Assert.Equal(expected[i][j], likeness.Difference(flora.Taxa[i], flora.Taxa[j]), 12);
    }

    private static Character Make(string kind, int i, double?[][] rows)
    {
        if (kind == "measure")
            return new MeasureCharacter($"c{i}", MeasureUnit.Ratio)
            {
                Part = "x",
                Label = "x",
                Question = "x",
                Phrase = "{}",
                Order = i,
            };
        // Codes of a factor start at 1; a series needs every step, met or not.
        var highest = (int)rows.Max(row => row[i] ?? 0);
        return new StateCharacter($"c{i}")
        {
            Part = "x",
            Label = "x",
            Question = "x",
            Phrase = "{}",
            Order = i,
            Ordered = kind == "ordinal",
            States = [.. Enumerable.Range(0, highest + 1).Select(code => new State($"s{code}", "", ""))],
        };
    }

    private static Taxon Plant(double?[] row, int number, Character[] characters) =>
        new(new ScientificName($"Plant p{number:000}"))
        {
            Authority = "",
            Family = "",
            CommonNames = ["p"],
            Distribution = new Distribution([], []),
            Settings = [Setting.Wild],
            Provenance = "R",
            OwnScores = characters
                .Select((character, i) => (character, Value: row[i]))
                .Where(pair => pair.Value is not null)
                .ToDictionary(
                    pair => pair.character.Id,
                    pair =>
                        pair.character is StateCharacter
                            ? (Score)new StateScore([new StateFrequency($"s{pair.Value:0}", Frequency.Usual)])
                            : // Sizes are above 0; a shift of all of them shifts no difference.
                            new RangeScore(null, pair.Value!.Value + 1, pair.Value.Value + 1, null)
                ),
        };
}
