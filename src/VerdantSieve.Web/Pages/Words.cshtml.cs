using VerdantSieve.Core.Botany;

namespace VerdantSieve.Web.Pages;

/// <summary>The glossary: all characters and states.</summary>
public sealed class WordsModel(FloraShelf shelf) : FloraPage(shelf)
{
    public IReadOnlyList<(string Part, IReadOnlyList<Character> Characters)> Parts => Open.Parts;
}
