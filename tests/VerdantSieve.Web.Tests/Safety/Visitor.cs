using System.Net;
using System.Text.RegularExpressions;

namespace VerdantSieve.Web.Tests.Safety;

/// <summary>Someone who sends requests as a browser without scripts would: with cookies of their own and the tokens of pages they
/// saw.</summary>
public sealed partial class Visitor : IDisposable
{
    private readonly HttpClient http;

    public Visitor(Uri address)
    {
        Cookies = new CookieContainer();
        http = new HttpClient(new HttpClientHandler { AllowAutoRedirect = false, CookieContainer = Cookies }) { BaseAddress = address };
    }

    public CookieContainer Cookies { get; }

    public HttpClient Http => http;

    /// <summary>One who has signed in.</summary>
    public static async Task<Visitor> SignedIn(Uri address, string name, string password)
    {
        var visitor = new Visitor(address);
        var answer = await visitor.Post("/sign-in", ("name", name), ("password", password));
        return answer.StatusCode == HttpStatusCode.Redirect ? visitor : throw new InvalidOperationException($"{name} could not sign in.");
    }

    /// <summary>The token of a page.</summary>
    public async Task<string> Token(string page = "/sign-in") =>
        TokenPattern().Match(await http.GetStringAsync(page)) is { Success: true } match
            ? match.Groups[1].Value
            : throw new InvalidOperationException($"{page} has no form.");

    /// <summary>Sends a form with a token.</summary>
    public async Task<HttpResponseMessage> Post(string to, params (string Name, string Value)[] fields) =>
        await PostAs(to, await Token(), fields);

    /// <summary>Sends a form with a token, or without where it is null.</summary>
    public Task<HttpResponseMessage> PostAs(string to, string? token, params (string Name, string Value)[] fields)
    {
        IEnumerable<(string Name, string Value)> all = token is null ? fields : fields.Append(("__RequestVerificationToken", token));
        return http.PostAsync(to, new FormUrlEncodedContent(all.Select(field => KeyValuePair.Create(field.Name, field.Value))));
    }

    public void Dispose() => http.Dispose();

    [GeneratedRegex("__RequestVerificationToken\"[^>]*value=\"([^\"]+)\"")]
    private static partial Regex TokenPattern();
}
