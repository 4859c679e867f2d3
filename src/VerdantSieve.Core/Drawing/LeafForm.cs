using System.Globalization;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;

namespace VerdantSieve.Core.Drawing;

/// <summary>All that is drawn of a leaf or a shoot, as character ids and states; what is not known is absent.</summary>
public sealed class LeafForm
{
    // What stands for a word that covers several states; where even that would say more than was read, it is dotted.
    private static readonly Dictionary<(string Character, string Word), (string State, bool Dotted)> Broad = new()
    {
        [(CharacterIds.Structure, "pinnate")] = ("odd-pinnate", false),
        [(CharacterIds.Structure, "compound")] = ("odd-pinnate", true),
        [("margin", "toothed")] = ("serrate", false),
        [(Lobing, "lobed")] = ("palmate", true),
        [("shape", "oval")] = ("elliptic", false),
        [("shape", "narrow")] = ("lanceolate", false),
        [("venation", "feathered")] = ("pinnate-looping", false),
    };

    // Where a plant shows several of these, its leaves are drawn in turn.
    private static readonly string[] Varied = [Lobing, "shape", CharacterIds.Structure, "margin"];

    private const int MostForms = 4;
    private const string Present = "present",
        Lobing = "lobing",
        LobeCount = "lobe-count";

    private readonly IReadOnlyDictionary<string, string> states;
    private readonly IReadOnlyDictionary<string, double> numbers;

    private LeafForm(IReadOnlyDictionary<string, string> states, IReadOnlyDictionary<string, double> numbers) =>
        (this.states, this.numbers) = (states, numbers);

    /// <summary>Whether what is drawn says more than was read, so that it is dotted.</summary>
    internal bool IsLoose { get; private init; }

    /// <summary>Nothing known.</summary>
    public static LeafForm Unknown { get; } = With();

    /// <summary>A form with the states given.</summary>
    public static LeafForm With(params (string Character, string State)[] known) =>
        new(known.ToDictionary(pair => pair.Character, pair => pair.State), new Dictionary<string, double>());

    /// <summary>The form as read: one state where the reading names one, the first where it names several; of counts the most, of sizes the
    /// middle.</summary>
    public static LeafForm Of(IEnumerable<Reading> readings)
    {
        var (states, numbers) = (new Dictionary<string, string>(), new Dictionary<string, double>());
        var loose = false;
        foreach (var reading in readings)
        {
            if (StateOf(reading.Observation) is { } word && !states.ContainsKey(reading.Character))
            {
                var (state, dotted) = Drawn(reading.Character, word);
                states[reading.Character] = state;
                loose |= dotted;
            }
            if (NumberOf(reading.Observation) is { } number)
                numbers[reading.Character] = number;
            if (reading.Observation is Sought { Seen: true })
                states[reading.Character] = Present;
        }
        // A reading of how needles sit says that they are needles.
        if (states.ContainsKey(NeedleGrouping))
            states.TryAdd(CharacterIds.Foliage, Needles);
        // What was read of leaflets says that there are some: three of them as they can only sit, others dotted.
        if (!states.ContainsKey(CharacterIds.Structure) && IsOfLeaflets(states, numbers))
        {
            var three = numbers.GetValueOrDefault(CharacterIds.LeafletCount) == 3;
            states[CharacterIds.Structure] = three ? "trifoliate" : "odd-pinnate";
            loose |= !three;
        }
        // What was read of lobes says that there are some; how they stand was not said, so that they are dotted.
        if (!states.ContainsKey(Lobing) && IsOfLobes(states, numbers))
        {
            states[Lobing] = numbers.GetValueOrDefault(LobeCount) > MostLikeAHand ? "pinnate" : "palmate";
            loose = true;
        }
        return new LeafForm(states, numbers) { IsLoose = loose };
    }

    // So many lobes as often spread like a hand as they stand along a midrib; of more it is the rarer.
    private const int MostLikeAHand = 5;

    private static bool IsOfLobes(Dictionary<string, string> states, Dictionary<string, double> numbers) =>
        numbers.GetValueOrDefault(LobeCount) > 1 || states.Keys.Any(character => character is "lobe-depth" or "lobe-tip");

    private static bool IsOfLeaflets(Dictionary<string, string> states, Dictionary<string, double> numbers) =>
        numbers.GetValueOrDefault(CharacterIds.LeafletCount) > 1
        || states.Keys.Any(character => character.StartsWith("leaflet-", StringComparison.Ordinal));

    private static (string State, bool Dotted) Drawn(string character, string word) =>
        Broad.TryGetValue((character, word), out var drawn) ? drawn : (word, false);

    /// <summary>The forms as read: several where the plant was seen to show several of a character, the commonest first.</summary>
    public static IReadOnlyList<LeafForm> AllOf(IReadOnlyList<Reading> readings)
    {
        var form = Of(readings);
        foreach (var character in Varied)
            if (
                readings.FirstOrDefault(reading => reading.Character == character) is { } reading
                && StatesOf(reading.Observation) is { Count: > 1 } several
            )
                return [.. several.Take(MostForms).Select(word => form.But(character, Drawn(character, word).State))];
        return [form];
    }

