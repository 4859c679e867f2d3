using System.Collections.Concurrent;
using System.Diagnostics;
using System.Net;
using System.Text.RegularExpressions;

namespace VerdantSieve.Bench;

/// <summary>People who each start looks on the real pages and record one reading after another, as htmx sends them.</summary>
internal static partial class Load
{
    private const int LooksEach = 6;

    private static readonly (string Character, string Field, string Value)[] Readings =
    [
        ("foliage", "states", "broad"),
        ("arrangement", "states", "alternate"),
        ("structure", "states", "simple"),
        ("lobing", "states", "pinnate"),
        ("lobe-tip", "states", "rounded"),
        ("blade-length", "text", "9-13 cm"),
        ("underside-hair", "states", "sparse"),
        ("bark-pattern", "states", "shallow-ridges"),
        ("end-bud", "states", "clustered"),
    ];

    public static async Task<int> Run(Uri address, int people, int pause)
    {
        await Person(address, 1, 0, []);
        var times = new ConcurrentBag<double>();
        var clock = Stopwatch.StartNew();
        await Task.WhenAll(
            Enumerable
                .Range(0, people)
                .Select(async i =>
                {
                    await Task.Delay(i * Math.Max(1, pause) / people);
                    await Person(address, LooksEach, pause, times);
                })
        );
        var sorted = times.Order().ToArray();
        Console.WriteLine(
            $"{people} people, {pause} ms between readings: {sorted.Length} readings in {clock.Elapsed.TotalSeconds:0.0} s; "
                + $"median {At(0.5):0.0} ms, p95 {At(0.95):0.0} ms, p99 {At(0.99):0.0} ms, longest {sorted[^1]:0.0} ms"
        );
        return 0;

        double At(double share) => sorted[(int)(share * (sorted.Length - 1))];
    }

    private static async Task Person(Uri address, int looks, int pause, ConcurrentBag<double> times)
    {
        using var http = new HttpClient(
            new HttpClientHandler { CookieContainer = new CookieContainer(), AutomaticDecompression = DecompressionMethods.All }
        )
        {
            BaseAddress = address,
        };
        for (var look = 0; look < looks; look++)
        {
            var token = Token(await http.GetStringAsync("/"));
            var started = await http.PostAsync(
                "/",
                Form(token, ("Where.Place", "load"), ("Where.Region", "ORE"), ("Where.Date", "2026-06-14"), ("Where.Setting", "wild"))
            );
            started.EnsureSuccessStatusCode();
            var page = started.RequestMessage!.RequestUri!.AbsolutePath;
            token = Token(await started.Content.ReadAsStringAsync());
            foreach (var (character, field, value) in Readings)
            {
                if (pause > 0)
                    await Task.Delay(pause);
                var request = new HttpRequestMessage(HttpMethod.Post, $"{page}?handler=Read")
                {
                    Content = Form(token, ("character", character), (field, value), ("certainty", "fair")),
                };
                request.Headers.Add("HX-Request", "true");
                var clock = Stopwatch.GetTimestamp();
                using var answer = await http.SendAsync(request);
                await answer.Content.ReadAsByteArrayAsync();
                times.Add(Stopwatch.GetElapsedTime(clock).TotalMilliseconds);
                answer.EnsureSuccessStatusCode();
            }
            // The notebook is left as it was found.
            (await http.PostAsync($"{page}?handler=Discard", Form(token))).EnsureSuccessStatusCode();
        }
    }

    private static FormUrlEncodedContent Form(string token, params (string Name, string Value)[] fields) =>
        new([
            new("__RequestVerificationToken", token),
            .. fields.Select(field => new KeyValuePair<string, string>(field.Name, field.Value)),
        ]);

    private static string Token(string html) => TokenField().Match(html).Groups[1].Value;

    [GeneratedRegex("name=\"__RequestVerificationToken\"[^>]*value=\"([^\"]+)\"")]
    private static partial Regex TokenField();
}
