using NodaTime;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing.Speech;

namespace VerdantSieve.Core.Tests.Observing.Speech;

/// <summary>What is heard of a text in the words of the small flora, on 20 August 2026.</summary>
internal static class Spoken
{
    private static readonly SpeechReader Reader = new(SmallFlora.Flora, new VocabularyIndex(SmallFlora.Flora.Vocabulary));

    public static Heard Hear(string text) => Reader.Read(text, new SpokenAbout(new LocalDate(2026, 8, 20)));
}
