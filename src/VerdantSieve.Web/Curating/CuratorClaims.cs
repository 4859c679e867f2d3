using System.Security.Claims;
using Microsoft.AspNetCore.Identity;
using Microsoft.Extensions.Options;
using VerdantSieve.Store.Curating;

namespace VerdantSieve.Web.Curating;

/// <summary>Gives a curator who signs in the name to be shown.</summary>
public sealed class CuratorClaims(UserManager<Curator> users, RoleManager<IdentityRole> roles, IOptions<IdentityOptions> options)
    : UserClaimsPrincipalFactory<Curator, IdentityRole>(users, roles, options)
{
    /// <inheritdoc/>
    protected override async Task<ClaimsIdentity> GenerateClaimsAsync(Curator user)
    {
        var identity = await base.GenerateClaimsAsync(user);
        identity.AddClaim(new Claim(CuratorAccess.ShownClaim, user.Shown.Length > 0 ? user.Shown : user.UserName ?? ""));
        if (user.IsDemo)
            identity.AddClaim(new Claim(CuratorAccess.DemoClaim, "true"));
        return identity;
    }
}
