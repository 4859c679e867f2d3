using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;

namespace VerdantSieve.Core.Sieving;

/// <summary>Finds the lowest rank that is certain enough, and says so in plain words.</summary>
internal sealed class Determiner(Findings findings)
{
    // Above this the plant is said to be likely something the flora does not hold.
    private const double StrangerThreshold = 0.5;

    // A kind below this share of the rest is not named among what remains.
    private const double WorthNaming = 0.04;
    private const int MostNamed = 4;

    // Varieties are parted on their own mark: the readings themselves must tell them apart by this much.
    private const double VarietyBits = 3;

    // So much read and so little left to look at makes a hard case.
    private const int MuchRead = 8;
    private const double LittleLeft = 0.2;

    // What weighs no more than this is not what everything points to.
    private const double WeighsEnough = 0.5;

    // Where more than half of a lead is the place's, the place decided.
    private const double MostOfTheLead = 0.5;

    private readonly Weighed weighed = findings.Weighed;
    private readonly SieveTable table = findings.Weighed.Table;
    private readonly Flora flora = findings.Weighed.Flora;
    private readonly SieveQuestion question = findings.Weighed.Question;
    private readonly IReadOnlyList<Candidate> ordered = findings.Weighed.Ordered;
    private readonly DeterminationWords words = new(findings);

    public Determination Determine()
    {
        if (weighed.Readings.Count == 0)
            return words.NothingRead();
        var said = question.School switch
        {
            School.Strict => Strictly(),
            School.Weigh => ByWeight(),
        };
        // Within an aggregate nothing is to be parted: what counts is what parts it from the rest.
        var rival = ordered
            .Skip(1)
            .FirstOrDefault(candidate => said.Rank != TaxonRank.Aggregate || candidate.Taxon.Aggregate != ordered[0].Taxon.Aggregate);
        var reasons = new Reasons(weighed, ordered[0], rival);
        if (weighed.Enough is not null)
            said.Sentence.Say(" That is enough to keep away.");
        return said with { For = reasons.For(), Against = reasons.Against() };
    }

    private Determination ByWeight()
    {
        if (Best(TaxonRank.Variety) is { } variety && IsNamed(variety) && ReadsApart(variety.Members[0]) && EnoughOrgans)
            return Species(variety);
        var species = Best(TaxonRank.Species)!;
        if (IsNamed(species) && EnoughOrgans)
            return Species(species);
        // On one organ alone a species is not named, however well it fits.
        var byOneOrgan = IsNamed(species) ? table.TaxonOf(species.Members[0]) : null;
        if (byOneOrgan is null && Best(TaxonRank.Aggregate) is { } aggregate && Reached(aggregate))
            return words.Aggregate(aggregate);
        foreach (var rank in new[] { TaxonRank.Group, TaxonRank.Genus, TaxonRank.Family })
            if (Best(rank) is { } group && Reached(group))
                return byOneOrgan is null ? Higher(group) : words.OneOrgan(byOneOrgan, group);
        return findings.NoneOfThese >= StrangerThreshold ? words.Stranger() : Open();
    }

    private RankedGroup? Best(TaxonRank rank) => table.Groups.Best(rank, weighed.Posterior, table.Rows);

    private bool IsNamed(RankedGroup kind) => Reached(kind) && Believable(kind);

    private bool Reached(RankedGroup group) => group.Probability >= question.Certainty;

    // Whether so many slips as the kind would need are to be expected among so many readings; a kind that leads only because all others
    // fit worse is not named. The check of a model against what was seen follows G. E. P. Box 1980.
    private bool Believable(RankedGroup kind)
    {
        var slips = weighed[kind.Members[0]].Held.Count;
        return slips == 0 || ChanceOfSlips(slips) >= table.Model.BelievableSlips;
    }

