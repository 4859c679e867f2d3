using VerdantSieve.Core.Formats.Exchange;
using Xunit;

namespace VerdantSieve.Core.Tests.Formats.Exchange;

public class FloraFormatsTests
{
    [Theory]
    [InlineData("oaks.zip", "package")]
    [InlineData("OAKS.NEX", "nexus")]
    [InlineData("oaks.nxs", "nexus")]
    [InlineData("oaks.xml", "sdd")]
    [InlineData("oaks.sdd", "sdd")]
    [InlineData("oaks.xlsx", null)]
    [InlineData("oaks", null)]
    public void A_format_is_told_by_the_name_of_the_file(string file, string? format) =>
        Assert.Equal(format, FloraFormats.OfFile(file)?.Id);

    [Fact]
    public void Each_format_is_found_by_its_id_and_by_nothing_else()
    {
        Assert.All(FloraFormats.All, format => Assert.Same(format, FloraFormats.Find(format.Id)));
        Assert.Null(FloraFormats.Find("lost"));
        Assert.All(FloraFormats.All.SelectMany(format => format.Extensions).CountBy(end => end), end => Assert.Equal(1, end.Value));
        Assert.Equal("data package (.zip), NEXUS (.nex) or SDD (.xml)", FloraFormats.Listed("or"));
    }

    [Fact]
    public void Only_what_holds_all_loses_nothing() =>
        Assert.All(FloraFormats.All, format => Assert.Equal(format.Id == "package", format.Lost(SmallFlora.Flora).Count == 0));

    [Fact]
    public void What_each_format_writes_it_reads_back_with_the_same_taxa()
    {
        foreach (var format in FloraFormats.All)
        {
            var stream = new MemoryStream();
            format.Write(SmallFlora.Flora, stream);
            stream.Position = 0;
            var back = format.Read(
                stream,
                new FloraFileRequest($"flora{format.Extensions[0]}", "back"),
                TestContext.Current.CancellationToken
            );
            Assert.Equal(SmallFlora.Flora.Taxa.Select(taxon => taxon.Name), back.Value.Taxa.Select(taxon => taxon.Name));
            Assert.Equal(format.NamesTheFlora ? "small" : "back", back.Value.About.Id);
        }
    }

    [Fact]
    public void The_template_has_two_taxa_and_the_whole_vocabulary()
    {
        var template = FloraFormats.Template(SmallFlora.Flora);
        Assert.Equal(2, template.Taxa.Count);
        Assert.Equal(SmallFlora.Flora.Characters.Count, template.Characters.Count);
        Assert.All(template.Taxa, taxon => Assert.False(taxon.IsHybrid));
    }
}
