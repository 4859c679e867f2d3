using NodaTime;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Drawing;

namespace VerdantSieve.Core.Practising;

/// <summary>What a set is made of.</summary>
/// <param name="Pool">The kinds it is about.</param>
/// <param name="Kinds">The kinds of exercise.</param>
/// <param name="Region">The country its records come from; null where they come from anywhere a kind grows.</param>
public sealed record SetWish(IReadOnlyList<Taxon> Pool, IReadOnlyList<ExerciseKind> Kinds, string? Region)
{
    /// <summary>Whether nothing is asked but what is due.</summary>
    public bool OnlyDue { get; init; }
}

/// <summary>Makes sets: what is due first, then what is new, the commonest kinds and the nearest doubles first.</summary>
/// <param name="poser">What poses exercises of the flora: nothing is put into a set that can't be posed.</param>
public sealed class SetMaker(Poser poser)
{
    /// <summary>How many exercises a set has where nothing is said.</summary>
    public const int Usual = 10;

    /// <summary>The most exercises of a set.</summary>
    public const int Most = 30;

    // A state has to be drawn unlike another to be read off a drawing, and a plate must show something.
    private const int FewestStates = 2;

    private Flora Flora => poser.Sieve.Flora;
    private DrawnVocabulary Drawn => poser.Drawn;

    /// <summary>A set.</summary>
    /// <param name="wish">What it is to be made of.</param>
    /// <param name="known">What has been asked before, by subject.</param>
    /// <param name="today">The day.</param>
    /// <param name="count">How many exercises, from 1 to <see cref="Most"/>; there may be fewer where there is no more to ask.</param>
    /// <param name="seed">Where chance comes from.</param>
    public IReadOnlyList<Exercise> Make(SetWish wish, IReadOnlyDictionary<string, Repetition> known, LocalDate today, int count, int seed)
    {
        var random = new Random(seed);
        bool IsDue(Exercise exercise) => known.TryGetValue(exercise.Subject, out var repetition) && repetition.IsDue(today);
        Exercise[][] all = [.. wish.Kinds.Select(kind => Of(kind, wish, random).ToArray())];
        var (made, subjects) = (new List<Exercise>(), new HashSet<string>());
        // What is due comes before all else, of whatever kind of exercise it is.
        foreach (var due in wish.OnlyDue ? new[] { true } : [true, false])
            TakeTurns([.. all.Select(exercises => Ordered(exercises.Where(exercise => IsDue(exercise) == due), known, random))]);
        return made;

        // One of each kind of exercise in turn, so that a set is no drill of one thing.
        void TakeTurns(List<IEnumerator<Exercise>> byKind)
        {
            for (var at = 0; made.Count < Math.Clamp(count, 1, Most) && byKind.Count > 0;)
            {
                var queue = byKind[at % byKind.Count];
                if (!queue.MoveNext())
                {
                    byKind.RemoveAt(at % byKind.Count);
                    continue;
                }
                if (subjects.Contains(queue.Current.Subject) || !CanBePosed(queue.Current, wish.Pool))
                    continue;
                subjects.Add(queue.Current.Subject);
                made.Add(AsHardAs(queue.Current, known.GetValueOrDefault(queue.Current.Subject)));
                at++;
            }
        }
    }

    // What has been remembered once is asked for among its doubles.
    private static Exercise AsHardAs(Exercise exercise, Repetition? known) =>
        exercise is NamePlant own && known is not { Times: > 0 } ? own with { IsEasy = true } : exercise;

    private bool CanBePosed(Exercise exercise, IReadOnlyList<Taxon> pool) =>
        exercise.Match(
            name: own => poser.Pose(own, pool) is { Choices.Count: > 1 },
            part: own => poser.Pose(own) is not null,
            read: own => poser.Pose(own) is not null,
            record: _ => true,
            measure: own => Specimen.Of(own, Flora, Drawn) is not null
        );

