using Microsoft.EntityFrameworkCore;
using Npgsql;
using NpgsqlTypes;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Formats;

namespace VerdantSieve.Store.Floras;

/// <summary>A flora as a list shows it.</summary>
public sealed record FloraEntry(string Id, string Title, int Edition, int Taxa, int Characters, bool IsOwn, DateTimeOffset Loaded);

/// <summary>All floras there are: the shipped one, and those made or imported here.</summary>
public sealed class FloraLibrary(SieveContext database)
{
    /// <summary>The floras, the shipped one first.</summary>
    /// <param name="removed">Those that were taken off the list instead.</param>
    public async Task<IReadOnlyList<FloraEntry>> List(bool removed = false) =>
        await database.Floras.AsNoTracking().Where(flora => flora.Removed != null == removed).OrderBy(flora => flora.IsOwn).ThenBy(flora => flora.Title)
            .Select(flora => new FloraEntry(flora.Id, flora.Title, flora.Edition, database.Taxa.Count(taxon => taxon.FloraId == flora.Id),
                database.Characters.Count(character => character.FloraId == flora.Id), flora.IsOwn, flora.Loaded)).ToListAsync();

    /// <summary>Reads a flora; null where there is none of this id.</summary>
    public async Task<Flora?> Read(string id) =>
        await database.Floras.AsNoTracking().SingleOrDefaultAsync(flora => flora.Id == id) is { } row ? await new FloraLoader(database).FromDatabase(row) : null;

    /// <summary>Keeps a flora as one’s own: all of it or, where anything goes wrong, nothing.</summary>
    /// <param name="flora">The flora.</param>
    /// <param name="replace">Whether it takes the place of an own flora of the same id.</param>
    /// <param name="cancel">Stops it; nothing is kept then.</param>
    /// <returns>What stands in the way; null where it is kept.</returns>
    public async Task<string?> Keep(Flora flora, bool replace = false, CancellationToken cancel = default)
    {
        var id = flora.About.Id;
        if (await database.Floras.AsNoTracking().SingleOrDefaultAsync(row => row.Id == id, cancel) is { } there)
        {
            if (!there.IsOwn) return $"“{id}” is the id of the shipped flora; give this one another.";
            if (!replace) return $"“{id}” is the id of {(there.Removed is null ? "an own flora" : "an own flora that was taken off the list")} already; give this one another, or say that it takes its place.";
        }
        await using var transaction = await database.Database.BeginTransactionAsync(cancel);
        await Delete(database, id, cancel);
        database.Floras.Add(FloraMapping.Row(flora.About, $"own {Guid.NewGuid():N}", isOwn: true));
        database.Characters.AddRange(flora.Characters.Select(character => FloraMapping.Row(id, character)));
        database.Taxa.AddRange(flora.Taxa.Select(taxon => FloraMapping.Row(id, taxon)));
        await database.SaveChangesAsync(cancel);
        await CopyScores(flora, cancel);
        await Analyze(database, cancel);
        await transaction.CommitAsync(cancel);
        database.ChangeTracker.Clear();
        return null;
    }

    /// <summary>Takes an own flora off the list, or puts it back. Looks made with it can be opened all the same.</summary>
    /// <returns>Whether there is such a flora.</returns>
    public async Task<bool> Remove(string id, bool removed = true) =>
        await database.Floras.Where(row => row.Id == id && row.IsOwn).ExecuteUpdateAsync(set => set.SetProperty(row => row.Removed, removed ? DateTimeOffset.UtcNow : null)) > 0;

    /// <summary>Deletes a flora with all that hangs on it. From the scores upwards, one statement a table: left to the database it would look for the
    /// scores of each taxon and of each character one by one.</summary>
    internal static async Task Delete(SieveContext database, string id, CancellationToken cancel = default)
    {
        await database.Scores.Where(row => row.FloraId == id).ExecuteDeleteAsync(cancel);
        await database.Taxa.Where(row => row.FloraId == id).ExecuteDeleteAsync(cancel);
        await database.Characters.Where(row => row.FloraId == id).ExecuteDeleteAsync(cancel);
        await database.Floras.Where(row => row.Id == id).ExecuteDeleteAsync(cancel);
    }

    /// <summary>Tells the database what its largest table holds now, so that it looks scores up by their index.</summary>
    internal static Task Analyze(SieveContext database, CancellationToken cancel = default) => database.Database.ExecuteSqlRawAsync("analyze scores", cancel);

    // A large flora has a hundred thousand scores: copied in one stream, in the same transaction.
    private async Task CopyScores(Flora flora, CancellationToken cancel)
    {
        var connection = (NpgsqlConnection)database.Database.GetDbConnection();
        await using var copy = await connection.BeginBinaryImportAsync("copy scores (flora_id, taxon_name, character_id, notation) from stdin (format binary)", cancel);
        foreach (var taxon in flora.Taxa)
            foreach (var (character, score) in taxon.Scores.Where(score => !taxon.Inferred.Contains(score.Key)))
            {
                await copy.StartRowAsync(cancel);
                foreach (var value in new[] { flora.About.Id, taxon.Name.Text, character, ScoreNotation.Format(score, flora.Character(character)) }) await copy.WriteAsync(value, NpgsqlDbType.Text, cancel);
            }
        await copy.CompleteAsync(cancel);
    }
}
