using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Sieving;
using VerdantSieve.Store.Looks;
using Xunit;

namespace VerdantSieve.Store.Tests;

/// <summary>The shape in which looks are kept, and how older ones are read.</summary>
public class LookShapeTests
{
    // As the first version wrote it.
    private const string First = """
        {"place":"Lantern Creek","region":"ORE","latitude":45.1,"longitude":-123.2,"elevation":110,
         "date":"2026-06-14","observer":"Odalys Brandt",
         "setting":"planted","age":"young","school":"strict","slips":2,"notes":"by the ford",
         "readings":[{"character":"blade-length","low":12.5,"high":19.25,"leaves":5,"certainty":"guess"}],
         "determined":{"name":"Acer","rank":"genus","probability":0.97,"sentence":"A maple.","floraEdition":1,"on":"2026-06-14"}}
        """;

    [Fact]
    public void A_look_of_the_first_version_is_read_with_all_it_said()
    {
        var content = LookShape.Read(First);
        Assert.Equal(("Lantern Creek", "Odalys Brandt", "by the ford"), (content.Place, content.Observer, content.Notes));
        Assert.Equal(
            new RawCircumstances
            {
                Region = "ORE",
                Latitude = "45.1",
                Longitude = "-123.2",
                Elevation = "110",
                Date = "2026-06-14",
                Setting = "planted",
                Age = "young",
            },
            content.Circumstances
        );
        Assert.Equal((School.Strict, 2), (content.School, content.AllowedDisagreements));
        Assert.Equal(12.5, Assert.Single(content.Readings).Low);
        Assert.Equal((TaxonRank.Genus, 0.97), (content.Determined!.Rank!.Value, content.Determined.Probability));
        Assert.Empty(CircumstancesDesk.Check(content.Circumstances).Faults);
    }

    [Fact]
    public void A_look_of_the_first_version_that_said_little_is_read_too()
    {
        var content = LookShape.Read("""{"place":"","observer":"","school":"weigh","slips":1,"notes":"","readings":[]}""");
        Assert.Equal(new RawCircumstances(), content.Circumstances);
        Assert.Equal(1, content.AllowedDisagreements);
    }

    [Fact]
    public void What_is_written_says_its_version_and_reads_back_the_same()
    {
        var content = LookShape.Read(First);
        var written = LookShape.Write(content);
        Assert.Contains($"\"shape\":{LookShape.Current}", written);
        Assert.DoesNotContain("slips", written);
        var back = LookShape.Read(written);
        Assert.Equal(content with { Readings = [] }, back with { Readings = [] });
        Assert.Equal(content.Readings, back.Readings);
    }

    [Fact]
    public void A_look_of_a_later_version_is_refused_in_words() =>
        Assert.Contains("a later version", Assert.Throws<InvalidOperationException>(() => LookShape.Read("""{"shape":99}""")).Message);

    [Fact]
    public void Readings_that_the_flora_does_not_understand_are_set_apart_and_the_rest_is_asked()
    {
        var flora = new Flora(
            new FloraAbout("made", "Made"),
            [
                new StateCharacter("bark")
                {
                    Part = "bark",
                    Label = "bark",
                    Question = "?",
                    Phrase = "{}",
                    States = [new State("grey", "grey", ""), new State("red", "red", "")],
                },
            ],
            []
        );
        var asked = LookQuestion.Of(
            new LookContent
            {
                Circumstances = new RawCircumstances { Region = "ORE" },
                Readings =
                [
                    new RawReading("bark") { States = ["grey"] },
                    new RawReading("smell") { States = ["rank"] },
                    new RawReading("bark") { States = ["blue"] },
                ],
            },
            flora
        );
        Assert.Equal("bark", Assert.Single(asked.Question.Readings).Character);
        Assert.Equal(["smell", "bark"], asked.NotUnderstood.Select(rest => rest.Raw.Character));
        Assert.Equal(["character", "states"], asked.NotUnderstood.Select(rest => rest.Why.At));
        Assert.Equal("ORE", asked.Question.Circumstances.Region);
        Assert.Empty(asked.WhereFaults);

        var lost = LookQuestion.Of(
            new LookContent
            {
                Circumstances = new RawCircumstances { Region = "XXX", Date = "2026-06-14" },
            },
            flora
        );
        Assert.Equal("region", Assert.Single(lost.WhereFaults).At);
        Assert.Equal(Circumstances.Unknown, lost.Question.Circumstances);
    }
}
