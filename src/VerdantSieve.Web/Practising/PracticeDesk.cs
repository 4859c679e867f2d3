using System.Security.Cryptography;
using NodaTime;
using NodaTime.Extensions;
using VerdantSieve.Core;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Practising;
using VerdantSieve.Store.Lists;
using VerdantSieve.Store.Notebooks;
using VerdantSieve.Store.Practising;
using VerdantSieve.Web.Notebooks;

namespace VerdantSieve.Web.Practising;

/// <summary>Makes sets of what somebody asks to practise, and poses what is in them.</summary>
public sealed class PracticeDesk(PracticeBook practice, ListBook lists, TreeBook trees, IClock clock)
{
    /// <summary>The day it is here.</summary>
    public LocalDate Today => clock.InTzdbSystemDefaultZone().GetCurrentDate();

    /// <summary>Begins a set.</summary>
    /// <param name="form">What is asked for.</param>
    /// <param name="open">The flora.</param>
    /// <returns>Its id, or what is wrong.</returns>
    public async Task<Outcome<string>> Begin(PoolForm form, OpenFlora open)
    {
        var pool = await Pool(form, open);
        return pool.Has(out var found) ? await Begin(form, open, found.Title, found.Taxa, null) : Outcome.Faulty<string>(pool.Faults);
    }

    /// <summary>Begins a set of a class.</summary>
    public Task<Outcome<string>> Begin(PlantClass of, PlantList list, PoolForm form, OpenFlora open) =>
        Begin(form, open, of.Title, TaxaOf(list, open), of.Id);

    private async Task<Outcome<string>> Begin(PoolForm form, OpenFlora open, string title, IReadOnlyList<Taxon> pool, string? classId)
    {
        var region = Regions.Exists(form.Region ?? "") ? form.Region : null;
        var made = new SetMaker(open.Poser).Make(
            new SetWish(pool, form.Chosen, region) { OnlyDue = form.Of == PoolSource.Due && classId is null },
            await practice.Known(),
            Today,
            form.Count,
            RandomNumberGenerator.GetInt32(int.MaxValue)
        );
        return made.Count == 0
            ? new Fault("kinds", "Nothing of that can be asked here; choose another kind of exercise, or more kinds of plant.")
            : await practice.Begin(open.Flora.About.Id, title, [.. pool.Select(taxon => taxon.Name.Text)], made, region, classId);
    }

    private async Task<Outcome<(string Title, IReadOnlyList<Taxon> Taxa)>> Pool(PoolForm form, OpenFlora open)
    {
        var (title, taxa) = form.Of switch
        {
            PoolSource.Place => (
                Regions.Exists(form.Region ?? "") ? $"Trees of {Regions.Name(form.Region!)}" : "Trees of everywhere",
                open.Flora.Taxa.Where(taxon => form.Region is not { Length: > 0 } here || taxon.Distribution.Includes(here))
            ),
            PoolSource.Group => (form.Group ?? "", open.Flora.Taxa.Where(taxon => taxon.IsOf(form.Group?.Trim() ?? ""))),
            PoolSource.List => form.List is { Length: > 0 } id && await lists.Find(id) is { } list
                ? (list.Content.Title, TaxaOf(list, open))
                : ("", []),
            PoolSource.Notebook => ("My notebook", (await trees.Points(open.Flora.About.Id)).KindsOf(open.Flora)),
            PoolSource.Missed => ("What I missed", Missed(await practice.Answers(), open)),
            PoolSource.Due => ("Due today", open.Flora.Taxa),
        };
        Taxon[] found = [.. taxa.Distinct()];
        if (found.Length > 0)
            return (title, found);
        return form.Of switch
        {
            PoolSource.Place => Fault.AtField("region", form.Region, "Choose a country or state from the list."),
            PoolSource.Group => Fault.AtField("group", form.Group, "Name a genus or a family of the flora, such as Acer or Fagaceae."),
            PoolSource.List => new Fault("list", "Choose one of your lists; a new one is made under Lists."),
            PoolSource.Notebook => new Fault("source", "No tree of your notebook is named yet; choose a place or a genus."),
            PoolSource.Missed => new Fault("source", "Nothing has been missed yet; choose a place or a genus."),
            PoolSource.Due => new Fault("source", "Nothing is due; choose a place or a genus."),
        };
    }

    /// <summary>The kinds of a list that the flora has, in the list's order.</summary>
    public static IReadOnlyList<Taxon> TaxaOf(PlantList list, OpenFlora open) =>
        [.. list.Content.Kinds.Select(kind => open.Flora.FindTaxon(kind.Name)).OfType<Taxon>()];

    // With what they were taken for, which is half of it.
    private static IEnumerable<Taxon> Missed(IReadOnlyList<(Answered Answered, DateTimeOffset Given)> answers, OpenFlora open) =>
        answers
            .Where(pair => !pair.Answered.Answer.IsRight)
            .SelectMany(pair => Recap.KindsOf(pair.Answered.Exercise).Append(pair.Answered.Answer.Said))
            .Select(open.Flora.FindTaxon)
            .OfType<Taxon>();

    /// <summary>The choices of an exercise; null where there is nothing to choose from.</summary>
    public static Posed? Pose(Exercise exercise, PracticeSet set, OpenFlora open) =>
        exercise.Match(
            name: own => open.Poser.Pose(own, [.. set.Pool.Select(open.Flora.FindTaxon).OfType<Taxon>()]),
            part: own => open.Poser.Pose(own),
            read: own => open.Poser.Pose(own),
            record: _ => null,
            measure: _ => null
        );

    /// <summary>The record of an exercise; null where the flora no longer has the kind.</summary>
    public static PlantRecord? RecordOf(NameRecord exercise, OpenFlora open) =>
        open.Flora.FindTaxon(exercise.Taxon) is { } taxon ? new PlantRecord(open.Sieve, taxon, exercise.Region, exercise.Seed) : null;
}
