using Microsoft.EntityFrameworkCore;
using NodaTime;
using NodaTime.Extensions;
using VerdantSieve.Core.Practising;
using VerdantSieve.Store.Looks;
using VerdantSieve.Store.Notebooks;

namespace VerdantSieve.Store.Practising;

/// <summary>Keeps practice: sets, answers, and how well each thing is remembered. Each is its owner's alone.</summary>
public sealed class PracticeBook(SieveContext database, IClock clock, Reader reader)
{
    /// <summary>How often one thing stands in a set at most, when it is missed each time.</summary>
    public const int MostTurns = 3;

    // So many answers, the newest, tell what somebody confuses.
    private const int MostAnswers = 5000;

    private DateTimeOffset Now => clock.GetCurrentInstant().ToDateTimeOffset();

    private IQueryable<PracticeSetRow> Own => database.PracticeSets.AsNoTracking().Where(set => reader.Owners.Contains(set.Owner));

    /// <summary>Begins a set.</summary>
    /// <param name="floraId">The flora it is made from.</param>
    /// <param name="title">What it is about.</param>
    /// <param name="pool">The scientific names of the kinds it is about.</param>
    /// <param name="queue">Its exercises.</param>
    /// <param name="region">The country it is about; null where about none.</param>
    /// <param name="classId">The class it is worked in; null where in none.</param>
    /// <returns>Its id.</returns>
    public async Task<string> Begin(
        string floraId,
        string title,
        IReadOnlyList<string> pool,
        IReadOnlyList<Exercise> queue,
        string? region,
        string? classId
    )
    {
        var row = new PracticeSetRow
        {
            Id = LookBook.NewId(),
            Owner = reader.Owner,
            FloraId = floraId,
            Title = title,
            Region = region,
            ClassId = classId,
            Pool = [.. pool],
            Queue = [.. queue.Select(exercise => exercise.Line)],
            Created = Now,
            Changed = Now,
        };
        database.PracticeSets.Add(row);
        await database.SaveChangesAsync();
        return row.Id;
    }

    /// <summary>Finds a set; null where the reader has none such.</summary>
    public async Task<PracticeSet?> Find(string id, CancellationToken cancel = default) =>
        LookBook.IsId(id) && await Own.SingleOrDefaultAsync(set => set.Id == id, cancel) is { } row ? await Of(row, cancel) : null;

    private async Task<PracticeSet> Of(PracticeSetRow row, CancellationToken cancel)
    {
        var answers = await database
            .PracticeAnswers.AsNoTracking()
            .Where(answer => answer.SetId == row.Id)
            .OrderBy(answer => answer.At)
            .ToListAsync(cancel);
        return new PracticeSet(
            row.Id,
            row.FloraId,
            row.Title,
            row.Pool,
            [.. row.Queue.Select(Exercise.Of).OfType<Exercise>()],
            [.. answers.Select(answer => new GivenAnswer(answer.At, AnsweredOf(answer), answer.Asked, answer.Again))]
        )
        {
            Region = row.Region,
            ClassId = row.ClassId,
            Asked = row.Asked,
        };
    }

    private static Answered AnsweredOf(PracticeAnswerRow row) => new(Exercise.Of(row.Line)!, row.Answer);

    /// <summary>The sets, newest first.</summary>
    public async Task<IReadOnlyList<PracticeEntry>> List(int take, CancellationToken cancel = default) =>
        await Own.OrderByDescending(set => set.Changed)
            .Take(take)
            .Select(set => new PracticeEntry(
                set.Id,
                set.Title,
                set.Created,
                set.Queue.Count,
                database.PracticeAnswers.Count(answer => answer.SetId == set.Id),
                database.PracticeAnswers.Count(answer => answer.SetId == set.Id && answer.IsRight)
            ))
            .ToListAsync(cancel);

    /// <summary>How well each thing is remembered, by subject.</summary>
    public async Task<IReadOnlyDictionary<string, Repetition>> Known(CancellationToken cancel = default)
    {
        var rows = await database.Repetitions.AsNoTracking().Where(row => reader.Owners.Contains(row.Owner)).ToListAsync(cancel);
        return rows.GroupBy(row => row.Subject).ToDictionary(group => group.Key, group => group.MaxBy(row => row.Due)!.Value.Repetition);
    }

    /// <summary>How many things are due on a day.</summary>
    public Task<int> Due(DateOnly day, CancellationToken cancel = default) =>
        database
            .Repetitions.Where(row => reader.Owners.Contains(row.Owner) && row.Due <= day)
            .Select(row => row.Subject)
            .Distinct()
            .CountAsync(cancel);

    /// <summary>All that was answered, the newest last.</summary>
    public async Task<IReadOnlyList<(Answered Answered, DateTimeOffset Given)>> Answers(CancellationToken cancel = default) =>
        Read(
            await (
                from answer in database.PracticeAnswers.AsNoTracking()
                join set in database.PracticeSets.AsNoTracking() on answer.SetId equals set.Id
                where reader.Owners.Contains(set.Owner)
                orderby answer.Id descending
                select answer
            )
                .Take(MostAnswers)
                .ToListAsync(cancel)
        );

    private static IReadOnlyList<(Answered Answered, DateTimeOffset Given)> Read(IEnumerable<PracticeAnswerRow> rows) =>
        [.. rows.Reverse().Where(row => Exercise.Of(row.Line) is not null).Select(row => (AnsweredOf(row), row.Given))];

