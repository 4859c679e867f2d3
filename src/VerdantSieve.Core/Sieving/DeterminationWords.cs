using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;

namespace VerdantSieve.Core.Sieving;

/// <summary>Says a determination in one plain sentence or two: what is certain, what is left, which look would settle it.</summary>
internal sealed class DeterminationWords(Findings findings)
{
    // So many kinds are named one by one.
    private const int MostNamed = 4;

    // A few kinds are what it lies between where they weigh more than all the others together.
    private const double MostOfIt = 0.5;

    private readonly Weighed weighed = findings.Weighed;
    private readonly Flora flora = findings.Weighed.Flora;
    private readonly SieveQuestion question = findings.Weighed.Question;
    private readonly Candidate best = findings.Weighed.Ordered[0];

    /// <summary>The organs read, the whole plant put aside.</summary>
    public IReadOnlyList<Organ> Organs { get; } =
    [
        .. findings
            .Weighed.Readings.Select(reading => Botany.Organs.Of(findings.Weighed.Flora.Character(reading.Character)))
            .OfType<Organ>()
            .Where(organ => organ != Organ.WholePlant)
            // Roots on a stem are an organ of their own.
            .Concat(findings.Weighed.Readings.Any(IsRoots) ? [Organ.WholePlant] : [])
            .Distinct(),
    ];

    private static bool IsRoots(Reading reading) => reading is { Character: CharacterIds.AerialRoots, Observation: Sought { Seen: true } };

    private static Prose Prose() => new();

    private Determination Undecided(Prose sentence) => new(null, best.Taxon.Name.Text, best.Probability, sentence);

    public Determination NothingRead()
    {
        var all = weighed.Ordered.Length;
        var here = question.Circumstances.Region is { } region ? weighed.Ordered.Count(c => c.Taxon.Distribution.Includes(region)) : all;
        var kinds = here == all ? $"all {here} kinds are open" : $"{here} of {all} kinds are known from here";
        var begin = findings.NextLooks is [var first, ..] ? $" Begin with the {first.Character.Label}." : "";
        return Undecided(Prose().Say($"Nothing read yet, and {kinds}.{begin}"));
    }

    public Determination Species(RankedGroup kind, Candidate candidate, TaxonRank rank, bool settledByRange)
    {
        var prose = Prose().Say("This is ").Name(kind.Name).Say($", {candidate.Taxon.CommonName}");
        if (candidate.Taxon.IsHybrid)
            SayParents(prose.Say(", a hybrid of ").Names(candidate.Taxon.HybridOf, "and"), candidate.Taxon);
        if (candidate.Held.Count > 0)
            prose.Say($", though it is held by {Readings(candidate.Held)}. Look at that again.");
        else
            prose.Say(settledByRange ? "." : ": nothing read speaks against it.");
        if (settledByRange)
            prose.Say(" The place settles it: by its marks alone ").Name(findings.Grounds!.Rival.Name.Text).Say(" would fit as well.");
        return new Determination(rank, kind.Name, kind.Probability, prose) { SettledByRange = settledByRange };
    }

    // Whose marks are which: what was read that the one parent can show and the other can't.
    private void SayParents(Prose prose, Taxon hybrid)
    {
        if (hybrid.HybridOf.Select(flora.FindTaxon).ToArray() is not [{ } one, { } other])
            return;
        var ofOne = Marks(one, other);
        var ofOther = Marks(other, one);
        if (ofOne.Length == 0 || ofOther.Length == 0)
            return;
        prose.Say($" (“{string.Join("”, “", ofOne)}” as ").Name(one.Name.Text);
        prose.Say($", “{string.Join("”, “", ofOther)}” as ").Name(other.Name.Text).Say(")");
    }

    private const int MarksOfAParent = 2;

