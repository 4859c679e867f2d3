using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Sieving.Columns;

namespace VerdantSieve.Core.Sieving;

/// <summary>Finds what separates a few taxa.</summary>
internal static class TellingApart
{
    // What can be seen on so few of them on that day is no help on that day.
    private const double HardlySeen = 0.1;

    // A mark whose scores hardly differ is no better than any other character.
    private const double LeastOfAMark = 0.05;

    /// <summary>The characters that separate taxa: the marks the flora names, then the rest by bits × chance to see it ÷ effort; what can
    /// hardly be seen on that day after these, and what parts nothing last.</summary>
    public static IReadOnlyList<Separation> Of(SieveTable table, IReadOnlyList<Taxon> taxa, SiteAndDay when)
    {
        Row[] rows = [.. taxa.Select(table.Rows.Of)];
        var chances = new double[table.Rows.Count];
        foreach (var row in rows)
            chances[row.Index] = 1.0 / rows.Length;
        var weights = new RowWeights(chances, table.Rows);
        var marks = taxa.SelectMany(taxon =>
                taxon.Doubles.Where(alike => taxa.Any(other => other.Name.Text == alike.Name)).SelectMany(alike => alike.Marks)
            )
            .ToHashSet();
        var room = new double[table.Rows.Count];
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
                )
                {
                    IsMark = marks.Contains(column.Character.Id),
                    Now = ChanceNow(column.Character),
                })
                .OrderByDescending(separation => separation.Bits > 0)
                .ThenBy(separation => separation.Now < HardlySeen)
                .ThenByDescending(separation => separation.IsMark && separation.Bits >= LeastOfAMark)
                .ThenByDescending(separation => separation.Worth)
                .ThenBy(separation => separation.Character.Order),
        ];

        // Of its conditions only those that hang on the day: whether there are flowers, fruit, leaves.
        double ChanceNow(Character character)
        {
            if (when.Stage is { } stage && character.Stages.Count > 0 && !character.Stages.Contains(stage))
                return 0;
            var inSeason = table.InSeason(character, when, room);
            var leafy = Organs.Of(character) == Organ.Leaf && character.Stages.Count == 0 ? table.Leafy(when) : null;
            return Math.Round(rows.Average(row => (inSeason ? room[row.Index] : 1) * (leafy?[row.Index] ?? 1)), 4);
        }

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
