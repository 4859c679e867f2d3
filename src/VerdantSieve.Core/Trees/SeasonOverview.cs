using NodaTime;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Looking;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Seasons;

namespace VerdantSieve.Core.Trees;

/// <summary>A tree with what the overview of a season asks of it.</summary>
/// <param name="Called">What it is called.</param>
/// <param name="Visits">Its visits, oldest first.</param>
/// <param name="History">Its determinations, oldest first.</param>
public sealed record SeasonTree(string Called, IReadOnlyList<Visit> Visits, IReadOnlyList<Opinion> History);

/// <summary>Flowers or fruit seen on a day, and the days on which the flora expects them there.</summary>
/// <param name="Taxon">The kind.</param>
/// <param name="Fruit">Fruit rather than flowers.</param>
/// <param name="Day">The day they were seen.</param>
/// <param name="Window">The flora's days, moved to the place; null where it gives none.</param>
public sealed record SeenInSeason(Taxon Taxon, bool Fruit, LocalDate Day, SeasonWindow? Window)
{
    /// <summary>Days inside the window; negative outside of it; null where there is none.</summary>
    public int? DaysInside => Window?.DaysInside(Math.Min(Day.DayOfYear, SeasonWindow.DaysInYear) - 1);
}

/// <summary>How often readings of a character spoke against what the tree turned out to be.</summary>
/// <param name="Character">The character.</param>
/// <param name="Against">How many readings the kind that stands can't show.</param>
/// <param name="Of">How many readings there were.</param>
public sealed record CharacterSlips(Character Character, int Against, int Of);

/// <summary>How certain determinations fared.</summary>
/// <param name="From">The least chance of the bin.</param>
/// <param name="To">The most.</param>
/// <param name="Count">How many determinations were given so certainly.</param>
/// <param name="Stood">How many of them still stand, undisputed.</param>
public sealed record CertaintyBin(double From, double To, int Count, int Stood)
{
    /// <summary>The share that stands; null where there is none.</summary>
    public double? Share => Count > 0 ? (double)Stood / Count : null;
}

/// <summary>What a season came to.</summary>
public sealed class SeasonOverview
{
    private static readonly double[] Borders = [0, 0.5, 0.8, 0.9, 0.95, 0.99, 1.0001];

    private readonly Flora flora;
    private readonly IReadOnlyList<SeasonTree> trees;

    /// <param name="trees">The trees.</param>
    /// <param name="flora">The flora they are looked at with.</param>
    public SeasonOverview(IReadOnlyList<SeasonTree> trees, Flora flora) => (this.trees, this.flora) = (trees, flora);

    /// <summary>How many visits were made in each month, by its first day.</summary>
    public IReadOnlyList<(LocalDate Month, int Visits)> Months =>
        [
            .. trees
                .SelectMany(tree => tree.Visits)
                .Select(visit => visit.Day)
                .OfType<LocalDate>()
                .GroupBy(day => new LocalDate(day.Year, day.Month, 1))
                .OrderBy(month => month.Key)
                .Select(month => (month.Key, month.Count())),
        ];

    /// <summary>What the trees were, the commonest first.</summary>
    public IReadOnlyList<(string Name, int Trees)> Kinds =>
        [
            .. trees
                .Select(tree => OpinionStanding.Of(tree.History).Stands?.Written)
                .OfType<string>()
                .CountBy(name => name)
                .OrderByDescending(pair => pair.Value)
                .ThenBy(pair => pair.Key, StringComparer.Ordinal)
                .Select(pair => (pair.Key, pair.Value)),
        ];

    /// <summary>Flowers and fruit seen on trees whose kind stands.</summary>
    public IReadOnlyList<SeenInSeason> Seasons =>
        [
            .. trees.SelectMany(tree =>
                KindOf(tree) is { } kind ? tree.Visits.Where(visit => visit.Day is not null).SelectMany(visit => SeenOn(visit, kind)) : []
            ),
        ];

