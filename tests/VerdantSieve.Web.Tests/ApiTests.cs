using System.Net;
using System.Net.Http.Json;
using System.Text;
using System.Text.Json;
using System.Text.Json.Nodes;
using Xunit;

namespace VerdantSieve.Web.Tests;

public class ApiTests(Application application)
{
    private const string Question = """
        {"flora":"temperate-trees","place":{"region":"ORE","latitude":44.6,"longitude":-123.3,"elevation":80},"date":"2026-06-14",
         "school":"weigh","slips":1,"setting":"wild",
         "readings":[{"character":"arrangement","states":["opposite"],"mode":"is","certainty":"sure"},
                     {"character":"blade-length","value":14.5,"unit":"cm","leaves":5,"certainty":"fair"},
                     {"character":"lobe-count","value":5},{"character":"base-sprouts","seen":true},
                     {"character":"flowering","today":false},{"character":"smell","unknown":true}]}
        """;

    [Fact]
    public async Task A_garden_form_is_named_with_its_kind()
    {
        const string Maple = """
            {"flora":"temperate-trees","place":{"region":"OHI"},"setting":"planted",
             "readings":[{"character":"arrangement","states":["opposite"]},{"character":"lobing","states":["palmate"]},
                         {"character":"leaf-colour","states":["purple"],"certainty":"sure"},
                         {"character":"sap","states":["milky"],"certainty":"sure"},
                         {"character":"samara-angle","states":["wide"]}]}
            """;
        var purple = await Post("/api/v1/sieve", Maple);
        Assert.Equal("a purple form of Norway maple", (string?)purple["determination"]!["form"]);
        var green = await Post("/api/v1/sieve", Maple.Replace("\"purple\"", "\"green\""));
        Assert.Null((string?)green["determination"]!["form"]);
    }

    [Fact]
    public async Task A_question_is_answered_in_full()
    {
        var answer = await Post("/api/v1/sieve", Question);
        var candidates = answer["candidates"]!.AsArray();
        Assert.Equal("Acer macrophyllum", (string?)candidates[0]!["taxon"]);
        Assert.All(
            ["rank", "commonName", "probability", "held", "passes"],
            name => Assert.True(candidates[0]!.AsObject().ContainsKey(name), name)
        );
        Assert.All(candidates, c => Assert.True((double)c!["probability"]! > 1e-6));
        Assert.All(
            ["noneOfThese", "determination", "nextLooks", "doubts", "hazards", "ranking"],
            name => Assert.True(answer.AsObject().ContainsKey(name), name)
        );
        Assert.NotEmpty((string)answer["determination"]!["sentence"]!);
        Assert.All(
            ["character", "question", "bits", "effort", "contact", "heldBack"],
            name => Assert.True(answer["nextLooks"]![0]!.AsObject().ContainsKey(name), name)
        );
        Assert.Equal("Acer", (string?)answer["ranking"]!["genus"]![0]!["name"]);
        Assert.Equal(1, candidates.Sum(c => (double)c!["probability"]!) + (double)answer["noneOfThese"]!, 3);
    }

    [Fact]
    public async Task Samples_limits_and_origins_are_taken_and_grounds_are_given()
    {
        var answer = await Post(
            "/api/v1/sieve",
            """
            {"place":{"region":"ORE"},"date":"2026-06-14","age":"grown",
             "readings":[{"character":"blade-length","values":[12,14,13,31]},{"character":"lobe-count","low":5,"high":7,"mean":5},
                         {"character":"petiole-length","atMost":30},
                         {"character":"arrangement","states":["alternate"],"origin":"litter"},
                         {"character":"blade-width","value":16,"by":"eye","origin":"sucker"},
                         {"character":"lobing","states":["palmate"]},{"character":"habit","states":["tree"],"certainty":"sure"}]}
            """
        );
        Assert.StartsWith("Acer", (string)answer["candidates"]![0]!["taxon"]!);
        Assert.DoesNotContain("arrangement", answer["candidates"]![0]!["held"]!.AsArray().Select(held => (string)held!));
        Assert.All(
            ["leader", "rival", "byPlace", "byReadings", "placeShare"],
            name => Assert.True(answer["grounds"]!.AsObject().ContainsKey(name), name)
        );
        Assert.All(
            ["settledByRange", "hard", "for", "against"],
            name => Assert.True(answer["determination"]!.AsObject().ContainsKey(name), name)
        );
        Assert.All(["without", "contradicts"], name => Assert.True(answer["doubts"]![0]!.AsObject().ContainsKey(name), name));
    }

