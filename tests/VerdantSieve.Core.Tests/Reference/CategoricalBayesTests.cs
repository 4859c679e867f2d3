using System.Text.Json;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Sieving;
using Xunit;

namespace VerdantSieve.Core.Tests.Reference;

/// <summary>With slips, damping, strangers and place put aside, weighing is the naive Bayes rule. Source: scikit-learn's CategoricalNB on
/// the
/// Soybean data (UCI, by R's mlbench); the script that made the fixtures stands beside this file.</summary>
public class CategoricalBayesTests
{
    private static readonly string Folder = Path.Combine(AppContext.BaseDirectory, "Reference");

    [Fact]
    public void Posteriors_equal_those_of_scikit_learn()
    {
        var data = new SoybeanData(File.ReadAllText(Path.Combine(Folder, "soybean.csv")));
        var fixtures = JsonDocument.Parse(File.ReadAllText(Path.Combine(Folder, "categorical-bayes.json"))).RootElement;
        var classes = fixtures.GetProperty("classes").EnumerateArray().Select(name => name.GetString()!).ToArray();
        var sieve = new Sieve(data.Flora(data.Plants, added: 1), SieveModel.Plain);
        Assert.Equal(683, data.Plants.Count);
        var worst = 0.0;
        foreach (var plant in fixtures.GetProperty("plants").EnumerateArray())
        {
            var readings = data.Plants[plant.GetProperty("row").GetInt32()]
                .Shown.Select(pair => new Reading(pair.Key, new StatesSeen([pair.Value], StateMode.Is), Certainty.Sure));
            var chances = sieve
                .Ask(new SieveQuestion { Readings = [.. readings] })
                .Candidates.ToDictionary(c => c.Taxon.CommonName, c => c.Probability);
            var expected = plant.GetProperty("posterior").EnumerateArray().Select(value => value.GetDouble()).ToArray();
            worst = Math.Max(worst, classes.Zip(expected).Max(pair => Math.Abs(chances[pair.First] - pair.Second)));
        }
        Assert.True(worst < 1e-9, $"largest difference {worst}");
    }
}
