using Microsoft.AspNetCore.Authorization;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.Filters;

namespace VerdantSieve.Web.Curating;

/// <summary>A page that all may read, and whose forms only those may send whom a policy lets.</summary>
/// <param name="policy">The policy.</param>
[AttributeUsage(AttributeTargets.Class)]
public sealed class AuthorizePostsAttribute(string policy) : Attribute, IAsyncAuthorizationFilter
{
    /// <summary>The policy.</summary>
    public string Policy => policy;

    /// <inheritdoc/>
    public async Task OnAuthorizationAsync(AuthorizationFilterContext context)
    {
        var http = context.HttpContext;
        if (!HttpMethods.IsPost(http.Request.Method))
            return;
        var authorization = http.RequestServices.GetRequiredService<IAuthorizationService>();
        if (!(await authorization.AuthorizeAsync(http.User, policy)).Succeeded)
            context.Result = new ForbidResult();
    }
}
