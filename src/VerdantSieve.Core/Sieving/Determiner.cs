using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;

namespace VerdantSieve.Core.Sieving;

/// <summary>Finds the lowest rank that is certain enough, and says so in one plain sentence.</summary>
internal static class Determiner
{
    // Above this the plant is said to be likely something the flora does not hold.
    private const double StrangerThreshold = 0.5;
    // A kind below this share of the rest is not named among what remains.
    private const double WorthNaming = 0.04;

    public static Determination Determine(
        Flora flora, SieveQuestion question, IReadOnlyList<Candidate> ordered, double none, IReadOnlyList<NextLook> looks, IReadOnlyList<Doubt> doubts)
    {
        var telling = question.Readings.Count(reading => reading.Tells);
        if (telling == 0) return NothingRead(flora, question, ordered);
        var say = new Speaker(flora, question, ordered, none, looks, doubts);
        return question.School == School.Strict ? say.Strictly() : none >= StrangerThreshold ? say.Stranger() : say.ByWeight();
    }

    private static Determination NothingRead(Flora flora, SieveQuestion question, IReadOnlyList<Candidate> ordered)
    {
        var here = question.Circumstances.Region is { } region
            ? ordered.Count(c => c.Taxon.Distribution.Native.Contains(region) || c.Taxon.Distribution.Introduced.Contains(region)) : ordered.Count;
        var kinds = here == ordered.Count ? $"all {here} kinds are open" : $"{here} of {ordered.Count} kinds are known from here";
        var sentence = new Prose().Say($"Nothing read yet, and {kinds}. Begin with how the leaves sit on the twig.");
        return new Determination(null, ordered[0].Taxon.Name.Text, ordered[0].Probability, sentence);
    }

