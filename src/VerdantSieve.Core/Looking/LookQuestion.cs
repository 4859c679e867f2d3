using NodaTime;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Sieving;

namespace VerdantSieve.Core.Looking;

/// <summary>A reading that the flora does not understand, or no longer does: it is kept and shown, and does not count.</summary>
/// <param name="Raw">The reading as written.</param>
/// <param name="Why">What is wrong with it, at its field.</param>
public sealed record NotUnderstood(RawReading Raw, Fault Why);

/// <summary>What a look says, as a question to the sieve.</summary>
/// <param name="Question">The question, with all readings the flora understands.</param>
/// <param name="NotUnderstood">The readings of the look that it does not.</param>
/// <param name="WhereFaults">What of where and when is not understood; neither counts then.</param>
public sealed record LookQuestion(SieveQuestion Question, IReadOnlyList<NotUnderstood> NotUnderstood, IReadOnlyList<Fault> WhereFaults)
{
    /// <summary>The readings of the look itself; the question has those of the tree's other visits as well.</summary>
    public IReadOnlyList<Reading> Own { get; init; } = Question.Readings;

    /// <summary>Checks what a look says against a flora, with what was read on other visits to the same tree.</summary>
    public static LookQuestion Of(Look look, Flora flora) => Of(look.Content, flora, look.Others);

    /// <summary>Checks what a look says against a flora.</summary>
    /// <param name="content">What it says.</param>
    /// <param name="flora">The flora.</param>
    /// <param name="others">Other visits to the same tree: their readings stand beside those of the look, each as of its day.</param>
    public static LookQuestion Of(LookContent content, Flora flora, IReadOnlyList<Visit>? others = null)
    {
        var (readings, rest) = Checked(content.Readings, flora);
        var where = CircumstancesDesk.Check(content.Circumstances);
        var question = new SieveQuestion
        {
            Circumstances = where.Has(out var circumstances) ? circumstances : Circumstances.Unknown,
            Readings =
            [
                .. readings.Select(reading => Taken(reading, content)),
                .. others is null or [] ? [] : Beside(readings, others, circumstances?.Date, flora),
            ],
            Among = content.Among?.Kinds.ToHashSet(),
            School = content.School,
            AllowedDisagreements = content.AllowedDisagreements,
        };
        return new LookQuestion(question, rest, where.Faults) { Own = readings };
    }

    /// <summary>All that was read of a tree, as a question asked on a day.</summary>
    /// <param name="visits">Its visits, oldest first; the last says where it stands.</param>
    /// <param name="flora">The flora.</param>
    /// <param name="day">The day it is asked on.</param>
    /// <param name="sex">Its sex, where it is known.</param>
    public static SieveQuestion OfTree(IReadOnlyList<Visit> visits, Flora flora, LocalDate day, PlantSex? sex = null)
    {
        var readings = Dated(visits, flora);
        var last = visits.Count > 0 ? visits[^1].Content : new LookContent();
        var where = CircumstancesDesk.Check(last.Circumstances).Has(out var circumstances) ? circumstances : Circumstances.Unknown;
        return new SieveQuestion
        {
            // What was said of its leaves held for the day of that visit.
            Circumstances = where with
            {
                Date = day,
                Sex = sex,
                Stage = where.Date == day ? where.Stage : null,
            },
            Readings = [.. readings.DistinctBy(reading => reading.Key)],
            Among = last.Among?.Kinds.ToHashSet(),
            School = last.School,
            AllowedDisagreements = last.AllowedDisagreements,
        };
    }

    // What another visit read on the same day of the same thing gives way to what this one did.
    private static IEnumerable<Reading> Beside(IReadOnlyList<Reading> own, IReadOnlyList<Visit> others, LocalDate? today, Flora flora)
    {
        var taken = own.Select(reading => reading.Key with { Day = reading.Day ?? today }).ToHashSet();
        return Dated(others, flora).Where(reading => taken.Add(reading.Key));
    }

    private static IEnumerable<Reading> Dated(IReadOnlyList<Visit> visits, Flora flora) =>
        visits.SelectMany(visit => Checked([.. visit.Dated], flora).Readings.Select(reading => Taken(reading, visit.Content)));

    // As sure as practice has shown this observer to be, where they agreed to that.
    private static Reading Taken(Reading reading, LookContent content) =>
        content.TakenFor?.TryGetValue(reading.Certainty, out var taken) == true ? reading with { Certainty = taken } : reading;

    private static (IReadOnlyList<Reading> Readings, IReadOnlyList<NotUnderstood> Others) Checked(
        IReadOnlyList<RawReading> raws,
        Flora flora
    )
    {
        var readings = new List<Reading>();
        var rest = new List<NotUnderstood>();
        foreach (var raw in raws)
        {
            var checkedReading = ReadingDesk.Check(raw, flora);
            if (checkedReading.Has(out var reading))
                readings.Add(reading);
            else
                rest.Add(new NotUnderstood(raw, checkedReading.Faults[0]));
        }
        return (readings, rest);
    }
}
