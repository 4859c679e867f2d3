using Microsoft.AspNetCore.Identity;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using VerdantSieve.Core;
using VerdantSieve.Store.Notebooks;
using VerdantSieve.Store.People;
using VerdantSieve.Web.People;

namespace VerdantSieve.Web.Pages.People;

/// <summary>Makes an account.</summary>
public sealed class SignUpModel(SignInManager<Person> signIn, UserManager<Person> users, AccountBook accounts) : PageModel
{
    private const int LongestName = 40,
        LongestShown = 60;

    public string Name { get; private set; } = "";
    public string Shown { get; private set; } = "";
    public string Email { get; private set; } = "";
    public string Back { get; private set; } = "";

    private IReadOnlyList<Fault> faults = [];

    /// <summary>What is wrong with a field; null where nothing is.</summary>
    public string? FaultAt(string field) => faults.FirstOrDefault(fault => fault.At == field)?.Sentence;

    public string? Invalid(string field) => FaultAt(field) is null ? null : "true";

    public void OnGet(string? back) => Back = Local(back);

    public async Task<IActionResult> OnPost(string? name, string? shown, string? email, string? password, string? back)
    {
        (Name, Shown) = (name?.Trim() ?? "", shown?.Trim() ?? "");
        (Email, Back) = (email?.Trim() ?? "", Local(back));
        faults = [.. Wrong(password ?? "")];
        if (faults.Count > 0)
            return Refused();
        var person = new Person
        {
            UserName = Name,
            Shown = Shown.Length > 0 ? Shown : Name,
            Email = Email.Length > 0 ? Email : null,
        };
        var made = await users.CreateAsync(person, password!);
        if (!made.Succeeded)
        {
            faults = [.. made.Errors.Select(error => new Fault(AccountFaults.FieldOf(error), AccountFaults.Say(error)))];
            return Refused();
        }
        await signIn.SignInAsync(person, isPersistent: true);
        await SignInModel.TakeOver(HttpContext, accounts, person);
        return LocalRedirect(Back);
    }

    private IEnumerable<Fault> Wrong(string password)
    {
        if (Name.Length is 0 or > LongestName)
            yield return new Fault("name", $"Give a name of 1 to {LongestName} letters.");
        if (Shown.Length > LongestShown)
            yield return new Fault("name", $"The name shown has at most {LongestShown} letters.");
        if (Email.Length > 0 && !new System.ComponentModel.DataAnnotations.EmailAddressAttribute().IsValid(Email))
            yield return Fault.AtField("email", Email, "Write it as name@place.example, or leave it out.");
        if (password.Length > SignInModel.Longest)
            yield return new Fault("password", $"A password has at most {SignInModel.Longest} letters.");
    }

    private PageResult Refused()
    {
        Response.StatusCode = StatusCodes.Status422UnprocessableEntity;
        return Page();
    }

    private string Local(string? back) => back is { Length: > 0 } && Url.IsLocalUrl(back) ? back : Url.Page("/Notebook")!;
}
