namespace VerdantSieve.Web.Safety;

/// <summary>Pages are read and forms are sent; what else HTTP knows (TRACE, CONNECT, WebDAV's) is told that it is not done here.</summary>
public sealed class KnownMethods(RequestDelegate next)
{
    public Task Invoke(HttpContext http)
    {
        var method = http.Request.Method;
        if (HttpMethods.IsGet(method) || HttpMethods.IsHead(method) || HttpMethods.IsPost(method) || HttpMethods.IsOptions(method))
            return next(http);
        http.Response.StatusCode = StatusCodes.Status405MethodNotAllowed;
        http.Response.Headers.Allow = "GET, HEAD, POST, OPTIONS";
        // The page that explains an error is itself asked for with GET.
        http.Request.Method = HttpMethods.Get;
        return Task.CompletedTask;
    }
}
