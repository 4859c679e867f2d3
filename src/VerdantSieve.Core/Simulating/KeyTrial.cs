using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Keys;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Sieving;

namespace VerdantSieve.Core.Simulating;

/// <summary>How a key fares with made-up plants and an observer who slips.</summary>
/// <param name="EndsRight">The share of plants that come out at an end with their own kind, 0 to 1.</param>
/// <param name="EndsAlone">The share that come out at their own kind and no other.</param>
/// <param name="MeanCouplets">How many couplets were worked, on average.</param>
/// <param name="SieveRight">The share of the same plants that the sieve puts first among the same kinds, from the same readings; those are
/// fewer than it would ask for.</param>
public sealed record KeyScore(double EndsRight, double EndsAlone, double MeanCouplets, double SieveRight);

/// <summary>Works keys on made-up plants.</summary>
/// <param name="flora">The flora.</param>
/// <param name="sieve">The sieve that is given the same readings.</param>
/// <param name="people">How loose words are and how short scores, as with people and books; null where all speak as the flora
/// does.</param>
public sealed class KeyTrial(Flora flora, Sieve sieve, SieveModel? people = null)
{
    /// <summary>Works a key on plants of each of its kinds.</summary>
    /// <param name="key">The key.</param>
    /// <param name="where">Where the plants stand, and when.</param>
    /// <param name="errs">The chance that a statement is misread, 0 to 1.</param>
    /// <param name="plants">How many plants of each kind.</param>
    /// <param name="seed">Where chance comes from.</param>
    public KeyScore Run(Key key, Circumstances where, double errs, int plants, int seed)
    {
        var random = new Random(seed);
        var of = key.Taxa.Select(taxon => taxon.Name.Text).ToHashSet();
        int all = 0,
            right = 0,
            alone = 0,
            couplets = 0,
            first = 0;
        foreach (var taxon in key.Taxa)
            for (var plant = 0; plant < plants; plant++)
            {
                var (ends, path, readings) = Work(key, new SimulatedPlant(taxon, flora, where, random, people), errs, random);
                all++;
                couplets += path;
                right += ends.Contains(taxon) ? 1 : 0;
                alone += ends is [var only] && only == taxon ? 1 : 0;
                // A key knows which kinds there are to choose from; so does the sieve here.
                var ranked = sieve.Ask(new SieveQuestion { Circumstances = where, Readings = readings }).Candidates;
                first += ranked.First(candidate => of.Contains(candidate.Taxon.Name.Text)).Taxon == taxon ? 1 : 0;
            }
        return new KeyScore((double)right / all, (double)alone / all, (double)couplets / all, (double)first / all);
    }

    private (IReadOnlyList<Taxon> Ends, int Couplets, IReadOnlyList<Reading> Readings) Work(
        Key key,
        SimulatedPlant plant,
        double errs,
        Random random
    )
    {
        var observer = new SimulatedObserver(flora, errs, 0, random, people);
        var readings = new List<Reading>();
        if (key.Couplets.Count == 0)
            return (key.Taxa, 0, readings);
        var couplets = 0;
        for (var couplet = key[1]; ;)
        {
            couplets++;
            var lead = Choose(couplet, plant, observer, random, readings);
            if (lead.To is not { } next)
                return (lead.Taxa, couplets, readings);
            couplet = key[next];
        }
    }

    private static Lead Choose(Couplet couplet, SimulatedPlant plant, SimulatedObserver observer, Random random, List<Reading> readings)
    {
        var (first, second) = (couplet.First.Statements[0], couplet.Second.Statements[0]);
        var reading = readings.FirstOrDefault(read => read.Character == first.Character.Id) ?? observer.Read(plant, first.Character);
        if (reading.Tells && readings.All(read => read.Character != reading.Character))
            readings.Add(reading);
        if (Agrees(first, reading.Observation))
            return couplet.First;
        // Where a plant shows neither, one goes on where one happens to.
        return Agrees(second, reading.Observation) || random.Next(2) == 0 ? couplet.Second : couplet.First;
    }

    private static bool Agrees(Statement statement, Observation observation) =>
        observation switch
        {
            StatesSeen seen => seen.States.All(statement.States.Contains),
            Counted counted => Within(statement, counted.Low),
            Measured measured => Within(statement, measured.Middle),
            Sought sought => sought.Seen == statement.Seen,
            _ => false,
        };

    private static bool Within(Statement statement, double value) =>
        value >= (statement.Least ?? double.MinValue) && value <= (statement.Most ?? double.MaxValue);
}