    private string[] Marks(Taxon parent, Taxon other)
    {
        var (rows, held) = (weighed.Table.Rows, weighed.Held);
        return
        [
            .. weighed
                .Readings.Where(reading =>
                    !held.Of(rows.Of(parent)).Contains(reading.Character) && held.Of(rows.Of(other)).Contains(reading.Character)
                )
                .Take(MarksOfAParent)
                .Select(reading => Wording.Of(reading, flora)),
        ];
    }

    public Determination OneOrgan(Taxon taxon, RankedGroup group)
    {
        var prose = Prose().Say("Everything points to ").Name(taxon.Name.Text).Say($", {taxon.CommonName}. ");
        var other = findings
            .NextLooks.Where(look => look.HeldBack is null)
            .Select(look => Botany.Organs.Of(look.Character))
            .FirstOrDefault(organ => organ is { } known && known != Organ.WholePlant && !Organs.Contains(known));
        var soFar = Organs.Count == 0 ? "site" : Organs[0].PlainWord();
        prose.Say(
            other is { } look
                ? $"So far by the {soFar} alone: look at the {look.PlainWord()} before you write the name."
                : "So far by one organ alone: look at another before you write the name."
        );
        return new Determination(group.Rank, group.Name, group.Probability, prose);
    }

    public Determination Aggregate(RankedGroup group) =>
        new(
            TaxonRank.Aggregate,
            group.Name,
            group.Probability,
            Prose()
                .Name(group.Name)
                .Say(
                    ", and that is as far as it should be taken: "
                        + $"{flora.About.Aggregates.GetValueOrDefault(group.Name, "its members are not parted here")}."
                )
        );

    private Prose Opening(TaxonRank rank, string name) =>
        Prose()
            .Say(
                rank switch
                {
                    TaxonRank.Group => $"One of the {name}, and that is settled.",
                    TaxonRank.Genus => $"{PlainWords.Capital(PlainWords.Article(flora.GenusWord(name)))}, and that is settled.",
                    TaxonRank.Family => $"One of {flora.FamilyWord(name)}, and that is settled.",
                    TaxonRank.Variety or TaxonRank.Species or TaxonRank.Aggregate => throw new ArgumentException(
                        $"A {rank.Word()} is named by itself.",
                        nameof(rank)
                    ),
                }
            );

    /// <summary>A group, genus or family none of whose kinds fits well.</summary>
    public Determination NoneFits(RankedGroup group, Candidate nearest)
    {
        var prose = Opening(group.Rank, group.Name)
            .Say(" But none of those in this flora fits well. Nearest is ")
            .Name(nearest.Taxon.Name.Text);
        prose.Say(nearest.Held.Count > 0 ? $", held by {Readings(nearest.Held)}." : ".");
        return new Determination(group.Rank, group.Name, group.Probability, prose);
    }

    /// <summary>A group, genus or family, with what is left of it.</summary>
    public Determination Higher(RankedGroup group, IReadOnlyList<Candidate> members, IReadOnlyList<Candidate> remaining, bool hard)
    {
        var prose = Opening(group.Rank, group.Name);
        var most = members[0].Taxon.Name.Text;
        if (members.Count == 1)
            prose.Say(" Here that means ").Name(most).Say(", unless it is a kind that this flora does not hold");
        else
        {
            prose.Say(hard ? " Which one is a hard case. Most likely " : " Most likely ").Name(most);
            if (remaining.Count < 2)
                prose.Say(", though not yet for certain");
            else
                prose
                    .Say("; ")
                    .Names(NamesOf(remaining.Skip(1)), "and")
                    .Say(remaining.Count == 2 ? " is still possible" : " are still possible");
        }
        End(prose, remaining.Count);
        if (group.Rank == TaxonRank.Genus && remaining.Count > 1 && flora.About.NearAlike.TryGetValue(group.Name, out var alike))
            prose.Say(" ").Say(alike);
        return new Determination(group.Rank, group.Name, group.Probability, prose) { IsHard = hard };
    }

