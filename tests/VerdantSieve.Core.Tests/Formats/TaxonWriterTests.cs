using FsCheck;
using FsCheck.Xunit;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Formats;
using Xunit;

namespace VerdantSieve.Core.Tests.Formats;

public class TaxonWriterTests
{
    [Theory]
    [InlineData("it's: a “trap” # not a comment")]
    [InlineData("- a dash, [a bracket] and {a brace}")]
    [InlineData(" spaces ")]
    [InlineData("yes: no")]
    [InlineData("\"quoted\" \\ slashed")]
    [InlineData("*anchor")]
    [InlineData("trailing:")]
    public void Words_of_any_kind_read_back_as_they_were(string words) => ReadsBack(words);

    [Property(MaxTest = Cases.Some)]
    public void Any_words_read_back_as_they_were(NonEmptyString words)
    {
        // YAML takes no control characters, and the reader trims nothing else.
        var text = new string([
            .. words.Get.Where(letter =>
                !char.IsControl(letter)
                && !char.IsSurrogate(letter)
                && letter is not ('\uFFFE' or '\uFFFF' or '\u2028' or '\u2029' or '\u0085' or '\uFEFF')
            ),
        ]);
        if (text.Length > 0)
            ReadsBack(text);
    }

    private static void ReadsBack(string words)
    {
        var oak = SmallFlora.Flora.FindTaxon("Quercus garryana")!;
        var written = TaxonWriter.Write(
            oak with
            {
                Remember = words,
                CommonNames = [words, "oak"],
                Hazards = [new Hazard(HazardKind.Thorns, words)],
            },
            SmallFlora.Flora.Vocabulary
        );
        var outcome = FloraReader.ReadTaxon(new SourceFile("taxa/Quercus/garryana.yaml", written), SmallFlora.Flora);
        var (back, faults) = (outcome.Has(out var read) ? read : null, outcome.Faults);
        Assert.True(back is not null, $"{string.Join("; ", faults)} in {written[..300]}");
        Assert.Equal((words, words, words), (back.Remember, back.CommonNames[0], back.Hazards[0].Caution));
    }

    [Fact]
    public void One_taxon_is_checked_as_a_whole_flora_is()
    {
        var oak = TaxonWriter.Write(SmallFlora.Flora.FindTaxon("Quercus garryana")!, SmallFlora.Flora.Vocabulary);
        Assert.Contains("lobe-tip has no state “blunt”", Faults(oak.Replace("lobe-tip: rounded", "lobe-tip: blunt")));
        Assert.Contains("neither a level 3 code", Faults(oak.Replace("BRC", "XYZ")));
        Assert.Contains("“doubles” names Quercus nowhere", Faults(oak.Replace("doubles:", "doubles:\n  Quercus nowhere: larger")));
        Assert.Contains("is a name in", Faults(oak.Replace("native:", "synonyms: [Quercus robur]\nnative:")));
        Assert.Contains("stands twice", Faults(oak.Replace("settings:", "planted: [ORE]\nsettings:")));
        Assert.Contains("“windows-at”", Faults(oak.Replace("abundance: common", "abundance: common\nwindows-at: nowhere")));

        static string Faults(string text) =>
            string.Join('\n', FloraReader.ReadTaxon(new SourceFile("taxa/Quercus/garryana.yaml", text), SmallFlora.Flora).Faults);
    }
}
