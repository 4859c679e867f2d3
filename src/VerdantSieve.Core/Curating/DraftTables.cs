using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Formats;

namespace VerdantSieve.Core.Curating;

/// <summary>What tables of drafted scores name, looked up in the flora.</summary>
internal static class DraftTables
{
    public static Taxon TaxonOf(string name, Flora flora, string where) =>
        flora.FindTaxon(name) ?? throw new FormatException($"{where}: {name} is not in the flora.");

    public static Character CharacterOf(string id, Flora flora, string where) =>
        flora.FindCharacter(id) ?? throw new FormatException($"{where}: the flora has no character “{id}”.");

    public static Score ScoreOf(string text, Character character, string where)
    {
        var score = ScoreNotation.Parse(text, character);
        return score.Has(out var read) ? read : throw new FormatException($"{where}: {score.Faults[0].Message}.");
    }
}
