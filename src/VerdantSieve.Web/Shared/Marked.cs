using Microsoft.AspNetCore.Components;
using Microsoft.AspNetCore.Html;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Measuring;
using VerdantSieve.Core.Sieving;

namespace VerdantSieve.Web.Shared;

/// <summary>Marked-up words of the views as Razor Pages take them.</summary>
public static class Marked
{
    /// <inheritdoc cref="Say.Name"/>
    public static IHtmlContent Name(string name) => Of(Say.Name(name));

    /// <inheritdoc cref="Say.Prose"/>
    public static IHtmlContent Prose(Prose prose) => Of(Say.Prose(prose));

    /// <inheritdoc cref="Say.Score"/>
    public static IHtmlContent Score(Scored scored, LengthStyle style, string wordsAddress) => Of(Say.Score(scored, style, wordsAddress));

    private static HtmlString Of(MarkupString marked) => new(marked.Value);
}