    // The chance of so many slips or more, when each reading is one as often as its certainty says.
    private double ChanceOfSlips(int slips)
    {
        double[] chances = [1];
        foreach (var rate in weighed.Readings.Select(reading => table.Model.SlipRate(reading.Certainty)))
        {
            var before = chances;
            chances =
            [
                .. Enumerable
                    .Range(0, before.Length + 1)
                    .Select(k => (1 - rate) * before.ElementAtOrDefault(k) + (k > 0 ? rate * before[k - 1] : 0)),
            ];
        }
        return chances.Skip(slips).Sum();
    }

    // Whether the readings, place aside, tell the variety from the others of its species.
    private bool ReadsApart(Row variety)
    {
        var species = table.TaxonOf(variety).Name.Species;
        return Enumerable
            .Range(0, flora.Taxa.Count)
            .Select(t => new Row(t))
            .Where(row => row != variety && table.TaxonOf(row).Name.Species == species)
            .All(other => weighed.Evidence.All.Sum(piece => piece.BitsBetween(variety, other)) >= VarietyBits);
    }

    // More than one organ before a species is named, where the flora says which organ is which.
    private bool EnoughOrgans => !table.DescribesOrgans || words.Organs.Count > 1;

    private Determination Species(RankedGroup kind)
    {
        var best = weighed[kind.Members[0]];
        return words.Species(kind, best, RankOf(kind, best.Taxon), SettledByRange(kind));
    }

    // A species that is here by its varieties only is named at its own rank, not at that of the variety that stands for it.
    private static TaxonRank RankOf(RankedGroup kind, Taxon best)
    {
        if (kind.Rank == TaxonRank.Variety)
            return TaxonRank.Variety;
        return best.Name.Text == kind.Name ? best.Rank : TaxonRank.Species;
    }

    // Without the place the answer would stay below what was asked for, and most of the lead rests on the place.
    private bool SettledByRange(RankedGroup kind) =>
        findings.Grounds is { } grounds
        && table.TaxonOf(kind.Members[0]) == grounds.Leader
        && !kind.Members.Contains(table.Rows.Of(grounds.Rival))
        && grounds.ByReadings < Math.Log2(question.Certainty / (1 - question.Certainty))
        && grounds.PlaceShare > MostOfTheLead;

    private Determination Higher(RankedGroup group)
    {
        var members = group.Members.Select(row => weighed[row]).ToArray();
        if (members.Sum(member => member.Probability) < StrangerThreshold)
            return words.NoneFits(group, members[0]);
        var remaining = members.Where(member => member.Probability >= WorthNaming * group.Probability).Take(MostNamed).ToArray();
        return words.Higher(group, members, remaining, remaining.Length > 1 && IsHard);
    }

    private Determination Open()
    {
        var remaining = ordered.Where(candidate => candidate.Probability >= WorthNaming).ToArray();
        return words.Open(remaining, remaining.Length > 1 && IsHard);
    }

    private bool IsHard =>
        weighed.Readings.Count >= MuchRead && !findings.NextLooks.Any(look => look.HeldBack is null && look.Worth >= LittleLeft);

    private Determination Strictly()
    {
        var pan = ordered.Where(candidate => candidate.Passes).ToArray();
        if (pan.Length == 0)
            return words.NothingPasses();
        var exact = pan.Where(candidate => candidate.Held.Count == 0).ToArray();
        if (exact.Length == 0)
            return pan.Length == 1 ? words.OnlyHeld(pan[0]) : words.ManyPass(pan, forgiven: true);
        if (exact.Length > 1)
            return words.ManyPass(exact, forgiven: false);
        // One that passes alone but weighs little is one of those that pass with a disagreement.
        if (pan.Length > 1 && exact[0].Probability < WeighsEnough)
            return words.OnePassesOf(exact[0], pan);
        var only = exact[0].Taxon;
        var row = table.Rows.Of(only);
        return EnoughOrgans
            ? Species(new RankedGroup(only.Rank, only.Name.Text, exact[0].Probability, [row]))
            : words.OneOrgan(only, new RankedGroup(TaxonRank.Genus, only.Name.Genus, exact[0].Probability, [row]));
    }
}
