using System.Text.Json;
using FsCheck;
using FsCheck.Xunit;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Formats;
using VerdantSieve.Core.Formats.Exchange;
using VerdantSieve.Core.Tests.Sieving;
using Xunit;

namespace VerdantSieve.Core.Tests.Formats.Exchange;

public class NexusTests
{
    /// <summary>A small flora with all that the format tells apart: one state, several, not known, cannot apply, a presence, names with
    /// marks in them.</summary>
    internal static Flora Sample =>
        new MadeFlora()
            .States("leaf", "simple compound")
            .States("leaflets", "three many", c => c with { OnlyIf = Condition.Parse("leaf=compound") })
            .States("margin", "entire toothed spiny")
            .Presence("thorns")
            .Measure("length")
            .Taxon("Aus primus", "leaf: simple / margin: entire / thorns: never / length: 3–5 cm")
            .Taxon("Aus alter", "leaf: compound / leaflets: many, rarely three / margin: toothed, spiny / thorns: always")
            .Taxon("Aus × medius", "leaf: simple, compound / thorns: 30 %")
            .Taxon("Bus crus-galli var. minor", "leaf: compound / leaflets: three / margin: entire, sometimes toothed / thorns: always")
            .Flora;

    // Read by R’s ape 5.7 and by DendroPy 4.5 from nexus-sample.nex: see Reference/nexus.R and Reference/nexus.py beside it.
    [Theory]
    [InlineData("nexus-ape.json")]
    [InlineData("nexus-dendropy.json")]
    public void Other_programs_read_the_same_matrix(string file)
    {
        Assert.Equal(Reference("nexus-sample.nex"), new Nexus().WriteText(Sample));
        var read = JsonSerializer.Deserialize<Dictionary<string, string[]>>(Reference(file))!;
        Assert.Equal(Sample.Taxa.Select(taxon => taxon.Name.Text).Order(), read.Keys.Order());
        Assert.Equal(["0", "-", "0", "0"], read["Aus primus"]);
        Assert.Equal(["1", "01", "12", "1"], read["Aus alter"]);
        Assert.Equal(["01", "?", "?", "01"], read["Aus × medius"]);
        Assert.Equal(["1", "0", "01", "1"], read["Bus crus-galli var. minor"]);
    }

    [Fact]
    public void What_the_format_cannot_hold_is_listed()
    {
        var lost = string.Join('\n', new Nexus().Lost(Sample));
        Assert.Contains("Measures are left out: length.", lost);
        Assert.Contains("is lost in 2 scores: usual, sometimes and rarely", lost);
        Assert.Contains("lost in 1 scores: they become “absent or present”", lost);
    }

    [Fact]
    public void The_shipped_flora_comes_back_with_its_states_but_for_what_is_listed()
    {
        var reading = new Nexus().ReadText(new SourceFile("flora.nex", new Nexus().WriteText(SmallFlora.Flora)), "back");
        Assert.True(reading.Value is not null, string.Join('\n', reading.Faults.Take(5)));
        Assert.Equal(SmallFlora.Flora.Taxa.Count, reading.Value.Taxa.Count);
        foreach (var taxon in SmallFlora.Flora.Taxa)
        {
            var back = reading.Value.FindTaxon(taxon.Name.Text)!;
            foreach (var (id, score) in taxon.Scores)
                if (score is StateScore states)
                    Assert.Equal(
                        states.States.Select(state => state.State).Order(),
                        Assert.IsType<StateScore>(back.Scores[id]).States.Select(state => state.State).Order()
                    );
        }
    }

    [Theory]
    [InlineData("", "must begin with #NEXUS")]
    [InlineData("#NEXUS begin data; matrix A 0", "never closed by a semicolon")]
    [InlineData("#NEXUS begin data; format datatype=dna; matrix A 0; end;", "only standard data")]
    [InlineData("#NEXUS begin data; dimensions nchar=2;\nmatrix\nA 0;\nend;", "A has 1 characters, and 2 are declared")]
    [InlineData("#NEXUS begin data; format symbols=\"01\";\nmatrix\nA 0\nB 7;\nend;", "“7” is not among the symbols 01")]
    [InlineData("#NEXUS [a comment", "comment is never closed")]
    [InlineData("#NEXUS begin data; matrix 'A 0;", "quotation mark is never closed")]
    [InlineData("#NEXUS begin trees; end;", "no matrix")]
    [InlineData("#NEXUS begin data; format interleave; matrix A 0; end;", "interleaved")]
    public void What_cannot_be_read_is_said_in_words(string text, string message) =>
        Assert.Contains(message, Assert.Single(new Nexus().ReadText(new SourceFile("x.nex", text), "x").Faults).Message);

    [Fact]
    public void Comments_case_quotes_and_unlabelled_characters_are_understood()
    {
        var flora = new Nexus()
            .ReadText(
                new SourceFile(
                    "x.nex",
                    "#nexus\nBegin Characters; [one [inner] comment]\nDimensions NChar=3;\nFormat Datatype=Standard "
                        + "Symbols=\"012\" Missing=n Gap=x;\nMatrix\n 'Aus bus'  0(12)n\n Cus_dus 2{01}x\n;\nEnd;"
                ),
                "x"
            )
            .Value;
        Assert.Equal(["Aus bus", "Cus dus"], flora.Taxa.Select(taxon => taxon.Name.Text));
        Assert.Equal(2, flora.Taxa[0].Scores.Count);
        Assert.Equal(["state-0", "state-1", "state-2"], ((StateCharacter)flora.Characters[0]).States.Select(state => state.Id));
    }

    [Property(MaxTest = Cases.Many)]
    public bool Whatever_is_sent_is_answered_in_words(string? anything, bool begun)
    {
        var text = (begun ? "#NEXUS\nBEGIN DATA;\nMATRIX\n" : "") + anything;
        return new Nexus().ReadText(new SourceFile("x.nex", text), "x") is { } reading && (reading.Has(out _) || reading.Faults.Count > 0);
    }

    private static string Reference(string file) => File.ReadAllText(Path.Combine(AppContext.BaseDirectory, "Reference", file));
}
