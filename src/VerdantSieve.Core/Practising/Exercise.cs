using System.Globalization;

namespace VerdantSieve.Core.Practising;

/// <summary>One thing to answer. It is written down in a line, and the same line poses the same question each time.</summary>
/// <remarks>The kinds are closed: <see cref="NamePlant"/>, <see cref="PartTwo"/>, <see cref="ReadDrawing"/>, <see cref="NameRecord"/> and
/// <see cref="MeasureLeaf"/>.</remarks>
public abstract record Exercise
{
    private const char Between = '|';

    private protected Exercise(int seed) => Seed = seed;

    /// <summary>Where its chance comes from: which leaf is drawn, what else there is to choose from.</summary>
    public int Seed { get; init; }

    /// <summary>What is learnt by it, as the schedule names it: a kind, a double or a character.</summary>
    public abstract string Subject { get; }

    /// <summary>What each kind of exercise answers.</summary>
    public abstract T Match<T>(
        Func<NamePlant, T> name,
        Func<PartTwo, T> part,
        Func<ReadDrawing, T> read,
        Func<NameRecord, T> record,
        Func<MeasureLeaf, T> measure
    );

    /// <summary>Which kind it is.</summary>
    public ExerciseKind Kind =>
        Match(
            name: _ => ExerciseKind.Name,
            part: _ => ExerciseKind.Part,
            read: _ => ExerciseKind.Read,
            record: _ => ExerciseKind.Record,
            measure: _ => ExerciseKind.Measure
        );

    /// <summary>It as a line.</summary>
    public string Line
    {
        get
        {
            var what = Match<string[]>(
                name: own => own.IsEasy ? [own.Taxon, NamePlant.Easy] : [own.Taxon],
                part: own => [own.One, own.Other],
                read: own => [own.Character, own.State],
                record: own => [own.Taxon, own.Region],
                measure: own => [own.Taxon, own.Character]
            );
            return string.Join(Between, [Kind.Word(), Seed.ToString(CultureInfo.InvariantCulture), .. what]);
        }
    }

    /// <summary>Reads such a line; null where it is none.</summary>
    public static Exercise? Of(string line)
    {
        if (
            line.Split(Between) is not [var word, var number, .. var what]
            || !EnumWords.TryRead<ExerciseKind>(word, out var kind)
            || !int.TryParse(number, NumberStyles.Integer, CultureInfo.InvariantCulture, out var seed)
        )
            return null;
        return (kind, what) switch
        {
            (ExerciseKind.Name, [var taxon]) => new NamePlant(taxon, seed),
            (ExerciseKind.Name, [var taxon, NamePlant.Easy]) => new NamePlant(taxon, seed) { IsEasy = true },
            (ExerciseKind.Part, [var one, var other]) => new PartTwo(one, other, seed),
            (ExerciseKind.Read, [var character, var state]) => new ReadDrawing(character, state, seed),
            (ExerciseKind.Record, [var taxon, var region]) => new NameRecord(taxon, region, seed),
            (ExerciseKind.Measure, [var taxon, var character]) => new MeasureLeaf(taxon, character, seed),
            (ExerciseKind.Name or ExerciseKind.Part or ExerciseKind.Read or ExerciseKind.Record or ExerciseKind.Measure, _) => null,
        };
    }
}

/// <summary>The kinds of exercise.</summary>
public enum ExerciseKind
{
    /// <summary>Name a plant from its plate.</summary>
    Name,

    /// <summary>Choose the mark that parts two doubles.</summary>
    Part,

    /// <summary>Read a character off a drawing.</summary>
    Read,

    /// <summary>Name a record by what one asks for.</summary>
    Record,

    /// <summary>Measure or count a drawn leaf.</summary>
    Measure,
}

/// <summary>A plant to be named from its plate.</summary>
/// <param name="Taxon">Its scientific name.</param>
/// <param name="Seed">Where chance comes from.</param>
public sealed record NamePlant(string Taxon, int Seed) : Exercise(Seed)
{
    // How its line says so.
    internal const string Easy = "easy";

    /// <summary>Whether the others to choose from are like it and not the nearest: for a kind that is new.</summary>
    public bool IsEasy { get; init; }

    /// <inheritdoc/>
    public override string Subject => Subjects.OfKind(Taxon);

    /// <inheritdoc/>
    public override T Match<T>(
        Func<NamePlant, T> name,
        Func<PartTwo, T> part,
        Func<ReadDrawing, T> read,
        Func<NameRecord, T> record,
        Func<MeasureLeaf, T> measure
    ) => name(this);
}

/// <summary>The mark to be chosen that parts two kinds.</summary>
/// <param name="One">The one's scientific name.</param>
/// <param name="Other">The other's.</param>
/// <param name="Seed">Where chance comes from.</param>
public sealed record PartTwo(string One, string Other, int Seed) : Exercise(Seed)
{
    /// <inheritdoc/>
    public override string Subject => Subjects.OfDouble(One, Other);

    /// <inheritdoc/>
    public override T Match<T>(
        Func<NamePlant, T> name,
        Func<PartTwo, T> part,
        Func<ReadDrawing, T> read,
        Func<NameRecord, T> record,
        Func<MeasureLeaf, T> measure
    ) => part(this);
}

/// <summary>A state to be read off its drawing.</summary>
/// <param name="Character">The character's id.</param>
/// <param name="State">The id of the state drawn.</param>
/// <param name="Seed">Where chance comes from.</param>
public sealed record ReadDrawing(string Character, string State, int Seed) : Exercise(Seed)
{
    /// <inheritdoc/>
    public override string Subject => Subjects.OfCharacter(Character);

    /// <inheritdoc/>
    public override T Match<T>(
        Func<NamePlant, T> name,
        Func<PartTwo, T> part,
        Func<ReadDrawing, T> read,
        Func<NameRecord, T> record,
        Func<MeasureLeaf, T> measure
    ) => read(this);
}

/// <summary>A made-up plant to be named by what is asked of its record.</summary>
/// <param name="Taxon">Its scientific name.</param>
/// <param name="Region">The code of the country it stands in.</param>
/// <param name="Seed">Where chance comes from.</param>
public sealed record NameRecord(string Taxon, string Region, int Seed) : Exercise(Seed)
{
    /// <inheritdoc/>
    public override string Subject => Subjects.OfKind(Taxon);

    /// <inheritdoc/>
    public override T Match<T>(
        Func<NamePlant, T> name,
        Func<PartTwo, T> part,
        Func<ReadDrawing, T> read,
        Func<NameRecord, T> record,
        Func<MeasureLeaf, T> measure
    ) => record(this);
}

/// <summary>A drawn leaf to be measured or counted.</summary>
/// <param name="Taxon">The scientific name of its kind.</param>
/// <param name="Character">What is measured or counted: the id of the character.</param>
/// <param name="Seed">Where chance comes from.</param>
public sealed record MeasureLeaf(string Taxon, string Character, int Seed) : Exercise(Seed)
{
    /// <inheritdoc/>
    public override string Subject => Subjects.OfCharacter(Character);

    /// <inheritdoc/>
    public override T Match<T>(
        Func<NamePlant, T> name,
        Func<PartTwo, T> part,
        Func<ReadDrawing, T> read,
        Func<NameRecord, T> record,
        Func<MeasureLeaf, T> measure
    ) => measure(this);
}
