using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;

namespace VerdantSieve.Core.Sieving;

/// <summary>Finds the lowest rank that is certain enough, and says so in plain words.</summary>
internal sealed class Determiner(SieveTable table, SieveAnswer answer, Candidate[] byRow, RankShares ranks, Evidence[] evidence, Occasion occasion)
{
    // Above this the plant is said to be likely something the flora does not hold.
    private const double StrangerThreshold = 0.5;
    // A kind below this share of the rest is not named among what remains.
    private const double WorthNaming = 0.04;
    // Varieties are parted on their own mark: the readings themselves must tell them apart by this much.
    private const double VarietyBits = 3;
    // So much read and so little left to look at makes a hard case.
    private const int MuchRead = 8;
    private const double LittleLeft = 0.2;
    // A reading this strong is worth a sentence; this many sentences are enough.
    private const double WorthSaying = 0.7;
    private const int MostReasons = 4;

    private readonly Flora flora = table.Flora;
    private readonly SieveQuestion question = answer.Question;
    private readonly IReadOnlyList<Candidate> ordered = answer.Candidates;

    public Determination Determine()
    {
        if (evidence.Length == 0) return NothingRead();
        var said = question.School == School.Strict ? Strictly() : ByWeight();
        var leader = ordered[0];
        // Within an aggregate nothing is to be parted: what counts is what parts it from the rest.
        var rival = ordered.Skip(1).FirstOrDefault(candidate => said.Rank != TaxonRank.Aggregate || candidate.Taxon.Aggregate != leader.Taxon.Aggregate);
        return said with { For = Reasons(leader, rival, speaksFor: true), Against = Reasons(leader, rival, speaksFor: false) };
    }

    private Determination NothingRead()
    {
        var here = question.Circumstances.Region is { } region
            ? ordered.Count(c => c.Taxon.Distribution.Native.Contains(region) || c.Taxon.Distribution.Introduced.Contains(region)) : ordered.Count;
        var kinds = here == ordered.Count ? $"all {here} kinds are open" : $"{here} of {ordered.Count} kinds are known from here";
        return new Determination(null, ordered[0].Taxon.Name.Text, ordered[0].Probability,
            new Prose().Say($"Nothing read yet, and {kinds}.{(answer.NextLooks is [var first, ..] ? $" Begin with the {first.Character.Label}." : "")}"));
    }

    private Determination ByWeight()
    {
        if (ranks.Best(TaxonRank.Variety) is { } variety && Reached(variety) && Believable(variety) && ReadsApart(variety.Members[0]) && EnoughOrgans) return Species(variety);
        var species = ranks.Best(TaxonRank.Species)!;
        var named = Reached(species) && Believable(species);
        if (named && EnoughOrgans) return Species(species);
        // On one organ alone a species is not named, however well it fits.
        var byOneOrgan = named ? flora.Taxa[species.Members[0]] : null;
        if (byOneOrgan is null && ranks.Best(TaxonRank.Aggregate) is { } aggregate && Reached(aggregate)) return Aggregate(aggregate);
        foreach (var rank in new[] { TaxonRank.Group, TaxonRank.Genus, TaxonRank.Family })
            if (ranks.Best(rank) is { } node && Reached(node)) return byOneOrgan is null ? Higher(node) : OneOrgan(byOneOrgan, node);
        return answer.NoneOfThese >= StrangerThreshold ? Stranger() : Open();
    }

    private bool Reached(RankNode node) => node.Probability >= question.Certainty;

    // Whether so many slips as the kind would need are to be expected among so many readings; a kind that leads only because all others
    // fit worse is not named. The check of a model against what was seen follows G. E. P. Box 1980.
    private bool Believable(RankNode node)
    {
        var slips = byRow[node.Members[0]].Held.Count;
        double[] chances = [1];
        foreach (var rate in evidence.Select(e => table.Model.SlipRate(e.Reading.Certainty)))
            chances = [.. Enumerable.Range(0, chances.Length + 1).Select(k => (k < chances.Length ? chances[k] * (1 - rate) : 0) + (k > 0 ? chances[k - 1] * rate : 0))];
        return slips == 0 || chances.Skip(slips).Sum() >= table.Model.BelievableSlips;
    }

