using VerdantSieve.Core.Curating;
using VerdantSieve.Core.Formats;
using Xunit;

namespace VerdantSieve.Flora.Tests;

/// <summary>What the shipped flora lacks, and how its files are written.</summary>
public class ShippedReportTests
{
    private static readonly Lazy<FloraReport> Shipped = new(() => FloraReport.Of(ShippedFlora.Sieve, ShippedFlora.Drawn));

    [Fact]
    public void The_shipped_flora_has_no_finding_that_nothing_explains() =>
        Assert.Empty(Shipped.Value.Unexplained.Select(finding => finding.Text));

    [Fact]
    public void Every_shipped_file_is_as_it_is_written()
    {
        foreach (var taxon in ShippedFlora.Flora.Taxa)
        {
            var path = TaxonWriter.Path(taxon.Name);
            Assert.Equal(
                File.ReadAllText(Path.Combine(ShippedFlora.Folder, path)),
                TaxonWriter.Write(taxon, ShippedFlora.Flora.Vocabulary)
            );
        }
        foreach (var genus in ShippedFlora.Flora.About.Shared.Select(shared => shared.Genus).OfType<string>().Distinct())
            Assert.Equal(
                File.ReadAllText(Path.Combine(ShippedFlora.Folder, "taxa", genus, "_genus.yaml")),
                SharedNotation.Write(genus, ShippedFlora.Flora.About.Shared, ShippedFlora.Flora.Vocabulary)
            );
    }
}
