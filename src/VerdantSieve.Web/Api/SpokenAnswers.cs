using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.Json.Serialization;
using NodaTime.Text;
using VerdantSieve.Core;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Observing.Speech;

namespace VerdantSieve.Web.Api;

/// <summary>What was heard of a text, as the API says it.</summary>
public static class SpokenAnswers
{
    // A reading says only what was said: it can be sent on to the sieve as it is.
    private static readonly JsonSerializerOptions Written = new(JsonSerializerDefaults.Web)
    {
        DefaultIgnoreCondition = JsonIgnoreCondition.WhenWritingDefault,
    };

    /// <summary>The answer.</summary>
    public static ReadAnswer Of(Heard heard) =>
        new(
            [.. heard.Readings.Select(Of)],
            heard.Region is { } region ? new ReadPlaceAnswer(region) : null,
            heard.Date is { } date ? LocalDatePattern.Iso.Format(date) : null,
            heard.Setting?.Word(),
            heard.Age?.Word(),
            heard.Stage?.Word(),
            heard.Kinds?.Names,
            [.. heard.Left.Select(left => new LeftAnswer(Of(left.Span), left.Text, [.. left.Near.Select(Of)]))]
        );

    private static JsonObject Of(HeardReading heard)
    {
        var reading = JsonSerializer.SerializeToNode(RawReading.From(heard.Reading), Written)!.AsObject();
        reading["span"] = new JsonObject { ["start"] = heard.Span.Start, ["length"] = heard.Span.Length };
        return reading;
    }

    private static SpanAnswer Of(TextSpan span) => new(span.Start, span.Length);

    private static NearAnswer Of(VocabularyWord word) =>
        new(word.Character.Id, word.State?.Id, word.State is { } state ? $"{word.Character.Label}: {state.Label}" : word.Character.Label);
}
