using Microsoft.AspNetCore.Mvc.RazorPages;
using VerdantSieve.Core.Botany;

namespace VerdantSieve.Web.Pages;

/// <summary>The glossary: all characters and states.</summary>
public sealed class WordsModel(FloraShelf shelf) : PageModel
{
    public IReadOnlyList<(string Part, IReadOnlyList<Character> Characters)> Parts => shelf.Parts;
}
