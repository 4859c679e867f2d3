using VerdantSieve.Core.Curating;
using VerdantSieve.Core.Formats;
using Xunit;

namespace VerdantSieve.Flora.Tests;

/// <summary>What the shipped flora lacks, and how its files are written.</summary>
public class ShippedReportTests
{
    private static readonly Lazy<FloraReport> Shipped = new(() => FloraReport.Of(ShippedFlora.Sieve, ShippedFlora.Drawn));

    [Theory]
    [InlineData(FindingKind.Inseparable)]
    [InlineData(FindingKind.UnderScored)]
    [InlineData(FindingKind.UnusedCharacter)]
    [InlineData(FindingKind.OneState)]
    [InlineData(FindingKind.GlossaryGap)]
    public void The_shipped_flora_has_no_finding_that_nothing_explains(FindingKind kind) =>
        Assert.Empty(Shipped.Value.Unexplained.Where(finding => finding.Kind == kind).Select(finding => finding.Text));

    // Each was looked at and is true of the plant: a chinkapin’s small burr, a tree among hazels, a beaked husk, honeysuckle heads, a
    // garden
    // apple, a bramble with a maple’s leaf, a service-tree’s round buds, a sumac with many leaflets.
    [Fact]
    public void Ranges_out_of_line_with_the_genus_are_known_ones() =>
        Assert.Equal(
            [
                "Castanea pumila",
                "Corylus colurna",
                "Corylus cornuta",
                "Lonicera periclymenum",
                "Malus pumila",
                "Rubus odoratus",
                "Sorbus torminalis",
                "Toxicodendron vernix",
            ],
            Shipped
                .Value.Findings.Where(finding => finding.Kind == FindingKind.OutOfLine)
                .Select(finding => finding.Taxa[0].Name.Text)
                .Order()
        );

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
    }
}
