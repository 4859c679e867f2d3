using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Curating;
using VerdantSieve.Core.Drawing;
using VerdantSieve.Core.Seasons;
using VerdantSieve.Core.Sieving;
using VerdantSieve.Core.Tests.Sieving;
using Xunit;

namespace VerdantSieve.Core.Tests.Curating;

/// <summary>Each rule of the report on a made fault, and on the same without it.</summary>
public class RulesTests
{
    private static Finding[] Found(Flora flora, FindingKind kind) =>
        [.. FloraReport.Of(new Sieve(flora), new DrawnVocabulary(flora.Vocabulary, flora.Vocabulary)).Findings.Where(f => f.Kind == kind)];

    private static Finding[] Found(MadeFlora flora, FindingKind kind) => Found(flora.Flora, kind);

    private static void OnlyFirst(MadeFlora flora, FindingKind kind, string says = "")
    {
        var finding = Assert.Single(Found(flora, kind));
        Assert.Equal("Aus primus", finding.Taxa[0].Name.Text);
        Assert.Contains(says, finding.Text);
        Assert.Null(finding.Explained);
    }

    private static MadeFlora Two(string states, string character, string first, string second, Func<Taxon, Taxon>? with = null) =>
        new MadeFlora().States(character, states).Taxon("Aus primus", first, with).Taxon("Aus secundus", second);

    [Fact]
    public void Native_and_planted_only() =>
        OnlyFirst(Two("woods planted", "habitat", "habitat: planted", "habitat: planted, sometimes woods"), FindingKind.NativeNeverWild);

    [Fact]
    public void Native_and_not_wild_by_its_settings() =>
        OnlyFirst(
            Two("woods planted", "habitat", "habitat: woods", "habitat: woods", t => t with { Settings = [Setting.Planted] }),
            FindingKind.NativeNeverWild
        );

    [Fact]
    public void A_keyed_country_of_which_nothing_is_said()
    {
        var made = Two("grey red", "bark", "bark: grey", "bark: grey", t => t with { Distribution = new Distribution(["CAL"], []) });
        var flora = new Flora(made.Flora.About with { Keyed = ["ORE"] }, made.Flora.Vocabulary, made.Flora.Taxa);
        var finding = Assert.Single(Found(flora, FindingKind.NotLooked));
        Assert.Contains("Oregon", finding.Text);
        var looked = flora.With(flora.Taxa[0] with { Distribution = flora.Taxa[0].Distribution with { Looked = true } });
        Assert.Empty(Found(looked, FindingKind.NotLooked));
    }

    // Washington touches British Columbia, Idaho and Oregon (World Geographical Scheme, from memory).
    [Fact]
    public void A_country_between_others_that_is_left_out()
    {
        OnlyFirst(
            Two("grey red", "bark", "bark: grey", "bark: grey", t => t with { Distribution = new Distribution(["BRC", "IDA", "ORE"], []) }),
            FindingKind.RangeHole,
            "Washington"
        );
        Assert.Empty(
            Found(
                Two(
                    "grey red",
                    "bark",
                    "bark: grey",
                    "bark: grey",
                    t => t with { Distribution = new Distribution(["BRC", "IDA", "ORE"], [], [], ["WAS"]) }
                ),
                FindingKind.RangeHole
            )
        );
    }

    [Fact]
    public void A_double_without_its_mirror()
    {
        static Taxon Double(Taxon taxon, string name) => taxon with { Doubles = [new PlantDouble(name, "redder")] };
        OnlyFirst(Two("grey red", "bark", "bark: grey", "bark: red", t => Double(t, "Aus secundus")), FindingKind.OneWayDouble);
        var both = new MadeFlora()
            .States("bark", "grey red")
            .Taxon("Aus primus", "bark: grey", t => Double(t, "Aus secundus"))
            .Taxon("Aus secundus", "bark: red", t => Double(t, "Aus primus"));
        Assert.Empty(Found(both, FindingKind.OneWayDouble));
    }

    [Fact]
    public void A_mark_that_is_no_difference()
    {
        Taxon Marked(Taxon taxon) => taxon with { Doubles = [new PlantDouble("Aus secundus", "bark") { Marks = ["bark"] }] };
        OnlyFirst(Two("grey red", "bark", "bark: grey", "bark: grey", Marked), FindingKind.EmptyMark, "bark");
        Assert.Empty(Found(Two("grey red", "bark", "bark: grey", "bark: red", Marked), FindingKind.EmptyMark));
    }

