using System.Collections.Concurrent;
using System.Diagnostics;
using System.Net;
using System.Net.Sockets;
using Microsoft.EntityFrameworkCore;
using Npgsql;
using OpenQA.Selenium;
using OpenQA.Selenium.Chrome;
using VerdantSieve.Store;
using Xunit;

[assembly: AssemblyFixture(typeof(VerdantSieve.Web.Tests.Application))]

namespace VerdantSieve.Web.Tests;

/// <summary>The application as it is served, in a process and on a database of its own, for all tests.</summary>
public sealed class Application : IAsyncLifetime
{
    private Process? process;
    private string database = "";

    public Uri Address { get; private set; } = null!;
    public HttpClient Http { get; private set; } = null!;

    /// <summary>The folder that holds the solution.</summary>
    public static string Root
    {
        get
        {
            for (var at = new DirectoryInfo(AppContext.BaseDirectory); at is not null; at = at.Parent)
                if (File.Exists(Path.Combine(at.FullName, "VerdantSieve.slnx")))
                    return at.FullName;
            throw new DirectoryNotFoundException("No VerdantSieve.slnx above " + AppContext.BaseDirectory);
        }
    }

    /// <summary>How many kinds ship, of a genus or in all. Files that begin with a line hold what kinds share.</summary>
    public static int KindsShipped(string genus = "") =>
        Directory
            .EnumerateFiles(Path.Combine(Root, "floras", "temperate-trees", "taxa", genus), "*.yaml", SearchOption.AllDirectories)
            .Count(file => !Path.GetFileName(file).StartsWith('_'));

    public async ValueTask InitializeAsync()
    {
        var named =
            Environment.GetEnvironmentVariable("VERDANT_DATABASE")
            ?? throw new InvalidOperationException("VERDANT_DATABASE is not set: run the tests through ./test.");
        database = new NpgsqlConnectionStringBuilder(named) { Database = "verdant_web_test" }.ConnectionString;
        await Maintain(named, "drop database if exists verdant_web_test with (force)", "create database verdant_web_test");
        Address = new Uri($"http://127.0.0.1:{FreePort()}");
        Http = new HttpClient(new HttpClientHandler { AllowAutoRedirect = false }) { BaseAddress = Address };
        process = await Start(Address);
    }

    /// <summary>Another process of the same application on the same database.</summary>
    public async Task<(Process Process, Uri Address)> StartAnother()
    {
        var address = new Uri($"http://127.0.0.1:{FreePort()}");
        return (await Start(address), address);
    }

    /// <summary>The same at an address of which another process has gone.</summary>
    public Task<Process> StartAnother(Uri address) => Start(address);

    /// <summary>The same on a database of one's own.</summary>
    public Task<Process> StartAnother(Uri address, string ownDatabase) => Start(address, ownDatabase);

    /// <summary>An address of this machine that is free.</summary>
    public static Uri FreeAddress() => new($"http://127.0.0.1:{FreePort()}");

    /// <summary>The same with something set otherwise.</summary>
    public Task<Process> StartAnother(Uri address, params (string Name, string Value)[] set) => Start(address, null, set);

    private async Task<Process> Start(Uri address, string? ownDatabase = null, params (string Name, string Value)[] set)
    {
        var how = new ProcessStartInfo("dotnet", [typeof(Program).Assembly.Location])
        {
            WorkingDirectory = Path.Combine(Root, "src", "VerdantSieve.Web"),
            RedirectStandardError = true,
            RedirectStandardOutput = true,
            Environment =
            {
                ["VERDANT_DATABASE"] = ownDatabase ?? database,
                ["ASPNETCORE_URLS"] = address.ToString(),
                ["VERDANT_FLORAS"] = Path.Combine(Root, "floras"),
                ["VERDANT_PACE"] = "100",
                ["VERDANT_RUN"] = Path.Combine(Root, ".run", "web-tests"),
                // Here it is started often and lives shortly: what is compiled anew, and better, would not pay for itself.
                ["DOTNET_TC_CallCountingDelayMs"] = "64",
            },
        };
        foreach (var (name, value) in set)
            how.Environment[name] = value;
        var started = Process.Start(how)!;
        started.OutputDataReceived += (_, line) => output.Enqueue(line.Data ?? "");
        var complaints = new ConcurrentQueue<string>();
        started.ErrorDataReceived += (_, line) => complaints.Enqueue(line.Data ?? "");
        started.BeginOutputReadLine();
        started.BeginErrorReadLine();
        using var http = new HttpClient { BaseAddress = address, Timeout = TimeSpan.FromSeconds(20) };
        for (var clock = Stopwatch.StartNew(); clock.Elapsed < Readiness; await Task.Delay(200))
        {
            if (started.HasExited)
            {
                await started.WaitForExitAsync();
                throw new InvalidOperationException("The application stopped at once: " + string.Join('\n', complaints));
            }
            try
            {
                if ((await http.GetAsync("/health")).IsSuccessStatusCode)
                    return started;
            }
            catch (Exception away) when (away is HttpRequestException or TaskCanceledException)
            {
                // It is not listening yet, or has too much to do.
            }
        }
        started.Kill(entireProcessTree: true);
        throw new TimeoutException($"The application did not answer within {Readiness}.\n{string.Join('\n', output.TakeLast(20))}");
    }

