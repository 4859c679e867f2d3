using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Formats;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Tests.Sieving;
using Xunit;

namespace VerdantSieve.Core.Tests.Botany;

public class DistributionTests
{
    [Fact]
    public void A_country_may_say_how_common_a_kind_is_there()
    {
        var plane = SmallFlora.Flora.FindTaxon("Platanus occidentalis")!;
        Assert.Equal(Abundance.Occasional, plane.AbundanceIn("ONT"));
        Assert.Equal(plane.Abundance, plane.AbundanceIn("OHI"));
        Assert.True(plane.Distribution.Includes("ONT"));
        Assert.False(plane.Distribution.Includes("GRB"));
    }

    [Fact]
    public void A_find_at_the_edge_of_its_range_is_less_likely_there()
    {
        var flora = new MadeFlora()
            .States("bark", "grey red")
            .Taxon("Aus communis", "bark: grey", t => t with { Distribution = new Distribution(["ORE", "WAS"], []) })
            .Taxon(
                "Aus rarus",
                "bark: grey",
                t =>
                    t with
                    {
                        Distribution = new Distribution(["ORE", "WAS"], [])
                        {
                            Local = new Dictionary<string, Abundance> { ["WAS"] = Abundance.Scarce },
                        },
                    }
            )
            .Sieve();
        var (oregon, washington) = (flora.Ask(new Circumstances { Region = "ORE" }), flora.Ask(new Circumstances { Region = "WAS" }));
        Assert.Equal(oregon.Of("Aus communis"), oregon.Of("Aus rarus"), 9);
        Assert.Equal(Abundance.Scarce.Weight() / Abundance.Common.Weight(), washington.Of("Aus rarus") / washington.Of("Aus communis"), 9);
    }

    [Fact]
    public void Local_commonness_is_written_and_read_beside_the_country_and_a_wrong_word_is_a_fault()
    {
        var plane = SmallFlora.Flora.FindTaxon("Platanus occidentalis")!;
        var written = TaxonWriter.Write(plane, SmallFlora.Flora.Vocabulary);
        Assert.Contains("ONT occasional", written);
        var faults = FloraReader
            .ReadTaxon(new SourceFile("taxa/Platanus/occidentalis.yaml", written.Replace("ONT occasional", "ONT seldom")), SmallFlora.Flora)
            .Faults;
        Assert.Contains("must be one of common, frequent, occasional, scarce, not “seldom”", Assert.Single(faults).Message);
    }
}
