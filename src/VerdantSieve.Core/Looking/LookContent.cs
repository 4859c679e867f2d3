using System.Security.Cryptography;
using System.Text;
using NodaTime;
using NodaTime.Text;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Observing.Speech;
using VerdantSieve.Core.Sieving;

namespace VerdantSieve.Core.Looking;

/// <summary>All that a look says at one moment. Every change makes a new one, so that every change can be undone.</summary>
public sealed record LookContent
{
    /// <summary>The place, as the observer calls it.</summary>
    public string Place { get; init; } = "";

    /// <summary>Who looked.</summary>
    public string Observer { get; init; } = "";

    /// <summary>Where and when, as written; see <see cref="CircumstancesDesk"/>.</summary>
    public RawCircumstances Circumstances { get; init; } = new();

    /// <summary>Which school orders the answer.</summary>
    public School School { get; init; } = School.Weigh;

    /// <summary>How many readings may disagree; see <see cref="SieveQuestion.AllowedDisagreements"/>.</summary>
    public int AllowedDisagreements { get; init; } = 1;

    /// <summary>What the observer wrote beside it.</summary>
    public string Notes { get; init; } = "";

    /// <summary>The readings as written; see <see cref="ReadingDesk"/>.</summary>
    public IReadOnlyList<RawReading> Readings { get; init; } = [];

    /// <summary>The list that says what the plant is most likely one of; null where there is none.</summary>
    public KindsListed? Among { get; init; }

    /// <summary>What each certainty of the observer is taken for, where practice has measured it and they agreed; null where each is taken
    /// as it is said.</summary>
    public IReadOnlyDictionary<Certainty, Certainty>? TakenFor { get; init; }

    /// <summary>What the observer settled on; null while the look is open.</summary>
    public SavedDetermination? Determined { get; init; }

    /// <summary>What another visit to the same tree begins with: where it stands stays the same, what is read is read anew.</summary>
    /// <param name="day">The day of the visit.</param>
    public LookContent Again(LocalDate day) =>
        new()
        {
            Place = Place,
            Observer = Observer,
            School = School,
            AllowedDisagreements = AllowedDisagreements,
            Among = Among,
            TakenFor = TakenFor,
            Circumstances = Circumstances with { Date = LocalDatePattern.Iso.Format(day), Stage = null },
        };

    /// <summary>Tells these notes from others, so that nobody writes over what they have not seen.</summary>
    public string NotesMark => MarkOf(Notes);

    /// <summary>Tells this place and day from others, see <see cref="NotesMark"/>.</summary>
    public string PlaceMark => MarkOf($"{Place}\n{Observer}\n{Circumstances}");

    private static string MarkOf(string text) => Convert.ToHexStringLower(SHA256.HashData(Encoding.UTF8.GetBytes(text)))[..12];

    /// <summary>The same in the words of a vocabulary of today, so that a reading that was kept under a former name is changed and dropped
    /// as what it is now; itself where none was.</summary>
    public LookContent InWordsOf(Vocabulary vocabulary)
    {
        RawReading[] now = [.. Readings.Select(raw => FormerWords.Now(raw, vocabulary))];
        return now.SequenceEqual(Readings) ? this : this with { Readings = now };
    }

    /// <summary>With readings taken; each stands in place of what was read of its character there before.</summary>
    public LookContent With(params IReadOnlyList<Reading> readings)
    {
        RawReading[] taken = [.. readings.Select(RawReading.From)];
        return this with { Readings = [.. Readings.Where(raw => !taken.Any(raw.IsInPlaceOf)), .. taken] };
    }

    /// <summary>Without what was read of a character at a place, or of the plant as a whole where <paramref name="on"/> is left
    /// out.</summary>
    public LookContent Without(string? character, string? on) =>
        this with
        {
            Readings = [.. Readings.Where(raw => !raw.IsOf(character, on))],
        };

    /// <summary>With a reading taken, or taken back where just that state was read already.</summary>
    public LookContent Toggled(Reading reading)
    {
        var raw = RawReading.From(reading);
        return raw.States is [var state] && Readings.Any(old => old.IsInPlaceOf(raw) && old.States is [var was] && was == state)
            ? Without(raw.Character, raw.On)
            : With(reading);
    }

    /// <summary>With a reading as sure as is said now.</summary>
    public LookContent Surer(string? character, string? on, Certainty certainty) =>
        this with
        {
            Readings = [.. Readings.Select(raw => raw.IsOf(character, on) ? raw with { Certainty = certainty.Word() } : raw)],
        };

    /// <summary>With what was said of what the plant is, and of where, when and how it stands; what was not said stays as it is.</summary>
    public LookContent Placed(Heard heard) =>
        this with
        {
            Among = heard.Kinds is { } said ? KindsListed.Of(said) : Among,
            Circumstances = Circumstances with
            {
                Region = heard.Region ?? Circumstances.Region,
                Date = heard.Date is { } date ? LocalDatePattern.Iso.Format(date) : Circumstances.Date,
                Setting = heard.Setting?.Word() ?? Circumstances.Setting,
                Age = heard.Age?.Word() ?? Circumstances.Age,
                Stage = heard.Stage?.Word() ?? Circumstances.Stage,
            },
        };
}

/// <summary>The kinds that a plant is most likely one of: a list as it was when the look was begun, or what the observer said it
/// is.</summary>
/// <param name="Title">What it is called.</param>
/// <param name="Kinds">Their scientific names.</param>
public sealed record KindsListed(string Title, IReadOnlyList<string> Kinds)
{
    /// <summary>The list in a line: “among the 12 of Lantern Creek”, “the one kind of the genus Calluna”.</summary>
    public string Words => Kinds.Count == 1 ? $"the one kind of {Title}" : $"among the {Kinds.Count} of {Title}";

    /// <summary>What the plant was said to be.</summary>
    public static KindsListed Of(KindsCalled said) => new(said.Title, [.. said.All.Select(taxon => taxon.Name.Text)]);
}
