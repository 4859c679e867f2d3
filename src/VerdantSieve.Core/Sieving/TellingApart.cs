using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Sieving.Columns;

namespace VerdantSieve.Core.Sieving;

/// <summary>Finds what separates a few taxa.</summary>
internal static class TellingApart
{
    /// <summary>The characters that separate taxa, by bits per effort; those that part nothing last.</summary>
    public static IReadOnlyList<Separation> Of(SieveTable table, IReadOnlyList<Taxon> taxa, SiteAndDay when)
    {
        Row[] rows = [.. taxa.Select(table.Rows.Of)];
        var chances = new double[table.Rows.Count];
        foreach (var row in rows)
            chances[row.Index] = 1.0 / rows.Length;
        var weights = new RowWeights(chances, table.Rows);
        return
        [
            .. table
                .Flora.Characters.Select(character => table[character.Id])
                .Where(column => rows.Any(row => column.ScoreOf(row) is not null))
                .Select(column => new Separation(
                    column.Character,
                    rows.All(column.IsSettled) ? column.Character.Weight * Bits(column.Expected(when)) : 0,
                    [.. rows.Select(column.ScoreOf)],
                    [.. rows.Select(column.CanApply)]
                ))
                .OrderByDescending(separation => separation.Bits / separation.Character.Effort)
                .ThenBy(separation => separation.Character.Order),
        ];

        double Bits(ExpectedOutcomes expected) => rows is [var one, var other] ? expected.Between(one, other) : expected.Bits(weights);
    }

    /// <summary>Whether one look at some character tells at least so much of the one bit between two taxa. Seasons are left out, and so is
    /// what is
    /// guessed from a taxon's kin.</summary>
    public static bool Parts(SieveTable table, Row one, Row other, double bits)
    {
        foreach (var character in table.Flora.Characters)
        {
            var column = table[character.Id];
            if (!column.IsSettled(one) || !column.IsSettled(other))
                continue;
            if (character.Weight * column.Expected(default).Between(one, other) >= bits)
                return true;
        }
        return false;
    }
}
