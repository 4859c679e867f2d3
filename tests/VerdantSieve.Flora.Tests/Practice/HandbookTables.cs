using System.Globalization;
using CsvHelper;
using VerdantSieve.Core.Botany;
using Xunit;

namespace VerdantSieve.Flora.Tests;

/// <summary>Five facts each of some seventy taxa, as named handbooks have them, all recalled from memory and not copied from the books:
/// <i>FNA</i> is Flora of
/// North America, volumes 2 (1993) and 3 (1997); Gleason and Cronquist, Manual of Vascular Plants of Northeastern United States and
/// Adjacent Canada (1991);
/// Stace, New Flora of the British Isles; The Jepson Manual. Because the figures are recalled, a range must overlap and not be
/// equal.</summary>
public class HandbookTables
{
    private sealed record Line(string Taxon, string Handbook, string Facts);

    private static readonly Line[] Lines = Read();

    public static TheoryData<string> Taxa => [.. Lines.Select(line => line.Taxon)];

    [Fact]
    public void There_are_sixty_taxa_and_more_with_five_facts_each()
    {
        Assert.True(Lines.Length >= 60);
        Assert.All(Lines, line => Assert.Equal(5, line.Facts.Split(';').Length));
    }

    [Theory, MemberData(nameof(Taxa))]
    public void The_flora_says_what_the_handbook_says(string name)
    {
        var line = Lines.Single(line => line.Taxon == name);
        var taxon = ShippedFlora.Flora.FindTaxon(name)!;
        foreach (var fact in line.Facts.Split(';', StringSplitOptions.TrimEntries))
        {
            var (id, value) = fact.Split('=') is [var a, var b] ? (a, b) : throw new FormatException(fact);
            Assert.True(taxon.Scores.TryGetValue(id, out var score), $"{name}: {id} is not scored");
            if (score is StateScore states)
                Assert.True(states.Allows(value), $"{name}, {id}: {line.Handbook} has {value}");
            else
            {
                var ends = value.Split(' ')[0].Split('-').Select(end => double.Parse(end, CultureInfo.InvariantCulture)).ToArray();
                var (low, high, range) = (ends[0], ends[^1], Assert.IsType<RangeScore>(score));
                Assert.True(
                    range.Low <= high * 1.05 && range.High >= low * 0.95 && range.Minimum <= low * 1.6 && range.Maximum >= high * 0.7,
                    $"{name}, {id}: {range.Minimum}–{range.Low}–{range.High}–{range.Maximum} against {low}–{high} in {line.Handbook}"
                );
            }
        }
    }

    private static Line[] Read()
    {
        using var csv = new CsvReader(
            new StringReader(File.ReadAllText(Path.Combine(AppContext.BaseDirectory, "Practice", "handbook.csv")).Replace("; ", ";")),
            CultureInfo.InvariantCulture
        );
        csv.Read();
        csv.ReadHeader();
        var lines = new List<Line>();
        while (csv.Read())
            lines.Add(new Line(csv["taxon"]!, csv["handbook"]!, csv["facts"]!));
        return [.. lines];
    }
}
