using VerdantSieve.Core.Botany;
using Xunit;

namespace VerdantSieve.Flora.Tests.Practice;

/// <summary>Terms of botanists and of beginners, British and American, and the character or state each means: common practice, no source,
/// from
/// memory. Whoever types one finds it among the first few.</summary>
public class PeoplesWords
{
    private const int FirstFew = 6;

    private static readonly string[] All =
    [
        .. File.ReadLines(Path.Combine(AppContext.BaseDirectory, "Practice", "peoples-words.txt")).Where(line => line.Length > 0),
    ];

    [Fact]
    public void Find_their_character_or_state()
    {
        var index = new VocabularyIndex(ShippedFlora.Flora.Vocabulary);
        Assert.True(All.Length >= 250, $"{All.Length} terms");
        Assert.Equal(All.Length, All.Select(line => line.Split('>')[0]).Distinct().Count());
        Assert.Equal([], All.Where(line => !Finds(index, line)));
    }

    private static bool Finds(VocabularyIndex index, string line)
    {
        var (term, meant) = (line.Split('>')[0], line.Split('>')[1].Split(':'));
        return index
            .Find(term)
            .Take(FirstFew)
            .Any(word => word.Character.Id == meant[0] && (meant.Length == 1 || word.State?.Id == meant[1]));
    }

    [Fact]
    public void Are_there_for_every_character_that_is_asked_often()
    {
        string[] often = ["arrangement", "structure", "shape", "margin", "lobing", "apex", "base", "bark-pattern", "fruit-type"];
        Assert.All(often, id => Assert.NotEmpty(ShippedFlora.Flora.Character(id).Also));
    }
}