    /// <summary>No rank is reached.</summary>
    public Determination Open(IReadOnlyList<Candidate> remaining, bool hard)
    {
        if (remaining.Count == 0)
            return Undecided(End(Prose().Say("Still wide open: no kind stands out"), remaining: 3));
        var prose = Prose().Say(OpenWords(remaining, hard)).Name(best.Taxon.Name.Text);
        if (remaining.Count > 1)
            prose.Say(", then ").Names(NamesOf(remaining.Skip(1).Take(MostNamed - 1)), "and");
        if (remaining.Count > MostNamed)
            prose.Say(" and others");
        // Among many, what would part these two is not what tells most.
        return Undecided(End(prose, IsWide(remaining) ? MostNamed : remaining.Count)) with { IsHard = hard };
    }

    private static bool IsWide(IReadOnlyList<Candidate> remaining) => remaining.Sum(candidate => candidate.Probability) < MostOfIt;

    private static string OpenWords(IReadOnlyList<Candidate> remaining, bool hard)
    {
        var kinds = remaining.Count;
        if (hard)
            return $"A hard case: much is read, and still {PlainWords.Number(kinds)} kinds fit. Most likely ";
        if (IsWide(remaining))
            return "Still wide open. Most likely ";
        return kinds == 1 ? "Not settled yet. Most likely " : $"Still open between {PlainWords.Number(kinds)} kinds. Most likely ";
    }

    public Determination Stranger()
    {
        var prose = Prose().Say("Probably none of the kinds in this flora. Nearest is ").Name(best.Taxon.Name.Text);
        return Undecided(prose.Say(best.Held.Count > 0 ? $", which is held by {Readings(best.Held)}." : ", but too little of it fits."));
    }

    /// <summary>The strict school, and nothing is in the pan.</summary>
    public Determination NothingPasses()
    {
        var prose = Prose().Say("No kind agrees with every reading");
        var allowed = question.AllowedDisagreements;
        if (allowed > 0)
            prose.Say($", even with {PlainWords.Number(allowed)} disagreement{(allowed > 1 ? "s" : "")} allowed");
        return Undecided(prose.Say(". Nearest is ").Name(best.Taxon.Name.Text).Say($", held by {Readings(best.Held)}."));
    }

    /// <summary>The strict school, and one kind is in the pan by being forgiven.</summary>
    public Determination OnlyHeld(Candidate only) =>
        new(
            only.Taxon.Rank,
            only.Taxon.Name.Text,
            only.Probability,
            Prose().Say("Only ").Name(only.Taxon.Name.Text).Say($" is left, held by {Readings(only.Held)} alone. Look at that again.")
        );

    /// <summary>The strict school, and several kinds pass.</summary>
    public Determination ManyPass(IReadOnlyList<Candidate> passing, bool forgiven)
    {
        var (rank, name) = Shared(passing);
        var prose = rank is { } reached ? Opening(reached, name).Say(" ") : Prose();
        prose.Say(
            $"{PlainWords.Capital(PlainWords.Number(passing.Count))} kinds pass every "
                + $"mesh{(forgiven ? $" if {Disagreements(question.AllowedDisagreements)} allowed" : "")}"
        );
        if (passing.Count <= MostNamed)
            prose.Say(": ").Names(NamesOf(passing), "and");
        prose.Say(Here(passing));
        var more = weighed.Ordered.Count(candidate => candidate.Passes) - passing.Count;
        if (!forgiven && more > 0)
            prose.Say($"; {PlainWords.Number(more)} more if {Disagreements(question.AllowedDisagreements)} allowed");
        return new Determination(rank, name, passing.Sum(candidate => candidate.Probability), End(prose, passing.Count));
    }