    // Whether the readings, place aside, tell the variety from the others of its species.
    private bool ReadsApart(int row)
    {
        var others = Enumerable.Range(0, flora.Taxa.Count).Where(t => t != row && flora.Taxa[t].Name.Species == flora.Taxa[row].Name.Species).ToArray();
        return others.Length == 0 || others.All(other => evidence.Sum(e => e.Logs[row] - e.Logs[other]) >= VarietyBits * Math.Log(2));
    }

    // More than one organ before a species is named, where the flora says which organ is which.
    private bool EnoughOrgans => !table.DescribesOrgans || Organs().Length > 1;

    private Organ[] Organs() => [.. evidence.Select(e => Botany.Organs.Of(flora.Character(e.Reading.Character))).Where(organ => organ != Organ.WholePlant).Distinct()];

    private Determination Species(RankNode node)
    {
        var best = byRow[node.Members[0]];
        var prose = new Prose().Say("This is ").Name(node.Name).Say($", {best.Taxon.CommonName}");
        if (best.Taxon.HybridOf.Count == 2) prose.Say(", a hybrid of ").Names(best.Taxon.HybridOf, "and");
        var byRange = SettledByRange(node);
        if (best.Held.Count > 0) prose.Say($", though it is held by {Readings(best.Held)}. Look at that again.");
        else prose.Say(byRange ? "." : ": nothing read speaks against it.");
        if (byRange) prose.Say(" The place settles it: by its marks alone ").Name(answer.Grounds!.Rival.Name.Text).Say(" would fit as well.");
        return new Determination(node.Rank == TaxonRank.Variety ? TaxonRank.Variety : best.Taxon.Name.Text == node.Name ? best.Taxon.Rank : TaxonRank.Species, node.Name, node.Probability, prose) { SettledByRange = byRange };
    }

    // Without the place the answer would stay below what was asked for, and most of the lead rests on the place.
    private bool SettledByRange(RankNode node) =>
        answer.Grounds is { } grounds && flora.Taxa[node.Members[0]] == grounds.Leader && !node.Members.Contains(table.RowOf(grounds.Rival))
        && grounds.ByReadings < Math.Log2(question.Certainty / (1 - question.Certainty)) && grounds.PlaceShare > 0.5;

    private Determination OneOrgan(Taxon taxon, RankNode node)
    {
        var organs = Organs();
        var prose = new Prose().Say("Everything points to ").Name(taxon.Name.Text).Say($", {taxon.CommonName}. ");
        var other = answer.NextLooks.Where(look => look.HeldBack is null).Select(look => Botany.Organs.Of(look.Character))
            .Where(organ => organ != Organ.WholePlant && !organs.Contains(organ)).Select(organ => (Organ?)organ).FirstOrDefault();
        prose.Say(other is { } organ ? $"So far by the {(organs.Length == 0 ? "site" : Botany.Organs.Word(organs[0]))} alone: look at the {Botany.Organs.Word(organ)} before you write the name."
            : "So far by one organ alone: look at another before you write the name.");
        return new Determination(node.Rank, node.Name, node.Probability, prose);
    }

    private Determination Aggregate(RankNode node) => new(TaxonRank.Aggregate, node.Name, node.Probability,
        new Prose().Name(node.Name).Say(", and that is as far as it should be taken: ").Say(flora.About.Aggregates.GetValueOrDefault(node.Name, "its members are not parted here")).Say("."));

    private Prose Opening(RankNode node) => new Prose().Say(node.Rank switch
    {
        TaxonRank.Group => $"One of the {node.Name}, and that is settled.",
        TaxonRank.Genus => $"{Words.Capital(Words.Article(flora.GenusWord(node.Name)))}, and that is settled.",
        _ => $"One of {flora.FamilyWord(node.Name)}, and that is settled."
    });

