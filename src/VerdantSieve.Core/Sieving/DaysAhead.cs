using System.Numerics.Tensors;
using NodaTime;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Seasons;
using VerdantSieve.Core.Sieving.Columns;

namespace VerdantSieve.Core.Sieving;

/// <summary>Looks ahead: what a visit on each of many days would tell of one plant. What does not hang on the day is worked out
/// once.</summary>
/// <remarks>A visit makes several looks, which share part of what they tell. What they tell together is found by drawing: a kind from what
/// is still open, whether each look can be made on such a plant that day, and what it would show; then Bayes' rule over the kinds still
/// open. The draws are spread evenly over the kinds (stratified sampling) and the same for every day, so that days can be
/// compared.</remarks>
internal sealed class DaysAhead
{
    // So many draws tell chances apart that differ by a twentieth, since they are the same for every day; entropy, which costs logarithms
    // and
    // strays less, is taken of one in eight. A visit holds about so much effort.
    private const int Draws = 192,
        EntropyOfEvery = 8;
    private const double VisitEffort = 7;
    private const int MostLooks = 6;

    // Kinds that hold the last two in a thousand of the chance, and more than so many, are left out.
    private const double Kept = 0.998;
    private const int MostRows = 32;

    private const double LeastBits = 0.02;

    // Nothing is impossible, least of all on one look.
    private const double LeastChance = 1e-6;

    private readonly Weighed weighed;
    private readonly SieveTable table;
    private readonly double[] known;
    private readonly RowWeights all;
    private readonly int[] rows,
        kinds;
    private readonly double[] chances;
    private readonly Taxon? care;
    private readonly Dictionary<string, double> bits = [];
    private readonly Dictionary<string, Shown> outcomes = [];

    // The characters of which it hangs on the very day whether they can be seen, and the rest, which hang on the stage of the leaves alone.
    private readonly Character[] ofTheDay,
        lasting;
    private readonly HashSet<string> hangingOnTheDay;
    private readonly Dictionary<StageKey, NextLook[]> lastingLooks = [];
    private readonly Dictionary<(StageKey, string), double[]> lastingReadable = [];

    private readonly record struct StageKey(LeafStage? Stage);

    public DaysAhead(Weighed weighed)
    {
        (this.weighed, table) = (weighed, weighed.Table);
        var posterior = weighed.Plain;
        var sum = posterior.Take(table.Rows.Taxa).Sum();
        known = [.. posterior.Take(table.Rows.Taxa).Select(chance => sum > 0 ? chance / sum : 0)];
        all = new RowWeights(posterior, table.Rows);
        rows = Likeliest(posterior);
        chances = [.. rows.Select(row => posterior[row])];
        var total = chances.Sum();
        chances = [.. chances.Select(chance => chance / total)];
        kinds = KindsOf(rows);
        care = weighed
            .ByRow.Where(candidate => candidate.IsPossible && candidate.Taxon.HurtsOnTouch)
            .MaxBy(candidate => candidate.Probability)
            ?.Taxon;
        ofTheDay = [.. table.Flora.Characters.Where(HangsOnTheDay)];
        hangingOnTheDay = [.. ofTheDay.Select(character => character.Id)];
        lasting = [.. table.Flora.Characters.Where(character => !hangingOnTheDay.Contains(character.Id))];
    }

    private bool HangsOnTheDay(Character character) =>
        character is SeasonCharacter
        || table
            .Flora.Vocabulary.ConditionsOf(character)
            .Any(condition => table.Flora.FindCharacter(condition.CharacterId) is SeasonCharacter);

    private static int[] Likeliest(double[] posterior)
    {
        var kept = new List<int>();
        var sum = 0.0;
        foreach (var row in Enumerable.Range(0, posterior.Length).OrderByDescending(row => posterior[row]))
        {
            kept.Add(row);
            sum += posterior[row];
            if (sum >= Kept || kept.Count == MostRows)
                break;
        }
        return [.. kept];
    }

    // What nobody parts counts as one kind; whatever the flora does not hold is settled by nothing.
    private int[] KindsOf(int[] of)
    {
        var names = new Dictionary<string, int>();
        return
        [
            .. of.Select(row =>
            {
                if (!table.Rows.IsTaxon(new Row(row)))
                    return -1;
                var taxon = table.Flora.Taxa[row];
                var name = taxon.Aggregate ?? taxon.Name.Species.Text;
                if (!names.TryGetValue(name, out var kind))
                    names[name] = kind = names.Count;
                return kind;
            }),
        ];
    }

    /// <summary>What a visit on a day would tell.</summary>
    public DayAhead On(LocalDate day)
    {
        // Whoever knows enough to keep away does not go back to look closer.
        if (weighed.Enough is not null)
            return new DayAhead(day, [], 0, 0) { Care = care };
        var when = weighed.When.On(day);
        var seasons = SeasonsOn(day, when);
        if (last is { } same && same.Seasons.AsSpan().SequenceEqual(seasons))
            return same.Ahead with { Day = day };
        var ahead = Worked(day, when);
        last = (seasons, ahead);
        return ahead;
    }

    // Chances that differ by less are taken for the same: in winter and between seasons one week is as the next.
    private const double Step = 0.02;

    private (int[] Seasons, DayAhead Ahead)? last;

