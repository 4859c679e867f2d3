using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Drawing;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Sieving;

namespace VerdantSieve.Core.Practising;

/// <summary>What there is to choose from, and which of it is right.</summary>
/// <param name="Choices">Scientific names, or ids of characters or states, in the order they are shown.</param>
/// <param name="Right">The right one.</param>
/// <param name="Near">Those that are nearly right.</param>
public sealed record Posed(IReadOnlyList<string> Choices, string Right, IReadOnlyList<string> Near)
{
    /// <summary>Judges a choice; empty stands for "can't tell".</summary>
    public Answer Judge(string said, Certainty certainty) => new(said, Right, said == Right, Near.Contains(said), certainty);
}

/// <summary>Poses exercises with something to choose from: the nearer the other choices, the harder.</summary>
/// <param name="sieve">The sieve over the flora.</param>
/// <param name="drawn">What of the flora is drawn.</param>
public sealed class Poser(Sieve sieve, DrawnVocabulary drawn)
{
    private const int Choices = 4,
        MostStates = 6;

    // Of so many that are most like it in all that is scored the nearest to tell apart are looked for.
    private const int Looked = 10;

    // What parts two by so many bits is a mark; what parts them by less than so many is none.
    private const double IsMark = 0.35,
        IsNone = 0.05;

    // What takes so much of the slips of a state is its neighbour.
    private const double Often = 0.25;

    private readonly Likeness likeness = new(sieve.Flora);

    /// <summary>The sieve over the flora.</summary>
    public Sieve Sieve => sieve;

    /// <summary>What of the flora is drawn.</summary>
    public DrawnVocabulary Drawn => drawn;

    /// <summary>How near two of its kinds are.</summary>
    public Nearness Nearness { get; } = new(sieve);

    private Flora Flora => sieve.Flora;

    /// <summary>The choices for a plate: its kind and the nearest to it in the pool; of those like it the farthest where it is to be
    /// easy.</summary>
    /// <param name="exercise">The exercise.</param>
    /// <param name="pool">The kinds of the set.</param>
    /// <returns>The choices; null where the flora no longer has the kind.</returns>
    public Posed? Pose(NamePlant exercise, IReadOnlyList<Taxon> pool)
    {
        if (Flora.FindTaxon(exercise.Taxon) is not { } taxon)
            return null;
        var random = new Random(exercise.Seed);
        var doubles = DoublesOf(taxon).ToHashSet();
        Taxon[] others = [.. pool.Where(other => other != taxon)];
        if (others.Length < Choices - 1)
            others = [.. others.Union(doubles).Union(Flora.Taxa.Where(other => other != taxon && other.Name.Genus == taxon.Name.Genus))];
        Taxon[] near =
        [
            .. others
                .OrderByDescending(doubles.Contains)
                .ThenBy(other => likeness.Difference(taxon, other) is var apart and >= 0 ? apart : 1)
                .Take(Looked)
                .Select(other => (Taxon: other, Bits: Nearness.Bits(taxon, other)))
                // Where it is new, the nearest wait until it is known.
                .OrderBy(pair => exercise.IsEasy ? -pair.Bits : pair.Bits)
                .Take(Choices - 1)
                .Select(pair => pair.Taxon),
        ];
        return new Posed(
            Shuffled(near.Append(taxon).Select(one => one.Name.Text), random),
            taxon.Name.Text,
            [.. near.Where(other => doubles.Contains(other) || other.Name.Genus == taxon.Name.Genus).Select(other => other.Name.Text)]
        );
    }

    /// <summary>The choices for a double: one mark, and characters that the two share.</summary>
    /// <returns>The choices; null where the flora no longer has the two, or nothing parts them.</returns>
    public Posed? Pose(PartTwo exercise)
    {
        if (Flora.FindTaxon(exercise.One) is not { } one || Flora.FindTaxon(exercise.Other) is not { } other)
            return null;
        var random = new Random(exercise.Seed);
        var apart = sieve
            .TellApart([one, other], Circumstances.Unknown)
            .Where(separation => separation.Scores.All(score => score is not null) && separation.Applies.All(applies => applies))
            .ToArray();
        if (
            apart.Where(separation => separation.Bits >= IsMark).MaxBy(separation => (separation.IsMark ? 1 : 0) + separation.Worth)
            is not { } mark
        )
            return null;
        Character[] shared =
        [
            .. apart
                .Where(separation => separation.Bits < IsNone && separation.Character is not SeasonCharacter)
                .Select(separation => separation.Character)
                .OrderBy(_ => random.Next())
                .Take(Choices - 1),
        ];
        return shared.Length == 0
            ? null
            : new Posed(Shuffled(shared.Append(mark.Character).Select(character => character.Id), random), mark.Character.Id, []);
    }

    /// <summary>The choices for a drawing: its state and those it is taken for, or others that are drawn.</summary>
    /// <returns>The choices; null where the flora no longer has the state, or it is not drawn.</returns>
    public Posed? Pose(ReadDrawing exercise)
    {
        if (
            Flora.FindCharacter(exercise.Character) is not StateCharacter character
            || !drawn.Draws(character.Id, exercise.State)
            || character.IndexOf(exercise.State) < 0
        )
            return null;
        var random = new Random(exercise.Seed);
        var taken = TakenFor(character, exercise.State).ToHashSet();
        string[] others =
        [
            .. character
                .States.Select(state => state.Id)
                .Where(state => state != exercise.State && drawn.Draws(character.Id, state))
                .OrderByDescending(taken.Contains)
                .ThenBy(_ => random.Next())
                .Take(MostStates - 1),
        ];
        string[] shown = [.. others, exercise.State];
        // In the order of the vocabulary, where neighbours stand side by side.
        return others.Length == 0
            ? null
            : new Posed(
                [.. character.States.Select(state => state.Id).Where(shown.Contains)],
                exercise.State,
                [.. others.Where(taken.Contains)]
            );
    }

    /// <summary>The kinds a kind is taken for, as the flora says.</summary>
    public IEnumerable<Taxon> DoublesOf(Taxon taxon) => taxon.Doubles.Select(other => Flora.FindTaxon(other.Name)).OfType<Taxon>();

    /// <summary>The states that one is taken for: those the flora says, broader words, and its neighbours in a series.</summary>
    public static IEnumerable<string> TakenFor(StateCharacter character, string state)
    {
        var at = character.IndexOf(state);
        var neighbours = character.Ordered ? new[] { at - 1, at + 1 } : [];
        return character
            .Confusions.Where(confusion => confusion.Share >= Often && (confusion.State == state || confusion.TakenFor == state))
            .Select(confusion => confusion.State == state ? confusion.TakenFor : confusion.State)
            .Concat(character.Within.GetValueOrDefault(state) ?? [])
            .Concat(neighbours.Where(place => place >= 0 && place < character.States.Count).Select(place => character.States[place].Id))
            .Distinct();
    }

    private static IReadOnlyList<string> Shuffled(IEnumerable<string> all, Random random)
    {
        string[] mixed = [.. all.Order(StringComparer.Ordinal)];
        random.Shuffle(mixed);
        return mixed;
    }
}