    private Determination Higher(RankNode node)
    {
        var prose = Opening(node);
        var members = node.Members.Select(row => byRow[row]).ToArray();
        if (members.Sum(c => c.Probability) < StrangerThreshold)
        {
            prose.Say(" But none of those in this flora fits well. Nearest is ").Name(members[0].Taxon.Name.Text);
            prose.Say(members[0].Held.Count > 0 ? $", held by {Readings(members[0].Held)}." : ".");
            return new Determination(node.Rank, node.Name, node.Probability, prose);
        }
        var remaining = members.Where(c => c.Probability >= WorthNaming * node.Probability).Take(4).ToArray();
        var hard = remaining.Length > 1 && IsHard();
        var most = members[0].Taxon.Name.Text;
        if (members.Length == 1) prose.Say(" Here that means ").Name(most).Say(", unless it is a kind that this flora does not hold");
        else
        {
            prose.Say(hard ? " Which one is a hard case. Most likely " : " Most likely ").Name(most);
            if (remaining.Length < 2) prose.Say(", though not yet for certain");
            else prose.Say("; ").Names([.. remaining.Skip(1).Select(c => c.Taxon.Name.Text)], "and").Say(remaining.Length == 2 ? " is still possible" : " are still possible");
        }
        Ending(prose, remaining.Length);
        if (node.Rank == TaxonRank.Genus && remaining.Length > 1 && flora.About.NearAlike.TryGetValue(node.Name, out var alike)) prose.Say(" ").Say(alike);
        return new Determination(node.Rank, node.Name, node.Probability, prose) { IsHard = hard };
    }

    private Determination Open()
    {
        var best = ordered[0];
        var prose = new Prose();
        var remaining = ordered.Where(c => c.Probability >= WorthNaming).ToArray();
        if (remaining.Length == 0)
            return new Determination(null, best.Taxon.Name.Text, best.Probability, Ending(prose.Say("Still wide open: no kind stands out"), 3));
        var hard = remaining.Length > 1 && IsHard();
        if (hard) prose.Say($"A hard case: much is read, and still {Words.Number(remaining.Length)} kinds fit. Most likely ");
        else prose.Say(remaining.Length == 1 ? "Not settled yet. Most likely " : $"Still open between {Words.Number(remaining.Length)} kinds. Most likely ");
        prose.Name(best.Taxon.Name.Text);
        if (remaining.Length > 1) prose.Say(", then ").Names([.. remaining.Skip(1).Take(3).Select(c => c.Taxon.Name.Text)], "and");
        if (remaining.Length > 4) prose.Say(" and others");
        return new Determination(null, best.Taxon.Name.Text, best.Probability, Ending(prose, remaining.Length)) { IsHard = hard };
    }

    private bool IsHard() => evidence.Length >= MuchRead && !answer.NextLooks.Any(look => look.HeldBack is null && look.Worth >= LittleLeft);

    private Determination Stranger()
    {
        var best = ordered[0];
        var prose = new Prose().Say("Probably none of the kinds in this flora. Nearest is ").Name(best.Taxon.Name.Text);
        prose.Say(best.Held.Count > 0 ? $", which is held by {Readings(best.Held)}." : ", but too little of it fits.");
        return new Determination(null, best.Taxon.Name.Text, best.Probability, prose);
    }

    private Determination Strictly()
    {
        var best = ordered[0];
        var pan = ordered.Where(c => c.Passes).ToArray();
        var exact = pan.Where(c => c.Held.Count == 0).ToArray();
        if (pan.Length == 0)
        {
            var prose = new Prose().Say("No kind agrees with every reading");
            if (question.Slips > 0) prose.Say($", even with {Words.Number(question.Slips)} slip{(question.Slips > 1 ? "s" : "")} allowed");
            prose.Say(". Nearest is ").Name(best.Taxon.Name.Text).Say($", held by {Readings(best.Held)}.");
            return new Determination(null, best.Taxon.Name.Text, best.Probability, prose);
        }
        var named = exact.Length > 0 ? exact : pan;
        var slip = exact.Length > 0 ? "" : " if a slip is allowed";
        if (named.Length == 1)
        {
            var only = named[0].Taxon;
            if (exact.Length == 0)
                return new Determination(only.Rank, only.Name.Text, named[0].Probability,
                    new Prose().Say("Only ").Name(only.Name.Text).Say($" is left, held by {Readings(named[0].Held)} alone. Look at that again."));
            var row = table.RowOf(only);
            return EnoughOrgans ? Species(new RankNode(only.Rank, only.Name.Text, named[0].Probability, [row]))
                : OneOrgan(only, new RankNode(TaxonRank.Genus, only.Name.Genus, named[0].Probability, [row]));
        }
        var genera = named.Select(c => c.Taxon.Name.Genus).Distinct().ToArray();
        var families = named.Select(c => c.Taxon.Family).Distinct().ToArray();
        TaxonRank? rank = genera.Length == 1 ? TaxonRank.Genus : families.Length == 1 && named[0].Taxon.HasFamily ? TaxonRank.Family : null;
        var name = rank switch { TaxonRank.Genus => genera[0], TaxonRank.Family => families[0], _ => named[0].Taxon.Name.Text };
        var open = rank is { } reached ? Opening(new RankNode(reached, name, 1, [])).Say(" ") : new Prose();
        open.Say($"{Words.Capital(Words.Number(named.Length))} kinds pass every mesh{slip}");
        if (named.Length <= 4) open.Say(": ").Names([.. named.Select(c => c.Taxon.Name.Text)], "and");
        return new Determination(rank, name, named.Sum(c => c.Probability), Ending(open, named.Length));
    }

