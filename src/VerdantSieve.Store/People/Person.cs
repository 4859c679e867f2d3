using Microsoft.AspNetCore.Identity;

namespace VerdantSieve.Store.People;

/// <summary>Someone with an account: it holds their notebook, and what roles they have at the desk.</summary>
public sealed class Person : IdentityUser
{
    /// <summary>The name shown beside what they wrote.</summary>
    public string Shown { get; set; } = "";

    /// <summary>Whether it is one of the demonstration's, whose passwords everybody knows.</summary>
    public bool IsDemo { get; set; }
}
