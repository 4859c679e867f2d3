using System.Globalization;
using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.Json.Serialization;

namespace VerdantSieve.Store.Looks;

/// <summary>The shape in which what a look says lies in the database. Every step names the version of its shape; older ones are brought up
/// to date as
/// they are read, and are never written again.</summary>
public static class LookShape
{
    /// <summary>The version written now.</summary>
    public const int Current = 2;

    private const string Version = "shape";

    private static readonly JsonSerializerOptions Json = new(JsonSerializerDefaults.Web)
    {
        DefaultIgnoreCondition = JsonIgnoreCondition.WhenWritingNull,
        Converters = { new JsonStringEnumConverter(JsonNamingPolicy.KebabCaseLower) },
    };

    // What turns each version into the next; the first turns version 1 into 2.
    private static readonly Action<JsonObject>[] Upgrades = [OneDesk];

    /// <summary>Writes what a look says.</summary>
    public static string Write(LookContent content)
    {
        var written = JsonSerializer.SerializeToNode(content, Json)!.AsObject();
        written[Version] = Current;
        return written.ToJsonString(Json);
    }

    /// <summary>Reads what a look says, in whatever version it was written.</summary>
    /// <exception cref="InvalidOperationException">It was written by a later version of the application.</exception>
    public static LookContent Read(string content)
    {
        var node = JsonNode.Parse(content)!.AsObject();
        // The first version did not say which it was.
        var version = node[Version]?.GetValue<int>() ?? 1;
        if (version > Current)
            throw new InvalidOperationException(
                $"This look was kept by a later version of the application: its shape is {version}, and {Current} is the newest known here."
            );
        foreach (var upgrade in Upgrades.Skip(version - 1))
            upgrade(node);
        return node.Deserialize<LookContent>(Json)!;
    }

    // Version 2 has where and when in one object, written as they come to the desk, and another name for the disagreements allowed.
    private static void OneDesk(JsonObject look)
    {
        var circumstances = new JsonObject();
        foreach (var key in new[] { "region", "latitude", "longitude", "elevation", "date", "setting", "age" })
            if (look.Remove(key, out var value) && value is not null)
                circumstances[key] =
                    value.GetValueKind() == JsonValueKind.Number
                        ? value.GetValue<double>().ToString("R", CultureInfo.InvariantCulture)
                        : value.GetValue<string>();
        look["circumstances"] = circumstances;
        if (look.Remove("slips", out var slips))
            look["allowedDisagreements"] = slips;
    }
}