    // A few seconds of work, on a machine that may be slow and has other tests to run, too.
    private static readonly TimeSpan Readiness = TimeSpan.FromMinutes(5);

    private readonly ConcurrentQueue<string> output = new();

    /// <summary>What the application has logged so far.</summary>
    public IReadOnlyList<string> Logged => [.. output];

    public async ValueTask DisposeAsync()
    {
        Browser.CloseAll();
        process?.Kill(entireProcessTree: true);
        if (process is not null)
            await process.WaitForExitAsync();
        Http?.Dispose();
        await Maintain(Environment.GetEnvironmentVariable("VERDANT_DATABASE")!, "drop database if exists verdant_web_test with (force)");
    }

    /// <summary>Another database with the tables and nothing in them; gone with the tests.</summary>
    public async Task<string> MakeDatabase(string name)
    {
        var named = Environment.GetEnvironmentVariable("VERDANT_DATABASE")!;
        await Maintain(named, $"drop database if exists {name} with (force)", $"create database {name}");
        var made = new NpgsqlConnectionStringBuilder(named) { Database = name }.ConnectionString;
        var options = new DbContextOptionsBuilder<SieveContext>();
        SieveContext.Configure(options, made);
        await using var context = new SieveContext(options.Options);
        await context.Database.MigrateAsync();
        return made;
    }

    /// <summary>The application’s database.</summary>
    public SieveContext OpenDatabase()
    {
        var options = new DbContextOptionsBuilder<SieveContext>();
        SieveContext.Configure(options, database);
        return new SieveContext(options.Options);
    }

    /// <summary>A browser window of its own.</summary>
    public Browser Open(int width = 1280, int height = 800, bool scripts = true, bool dark = false) =>
        Browser.Take(Address, width, height, scripts, dark);

    /// <summary>A browser window on another process.</summary>
    public Browser Open(Uri address) => Browser.Take(address, 1280, 800, scripts: true, dark: false);

    private static async Task Maintain(string connection, params string[] commands)
    {
        await using var open = new NpgsqlConnection(connection);
        await open.OpenAsync();
        foreach (var text in commands)
            await new NpgsqlCommand(text, open).ExecuteNonQueryAsync();
    }

    internal static int FreePort()
    {
        using var listener = new TcpListener(IPAddress.Loopback, 0);
        listener.Start();
        return ((IPEndPoint)listener.LocalEndpoint).Port;
    }
}

/// <summary>Headless Chromium in a profile of its own, with the few moves the tests need. What a test has done with it is wiped, and the
/// next one takes it over: starting one costs more than most tests.</summary>
public sealed class Browser : IDisposable
{
    private static readonly ConcurrentBag<Browser> Idle = [],
        IdleWithoutScripts = [];

    private readonly bool scripts;
    private Uri address = null!;

    private Browser(bool scripts)
    {
        this.scripts = scripts;
        // The same without what draws windows on a screen, which nobody looks at: it takes three fifths of the time.
        // The script in /usr/bin that starts it would be stopped in its place.
        var options = new ChromeOptions { BinaryLocation = "/usr/lib/chromium/chromium-headless-shell" };
        options.AddArguments(
            "--headless",
            "--no-sandbox",
            "--disable-gpu",
            "--disable-background-networking",
            "--disable-component-update",
            "--no-first-run",
            "--disable-dev-shm-usage",
            // Nothing is made ready for pages that nobody may open.
            "--disable-features=SpareRendererForSitePerProcess,Prerender2"
        );
        if (!scripts)
            options.AddArgument("--blink-settings=scriptEnabled=false");
        Driver = new ChromeDriver(ChromeDriverService.CreateDefaultService("/usr/bin/chromedriver"), options, TimeSpan.FromSeconds(60));
    }

    /// <summary>A window as if it were new.</summary>
    public static Browser Take(Uri address, int width, int height, bool scripts, bool dark)
    {
        var browser = (scripts ? Idle : IdleWithoutScripts).TryTake(out var idle) ? idle : new Browser(scripts);
        browser.address = address;
        browser.Resize(width, height, dark);
        return browser;
    }

    /// <summary>Makes the window another one: of another size, or dark.</summary>
    public void Resize(int width, int height, bool dark)
    {
        // The window has a least width of its own; a phone's is set as a device's.
        Device(
            "Emulation.setDeviceMetricsOverride",
            ("width", width),
            ("height", height),
            ("deviceScaleFactor", 1),
            ("mobile", width < 600)
        );
        var scheme = new Dictionary<string, object?> { ["name"] = "prefers-color-scheme", ["value"] = dark ? "dark" : "light" };
        Device("Emulation.setEmulatedMedia", ("media", ""), ("features", new object[] { scheme }));
    }

