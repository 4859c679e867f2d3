using System.Xml.Linq;
using FsCheck;
using FsCheck.Xunit;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Formats;
using VerdantSieve.Core.Formats.Exchange;
using Xunit;

namespace VerdantSieve.Core.Tests.Formats.Exchange;

public class StructuredDescriptionsTests
{
    private static readonly StructuredDescriptions Format = new();

    private const string Open = "<Datasets xmlns=\"http://rs.tdwg.org/UBIF/2006/\"><Dataset>",
        Close = "</Dataset></Datasets>";

    [Fact]
    public void The_shipped_flora_comes_back_but_for_what_is_listed()
    {
        var file = (Text: Format.WriteText(SmallFlora.Flora), Lost: Format.Lost(SmallFlora.Flora));
        var reading = Format.ReadText(new SourceFile("flora.xml", file.Text), "back");
        Assert.True(reading.Value is not null, string.Join('\n', reading.Faults.Take(5)));
        Assert.Equal(SmallFlora.Flora.Taxa.Select(taxon => taxon.Name), reading.Value.Taxa.Select(taxon => taxon.Name));
        foreach (var taxon in SmallFlora.Flora.Taxa)
        {
            var back = reading.Value.FindTaxon(taxon.Name.Text)!;
            foreach (var (id, score) in taxon.Scores)
                if (score is StateScore states)
                    Assert.Equal(
                        states.States.Select(s => s.State),
                        Assert.IsType<StateScore>(back.Scores[id]).States.Select(s => s.State)
                    );
                else if (score is RangeScore)
                    Assert.Equal(score, back.Scores[id]);
                else if (score is SeasonScore)
                    Assert.False(back.Scores.ContainsKey(id));
        }
        Assert.Contains(file.Lost, line => line.Contains("Seasons are left out: flowering, fruiting."));
        Assert.Contains(file.Lost, line => line.StartsWith("How often a state is shown is lost in"));
    }

    [Fact]
    public void Every_reference_in_a_document_is_defined_in_it()
    {
        var document = XDocument.Parse(Format.WriteText(SmallFlora.Flora));
        var defined = document.Descendants().Attributes("id").Select(attribute => attribute.Value).ToArray();
        Assert.Equal(defined.Length, defined.Distinct().Count());
        Assert.Empty(document.Descendants().Attributes("ref").Select(attribute => attribute.Value).Except(defined));
    }

    [Theory]
    [InlineData("", "can’t be read as XML")]
    [InlineData("<a/>", "there is no Dataset")]
    [InlineData("<!DOCTYPE d [<!ENTITY x SYSTEM \"file:///etc/passwd\">]><d>&x;</d>", "a document type is not taken in")]
    [InlineData("<!DOCTYPE d [<!ENTITY a \"aaaa\"><!ENTITY b \"&a;&a;&a;\">]><d>&b;</d>", "a document type is not taken in")]
    [InlineData("<Datasets xmlns=\"http://rs.tdwg.org/UBIF/2006/\"><Dataset>", "can’t be read as XML")]
    [InlineData(Open + "<Characters><CategoricalCharacter/></Characters>" + Close, "needs the attribute “id”")]
    [InlineData(
        Open
            + "<CodedDescriptions><CodedDescription id=\"d\"><Representation><Label>Aus "
            + "bus</Label></Representation><SummaryData><Categorical "
            + "ref=\"c9\"/></SummaryData></CodedDescription></CodedDescriptions>"
            + Close,
        "the character “c9” is not defined"
    )]
    [InlineData(
        Open
            + "<Characters><QuantitativeCharacter "
            + "id=\"c1\"><MeasurementUnit><Representation><Label>furlong</Label></Representation></MeasurementUnit>"
            + "</QuantitativeCharacter></Characters>"
            + Close,
        "must be cm, m or ratio"
    )]
    public void What_cannot_be_read_is_said_in_words(string text, string message) =>
        Assert.Contains(message, Assert.Single(Format.ReadText(new SourceFile("x.xml", text), "x").Faults).Message);

    [Property(MaxTest = Cases.Many)]
    public bool Whatever_is_sent_is_answered_in_words(string? anything, bool begun)
    {
        var text = begun ? Open + anything + Close : anything ?? "";
        return Format.ReadText(new SourceFile("x.xml", text), "x") is { } reading && (reading.Has(out _) || reading.Faults.Count > 0);
    }

    [Property(MaxTest = Cases.Some)]
    public bool A_document_cut_short_is_answered_in_words(PositiveInt cut)
    {
        var whole = Format.WriteText(NexusTests.Sample);
        return Format.ReadText(new SourceFile("x.xml", whole[..(cut.Get * 37 % whole.Length)]), "x") is { Faults.Count: > 0 };
    }
}
