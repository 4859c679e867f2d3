using System.Security.Claims;
using Microsoft.AspNetCore.Identity;
using Microsoft.Extensions.Options;
using VerdantSieve.Store.Curating;

namespace VerdantSieve.Web.Curating;

/// <summary>What the person at the desk may do.</summary>
public static class CuratorAccess
{
    /// <summary>The claim that holds the name shown beside changes.</summary>
    public const string ShownClaim = "shown";

    /// <summary>Whether they may change taxa.</summary>
    public static bool MayChange(this ClaimsPrincipal person) => person.IsInRole(CuratorRoles.Curator) || person.MayKeepFloras();

    /// <summary>Whether they may make, import and remove floras.</summary>
    public static bool MayKeepFloras(this ClaimsPrincipal person) => person.IsInRole(CuratorRoles.Keeper);

    /// <summary>The name shown beside their changes.</summary>
    public static string Shown(this ClaimsPrincipal person) => person.FindFirst(ShownClaim)?.Value ?? person.Identity?.Name ?? "";
}

/// <summary>Gives a curator who signs in the name to be shown.</summary>
public sealed class CuratorClaims(UserManager<Curator> users, RoleManager<IdentityRole> roles, IOptions<IdentityOptions> options)
    : UserClaimsPrincipalFactory<Curator, IdentityRole>(users, roles, options)
{
    /// <inheritdoc/>
    protected override async Task<ClaimsIdentity> GenerateClaimsAsync(Curator user)
    {
        var identity = await base.GenerateClaimsAsync(user);
        identity.AddClaim(new Claim(CuratorAccess.ShownClaim, user.Shown.Length > 0 ? user.Shown : user.UserName ?? ""));
        return identity;
    }
}
