using VerdantSieve.Core;
using VerdantSieve.Core.Practising;

namespace VerdantSieve.Web.Practising;

/// <summary>What a set can be about.</summary>
public enum PoolSource
{
    /// <summary>What grows in a country, its doubles before all.</summary>
    Place,

    /// <summary>A genus, family or group.</summary>
    Group,

    /// <summary>A list.</summary>
    List,

    /// <summary>The kinds in one's own notebook.</summary>
    Notebook,

    /// <summary>What was missed.</summary>
    Missed,

    /// <summary>What is due today.</summary>
    Due,
}

/// <summary>What somebody asks to practise.</summary>
public sealed class PoolForm
{
    public string? Source { get; set; }
    public string? Region { get; set; }
    public string? Group { get; set; }
    public string? List { get; set; }
    public string[] Kinds { get; set; } = [];
    public int Count { get; set; } = SetMaker.Usual;

    /// <summary>What it is to be about.</summary>
    public PoolSource Of => EnumWords.TryRead<PoolSource>(Source, out var source) ? source : PoolSource.Place;

    /// <summary>The kinds of exercise; all where none is chosen.</summary>
    public IReadOnlyList<ExerciseKind> Chosen =>
        [.. Enum.GetValues<ExerciseKind>().Where(kind => !Kinds.Any(IsKind) || Kinds.Contains(kind.Word()))];

    private static bool IsKind(string word) => EnumWords.TryRead<ExerciseKind>(word, out _);

    /// <summary>What a kind of exercise is called where it is chosen.</summary>
    public static string Words(ExerciseKind kind) =>
        kind switch
        {
            ExerciseKind.Name => "Name a plant from its plate",
            ExerciseKind.Part => "Choose the mark that parts two doubles",
            ExerciseKind.Read => "Read a character off a drawing",
            ExerciseKind.Record => "Name a record, asking for what you want to know",
            ExerciseKind.Measure => "Measure and count drawn leaves",
        };
}