    [Fact]
    public async Task Places_tallies_what_it_is_not_and_other_kinds_are_taken()
    {
        var answer = await Post(
            "/api/v1/sieve",
            """
            {"place":{"region":"OHI"},"date":"2026-07-20","stage":"leaf","all":true,
             "readings":[{"character":"lobing","tally":{"unlobed":4,"one-sided":2,"palmate":3},"certainty":"sure"},
                         {"character":"bark-pattern","states":["furrowed"],"on":"trunk"},
                         {"character":"bark-pattern","states":["smooth"],"on":"limb"},
                         {"character":"margin","states":["toothed"],"mode":"not"},
                         {"character":"blade-width","than":"Carpinus betulus","is":"more"},
                         {"character":"structure","states":["simple"]}]}
            """
        );
        Assert.Equal("Sassafras albidum", (string?)answer["candidates"]![0]!["taxon"]);
        Assert.Equal(Application.KindsShipped(), answer["candidates"]!.AsArray().Count);
        Assert.All(answer["doubts"]!.AsArray(), doubt => Assert.InRange((double)doubt!["gapChance"]!, 0, 1));
    }

    [Theory]
    [InlineData("""{"character":"shape","states":["ovate"],"on":"roof"}""", "readings[0].on", "base, trunk, limb")]
    [InlineData("""{"character":"lobing","tally":{"seven":2}}""", "readings[0].tally.seven", "unlobed, palmate")]
    [InlineData("""{"character":"blade-width","than":"Nemo nusquam","is":"less"}""", "readings[0].than", "name of a taxon")]
    [InlineData("""{"character":"blade-width","than":"Carpinus betulus","is":"wider"}""", "readings[0].is", "less, more")]
    [InlineData("""{"character":"margin","states":["entire"],"mode":"never"}""", "readings[0].mode", "all-seen or not")]
    public async Task A_reading_that_can_not_be_taken_is_told_at_its_field(string reading, string field, string allowed)
    {
        var response = await application.Http.PostAsync(
            "/api/v1/sieve",
            new StringContent($$"""{"readings":[{{reading}}]}""", Encoding.UTF8, "application/json")
        );
        Assert.Equal(HttpStatusCode.BadRequest, response.StatusCode);
        var problem = await response.Content.ReadAsStringAsync();
        Assert.Contains(field, problem);
        Assert.Contains(allowed, problem);
    }

    [Fact]
    public async Task Marks_come_first_and_what_can_be_seen_on_the_day_is_said()
    {
        var rows = await Post(
            "/api/v1/tell-apart",
            """{"taxa":["Quercus rubra","Quercus kelloggii"],"place":{"region":"ORE"},"date":"2026-01-20"}"""
        );
        // A mark that can't be seen today, or that hardly parts them, is no better than anything else.
        Assert.True(
            (bool)rows[0]!["mark"]!
                || rows.AsArray().All(row => !(bool)row!["mark"]! || (double)row["now"]! < 0.1 || (double)row["bits"]! < 0.05)
        );
        Assert.All(rows.AsArray(), row => Assert.InRange((double)row!["now"]!, 0, 1));
        // In January there are no leaves to compare.
        Assert.True((double)rows.AsArray().Single(row => (string?)row!["character"] == "lobe-count")!["now"]! < 0.1);
    }

    [Fact]
    public async Task Said_to_be_an_oak_a_plant_is_most_likely_one_and_may_be_none()
    {
        var read = await Post("/api/v1/read", """{"text":"an oak with lobed leaves"}""");
        Assert.Equal("""["Quercus"]""", read["among"]!.ToJsonString());
        Assert.Null((await Post("/api/v1/read", """{"text":"oak leaves"}"""))["among"]);
        Assert.InRange(Oaks(await Post("/api/v1/sieve", """{"all":true,"among":["Quercus"]}""")), 0.85, 0.95);
        Assert.InRange(Oaks(await Post("/api/v1/sieve", """{"all":true,"among":[]}""")), 0.01, 0.5);

        static double Oaks(JsonNode answer) =>
            answer["candidates"]!
                .AsArray()
                .Where(one => ((string)one!["taxon"]!).StartsWith("Quercus", StringComparison.Ordinal))
                .Sum(one => (double)one!["probability"]!);
    }

    [Fact]
    public async Task All_lists_all_and_an_empty_question_is_a_question()
    {
        var answer = await Post("/api/v1/sieve", """{"all":true}""");
        var taxa = (await application.Http.GetFromJsonAsync<JsonArray>("/api/v1/floras/temperate-trees/taxa"))!;
        Assert.Equal(taxa.Count, answer["candidates"]!.AsArray().Count);
    }

