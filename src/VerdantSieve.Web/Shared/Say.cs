using System.Globalization;
using System.Net;
using System.Text;
using Microsoft.AspNetCore.Html;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Measuring;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Sieving;

namespace VerdantSieve.Web.Shared;

/// <summary>Small pieces of text as pages set them: names in italics, chances, dates.</summary>
public static class Say
{
    /// <summary>A scientific name: its Latin in italics, ranks and hybrid signs upright.</summary>
    public static IHtmlContent Name(string name)
    {
        var html = new StringBuilder();
        foreach (var (word, italic) in new ScientificName(name).Words())
            html.Append(html.Length > 0 ? " " : "").Append(italic ? "<i class=\"latin\">" : "").Append(WebUtility.HtmlEncode(word)).Append(italic ? "</i>" : "");
        return new HtmlString(html.ToString());
    }

    /// <summary>Plain words with their names in italics.</summary>
    public static IHtmlContent Prose(Prose prose) =>
        new HtmlString(string.Concat(prose.Runs.Select(run => run.Name ? Name(run.Text).ToString() : WebUtility.HtmlEncode(run.Text))));

    /// <summary>A score in words, each state with the way to its meaning.</summary>
    public static IHtmlContent Score(Score score, Character character, LengthStyle style, OpenFlora flora) => new HtmlString((score, character) is (StateScore states, StateCharacter named)
        ? Wording.States(states, named, state => $"<a class=\"word\" href=\"{WebUtility.HtmlEncode(flora.At($"/words#{WordId(named, state)}"))}\" title=\"{WebUtility.HtmlEncode(state.Meaning)}\">{WebUtility.HtmlEncode(state.Label)}</a>")
        : WebUtility.HtmlEncode(Wording.Of(score, character, style)));

    /// <summary>Where a state stands on the page of words.</summary>
    public static string WordId(StateCharacter character, State state) => $"{character.Id}-is-{state.Id}";

    /// <summary>A chance as people read it: never 0 % or 100 %.</summary>
    public static string Chance(double probability) => probability switch
    {
        < 0.005 => "under 1\u00a0%",
        > 0.995 => "over 99\u00a0%",
        _ => $"{Math.Round(probability * 100):0}\u00a0%"
    };

    /// <summary>A share such as 40 %.</summary>
    public static string Percent(double share) => $"{Math.Round(share * 100):0}\u00a0%";

    /// <summary>A date such as 14 June 2026.</summary>
    public static string Date(DateOnly date) => date.ToString("d MMMM yyyy", CultureInfo.InvariantCulture);

    /// <summary>A number for a style sheet.</summary>
    public static string Number(double value) => value.ToString("0.##", CultureInfo.InvariantCulture);

    /// <summary>A hazard's kind in a word or two.</summary>
    public static string Of(HazardKind kind) => kind switch
    {
        HazardKind.SkinIrritant => "burns the skin", HazardKind.Poisonous => "poisonous", HazardKind.Thorns => "thorns or prickles", _ => "irritating hairs"
    };

    /// <summary>A part of the plant as a heading.</summary>
    public static string Part(string part) => part switch
    {
        "foliage" => "Foliage and its order", "leaf-structure" => "Simple or compound", "leaf-size" => "Size", "blade" => "Blade", "lobes" => "Lobes", "margin" => "Margin",
        "venation" => "Veins", "surface" => "Surfaces, colour, smell", "petiole" => "Leaf stalk", "needles" => "Needles and scales", "twig" => "Twig and bud",
        "flower" => "Flower", "fruit" => "Fruit and cone", "whole-plant" => "The whole plant", "bark" => "Bark", _ => char.ToUpperInvariant(part[0]) + part[1..].Replace('-', ' ')
    };
}

/// <summary>The reader's own units, kept in a cookie.</summary>
public static class Units
{
    /// <summary>The cookie's name.</summary>
    public const string Cookie = "units";

    /// <summary>The style of lengths this reader asked for.</summary>
    public static LengthStyle Of(HttpRequest request) => request.Cookies[Cookie] == "inches" ? LengthStyle.Inches : LengthStyle.Metric;
}
