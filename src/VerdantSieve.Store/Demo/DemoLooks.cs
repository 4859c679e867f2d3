using Microsoft.EntityFrameworkCore;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Sieving;
using VerdantSieve.Store.Looks;

namespace VerdantSieve.Store.Demo;

/// <summary>Puts the demonstration looks into the notebook.</summary>
public sealed class DemoLooks(SieveContext database, Flora flora)
{
    /// <summary>Loads them unless they were loaded before, thrown away or not.</summary>
    public async Task LoadOnce()
    {
        if (!await database.Looks.AnyAsync(look => look.IsDemo))
            await Load();
    }

    /// <summary>Puts them back as they were. Other looks stay as they are.</summary>
    public async Task Reset()
    {
        await database.Looks.Where(look => look.IsDemo).ExecuteDeleteAsync();
        await Load();
    }

    private async Task Load()
    {
        var sieve = new Sieve(flora);
        foreach (var demo in DemoSeason.Looks)
        {
            var at = new DateTimeOffset(DayOf(demo.Start).ToDateTime(new TimeOnly(10, 30)), TimeSpan.Zero);
            var steps = new List<(string Done, LookContent Content)> { ("started the look", demo.Start) };
            foreach (var raw in demo.Readings)
            {
                var reading = Read(demo, raw);
                var before = steps[^1].Content;
                steps.Add((Wording.Of(reading, flora), before with { Readings = [.. before.Readings, RawReading.From(reading)] }));
            }
            if (demo.Notes.Length > 0)
                steps.Add(("wrote notes", steps[^1].Content with { Notes = demo.Notes }));
            if (demo.Settle)
                steps.Add(("settled the look", steps[^1].Content with { Determined = Determine(sieve, steps[^1].Content) }));

            var row = new LookRow
            {
                Id = demo.Id,
                FloraId = flora.About.Id,
                IsDemo = true,
                Created = at,
                Changed = at.AddMinutes(steps.Count),
                Cursor = steps.Count - 1,
                LastStep = steps.Count - 1,
            };
            LookBook.Describe(row, steps[^1].Content);
            database.Looks.Add(row);
            database.LookSteps.AddRange(steps.Select((step, i) => LookBook.Step(demo.Id, i, step.Done, step.Content, at.AddMinutes(i))));
        }
        await database.SaveChangesAsync();
        database.ChangeTracker.Clear();
    }

    private Reading Read(DemoLook demo, RawReading raw)
    {
        var outcome = ReadingDesk.Check(raw, flora);
        return outcome.Has(out var reading)
            ? reading
            : throw new InvalidOperationException($"The demonstration look {demo.Id} has a wrong reading. {outcome.Faults[0]}");
    }

    private SavedDetermination Determine(Sieve sieve, LookContent content)
    {
        var determination = sieve.Ask(LookQuestion.Of(content, flora).Question).Determination;
        return new SavedDetermination(
            determination.Name,
            determination.Rank,
            determination.Probability,
            determination.Sentence.ToString(),
            flora.About.Edition,
            DayOf(content)
        );
    }

    private static DateOnly DayOf(LookContent content) => DateOnly.ParseExact(content.Circumstances.Date!, "yyyy-MM-dd");
}