    private IEnumerable<SeenInSeason> SeenOn(Visit visit, Taxon kind)
    {
        var question = LookQuestion.Of(visit.Content, flora);
        foreach (var (character, fruit) in new[] { (CharacterIds.Flowering, false), (CharacterIds.Fruiting, true) })
            if (question.Own.Any(reading => reading.Character == character && reading.Observation is Today { Seen: true }))
            {
                var where = question.Question.Circumstances;
                var here = where.Position ?? (where.Region is { } region ? Regions.CentreOf(region) : null);
                var window =
                    kind.Score(character) is SeasonScore score && here is { } place
                        ? score.Window.Shifted(Phenology.HopkinsDelay(flora.WindowPlace(kind).Position, place))
                        : (SeasonWindow?)null;
                yield return new SeenInSeason(kind, fruit, visit.Day!.Value, window);
            }
    }

    /// <summary>The characters whose readings most often spoke against what the tree turned out to be.</summary>
    /// <param name="held">The characters whose readings a kind can't show, by the strict school.</param>
    public IReadOnlyList<CharacterSlips> Slips(Func<SeasonTree, Taxon, IReadOnlyList<string>> held)
    {
        var (of, against) = (new Dictionary<string, int>(), new Dictionary<string, int>());
        foreach (var tree in trees)
        {
            if (KindOf(tree) is not { } kind)
                continue;
            foreach (var reading in tree.Visits.SelectMany(visit => visit.Content.Readings))
                if (reading.Character is { } character)
                    of[character] = of.GetValueOrDefault(character) + 1;
            foreach (var character in held(tree, kind))
                against[character] = against.GetValueOrDefault(character) + 1;
        }
        return
        [
            .. against
                .Select(pair => (Character: flora.FindCharacter(pair.Key), pair.Value))
                .Where(pair => pair.Character is not null)
                .Select(pair => new CharacterSlips(pair.Character!, pair.Value, of.GetValueOrDefault(pair.Character!.Id, pair.Value)))
                .OrderByDescending(slips => slips.Against)
                .ThenBy(slips => slips.Character.Order),
        ];
    }

    /// <summary>The pairs of names that one tree was given one after the other: what was taken for what.</summary>
    public IReadOnlyList<(string First, string Then, int Trees)> TakenFor =>
        [
            .. trees
                .SelectMany(tree =>
                {
                    string[] names =
                    [
                        .. tree
                            .History.Where(line => line is { Kind: OpinionKind.Determined, IsWithdrawn: false })
                            .Select(line => line.Name),
                    ];
                    return names.Zip(names.Skip(1)).Where(pair => pair.First != pair.Second);
                })
                .CountBy(pair => pair)
                .OrderByDescending(pair => pair.Value)
                .ThenBy(pair => pair.Key.First, StringComparer.Ordinal)
                .Select(pair => (pair.Key.First, pair.Key.Second, pair.Value)),
        ];

    /// <summary>How determinations fared, by how certain they were given: those that still stand undisputed, and the rest.</summary>
    public IReadOnlyList<CertaintyBin> Calibration
    {
        get
        {
            var given = trees.SelectMany(tree =>
            {
                var standing = OpinionStanding.Of(tree.History);
                return tree
                    .History.Where(line => line is { Kind: OpinionKind.Determined, IsWithdrawn: false, Probability: not null })
                    .Select(line => (Chance: line.Probability!.Value, Stood: line.Name == standing.Stands?.Name && !standing.IsDisputed));
            });
            var all = given.ToArray();
            return
            [
                .. Borders
                    .Zip(Borders.Skip(1))
                    .Select(bin => (bin, In: all.Where(line => line.Chance >= bin.First && line.Chance < bin.Second).ToArray()))
                    .Select(pair => new CertaintyBin(
                        pair.bin.First,
                        Math.Min(1, pair.bin.Second),
                        pair.In.Length,
                        pair.In.Count(line => line.Stood)
                    )),
            ];
        }
    }

    private Taxon? KindOf(SeasonTree tree) => OpinionStanding.Of(tree.History).Stands is { } stands ? flora.FindTaxon(stands.Name) : null;
}
