using Microsoft.EntityFrameworkCore;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Sieving;
using VerdantSieve.Store.Looks;
using VerdantSieve.Store.Notebooks;

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
        await database.Trees.Where(tree => tree.IsDemo).ExecuteDeleteAsync();
        await database.Outings.Where(outing => outing.IsDemo).ExecuteDeleteAsync();
        await database.Lists.Where(list => list.Id == DemoPractice.Wood).ExecuteDeleteAsync();
        await database.PracticeSets.Where(set => set.Id == DemoPractice.Set).ExecuteDeleteAsync();
        await Load();
    }

    private async Task Load()
    {
        var sieve = new Sieve(flora);
        database.Outings.AddRange(DemoReserve.Outings);
        database.Lists.Add(DemoPractice.List);
        database.PracticeSets.Add(DemoPractice.Practised);
        database.PracticeAnswers.AddRange(DemoPractice.Answers);
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

            var tree = database.Trees.Local.FirstOrDefault(tree => tree.Id == demo.TreeId) ?? TreeOf(demo, at);
            tree.Changed = at;
            var row = new LookRow
            {
                Id = demo.Id,
                FloraId = flora.About.Id,
                TreeId = demo.TreeId,
                OutingId = demo.Outing,
                IsLatest = DemoSeason.Looks.Last(look => look.TreeId == demo.TreeId) == demo,
                IsDemo = true,
                Created = at,
                Changed = at.AddMinutes(steps.Count),
                Cursor = steps.Count - 1,
                LastStep = steps.Count - 1,
            };
            LookBook.Describe(row, steps[^1].Content);
            LookBook.Place(tree, steps[^1].Content);
            database.Looks.Add(row);
            if (steps[^1].Content.Determined is { } determined)
                database.Opinions.Add(
                    LookBook.OpinionOf(row, determined, DemoReserve.Walker, demo.Start.Observer, at.AddMinutes(steps.Count))
                );
            database.LookSteps.AddRange(steps.Select((step, i) => LookBook.Step(demo.Id, i, step.Done, step.Content, at.AddMinutes(i))));
        }
        database.Opinions.AddRange(DemoReserve.SecondReader(flora.About.Edition));
        await database.SaveChangesAsync();
        foreach (var tree in database.Trees.Local)
            await OpinionBook.Stand(database, tree);
        await database.SaveChangesAsync();
        database.ChangeTracker.Clear();
    }

    private TreeRow TreeOf(DemoLook demo, DateTimeOffset at)
    {
        var tree = new TreeRow
        {
            Id = demo.TreeId,
            Owner = DemoReserve.Walker,
            FloraId = flora.About.Id,
            Details = DemoReserve.DetailsOf(demo),
            Tag = demo.Tag,
            IsDemo = true,
            Created = at,
            Changed = at,
        };
        database.Trees.Add(tree);
        return tree;
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
        )
        {
            Readings = [.. LookQuestion.Of(content, flora).Question.Readings.Select(reading => Wording.Of(reading, flora))],
        };
    }

    private static DateOnly DayOf(LookContent content) => DateOnly.ParseExact(content.Circumstances.Date!, "yyyy-MM-dd");
}
