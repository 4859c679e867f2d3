using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Formats;
using VerdantSieve.Core.Looking;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Tests.Sieving;
using Xunit;

namespace VerdantSieve.Core.Tests.Observing;

/// <summary>What earlier editions of a vocabulary called otherwise is understood for good.</summary>
public class FormerWordsTests
{
    private static readonly Flora Flora = new MadeFlora()
        .States("colour", "green blue", colour => colour with { Formerly = [new FormerWord("needle-colour", null)] })
        .States("bud", "round pointed")
        .Presence("gum", gum => gum with { Formerly = [new FormerWord("bud", "sticky")] })
        .Taxon("Acer one", "colour: green / bud: round / gum: always")
        .Flora;

    [Fact]
    public void A_character_goes_by_its_former_id_and_no_other()
    {
        Assert.Equal("colour", Flora.FindCharacter("needle-colour")!.Id);
        Assert.Null(Flora.FindCharacter("leaf-colour"));
        var read = Read(new RawReading("needle-colour") { States = ["blue"] });
        Assert.Equal(("colour", new StatesSeen(["blue"], StateMode.Is)), (read.Character, read.Observation));
    }

    [Theory]
    [InlineData(null, true)]
    [InlineData("is", true)]
    [InlineData("not", false)]
    public void A_state_that_has_become_a_sign_is_seen_or_not(string? mode, bool seen)
    {
        var read = Read(
            new RawReading("bud")
            {
                States = ["sticky"],
                Mode = mode,
                Certainty = "sure",
                On = "tip",
            }
        );
        Assert.Equal(("gum", new Sought(seen)), (read.Character, read.Observation));
        Assert.Equal((Certainty.Sure, PlantPlace.Tip), (read.Certainty, read.On));
    }

    [Fact]
    public void Beside_a_state_that_is_there_still_it_is_left_out()
    {
        var read = Read(new RawReading("bud") { States = ["pointed", "sticky"], Mode = "all-seen" });
        Assert.Equal(("bud", new StatesSeen(["pointed"], StateMode.Is)), (read.Character, read.Observation));
        Assert.Equal("states", Assert.Single(ReadingDesk.Check(new RawReading("bud") { States = ["glossy"] }, Flora).Faults).At);
        Assert.Equal("states", Assert.Single(ReadingDesk.Check(new RawReading("colour") { States = ["sticky"] }, Flora).Faults).At);
    }

    [Fact]
    public void What_a_look_kept_under_a_former_name_is_replaced_and_dropped_under_the_one_it_has_now()
    {
        var kept = new LookContent
        {
            Readings =
            [
                new RawReading("needle-colour") { States = ["green"] },
                new RawReading("bud") { States = ["sticky"] },
                new RawReading("bud") { States = ["round"], On = "tip" },
            ],
        };
        var now = kept.InWordsOf(Flora.Vocabulary);
        Assert.Equal(["colour", "gum", "bud"], now.Readings.Select(raw => raw.Character));
        Assert.Equal(["gum", "bud"], now.Without("colour", null).Readings.Select(raw => raw.Character));
        var read = Read(new RawReading("colour") { States = ["blue"] });
        Assert.Equal(["blue"], Assert.Single(now.With(read).Readings, raw => raw.Character == "colour").States!);
        // Without that it would stand twice; and what has no former names is left as it is.
        Assert.Equal(4, kept.With(read).Readings.Count);
        Assert.Same(now, now.InWordsOf(Flora.Vocabulary));
    }

    [Theory]
    [InlineData("needle-colour", "needle-colour", null)]
    [InlineData(" bud = sticky ", "bud", "sticky")]
    public void It_is_written_as_an_id_or_an_id_and_a_state(string text, string character, string? state)
    {
        var word = FormerWord.Parse(text)!;
        Assert.Equal(new FormerWord(character, state), word);
        Assert.Equal(word, FormerWord.Parse(word.ToString()));
    }

    [Theory]
    [InlineData("")]
    [InlineData("=sticky")]
    [InlineData("bud=")]
    [InlineData("bud=a=b")]
    public void Anything_else_is_none(string text) => Assert.Null(FormerWord.Parse(text));

    [Theory]
    [InlineData("[shape]", "a character of this vocabulary still")]
    [InlineData("[form=entire]", "must name a state that form had")]
    [InlineData("[margin=toothed]", "must name a state that margin had, and has no longer")]
    [InlineData("['=']", "takes ids of characters")]
    [InlineData("[old, old]", "has become another character already")]
    [InlineData("[old, margin=gland]", null)]
    public void A_vocabulary_says_of_each_what_it_was(string formerly, string? fault)
    {
        var vocabulary = $$"""
            blade:
              shape:
                kind: nominal
                question: What shape?
                states: {round: round, long: long}
              margin:
                kind: nominal
                question: What edge?
                states: {entire: entire, toothed: toothed}
              glands:
                kind: presence
                question: Glands?
                formerly: {{formerly}}
            """;
        var reading = FloraReader.Read(
            new SourceFile("flora.yaml", "id: test\ntitle: A test\n"),
            new SourceFile("characters.yaml", vocabulary),
            []
        );
        if (fault is null)
            Assert.Equal("glands", reading.Value.Vocabulary.MovedTo("margin", "gland")!.Id);
        else
            Assert.Contains(fault, Assert.Single(reading.Faults).Message);
    }

    [Fact]
    public void A_score_by_the_former_id_is_read_and_by_both_ids_is_a_fault()
    {
        Assert.Equal(["colour"], Scores("needle-colour: blue").Value.Scores.Keys);
        Assert.Contains("scored besides", Assert.Single(Scores("colour: green\n  needle-colour: blue").Faults).Message);
    }

    private static Outcome<Taxon> Scores(string scores) =>
        FloraReader.ReadTaxon(
            new SourceFile(
                "taxa/Acer/two.yaml",
                "name: Acer two\nauthority: T\nfamily: F\ncommon-names: [two]\nnative: [ORE]\nsettings: [wild]\nprovenance: memory\n"
                    + $"scores:\n  {scores}\n"
            ),
            Flora
        );

    private static Reading Read(RawReading raw)
    {
        var checkedReading = ReadingDesk.Check(raw, Flora);
        Assert.Empty(checkedReading.Faults);
        return checkedReading.Value;
    }
}
