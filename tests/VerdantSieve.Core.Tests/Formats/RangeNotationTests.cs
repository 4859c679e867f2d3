using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Formats;
using Xunit;

namespace VerdantSieve.Core.Tests.Formats;

public class RangeNotationTests
{
    // Level 2 of the World Geographical Scheme (Brummitt 2001), from memory.
    [Fact]
    public void A_block_stands_for_its_countries_but_for_those_that_stand_alone_or_are_left_out()
    {
        var range = Read("native: [northeastern-usa without INI MIC, NWY scarce]\nplanted: [northern-europe, MAI]").Distribution;
        Assert.Equal(Occurrence.Native, range.In("OHI"));
        Assert.Equal(Occurrence.NotLooked, range.In("INI"));
        Assert.Equal(Occurrence.Planted, range.In("MAI"));
        Assert.Equal(Occurrence.Planted, range.In("GRB"));
        Assert.Equal(Abundance.Scarce, range.Local["NWY"]);
        Assert.False(range.Local.ContainsKey("OHI"));
    }

    [Fact]
    public void A_block_may_say_how_common_the_taxon_is_in_it()
    {
        var range = Read("native: [northern-europe scarce, DEN]").Distribution;
        Assert.Equal(Abundance.Scarce, range.Local["GRB"]);
        Assert.False(range.Local.ContainsKey("DEN"));
    }

    [Theory]
    [InlineData("native: [GRB]\nrun-wild: [GRB]", "GRB stands twice")]
    [InlineData("native: [northern-europe]\nplanted: [northern-europe]", "stands twice")]
    [InlineData("native: ['']", "“” is neither a level 3 code")]
    [InlineData("native: [southern-pacific]", "neither a level 3 code")]
    [InlineData("native: [northern-europe without FRA]", "leaves out FRA")]
    [InlineData("native: [northern-europe seldom]", "must be one of common, frequent, occasional, scarce")]
    public void What_is_wrong_with_a_range_is_said(string range, string says) =>
        Assert.Contains(FloraReader.ReadTaxon(File(range), SmallFlora.Flora).Faults, fault => fault.Message.Contains(says));

    [Fact]
    public void What_is_written_is_short_and_reads_back_the_same()
    {
        var range = new Distribution(
            ["CNT", "MAI", "MAS", "NWH", "NWJ", "NWY", "OHI", "PEN", "RHO", "VER", "WVA", "MIC"],
            ["GRB"],
            ["FRA"],
            ["TEX"]
        )
        {
            Local = new Dictionary<string, Abundance> { ["OHI"] = Abundance.Scarce, ["FRA"] = Abundance.Common },
            Looked = true,
            PlantedWidely = true,
        };
        var taxon = Read("native: [ORE]") with { Distribution = range };
        var written = TaxonWriter.Write(taxon, SmallFlora.Flora.Vocabulary);
        Assert.Contains("native: [northeastern-usa without INI, OHI scarce]", written);
        Assert.Contains("run-wild: [GRB]", written);
        Assert.Contains("planted: [FRA common]", written);
        Assert.Contains("absent: [TEX]", written);
        Assert.Equal(
            range,
            FloraReader.ReadTaxon(new SourceFile("taxa/Quercus/garryana.yaml", written), SmallFlora.Flora).Value.Distribution
        );
    }

    [Fact]
    public void What_was_brought_somewhere_is_taken_to_have_run_wild() =>
        Assert.Equal(Occurrence.RunWild, Read("native: [ORE]\nintroduced: [GRB]").Distribution.In("GRB"));

    private static Taxon Read(string range) => FloraReader.ReadTaxon(File(range), SmallFlora.Flora).Value;

    private static SourceFile File(string range) =>
        new(
            "taxa/Quercus/garryana.yaml",
            "name: Quercus garryana\nauthority: not given\nfamily: Fagaceae\ncommon-names: [white oak]\nsettings: [wild]\n"
                + $"provenance: made up\n{range}\nscores:\n  foliage: broad\n"
        );
}
