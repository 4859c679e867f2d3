using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Keys;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Sieving;
using VerdantSieve.Core.Simulating;
using VerdantSieve.Core.Tests.Sieving;
using Xunit;

namespace VerdantSieve.Core.Tests.Keys;

/// <summary>Dichotomous keys: what comes out where, and what is asked.</summary>
public class KeyTests
{
    // Eight kinds that three characters of two states part evenly.
    private static MadeFlora Cube(Func<StateCharacter, StateCharacter>? third = null)
    {
        var flora = new MadeFlora().States("bark", "grey red").States("leaf", "wide thin").States("bud", "long short", third);
        for (var i = 0; i < 8; i++)
            flora.Taxon(
                $"Aus s{i}",
                $"bark: {(i % 2 == 0 ? "grey" : "red")} / leaf: {(i / 2 % 2 == 0 ? "wide" : "thin")} / bud: "
                    + $"{(i / 4 == 0 ? "long" : "short")}"
            );
        return flora;
    }

    private static Key Build(MadeFlora made, KeySeason season = KeySeason.Leaf) =>
        new KeyBuilder(made.Flora).Build(made.Flora.Taxa, season);

    private static IEnumerable<Lead> Ends(Key key) => key.Couplets.SelectMany(couplet => couplet.Leads).Where(lead => lead.Ends);

    [Fact]
    public void Where_kinds_part_evenly_the_key_is_as_short_as_any_can_be()
    {
        var key = Build(Cube());
        Assert.Equal((7, 3, 3.0, 3.0), (key.Couplets.Count, key.LongestLength, key.MeanLength, key.Bound));
        Assert.All(Ends(key), lead => Assert.Single(lead.Taxa));
        Assert.Equal(8, Ends(key).SelectMany(lead => lead.Taxa).Distinct().Count());
    }

    [Fact]
    public void Couplets_are_numbered_as_they_come_and_say_where_they_come_from()
    {
        var key = Build(Cube());
        Assert.Equal(Enumerable.Range(1, 7), key.Couplets.Select(couplet => couplet.Number));
        Assert.Null(key[1].From);
        Assert.All(key.Couplets.Skip(1), couplet => Assert.Contains(key[couplet.From!.Value].Leads, lead => lead.To == couplet.Number));
    }

    [Fact]
    public void A_kind_that_shows_both_sides_comes_out_at_both_ends_and_one_that_hardly_ever_does_at_one()
    {
        var made = new MadeFlora()
            .States("bark", "grey red")
            .Taxon("Aus griseus", "bark: grey")
            .Taxon("Aus ruber", "bark: red, rarely grey")
            .Taxon("Aus varians", "bark: grey, sometimes red");
        var key = Build(made);
        Assert.Equal(["Aus varians"], key.SeveralTimes.Select(taxon => taxon.Name.Text));
        var single = Assert.Single(key.Couplets);
        Assert.Equal(["Aus griseus", "Aus varians"], single.First.Taxa.Select(taxon => taxon.Name.Text));
        Assert.Equal(["Aus ruber", "Aus varians"], single.Second.Taxa.Select(taxon => taxon.Name.Text));
    }

    [Fact]
    public void A_dear_look_waits_until_a_cheap_one_has_no_more_to_say()
    {
        Assert.Equal("bud", Build(Cube(bud => bud with { Effort = 0.2 }))[1].First.Statements[0].Character.Id);
        Assert.NotEqual("bud", Build(Cube(bud => bud with { Effort = 3 }))[1].First.Statements[0].Character.Id);
    }

    [Fact]
    public void A_word_that_is_often_misused_waits_too()
    {
        Assert.NotEqual("bud", Build(Cube(bud => bud with { Effort = 0.9, Looseness = 0.6 }))[1].First.Statements[0].Character.Id);
        Assert.Equal("bud", Build(Cube(bud => bud with { Effort = 0.9, Looseness = 0 }))[1].First.Statements[0].Character.Id);
    }

    [Fact]
    public void Nothing_is_touched_while_a_kind_that_burns_is_still_there()
    {
        MadeFlora Made(bool burns) =>
            new MadeFlora()
                .States("pith", "solid hollow", c => c with { Contact = true, Effort = 0.2 })
                .States("leaf", "wide thin")
                .Taxon("Aus primus", "pith: solid / leaf: wide")
                .Taxon("Aus secundus", "pith: hollow / leaf: wide")
                .Taxon(
                    "Aus urens",
                    "pith: hollow / leaf: thin",
                    taxon => burns ? taxon with { Hazards = [new Hazard(HazardKind.SkinIrritant, "burns")] } : taxon
                );
        Assert.Equal("leaf", Build(Made(true))[1].First.Statements[0].Character.Id);
        Assert.Equal("pith", Build(Made(true))[2].First.Statements[0].Character.Id);
        Assert.Equal("pith", Build(Made(false))[1].First.Statements[0].Character.Id);
    }

