using System.Text.Json;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Sieving;
using NodaTime;
using Xunit;

namespace VerdantSieve.Core.Tests.Practice;

/// <summary>Plants described as people who identify trees describe them: common practice, no published source. The right plant
/// must be among those that make up 95 % of the weight.</summary>
public class DescribedPlants
{
    public static TheoryData<string> Cases => [.. Described().Select(one => one.GetProperty("id").GetString()!)];

    [Theory, MemberData(nameof(Cases))]
    public void The_plant_described_is_among_the_likely_ones(string id)
    {
        var one = Described().Single(c => c.GetProperty("id").GetString() == id);
        var accepted = one.GetProperty("accept").EnumerateArray().Select(name => ShippedFlora.Flora.FindTaxon(name.GetString()!)).Where(taxon => taxon is not null).ToHashSet();
        var answer = ShippedFlora.Sieve.Ask(new SieveQuestion
        {
            Circumstances = new Circumstances
            {
                Region = Text(one, "region"), Date = one.GetProperty("month") is { ValueKind: JsonValueKind.Number } month ? new LocalDate(2026, month.GetInt32(), 15) : null
            },
            Readings = [.. one.GetProperty("readings").EnumerateArray().Select(Read)]
        });
        var before = 0.0;
        foreach (var candidate in answer.Candidates)
        {
            if (accepted.Contains(candidate.Taxon)) return;
            before += candidate.Probability;
            Assert.True(before < 0.95, $"{id}: {candidate.Taxon.Name} and those before it take up {before:0.00}; expected {string.Join(" or ", accepted)}");
        }
        Assert.Fail($"{id} did not come up at all.");
    }

    private static Reading Read(JsonElement reading)
    {
        var raw = reading.Deserialize<RawReading>(new JsonSerializerOptions(JsonSerializerDefaults.Web))! with { Certainty = "fair" };
        // A described range stands for one typical value.
        if (raw.Value is not null) raw = raw with { Low = null, High = null };
        if (raw.Value is not null && ShippedFlora.Flora.FindCharacter(raw.Character!) is Core.Botany.CountCharacter) raw = raw with { Value = Math.Round(raw.Value.Value) };
        var (read, problem) = ReadingDesk.Check(raw, ShippedFlora.Flora);
        return read ?? throw new InvalidOperationException(problem!.Sentence);
    }

    private static string? Text(JsonElement one, string name) => one.GetProperty(name).ValueKind == JsonValueKind.String ? one.GetProperty(name).GetString() : null;

    private static IEnumerable<JsonElement> Described() =>
        JsonDocument.Parse(File.ReadAllText(Path.Combine(AppContext.BaseDirectory, "Practice", "described-plants.json"))).RootElement.GetProperty("cases").EnumerateArray();
}
