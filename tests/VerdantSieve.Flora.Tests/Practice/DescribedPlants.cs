using System.Text.Json;
using NodaTime;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Sieving;
using Xunit;

namespace VerdantSieve.Flora.Tests;

/// <summary>Plants described as people who identify trees describe them: common practice, no published source. The right plant
/// must be among those that make up 95 % of the weight.</summary>
public class DescribedPlants
{
    public static TheoryData<string> Cases => [.. Described().Select(one => one.GetProperty("id").GetString()!)];

    [Theory, MemberData(nameof(Cases))]
    public void The_plant_described_is_among_the_likely_ones(string id)
    {
        var (answer, accepted) = Ask(Described().Single(c => c.GetProperty("id").GetString() == id));
        var before = 0.0;
        foreach (var candidate in answer.Candidates)
        {
            if (accepted(candidate))
                return;
            before += candidate.Probability;
            Assert.True(before < 0.95, $"{id}: {candidate.Taxon.Name} and those before it take up {before:0.00}.");
        }
        Assert.Fail($"{id} did not come up at all.");
    }

    [Fact]
    public void Most_come_out_first_and_nearly_all_among_the_first_three()
    {
        var places = Described()
            .Select(Ask)
            .Select(asked => asked.Answer.Candidates.TakeWhile(candidate => !asked.Accepted(candidate)).Count() + 1)
            .ToArray();
        Assert.True(
            places.Count(place => place == 1) >= 0.7 * places.Length,
            $"first: {places.Count(place => place == 1)} of {places.Length}"
        );
        Assert.True(
            places.Count(place => place <= 3) >= 0.8 * places.Length,
            $"in the first three: {places.Count(place => place <= 3)} of {places.Length}"
        );
    }

    private static (SieveAnswer Answer, Func<Candidate, bool> Accepted) Ask(JsonElement one)
    {
        var names = one.GetProperty("accept").EnumerateArray().Select(name => name.GetString()!).ToArray();
        var accepted = names.Select(ShippedFlora.Flora.FindTaxon).Where(taxon => taxon is not null).ToHashSet();
        var answer = ShippedFlora.Sieve.Ask(
            new SieveQuestion
            {
                Circumstances = new Circumstances
                {
                    Region = Text(one, "region"),
                    Date = one.GetProperty("month") is { ValueKind: JsonValueKind.Number } month
                        ? new LocalDate(2026, month.GetInt32(), 15)
                        : null,
                },
                Readings = [.. one.GetProperty("readings").EnumerateArray().Select(Read)],
            }
        );
        return (
            answer,
            candidate =>
                accepted.Count > 0
                    ? accepted.Contains(candidate.Taxon)
                    : names.Any(name => name.Split(' ')[0] == candidate.Taxon.Name.Genus)
        );
    }

    private static Reading Read(JsonElement reading)
    {
        var raw = reading.Deserialize<RawReading>(new JsonSerializerOptions(JsonSerializerDefaults.Web))! with { Certainty = "fair" };
        // A described range stands for one typical value.
        if (raw.Value is not null)
            raw = raw with { Low = null, High = null };
        if (raw.Value is not null && ShippedFlora.Flora.FindCharacter(raw.Character!) is Core.Botany.CountCharacter)
            raw = raw with { Value = Math.Round(raw.Value.Value) };
        return ReadingDesk.Check(raw, ShippedFlora.Flora).Value;
    }

    private static string? Text(JsonElement one, string name) =>
        one.GetProperty(name).ValueKind == JsonValueKind.String ? one.GetProperty(name).GetString() : null;

    private static IEnumerable<JsonElement> Described() =>
        JsonDocument
            .Parse(File.ReadAllText(Path.Combine(AppContext.BaseDirectory, "Practice", "described-plants.json")))
            .RootElement.GetProperty("cases")
            .EnumerateArray();
}
