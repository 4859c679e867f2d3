using System.Globalization;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Measuring;

namespace VerdantSieve.Core.Observing;

/// <summary>Says readings and scores in plain words.</summary>
public static class Wording
{
    /// <summary>A reading as a short phrase: "leaves in pairs", "blade 14.5 cm long", "no flowers".</summary>
    public static string Of(Reading reading, Flora flora, LengthStyle style = LengthStyle.Metric)
    {
        var words = OfObservation(reading, flora, style);
        return reading.On is { } place ? $"{words} {At(place)}" : words;
    }

    /// <summary>Where on the plant, for the end of a phrase.</summary>
    public static string At(PlantPlace place) =>
        place switch
        {
            PlantPlace.Base => "at the base",
            PlantPlace.Trunk => "on the trunk",
            PlantPlace.Limb => "on the limbs",
            PlantPlace.Young => "on young stems",
            PlantPlace.Tip => "at the tip of the twig",
            PlantPlace.Older => "further back on the twig",
            PlantPlace.Sun => "in the sun",
            PlantPlace.Shade => "in the shade",
            PlantPlace.Sucker => "on a sucker",
            PlantPlace.Litter => "in the litter",
        };

    private static string OfObservation(Reading reading, Flora flora, LengthStyle style)
    {
        var character = flora.Character(reading.Character);
        return reading.Observation.Match(
            cannotTell: _ => $"{character.Label}: can’t tell",
            states: seen => Fill(character, Named(seen, (StateCharacter)character)),
            counted: counted => Fill(character, Number(counted)),
            measured: measured => Fill(character, Size(measured, ((MeasureCharacter)character).Unit, style)),
            limited: limited => Fill(character, $"{SideWords(limited.Side)} {Amount(limited, character, style)}"),
            sought: sought => FoundOrNot(character, sought.Seen),
            today: today => FoundOrNot(character, today.Seen),
            tallied: tallied => Fill(character, Counts(tallied, character)),
            compared: compared => $"{character.Label} {Stands(compared.Is)} {compared.Than.Text}"
        );
    }

    // "palmate on 7, one-sided on 1".
    private static string Counts(Tallied tallied, Character character) =>
        Join(
            [
                .. tallied
                    .Of.OrderByDescending(line => line.Leaves)
                    .Select(line => $"{(character as StateCharacter)?.LabelOf(line.What) ?? line.What} ({line.Leaves}×)"),
            ],
            "and"
        );

    private static string Stands(Comparison how) =>
        how switch
        {
            Comparison.Less => "less than that of",
            Comparison.More => "more than that of",
            Comparison.Alike => "much as that of",
        };

    private static string FoundOrNot(Character character, bool seen) => seen ? Fill(character, "") : $"no {Fill(character, "")}";

    private static string Named(StatesSeen seen, StateCharacter character)
    {
        var words = Join([.. seen.States.Select(state => character.LabelOf(state)!)], seen.Mode == StateMode.AllSeen ? "and" : "or");
        return seen.Mode == StateMode.Not ? $"not {words}" : words;
    }

    private static string Number(Counted counted)
    {
        if (counted.Usual is { } usual)
            return $"mostly {usual} ({counted.Low}–{counted.High})";
        return counted.Low == counted.High ? $"{counted.Low}" : $"{counted.Low}–{counted.High}";
    }

    private static string Size(Measured measured, MeasureUnit unit, LengthStyle style)
    {
        var ends = LengthWords.Say(measured.Low, measured.High, unit, style);
        return About(measured.By) + (measured.Typical is { } typical ? $"mostly {LengthWords.Say(typical, unit, style)} ({ends})" : ends);
    }

    private static string Amount(Limited limited, Character character, LengthStyle style) =>
        character is MeasureCharacter measure
            ? About(limited.By) + LengthWords.Say(limited.Limit, measure.Unit, style)
            : $"{limited.Limit:0}";

    private static string SideWords(LimitSide side) =>
        side switch
        {
            LimitSide.AtMost => "up to",
            LimitSide.AtLeast => "at least",
        };

    private static string About(MeasuredBy by) => by == MeasuredBy.Ruler ? "" : "about ";

    /// <summary>A count or a size as it could be typed, so that the parser reads it back; empty for all else.</summary>
    public static string Typed(Observation observation, Character character, LengthStyle style = LengthStyle.Metric)
    {
        return observation.Match(
            cannotTell: _ => "",
            states: _ => "",
            counted: counted => Ends(counted.Low, counted.High) + (counted.Usual is { } usual ? $", mostly {usual}" : ""),
            measured: measured =>
                About(measured.By)
                + Ends(measured.Low, measured.High)
                + (measured.Typical is { } typical ? $", mostly {Bare(typical)}" : ""),
            limited: limited => $"{About(limited.By)}{SideWords(limited.Side)} {Ends(limited.Limit, limited.Limit)}",
            sought: _ => "",
            today: _ => "",
            tallied: _ => "",
            compared: _ => ""
        );

        string Bare(double value) => character is MeasureCharacter measure ? LengthWords.Number(value, measure.Unit, style) : $"{value:0}";

        string Ends(double low, double high)
        {
            if (character is MeasureCharacter measure)
                return LengthWords.Say(low, high, measure.Unit, style);
            return low == high ? $"{low:0}" : $"{low:0}–{high:0}";
        }
    }

