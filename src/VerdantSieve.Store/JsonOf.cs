using System.Text.Json;
using System.Text.Json.Serialization;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.ChangeTracking;
using Microsoft.EntityFrameworkCore.Metadata.Builders;
using Microsoft.EntityFrameworkCore.Storage.ValueConversion;

namespace VerdantSieve.Store;

/// <summary>A value that lies in the database as one document.</summary>
internal sealed class JsonOf<T>() : ValueConverter<T, string>(value => Write(value), text => Read(text))
{
    private static readonly JsonSerializerOptions Json = new(JsonSerializerDefaults.Web)
    {
        DefaultIgnoreCondition = JsonIgnoreCondition.WhenWritingNull,
        Converters = { new JsonStringEnumConverter(JsonNamingPolicy.KebabCaseLower) },
    };

    private static string Write(T value) => JsonSerializer.Serialize(value, Json);

    private static T Read(string text) => JsonSerializer.Deserialize<T>(text, Json)!;

    /// <summary>Tells whether such a value has changed: they are replaced as a whole, and never changed within.</summary>
    internal sealed class Compared()
        : ValueComparer<T>((one, other) => ReferenceEquals(one, other), value => value == null ? 0 : value.GetHashCode(), value => value);
}

/// <summary>Says of a property that it lies in the database as one document.</summary>
internal static class JsonProperties
{
    public static PropertyBuilder<T> AsJson<T>(this PropertyBuilder<T> property) =>
        property.HasColumnType("jsonb").HasConversion(new JsonOf<T>(), new JsonOf<T>.Compared());
}