    [Fact]
    public void States_that_no_taxon_shows_and_that_one_shows()
    {
        var made = Two("grey red blue", "bark", "bark: grey, red", "bark: grey");
        Assert.Contains("blue", Assert.Single(Found(made, FindingKind.UnusedState)).Text);
        Assert.Equal("scored for it by itself", Assert.Single(Found(made, FindingKind.LoneState)).Explained);
        var shared = new SharedScores("Aus", null, made.Flora.FindTaxon("Aus primus")!.OwnScores);
        var flora = new Flora(
            made.Flora.About with
            {
                Shared = [shared],
            },
            made.Flora.Vocabulary,
            [made.Flora.Taxa[0] with { OwnScores = new Dictionary<string, Score>() }, made.Flora.Taxa[1]]
        );
        Assert.Null(Assert.Single(Found(flora, FindingKind.LoneState)).Explained);
    }

    [Theory]
    [InlineData("fruit-type: drupe / fruit-colour: red", 1)]
    [InlineData("fruit-type: drupe / fruit-colour: red, green", 0)]
    [InlineData("fruit-type: seed-cone / fruit-colour: red", 0)]
    public void Fleshy_fruit_that_is_never_green(string scores, int times) =>
        Assert.Equal(
            times,
            Found(
                new MadeFlora().States("fruit-type", "drupe seed-cone").States("fruit-colour", "red green").Taxon("Aus primus", scores),
                FindingKind.UnripeNotGreen
            ).Length
        );

    [Theory]
    [InlineData("fruit-type: drupe / seeds-per-fruit: 1–8", 1)]
    [InlineData("fruit-type: drupe / seeds-per-fruit: 1–5", 0)]
    [InlineData("fruit-type: berry / seeds-per-fruit: 1–8", 0)]
    public void Stone_fruit_with_many_stones(string scores, int times) =>
        Assert.Equal(
            times,
            Found(
                new MadeFlora().States("fruit-type", "drupe berry").Count("seeds-per-fruit").Taxon("Aus primus", scores),
                FindingKind.ManyStones
            ).Length
        );

    // By Hopkins' law spring comes forty days later ten degrees further north.
    [Theory]
    [InlineData("north", "1 Apr – 1 May", 1)]
    [InlineData("north", "10 May – 10 Jun", 0)]
    [InlineData(null, "1 Apr – 1 May", 0)]
    public void A_window_copied_from_a_congener_of_another_place(string? place, string window, int times)
    {
        var character = new SeasonCharacter("flowering")
        {
            Part = "flower",
            Label = "flowering",
            Question = "?",
            Phrase = "flowers",
        };
        var made = new MadeFlora().Taxon("Aus primus", "").Taxon("Aus secundus", "");
        Taxon Flowering(Taxon taxon, string when, string? at) =>
            taxon with
            {
                WindowsAt = at,
                OwnScores = new Dictionary<string, Score> { ["flowering"] = new SeasonScore(SeasonWindow.Parse(when).Value) },
            };
        var flora = new Flora(
            new FloraAbout("made", "Made")
            {
                Places = new Dictionary<string, Place> { ["north"] = new("the north", new Position(55.5, -122.7, 60)) },
            },
            [character],
            [Flowering(made.Flora.Taxa[0], "1 Apr – 1 May", null), Flowering(made.Flora.Taxa[1], window, place)]
        );
        Assert.Equal(times, Found(flora, FindingKind.SameWindowElsewhere).Length);
    }

    [Fact]
    public void A_mark_of_the_genus_that_one_kind_has_for_itself()
    {
        var made = Two("leafy none", "stipules", "stipules: leafy", "stipules: none").Taxon("Aus tertius", "stipules: none");
        OnlyFirst(made, FindingKind.UnlikeItsGenus, "stipules");
        var noted = Two(
                "leafy none",
                "stipules",
                "stipules: leafy",
                "stipules: none",
                t => t with { Notes = new Dictionary<string, string> { ["stipules"] = "looked at" } }
            )
            .Taxon("Aus tertius", "stipules: none");
        Assert.Equal("looked at", Assert.Single(Found(noted, FindingKind.UnlikeItsGenus)).Explained);
        Assert.Empty(
            Found(
                Two("leafy none", "stipules", "stipules: leafy, none", "stipules: none").Taxon("Aus tertius", "stipules: none"),
                FindingKind.UnlikeItsGenus
            )
        );
    }

    [Theory]
    [InlineData("Red twigs in winter.", 1)]
    [InlineData("Brown twigs in winter.", 0)]
    [InlineData("Red at heart.", 0)]
    public void A_line_to_remember_by_that_the_scores_do_not_bear_out(string line, int times) =>
        Assert.Equal(
            times,
            Found(
                Two("brown red", "twig-colour", "twig-colour: brown", "twig-colour: red", t => t with { Remember = line }),
                FindingKind.RememberAgainstScores
            ).Length
        );
}
