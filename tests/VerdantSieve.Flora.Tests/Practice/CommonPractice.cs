using System.Globalization;
using CsvHelper;
using VerdantSieve.Core.Botany;
using Xunit;

namespace VerdantSieve.Flora.Tests;

/// <summary>What people who know trees take for granted: facts of common practice, with no source. Said of a genus, it must hold of all or
/// nearly all of
/// its kinds; said of a kind, of that one.</summary>
public class CommonPractice
{
    private static readonly (string Who, string Character, string Value, string Said)[] Facts = [.. Read()];

    public static TheoryData<string> Said => [.. Facts.Select(fact => fact.Said)];

    [Fact]
    public void There_are_sixty_facts_and_more() => Assert.True(Facts.Length >= 60);

    [Theory, MemberData(nameof(Said))]
    public void The_flora_agrees(string said)
    {
        var fact = Facts.Single(fact => fact.Said == said);
        Taxon[] kinds = fact.Who.Contains(' ')
            ? [ShippedFlora.Flora.FindTaxon(fact.Who)!]
            : [.. ShippedFlora.Flora.Taxa.Where(taxon => taxon.Name.Genus == fact.Who)];
        Assert.NotEmpty(kinds);
        var others = kinds.Where(taxon => !Agrees(taxon, fact.Character, fact.Value)).Select(taxon => taxon.Name.Text).ToArray();
        // A rule of the trade has its exceptions: box elder among maples, kinds without thorns among hawthorns.
        Assert.True(others.Length <= 0.2 * kinds.Length, $"{said}: not so of {string.Join(", ", others)}");
    }

    private static bool Agrees(Taxon taxon, string character, string value) =>
        taxon.Scores.GetValueOrDefault(character) switch
        {
            StateScore states => states.States.Any(state => state.State == value && state.Weight >= 0.25),
            PresenceScore presence => presence.Frequency >= 0.5,
            _ => false,
        };

    private static IEnumerable<(string, string, string, string)> Read()
    {
        using var csv = new CsvReader(
            new StringReader(File.ReadAllText(Path.Combine(AppContext.BaseDirectory, "Practice", "common-practice.csv"))),
            CultureInfo.InvariantCulture
        );
        csv.Read();
        csv.ReadHeader();
        while (csv.Read())
            yield return (csv["who"]!, csv["character"]!, csv["value"]!, csv["said"]!);
    }
}