    private Prose Ending(Prose prose, int remaining)
    {
        var look = answer.NextLooks.FirstOrDefault(look => look.HeldBack is null)?.Character.Label;
        prose.Say(look is null ? "." : remaining == 2 ? $", and the {look} would part them." : $"; the {look} would tell most.");
        if (answer.Doubts.FirstOrDefault() is { SlipChance: >= Doubt.Threshold } doubt)
            prose.Say($" Look again at “{Wording.Of(doubt.Reading, flora)}”: it does not fit {(doubt.Contradicts is { } other ? $"“{Wording.Of(other, flora)}”" : "the rest")}.");
        return prose;
    }

    // What speaks for the leader is what parts it from its rival; against it speaks that too, and all that holds it.
    private IReadOnlyList<Prose> Reasons(Candidate leader, Candidate? rival, bool speaksFor)
    {
        var (row, against) = (Row(leader), rival is null ? table.Rows.None : Row(rival));
        return
        [
            .. evidence.Select(e => (e.Reading, Bits: (e.Logs[row] - e.Logs[against]) / Math.Log(2), Holds: leader.Held.Contains(e.Reading.Character)))
                .Where(reason => speaksFor ? reason.Bits >= WorthSaying && !reason.Holds : reason.Bits <= -WorthSaying || reason.Holds)
                .OrderByDescending(reason => Math.Abs(reason.Bits)).Take(MostReasons)
                .Select(reason => Reason(reason.Reading, speaksFor ? against : row))
        ];
    }

    // What was read, and what the kind it does not fit is like.
    private Prose Reason(Reading reading, int row)
    {
        var prose = new Prose().Say($"“{Wording.Of(reading, flora)}”");
        if (row >= table.Rows.Taxa) return prose.Say(", which few other plants show");
        var (taxon, character) = (flora.Taxa[row], flora.Character(reading.Character));
        prose.Say(": ").Name(taxon.Name.Text);
        if (!table[character.Id].CanApply[row]) return prose.Say($" shows no {character.Label}");
        return taxon.Scores.GetValueOrDefault(character.Id) is { } score ? prose.Say($" has {Wording.Has(score, character, occasion.DelayFrom(flora.WindowPlace(taxon).Position))}") : prose.Say(": the flora does not say");
    }

    private string Readings(IEnumerable<string> characterIds) =>
        Wording.Join([.. characterIds.Select(id => $"“{Wording.Of(question.Readings.First(r => r.Character == id), flora)}”")], "and");

    private int Row(Candidate candidate) => table.RowOf(candidate.Taxon);
}

/// <summary>Small words.</summary>
internal static class Words
{
    public static string Article(string noun) => ("aeiou".Contains(char.ToLowerInvariant(noun[0])) ? "an " : "a ") + noun;

    public static string Capital(string text) => char.ToUpperInvariant(text[0]) + text[1..];

    public static string Number(int n) => n switch
    {
        0 => "no", 1 => "one", 2 => "two", 3 => "three", 4 => "four", 5 => "five", 6 => "six", 7 => "seven", 8 => "eight", 9 => "nine", 10 => "ten",
        _ => n.ToString(System.Globalization.CultureInfo.InvariantCulture)
    };
}
