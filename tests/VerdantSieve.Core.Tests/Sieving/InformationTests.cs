using System.Text.Json;
using VerdantSieve.Core.Sieving;
using Xunit;

namespace VerdantSieve.Core.Tests.Sieving;

/// <summary>Entropy against SciPy's scipy.stats.entropy and mutual information against scikit-learn's mutual_info_score; the
/// values and the script that made them stand beside this file.</summary>
public class InformationTests
{
    private static readonly JsonElement Fixtures = JsonDocument
        .Parse(File.ReadAllText(Path.Combine(AppContext.BaseDirectory, "Sieving", "information-fixtures.json")))
        .RootElement;

    [Fact]
    public void Entropy_is_as_SciPy_has_it()
    {
        foreach (var one in Fixtures.GetProperty("entropy").EnumerateArray())
            Assert.Equal(one.GetProperty("bits").GetDouble(), Information.Entropy(Numbers(one.GetProperty("weights"))), 9);
    }

    [Fact]
    public void Mutual_information_is_as_scikit_learn_has_it()
    {
        foreach (var one in Fixtures.GetProperty("mutual").EnumerateArray())
        {
            double[][] outcomes = [.. one.GetProperty("outcomes").EnumerateArray().Select(Numbers)];
            Assert.Equal(one.GetProperty("bits").GetDouble(), Information.Mutual(Numbers(one.GetProperty("rows")), outcomes), 9);
        }
    }

    [Fact]
    public void A_fair_coin_is_one_bit() => Assert.Equal(1, Information.Entropy([1, 1]), 12);

    [Fact]
    public void Nothing_at_all_has_no_entropy() => Assert.Equal(0, Information.Entropy([0, 0]));

    private static double[] Numbers(JsonElement array) => [.. array.EnumerateArray().Select(value => value.GetDouble())];
}
