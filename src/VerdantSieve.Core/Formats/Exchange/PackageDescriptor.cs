using System.Globalization;
using System.Text.Encodings.Web;
using System.Text.Json;
using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Formats.Exchange;

/// <summary>The description of a data package’s tables.</summary>
internal static class PackageDescriptor
{
    private static readonly JsonSerializerOptions Json = new()
    {
        WriteIndented = true,
        Encoder = JavaScriptEncoder.UnsafeRelaxedJsonEscaping,
    };
    private static readonly string[] Numbers = ["latitude", "longitude", "elevation", "effort"];

    public static string Of(Flora flora, IReadOnlyList<PackageTable> tables) =>
        JsonSerializer.Serialize(
            new Dictionary<string, object>
            {
                ["profile"] = "tabular-data-package",
                ["name"] = flora.About.Id,
                ["title"] = flora.About.Title,
                ["version"] = flora.About.Edition.ToString(CultureInfo.InvariantCulture),
                ["resources"] = tables.Select(Resource).ToArray(),
            },
            Json
        );

    private static Dictionary<string, object> Resource(PackageTable table) =>
        new()
        {
            ["profile"] = "tabular-data-resource",
            ["name"] = table.Name,
            ["path"] = $"{table.Name}.csv",
            ["format"] = "csv",
            ["mediatype"] = "text/csv",
            ["encoding"] = "utf-8",
            ["schema"] = new Dictionary<string, object>
            {
                ["fields"] = table.Columns.Select(Field).ToArray(),
                ["primaryKey"] = table.Key,
                ["foreignKeys"] = table.Reference is { } to
                    ? new[] { new { fields = to.Column, reference = new { resource = to.Table, fields = to.OtherColumn } } }
                    : (object)Array.Empty<object>(),
                ["missingValues"] = new[] { "" },
            },
        };

    private static Dictionary<string, string> Field((string Column, string Description) column) =>
        new()
        {
            ["name"] = column.Column,
            ["type"] = Numbers.Contains(column.Column) ? "number" : "string",
            ["description"] = column.Description,
        };
}
