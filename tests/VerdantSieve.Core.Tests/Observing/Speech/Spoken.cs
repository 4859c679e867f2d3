using NodaTime;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing.Speech;

namespace VerdantSieve.Core.Tests.Observing.Speech;

/// <summary>What is heard of a text in the words of the small flora, on 20 August 2026.</summary>
internal static class Spoken
{
    private static readonly SpeechReader Reader = new(SmallFlora.Flora, new VocabularyIndex(SmallFlora.Flora.Vocabulary));

    public static Heard Hear(string text) => Hear(text, new LocalDate(2026, 8, 20));

    /// <summary>The same on another day, in a country or where none is named.</summary>
    public static Heard Hear(string text, LocalDate today, string? region = null) =>
        Reader.Read(text, new SpokenAbout(today, Region: region));
}
