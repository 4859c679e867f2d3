using System.Security.Claims;
using Microsoft.AspNetCore.Identity;
using Microsoft.Extensions.Options;
using VerdantSieve.Store.People;
using VerdantSieve.Web.Curating;

namespace VerdantSieve.Web.People;

/// <summary>Gives a person who signs in the name to be shown.</summary>
public sealed class PersonClaims(UserManager<Person> users, RoleManager<IdentityRole> roles, IOptions<IdentityOptions> options)
    : UserClaimsPrincipalFactory<Person, IdentityRole>(users, roles, options)
{
    /// <inheritdoc/>
    protected override async Task<ClaimsIdentity> GenerateClaimsAsync(Person user)
    {
        var identity = await base.GenerateClaimsAsync(user);
        identity.AddClaim(new Claim(CuratorAccess.ShownClaim, user.Shown.Length > 0 ? user.Shown : user.UserName ?? ""));
        if (user.IsDemo)
            identity.AddClaim(new Claim(CuratorAccess.DemoClaim, "true"));
        return identity;
    }
}
