using VerdantSieve.Core;
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
/// <param name="NotUnderstood">The readings that it does not.</param>
/// <param name="WhereFaults">What of where and when is not understood; neither counts then.</param>
public sealed record LookQuestion(SieveQuestion Question, IReadOnlyList<NotUnderstood> NotUnderstood, IReadOnlyList<Fault> WhereFaults)
{
    /// <summary>Checks what a look says against a flora.</summary>
    public static LookQuestion Of(LookContent content, Flora flora)
    {
        var readings = new List<Reading>();
        var rest = new List<NotUnderstood>();
        foreach (var raw in content.Readings)
        {
            var checkedReading = ReadingDesk.Check(raw, flora);
            if (checkedReading.Has(out var reading))
                readings.Add(reading);
            else
                rest.Add(new NotUnderstood(raw, checkedReading.Faults[0]));
        }
        var where = CircumstancesDesk.Check(content.Circumstances);
        var question = new SieveQuestion
        {
            Circumstances = where.Has(out var circumstances) ? circumstances : Circumstances.Unknown,
            Readings = readings,
            School = content.School,
            AllowedDisagreements = content.AllowedDisagreements,
        };
        return new LookQuestion(question, rest, where.Faults);
    }
}
