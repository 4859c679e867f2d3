using NodaTime;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Looking;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Seasons;
using VerdantSieve.Core.Sieving;

namespace VerdantSieve.Core.Trees;

/// <summary>A tree with what the overview of a season asks of it.</summary>
/// <param name="Id">Its id.</param>
/// <param name="Called">What it is called.</param>
/// <param name="Visits">Its visits, oldest first.</param>
/// <param name="History">Its determinations, oldest first.</param>
public sealed record SeasonTree(string Id, string Called, IReadOnlyList<Visit> Visits, IReadOnlyList<Opinion> History)
{
    /// <summary>Its sex; null where it is not known.</summary>
    public PlantSex? Sex { get; init; }
}

/// <summary>A tree that would be named otherwise today.</summary>
/// <param name="Tree">The tree.</param>
/// <param name="Changed">What stands and what would be said, with why.</param>
public sealed record NamedOtherwise(SeasonTree Tree, ChangedOpinion Changed);

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

/// <summary>What a season came to, worked out once.</summary>
public sealed class SeasonOverview
{
    private static readonly double[] Borders = [0, 0.5, 0.8, 0.9, 0.95, 0.99, 1.0001];

    private readonly Flora flora;
    private readonly Told[] trees;

    // A tree, where its history has come to, and what the sieve says of it today; nothing where it was never named.
    private sealed record Told(SeasonTree Tree, OpinionStanding Standing, SieveAnswer? Answer)
    {
        public bool Stands(Opinion line) => line.Name == Standing.Stands?.Name && !Standing.IsDisputed;
    }

    /// <summary>Goes through the trees; of each that was named the sieve is asked once.</summary>
    /// <param name="trees">The trees.</param>
    /// <param name="flora">The flora they are looked at with.</param>
    /// <param name="sieve">The sieve of that flora.</param>
    /// <param name="today">The day it is.</param>
    public SeasonOverview(IReadOnlyList<SeasonTree> trees, Flora flora, Sieve sieve, LocalDate today)
    {
        this.flora = flora;
        this.trees =
        [
            .. trees.Select(tree => new Told(
                tree,
                OpinionStanding.Of(tree.History),
                tree.History.Count > 0 ? sieve.Ask(LookQuestion.OfTree(tree.Visits, flora, today, tree.Sex)) : null
            )),
        ];
        Months = MonthsOf();
        Kinds = KindsOf();
        Seen = SeenOnAll();
        TakenFor = TakenForEachOther();
        Calibration = HowTheyFared();
        Slips = SlipsOfReadings();
        Changed =
        [
            .. from told in this.trees
            let changed = told.Answer is { } answer ? ChangedOpinion.Of(told.Standing, answer, flora) : null
            where changed is not null
            select new NamedOtherwise(told.Tree, changed),
        ];
    }

    /// <summary>How many trees there are.</summary>
    public int Trees => trees.Length;

    /// <summary>How many visits were made in each month, by its first day.</summary>
    public IReadOnlyList<(LocalDate Month, int Visits)> Months { get; }

    /// <summary>What the trees were, the commonest first.</summary>
    public IReadOnlyList<(string Name, int Trees)> Kinds { get; }

    /// <summary>Flowers and fruit seen on trees whose kind stands.</summary>
    public IReadOnlyList<SeenInSeason> Seen { get; }

    /// <summary>How determinations fared, by how certain they were given: those that still stand undisputed, and the rest.</summary>
    public IReadOnlyList<CertaintyBin> Calibration { get; }

    /// <summary>The pairs of names that one tree was given one after the other: what was taken for what.</summary>
    public IReadOnlyList<(string First, string Then, int Trees)> TakenFor { get; }

    /// <summary>The characters whose readings most often spoke against what the tree turned out to be.</summary>
    public IReadOnlyList<CharacterSlips> Slips { get; }

    /// <summary>Determinations that the sieve would make otherwise today.</summary>
    public IReadOnlyList<NamedOtherwise> Changed { get; }

    private (LocalDate Month, int Visits)[] MonthsOf() =>
        [
            .. trees
                .SelectMany(told => told.Tree.Visits)
                .Select(visit => visit.Day)
                .OfType<LocalDate>()
                .GroupBy(day => new LocalDate(day.Year, day.Month, 1))
                .OrderBy(month => month.Key)
                .Select(month => (month.Key, month.Count())),
        ];

    private (string Name, int Trees)[] KindsOf() =>
        [
            .. trees
                .Select(told => told.Standing.Stands?.Written)
                .OfType<string>()
                .CountBy(name => name)
                .OrderByDescending(pair => pair.Value)
                .ThenBy(pair => pair.Key, StringComparer.Ordinal)
                .Select(pair => (pair.Key, pair.Value)),
        ];

    private SeenInSeason[] SeenOnAll() =>
        [
            .. from told in trees
            let kind = KindOf(told)
            where kind is not null
            from visit in told.Tree.Visits
            where visit.Day is not null
            from seen in SeenOn(visit, kind)
            select seen,
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

    // Readings of what the kind that stands can't show, by the strict school.
    private CharacterSlips[] SlipsOfReadings()
    {
        var (of, against) = (new Dictionary<string, int>(), new Dictionary<string, int>());
        foreach (var told in trees)
        {
            if (told.Answer is not { } answer || KindOf(told) is not { } kind)
                continue;
            foreach (var reading in told.Tree.Visits.SelectMany(visit => visit.Content.Readings))
                if (reading.Character is { } character)
                    of[character] = of.GetValueOrDefault(character) + 1;
            foreach (var character in answer.Candidates.First(candidate => candidate.Taxon.Name == kind.Name).Held)
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

    private (string First, string Then, int Trees)[] TakenForEachOther() =>
        [
            .. trees
                .SelectMany(told =>
                {
                    string[] names =
                    [
                        .. told
                            .Tree.History.Where(line => line is { Kind: OpinionKind.Determined, IsWithdrawn: false })
                            .Select(line => line.Name),
                    ];
                    return names.Zip(names.Skip(1)).Where(pair => pair.First != pair.Second);
                })
                .CountBy(pair => pair)
                .OrderByDescending(pair => pair.Value)
                .ThenBy(pair => pair.Key.First, StringComparer.Ordinal)
                .Select(pair => (pair.Key.First, pair.Key.Second, pair.Value)),
        ];

    private CertaintyBin[] HowTheyFared()
    {
        var all = (
            from told in trees
            from line in told.Tree.History
            where line is { Kind: OpinionKind.Determined, IsWithdrawn: false, Probability: not null }
            select (Chance: line.Probability!.Value, Stood: told.Stands(line))
        ).ToArray();
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

    private Taxon? KindOf(Told told) => told.Standing.Stands is { } stands ? flora.FindTaxon(stands.Name) : null;
}
