using System.IO.Compression;
using Microsoft.AspNetCore.DataProtection;
using Microsoft.AspNetCore.Identity;
using Microsoft.AspNetCore.ResponseCompression;
using Microsoft.AspNetCore.StaticFiles;
using NodaTime;
using Serilog;
using Serilog.Events;
using VerdantSieve.Core;
using VerdantSieve.Core.Botany;
using VerdantSieve.Store;
using VerdantSieve.Store.Curating;
using VerdantSieve.Store.Floras;
using VerdantSieve.Store.Lists;
using VerdantSieve.Store.Looks;
using VerdantSieve.Store.Notebooks;
using VerdantSieve.Store.People;
using VerdantSieve.Store.Practising;
using VerdantSieve.Web.Api;
using VerdantSieve.Web.Curating;
using VerdantSieve.Web.Keying;
using VerdantSieve.Web.Notebooks;
using VerdantSieve.Web.People;
using VerdantSieve.Web.Practising;
using VerdantSieve.Web.Safety;

namespace VerdantSieve.Web;

/// <summary>What the application is put together from.</summary>
public static class Services
{
    private const int LogFileBytes = 2_000_000,
        LogFiles = 5;

    /// <summary>Logs to the console and to a file that is kept across starts and never grows without end. What people type is not written
    /// there.</summary>
    public static void AddLogs(this IServiceCollection services, Settings settings)
    {
        Log.Logger = new LoggerConfiguration()
            .MinimumLevel.Information()
            .MinimumLevel.Override("Microsoft", LogEventLevel.Warning)
            .MinimumLevel.Override("Microsoft.Hosting.Lifetime", LogEventLevel.Information)
            // The page that shows an error logs it, with the id it shows.
            .MinimumLevel.Override("Microsoft.AspNetCore.Diagnostics", LogEventLevel.Fatal)
            // Who asks whether it is ready is told so; that it is not yet is no error.
            .MinimumLevel.Override("Microsoft.Extensions.Diagnostics.HealthChecks", LogEventLevel.Fatal)
            .WriteTo.Console()
            .WriteTo.File(
                Path.Combine(settings.Run, "logs", "web.log"),
                fileSizeLimitBytes: LogFileBytes,
                rollOnFileSizeLimit: true,
                retainedFileCountLimit: LogFiles,
                shared: true
            )
            .CreateLogger();
        services.AddSerilog();
    }

    /// <summary>Adds the database and the books in it.</summary>
    public static void AddStore(this IServiceCollection services, Settings settings)
    {
        services.AddSingleton(settings);
        services.AddSingleton<IClock>(SystemClock.Instance);
        services.AddDbContextPool<SieveContext>(options => SieveContext.Configure(options, settings.Database));
        services.AddScoped<LookBook>();
        services.AddScoped<TreeBook>();
        services.AddScoped<OpinionBook>();
        services.AddScoped<AccountBook>();
        services.AddScoped<OutingBook>();
        services.AddScoped<MapBook>();
        services.AddScoped<PictureBook>();
        services.AddScoped<ListBook>();
        services.AddScoped<PracticeBook>();
        services.AddScoped<PracticeDesk>();
        services.AddMemoryCache();
        services.AddScoped<GroundDesk>();
        services.AddScoped<SeasonDesk>();
        services.AddScoped<OpenTrees>();
        services.AddScoped<NotebookFiles>();
        services.AddSingleton<PlanDesk>();
        services.AddSingleton<KeyDesk>();
        services.AddHostedService<Emptying>();
        services.AddScoped<RevisionBook>();
        services.AddScoped<FloraLoader>();
        services.AddScoped<FloraLibrary>();
        services.AddHealthChecks().AddDbContextCheck<SieveContext>();
    }

    /// <summary>Adds the shelf with the shipped flora on it, and the ear for changes by other processes.</summary>
    /// <param name="services">What is added to.</param>
    /// <param name="laying">The shipped flora as it is being read; nobody takes the shelf before it stands.</param>
    public static void AddFloras(this IServiceCollection services, Task<Outcome<Flora>> laying)
    {
        services.AddSingleton(provider =>
        {
            var shipped = laying.Result.Value;
            return new FloraShelf(
                new OpenFlora(shipped, shipped.Vocabulary),
                async id =>
                {
                    await using var scope = provider.CreateAsyncScope();
                    return await scope.ServiceProvider.GetRequiredService<FloraLibrary>().Read(id);
                }
            );
        });
        services.AddSingleton<FloraImports>();
        services.AddSingleton<FloraExports>();
        services.AddHostedService<FloraListener>();
        services.AddSingleton<PageWarmer>();
        services.AddHostedService(provider => provider.GetRequiredService<PageWarmer>());
        services.AddHealthChecks().AddCheck<PageWarmer>("pages");
    }

