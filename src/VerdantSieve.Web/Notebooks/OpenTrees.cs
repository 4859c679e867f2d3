using NodaTime;
using NodaTime.Extensions;
using NodaTime.Text;
using VerdantSieve.Store.Notebooks;

namespace VerdantSieve.Web.Notebooks;

/// <summary>The reader's trees that are not settled yet, and the plan for them.</summary>
public sealed class OpenTrees(TreeBook trees, FloraShelf shelf, PlanDesk desk, Reader reader, IClock clock)
{
    // More are not planned for at once; the newest come first.
    private const int MostPlanned = 500;

    /// <summary>The day it is here.</summary>
    public LocalDate Today => clock.InTzdbSystemDefaultZone().GetCurrentDate();

    /// <summary>The plan for the trees of the shipped flora that are open or doubted, with the trees.</summary>
    public async Task<(Plan Plan, IReadOnlyDictionary<string, TreePoint> Trees)> Plan(CancellationToken cancel)
    {
        var open = (await shelf.Take(null))!;
        var flora = open.Flora;
        var points = await trees.Points(flora.About.Id, cancel: cancel);
        TreePoint[] left = [.. points.Where(tree => tree.IsOpen).Take(MostPlanned)];
        var mark = await trees.MarkOf([.. left.Select(tree => tree.Id)], cancel);
        var key = $"{string.Join(' ', reader.Own)} {LocalDatePattern.Iso.Format(Today)} {flora.About.Edition} {mark}";
        var plan = await desk.Take(key, () => Questions(left, open, cancel), open.Sieve, Today);
        return (plan, left.ToDictionary(tree => tree.Id));
    }

    private async Task<IReadOnlyList<TreeToPlan>> Questions(TreePoint[] left, OpenFlora open, CancellationToken cancel)
    {
        var visits = await trees.VisitsOf([.. left.Select(tree => tree.Id)], cancel);
        return
        [
            .. left.Select(tree => new TreeToPlan(tree, LookQuestion.OfTree([.. visits[tree.Id]], open.Flora, Today, tree.Sex)))
                .Where(tree => tree.Question.Readings.Count > 0),
        ];
    }
}
