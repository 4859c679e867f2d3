using Microsoft.EntityFrameworkCore;
using NodaTime;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Formats;
using VerdantSieve.Store.Curating;

namespace VerdantSieve.Store.Floras;

/// <summary>Brings a flora from its files into the database, and from there into memory.</summary>
public sealed class FloraLoader(SieveContext database, IClock clock)
{
    /// <summary>Loads the flora in a folder. Files that have not changed since the last time are not read again.</summary>
    /// <remarks>Changes made at the desk outlive a change of the files. Where files and desk have both changed a taxon, the file is in
    /// force, and the
    /// history says so: neither changes without a trace.</remarks>
    /// <exception cref="FloraFaultException">The files have faults; the database keeps what it had.</exception>
    public async Task<Flora> Load(string folder, CancellationToken cancel = default)
    {
        var files = FloraFiles.In(folder);
        var fingerprint = files.Fingerprint();
        var tables = new FloraTables(database);
        var stored = await database.Floras.AsNoTracking().SingleOrDefaultAsync(flora => flora.Fingerprint == fingerprint, cancel);
        if (stored is not null)
            return await tables.Read(stored, cancel);

        var reading = files.Read();
        if (!reading.Has(out var read))
            throw new FloraFaultException(reading.Faults);
        var flora = await WithChanges(read, cancel);
        await tables.Replace(flora, fingerprint, isOwn: false, Now, cancel);
        return flora;
    }

    /// <summary>The taxa that the desk has changed and the files have not.</summary>
    public async Task<IReadOnlyList<Taxon>> AheadOfFiles(string folder, Flora flora, CancellationToken cancel = default)
    {
        var changed = await database
            .Revisions.Where(row => row.FloraId == flora.About.Id)
            .Select(row => row.TaxonName)
            .Distinct()
            .ToListAsync(cancel);
        return [.. changed.Select(flora.FindTaxon).OfType<Taxon>().Where(IsAhead)];

        bool IsAhead(Taxon taxon)
        {
            var path = Path.Combine(folder, TaxonWriter.Path(taxon.Name));
            return !File.Exists(path) || File.ReadAllText(path) != TaxonWriter.Write(taxon, flora.Vocabulary);
        }
    }

    private DateTimeOffset Now => clock.GetCurrentInstant().ToDateTimeOffset();

    // The files as read, with what the desk has changed since.
    private async Task<Flora> WithChanges(Flora files, CancellationToken cancel)
    {
        var id = files.About.Id;
        var stored = await database.Floras.Where(row => row.Id == id).Select(row => (int?)row.Edition).SingleOrDefaultAsync(cancel);
        var edition = Math.Max(files.About.Edition, (stored ?? 0) + 1);
        var revisions = await database.Revisions.AsNoTracking().Where(row => row.FloraId == id).OrderBy(row => row.Id).ToListAsync(cancel);
        var taxa = files.Taxa.ToDictionary(taxon => taxon.Name.Text);
        foreach (var history in revisions.GroupBy(row => row.TaxonName))
        {
            if (!taxa.TryGetValue(history.Key, out var file))
                continue;
            var last = history.Last();
            if (last.Who == RevisionBook.Files || TaxonText.Is(last.After, file, files))
                continue;
            var desk = TaxonText.Read(last.After, file.Name, files);
            if (TaxonText.Is(history.First().Before, file, files) && desk.Has(out var taxon))
                taxa[history.Key] = taxon;
            else
                database.Revisions.Add(FileInForce(files, file, last, edition, desk.Faults.Count == 0));
        }
        return new Flora(files.About with { Edition = edition }, files.Vocabulary, taxa.Values);
    }

    private RevisionRow FileInForce(Flora files, Taxon file, RevisionRow last, int edition, bool stillReads)
    {
        var text = TaxonWriter.Write(file, files.Vocabulary);
        return new RevisionRow
        {
            FloraId = files.About.Id,
            TaxonName = file.Name.Text,
            Edition = edition,
            Before = last.After,
            After = text,
            Who = RevisionBook.Files,
            Why = stillReads
                ? "The file has been changed since; it is in force."
                : "The change made here no longer fits the vocabulary; the file is in force.",
            At = Now,
        };
    }
}
