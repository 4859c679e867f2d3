using Microsoft.AspNetCore.Identity;
using Microsoft.EntityFrameworkCore;
using VerdantSieve.Store.Curating;
using VerdantSieve.Store.People;

namespace VerdantSieve.Web.Curating;

/// <summary>Makes, resets and removes curators from the command line: <c>./start curators add NAME</c>. A password is asked for and never
/// shown, kept in a history, or given as an argument.</summary>
public static class CuratorDesk
{
    private const string Usage = """
        ./start curators list              who they are
        ./start curators add NAME          makes one who changes kinds and takes changes back
        ./start curators add NAME keeper   makes one who also makes, imports and removes floras
        ./start curators reset NAME        sets a new password; wherever NAME is signed in, that ends
        ./start curators remove NAME       takes one off; what they changed stays, with their name
        """;

    /// <summary>Does what is asked.</summary>
    /// <returns>0 where it was done, 1 where it was not.</returns>
    public static async Task<int> Run(IServiceProvider services, string[] asked, TextReader input, TextWriter output, TextWriter errors)
    {
        var users = services.GetRequiredService<UserManager<Person>>();
        var wrong = asked switch
        {
            ["list"] => await List(users, output),
            ["add", var name] => await Add(users, name, CuratorRoles.Curator, input, output),
            ["add", var name, CuratorRoles.Keeper] => await Add(users, name, CuratorRoles.Keeper, input, output),
            ["reset", var name] => await Reset(users, name, input, output),
            ["remove", var name] => await Remove(users, name, output),
            _ => Usage,
        };
        if (wrong is not null)
            await errors.WriteLineAsync(wrong);
        return wrong is null ? 0 : 1;
    }

    private static async Task<string?> List(UserManager<Person> users, TextWriter output)
    {
        foreach (var curator in await users.Users.OrderBy(curator => curator.UserName).ToListAsync())
        {
            var roles = string.Join(", ", await users.GetRolesAsync(curator));
            await output.WriteLineAsync($"{curator.UserName}  {roles}{(curator.IsDemo ? "  (demonstration)" : "")}");
        }
        return null;
    }

    private static async Task<string?> Add(UserManager<Person> users, string name, string role, TextReader input, TextWriter output)
    {
        if (await users.FindByNameAsync(name) is not null)
            return $"There is a curator {name} already. “reset” sets a new password.";
        var curator = new Person { UserName = name, Shown = name };
        var made = await users.CreateAsync(curator, await Password(name, input, output));
        if (!made.Succeeded)
            return Why(made);
        await users.AddToRoleAsync(curator, role);
        await output.WriteLineAsync($"{name} can sign in now, as a {role}.");
        return null;
    }

    private static async Task<string?> Reset(UserManager<Person> users, string name, TextReader input, TextWriter output)
    {
        if (await users.FindByNameAsync(name) is not { } curator)
            return NoSuch(name);
        var token = await users.GeneratePasswordResetTokenAsync(curator);
        var set = await users.ResetPasswordAsync(curator, token, await Password(name, input, output));
        if (!set.Succeeded)
            return Why(set);
        // With a password of its own it is no longer one that everybody knows.
        curator.IsDemo = false;
        await users.UpdateAsync(curator);
        await output.WriteLineAsync($"{name} has a new password, and is signed out everywhere.");
        return null;
    }

    private static async Task<string?> Remove(UserManager<Person> users, string name, TextWriter output)
    {
        if (await users.FindByNameAsync(name) is not { } curator)
            return NoSuch(name);
        await users.DeleteAsync(curator);
        await output.WriteLineAsync($"{name} is taken off, and is signed out everywhere.");
        return null;
    }

    private static string NoSuch(string name) => $"There is no curator {name}. “list” shows who there are.";

    private static async Task<string> Password(string name, TextReader input, TextWriter output)
    {
        await output.WriteAsync($"A password for {name}, of 12 letters at least: ");
        var password = await input.ReadLineAsync() ?? "";
        await output.WriteLineAsync();
        return password;
    }

    private static string Why(IdentityResult result) => string.Join(' ', result.Errors.Select(error => error.Description));
}
