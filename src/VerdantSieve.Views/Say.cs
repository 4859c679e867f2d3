using System.Globalization;
using System.Net;
using System.Text;
using Microsoft.AspNetCore.Components;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Drawing.Plates;
using VerdantSieve.Core.Measuring;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Seasons;
using VerdantSieve.Core.Sieving;

namespace VerdantSieve.Views;

/// <summary>Small pieces of text as pages set them: names in italics, chances, dates.</summary>
public static class Say
{
    /// <summary>A scientific name: its Latin in italics, ranks and hybrid signs upright.</summary>
    public static MarkupString Name(string name)
    {
        var html = new StringBuilder();
        foreach (var (word, italic) in ScientificName.WordsOf(name))
            html.Append(html.Length > 0 ? " " : "")
                .Append(italic ? "<i class=\"latin\">" : "")
                .Append(WebUtility.HtmlEncode(word))
                .Append(italic ? "</i>" : "");
        return new MarkupString(html.ToString());
    }

    /// <summary>Plain words with their names in italics.</summary>
    public static MarkupString Prose(Prose prose) =>
        new MarkupString(string.Concat(prose.Runs.Select(run => run.Name ? Name(run.Text).Value : WebUtility.HtmlEncode(run.Text))));

    /// <summary>A score in words, each state with the way to its meaning.</summary>
    public static MarkupString Score(Scored scored, LengthStyle style, string wordsAddress) =>
        new MarkupString(
            scored.Match(
                states: (character, _) => Wording.Of(scored, style, state => Word(character, state, wordsAddress)),
                count: (_, _) => WebUtility.HtmlEncode(Wording.Of(scored, style)),
                measure: (_, _) => WebUtility.HtmlEncode(Wording.Of(scored, style)),
                presence: (_, _) => WebUtility.HtmlEncode(Wording.Of(scored, style)),
                season: (_, _) => WebUtility.HtmlEncode(Wording.Of(scored, style))
            )
        );

    private static string Word(StateCharacter character, State state, string wordsAddress)
    {
        var address = WebUtility.HtmlEncode($"{wordsAddress}#{WordId(character, state)}");
        return $"<a class=\"word\" href=\"{address}\" "
            + $"title=\"{WebUtility.HtmlEncode(state.Meaning)}\">{WebUtility.HtmlEncode(state.Label)}</a>";
    }

    /// <summary>Where a state stands on the page of words.</summary>
    public static string WordId(StateCharacter character, State state) => $"{character.Id}-is-{state.Id}";

    /// <summary>A chance as people read it: never 0 % or 100 %.</summary>
    public static string Chance(double probability) =>
        probability switch
        {
            < 0.005 => "under 1\u00a0%",
            > 0.995 => "over 99\u00a0%",
            _ => $"{Math.Round(probability * 100):0}\u00a0%",
        };

    /// <summary>A share such as 40 %.</summary>
    public static string Percent(double share) => $"{Math.Round(share * 100):0}\u00a0%";

    /// <summary>A date such as 14 June 2026.</summary>
    public static string Date(DateOnly date) => date.ToString("d MMMM yyyy", CultureInfo.InvariantCulture);

    /// <summary>A day as people write it.</summary>
    public static string Date(NodaTime.LocalDate date) => Date(date.ToDateOnly());

    /// <summary>A number for a style sheet.</summary>
    public static string Number(double value) => value.ToString("0.##", CultureInfo.InvariantCulture);

    /// <summary>How far a plant is with its leaves.</summary>
    public static string Of(LeafStage stage) =>
        stage switch
        {
            LeafStage.Leafless => "gone: it is bare",
            LeafStage.Bud => "in bud",
            LeafStage.Leafing => "unfolding",
            LeafStage.Leaf => "in full leaf",
            LeafStage.Turning => "turning",
            LeafStage.LeafFall => "falling",
        };

    /// <summary>What kind of sign a reading is; empty where there is nothing to say of it.</summary>
    public static string Of(SignKind sign) =>
        sign switch
        {
            SignKind.Ordinary => "",
            SignKind.MustHave => "It must have this sign, and others may.",
            SignKind.TellsAll => "Few other kinds show it: it tells all.",
            SignKind.ProvesLittle => "It proves little.",
        };

    /// <summary>A hazard's kind in a word or two.</summary>
    public static string Of(HazardKind kind) =>
        kind switch
        {
            HazardKind.SkinIrritant => "burns the skin",
            HazardKind.Poisonous => "poisonous",
            HazardKind.Thorns => "thorns or prickles",
            HazardKind.Hairs => "irritating hairs",
        };

    /// <summary>The kinds with a hazard, after "kinds".</summary>
    public static string ThatHave(HazardKind kind) =>
        kind switch
        {
            HazardKind.SkinIrritant => "that burn the skin",
            HazardKind.Poisonous => "that are poisonous",
            HazardKind.Thorns => "with thorns or prickles",
            HazardKind.Hairs => "with irritating hairs",
        };

    private static readonly Dictionary<string, string> Parts = new()
    {
        ["foliage"] = "Foliage and its order",
        ["leaf-structure"] = "Simple or compound",
        ["leaf-size"] = "Size",
        ["blade"] = "Blade",
        ["lobes"] = "Lobes",
        ["margin"] = "Margin",
        ["venation"] = "Veins",
        ["surface"] = "Surfaces, colour, smell",
        ["petiole"] = "Leaf stalk",
        ["needles"] = "Needles and scales",
        ["twig"] = "Twig and bud",
        ["flower"] = "Flower",
        ["fruit"] = "Fruit and cone",
        ["whole-plant"] = "The whole plant",
        ["bark"] = "Bark",
    };

    /// <summary>A part of the plant as a heading; an own flora may have parts of its own, or none.</summary>
    public static string Part(string? part) => Parts.GetValueOrDefault(part ?? "") ?? Capital((part ?? "characters").Replace('-', ' '));

    /// <summary>Words as they begin a sentence.</summary>
    public static string Capital(string words) => char.ToUpperInvariant(words[0]) + words[1..];

    /// <summary>A day as people write it; the text itself where it is none.</summary>
    public static string Day(string text) => DateOnly.TryParseExact(text, "yyyy-MM-dd", out var day) ? Date(day) : text;

    /// <summary>What a part of a plate shows.</summary>
    public static string Of(PlateOrgan organ) =>
        organ switch
        {
            PlateOrgan.Leaf => "the usual leaf or shoot",
            PlateOrgan.Variation => "other leaves of the kind",
            PlateOrgan.Shoot => "a shoot",
            PlateOrgan.Needle => "a needle enlarged",
            PlateOrgan.Twig => "a twig with buds",
            PlateOrgan.Flower => "flowers",
            PlateOrgan.Fruit => "fruit",
            PlateOrgan.Bark => "bark",
            PlateOrgan.Habit => "the whole plant",
        };
}
