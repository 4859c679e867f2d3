using Microsoft.AspNetCore.Identity;
using Microsoft.EntityFrameworkCore;
using VerdantSieve.Store;
using VerdantSieve.Store.Curating;
using VerdantSieve.Store.Demo;
using VerdantSieve.Store.Notebooks;
using VerdantSieve.Store.People;

namespace VerdantSieve.Web.People;

/// <summary>People who do not exist, so that desk and notebook can be tried without setting anything up. Left out where VERDANT_DEMO is
/// “off”.</summary>
public static class DemoPeople
{
    /// <summary>A demonstration account, shown on the page to sign in.</summary>
    /// <param name="Name">The name to sign in with.</param>
    /// <param name="Shown">The name shown beside what they write.</param>
    /// <param name="Password">The password.</param>
    /// <param name="Role">What they are at the desk; null where nothing.</param>
    /// <param name="May">What they may do, in words.</param>
    public sealed record Account(string Name, string Shown, string Password, string? Role, string May)
    {
        /// <summary>The account's id.</summary>
        public string Id => $"demo-{Name}";
    }

    /// <summary>The accounts.</summary>
    public static IReadOnlyList<Account> All { get; } =
    [
        new("mara", "Mara Quillfeather", "leaf-by-leaf-1", CuratorRoles.Curator, "changes kinds and takes changes back"),
        new("ewan", "Ewan Sedgebrook", "root-and-branch-1", CuratorRoles.Keeper, "does that, and makes, imports and removes floras"),
        new("odalys", "Odalys Brandt", "creek-and-lantern-1", null, "walks Lantern Creek; the season in the notebook is hers"),
        new("pim", "Pim Achterberg", "second-reading-1", null, "reads what she determined a second time"),
    ];

    /// <summary>Sees to it that the roles, and in a demonstration the accounts, are there.</summary>
    public static async Task Ensure(IServiceProvider services)
    {
        var roles = services.GetRequiredService<RoleManager<IdentityRole>>();
        foreach (var role in new[] { CuratorRoles.Curator, CuratorRoles.Keeper })
            if (!await roles.RoleExistsAsync(role))
                await roles.CreateAsync(new IdentityRole(role));
        var users = services.GetRequiredService<UserManager<Person>>();
        if (!services.GetRequiredService<Settings>().Demo)
        {
            // Their passwords are known to all: without the demonstration they are gone, and with them every cookie of theirs.
            foreach (var left in await users.Users.Where(person => person.IsDemo).ToListAsync())
                await users.DeleteAsync(left);
            return;
        }
        foreach (var account in All)
        {
            if (await users.FindByNameAsync(account.Name) is not null)
                continue;
            var person = new Person
            {
                Id = account.Id,
                UserName = account.Name,
                Shown = account.Shown,
                IsDemo = true,
            };
            await users.CreateAsync(person, account.Password);
            if (account.Role is { } role)
                await users.AddToRoleAsync(person, role);
        }
        var database = services.GetRequiredService<SieveContext>();
        if (await database.Shares.FindAsync(DemoReserve.Walker, DemoReserve.SecondReaderId) is null)
        {
            database.Shares.Add(
                new ShareRow
                {
                    Owner = DemoReserve.Walker,
                    With = DemoReserve.SecondReaderId,
                    May = Sharing.Determine,
                }
            );
            await database.SaveChangesAsync();
        }
    }
}
