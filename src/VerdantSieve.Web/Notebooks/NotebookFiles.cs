using System.Net.Mime;
using System.Text;
using VerdantSieve.Core;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Formats.Notebook;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Seasons;
using VerdantSieve.Core.Trees;
using VerdantSieve.Store.Notebooks;

namespace VerdantSieve.Web.Notebooks;

/// <summary>A file the notebook can be taken out as.</summary>
/// <param name="Id">What it is called in addresses.</param>
/// <param name="Name">What it is called on pages.</param>
/// <param name="File">The name it is kept under.</param>
/// <param name="MediaType">Its media type.</param>
/// <param name="Write">Writes it.</param>
public sealed record NotebookFormat(string Id, string Name, string File, string MediaType, Func<IReadOnlyList<TreeRecord>, byte[]> Write);

/// <summary>What leaves the notebook: trees in words that others understand, and no nearer than may be told.</summary>
public sealed class NotebookFiles(TreeBook trees, FloraShelf shelf)
{
    /// <summary>The formats.</summary>
    public static IReadOnlyList<NotebookFormat> Formats { get; } =
    [
        new("darwin-core", "Darwin Core archive", "trees-dwca.zip", DarwinCore.MediaType, DarwinCore.Write),
        new("geojson", "GeoJSON", "trees.geojson", "application/geo+json", all => Encoding.UTF8.GetBytes(TreeFiles.GeoJson(all))),
        new("gpx", "GPX waypoints", "trees.gpx", GpxFiles.MediaType, all => Encoding.UTF8.GetBytes(TreeFiles.Gpx(all))),
        new("csv", "CSV", "trees.csv", MediaTypeNames.Text.Csv, all => Encoding.UTF8.GetBytes(TreeFiles.Csv(all))),
    ];

    /// <summary>Where a tree stands, as others may learn it.</summary>
    public static Position? Told(TreePoint tree) => tree.Position is { } at && tree.IsSensitive ? Blurred.Of(at) : tree.Position;

    /// <summary>All trees of the reader.</summary>
    public async Task<IReadOnlyList<TreeRecord>> Records(CancellationToken cancel)
    {
        var points = await trees.Points(cancel: cancel);
        string[] ids = [.. points.Select(point => point.Id)];
        var visits = await trees.VisitsOf(ids, cancel);
        var rest = await trees.RestOf(ids, cancel);
        var floras = new Dictionary<string, Flora?>();
        foreach (var id in rest.Values.Select(tree => tree.FloraId).Distinct())
            floras[id] = (await shelf.Take(id))?.Flora;
        return [.. points.Select(point => RecordOf(point, [.. visits[point.Id]], rest[point.Id], floras[rest[point.Id].FloraId]))];
    }

    private static TreeRecord RecordOf(TreePoint point, Visit[] visits, TreeRest rest, Flora? flora)
    {
        var last = visits is [.., var visit] ? visit.Content : new LookContent();
        return new TreeRecord(point.Id, point.CalledToOthers, point.IsSensitive ? "" : point.Place)
        {
            Country = last.Circumstances.Region,
            At = Told(point),
            IsBlurred = point.IsSensitive,
            Planted = last.Circumstances.Setting is { } setting ? setting == Setting.Planted.Word() : null,
            Details = rest.Details,
            History = [.. rest.History.Where(line => !line.IsWithdrawn)],
            Visits =
            [
                .. visits.Select(each => new RecordedVisit(
                    each.LookId,
                    each.Day,
                    each.Content.Observer,
                    flora is null
                        ? []
                        :
                        [
                            .. LookQuestion
                                .Of(each.Content, flora)
                                .Own.Select(reading => new RecordedReading(reading.Character, Wording.Of(reading, flora))),
                        ],
                    each.Content.Notes
                )),
            ],
        };
    }
}