    private sealed class Speaker(
        Flora flora, SieveQuestion question, IReadOnlyList<Candidate> ordered, double none, IReadOnlyList<NextLook> looks, IReadOnlyList<Doubt> doubts)
    {
        private Candidate Best => ordered[0];
        private string? Look => looks.FirstOrDefault(look => look.HeldBack is null)?.Character.Label;

        public Determination ByWeight()
        {
            var share = 1 - none;
            if (Best.Probability >= question.Certainty) return Species(Best, Best.Probability);
            foreach (var (rank, key) in new (TaxonRank, Func<Taxon, string?>)[]
                { (TaxonRank.Group, taxon => taxon.Group), (TaxonRank.Genus, taxon => taxon.Name.Genus), (TaxonRank.Family, taxon => taxon.Family) })
            {
                if (key(Best.Taxon) is not { } name) continue;
                var members = ordered.Where(c => key(c.Taxon) == name).ToArray();
                var sum = members.Sum(c => c.Probability);
                if (sum < question.Certainty) continue;
                var prose = Opening(rank, name);
                var remaining = members.Where(c => c.Probability >= WorthNaming * sum).Take(4).ToArray();
                if (remaining.Length == 1) prose.Say(" Most likely ").Name(Best.Taxon.Name.Text).Say(", though not yet for certain");
                else prose.Say(" Most likely ").Name(Best.Taxon.Name.Text).Say("; ").Names([.. remaining.Skip(1).Select(c => c.Taxon.Name.Text)], "and")
                    .Say(remaining.Length == 2 ? " is still possible" : " are still possible");
                return new Determination(rank, name, sum, Ending(prose, remaining.Length));
            }
            return Open();
        }

        private Determination Species(Candidate candidate, double probability)
        {
            var prose = new Prose();
            var organs = question.Readings.Where(reading => reading.Tells).Select(reading => Organs.Of(flora.Character(reading.Character)))
                .Where(organ => organ != Organ.WholePlant).Distinct().ToArray();
            if (organs.Length < 2)
            {
                prose.Say("Everything points to ").Name(candidate.Taxon.Name.Text).Say($", {candidate.Taxon.CommonName}. ");
                prose.Say(SecondOrgan(organs) is { } other ? $"So far by the {Word(organs)} alone: look at the {other} before you write the name."
                    : "So far by one organ alone: look at another before you write the name.");
            }
            else
            {
                prose.Say("This is ").Name(candidate.Taxon.Name.Text).Say($", {candidate.Taxon.CommonName}");
                if (candidate.Held.Count == 0) prose.Say(": nothing read speaks against it.");
                else prose.Say($", though it is held by {Readings(candidate.Held)}. Look at that again.");
            }
            return new Determination(candidate.Taxon.Rank, candidate.Taxon.Name.Text, probability, prose);
        }

        private static string Word(Organ[] organs) => organs.Length == 0 ? "site" : Organs.Word(organs[0]);

        private string? SecondOrgan(Organ[] organs) => looks.Where(look => look.HeldBack is null).Select(look => Organs.Of(look.Character))
            .Where(organ => organ != Organ.WholePlant && !organs.Contains(organ)).Select(Organs.Word).FirstOrDefault();

        private Prose Opening(TaxonRank rank, string name) => new Prose().Say(rank switch
        {
            TaxonRank.Group => $"One of the {name}, and that is settled.",
            TaxonRank.Genus => $"{Capital(Article(flora.GenusWord(name)))}, and that is settled.",
            _ => $"One of {flora.FamilyWord(name)}, and that is settled."
        });

        private Determination Open()
        {
            var prose = new Prose();
            var remaining = ordered.Where(c => c.Probability >= WorthNaming).ToArray();
            if (remaining.Length == 0)
                return new Determination(null, Best.Taxon.Name.Text, Best.Probability, Ending(prose.Say("Still wide open: no kind stands out"), 3));
            prose.Say(remaining.Length == 1 ? "Not settled yet. Most likely " : $"Still open between {Number(remaining.Length)} kinds. Most likely ")
                .Name(Best.Taxon.Name.Text);
            if (remaining.Length > 1) prose.Say(", then ").Names([.. remaining.Skip(1).Take(3).Select(c => c.Taxon.Name.Text)], "and");
            if (remaining.Length > 4) prose.Say(" and others");
            return new Determination(null, Best.Taxon.Name.Text, Best.Probability, Ending(prose, remaining.Length));
        }

        public Determination Stranger()
        {
            var prose = new Prose().Say("Probably none of the kinds in this flora. Nearest is ").Name(Best.Taxon.Name.Text);
            prose.Say(Best.Held.Count > 0 ? $", which is held by {Readings(Best.Held)}." : ", but too little of it fits.");
            return new Determination(null, Best.Taxon.Name.Text, Best.Probability, prose);
        }

        public Determination Strictly()
        {
            var pan = ordered.Where(c => c.Passes).ToArray();
            var exact = pan.Where(c => c.Held.Count == 0).ToArray();
            if (pan.Length == 0)
            {
                var prose = new Prose().Say("No kind agrees with every reading");
                if (question.Slips > 0) prose.Say($", even with {Number(question.Slips)} slip{(question.Slips > 1 ? "s" : "")} allowed");
                prose.Say(". Nearest is ").Name(Best.Taxon.Name.Text).Say($", held by {Readings(Best.Held)}.");
                return new Determination(null, Best.Taxon.Name.Text, Best.Probability, prose);
            }
            var named = exact.Length > 0 ? exact : pan;
            var slip = exact.Length > 0 ? "" : " if a slip is allowed";
            if (named.Length == 1)
            {
                if (exact.Length == 1) return Species(named[0], named[0].Probability);
                var one = new Prose().Say("Only ").Name(named[0].Taxon.Name.Text).Say($" is left, held by {Readings(named[0].Held)} alone. Look at that again.");
                return new Determination(named[0].Taxon.Rank, named[0].Taxon.Name.Text, named[0].Probability, one);
            }
            var genera = named.Select(c => c.Taxon.Name.Genus).Distinct().ToArray();
            var families = named.Select(c => c.Taxon.Family).Distinct().ToArray();
            TaxonRank? rank = genera.Length == 1 ? TaxonRank.Genus : families.Length == 1 ? TaxonRank.Family : null;
            var open = rank is { } reached ? Opening(reached, reached == TaxonRank.Genus ? genera[0] : families[0]).Say(" ") : new Prose();
            open.Say($"{Capital(Number(named.Length))} kinds pass every mesh{slip}");
            if (named.Length <= 4) open.Say(": ").Names([.. named.Select(c => c.Taxon.Name.Text)], "and");
            var name = rank switch { TaxonRank.Genus => genera[0], TaxonRank.Family => families[0], _ => named[0].Taxon.Name.Text };
            return new Determination(rank, name, named.Sum(c => c.Probability), Ending(open, named.Length));
        }

        private Prose Ending(Prose prose, int remaining)
        {
            if (Look is { } look) prose.Say(remaining == 2 ? $", and the {look} would part them." : $"; the {look} would tell most.");
            else prose.Say(".");
            if (doubts.FirstOrDefault() is { } doubt && doubt.SlipChance >= Doubt.Threshold)
                prose.Say($" Look again at “{Wording.Of(doubt.Reading, flora)}”: it does not fit the rest.");
            return prose;
        }

        private string Readings(IEnumerable<string> characterIds) =>
            Wording.Join([.. characterIds.Select(id => $"“{Wording.Of(question.Readings.First(r => r.Character == id), flora)}”")], "and");
    }

    private static string Article(string noun) => ("aeiou".Contains(char.ToLowerInvariant(noun[0])) ? "an " : "a ") + noun;

    private static string Capital(string text) => char.ToUpperInvariant(text[0]) + text[1..];

    private static string Number(int n) => n switch
    {
        0 => "no", 1 => "one", 2 => "two", 3 => "three", 4 => "four", 5 => "five", 6 => "six", 7 => "seven", 8 => "eight", 9 => "nine", 10 => "ten",
        _ => n.ToString(System.Globalization.CultureInfo.InvariantCulture)
    };
}
