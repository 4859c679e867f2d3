using System.Globalization;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Seasons;

namespace VerdantSieve.Core.Formats.Exchange;

/// <summary>A reference from a column of one table to a column of another.</summary>
internal sealed record TableReference(string Column, string Table, string OtherColumn);

/// <summary>A table of a data package.</summary>
/// <param name="Name">Its name.</param>
/// <param name="Columns">Its columns, each with what it holds.</param>
/// <param name="Key">The columns that tell one row from another.</param>
/// <param name="Rows">The rows, each a cell by column; those left out are empty.</param>
internal sealed record PackageTable(
    string Name,
    IReadOnlyList<(string Column, string Description)> Columns,
    IReadOnlyList<string> Key,
    IEnumerable<IReadOnlyDictionary<string, string>> Rows
)
{
    public TableReference? Reference { get; init; }
}

/// <summary>The tables of a flora.</summary>
internal static class PackageTables
{
    public const string About = "about",
        Characters = "characters",
        States = "states",
        Taxa = "taxa";

    /// <summary>The columns of characters, in the order of the table; all but the first two are keys of the vocabulary’s file.</summary>
    public static IReadOnlyList<string> CharacterColumns { get; } =
    [
        "id",
        "part",
        "kind",
        "unit",
        "label",
        "question",
        "how",
        "says",
        "if",
        "contact",
        "variety",
        "one-sided",
        "usual-first",
        "effort",
        "counts",
        "correlated",
        "planted",
        "supports",
        "loose",
        "gaps",
        "borne",
        "in-autumn",
        "stages",
        "within",
        "broader",
        "also",
        "formerly",
        "words",
    ];

    /// <summary>Those of them that hold pairs, one to a line.</summary>
    public static IReadOnlyList<string> CharacterPairs { get; } = ["within", "broader", "words"];

    /// <summary>Parts of a list in one cell stand so apart.</summary>
    public const string ListMark = "; ";

    public static IReadOnlyList<PackageTable> Of(Flora flora) =>
        [
            new(
                About,
                [
                    ("kind", "id, title, edition, place, genus, family, aggregate, near-alike, missing-kinds or keyed"),
                    ("id", "id"),
                    ("text", "text"),
                    ("latitude", "latitude"),
                    ("longitude", "longitude"),
                    ("elevation", "elevation"),
                ],
                ["kind", "id"],
                AboutRows(flora.About)
            ),
            new(
                Characters,
                [.. CharacterColumns.Select(column => (column, DescriptionOf(column)))],
                ["id"],
                flora.Characters.Select(CharacterRow)
            ),
            new(
                States,
                [("character", "character"), ("id", "id"), ("label", "label"), ("meaning", "meaning"), ("confused", "confused")],
                ["character", "id"],
                flora.Characters.OfType<StateCharacter>().SelectMany(StateRows)
            )
            {
                Reference = new TableReference("character", Characters, "id"),
            },
            new(
                Taxa,
                [
                    ("name", "name"),
                    .. TaxonFields.All.Select(field =>
                        (field.Key, field.Description.Length > 0 ? field.Description : field.Key.Replace('-', ' '))
                    ),
                    .. flora.Characters.Select(character => (character.Id, character.Question)),
                ],
                ["name"],
                flora.Taxa.Select(taxon => TaxonRow(taxon, flora))
            ),
        ];

    private static string DescriptionOf(string column) =>
        column switch
        {
            "kind" => "nominal, ordinal, count, measure, presence or season",
            "if" => "asked only where this holds, such as structure!=simple",
            "effort" => "what it costs to look; 1 is a glance",
            _ => column.Replace('-', ' '),
        };

    private static IEnumerable<IReadOnlyDictionary<string, string>> AboutRows(FloraAbout about)
    {
        yield return Row("id", "", about.Id);
        yield return Row("title", "", about.Title);
        yield return Row("edition", "", about.Edition.ToString(CultureInfo.InvariantCulture));
        yield return PlaceRow("", about.ReferencePlace);
        foreach (var (id, place) in about.Places)
            yield return PlaceRow(id, place);
        foreach (
            var (kind, words) in new[]
            {
                ("genus", about.GenusWords),
                ("family", about.FamilyWords),
                ("aggregate", about.Aggregates),
                ("near-alike", about.NearAlike),
                ("missing-kinds", about.MissingKinds.ToDictionary(pair => pair.Key, pair => $"{pair.Value}")),
            }
        )
            foreach (var (id, text) in words)
                yield return Row(kind, id, text);
        foreach (var code in about.Keyed)
            yield return Row("keyed", code, "");

        static Dictionary<string, string> Row(string kind, string id, string text) =>
            new()
            {
                ["kind"] = kind,
                ["id"] = id,
                ["text"] = text,
            };
        static Dictionary<string, string> PlaceRow(string id, Place place) =>
            new(Row("place", id, place.Name))
            {
                ["latitude"] = Number(place.Position.Latitude),
                ["longitude"] = Number(place.Position.Longitude),
                ["elevation"] = Number(place.Position.Elevation),
            };
    }

