using System.Net;
using System.Net.Sockets;
using System.Security.Claims;
using System.Text;
using Microsoft.AspNetCore.Http;
using Microsoft.Extensions.Configuration;
using VerdantSieve.Store.Demo;
using VerdantSieve.Store.Notebooks;
using VerdantSieve.Web.People;
using Xunit;

namespace VerdantSieve.Web.Tests.Safety;

/// <summary>Who a request comes from, and what is theirs.</summary>
public class ReaderTests
{
    private static readonly Settings One = new("", "", "", Demo: true) { OnePerson = true },
        Accounts = One with { OnePerson = false };

    private static HttpContext From(string address, string method = "GET", string? account = null, string? cookie = null)
    {
        var http = new DefaultHttpContext { Connection = { RemoteIpAddress = IPAddress.Parse(address) }, Request = { Method = method } };
        if (account is not null)
            http.User = new ClaimsPrincipal(new ClaimsIdentity([new Claim(ClaimTypes.NameIdentifier, account)], "test"));
        if (cookie is not null)
            http.Request.Headers.Cookie = $"notebook={cookie}";
        return http;
    }

    [Fact]
    public void Whoever_sits_at_a_machine_of_their_own_has_what_is_kept_on_it_and_nobody_from_elsewhere_has()
    {
        Assert.Equal([Reader.Machine, DemoReserve.Walker], Readers.Of(From("127.0.0.1"), One).Own);
        Assert.Equal([Reader.Machine], Readers.Of(From("::1"), One with { Demo = false }).Own);
        Assert.Empty(Readers.Of(From("192.0.2.7"), One).Own);
        Assert.Empty(Readers.Of(From("127.0.0.1"), Accounts).Own);
    }

    [Fact]
    public void An_account_comes_first_so_that_what_is_begun_is_its_own()
    {
        Assert.Equal("vera", Readers.Of(From("127.0.0.1", account: "vera"), One).Owner);
        Assert.Equal(["vera"], Readers.Of(From("192.0.2.7", account: "vera", cookie: "abc"), Accounts).Own);
    }

    [Fact]
    public void Reading_leaves_no_trace_and_what_is_kept_is_known_again_by_a_digest()
    {
        var reading = From("192.0.2.7");
        Assert.Empty(Readers.Of(reading, Accounts).Own);
        Assert.False(reading.Response.Headers.ContainsKey("Set-Cookie"));
        Assert.Throws<InvalidOperationException>(() => Readers.Of(reading, Accounts).Owner);

        var sending = From("192.0.2.7", "POST");
        var owner = Readers.Of(sending, Accounts).Owner;
        var cookie = sending.Response.Headers.SetCookie.ToString();
        Assert.Contains("httponly", cookie);
        Assert.Contains("samesite=lax", cookie);
        var key = cookie.Split('=')[1].Split(';')[0];
        Assert.DoesNotContain(key, owner);
        Assert.Equal(owner, Readers.Of(From("192.0.2.7", cookie: key), Accounts).Owner);
        Assert.NotEqual(owner, Readers.Of(From("192.0.2.7", cookie: key[1..]), Accounts).Owner);
    }

    // Where it answers to others, nobody is taken for whoever sits at the machine.
    [Theory]
    [InlineData(null, null, null, true)]
    [InlineData("http://127.0.0.1:5080", null, null, true)]
    [InlineData("http://0.0.0.0:5080", null, null, false)]
    [InlineData("http://127.0.0.1:5080", "trees.example", null, false)]
    [InlineData("http://0.0.0.0:5080", "trees.example", "one", true)]
    [InlineData(null, null, "accounts", false)]
    public void One_person_has_it_alone_only_where_it_answers_to_this_machine_alone(string? urls, string? hosts, string? set, bool one)
    {
        var values = new Dictionary<string, string?>
        {
            ["DATABASE"] = "x",
            ["URLS"] = urls,
            ["HOSTS"] = hosts,
            ["NOTEBOOK"] = set,
        };
        var settings = Settings.From(new ConfigurationBuilder().AddInMemoryCollection(values).Build(), "/a/b");
        Assert.Equal(one, settings!.OnePerson);
    }

    // The conversation of RFC 5321, as short as it may be.
    [Fact]
    public async Task A_letter_goes_to_the_mail_server_that_is_set()
    {
        using var server = new TcpListener(IPAddress.Loopback, 0);
        server.Start();
        var received = Listen(server, TestContext.Current.CancellationToken);
        var port = ((IPEndPoint)server.LocalEndpoint).Port;
        await new MailPost(new Uri($"smtp://127.0.0.1:{port}"), "notebook@place.example").Send(
            "vera@place.example",
            "A new password",
            "Here: link"
        );
        var letter = await received;
        Assert.Contains("MAIL FROM:<notebook@place.example>", letter);
        Assert.Contains("RCPT TO:<vera@place.example>", letter);
        Assert.Contains("Subject: A new password", letter);
        Assert.Contains("Here: link", letter);
    }

    private static async Task<string> Listen(TcpListener server, CancellationToken cancel)
    {
        using var client = await server.AcceptTcpClientAsync(cancel);
        using var reader = new StreamReader(client.GetStream(), Encoding.ASCII);
        await using var writer = new StreamWriter(client.GetStream(), Encoding.ASCII) { NewLine = "\r\n", AutoFlush = true };
        var all = new StringBuilder();
        var isData = false;
        await writer.WriteLineAsync("220 ready");
        while (await reader.ReadLineAsync(cancel) is { } line)
        {
            all.AppendLine(line);
            if (isData && line != ".")
                continue;
            isData = line == "DATA";
            await writer.WriteLineAsync(isData ? "354 go on" : "250 OK");
            if (line == "QUIT")
                break;
        }
        return all.ToString();
    }
}
