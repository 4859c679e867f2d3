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
    private const string Open = "<Datasets xmlns=\"http://rs.tdwg.org/UBIF/2006/\"><Dataset>", Close = "</Dataset></Datasets>";

    [Fact]
    public void The_shipped_flora_comes_back_but_for_what_is_listed()
    {
        var file = StructuredDescriptions.Write(ShippedFlora.Flora);
        var reading = StructuredDescriptions.Read(new SourceFile("flora.xml", file.Text), "back");
        Assert.True(reading.Flora is not null, string.Join('\n', reading.Faults.Take(5)));
        Assert.Equal(ShippedFlora.Flora.Taxa.Select(taxon => taxon.Name), reading.Flora.Taxa.Select(taxon => taxon.Name));
        foreach (var taxon in ShippedFlora.Flora.Taxa)
        {
            var back = reading.Flora.FindTaxon(taxon.Name.Text)!;
            foreach (var (id, score) in taxon.Scores)
                if (score is StateScore states) Assert.Equal(states.States.Select(s => s.State), Assert.IsType<StateScore>(back.Scores[id]).States.Select(s => s.State));
                else if (score is RangeScore) Assert.Equal(score, back.Scores[id]);
                else if (score is SeasonScore) Assert.False(back.Scores.ContainsKey(id));
        }
        Assert.Contains(file.Lost, line => line.Contains("Seasons are left out: flowering, fruiting."));
        Assert.Contains(file.Lost, line => line.StartsWith("How often a state is shown is lost in"));
    }

    [Fact]
    public void Every_reference_in_a_document_is_defined_in_it()
    {
        var document = XDocument.Parse(StructuredDescriptions.Write(ShippedFlora.Flora).Text);
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
    [InlineData(Open + "<CodedDescriptions><CodedDescription id=\"d\"><Representation><Label>Aus bus</Label></Representation><SummaryData><Categorical ref=\"c9\"/></SummaryData></CodedDescription></CodedDescriptions>" + Close, "the character “c9” is not defined")]
    [InlineData(Open + "<Characters><QuantitativeCharacter id=\"c1\"><MeasurementUnit><Representation><Label>furlong</Label></Representation></MeasurementUnit></QuantitativeCharacter></Characters>" + Close, "must be cm, m or ratio")]
    public void What_cannot_be_read_is_said_in_words(string text, string message) =>
        Assert.Contains(message, Assert.Single(StructuredDescriptions.Read(new SourceFile("x.xml", text), "x").Faults).Message);

    [Property(MaxTest = 200)]
    public bool Whatever_is_sent_is_answered_in_words(string? anything, bool begun)
    {
        var text = begun ? Open + anything + Close : anything ?? "";
        return StructuredDescriptions.Read(new SourceFile("x.xml", text), "x") is { } reading && (reading.Flora is not null || reading.Faults.Count > 0);
    }

    [Property(MaxTest = 60)]
    public bool A_document_cut_short_is_answered_in_words(PositiveInt cut)
    {
        var whole = StructuredDescriptions.Write(NexusTests.Sample).Text;
        return StructuredDescriptions.Read(new SourceFile("x.xml", whole[..(cut.Get * 37 % whole.Length)]), "x") is { Flora: null, Faults.Count: > 0 };
    }
}