    // All that hangs on the day: the stage of the leaves, what is out of the kinds still open, and whether it was looked for that very day.
    private int[] SeasonsOn(LocalDate day, SiteAndDay when) =>
        [
            (int?)when.Stage ?? -1,
            weighed.Question.Readings.Any(reading => reading.Day == day) ? 1 : 0,
            .. table
                .Flora.Characters.OfType<SeasonCharacter>()
                .SelectMany(season =>
                    table[season.Id].ChanceOn(when) is { } chances
                        ? rows.Where(row => row < table.Rows.Taxa).Select(row => (int)Math.Round(chances[row] / Step))
                        : []
                ),
        ];

    private DayAhead Worked(LocalDate day, SiteAndDay when)
    {
        var asking = new NextLooks(weighed, when, day);
        var looks = new List<NextLook>();
        var effort = 0.0;
        var stage = new StageKey(when.Stage);
        if (!lastingLooks.TryGetValue(stage, out var always))
            lastingLooks[stage] = always = [.. asking.Open(lasting, known, character => BitsOf(character, when))];
        var today = asking.Open(ofTheDay, known, character => BitsOf(character, when));
        foreach (var look in today.Concat(always).OrderByDescending(look => look.Worth).ThenBy(look => look.Character.Order))
        {
            if (look.Bits * look.Chance < LeastBits || looks.Count == MostLooks || effort >= VisitEffort)
                break;
            looks.Add(look);
            effort += look.Character.Effort;
        }
        var (told, settles) = Draw([.. looks.Select(look => OutcomesOf(look.Character, asking, when))]);
        return new DayAhead(day, looks, told, settles) { Care = care };
    }

    private double BitsOf(Character character, SiteAndDay when)
    {
        if (character is SeasonCharacter)
            return table[character.Id].Expected(when).Bits(all);
        if (!bits.TryGetValue(character.Id, out var told))
            bits[character.Id] = told = table[character.Id].Expected(when).Bits(all);
        return told;
    }

    // What a look could show: the chance of each outcome in each row, and what that counts where the look only supports.
    private sealed record Shown(double[][] Chances, double[][] Counted);

    private sealed record LookAhead(Shown Shown, double[] Readable);

    private LookAhead OutcomesOf(Character character, NextLooks asking, SiteAndDay when)
    {
        Shown? shown = null;
        if (character is SeasonCharacter || !outcomes.TryGetValue(character.Id, out shown))
        {
            shown = ShownBy(character, when);
            if (character is not SeasonCharacter)
                outcomes[character.Id] = shown;
        }
        return new LookAhead(shown, ReadableIn(character, asking, when));
    }

    private double[] ReadableIn(Character character, NextLooks asking, SiteAndDay when)
    {
        var key = (new StageKey(when.Stage), character.Id);
        var isLasting = !hangingOnTheDay.Contains(character.Id);
        if (isLasting && lastingReadable.TryGetValue(key, out var known))
            return known;
        var readable = Array.ConvertAll(asking.Readable(character), chance => (float)chance);
        var inRows = Array.ConvertAll(rows, row => table.Rows.At(readable, row));
        if (isLasting)
            lastingReadable[key] = inRows;
        return inRows;
    }

    private Shown ShownBy(Character character, SiteAndDay when)
    {
        var shown = table[character.Id].Expected(when).In(table.Rows, rows);
        return new Shown(
            shown,
            [.. shown.Select(outcome => Array.ConvertAll(outcome, chance => Math.Pow(Math.Max(LeastChance, chance), character.Weight)))]
        );
    }

    private (double Bits, double Settles) Draw(LookAhead[] looks)
    {
        if (looks.Length == 0)
            return (0, 0);
        var random = new Random(1);
        Span<double> posterior = stackalloc double[rows.Length];
        double after = 0,
            settled = 0,
            reached = chances[0];
        var truth = 0;
        for (var draw = 0; draw < Draws; draw++)
        {
            while (truth < rows.Length - 1 && (draw + 0.5) / Draws > reached)
                reached += chances[++truth];
            chances.CopyTo(posterior);
            foreach (var look in looks)
                Show(look, truth, random, posterior);
            TensorPrimitives.Divide(posterior, Sums.Of<double>(posterior), posterior);
            if (draw % EntropyOfEvery == 0)
                after += Information.Entropy(posterior);
            settled += Best(posterior) >= weighed.Question.Certainty ? 1 : 0;
        }
        return (Math.Max(0, Information.Entropy(chances) - after * EntropyOfEvery / Draws), settled / Draws);
    }

    // Every look takes its two numbers, made or not, so that the draws of one day are those of the next.
    private static void Show(LookAhead look, int truth, Random random, Span<double> posterior)
    {
        var (made, which) = (random.NextDouble(), random.NextDouble());
        if (made >= look.Readable[truth])
            return;
        var (chances, outcome) = (look.Shown.Chances, 0);
        for (var sum = chances[0][truth]; outcome < chances.Length - 1 && which > sum; sum += chances[outcome][truth])
            outcome++;
        TensorPrimitives.Multiply(posterior, look.Shown.Counted[outcome], posterior);
    }

    private double Best(ReadOnlySpan<double> posterior)
    {
        Span<double> sums = stackalloc double[MostRows];
        sums.Clear();
        var best = 0.0;
        for (var row = 0; row < posterior.Length; row++)
            if (kinds[row] >= 0)
                best = Math.Max(best, sums[kinds[row]] += posterior[row]);
        return best;
    }
}
