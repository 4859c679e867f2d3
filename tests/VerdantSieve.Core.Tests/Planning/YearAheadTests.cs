using NodaTime;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Planning;
using VerdantSieve.Core.Seasons;
using VerdantSieve.Core.Sieving;
using VerdantSieve.Core.Tests.Sieving;
using Xunit;

namespace VerdantSieve.Core.Tests.Planning;

/// <summary>When it is worth coming back.</summary>
public class YearAheadTests
{
    private static readonly LocalDate January = new(2026, 1, 5);

    // Two kinds that only their flowers tell apart, which are open in May at the flora's reference place.
    private static MadeFlora InFlowerOnly(string flowering = "1 May – 31 May", Func<Taxon, Taxon>? with = null) =>
        new MadeFlora()
            .States("gloss", "dull shiny")
            .Season(CharacterIds.Flowering)
            .States("petals", "white red", c => c with { Part = "flower", OnlyIf = Condition.Parse(CharacterIds.Flowering) })
            .Taxon("Aus albus", $"gloss: dull / flowering: {flowering} / petals: white", with)
            .Taxon("Aus ruber", $"gloss: dull / flowering: {flowering} / petals: red", with);

    // Nobody errs, so that one look may settle it.
    private static readonly SieveModel Knowing = SieveModel.Standard with
    {
        Strangers = 1e-9,
        SlipWhenSure = 1e-6,
        SlipWhenFair = 1e-6,
        SlipWhenGuessing = 1e-6,
        Looseness = 0,
        Gaps = 0,
    };

    private static YearAhead Ahead(MadeFlora flora, Circumstances? where = null, params Reading[] readings) =>
        YearAhead.Of(
            flora.Sieve(Knowing),
            new SieveQuestion
            {
                Circumstances = where ?? At(0, 0, 0),
                Readings = [new Reading("gloss", new StatesSeen(["dull"], StateMode.Is), Certainty.Fair), .. readings],
            },
            January
        );

    // So many degrees and metres from the reference place.
    private static Circumstances At(double north, double east, double up)
    {
        var at = new FloraAbout("made", "Made").ReferencePlace.Position;
        return new Circumstances { Position = new Position(at.Latitude + north, at.Longitude + east, at.Elevation + up) };
    }

    [Fact]
    public void Where_only_flowers_tell_it_is_best_come_back_when_they_are_open()
    {
        var year = Ahead(InFlowerOnly());
        Assert.Equal(5, year.Best!.Day.Month);
        Assert.Contains(year.Best.Looks, look => look.Character.Id == "petals");
        var winter = year.Weeks.First(week => week.Day.Month == 11);
        Assert.True(winter.Settles < 0.2, $"{winter.Settles} in November");
        Assert.True(year.Best.Settles > 0.5, $"{year.Best.Settles} in May");
        Assert.True(year.Best.Bits > winter.Bits + 0.4);
    }

    // Hopkins 1918: four days for each degree of latitude, each five of longitude, each 122 m.
    [Theory]
    [InlineData(0, 0, 305, 10)]
    [InlineData(5, 0, 0, 20)]
    [InlineData(0, -10, 0, -8)]
    public void Where_spring_comes_later_so_does_the_visit(double north, double east, double up, int days)
    {
        var flora = InFlowerOnly();
        var where = At(north, east, up);
        var season = SeasonHere.Of(flora.Flora.Taxa[0], fruit: false, flora.Flora, where)!;
        Assert.Equal(days, season.Days);
        Assert.Equal(120 + days, season.Window.StartDay);
        var (there, here) = (Ahead(flora, where).BestSpan()!.Value.From, Ahead(flora).BestSpan()!.Value.From);
        Assert.InRange((there - here).Days + 30 * (there - here).Months, days - 7, days + 7);
    }

    [Fact]
    public void What_is_settled_by_nothing_in_the_year_has_no_best_week()
    {
        var alike = new MadeFlora().States("gloss", "dull shiny").Taxon("Aus unus", "gloss: dull").Taxon("Aus alter", "gloss: dull");
        Assert.Null(Ahead(alike).Best);
        Assert.Null(Ahead(alike).BestSpan());
    }

    // Both kinds have male and female trees; only fruit tells them apart.
    [Fact]
    public void A_male_is_not_gone_to_for_its_fruit()
    {
        var flora = new MadeFlora()
            .States("gloss", "dull shiny")
            .States(CharacterIds.Sexes, $"{CharacterIds.SeparateTrees} one-tree")
            .Season(CharacterIds.Fruiting)
            .States("stone", "smooth ridged", c => c with { Part = "fruit", OnlyIf = Condition.Parse(CharacterIds.Fruiting) });
        foreach (var (name, stone) in new[] { ("Aus levis", "smooth"), ("Aus asper", "ridged") })
            flora.Taxon(
                name,
                $"gloss: dull / {CharacterIds.Sexes}: {CharacterIds.SeparateTrees} / fruiting: 1 Sep – 31 Oct / stone: {stone}"
            );
        double Most(PlantSex? sex) => Ahead(flora, At(0, 0, 0) with { Sex = sex }).Weeks.Max(week => week.Settles);
        Assert.True(Most(PlantSex.Male) < 0.1, $"{Most(PlantSex.Male)} for a male");
        Assert.True(Most(PlantSex.Female) > Most(null) + 0.15, $"{Most(PlantSex.Female)} for a female, {Most(null)} unknown");
    }

    [Fact]
    public void Flowers_looked_for_in_vain_are_asked_for_again_in_their_season()
    {
        var seen = new Reading(CharacterIds.Flowering, new Today(false), Certainty.Sure) { Day = new LocalDate(2025, 11, 2) };
        Assert.True(Ahead(InFlowerOnly(), null, seen).Best!.Settles > 0.5);
        var today = seen with { Day = January };
        Assert.DoesNotContain(Ahead(InFlowerOnly(), null, today).Weeks[0].Looks, look => look.Character.Id == CharacterIds.Flowering);
    }

    [Fact]
    public void What_hangs_high_or_is_small_needs_something_brought()
    {
        FieldTool[] Needs(string id, string part) =>
            [.. FieldTools.Of(new MadeFlora().States(id, "a b", c => c with { Part = part }).Flora.Characters[0])];
        Assert.Equal([FieldTool.Lens], Needs("underside-hair", "surface"));
        Assert.Equal([FieldTool.Glasses], Needs("flower-colour", "flower"));
        Assert.Equal([FieldTool.Glasses, FieldTool.Bag], Needs("fruit-colour", "fruit"));
        Assert.Empty(Needs("lobing", "lobes"));
    }

    [Fact]
    public void Whoever_goes_to_a_plant_that_may_burn_is_told_not_to_touch_it()
    {
        Taxon Burning(Taxon taxon) => taxon with { Hazards = [new Hazard(HazardKind.SkinIrritant, "burns")] };
        var one = InFlowerOnly();
        one.Taxon("Aus urens", "gloss: dull / flowering: 1 May – 31 May / petals: red", Burning);
        Assert.Equal("Aus urens", Ahead(one).Weeks[0].Care!.Name.Text);
        Assert.NotNull(Ahead(one).Best);
        Assert.Null(Ahead(InFlowerOnly()).Weeks[0].Care);
        // Where all that is left burns, nothing is gained by going.
        Assert.Null(Ahead(InFlowerOnly(with: Burning)).Best);
    }
}
