using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Curating;
using VerdantSieve.Core.Tests.Sieving;
using Xunit;

namespace VerdantSieve.Core.Tests.Curating;

public class SecondDraftTests
{
    private static readonly Core.Botany.Flora Flora = new MadeFlora()
        .States("bark", "grey red")
        .Measure("leaf")
        .Taxon("Aus primus", "bark: grey / leaf: 2–4 cm")
        .Taxon("Aus alter", "bark: red, sometimes grey / leaf: 2–4 cm")
        .Taxon("Aus tertius", "bark: red / leaf: 2–4 cm")
        .Flora;

    [Fact]
    public void Agreement_is_counted_by_character()
    {
        var draft = SecondDraft
            .Read("name,bark,leaf\nAus primus,grey,2–4 cm\nAus alter,red,8–9 cm\nAus tertius,grey,\n", Flora)
            .Against(Flora);
        Assert.Equal((3, (1 + 0.8 + 0) / 3), (draft[0].Taxa, draft[0].Likeness));
        Assert.Equal(
            new Disagreement(new Core.Botany.ScientificName("Aus tertius"), "red", "grey", Apart: true),
            Assert.Single(draft[0].Disagreements)
        );
        Assert.Equal(0.4, draft[0].Kappa!.Value, 9);
        Assert.Equal((2, 0.5, null), (draft[1].Taxa, draft[1].Likeness, draft[1].Kappa));
        Assert.Equal("Aus alter", Assert.Single(draft[1].Disagreements).Taxon.Text);
    }

    [Fact]
    public void Scores_that_share_too_little_are_settled_though_both_may_be_right()
    {
        var draft = SecondDraft.Read("name,bark,leaf\nAus alter,\"grey, sometimes red\",3–8 cm\n", Flora).Against(Flora);
        Assert.All(draft, character => Assert.False(Assert.Single(character.Disagreements).Apart));
    }

    [Fact]
    public void What_was_settled_since_does_not_count_as_agreement()
    {
        var settled = Settlement.Read("name,character,first,second,settled,why\nAus primus,bark,red,grey,grey,seen again\n", Flora);
        var bark = Assert.Single(SecondDraft.Read("name,bark\nAus primus,grey\n", Flora).Against(Flora, settled));
        Assert.Equal("red", Assert.Single(bark.Disagreements).First);
        Assert.Empty(Assert.Single(SecondDraft.Read("name,bark\nAus primus,grey\n", Flora).Against(Flora)).Disagreements);
    }

    [Theory]
    [InlineData("Aus nullus,bark,red,grey,grey,why", "Aus nullus is not in the flora")]
    [InlineData("Aus primus,bank,red,grey,grey,why", "no character “bank”")]
    [InlineData("Aus primus,bark,blue,grey,grey,why", "Line 2, first: ")]
    [InlineData("Aus primus,bark,red,grey,grey, ", "gives no ground")]
    [InlineData("Aus primus,bark,red,grey,grey,why\nAus primus,bark,red,grey,grey,why", "settled twice")]
    public void A_log_of_settlements_that_does_not_fit_the_flora_is_refused(string rows, string message) =>
        Assert.Contains(
            message,
            Assert.Throws<FormatException>(() => Settlement.Read("name,character,first,second,settled,why\n" + rows + "\n", Flora)).Message
        );

    [Theory]
    [InlineData("")]
    [InlineData("name,character,first\n")]
    public void A_log_without_its_columns_is_refused(string table) =>
        Assert.Contains(
            "has the columns name, character, first, second, settled, why",
            Assert.Throws<FormatException>(() => Settlement.Read(table, Flora)).Message
        );

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
