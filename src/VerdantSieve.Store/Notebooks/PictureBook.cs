using Microsoft.EntityFrameworkCore;
using NodaTime;
using VerdantSieve.Core.Seasons;
using VerdantSieve.Store.Looks;

namespace VerdantSieve.Store.Notebooks;

/// <summary>A picture kept with a look, without its bytes.</summary>
/// <param name="Id">The picture.</param>
/// <param name="LookId">The look it is kept with.</param>
/// <param name="Caption">What stands under it.</param>
/// <param name="Width">How wide it is, in pixels.</param>
/// <param name="Height">How high it is.</param>
public sealed record KeptPicture(string Id, string LookId, string Caption, int Width, int Height);

/// <summary>A picture to be kept: written anew, with what its file said of where and when where that was asked for.</summary>
public sealed record NewPicture(byte[] Jpeg, byte[] Small, int Width, int Height, string Caption, Position? At, DateTime? Taken);

/// <summary>Keeps pictures with looks. Whoever may see the tree sees them; only its owner adds and takes away.</summary>
public sealed class PictureBook(SieveContext database, IClock clock, Reader reader)
{
    /// <summary>The most pictures that are kept with one look.</summary>
    public const int MostOfALook = 24;

    /// <summary>The most letters of a caption.</summary>
    public const int LongestCaption = 200;

    private IQueryable<PictureRow> Own =>
        from picture in database.Pictures
        join look in database.Looks on picture.LookId equals look.Id
        join tree in database.Trees on look.TreeId equals tree.Id
        where reader.Owners.Contains(tree.Owner)
        select picture;

    private IQueryable<PictureRow> Seen =>
        from picture in database.Pictures
        join look in database.Looks on picture.LookId equals look.Id
        join tree in database.Trees on look.TreeId equals tree.Id
        where reader.Owners.Contains(tree.Owner) || database.Shares.Any(share => share.Owner == tree.Owner && share.With == reader.Person)
        select picture;

    /// <summary>The pictures of some looks, in the order they were kept.</summary>
    public async Task<IReadOnlyList<KeptPicture>> Of(IReadOnlyList<string> looks, CancellationToken cancel = default) =>
        await Seen.AsNoTracking()
            .Where(picture => looks.Contains(picture.LookId) && picture.Discarded == null)
            .OrderBy(picture => picture.At)
            .ThenBy(picture => picture.Id)
            .Select(picture => new KeptPicture(picture.Id, picture.LookId, picture.Caption, picture.Width, picture.Height))
            .ToListAsync(cancel);

    /// <summary>The bytes of a picture, as JPEG; null where the reader has none such.</summary>
    public async Task<byte[]?> Bytes(string id, bool small, CancellationToken cancel = default) =>
        LookBook.IsId(id)
            ? await Seen.AsNoTracking()
                .Where(picture => picture.Id == id && picture.Discarded == null)
                .Select(picture => small ? picture.Small : picture.Bytes)
                .SingleOrDefaultAsync(cancel)
            : null;

    /// <summary>Keeps a picture with a look.</summary>
    /// <returns>Its id; null where the reader has no such look, or it has as many as are kept.</returns>
    public async Task<string?> Add(string lookId, NewPicture picture)
    {
        var own =
            from look in database.Looks
            join tree in database.Trees on look.TreeId equals tree.Id
            where look.Id == lookId && reader.Owners.Contains(tree.Owner)
            select look.Id;
        if (!LookBook.IsId(lookId) || !await own.AnyAsync())
            return null;
        if (await database.Pictures.CountAsync(kept => kept.LookId == lookId && kept.Discarded == null) >= MostOfALook)
            return null;
        var row = new PictureRow
        {
            Id = LookBook.NewId(),
            LookId = lookId,
            Caption = picture.Caption,
            Bytes = picture.Jpeg,
            Small = picture.Small,
            Width = picture.Width,
            Height = picture.Height,
            Latitude = picture.At?.Latitude,
            Longitude = picture.At?.Longitude,
            Elevation = picture.At?.Elevation,
            Taken = picture.Taken,
            At = clock.GetCurrentInstant().ToDateTimeOffset(),
        };
        database.Pictures.Add(row);
        await database.SaveChangesAsync();
        database.ChangeTracker.Clear();
        return row.Id;
    }

    /// <summary>Writes another caption.</summary>
    public async Task<bool> Caption(string id, string caption) =>
        await Own.Where(picture => picture.Id == id).ExecuteUpdateAsync(set => set.SetProperty(picture => picture.Caption, caption)) > 0;

    /// <summary>Throws a picture away, or brings it back.</summary>
    public async Task<bool> Discard(string id, bool discarded)
    {
        DateTimeOffset? when = discarded ? clock.GetCurrentInstant().ToDateTimeOffset() : null;
        return await Own.Where(picture => picture.Id == id).ExecuteUpdateAsync(set => set.SetProperty(picture => picture.Discarded, when))
            > 0;
    }
}
