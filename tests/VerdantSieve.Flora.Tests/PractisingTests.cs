using NodaTime;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Drawing;
using VerdantSieve.Core.Practising;
using VerdantSieve.Core.Sieving;
using Xunit;

namespace VerdantSieve.Flora.Tests;

/// <summary>Practice made of the shipped flora: what is posed, and what is right.</summary>
public class PractisingTests
{
    private static readonly LocalDate Today = new(2026, 6, 1);
    private static readonly Sieve Sieve = ShippedFlora.Sieve;
    private static readonly Poser Poser = new(Sieve, ShippedFlora.Drawn);
    private static readonly SetMaker Maker = new(Poser);

    private static Core.Botany.Flora Flora => Sieve.Flora;

    private static IReadOnlyList<Taxon> Of(string country) => [.. Flora.Taxa.Where(taxon => taxon.Distribution.Native.Contains(country))];

    private static IReadOnlyList<Exercise> Set(
        IReadOnlyDictionary<string, Repetition>? known = null,
        int count = SetMaker.Usual,
        params ExerciseKind[] kinds
    ) =>
        Maker.Make(
            new SetWish(Of("ORE"), kinds.Length > 0 ? kinds : Enum.GetValues<ExerciseKind>(), "ORE"),
            known ?? Nothing,
            Today,
            count,
            5
        );

    private static readonly Dictionary<string, Repetition> Nothing = [];

    [Fact]
    public void A_set_has_every_kind_of_exercise_and_asks_each_thing_once()
    {
        var made = Set(count: 20);
        Assert.Equal(20, made.Count);
        Assert.Equal(Enum.GetValues<ExerciseKind>(), made.Select(exercise => exercise.Kind).Distinct().Order());
        Assert.Distinct(made.Select(exercise => exercise.Subject));
        Assert.All(made, exercise => Assert.Equal(exercise, Exercise.Of(exercise.Line)));
    }

    [Fact]
    public void What_is_due_comes_first_and_what_is_not_due_yet_last()
    {
        var all = Set(count: 30, kinds: ExerciseKind.Name);
        var (due, later) = (all[20].Subject, all[0].Subject);
        var known = new Dictionary<string, Repetition>
        {
            [due] = Repetition.New.After(4, Today.PlusDays(-3)),
            [later] = Repetition.New.After(4, Today),
        };
        var made = Set(known, 30, ExerciseKind.Name);
        Assert.Equal(due, made[0].Subject);
        Assert.DoesNotContain(later, made.Select(exercise => exercise.Subject));
    }

    [Fact]
    public void What_is_due_comes_before_what_is_new_of_whatever_kind_and_alone_where_that_is_asked()
    {
        var due = Set(count: 12, kinds: ExerciseKind.Name).Select(exercise => exercise.Subject).Take(4).ToArray();
        var known = due.ToDictionary(subject => subject, _ => Repetition.New.After(4, Today.PlusDays(-2)));
        var made = Set(known, 20);
        Assert.Equal(due.Order(), made.Take(4).Select(exercise => exercise.Subject).Order());
        Assert.Equal(20, made.Count);
        var wish = new SetWish(Of("ORE"), Enum.GetValues<ExerciseKind>(), "ORE") { OnlyDue = true };
        Assert.Equal(due.Order(), Maker.Make(wish, known, Today, 20, 5).Select(exercise => exercise.Subject).Order());
    }

    [Fact]
    public void A_plate_is_offered_with_its_doubles_and_the_nearest_before_the_rest()
    {
        var taxon = Flora.FindTaxon("Alnus rubra")!;
        var pool = Of("ORE");
        var posed = Poser.Pose(new NamePlant(taxon.Name.Text, 1), pool)!;
        Assert.Equal(4, posed.Choices.Count);
        Assert.Contains(taxon.Name.Text, posed.Choices);
        Assert.Distinct(posed.Choices);
        var nearness = new Nearness(Sieve);
        double Bits(string name) => nearness.Bits(taxon, Flora.FindTaxon(name)!);
        var offered = posed.Choices.Where(name => name != taxon.Name.Text).Average(Bits);
        var any = pool.Where(other => other != taxon).Average(other => nearness.Bits(taxon, other));
        Assert.True(offered < any - 0.5, $"{offered} bits to those offered, {any} to any");
        Assert.Contains(posed.Choices, name => name.StartsWith("Alnus ") && name != taxon.Name.Text);
    }

    [Fact]
    public void What_is_new_is_asked_among_kinds_less_near_than_what_is_known()
    {
        var all = Set(count: 30, kinds: ExerciseKind.Name).OfType<NamePlant>().ToArray();
        Assert.All(all, exercise => Assert.True(exercise.IsEasy));
        var known = all.ToDictionary(exercise => exercise.Subject, _ => Repetition.New.After(4, Today.PlusDays(-2)));
        var again = Set(known, 30, ExerciseKind.Name).OfType<NamePlant>().ToArray();
        Assert.All(again, exercise => Assert.False(exercise.IsEasy));
        var nearness = new Nearness(Sieve);
        double Bits(NamePlant exercise) =>
            Poser
                .Pose(exercise, Of("ORE"))!
                .Choices.Where(name => name != exercise.Taxon)
                .Average(name => nearness.Bits(Flora.FindTaxon(exercise.Taxon)!, Flora.FindTaxon(name)!));
        Assert.True(again.Average(Bits) < again.Average(exercise => Bits(exercise with { IsEasy = true })) - 0.3);
    }