    /// <summary>The strict school, and one kind passes every mesh, others with a disagreement allowed; it weighs little.</summary>
    public Determination OnePassesOf(Candidate exact, IReadOnlyList<Candidate> pan)
    {
        var (rank, name) = Shared(pan);
        var prose = rank is { } reached ? Opening(reached, name).Say(" ") : Prose();
        prose.Say("Only ").Name(exact.Taxon.Name.Text).Say(" passes every mesh, but it weighs little; ");
        prose.Say(
            $"{PlainWords.Number(pan.Count - 1)} more pass{(pan.Count == 2 ? "es" : "")} if "
                + $"{Disagreements(question.AllowedDisagreements)} allowed{Here(pan)}"
        );
        return new Determination(rank, name, pan.Sum(candidate => candidate.Probability), End(prose, pan.Count));
    }

    private static string Disagreements(int allowed) =>
        allowed == 1 ? "a disagreement is" : $"{PlainWords.Number(allowed)} disagreements are";

    // How many of them grow here; nothing where no country was named.
    private string Here(IReadOnlyList<Candidate> passing)
    {
        if (question.Circumstances.Region is not { } region)
            return "";
        var here = passing.Count(candidate => candidate.Taxon.Distribution.Includes(region));
        if (here == passing.Count)
            return passing.Count == 2 ? ", and both grow here" : ", and all of them grow here";
        return here == 0
            ? ", and none of them grows here"
            : $", and {PlainWords.Number(here)} of the {PlainWords.Number(passing.Count)} grow{(here == 1 ? "s" : "")} here";
    }

    // The genus or the family that all of them belong to; else the name of the first.
    private static (TaxonRank? Rank, string Name) Shared(IReadOnlyList<Candidate> passing)
    {
        var first = passing[0].Taxon;
        if (passing.All(candidate => candidate.Taxon.Name.Genus == first.Name.Genus))
            return (TaxonRank.Genus, first.Name.Genus);
        return first.Family is { } family && passing.All(candidate => candidate.Taxon.Family == family)
            ? (TaxonRank.Family, family)
            : (null, first.Name.Text);
    }

    private Prose End(Prose prose, int remaining)
    {
        prose.Say(LookWords(findings.BestLook?.Character.Label, remaining));
        if (findings.Doubts.FirstOrDefault(doubt => doubt.IsPointedAt) is { } doubt)
            SayDoubt(prose, doubt);
        if (weighed.Readings is [var only] && KindsShowing(only) is > 0 and var kinds && kinds <= RareShare * weighed.ByRow.Length)
            prose.Say($" Rare: only {PlainWords.Number(kinds)} kind{(kinds == 1 ? " shows" : "s show")} it; make sure of it.");
        return prose;
    }

    // A mark that no more of the kinds show is rare.
    private const double RareShare = 0.03;

    private int KindsShowing(Reading reading)
    {
        var column = weighed.Table[reading.Character];
        return weighed.ByRow.Count(candidate =>
            candidate.Held.Count == 0 && column.ScoreOf(weighed.Table.Rows.Of(candidate.Taxon)) is not null
        );
    }

    private void SayDoubt(Prose prose, Doubt doubt)
    {
        var words = Wording.Of(doubt.Reading, flora);
        if (doubt.IsFlorasFault)
            prose
                .Say($" The flora does not list “{words}” for ")
                .Name(best.Taxon.Name.Text)
                .Say("; it is likelier to be short here than you are to be wrong.");
        else
            prose.Say($" Look again at “{words}”: it does not fit {Against(doubt)}.");
    }

    private string Against(Doubt doubt) => doubt.Contradicts is { } other ? $"“{Wording.Of(other, flora)}”" : "the rest";

    private static string LookWords(string? look, int remaining)
    {
        if (look is null)
            return ".";
        return remaining == 2 ? $", and the {look} would part them." : $"; the {look} would tell most.";
    }

    private static string[] NamesOf(IEnumerable<Candidate> candidates) => [.. candidates.Select(candidate => candidate.Taxon.Name.Text)];

    private string Readings(IEnumerable<string> characterIds) =>
        Wording.Join(
            [.. characterIds.Select(id => $"“{Wording.Of(question.Readings.First(reading => reading.Character == id), flora)}”")],
            "and"
        );
}
