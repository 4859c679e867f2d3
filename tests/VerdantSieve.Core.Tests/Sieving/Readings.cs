using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Sieving;

namespace VerdantSieve.Core.Tests.Sieving;

/// <summary>Short ways to write readings and questions.</summary>
internal static class Readings
{
    /// <summary>The standard model without what it adds where readings fit together, for what one reading is worth.</summary>
    public static readonly SieveModel AsItStands = SieveModel.Standard with { Telling = 0 };

    public static Reading Is(string character, string state, Certainty certainty = Certainty.Fair) =>
        new(character, new StatesSeen([state], StateMode.Is), certainty);

    public static Reading Seen(string character, bool seen, Certainty certainty = Certainty.Sure) =>
        new(character, new Sought(seen), certainty);

    public static Reading Long(string character, double cm, int leaves = 3, Certainty certainty = Certainty.Fair) =>
        new(character, new Measured(cm, cm, leaves), certainty);

    public static SieveAnswer Ask(this Sieve sieve, params Reading[] readings) => sieve.Ask(new SieveQuestion { Readings = readings });

    public static SieveAnswer Ask(this Sieve sieve, Circumstances circumstances, params Reading[] readings) =>
        sieve.Ask(new SieveQuestion { Circumstances = circumstances, Readings = readings });

    public static double Of(this SieveAnswer answer, string name) => answer.Candidates.Single(c => c.Taxon.Name.Text == name).Probability;
}
