using System.Net;
using Xunit;

namespace VerdantSieve.Web.Tests;

/// <summary>Where kinds grow: the maps, the list of a country, what it says of the last few.</summary>
public class RangePages(Application application)
{
    private async Task<string> Page(string path)
    {
        var answer = await application.Http.GetAsync(path, TestContext.Current.CancellationToken);
        Assert.Equal(HttpStatusCode.OK, answer.StatusCode);
        return WebUtility.HtmlDecode(await answer.Content.ReadAsStringAsync(TestContext.Current.CancellationToken));
    }

    [Fact]
    public async Task A_plants_page_shows_where_it_is_native_run_wild_and_planted_and_says_it_in_words()
    {
        var page = await Page("/plant/quercus-rubra");
        Assert.Contains("""<use href="#america-OHI" class="native" />""", page);
        Assert.Contains("""<use href="#europe-GER" class="run-wild" />""", page);
        Assert.Contains("""<use href="#america-ORE" class="planted" />""", page);
        Assert.Contains("""<use href="#america-NEV" class="not-looked" />""", page);
        Assert.Matches("aria-label=\"northern red oak in Europe: run wild in [^\"]*Germany", page);
    }

    [Fact]
    public async Task A_country_lists_every_kind_by_how_it_stands_there_and_a_code_that_is_none_is_told()
    {
        var page = await Page("/desk/coverage?country=GRB");
        Assert.Matches("(?s)Native: \\d+.*quercus-robur.*Run wild: .*acer-pseudoplatanus.*Planted: .*magnolia-soulangeana.*Absent: ", page);
        Assert.Contains("“XYZ” is not a level 3 code", await Page("/desk/coverage?country=XYZ"));
        Assert.Contains("""<a href="/desk/coverage""", await Page("/desk"));
    }

    [Fact]
    public async Task A_word_is_found_by_what_people_call_it_and_one_that_nobody_says_is_told()
    {
        Assert.Matches("(?s)class=\"found\".*href=\"#base-is-wedge\"", await Page("/words?find=cuneate"));
        Assert.Contains("Nothing here goes by “zymurgy”", await Page("/words?find=zymurgy"));
    }

    [Fact]
    public async Task A_taxon_says_in_the_API_how_it_stands_in_each_country_and_how_it_came_by_its_scores()
    {
        var answer = await Page("/api/v1/floras/temperate-trees/taxa/Acer rubrum");
        Assert.Contains("\"plantedWidely\":true", answer);
        Assert.Contains("\"structure\":\"shared\"", answer);
        Assert.Contains("\"blade-length\":\"own\"", answer);
        Assert.Contains("\"sap\":\"default\"", answer);
    }
}
