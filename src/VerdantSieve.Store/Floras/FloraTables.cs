using Microsoft.EntityFrameworkCore;
using Npgsql;
using NpgsqlTypes;
using VerdantSieve.Core.Botany;

namespace VerdantSieve.Store.Floras;

/// <summary>Where floras lie: how one is written, read and deleted.</summary>
internal sealed class FloraTables(SieveContext database)
{
    /// <summary>Reads a flora.</summary>
    public async Task<Flora> Read(FloraRow row, CancellationToken cancel)
    {
        var characters = await database.Characters.AsNoTracking().Where(c => c.FloraId == row.Id).OrderBy(c => c.Order).ToListAsync(cancel);
        var vocabulary = new Vocabulary(characters.Select(FloraMapping.Character));
        var scores = (await database.Scores.AsNoTracking().Where(score => score.FloraId == row.Id).ToListAsync(cancel)).ToLookup(score =>
            score.TaxonName
        );
        var taxa = await database.Taxa.AsNoTracking().Where(taxon => taxon.FloraId == row.Id).ToListAsync(cancel);
        return new Flora(FloraMapping.About(row, vocabulary), vocabulary, FloraMapping.Taxa(taxa, scores, vocabulary));
    }

    /// <summary>Writes a flora in the place of that of its id: all of it or, where anything goes wrong, nothing. Other processes are
    /// told.</summary>
    public async Task Replace(Flora flora, string fingerprint, bool isOwn, DateTimeOffset now, CancellationToken cancel)
    {
        var id = flora.About.Id;
        // The transaction of the caller, where there is one, so that what belongs together is kept together.
        await using var transaction = database.Database.CurrentTransaction is null
            ? await database.Database.BeginTransactionAsync(cancel)
            : null;
        await Delete(id, cancel);
        database.Floras.Add(FloraMapping.Row(flora, fingerprint, isOwn, now));
        database.Characters.AddRange(flora.Characters.Select(character => FloraMapping.Row(id, character)));
        database.Taxa.AddRange(flora.Taxa.Select(taxon => FloraMapping.Row(id, taxon)));
        await database.SaveChangesAsync(cancel);
        await CopyScores(flora, cancel);
        // The database learns what its largest table holds now, so that it looks scores up by their index.
        await database.Database.ExecuteSqlRawAsync("analyze scores", cancel);
        await new FloraNotice(id, flora.About.Edition, Replaced: true).Tell(database, cancel);
        if (transaction is not null)
            await transaction.CommitAsync(cancel);
        database.ChangeTracker.Clear();
    }

    /// <summary>Puts one taxon in the place of that of the same name; the caller saves.</summary>
    public async Task Put(Flora flora, Taxon taxon, CancellationToken cancel)
    {
        await database.Taxa.Where(row => row.FloraId == flora.About.Id && row.Name == taxon.Name.Text).ExecuteDeleteAsync(cancel);
        database.Taxa.Add(FloraMapping.Row(flora.About.Id, taxon));
        database.Scores.AddRange(FloraMapping.Scores(flora, taxon));
    }

    // From the scores upwards, one statement a table: left to the database it would look for the scores of each taxon and of each character
    // one by one.
    private async Task Delete(string id, CancellationToken cancel)
    {
        await database.Scores.Where(row => row.FloraId == id).ExecuteDeleteAsync(cancel);
        await database.Taxa.Where(row => row.FloraId == id).ExecuteDeleteAsync(cancel);
        await database.Characters.Where(row => row.FloraId == id).ExecuteDeleteAsync(cancel);
        await database.Floras.Where(row => row.Id == id).ExecuteDeleteAsync(cancel);
    }

    // A large flora has a hundred thousand scores: copied in one stream, in the same transaction.
    private async Task CopyScores(Flora flora, CancellationToken cancel)
    {
        var connection = (NpgsqlConnection)database.Database.GetDbConnection();
        await using var copy = await connection.BeginBinaryImportAsync(
            "copy scores (flora_id, taxon_name, character_id, notation) from stdin (format binary)",
            cancel
        );
        foreach (var score in flora.Taxa.SelectMany(taxon => FloraMapping.Scores(flora, taxon)))
        {
            await copy.StartRowAsync(cancel);
            foreach (var value in new[] { score.FloraId, score.TaxonName, score.CharacterId, score.Notation })
                await copy.WriteAsync(value, NpgsqlDbType.Text, cancel);
        }
        await copy.CompleteAsync(cancel);
    }
}
