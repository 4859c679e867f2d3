using Serilog;
using VerdantSieve.Web;
using VerdantSieve.Web.Api;
using VerdantSieve.Web.Curating;
using VerdantSieve.Web.Drawings;

var builder = WebApplication.CreateBuilder(args);
builder.Configuration.AddEnvironmentVariables(Settings.Prefix);
if (Settings.From(builder.Configuration, builder.Environment.ContentRootPath) is not { } settings)
    return Fail(
        "VERDANT_DATABASE is not set. Run ./start, or give an Npgsql connection string such as Host=localhost;Database=verdant;Username=me."
    );
builder.Services.AddLogs(settings);

var standing = await Foundation.Lay(settings, resetDemo: args.Contains("--reset-demo"));
if (!standing.Has(out var flora))
    return Fail(standing.Faults[0].Message);
if (args.Contains("--reset-demo"))
    return 0;

builder.WebHost.ConfigureKestrel(kestrel => kestrel.Limits.MaxRequestBodySize = ApiLimits.LargestBody);
builder.Services.AddStore(settings);
builder.Services.AddFloras(flora);
builder.Services.AddCurators();
builder.Services.AddPages(settings);

var app = builder.Build();
await using (var scope = app.Services.CreateAsyncScope())
    await DemoCurators.Ensure(scope.ServiceProvider);
app.UseExceptionHandler("/oops");
app.UseStatusCodePagesWithReExecute("/oops", "?code={0}");
app.UseResponseCompression();
app.UseStaticFiles(new StaticFileOptions { OnPrepareResponse = Services.KeepFiles });
app.UseRouting();
app.UseAuthentication();
app.UseAuthorization();
app.MapRazorPages();
app.MapDeskFiles();
app.MapDrawings();
app.MapSieveApi();
app.MapOpenApi("/openapi/{documentName}.json");
app.MapHealthChecks("/health");
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