    private static Dictionary<string, string> CharacterRow(Character character)
    {
        var states = character as StateCharacter;
        return new()
        {
            ["id"] = character.Id,
            ["part"] = character.Part ?? "",
            ["kind"] = CharacterNotation.Kind(character),
            ["unit"] = CharacterNotation.Unit(character) ?? "",
            ["label"] = character.Label,
            ["question"] = character.Question,
            ["how"] = character.HowToLook,
            ["says"] = character.Phrase,
            ["if"] = character.OnlyIf?.ToString() ?? "",
            ["contact"] = Flag(character.Contact),
            ["variety"] = Flag(states?.Variety == true),
            ["one-sided"] = Flag(states?.OneSided == true),
            ["usual-first"] = Flag(states?.UsualFirst == true),
            ["effort"] = character.Effort == 1 ? "" : Number(character.Effort),
            ["counts"] = character.Weight == 1 ? "" : Share(character.Weight),
            ["correlated"] = character.Correlation is { } correlation ? $"{correlation.Group} {Share(correlation.Share)}" : "",
            ["planted"] = character.GardenForm is { } garden ? $"{garden.State ?? "absent"} {Share(garden.Share)}" : "",
            ["supports"] = Flag(character.OnlySupports),
            ["loose"] = character.Looseness is { } loose ? Share(loose) : "",
            ["gaps"] = character.Gaps is { } gaps ? Share(gaps) : "",
            ["borne"] = character is SeasonCharacter season && season.Borne != Phenology.ShownInSeason ? Share(season.Borne) : "",
            ["in-autumn"] = Flag((character as SeasonCharacter)?.InAutumn == true),
            ["stages"] = string.Join(ListMark, character.Stages.Select(stage => stage.Word())),
            ["within"] = Lines(states?.Within.Select(pair => (pair.Key, string.Join(", ", pair.Value)))),
            ["also"] = string.Join(ListMark, character.Also),
            ["formerly"] = string.Join(ListMark, character.Formerly),
            ["words"] = Lines(
                states
                    ?.States.Select(state => (state.Id, state.Also))
                    .Concat(states.BroadWords.Select(word => (word.Id, word.Also)))
                    .Where(word => word.Also.Count > 0)
                    .Select(word => (word.Id, string.Join(", ", word.Also)))
            ),
            ["broader"] = Lines(states?.BroadWords.Select(word => (word.Id, $"{word.Label} | {string.Join(", ", word.States)}"))),
        };
    }

    // Pairs in one cell, one to a line.
    private static string Lines(IEnumerable<(string Key, string Value)>? pairs) =>
        string.Join('\n', (pairs ?? []).Select(pair => $"{pair.Key}: {pair.Value}"));

    private static IEnumerable<IReadOnlyDictionary<string, string>> StateRows(StateCharacter character) =>
        character.States.Select(state => new Dictionary<string, string>
        {
            ["character"] = character.Id,
            ["id"] = state.Id,
            ["label"] = state.Label,
            ["meaning"] = state.Meaning,
            ["confused"] = string.Join(
                ", ",
                character
                    .Confusions.Where(confusion => confusion.State == state.Id)
                    .Select(confusion => $"{confusion.TakenFor} {Share(confusion.Share)}")
            ),
        });

    private static Dictionary<string, string> TaxonRow(Taxon taxon, Flora flora)
    {
        var row = new Dictionary<string, string> { ["name"] = taxon.Name.Text };
        foreach (var field in TaxonFields.All)
            row[field.Key] = Cell(field.Write(taxon));
        foreach (var (id, score) in taxon.EnteredScores)
            row[id] = ScoreNotation.Format(new Scored(flora.Character(id), score));
        return row;
    }

    private static string Cell(EntryValue? value) =>
        value switch
        {
            EntryValue.Text text => text.Value,
            EntryValue.List list => string.Join(ListMark, list.Items),
            EntryValue.Map map => string.Join('\n', map.Entry.Keys.Select(key => $"{key}: {map.Entry.TextAt(key)}")),
            _ => "",
        };

    private static string Flag(bool value) => value ? "true" : "";

    private static string Number(double value) => value.ToString("R", CultureInfo.InvariantCulture);

    private static string Share(double share) => $"{Number(Math.Round(share * 100, 6))} %";
}
