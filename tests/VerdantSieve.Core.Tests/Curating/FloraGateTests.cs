using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Curating;
using Xunit;

namespace VerdantSieve.Core.Tests.Curating;

public class FloraGateTests
{
    private static readonly Taxon Maple = SmallFlora.Flora.Taxa[0];

    [Fact]
    public void A_sound_flora_passes() => Assert.Empty(FloraGate.Pass(Of("my-flora", Maple)).Faults);

    [Theory]
    [InlineData("My Flora")]
    [InlineData("")]
    [InlineData("-begins-so")]
    [InlineData("../floras")]
    [InlineData("a%00")]
    [InlineData("sixty-one-letters-are-one-too-many-for-an-id-of-a-flora-here-x")]
    public void An_id_has_an_alphabet_of_its_own(string id) =>
        Assert.Contains(FloraGate.Pass(Of(id, Maple)).Faults, fault => fault.At == "id" && fault.Sentence.Contains("small letters"));

    [Fact]
    public void Every_kind_has_an_address_of_its_own()
    {
        var species = Maple with { Name = new ScientificName("Abies alba") };
        var hybrid = Maple with { Name = new ScientificName("Abies × alba") };
        var fault = Assert.Single(FloraGate.Pass(Of("firs", species, hybrid)).Faults);
        Assert.Contains("Abies alba and Abies × alba would share the address “abies-alba”", fault.Sentence);
        Assert.Empty(FloraGate.Pass(Of("firs", species)).Faults);
    }

    [Fact]
    public void A_flora_without_kinds_or_without_a_title_is_of_no_use()
    {
        Assert.Contains("at least one kind", Assert.Single(FloraGate.Pass(Of("empty")).Faults).Sentence);
        var untitled = new Flora(SmallFlora.Flora.About with { Id = "x", Title = "" }, SmallFlora.Flora.Vocabulary, [Maple]);
        Assert.Equal("title", Assert.Single(FloraGate.Pass(untitled).Faults).At);
    }

    private static Flora Of(string id, params Taxon[] taxa) =>
        new(SmallFlora.Flora.About with { Id = id, Title = "Made" }, SmallFlora.Flora.Vocabulary, taxa);
}
