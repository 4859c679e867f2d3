using NodaTime;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Observing.Speech;
using VerdantSieve.Core.Sieving;
using Xunit;

namespace VerdantSieve.Flora.Tests.Speech;

/// <summary>Common plants of many countries, each said in a breath as somebody would who stands before it, written from memory for this
/// test: what is heard must lead to the plant. No source.</summary>
public class SpokenPlantsTests
{
    // Many a line says where it stands, and one thing of the plant.
    private const double First = 0.88,
        Three = 0.95;

    private static readonly SpeechReader Reader = new(ShippedFlora.Flora, new VocabularyIndex(ShippedFlora.Flora.Vocabulary));
    private static readonly SpokenAbout About = new(new LocalDate(2026, 8, 20));

    [Fact]
    public void What_is_said_in_a_breath_leads_to_the_plant()
    {
        var sieve = new Sieve(ShippedFlora.Flora);
        var ranks = Plants()
            .Select(plant => (plant.Name, Rank: RankOf(plant.Name, sieve.Ask(Question(Reader.Read(plant.Said, About))))))
            .ToArray();
        var missed = string.Join(", ", ranks.Where(rank => rank.Rank > 1).Select(rank => $"{rank.Name} {rank.Rank}"));
        Assert.True(ranks.Length > 100, $"{ranks.Length} plants");
        Assert.True(ranks.Count(rank => rank.Rank == 1) >= First * ranks.Length, missed);
        Assert.True(ranks.Count(rank => rank.Rank <= 3) >= Three * ranks.Length, missed);
    }

    private static SieveQuestion Question(Heard heard) =>
        new()
        {
            Readings = [.. heard.Readings.Select(each => each.Reading)],
            Among = heard.Kinds?.All.Select(taxon => taxon.Name.Text).ToHashSet(),
            Circumstances = new Circumstances
            {
                Region = heard.Region,
                Date = heard.Date,
                Setting = heard.Setting,
                Age = heard.Age,
            },
        };

    private static int RankOf(string name, SieveAnswer answer) =>
        1 + answer.Candidates.TakeWhile(each => each.Taxon.Name.Text != name).Count();

    private static IEnumerable<(string Said, string Name)> Plants() =>
        File.ReadLines(Path.Combine(AppContext.BaseDirectory, "Speech", "plants.txt"))
            .Select(line => line.Split(" => "))
            .Select(halves => (halves[0], halves[1]));
}
