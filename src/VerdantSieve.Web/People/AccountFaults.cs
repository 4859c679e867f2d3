using Microsoft.AspNetCore.Identity;

namespace VerdantSieve.Web.People;

/// <summary>What the framework refuses of an account, at its field and in plain words.</summary>
public static class AccountFaults
{
    /// <summary>The field of a form that it belongs to.</summary>
    public static string FieldOf(IdentityError error)
    {
        if (error.Code.Contains("Password", StringComparison.Ordinal))
            return "password";
        return error.Code.Contains("Email", StringComparison.Ordinal) ? "email" : "name";
    }

    /// <summary>What is wrong, as a sentence that says what is allowed.</summary>
    public static string Say(IdentityError error) =>
        error.Code switch
        {
            nameof(IdentityErrorDescriber.DuplicateUserName) => "Somebody goes by that name already; choose another.",
            nameof(IdentityErrorDescriber.InvalidUserName) => "A name has letters a to z, digits and - . _ @ +, and no spaces.",
            nameof(IdentityErrorDescriber.PasswordTooShort) => "A password has at least 12 letters.",
            nameof(IdentityErrorDescriber.PasswordRequiresDigit) => "Put at least one digit into the password.",
            nameof(IdentityErrorDescriber.PasswordRequiresLower) => "Put at least one small letter into the password.",
            nameof(IdentityErrorDescriber.PasswordMismatch) => "That is not the password so far.",
            nameof(IdentityErrorDescriber.InvalidToken) => "This link is used up or too old; ask for a new one.",
            _ => error.Description,
        };
}
