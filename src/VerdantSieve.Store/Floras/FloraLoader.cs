using System.Security.Cryptography;
using System.Text;
using Microsoft.EntityFrameworkCore;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Formats;
using VerdantSieve.Store.Curating;

namespace VerdantSieve.Store.Floras;

/// <summary>A flora's files have faults; all of them are listed.</summary>
public sealed class FloraFaultException(IReadOnlyList<Fault> faults)
    : Exception($"The flora’s files have {(faults.Count == 1 ? "a fault" : $"{faults.Count} faults")}:\n{string.Join('\n', faults)}")
{
    public IReadOnlyList<Fault> Faults { get; } = faults;
}

/// <summary>Brings a flora from its files into the database, and from there into memory.</summary>
public sealed class FloraLoader(SieveContext database)
{
    /// <summary>Loads the flora in a folder. Files that have not changed since the last time are not read again.</summary>
    /// <remarks>Changes made at the desk outlive a change of the files. Where files and desk have both changed a taxon, the file is in force, and the
    /// history says so: neither changes without a trace.</remarks>
    /// <exception cref="FloraFaultException">The files have faults; the database keeps what it had.</exception>
    public async Task<Flora> Load(string folder)
    {
        var files = Files(folder);
        var fingerprint = Fingerprint(files);
        var stored = await database.Floras.AsNoTracking().SingleOrDefaultAsync(flora => flora.Fingerprint == fingerprint);
        if (stored is not null) return await FromDatabase(stored);

        var reading = FloraReader.Read(files[0], files[1], files.Skip(2));
        if (reading.Flora is not { } flora) throw new FloraFaultException(reading.Faults);
        flora = await WithChanges(flora);
        await Replace(flora, fingerprint);
        return flora;
    }

    /// <summary>The taxa that the desk has changed and the files have not.</summary>
    public async Task<IReadOnlyList<Taxon>> AheadOfFiles(string folder, Flora flora)
    {
        var changed = await database.Revisions.Where(row => row.FloraId == flora.About.Id).Select(row => row.TaxonName).Distinct().ToListAsync();
        return [.. changed.Select(flora.FindTaxon).OfType<Taxon>().Where(taxon =>
            Path.Combine(folder, TaxonWriter.Path(taxon.Name)) is var path && (!File.Exists(path) || File.ReadAllText(path) != TaxonWriter.Write(taxon, flora.Characters)))];
    }

    // The files as read, with what the desk has changed since.
    private async Task<Flora> WithChanges(Flora files)
    {
        var id = files.About.Id;
        var edition = await database.Floras.Where(row => row.Id == id).Select(row => (int?)row.Edition).SingleOrDefaultAsync();
        var revisions = await database.Revisions.AsNoTracking().Where(row => row.FloraId == id).OrderBy(row => row.Id).ToListAsync();
        var taxa = files.Taxa.ToDictionary(taxon => taxon.Name.Text);
        foreach (var history in revisions.GroupBy(row => row.TaxonName))
        {
            if (!taxa.TryGetValue(history.Key, out var file)) continue;
            var (text, last) = (TaxonWriter.Write(file, files.Characters), history.Last());
            if (text == last.After || last.Who == RevisionBook.Files) continue;
            var (taxon, _) = FloraReader.ReadTaxon(new SourceFile(TaxonWriter.Path(file.Name), last.After), files);
            if (text == history.First().Before && taxon is not null) taxa[history.Key] = taxon;
            else
                database.Revisions.Add(new RevisionRow
                {
                    FloraId = id, TaxonName = history.Key, Edition = Math.Max(files.About.Edition, (edition ?? 0) + 1), Before = last.After, After = text,
                    Who = RevisionBook.Files, Why = taxon is null ? "The change made here no longer fits the vocabulary; the file is in force." : "The file has been changed since; it is in force.", At = DateTimeOffset.UtcNow
                });
        }
        return new Flora(files.About with { Edition = Math.Max(files.About.Edition, (edition ?? files.About.Edition - 1) + 1) }, files.Characters, taxa.Values);
    }

    /// <summary>Puts one taxon in the place of that of the same name; the caller saves.</summary>
    internal async Task Put(Flora flora, Taxon taxon)
    {
        await database.Taxa.Where(row => row.FloraId == flora.About.Id && row.Name == taxon.Name.Text).ExecuteDeleteAsync();
        Add(flora, taxon);
    }

    private async Task Replace(Flora flora, string fingerprint)
    {
        var id = flora.About.Id;
        await using var transaction = await database.Database.BeginTransactionAsync();
        await FloraLibrary.Delete(database, id);
        database.Floras.Add(FloraMapping.Row(flora.About, fingerprint));
        database.Characters.AddRange(flora.Characters.Select(character => FloraMapping.Row(id, character)));
        foreach (var taxon in flora.Taxa) Add(flora, taxon);
        await database.SaveChangesAsync();
        await FloraLibrary.Analyze(database);
        await transaction.CommitAsync();
        database.ChangeTracker.Clear();
    }

    // What a hybrid takes from its parents is not stored: it is worked out when the flora is made.
    private void Add(Flora flora, Taxon taxon)
    {
        database.Taxa.Add(FloraMapping.Row(flora.About.Id, taxon));
        database.Scores.AddRange(taxon.Scores.Where(score => !taxon.Inferred.Contains(score.Key)).Select(score => new ScoreRow
        {
            FloraId = flora.About.Id, TaxonName = taxon.Name.Text, CharacterId = score.Key, Notation = ScoreNotation.Format(score.Value, flora.Character(score.Key))
        }));
    }

    internal async Task<Flora> FromDatabase(FloraRow row)
    {
        var characters = (await database.Characters.AsNoTracking().Where(c => c.FloraId == row.Id).OrderBy(c => c.Order).ToListAsync())
            .ConvertAll(FloraMapping.Character);
        var byId = characters.ToDictionary(character => character.Id);
        var scores = (await database.Scores.AsNoTracking().Where(score => score.FloraId == row.Id).ToListAsync()).ToLookup(score => score.TaxonName);
        var taxa = await database.Taxa.AsNoTracking().Where(taxon => taxon.FloraId == row.Id).ToListAsync();
        return new Flora(FloraMapping.About(row), characters, taxa.Select(taxon => FloraMapping.Taxon(taxon, scores[taxon.Name], byId)));
    }

    private static List<SourceFile> Files(string folder)
    {
        var taxa = Path.Combine(folder, "taxa");
        if (!Directory.Exists(taxa)) throw new DirectoryNotFoundException($"There is no flora in {folder}: it needs flora.yaml, characters.yaml and a folder taxa.");
        var paths = Directory.EnumerateFiles(taxa, "*.yaml", SearchOption.AllDirectories).Order(StringComparer.Ordinal);
        return [.. new[] { Path.Combine(folder, "flora.yaml"), Path.Combine(folder, "characters.yaml") }.Concat(paths)
            .Select(path => new SourceFile(Path.GetRelativePath(folder, path).Replace('\\', '/'), File.ReadAllText(path)))];
    }

    // Changes with any file, and with the shape in which floras are stored.
    private const string StoredShape = "3";

    private static string Fingerprint(IEnumerable<SourceFile> files)
    {
        using var hash = IncrementalHash.CreateHash(HashAlgorithmName.SHA256);
        hash.AppendData(Encoding.UTF8.GetBytes(StoredShape));
        foreach (var file in files) hash.AppendData(Encoding.UTF8.GetBytes($"\0{file.Path}\0{file.Text}"));
        return Convert.ToHexStringLower(hash.GetHashAndReset());
    }
}
