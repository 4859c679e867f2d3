using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;

namespace VerdantSieve.Core.Drawing;

/// <summary>All that is drawn of a leaf or a shoot, as character ids and states; what is not known is absent.</summary>
public sealed class LeafForm
{
    private readonly Dictionary<string, string> states = [];
    private readonly Dictionary<string, double> numbers = [];

    /// <summary>Nothing known.</summary>
    public static LeafForm Unknown { get; } = new();

    /// <summary>A form with the states given.</summary>
    public static LeafForm With(params (string Character, string State)[] known)
    {
        var form = new LeafForm();
        foreach (var (character, state) in known) form.states[character] = state;
        return form;
    }

    /// <summary>The form as read: one state where the reading names one, the first where it names several.</summary>
    public static LeafForm Of(IEnumerable<Reading> readings)
    {
        var form = new LeafForm();
        foreach (var reading in readings)
        {
            if (reading.Observation is StatesSeen seen) form.states[reading.Character] = seen.States[0];
            else if (reading.Observation is Counted count) form.numbers[reading.Character] = count.High;
            else if (reading.Observation is Measured measured) form.numbers[reading.Character] = measured.Middle;
        }
        if (form.states.ContainsKey(Foliage)) return form;
        // A reading of a needle or of a leaf says which of the two it is.
        if (form.Has("needle-grouping")) form.states[Foliage] = Needles;
        return form;
    }

    /// <summary>The same form with one state changed.</summary>
    public LeafForm But(string character, string state)
    {
        var form = new LeafForm();
        foreach (var (key, value) in states) form.states[key] = value;
        foreach (var (key, value) in numbers) form.numbers[key] = value;
        form.states[character] = state;
        return form;
    }

    /// <summary>The usual form of a taxon.</summary>
    public static LeafForm Of(Taxon taxon)
    {
        var form = new LeafForm();
        foreach (var (character, score) in taxon.Scores)
        {
            if (score is StateScore states) form.states[character] = states.States[0].State;
            else if (score is RangeScore range) form.numbers[character] = Math.Sqrt(range.Low * range.High);
        }
        return form;
    }

    /// <summary>Whether anything is known of a character.</summary>
    public bool Has(string character) => states.ContainsKey(character) || numbers.ContainsKey(character);

    /// <summary>The state of a character, or what is given where it is not known.</summary>
    public string State(string character, string otherwise) => states.GetValueOrDefault(character, otherwise);

    /// <summary>The number of a character, or what is given where it is not known.</summary>
    public double Number(string character, double otherwise) => numbers.GetValueOrDefault(character, otherwise);

    internal const string Foliage = "foliage";
    internal const string Needles = "needle";

    internal bool IsBroad => State(Foliage, "broad") == "broad";

    /// <summary>How much wider than long, from the length and width or their ratio; what the shape asks for otherwise.</summary>
    internal double WidthOver(double usual)
    {
        var ratio = Has("blade-length") && Has("blade-width") ? Number("blade-length", 1) / Number("blade-width", 1) : Number("slenderness", 0);
        return ratio > 0 ? Math.Clamp(1 / ratio, 0.06, 1.4) : usual;
    }
}
