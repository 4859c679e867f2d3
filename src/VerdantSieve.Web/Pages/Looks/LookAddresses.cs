using Microsoft.AspNetCore.Antiforgery;
using Microsoft.AspNetCore.Mvc;
using VerdantSieve.Core.Botany;

namespace VerdantSieve.Web.Pages.Looks;

/// <summary>The addresses of a look's page, made by the router.</summary>
public sealed class LookAddresses(IUrlHelper url, Look look, OpenFlora open, IAntiforgery antiforgery) : ILookAddresses
{
    private readonly string words = url.Page("/Words", new { flora = open.Named })!;

    /// <inheritdoc/>
    public string Look { get; } = url.Page("/Looks/Look", new { id = look.Id })!;

    /// <inheritdoc/>
    public string Meshes => url.Page("/Looks/Meshes", new { id = look.Id })!;

    /// <inheritdoc/>
    public string Tree => url.Page("/Trees/Tree", new { id = look.TreeId })!;

    /// <inheritdoc/>
    public string Pictures => url.Page("/Looks/Pictures", new { id = look.Id })!;

    /// <inheritdoc/>
    public string Beside => url.Page("/Plants/Beside")!;

    /// <inheritdoc/>
    public string Board => url.Page("/Board", new { look = look.Id, flora = open.Named })!;

    /// <inheritdoc/>
    public string Words => words;

    /// <inheritdoc/>
    public string To(string handler) => url.Page("/Looks/Look", handler, new { id = look.Id })!;

    /// <inheritdoc/>
    public string Plant(Taxon taxon) => url.Page("/Plants/Plant", new { slug = taxon.Name.Slug, flora = open.Named })!;

    /// <inheritdoc/>
    public string Key(IEnumerable<Taxon> taxa) =>
        url.Page("/Keying/Key", new { names = string.Join('\n', taxa.Select(taxon => taxon.Name.Text)), flora = open.Named })!;

    /// <inheritdoc/>
    public string? Token => field ??= antiforgery.GetAndStoreTokens(url.ActionContext.HttpContext).RequestToken;
}