    /// <summary>What was answered in a class, without whose it is, and by how many: whoever has only begun is not counted, since
    /// what few have answered tells of them.</summary>
    /// <param name="classId">The class; whether it is the reader's is for the caller to know.</param>
    /// <param name="cancel">Stops it.</param>
    public async Task<(IReadOnlyList<Answered> Answers, int People)> OfClass(string classId, CancellationToken cancel = default)
    {
        var rows = await (
            from answer in database.PracticeAnswers.AsNoTracking()
            join set in database.PracticeSets.AsNoTracking() on answer.SetId equals set.Id
            where set.ClassId == classId
            orderby answer.Id descending
            select answer
        )
            .Take(MostAnswers)
            .ToListAsync(cancel);
        var people = await database
            .PracticeSets.Where(set => set.ClassId == classId && database.PracticeAnswers.Any(answer => answer.SetId == set.Id))
            .Select(set => set.Owner)
            .Distinct()
            .CountAsync(cancel);
        return ([.. Read(rows).Select(pair => pair.Answered)], people);
    }

    /// <summary>Asks the record that is open for a character.</summary>
    /// <returns>Whether there is such a set, and it stands there.</returns>
    public Task<bool> Ask(string id, int at, string character) =>
        Change(
            id,
            at,
            set =>
            {
                if (!set.Asked.Contains(character))
                    set.Asked = [.. set.Asked, character];
                return Task.CompletedTask;
            }
        );

    /// <summary>Keeps an answer to the exercise that is open, and moves the schedule.</summary>
    /// <param name="id">The set.</param>
    /// <param name="at">The place of the exercise: an answer that is sent twice is kept once.</param>
    /// <param name="answer">The answer.</param>
    /// <returns>Whether there is such a set, and it stands there.</returns>
    public Task<bool> Answer(string id, int at, Answer answer) =>
        Change(
            id,
            at,
            async set =>
            {
                var exercise = Exercise.Of(set.Queue[at])!;
                var turns = set.Queue.Count(line => Exercise.Of(line)?.Subject == exercise.Subject);
                var isFirst = set.Queue.Take(at).All(line => Exercise.Of(line)?.Subject != exercise.Subject);
                var again = answer.Grade < Repetition.Enough && turns < MostTurns;
                database.PracticeAnswers.Add(
                    new PracticeAnswerRow
                    {
                        SetId = id,
                        At = at,
                        Line = set.Queue[at],
                        Said = answer.Said,
                        Right = answer.Right,
                        IsRight = answer.IsRight,
                        IsNear = answer.IsNear,
                        Certainty = answer.Certainty,
                        Asked = set.Asked,
                        Before = isFirst ? await Move(set.Owner, exercise.Subject, answer.Grade) : null,
                        Scheduled = isFirst,
                        Again = again,
                        Given = Now,
                    }
                );
                if (again)
                    set.Queue = [.. set.Queue, (exercise with { Seed = exercise.Seed + turns }).Line];
                set.Asked = [];
            }
        );

    // Moves the schedule of a thing on; gives what it was before, null where it was never asked.
    private async Task<Remembered?> Move(string owner, string subject, int grade)
    {
        var row = await RowOf(owner, subject);
        var before = row?.Value;
        if (row is null)
            database.Repetitions.Add(row = new RepetitionRow { Owner = owner, Subject = subject });
        row.Value = Remembered.Of((before?.Repetition ?? Repetition.New).After(grade, Today));
        return before;
    }

    private Task<RepetitionRow?> RowOf(string owner, string subject) =>
        database.Repetitions.SingleOrDefaultAsync(row => row.Owner == owner && row.Subject == subject);

    private LocalDate Today => clock.InTzdbSystemDefaultZone().GetCurrentDate();

    /// <summary>Takes the last answer of a set back: the schedule is as it was, and the exercise open again.</summary>
    /// <param name="id">The set.</param>
    /// <param name="at">The place after the answer.</param>
    /// <returns>Whether there is such a set, and it stands there.</returns>
    public Task<bool> TakeBack(string id, int at) =>
        Change(
            id,
            at,
            async set =>
            {
                if (
                    await database.PracticeAnswers.SingleOrDefaultAsync(answer => answer.SetId == id && answer.At == at - 1) is not { } last
                )
                    return;
                if (last.Scheduled && await RowOf(set.Owner, Exercise.Of(last.Line)!.Subject) is { } row)
                {
                    if (last.Before is { } before)
                        row.Value = before;
                    else
                        database.Repetitions.Remove(row);
                }
                if (last.Again)
                    set.Queue = [.. set.Queue.SkipLast(1)];
                set.Asked = last.Asked;
                database.PracticeAnswers.Remove(last);
            },
            mayBeDone: true
        );

    // Two that are sent at once wait for each other; the second no longer stands where it says.
    private async Task<bool> Change(string id, int at, Func<PracticeSetRow, Task> change, bool mayBeDone = false)
    {
        if (!LookBook.IsId(id))
            return false;
        await using var transaction = await database.Database.BeginTransactionAsync();
        var set = await database
            .PracticeSets.FromSql($"select * from practice_sets where id = {id} and owner = any ({reader.Owners}) for update")
            .SingleOrDefaultAsync();
        if (
            set is null
            || at != await database.PracticeAnswers.CountAsync(answer => answer.SetId == id)
            || (at >= set.Queue.Count && !mayBeDone)
        )
        {
            database.ChangeTracker.Clear();
            return false;
        }
        await change(set);
        set.Changed = Now;
        await database.SaveChangesAsync();
        await transaction.CommitAsync();
        database.ChangeTracker.Clear();
        return true;
    }
}