    /// <summary>What a reading was taken on, for "from …"; empty for a fair sample.</summary>
    public static string Of(Origin origin) =>
        origin switch
        {
            Origin.FairSample => "",
            Origin.Sucker => "a sucker shoot",
            Origin.Litter => "litter on the ground",
            Origin.Hedge => "a clipped plant",
            Origin.Damaged => "damaged leaves",
        };

    /// <summary>A score in words: "usually in pairs, rarely in whorls", "(8–)15–30(–45) cm", "25 Mar – 10 May", "often".</summary>
    public static string Of(Scored scored, LengthStyle style = LengthStyle.Metric) => Of(scored, style, state => state.Label);

    /// <summary>As above.</summary>
    /// <param name="scored">The score.</param>
    /// <param name="style">The units to write lengths in.</param>
    /// <param name="write">How a state is written.</param>
    public static string Of(Scored scored, LengthStyle style, Func<State, string> write) =>
        scored.Match(
            states: (character, shown) =>
                string.Concat(
                    shown
                        .Elsewhere.OrderBy(place => place.Key)
                        .Select(place => $"; {At(place.Key)} {States(place.Value, character, write)}")
                        .Prepend(States(shown, character, write))
                        .Concat(InCountries(shown, character, write))
                ),
            count: (_, range) => range.Write(value => value.ToString("0", CultureInfo.InvariantCulture)),
            measure: (character, range) =>
                $"{range.Write(value => LengthWords.Number(value, character.Unit, style))} "
                + $"{LengthWords.Unit(character.Unit, style)}".TrimEnd(),
            presence: (_, presence) => HowOften(presence.Frequency),
            season: (_, season) => season.Window.ToString()
        );

    private static IEnumerable<string> InCountries(StateScore shown, StateCharacter character, Func<State, string> write) =>
        shown
            .ByCountry.GroupBy(pair => pair.Value, pair => Regions.Name(pair.Key))
            .Select(group => (Names: Join([.. group.Order(StringComparer.Ordinal)], "and"), Shown: group.Key))
            .OrderBy(group => group.Names, StringComparer.Ordinal)
            .Select(group => $"; in {group.Names} {States(group.Shown, character, write)}");

    /// <summary>A score as what a kind has: "leaves in pairs", "flowers often", "fruit from 5 Jun – 31 Oct".</summary>
    /// <param name="scored">The score.</param>
    /// <param name="delay">Days by which spring runs late where it is read; 0 at the flora's reference place.</param>
    public static string Has(Scored scored, double delay = 0) =>
        scored.Score.Match(
            states: _ => Fill(scored.Character, Of(scored)),
            range: _ => Fill(scored.Character, Of(scored)),
            presence: presence => $"{Fill(scored.Character, "")} {HowOften(presence.Frequency)}",
            season: season => $"{Fill(scored.Character, "")} {season.Window.Shifted(LateBy(scored.Character, delay))}"
        );

    private static double LateBy(Character character, double spring) =>
        character is SeasonCharacter season ? season.DelayWith(spring) : spring;

    /// <summary>"never", "rarely", "now and then", "often", "nearly always" or "always".</summary>
    public static string HowOften(double frequency) =>
        frequency switch
        {
            <= 0 => "never",
            < 0.1 => "rarely",
            < 0.4 => "now and then",
            < 0.8 => "often",
            < 1 => "nearly always",
            _ => "always",
        };

    /// <summary>The certainty as a person says it.</summary>
    public static string Of(Certainty certainty) =>
        certainty switch
        {
            Certainty.Sure => "sure",
            Certainty.Fair => "fairly sure",
            Certainty.Guess => "a guess",
        };

    /// <summary>"a", "a or b", "a, b or c".</summary>
    public static string Join(IReadOnlyList<string> words, string last) =>
        words.Count < 2 ? words.FirstOrDefault() ?? "" : $"{string.Join(", ", words.Take(words.Count - 1))} {last} {words[^1]}";

    private static string Fill(Character character, string value) => character.Phrase.Replace("{}", value, StringComparison.Ordinal).Trim();

    // The states of a score, the usual ones first.
    private static string States(StateScore score, StateCharacter character, Func<State, string> write)
    {
        var parts = score
            .States.GroupBy(state => WordFor(state.Weight))
            .OrderBy(group => Array.IndexOf(HowUsual, group.Key))
            .Select(group => (Often: group.Key, Words: Join([.. group.Select(state => write(character[state.State]))], "or")))
            .ToArray();
        // Where all are usual, that need not be said.
        return parts is [{ Often: Usually } only] ? only.Words : string.Join("; ", parts.Select(part => $"{part.Often} {part.Words}"));
    }

    private const string Usually = "usually",
        Sometimes = "sometimes",
        Rarely = "rarely";
    private static readonly string[] HowUsual = [Usually, Sometimes, Rarely];

    // A counted share goes to the nearest word.
    private static string WordFor(double weight) =>
        weight switch
        {
            >= 0.5 => Usually,
            >= 0.12 => Sometimes,
            _ => Rarely,
        };
}
