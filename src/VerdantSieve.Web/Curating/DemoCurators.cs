using Microsoft.AspNetCore.Identity;
using Microsoft.EntityFrameworkCore;
using VerdantSieve.Store.Curating;

namespace VerdantSieve.Web.Curating;

/// <summary>Two curators who do not exist, so that the desk can be tried without setting anything up. Left out where VERDANT_DEMO is
/// “off”.</summary>
public static class DemoCurators
{
    /// <summary>A demonstration account, shown on the page to sign in.</summary>
    public sealed record Account(string Name, string Shown, string Password, string Role, string May);

    /// <summary>The accounts.</summary>
    public static IReadOnlyList<Account> All { get; } =
    [
        new("mara", "Mara Quillfeather", "leaf-by-leaf-1", CuratorRoles.Curator, "changes kinds and takes changes back"),
        new("ewan", "Ewan Sedgebrook", "root-and-branch-1", CuratorRoles.Keeper, "does that, and makes, imports and removes floras"),
    ];

    /// <summary>Sees to it that the roles, and in a demonstration the accounts, are there.</summary>
    public static async Task Ensure(IServiceProvider services)
    {
        var roles = services.GetRequiredService<RoleManager<IdentityRole>>();
        foreach (var role in new[] { CuratorRoles.Curator, CuratorRoles.Keeper })
            if (!await roles.RoleExistsAsync(role))
                await roles.CreateAsync(new IdentityRole(role));
        var users = services.GetRequiredService<UserManager<Curator>>();
        if (!services.GetRequiredService<Settings>().Demo)
        {
            // Their passwords are known to all: without the demonstration they are gone, and with them every cookie of theirs.
            foreach (var left in await users.Users.Where(curator => curator.IsDemo).ToListAsync())
                await users.DeleteAsync(left);
            return;
        }
        foreach (var account in All)
        {
            if (await users.FindByNameAsync(account.Name) is not null)
                continue;
            var curator = new Curator
            {
                UserName = account.Name,
                Shown = account.Shown,
                IsDemo = true,
            };
            await users.CreateAsync(curator, account.Password);
            await users.AddToRoleAsync(curator, account.Role);
        }
    }
}
