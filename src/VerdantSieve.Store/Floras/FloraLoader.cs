using System.Security.Cryptography;
using System.Text;
using Microsoft.EntityFrameworkCore;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Formats;

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
    /// <exception cref="FloraFaultException">The files have faults; the database keeps what it had.</exception>
    public async Task<Flora> Load(string folder)
    {
        var files = Files(folder);
        var fingerprint = Fingerprint(files);
        var stored = await database.Floras.AsNoTracking().SingleOrDefaultAsync(flora => flora.Fingerprint == fingerprint);
        if (stored is not null) return await FromDatabase(stored);

        var reading = FloraReader.Read(files[0], files[1], files.Skip(2));
        if (reading.Flora is not { } flora) throw new FloraFaultException(reading.Faults);
        await Replace(flora, fingerprint);
        return flora;
    }

    private async Task Replace(Flora flora, string fingerprint)
    {
        var id = flora.About.Id;
        await using var transaction = await database.Database.BeginTransactionAsync();
        await database.Floras.Where(row => row.Id == id).ExecuteDeleteAsync();
        database.Floras.Add(FloraMapping.Row(flora.About, fingerprint));
        database.Characters.AddRange(flora.Characters.Select(character => FloraMapping.Row(id, character)));
        database.Taxa.AddRange(flora.Taxa.Select(taxon => FloraMapping.Row(id, taxon)));
        database.Scores.AddRange(flora.Taxa.SelectMany(taxon => taxon.Scores.Select(score => new ScoreRow
        {
            FloraId = id, TaxonName = taxon.Name.Text, CharacterId = score.Key,
            Notation = ScoreNotation.Format(score.Value, flora.Character(score.Key))
        })));
        await database.SaveChangesAsync();
        await transaction.CommitAsync();
        database.ChangeTracker.Clear();
    }

    private async Task<Flora> FromDatabase(FloraRow row)
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
    private const string StoredShape = "1";

    private static string Fingerprint(IEnumerable<SourceFile> files)
    {
        using var hash = IncrementalHash.CreateHash(HashAlgorithmName.SHA256);
        hash.AppendData(Encoding.UTF8.GetBytes(StoredShape));
        foreach (var file in files) hash.AppendData(Encoding.UTF8.GetBytes($"\0{file.Path}\0{file.Text}"));
        return Convert.ToHexStringLower(hash.GetHashAndReset());
    }
}