    private static IReadOnlyList<string> StatesOf(Observation observation) =>
        observation.Match<IReadOnlyList<string>>(
            cannotTell: _ => [],
            states: seen => seen.Mode == StateMode.AllSeen ? seen.States : [],
            counted: _ => [],
            measured: _ => [],
            limited: _ => [],
            sought: _ => [],
            today: _ => [],
            tallied: tallied =>
                [.. tallied.Of.OrderByDescending(line => line.Leaves).Select(line => line.What).Where(what => !char.IsAsciiDigit(what[0]))],
            compared: _ => []
        );

    private static string? StateOf(Observation observation) =>
        observation.Match<string?>(
            cannotTell: _ => null,
            states: seen => seen.Mode == StateMode.Not ? null : seen.States[0],
            counted: _ => null,
            measured: _ => null,
            limited: _ => null,
            sought: _ => null,
            today: _ => null,
            tallied: tallied => tallied.Of.MaxBy(line => line.Leaves)!.What is var most && !char.IsAsciiDigit(most[0]) ? most : null,
            compared: _ => null
        );

    private static double? NumberOf(Observation observation) =>
        observation.Match<double?>(
            cannotTell: _ => null,
            states: _ => null,
            counted: counted => counted.High,
            measured: measured => measured.Middle,
            limited: _ => null,
            sought: _ => null,
            today: _ => null,
            tallied: tallied =>
                int.TryParse(tallied.Of.MaxBy(line => line.Leaves)!.What, CultureInfo.InvariantCulture, out var n) ? n : null,
            compared: _ => null
        );

    /// <summary>The usual form of a taxon: the first state of each score, the middle of each range.</summary>
    public static LeafForm Of(IEnumerable<KeyValuePair<string, Score>> scores)
    {
        var (states, numbers) = (new Dictionary<string, string>(), new Dictionary<string, double>());
        foreach (var (character, score) in scores)
        {
            if (score is StateScore shown)
                states[character] = shown.States[0].State;
            if (score is RangeScore range)
                numbers[character] = Math.Sqrt(range.Low * range.High);
            if (score is PresenceScore { Frequency: >= 0.5 })
                states[character] = Present;
        }
        return new LeafForm(states, numbers);
    }

    /// <summary>The forms that leaves of a taxon take, the usual one first: several where its lobing or structure varies, or where the
    /// flora
    /// says that it has leaves of several shapes.</summary>
    public static IReadOnlyList<LeafForm> AllOf(IEnumerable<KeyValuePair<string, Score>> scores)
    {
        var known = scores.ToDictionary(score => score.Key, score => score.Value);
        var form = Of(known);
        string[] varied =
            form.State("shape-variety", "") == "several-shapes"
                ? [Lobing, CharacterIds.Structure, "shape"]
                : [Lobing, CharacterIds.Structure];
        foreach (var character in varied)
            if (
                known.GetValueOrDefault(character) is StateScore score
                && score.States.Where(state => state.Weight >= 0.2).ToArray() is { Length: > 1 } several
            )
                return [.. several.Take(MostForms).Select(state => form.But(character, state.State))];
        return [form];
    }

    /// <summary>The same form with one state changed.</summary>
    public LeafForm But(string character, string state) =>
        new(new Dictionary<string, string>(states) { [character] = state }, numbers) { IsLoose = IsLoose };

    /// <summary>The same form with one number changed.</summary>
    public LeafForm But(string character, double number) =>
        new(states, new Dictionary<string, double>(numbers) { [character] = number }) { IsLoose = IsLoose };

    /// <summary>Whether anything is known of a character.</summary>
    public bool Has(string character) => states.ContainsKey(character) || numbers.ContainsKey(character);

    /// <summary>Whether the thing was seen, or is found on most plants.</summary>
    public bool Shows(string character) => State(character, "") == Present;

    /// <summary>The state of a character, or what is given where it is not known.</summary>
    public string State(string character, string otherwise) => states.GetValueOrDefault(character, otherwise);

    /// <summary>The number of a character, or what is given where it is not known.</summary>
    public double Number(string character, double otherwise) => numbers.GetValueOrDefault(character, otherwise);

    internal const string NeedleGrouping = "needle-grouping";
    internal const string Needles = "needle";

    internal bool IsBroad => State(CharacterIds.Foliage, "broad") == "broad";

    /// <summary>How much wider than long, from the length and width or their ratio; what the shape asks for otherwise.</summary>
    internal double WidthOver(double usual)
    {
        var measured = Has(CharacterIds.BladeLength) && Has(CharacterIds.BladeWidth);
        var ratio = measured
            ? Number(CharacterIds.BladeLength, 1) / Number(CharacterIds.BladeWidth, 1)
            : Number(CharacterIds.Slenderness, 0);
        return ratio > 0 ? Math.Clamp(1 / ratio, 0.06, 1.4) : usual;
    }
}
