using VerdantSieve.Core.Botany;

namespace VerdantSieve.Web.Pages;

/// <summary>The glossary: all characters and states, and a search by any word people say for them.</summary>
public sealed class WordsModel(FloraShelf shelf) : FloraPage(shelf)
{
    private const int MostShown = 24;

    /// <summary>What was searched for, as typed.</summary>
    public string Search { get; private set; } = "";

    /// <summary>What answers to it, best first.</summary>
    public IReadOnlyList<VocabularyWord> Found { get; private set; } = [];

    public void OnGet(string? find)
    {
        Search = find?.Trim() ?? "";
        Found = [.. Open.FindWords(Search).Take(MostShown)];
    }
}