    /// <summary>Closes all.</summary>
    public static void CloseAll()
    {
        foreach (var browser in Idle.Concat(IdleWithoutScripts))
            browser.Driver.Dispose();
    }

    /// <summary>Lets everything that is sent take so much longer.</summary>
    public void SlowDown(int milliseconds)
    {
        Device("Network.enable");
        Device(
            "Network.emulateNetworkConditions",
            ("offline", false),
            ("latency", milliseconds),
            ("downloadThroughput", -1),
            ("uploadThroughput", -1)
        );
    }

    private void Device(string command, params (string Name, object? Value)[] values) =>
        Driver.ExecuteCdpCommand(command, values.ToDictionary(value => value.Name, value => value.Value));

    public ChromeDriver Driver { get; }

    public Browser Go(string path)
    {
        Driver.Navigate().GoToUrl(new Uri(address, path));
        return this;
    }

    public string At => new Uri(Driver.Url).PathAndQuery;

    public IWebElement Find(string css) => Until(() => Driver.FindElements(By.CssSelector(css)).FirstOrDefault(), $"nothing matches {css}");

    public bool Has(string css) => Driver.FindElements(By.CssSelector(css)).Count > 0;

    // The element may be swapped for another between finding and reading it.
    public string Text(string css) =>
        Until(
            () =>
            {
                try
                {
                    return Find(css).Text;
                }
                catch (WebDriverException trouble) when (IsGone(trouble))
                {
                    return null;
                }
            },
            $"{css} never stood still"
        );

    public string Sentence => Text("#sentence");

    public void Click(string css) =>
        Until(
            () =>
            {
                try
                {
                    Driver.FindElement(By.CssSelector(css)).Click();
                    return "clicked";
                }
                catch (StaleElementReferenceException)
                {
                    return null;
                }
                catch (NoSuchElementException)
                {
                    return null;
                }
            },
            $"could not click {css}"
        );

    /// <summary>A real touch in the middle of an element, where it can be seen; held down for so long.</summary>
    public void Tap(string css, int milliseconds = 0)
    {
        var point = (System.Collections.ObjectModel.ReadOnlyCollection<object>)Until(
            () =>
                Driver.ExecuteScript(
                    "const it = document.querySelector(arguments[0]); if (!it) return null;"
                        + "const box = it.getBoundingClientRect(); return [box.left + box.width / 2, box.top + box.height / 2]",
                    css
                ),
            $"nothing matches {css}"
        );
        Driver.ExecuteCdpCommand("Emulation.setTouchEmulationEnabled", new Dictionary<string, object?> { ["enabled"] = true });
        Touch("touchStart", new Dictionary<string, object?> { ["x"] = point[0], ["y"] = point[1] });
        Thread.Sleep(milliseconds);
        Touch("touchEnd");
    }

    private void Touch(string type, params object[] points) =>
        Driver.ExecuteCdpCommand("Input.dispatchTouchEvent", new Dictionary<string, object?> { ["type"] = type, ["touchPoints"] = points });

    public void Press(string keys) => Driver.SwitchTo().ActiveElement().SendKeys(keys);

    /// <summary>Waits until something holds, and says what it was if it never does.</summary>
    public void Await(Func<bool> holds, string what, int seconds = Patience) =>
        Until(
            () =>
            {
                try
                {
                    return holds() ? "yes" : null;
                }
                catch (WebDriverException trouble) when (IsGone(trouble))
                {
                    return null;
                }
            },
            what,
            seconds
        );

    // Far more than it takes, for machines with much else to do: only what never comes is waited for to the end.
    private const int Patience = 40;

    // The driver has two words for an element that left the page while it was read.
    private static bool IsGone(WebDriverException trouble) =>
        trouble is StaleElementReferenceException || trouble.Message.Contains("does not belong to the document", StringComparison.Ordinal);

    public T Until<T>(Func<T?> find, string otherwise, int seconds = Patience)
        where T : class
    {
        for (var clock = Stopwatch.StartNew(); clock.Elapsed < TimeSpan.FromSeconds(seconds); Thread.Sleep(40))
            if (find() is { } found)
                return found;
        throw new TimeoutException($"{otherwise} (at {Driver.Url})");
    }

    public void Dispose()
    {
        try
        {
            SlowDown(milliseconds: 0);
            Device("Storage.clearDataForOrigin", ("origin", address.GetLeftPart(UriPartial.Authority)), ("storageTypes", "all"));
            Driver.Navigate().GoToUrl("about:blank");
            Device("Network.clearBrowserCookies");
            Device("Emulation.clearGeolocationOverride");
            Device("Emulation.setTouchEmulationEnabled", ("enabled", false));
            Device("Browser.resetPermissions");
            (scripts ? Idle : IdleWithoutScripts).Add(this);
        }
        catch (WebDriverException)
        {
            // One that a test has left in a state it can't be brought back from is of no use to another.
            Driver.Dispose();
        }
    }
}
