using Serilog;
using VerdantSieve.Web;
using VerdantSieve.Web.Api;
using VerdantSieve.Web.Curating;
using VerdantSieve.Web.People;
using VerdantSieve.Web.Safety;

var builder = WebApplication.CreateBuilder(args);
builder.Configuration.AddEnvironmentVariables(Settings.Prefix);
if (Settings.From(builder.Configuration, builder.Environment.ContentRootPath) is not { } settings)
    return Fail(
        "VERDANT_DATABASE is not set. Run ./start, or give an Npgsql connection string such as Host=localhost;Database=verdant;Username=me."
    );
builder.Services.AddLogs(settings);

// The flora is read while the host is put together.
var laying = Task.Run(() => Foundation.Lay(settings, resetDemo: args.Contains("--reset-demo")));

builder.WebHost.ConfigureKestrel(kestrel =>
{
    kestrel.AddServerHeader = false;
    kestrel.Limits.MaxRequestBodySize = ApiLimits.LargestBody;
});
builder.Services.AddStore(settings);
builder.Services.AddFloras(laying);
builder.Services.AddPeople();
builder.Services.AddPages();
builder.Services.AddHosts(settings);
builder.Services.AddBounds(settings);

var app = builder.Build();
app.UseForwardedHeaders();
app.UseSafeHeaders();
app.UseExceptionHandler("/oops");
app.UseStatusCodePagesWithReExecute("/oops", "?code={0}");
if (!app.Environment.IsDevelopment())
    app.UseHsts();
app.UseMiddleware<KnownMethods>();
app.UseResponseCompression();
app.UseStaticFiles(new StaticFileOptions { OnPrepareResponse = Services.KeepFiles });
app.UsePlainText();
app.UseRouting();
app.UseRateLimiter();
app.UseRequestTimeouts();
app.UseAuthentication();
app.UseAuthorization();
app.MapAll();

var standing = await laying;
if (!standing.Has(out _))
    return Fail(standing.Faults[0].Message);
if (args.Contains("--reset-demo"))
    return 0;
await using (var scope = app.Services.CreateAsyncScope())
{
    // The flora is made ready meanwhile.
    var opening = Task.Run(app.Services.GetRequiredService<FloraShelf>);
    await DemoPeople.Ensure(scope.ServiceProvider);
    if (args is ["--curators", .. var asked])
        return await CuratorDesk.Run(scope.ServiceProvider, asked, Console.In, Console.Out, Console.Error);
    await opening;
}
await app.RunAsync();
await Log.CloseAndFlushAsync();
return 0;

static int Fail(string sentence)
{
    Console.Error.WriteLine(sentence);
    return 1;
}

/// <summary>The application's entry point, named for tests.</summary>
public partial class Program;