    [Theory]
    [InlineData(KeySeason.Leaf, false, false)]
    [InlineData(KeySeason.Flower, true, false)]
    [InlineData(KeySeason.Fruit, false, true)]
    [InlineData(KeySeason.Winter, false, false)]
    public void What_is_asked_can_be_seen_in_that_season(KeySeason season, bool flowers, bool fruit)
    {
        var made = new MadeFlora()
            .Season(CharacterIds.Flowering)
            .Season(CharacterIds.Fruiting)
            .States("petals", "white red", c => c with { Part = "flower", OnlyIf = Condition.Parse(CharacterIds.Flowering), Effort = 0.5 })
            .States("stone", "round flat", c => c with { Part = "fruit", OnlyIf = Condition.Parse(CharacterIds.Fruiting), Effort = 0.5 })
            .States("bark", "grey red", c => c with { Part = "bark" });
        for (var i = 0; i < 4; i++)
            made.Taxon(
                $"Aus s{i}",
                $"flowering: 1 May – 31 May / fruiting: 1 Sep – 30 Sep / petals: {(i < 2 ? "white" : "red")} / stone: "
                    + $"{(i % 2 == 0 ? "round" : "flat")} / bark: {(i == 0 ? "grey" : "red")}"
            );
        var asked = Build(made, season).Characters.Select(character => character.Id).ToArray();
        Assert.Equal(flowers, asked.Contains("petals"));
        Assert.Equal(fruit, asked.Contains("stone"));
    }

    // The bud parts the groups, and the bark parts the kinds a little more evenly and more cheaply.
    private static MadeFlora Grouped(int each, string second = "pale")
    {
        var made = new MadeFlora()
            .States("bark", "grey red", c => c with { Effort = 0.7 })
            .States("bud", "long short")
            .States("leaf", "a b c d e f");
        for (var i = 0; i < 2 * each; i++)
        {
            var isDark = i < each - 1;
            made.Taxon(
                $"Aus s{i}",
                $"bark: {(i % 2 == 0 ? "grey" : "red")} / bud: {(isDark ? "long" : "short")} / leaf: {"abcdef"[i % 6]}",
                taxon => taxon with { Group = isDark ? "dark" : second }
            );
        }
        return made;
    }

    [Fact]
    public void In_a_large_genus_the_groups_are_parted_first_and_in_a_small_one_not()
    {
        var large = Build(Grouped(5));
        Assert.Equal("bud", large[1].First.Statements[0].Character.Id);
        Assert.Equal(["Aus, dark", "Aus, pale"], large[1].Leads.Select(large[1].NarrowsTo).Order());
        Assert.NotEqual("bud", Build(Grouped(2))[1].First.Statements[0].Character.Id);
        // Where all are of one group there is none to part.
        var one = Build(Grouped(5, "dark"));
        Assert.NotEqual("bud", one[1].First.Statements[0].Character.Id);
        Assert.All(one[1].Leads, lead => Assert.Null(one[1].NarrowsTo(lead)));
    }

    [Fact]
    public void The_words_of_a_key_are_those_its_couplets_use()
    {
        var made = new MadeFlora().States("bark", "grey red white").Taxon("Aus a", "bark: grey").Taxon("Aus b", "bark: white");
        var key = Build(made);
        var bark = (StateCharacter)Assert.Single(key.Characters);
        Assert.Equal(["grey", "white"], key.StatesUsed(bark).Select(state => state.Id));
    }

    [Fact]
    public void What_nothing_parts_comes_out_together()
    {
        var made = new MadeFlora()
            .States("bark", "grey red")
            .Taxon("Aus unus", "bark: grey")
            .Taxon("Aus alter", "bark: grey")
            .Taxon("Aus ruber", "bark: red");
        Assert.Equal([1, 2], Ends(Build(made)).Select(lead => lead.Taxa.Count).Order());
        Assert.Empty(new KeyBuilder(made.Flora).Build([made.Flora.Taxa[0]], KeySeason.Leaf).Couplets);
        Assert.Throws<ArgumentException>(() => new KeyBuilder(made.Flora).Build([], KeySeason.Leaf));
    }

    [Fact]
    public void Numbers_are_cut_where_no_kind_is_cut_in_two()
    {
        var made = new MadeFlora().Count("lobes").Taxon("Aus pauci", "lobes: 3–5").Taxon("Aus multi", "lobes: 7–9");
        var couplet = Assert.Single(Build(made).Couplets);
        Assert.Equal((5, 6), (couplet.First.Statements[0].Most, couplet.Second.Statements[0].Least));
        Assert.Equal("Aus pauci", couplet.First.Taxa.Single().Name.Text);
    }

    [Fact]
    public void A_statement_runs_alongside_only_where_it_says_the_same()
    {
        var made = new MadeFlora()
            .States("bark", "grey red", c => c with { Effort = 0.5 })
            .States("leaf", "wide thin")
            .States("bud", "long short");
        foreach (
            var (name, scores) in new[]
            {
                ("Aus a", "bark: grey / leaf: wide / bud: long"),
                ("Aus b", "bark: grey / leaf: wide / bud: short"),
                ("Aus c", "bark: red / leaf: thin / bud: long"),
                ("Aus d", "bark: red / leaf: thin / bud: short"),
            }
        )
            made.Taxon(name, scores);
        Assert.Equal(["bark", "leaf"], Build(made)[1].First.Statements.Select(statement => statement.Character.Id));
    }

    [Fact]
    public void Whoever_never_slips_comes_out_right_and_who_slips_at_every_couplet_does_not()
    {
        var made = Cube();
        var trial = new KeyTrial(made.Flora, made.Sieve());
        var key = Build(made);
        var sure = trial.Run(key, Circumstances.Unknown, 0, 10, 1);
        Assert.Equal((1, 3), (sure.EndsRight, sure.MeanCouplets));
        var slipping = trial.Run(key, Circumstances.Unknown, 0.1, 75, 1);
        // Three couplets, each read right nine times in ten: 0.9³ = 0.73.
        Assert.InRange(slipping.EndsRight, 0.69, 0.77);
    }
}
