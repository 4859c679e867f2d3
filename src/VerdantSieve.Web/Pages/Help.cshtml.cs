using Microsoft.AspNetCore.Mvc.RazorPages;

namespace VerdantSieve.Web.Pages;

/// <summary>How the sieve works, in a page.</summary>
public sealed class HelpModel : PageModel;