    [Fact]
    public void The_mark_of_a_double_parts_the_two_and_the_others_do_not()
    {
        var asked = 0;
        foreach (var exercise in Set(count: 30, kinds: ExerciseKind.Part).OfType<PartTwo>())
        {
            var posed = Poser.Pose(exercise)!;
            var apart = Sieve
                .TellApart([Flora.FindTaxon(exercise.One)!, Flora.FindTaxon(exercise.Other)!], Core.Observing.Circumstances.Unknown)
                .ToDictionary(separation => separation.Character.Id, separation => separation.Bits);
            Assert.True(apart[posed.Right] >= 0.35);
            Assert.All(posed.Choices.Where(id => id != posed.Right), id => Assert.True(apart[id] < 0.05));
            asked++;
        }
        Assert.True(asked >= 10, $"only {asked} doubles of Oregon can be asked");
    }

    [Fact]
    public void A_drawing_is_offered_with_what_it_is_taken_for()
    {
        var posed = Poser.Pose(new ReadDrawing("margin", "serrate", 1))!;
        Assert.Contains("serrate", posed.Choices);
        Assert.Contains("doubly-serrate", posed.Choices);
        Assert.Contains("doubly-serrate", posed.Near);
        Assert.DoesNotContain("entire", posed.Near);
        Assert.All(posed.Choices, state => Assert.True(ShippedFlora.Drawn.Draws("margin", state)));
        Assert.Null(Poser.Pose(new ReadDrawing("margin", "nosuch", 1)));
        Assert.Null(Poser.Pose(new ReadDrawing("nosuch", "serrate", 1)));
    }

    // Measured off the drawing itself, and not from what it was made from.
    [Fact]
    public void A_specimen_is_as_long_wide_and_many_as_is_said()
    {
        var measured = 0;
        foreach (var exercise in Set(count: 30, kinds: ExerciseKind.Measure).OfType<MeasureLeaf>())
            for (var seed = 0; seed < 4; seed++)
            {
                var specimen = Specimen.Of(exercise with { Seed = seed }, Flora, ShippedFlora.Drawn)!;
                var blades = specimen.Drawing.Flat().Where(stroke => stroke.Kind == StrokeKind.Blade).ToArray();
                var points = blades.SelectMany(blade => blade.Points).ToArray();
                var shown = exercise.Character switch
                {
                    CharacterIds.BladeLength => points.Max(point => point.Y),
                    CharacterIds.BladeWidth => points.Max(point => point.X) - points.Min(point => point.X),
                    _ => blades.Length,
                };
                Assert.Equal(specimen.Truth, shown, 6);
                Assert.True(specimen.Judge(specimen.Truth).IsRight);
                Assert.False(specimen.Judge(specimen.Truth * 1.5 + 3).IsNear);
                measured++;
            }
        Assert.True(measured > 0);
    }

    [Fact]
    public void A_size_may_be_a_little_off_and_a_number_may_not()
    {
        var leaf = Specimen.Of(new MeasureLeaf("Alnus rubra", CharacterIds.BladeLength, 3), Flora, ShippedFlora.Drawn)!;
        Assert.Equal((true, true), leaf.Judge(leaf.Truth * 1.04));
        Assert.Equal((false, true), leaf.Judge(leaf.Truth * 1.1));
        Assert.Equal((false, false), leaf.Judge(leaf.Truth * 1.2));
        var leaflets = Specimen.Of(new MeasureLeaf("Fraxinus latifolia", CharacterIds.LeafletCount, 3), Flora, ShippedFlora.Drawn)!;
        Assert.Equal((true, true), leaflets.Judge(leaflets.Truth));
        Assert.Equal((false, true), leaflets.Judge(leaflets.Truth + 1));
        Assert.Equal((false, false), leaflets.Judge(leaflets.Truth + 4));
    }

    // A record that nothing settles is no exercise worth having, and one that a look settles neither; both must stay few.
    [Fact]
    [Trait("Kind", "sweep")]
    public void Most_records_of_a_country_can_be_named_and_some_can_not()
    {
        var records = Set(count: 30, kinds: ExerciseKind.Record)
            .OfType<NameRecord>()
            .Select(record => new PlantRecord(Sieve, Flora.FindTaxon(record.Taxon)!, record.Region, record.Seed))
            .ToArray();
        Assert.InRange(records.Count(record => record.CanBeTold), records.Length / 2, records.Length - 1);
        var looks = records.Where(record => record.CanBeTold).Select(record => record.SieveAsks().Count).ToArray();
        TestContext.Current.TestOutputHelper!.WriteLine(
            $"{records.Count(one => one.CanBeTold)} of {records.Length}; {looks.Average():0.0} looks"
        );
        // A third of what is asked is not in the record.
        Assert.InRange(looks.Average(), 5, 20);
    }
}
