using System.Security.Claims;
using Microsoft.AspNetCore.Authorization;
using VerdantSieve.Store.Curating;

namespace VerdantSieve.Web.Curating;

/// <summary>What the person at the desk may do.</summary>
public static class CuratorAccess
{
    /// <summary>The policy of those who may change taxa.</summary>
    public const string ChangesTaxa = "changes-taxa";

    /// <summary>The policy of those who may make, import and remove floras.</summary>
    public const string KeepsFloras = "keeps-floras";

    /// <summary>The policy of those who have an account.</summary>
    public const string HasAccount = "has-account";

    /// <summary>The claim that holds the name shown beside changes.</summary>
    public const string ShownClaim = "shown";

    /// <summary>The claim of the demonstration's accounts.</summary>
    public const string DemoClaim = "demo";

    /// <summary>Whether they go by one of the demonstration's accounts.</summary>
    public static bool IsDemo(this ClaimsPrincipal person) => person.HasClaim(claim => claim.Type == DemoClaim);

    /// <summary>Adds the policies.</summary>
    public static void AddPolicies(AuthorizationOptions options)
    {
        options.AddPolicy(HasAccount, policy => policy.RequireAuthenticatedUser());
        options.AddPolicy(ChangesTaxa, policy => policy.RequireRole(CuratorRoles.Curator, CuratorRoles.Keeper));
        options.AddPolicy(KeepsFloras, policy => policy.RequireRole(CuratorRoles.Keeper));
    }

    /// <summary>Whether they may change taxa.</summary>
    public static bool MayChange(this ClaimsPrincipal person) => person.IsInRole(CuratorRoles.Curator) || person.MayKeepFloras();

    /// <summary>Whether they may make, import and remove floras.</summary>
    public static bool MayKeepFloras(this ClaimsPrincipal person) => person.IsInRole(CuratorRoles.Keeper);

    /// <summary>The name shown beside their changes.</summary>
    public static string Shown(this ClaimsPrincipal person) => person.FindFirst(ShownClaim)?.Value ?? person.Identity?.Name ?? "";
}