    [Theory]
    [InlineData("""{"flora":"moon"}""", "flora", "moon", "temperate-trees")]
    [InlineData(
        """{"readings":[{"character":"arangement","states":["opposite"]}]}""",
        "readings[0].character",
        "arangement",
        "id of a character"
    )]
    [InlineData("""{"readings":[{"character":"arrangement","states":["oposite"]}]}""", "readings[0].states", "oposite", "opposite")]
    [InlineData(
        """{"readings":[{"character":"lobe-count","value":5},{"character":"blade-length","value":-4}]}""",
        "readings[1].value",
        "-4",
        "above 0"
    )]
    [InlineData("""{"readings":[{"character":"blade-length","value":9999}]}""", "readings[0].value", "9999", "500")]
    [InlineData("""{"readings":[{"character":"blade-length","value":4,"unit":"stone"}]}""", "readings[0].unit", "stone", "cm")]
    [InlineData(
        """{"readings":[{"character":"arrangement","states":["opposite"],"certainty":"very"}]}""",
        "readings[0].certainty",
        "very",
        "sure"
    )]
    [InlineData("""{"readings":[{"character":"arrangement","states":["opposite","whorled"]}]}""", "readings[0].mode", "is", "either")]
    [InlineData(
        """{"readings":[{"character":"arrangement","states":["opposite"]},{"character":"arrangement","states":["alternate"]}]}""",
        "readings[1].character",
        "arrangement",
        "one reading a character"
    )]
    [InlineData("""{"readings":[null]}""", "readings[0]", "null", "object")]
    [InlineData("""{"slips":4}""", "slips", "4", "from 0 to 3")]
    [InlineData("""{"school":"lenient"}""", "school", "lenient", "strict or weigh")]
    [InlineData("""{"certainty":1.5}""", "certainty", "1.5", "below 1")]
    [InlineData("""{"date":"14 June"}""", "date", "14 June", "2026-06-14")]
    [InlineData("""{"setting":"potted"}""", "setting", "potted", "planted")]
    [InlineData("""{"age":"ancient"}""", "age", "ancient", "young or grown")]
    [InlineData(
        """{"readings":[{"character":"blade-length","value":9,"origin":"pavement"}]}""",
        "readings[0].origin",
        "pavement",
        "litter"
    )]
    [InlineData("""{"readings":[{"character":"blade-length","value":9,"by":"foot"}]}""", "readings[0].by", "foot", "ruler")]
    [InlineData("""{"readings":[{"character":"blade-length","atMost":9,"atLeast":4}]}""", "readings[0].atMost", "", "one side")]
    [InlineData("""{"readings":[{"character":"blade-length","low":4,"high":9,"mean":12}]}""", "readings[0].mean", "12", "between")]
    [InlineData("""{"among":["Acer","Oak"]}""", "among[1]", "Oak", "genus or a taxon")]
    [InlineData("""{"among":[null]}""", "among[0]", "", "genus or a taxon")]
    [InlineData("""{"place":{"region":"OREGON"}}""", "place.region", "OREGON", "ORE")]
    [InlineData("""{"place":{"latitude":99,"longitude":0}}""", "place.latitude", "99", "90")]
    public async Task A_bad_question_names_the_field_the_value_and_what_is_allowed(string body, string field, string value, string allowed)
    {
        var (status, problem) = await Refused("/api/v1/sieve", body);
        Assert.Equal(HttpStatusCode.BadRequest, status);
        Assert.Equal(field, (string?)problem["field"]);
        Assert.Contains(value, (string?)problem["value"] ?? "");
        Assert.Contains(allowed, (string)problem["allowed"]!);
        Assert.NotEmpty((string)problem["title"]!);
    }

    [Theory]
    [InlineData("{")]
    [InlineData("")]
    [InlineData("[1,2]")]
    [InlineData("null")]
    [InlineData("""{"readings":"many"}""")]
    [InlineData("""{"readings":[{"character":"lobe-count","value":"five"}]}""")]
    public async Task Bad_JSON_is_a_problem_and_no_crash(string body)
    {
        var (status, problem) = await Refused("/api/v1/sieve", body);
        Assert.Equal(HttpStatusCode.BadRequest, status);
        Assert.NotEmpty((string)problem["detail"]!);
    }

    [Fact]
    public async Task Too_many_readings_and_too_large_a_body_are_refused()
    {
        var many = string.Join(',', Enumerable.Repeat("""{"character":"lobe-count","value":5}""", 200));
        var (status, problem) = await Refused("/api/v1/sieve", $$"""{"readings":[{{many}}]}""");
        Assert.Equal((HttpStatusCode.BadRequest, "readings"), (status, (string?)problem["field"]));
        var names = string.Join(',', Enumerable.Repeat("\"Acer\"", 2000));
        (status, problem) = await Refused("/api/v1/sieve", $$"""{"among":[{{names}}]}""");
        Assert.Equal((HttpStatusCode.BadRequest, "among"), (status, (string?)problem["field"]));
        (status, problem) = await Refused("/api/v1/sieve", $$"""{"date":"{{new string('x', 2_000_000)}}"}""");
        Assert.Equal(HttpStatusCode.RequestEntityTooLarge, status);
        Assert.Contains("kB", (string)problem["detail"]!);
    }