    // What is new as it comes, then what was asked before, by the day it comes due.
    private static IEnumerator<Exercise> Ordered(IEnumerable<Exercise> all, IReadOnlyDictionary<string, Repetition> known, Random random)
    {
        var asked = all.ToLookup(exercise => known.ContainsKey(exercise.Subject));
        return asked[false].Concat(asked[true].OrderBy(exercise => known[exercise.Subject].Due).ThenBy(_ => random.Next())).GetEnumerator();
    }

    private IEnumerable<Exercise> Of(ExerciseKind kind, SetWish wish, Random random) =>
        kind switch
        {
            ExerciseKind.Name => Commonest(wish, random).Select(taxon => new NamePlant(taxon.Name.Text, random.Next())),
            ExerciseKind.Part => Doubles(wish.Pool, random).Select(pair => new PartTwo(pair.One, pair.Other, random.Next())),
            ExerciseKind.Read => Drawings(wish.Pool, random),
            ExerciseKind.Record => Commonest(wish, random).SelectMany(taxon => RecordsOf(taxon, wish.Region, random)),
            ExerciseKind.Measure => Commonest(wish, random)
                .SelectMany(taxon => Specimen.AskedOf(taxon, Flora, Drawn).Select(asked => (Taxon: taxon, Asked: asked)))
                .OrderBy(_ => random.Next())
                .Select(pair => new MeasureLeaf(pair.Taxon.Name.Text, pair.Asked.Id, random.Next())),
        };

    // A commoner kind comes first as much oftener as it is met.
    private static IEnumerable<Taxon> Commonest(SetWish wish, Random random) =>
        wish.Pool.OrderByDescending(taxon =>
            Math.Pow(random.NextDouble(), 1 / (wish.Region is { } here ? taxon.AbundanceIn(here) : taxon.Abundance).Weight())
        );

    private static IEnumerable<NameRecord> RecordsOf(Taxon taxon, string? region, Random random)
    {
        string[] grows = [.. taxon.Distribution.Countries];
        if (region is not null && taxon.Distribution.Includes(region))
            yield return new NameRecord(taxon.Name.Text, region, random.Next());
        else if (grows.Length > 0)
            yield return new NameRecord(taxon.Name.Text, grows[random.Next(grows.Length)], random.Next());
    }

    private IEnumerable<(string One, string Other)> Doubles(IReadOnlyList<Taxon> pool, Random random)
    {
        var of = pool.ToHashSet();
        return pool.SelectMany(taxon =>
                poser.DoublesOf(taxon).Where(of.Contains).Select(other => (One: taxon.Name.Text, Other: other.Name.Text))
            )
            .DistinctBy(pair => Subjects.OfDouble(pair.One, pair.Other))
            // Those that are told apart by most come first: the nearest are for whoever knows those.
            .Select(pair => (pair.One, pair.Other, Bits: poser.Nearness.Bits(Flora.FindTaxon(pair.One)!, Flora.FindTaxon(pair.Other)!)))
            .OrderByDescending(pair => pair.Bits + random.NextDouble())
            .Select(pair => (pair.One, pair.Other));
    }

    // Characters that the kinds of the pool differ in, each with a state that one of them shows; those most often misread first.
    private IEnumerable<ReadDrawing> Drawings(IReadOnlyList<Taxon> pool, Random random) =>
        Flora
            .Characters.OfType<StateCharacter>()
            .Select(character =>
                (
                    Character: character,
                    States: pool.Select(taxon => taxon.Score(character.Id))
                        .OfType<StateScore>()
                        .SelectMany(score => score.States.Where(state => state.Weight > 0).Select(state => state.State))
                        .Where(state => Drawn.Draws(character.Id, state))
                        .Distinct()
                        .ToArray()
                )
            )
            .Where(pair => pair.States.Length >= FewestStates && !IsColour(pair.Character))
            .OrderByDescending(pair => (pair.Character.Looseness ?? 0) + 0.05 * random.NextDouble())
            .Select(pair => new ReadDrawing(pair.Character.Id, pair.States[random.Next(pair.States.Length)], random.Next()));

    // A drawn colour is read off itself.
    private static bool IsColour(Character character) => character.Id.EndsWith("colour", StringComparison.Ordinal);
}
