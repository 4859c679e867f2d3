using VerdantSieve.Core.Curating;
using VerdantSieve.Core.Tests.Sieving;
using Xunit;

namespace VerdantSieve.Core.Tests.Curating;

public class SecondDraftTests
{
    [Fact]
    public void Agreement_is_counted_by_character()
    {
        var flora = new MadeFlora().States("bark", "grey red").Measure("leaf").Taxon("Aus primus", "bark: grey / leaf: 2–4 cm").Taxon("Aus alter", "bark: red, sometimes grey / leaf: 2–4 cm").Taxon("Aus tertius", "bark: red / leaf: 2–4 cm").Flora;
        var draft = SecondDraft.Read("name,bark,leaf\nAus primus,grey,2–4 cm\nAus alter,red,8–9 cm\nAus tertius,grey,\n", flora).Against(flora);
        Assert.Equal((3, 2.0 / 3), (draft[0].Taxa, draft[0].Agreement));
        Assert.Equal(new Disagreement(new Core.Botany.ScientificName("Aus tertius"), "red", "grey"), Assert.Single(draft[0].Disagreements));
        Assert.Equal(0.4, draft[0].Kappa!.Value, 9);
        Assert.Equal((2, 0.5, null), (draft[1].Taxa, draft[1].Agreement, draft[1].Kappa));
        Assert.Equal("Aus alter", Assert.Single(draft[1].Disagreements).Taxon.Text);
    }

    [Theory]
    [InlineData("name,bark\nAus nullus,grey\n", "is not in the flora")]
    [InlineData("name,bank\nAus primus,grey\n", "no character “bank”")]
    [InlineData("name,bark\nAus primus,blue\n", "has no state “blue”")]
    public void A_draft_that_does_not_fit_the_flora_is_refused(string table, string message)
    {
        var flora = new MadeFlora().States("bark", "grey red").Taxon("Aus primus", "bark: grey").Flora;
        Assert.Contains(message, Assert.Throws<FormatException>(() => SecondDraft.Read(table, flora)).Message);
    }
}
