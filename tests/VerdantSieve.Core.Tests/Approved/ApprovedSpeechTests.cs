using VerdantSieve.Core.Tests.Observing.Speech;
using Xunit;

namespace VerdantSieve.Core.Tests.Approved;

/// <summary>What the small flora hears of every sentence and paragraph of the corpus, and what it leaves. Its vocabulary lacks some of
/// their words, so that this is no measure of what is understood; it holds the rules in place.</summary>
public class ApprovedSpeechTests
{
    [Fact]
    public void Speech() =>
        Approve.Same(
            from file in new[] { "sentences.txt", "paragraphs.txt" }
            from line in File.ReadLines(Path.Combine(AppContext.BaseDirectory, "Speech", file))
            where line.Length > 0
            let text = line.Split(" =>", 2)[0]
            let heard = Spoken.Hear(text)
            select $"{text} => {string.Join("; ", SpokenNotation.Of(heard))} | {string.Join(" / ", heard.Left.Select(left => left.Text))}"
        );
}
