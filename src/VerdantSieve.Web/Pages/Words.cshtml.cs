namespace VerdantSieve.Web.Pages;

/// <summary>The glossary: all characters and states.</summary>
public sealed class WordsModel(FloraShelf shelf) : FloraPage(shelf);
