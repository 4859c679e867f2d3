using Microsoft.EntityFrameworkCore;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Curating;
using VerdantSieve.Core.Formats;
using VerdantSieve.Store.Floras;

namespace VerdantSieve.Store.Curating;

/// <summary>Somebody else changed the flora in the meantime.</summary>
public sealed class StaleEditionException(int edition) : Exception($"The flora has been changed since; it is at edition {edition} now. Look at the change again before you keep it.");

/// <summary>The history of a flora: keeps changes to taxa, each with who, when and why, and takes them back.</summary>
public sealed class RevisionBook(SieveContext database)
{
    /// <summary>Who made a change that came with the flora’s files.</summary>
    public const string Files = "the files";

    /// <summary>The changes, newest first.</summary>
    /// <param name="flora">The flora.</param>
    /// <param name="taxon">Only those of one taxon; null for all.</param>
    /// <param name="take">How many at most.</param>
    public async Task<IReadOnlyList<RevisionRow>> List(string flora, string? taxon = null, int take = 100) =>
        await database.Revisions.AsNoTracking().Where(row => row.FloraId == flora && (taxon == null || row.TaxonName == taxon))
            .OrderByDescending(row => row.Id).Take(take).ToListAsync();

    /// <summary>Keeps a change to a taxon.</summary>
    /// <param name="flora">The flora the change was made to.</param>
    /// <param name="after">The taxon as it becomes.</param>
    /// <param name="who">Who made it.</param>
    /// <param name="why">Why.</param>
    /// <param name="undoes">The change that this one takes back, if it does.</param>
    /// <returns>The flora with the change, one edition higher.</returns>
    /// <exception cref="StaleEditionException">The flora has been changed since.</exception>
    public async Task<Flora> Keep(Flora flora, Taxon after, string who, string why, long? undoes = null)
    {
        var before = flora.FindTaxon(after.Name.Text) ?? throw new ArgumentException($"{after.Name} is not in the flora.", nameof(after));
        var changed = ChangeEffect.With(flora, after);
        await using var transaction = await database.Database.BeginTransactionAsync();
        var row = await database.Floras.FromSql($"select * from floras where id = {flora.About.Id} for update").SingleAsync();
        if (row.Edition != flora.About.Edition) throw new StaleEditionException(row.Edition);
        row.Edition = changed.About.Edition;
        if (undoes is { } taken) await database.Revisions.Where(revision => revision.Id == taken).ExecuteUpdateAsync(set => set.SetProperty(revision => revision.Undone, true));
        database.Revisions.Add(new RevisionRow
        {
            FloraId = flora.About.Id, TaxonName = after.Name.Text, Edition = row.Edition, Before = TaxonWriter.Write(before, flora.Characters),
            After = TaxonWriter.Write(after, flora.Characters), Who = who, Why = why, At = DateTimeOffset.UtcNow, Undoes = undoes
        });
        await new FloraLoader(database).Put(flora, after);
        await database.SaveChangesAsync();
        await transaction.CommitAsync();
        database.ChangeTracker.Clear();
        return changed;
    }

    /// <summary>Takes a change back: the taxon becomes what it was before it, and that is a change of its own.</summary>
    /// <returns>The flora as it then is, or what stands in the way.</returns>
    public async Task<(Flora? Flora, string? Problem)> Undo(Flora flora, long id, string who)
    {
        var revision = await database.Revisions.AsNoTracking().SingleOrDefaultAsync(row => row.Id == id && row.FloraId == flora.About.Id);
        if (revision is null) return (null, "There is no such change.");
        if (revision.Undone) return (null, "That change has been taken back already.");
        if (flora.FindTaxon(revision.TaxonName) is not { } now) return (null, $"{revision.TaxonName} is no longer in the flora.");
        if (TaxonWriter.Write(now, flora.Characters) != revision.After) return (null, $"{revision.TaxonName} has been changed since. Take back the later change first.");
        var (before, faults) = FloraReader.ReadTaxon(new SourceFile(TaxonWriter.Path(now.Name), revision.Before), flora);
        if (before is null) return (null, $"What it was before can’t be read any more: {faults[0].Message}");
        return (await Keep(flora, before, who, $"Took back: {revision.Why}", revision.Id), null);
    }
}