    [Fact]
    public async Task Two_to_eight_taxa_are_told_apart_also_by_synonyms()
    {
        var rows = (
            await Post(
                "/api/v1/tell-apart",
                """{"flora":"temperate-trees","taxa":["Acer platanoides","Platanus × acerifolia"],"date":"2026-06-14"}"""
            )
        ).AsArray();
        var arrangement = rows.Single(row => (string?)row!["character"] == "arrangement")!;
        Assert.Equal("opposite", (string?)arrangement["states"]!["Acer platanoides"]);
        Assert.StartsWith("alternate", (string?)arrangement["states"]!["Platanus × hispanica"]);
        Assert.Equal((HttpStatusCode.BadRequest, "taxa"), await FieldOf("""{"taxa":["Acer platanoides"]}"""));
        Assert.Equal((HttpStatusCode.BadRequest, "taxa"), await FieldOf("""{"taxa":["Acer platanoides","Acer nosuchum"]}"""));

        async Task<(HttpStatusCode, string?)> FieldOf(string body)
        {
            var (status, problem) = await Refused("/api/v1/tell-apart", body);
            return (status, (string?)problem["field"]);
        }
    }

    [Fact]
    public async Task The_flora_can_be_read()
    {
        Assert.Equal("temperate-trees", (string?)(await application.Http.GetFromJsonAsync<JsonArray>("/api/v1/floras"))![0]!["id"]);
        var characters = (await application.Http.GetFromJsonAsync<JsonArray>("/api/v1/floras/temperate-trees/characters"))!;
        Assert.Contains(characters, c => (string?)c!["id"] == "blade-length" && (string?)c["unit"] == "cm");
        var taxon = (await application.Http.GetFromJsonAsync<JsonObject>("/api/v1/floras/temperate-trees/taxa/Platanus%20x%20acerifolia"))!;
        Assert.Equal("Platanus × hispanica", (string?)taxon["name"]);
        Assert.NotEmpty(taxon["scores"]!.AsObject());
        Assert.Equal(
            HttpStatusCode.NotFound,
            (await application.Http.GetAsync("/api/v1/floras/temperate-trees/taxa/Nosuch%20plant")).StatusCode
        );
        Assert.Equal(HttpStatusCode.NotFound, (await application.Http.GetAsync("/api/v1/floras/moon/taxa")).StatusCode);
    }

    [Fact]
    public async Task OpenAPI_and_health_are_served()
    {
        var description = (await application.Http.GetFromJsonAsync<JsonObject>("/openapi/v1.json"))!;
        Assert.All(
            ["/api/v1/sieve", "/api/v1/tell-apart", "/api/v1/floras", "/api/v1/floras/{id}/taxa/{name}"],
            path => Assert.True(description["paths"]!.AsObject().ContainsKey(path), path)
        );
        Assert.Equal(HttpStatusCode.OK, (await application.Http.GetAsync("/health")).StatusCode);
    }

    [Fact]
    public async Task An_address_that_is_not_there_is_a_problem_for_programs_and_a_page_for_people()
    {
        var api = await application.Http.GetAsync("/api/v1/nothing");
        Assert.Equal((HttpStatusCode.NotFound, "application/problem+json"), (api.StatusCode, api.Content.Headers.ContentType!.MediaType));
        var page = await application.Http.GetAsync("/look/nowhere22");
        Assert.Equal(HttpStatusCode.NotFound, page.StatusCode);
        Assert.Contains("There is no such page", await page.Content.ReadAsStringAsync());
    }

    private async Task<JsonNode> Post(string address, string body)
    {
        var answer = await application.Http.PostAsync(address, new StringContent(body, Encoding.UTF8, "application/json"));
        var text = await answer.Content.ReadAsStringAsync();
        Assert.True(answer.IsSuccessStatusCode, text);
        return JsonNode.Parse(text)!;
    }

    private async Task<(HttpStatusCode, JsonNode)> Refused(string address, string body)
    {
        // A body that is too large is refused before it is sent: the sender waits to be told to go on.
        using var request = new HttpRequestMessage(HttpMethod.Post, address)
        {
            Content = new StringContent(body, Encoding.UTF8, "application/json"),
            Headers = { ExpectContinue = true },
        };
        var answer = await application.Http.SendAsync(request);
        Assert.Equal("application/problem+json", answer.Content.Headers.ContentType?.MediaType);
        return (answer.StatusCode, JsonNode.Parse(await answer.Content.ReadAsStringAsync())!);
    }
}
