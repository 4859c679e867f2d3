using System.IO.Compression;
using Microsoft.AspNetCore.DataProtection;
using Microsoft.AspNetCore.Identity;
using Microsoft.AspNetCore.ResponseCompression;
using Microsoft.EntityFrameworkCore;
using Npgsql;
using VerdantSieve.Core.Botany;
using VerdantSieve.Store;
using VerdantSieve.Store.Curating;
using VerdantSieve.Store.Demo;
using VerdantSieve.Store.Floras;
using VerdantSieve.Store.Looks;
using VerdantSieve.Web;
using VerdantSieve.Web.Api;
using VerdantSieve.Web.Curating;
using VerdantSieve.Web.Drawings;

var builder = WebApplication.CreateBuilder(args);
if (Environment.GetEnvironmentVariable("VERDANT_DATABASE") is not { Length: > 0 } connection)
    return Fail("VERDANT_DATABASE is not set. Run ./start, or give an Npgsql connection string such as Host=localhost;Database=verdant;Username=me.");
var floras = Environment.GetEnvironmentVariable("VERDANT_FLORAS") ?? Path.Combine(builder.Environment.ContentRootPath, "..", "..", "floras");

// What must stand before the first page: the tables, the flora, the demonstration.
Flora flora;
try
{
    var options = new DbContextOptionsBuilder<SieveContext>();
    SieveContext.Configure(options, connection);
    await using var database = new SieveContext(options.Options);
    await database.Database.MigrateAsync();
    flora = await new FloraLoader(database).Load(Path.Combine(floras, "temperate-trees"));
    var demo = new DemoLooks(database, flora);
    if (args.Contains("--reset-demo"))
    {
        await demo.Reset();
        return 0;
    }
    await demo.LoadOnce();
}
catch (FloraFaultException faults) { return Fail(faults.Message); }
catch (DirectoryNotFoundException missing) { return Fail(missing.Message); }
catch (Exception trouble) when (trouble is NpgsqlException or ArgumentException || trouble.InnerException is NpgsqlException)
{
    return Fail($"The database does not answer: {(trouble.InnerException ?? trouble).Message} Check that PostgreSQL runs, and VERDANT_DATABASE.");
}

builder.WebHost.ConfigureKestrel(kestrel => kestrel.Limits.MaxRequestBodySize = SieveEndpoints.LargestBody);
builder.Services.AddDbContextPool<SieveContext>(options => SieveContext.Configure(options, connection));
builder.Services.AddScoped<LookBook>();
builder.Services.AddScoped<RevisionBook>();
builder.Services.AddScoped<FloraLoader>();
builder.Services.AddScoped<FloraLibrary>();
builder.Services.AddSingleton<FloraImports>();
builder.Services.AddSingleton(new FloraFolder(Path.Combine(floras, "temperate-trees")));
var shipped = new OpenFlora(flora);
shipped.WarmUp();
shipped.StartReport();
builder.Services.AddSingleton(services => new FloraShelf(shipped, async id =>
{
    await using var scope = services.CreateAsyncScope();
    return await scope.ServiceProvider.GetRequiredService<FloraLibrary>().Read(id);
}));
builder.Services.AddIdentity<Curator, IdentityRole>(options =>
{
    (options.Password.RequiredLength, options.Password.RequireNonAlphanumeric, options.Password.RequireUppercase) = (12, false, false);
    (options.Lockout.MaxFailedAccessAttempts, options.Lockout.DefaultLockoutTimeSpan) = (5, TimeSpan.FromMinutes(5));
}).AddEntityFrameworkStores<SieveContext>().AddClaimsPrincipalFactory<CuratorClaims>().AddDefaultTokenProviders();
builder.Services.ConfigureApplicationCookie(options =>
{
    (options.LoginPath, options.AccessDeniedPath, options.ReturnUrlParameter) = ("/desk/sign-in", "/desk/sign-in", "back");
    (options.Cookie.Name, options.Cookie.SameSite, options.ExpireTimeSpan) = ("curator", SameSiteMode.Lax, TimeSpan.FromDays(14));
});
builder.Services.AddRazorPages();
builder.Services.AddProblemDetails();
builder.Services.AddOpenApi("v1");
builder.Services.AddHealthChecks().AddDbContextCheck<SieveContext>();
builder.Services.AddDataProtection().SetApplicationName("VerdantSieve")
    .PersistKeysToFileSystem(new DirectoryInfo(Path.Combine(builder.Environment.ContentRootPath, "..", "..", ".run", "keys")));
builder.Services.AddResponseCompression(options =>
{
    options.EnableForHttps = true;
    options.Providers.Add<BrotliCompressionProvider>();
    options.Providers.Add<GzipCompressionProvider>();
    options.MimeTypes = [.. ResponseCompressionDefaults.MimeTypes, "image/svg+xml", "application/problem+json"];
});
builder.Services.Configure<BrotliCompressionProviderOptions>(options => options.Level = CompressionLevel.Fastest);
builder.Services.ConfigureHttpJsonOptions(options => ApiJson.Configure(options.SerializerOptions));
builder.Logging.AddFilter("Microsoft.EntityFrameworkCore.Database.Command", LogLevel.Warning);

var app = builder.Build();
await using (var scope = app.Services.CreateAsyncScope()) await DemoCurators.Ensure(scope.ServiceProvider);
app.UseExceptionHandler("/oops");
app.UseStatusCodePagesWithReExecute("/oops", "?code={0}");
app.UseResponseCompression();
app.UseStaticFiles(new StaticFileOptions
{
    OnPrepareResponse = context => context.Context.Response.Headers.CacheControl =
        context.Context.Request.Query.ContainsKey("v") ? "public, max-age=31536000, immutable" : "public, max-age=3600"
});
app.UseRouting();
app.UseAuthentication();
app.UseAuthorization();
app.MapRazorPages();
app.MapGet("/desk/floras/{id}/lost", (FloraLibrary library, string id) => VerdantSieve.Web.Pages.Desk.FlorasModel.Lost(library, id)).ExcludeFromDescription();
foreach (var format in new[] { "package", "template", "nexus", "sdd" })
    app.MapGet($"/desk/floras/{{id}}/{format}", (FloraLibrary library, string id) => VerdantSieve.Web.Pages.Desk.FlorasModel.File(library, id, format)).ExcludeFromDescription();
app.MapGet("/desk/file/{slug}", (FloraShelf shelf, string slug) => VerdantSieve.Web.Pages.Desk.IndexModel.File(shelf, slug)).ExcludeFromDescription();
app.MapDrawings();
app.MapSieveApi();
app.MapOpenApi("/openapi/{documentName}.json");
app.MapHealthChecks("/health");
await app.RunAsync();
return 0;

static int Fail(string sentence)
{
    Console.Error.WriteLine(sentence);
    return 1;
}

/// <summary>The application's entry point, named for tests.</summary>
public partial class Program;
