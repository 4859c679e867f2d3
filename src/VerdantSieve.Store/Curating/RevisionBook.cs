using System.Text.Json;
using Microsoft.EntityFrameworkCore;
using NodaTime;
using VerdantSieve.Core;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Curating;
using VerdantSieve.Core.Formats;
using VerdantSieve.Store.Floras;

namespace VerdantSieve.Store.Curating;

/// <summary>The history of a flora: keeps changes to taxa, each with who, when and why, and takes them back.</summary>
public sealed class RevisionBook(SieveContext database, IClock clock)
{
    /// <summary>Who made a change that came with the flora’s files.</summary>
    public const string Files = "the files";

    private static readonly JsonSerializerOptions Json = new(JsonSerializerDefaults.Web);

    /// <summary>The changes, newest first.</summary>
    /// <param name="flora">The flora.</param>
    /// <param name="taxon">Only those of one taxon; null for all.</param>
    /// <param name="take">How many at most.</param>
    /// <param name="cancel">Stops it.</param>
    public async Task<IReadOnlyList<Revision>> List(Flora flora, string? taxon = null, int take = 100, CancellationToken cancel = default)
    {
        var id = flora.About.Id;
        var rows = await database
            .Revisions.Where(row => row.FloraId == id && (taxon == null || row.TaxonName == taxon))
            .OrderByDescending(row => row.Id)
            .Take(take)
            .ToListAsync(cancel);
        // Changes from before differences were kept with them, or from the files: worked out once.
        foreach (var row in rows.Where(row => row.Changes is null))
            row.Changes = JsonSerializer.Serialize(Changes(row, flora), Json);
        await database.SaveChangesAsync(cancel);
        database.ChangeTracker.Clear();
        return [.. rows.Select(row => new Revision(row, JsonSerializer.Deserialize<FieldChange[]>(row.Changes!, Json)!))];
    }

    /// <summary>The first change to a taxon after an edition: what it was before, and who changed it; null where it was not
    /// changed.</summary>
    public async Task<RevisionRow?> FirstSince(Flora flora, string taxon, int edition, CancellationToken cancel = default)
    {
        var id = flora.About.Id;
        return await database
            .Revisions.AsNoTracking()
            .Where(row => row.FloraId == id && row.TaxonName == taxon && row.Edition > edition && row.Edition <= flora.About.Edition)
            .OrderBy(row => row.Edition)
            .FirstOrDefaultAsync(cancel);
    }

    /// <summary>Keeps a change to a taxon.</summary>
    /// <param name="flora">The flora the change was made to.</param>
    /// <param name="after">The taxon as it becomes.</param>
    /// <param name="who">Who made it.</param>
    /// <param name="why">Why.</param>
    /// <param name="undoes">The change that this one takes back, if it does.</param>
    /// <param name="cancel">Stops it; nothing is kept then.</param>
    /// <returns>The flora with the change, one edition higher. Other processes are told of it.</returns>
    /// <exception cref="StaleEditionException">The flora has been changed since.</exception>
    public async Task<Flora> Keep(Flora flora, Taxon after, string who, string why, long? undoes = null, CancellationToken cancel = default)
    {
        var before = flora.FindTaxon(after.Name.Text) ?? throw new ArgumentException($"{after.Name} is not in the flora.", nameof(after));
        var id = flora.About.Id;
        var changed = flora.With(after);
        await using var transaction = await database.Database.BeginTransactionAsync(cancel);
        var row = await database.Floras.FromSql($"select * from floras where id = {id} for update").SingleAsync(cancel);
        if (row.Edition != flora.About.Edition)
            throw new StaleEditionException(row.Edition);
        row.Edition = changed.About.Edition;
        if (undoes is { } taken)
            await database
                .Revisions.Where(revision => revision.Id == taken)
                .ExecuteUpdateAsync(set => set.SetProperty(revision => revision.Undone, true), cancel);
        database.Revisions.Add(
            new RevisionRow
            {
                FloraId = id,
                TaxonName = after.Name.Text,
                Edition = row.Edition,
                Before = TaxonWriter.Write(before, flora.Vocabulary),
                After = TaxonWriter.Write(after, flora.Vocabulary),
                Changes = JsonSerializer.Serialize(FieldChange.Between(before, after, flora.Vocabulary), Json),
                Who = who,
                Why = why,
                At = clock.GetCurrentInstant().ToDateTimeOffset(),
                Undoes = undoes,
            }
        );
        await new FloraTables(database).Put(flora, after, cancel);
        await database.SaveChangesAsync(cancel);
        await new FloraNotice(id, row.Edition, Replaced: false).Tell(database, cancel);
        await transaction.CommitAsync(cancel);
        database.ChangeTracker.Clear();
        return changed;
    }

    /// <summary>Takes a change back: the taxon becomes what it was before it, and that is a change of its own.</summary>
    /// <returns>The flora as it then is, or what stands in the way.</returns>
    /// <exception cref="StaleEditionException">The flora has been changed since.</exception>
    public async Task<Outcome<Flora>> Undo(Flora flora, long id, string who, CancellationToken cancel = default)
    {
        var revision = await database
            .Revisions.AsNoTracking()
            .SingleOrDefaultAsync(row => row.Id == id && row.FloraId == flora.About.Id, cancel);
        if (revision is null)
            return Amiss("There is no such change.");
        if (revision.Undone)
            return Amiss("That change has been taken back already.");
        if (flora.FindTaxon(revision.TaxonName) is not { } now)
            return Amiss($"{revision.TaxonName} is no longer in the flora.");
        if (!TaxonText.Is(revision.After, now, flora))
            return Amiss($"{revision.TaxonName} has been changed since. Take back the later change first.");
        var text = TaxonText.Read(revision.Before, now.Name, flora);
        if (!text.Has(out var before))
            return Amiss($"What it was before can’t be read any more: {text.Faults[0].Message}");
        return await Keep(flora, before, who, $"Took back: {revision.Why}", revision.Id, cancel);

        static Fault Amiss(string message) => new("change", message);
    }

    private static IReadOnlyList<FieldChange> Changes(RevisionRow row, Flora flora)
    {
        var name = new ScientificName(row.TaxonName);
        return TaxonText.Read(row.Before, name, flora).Has(out var before) && TaxonText.Read(row.After, name, flora).Has(out var after)
            ? FieldChange.Between(before, after, flora.Vocabulary)
            : [];
    }
}