    /// <summary>Adds accounts, and what each may do.</summary>
    public static void AddPeople(this IServiceCollection services)
    {
        services
            .AddIdentity<Person, IdentityRole>(options =>
            {
                options.Password.RequiredLength = 12;
                options.Password.RequireNonAlphanumeric = false;
                options.Password.RequireUppercase = false;
                // A lock could be tripped by anybody; see SignInDelays.
                options.Lockout.AllowedForNewUsers = false;
            })
            .AddEntityFrameworkStores<SieveContext>()
            .AddClaimsPrincipalFactory<PersonClaims>()
            .AddDefaultTokenProviders();
        services.AddReaders();
        services.AddScoped<IPost>(provider =>
            provider.GetRequiredService<Settings>() is { MailServer: { } server, MailFrom: var from }
                ? new MailPost(server, from)
                : ActivatorUtilities.CreateInstance<OutboxPost>(provider)
        );
        services.AddAuthorization(CuratorAccess.AddPolicies);
        services.AddSingleton<SignInDelays>();
        // Who was signed out elsewhere, or taken off, is signed out with the next page.
        services.Configure<SecurityStampValidatorOptions>(options => options.ValidationInterval = TimeSpan.Zero);
        services.ConfigureApplicationCookie(options =>
        {
            options.LoginPath = options.AccessDeniedPath = "/sign-in";
            options.ReturnUrlParameter = "back";
            options.Cookie.Name = "person";
            options.Cookie.SameSite = SameSiteMode.Lax;
            options.Cookie.SecurePolicy = CookieSecurePolicy.SameAsRequest;
            options.ExpireTimeSpan = TimeSpan.FromDays(14);
            // By its path alone: the name of the host is whatever the request said it is.
            options.Events.OnRedirectToLogin = options.Events.OnRedirectToAccessDenied = context =>
            {
                var back = context.Request.PathBase + context.Request.Path + context.Request.QueryString;
                context.Response.Redirect($"{options.LoginPath}?{options.ReturnUrlParameter}={Uri.EscapeDataString(back)}");
                return Task.CompletedTask;
            };
            var validate = options.Events.OnValidatePrincipal;
            options.Events.OnValidatePrincipal = async context =>
            {
                await validate(context);
                if (context.Principal?.IsDemo() == true && !Hosts.IsFromHere(context.HttpContext))
                    context.RejectPrincipal();
            };
        });
    }

    /// <summary>Adds pages and the API.</summary>
    public static void AddPages(this IServiceCollection services)
    {
        services.AddAntiforgery(options => options.Cookie.SecurePolicy = CookieSecurePolicy.SameAsRequest);
        services.AddRazorPages().AddMvcOptions(options => options.Filters.Add<StaleTokens>());
        services.AddProblemDetails();
        services.AddOpenApi("v1");
        services.AddDataProtection().SetApplicationName("VerdantSieve").PersistKeysToDbContext<SieveContext>();
        services.AddResponseCompression(options =>
        {
            options.EnableForHttps = true;
            options.Providers.Add<BrotliCompressionProvider>();
            options.Providers.Add<GzipCompressionProvider>();
            options.MimeTypes = [.. ResponseCompressionDefaults.MimeTypes, "image/svg+xml", "application/problem+json"];
        });
        services.Configure<BrotliCompressionProviderOptions>(options => options.Level = CompressionLevel.Fastest);
        services.ConfigureHttpJsonOptions(options => ApiJson.Configure(options.SerializerOptions));
    }

    /// <summary>Files whose address says their version are kept for good, others for an hour.</summary>
    public static void KeepFiles(StaticFileResponseContext file) =>
        file.Context.Response.Headers.CacheControl = file.Context.Request.Query.ContainsKey("v")
            ? "public, max-age=31536000, immutable"
            : "public, max-age=3600";
}
