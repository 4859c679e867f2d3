using System.Net;
using System.Text;
using Microsoft.EntityFrameworkCore;
using VerdantSieve.Core.Formats.Exchange;
using VerdantSieve.Store.Floras;
using VerdantSieve.Web.Curating;
using VerdantSieve.Web.People;
using Xunit;

namespace VerdantSieve.Web.Tests.Safety;

/// <summary>Files that are brought in: bounded, said what becomes of them, also after the process that read them has gone.</summary>
public class ImportTests(Application application)
{
    [Fact]
    public async Task What_became_of_an_import_is_said_after_its_process_has_gone()
    {
        var (silent, heard) = ("silent000001", "heard0000001");
        await using (var database = application.OpenDatabase())
        {
            var now = DateTimeOffset.UtcNow;
            database.Imports.AddRange(Row(silent, now - TimeSpan.FromMinutes(1)), Row(heard, now));
            await database.SaveChangesAsync(TestContext.Current.CancellationToken);
        }
        Assert.Contains("The application stopped while it was being read", await Page($"/desk/floras?import={silent}"));
        Assert.Contains("Reading: 7 kinds so far", await Page($"/desk/floras?import={heard}"));

        static ImportRow Row(string id, DateTimeOffset at) =>
            new()
            {
                Id = id,
                File = "flora.zip",
                Stage = "reading",
                Taxa = 7,
                Begun = at,
                Heard = at,
            };
    }

    [Fact]
    public async Task A_file_that_is_too_large_is_told_so_in_a_sentence_and_leaves_no_file_behind()
    {
        using var keeper = await Visitor.SignedIn(application.Address, "ewan", DemoPeople.All[1].Password);
        var large = await Send(keeper, "large.nex", new byte[FileBounds.MostBytes + 2_000_000]);
        Assert.Equal(HttpStatusCode.UnprocessableEntity, large.StatusCode);
        Assert.Contains(
            "has 17 MB, and at most 16 MB are taken in",
            await large.Content.ReadAsStringAsync(TestContext.Current.CancellationToken)
        );

        var hostile = await Send(keeper, "hostile.nex", Encoding.UTF8.GetBytes("#NEXUS " + new string('[', 100_000)));
        Assert.Equal(HttpStatusCode.Redirect, hostile.StatusCode);
        var at = hostile.Headers.Location!.OriginalString;
        var said = "";
        for (var tries = 0; tries < 100 && !said.Contains("Nothing was kept"); tries++)
        {
            await Task.Delay(100, TestContext.Current.CancellationToken);
            said = await Page(at);
        }
        Assert.Contains("hostile.nex, line 1: a comment is never closed by ].", said);
        var folder = Path.Combine(Application.Root, ".run", "web-tests", "imports");
        Assert.DoesNotContain(Directory.EnumerateFiles(folder), file => new FileInfo(file).Length is 100_007 or > 16_000_000);
    }

    [Fact]
    public async Task A_flora_that_two_kinds_would_share_an_address_in_is_not_kept()
    {
        using var keeper = await Visitor.SignedIn(application.Address, "ewan", DemoPeople.All[1].Password);
        var nexus = "#NEXUS\nbegin data;\nformat symbols=\"01\";\nmatrix\n'Abies alba' 01\n'Abies × alba' 10\n;\nend;\n";
        var sent = await Send(keeper, "firs.nex", Encoding.UTF8.GetBytes(nexus));
        var said = "";
        for (var tries = 0; tries < 100 && !said.Contains("Nothing was kept"); tries++)
        {
            await Task.Delay(100, TestContext.Current.CancellationToken);
            said = await Page(sent.Headers.Location!.OriginalString);
        }
        Assert.Contains("would share the address “abies-alba”", said);
        await using var database = application.OpenDatabase();
        Assert.False(await database.Floras.AnyAsync(flora => flora.Id == "hostile-flora", TestContext.Current.CancellationToken));
    }

    private async Task<string> Page(string at) => WebUtility.HtmlDecode(await application.Http.GetStringAsync(at));

    private static async Task<HttpResponseMessage> Send(Visitor keeper, string name, byte[] file)
    {
        using var form = new MultipartFormDataContent
        {
            { new StringContent(await keeper.Token()), "__RequestVerificationToken" },
            { new StringContent("hostile-flora"), "id" },
            { new ByteArrayContent(file), "file", name },
        };
        return await keeper.Http.PostAsync("/desk/floras?handler=Import", form);
    }
}
