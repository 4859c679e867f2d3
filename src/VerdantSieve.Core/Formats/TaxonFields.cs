using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Formats;

/// <summary>All fields of a taxon beside its name and scores, in the order in which they are written. What reads or writes taxa goes by
/// this list.</summary>
internal static class TaxonFields
{
    // How a file says that an author or a family is not known.
    private const string NotGiven = "not given";

    public static IReadOnlyList<TaxonField> All { get; } =
    [
        Text(
            "rank",
            (entry, taxon) => taxon with { Rank = entry.Choice("rank", TaxonRank.Species) },
            taxon => taxon.Rank == TaxonRank.Species ? "" : taxon.Rank.Word()
        ),
        Text(
            "authority",
            (entry, taxon) => taxon with { Authority = Known(entry.Required("authority")) },
            taxon => taxon.Authority ?? NotGiven
        ),
        Text("family", (entry, taxon) => taxon with { Family = Known(entry.Required("family")) }, taxon => taxon.Family ?? NotGiven),
        Text("group", (entry, taxon) => taxon with { Group = entry.Text("group") }, taxon => taxon.Group ?? ""),
        List(
            "common-names",
            (entry, taxon) => entry.RequiredList("common-names") is { Count: > 0 } names ? taxon with { CommonNames = names } : taxon,
            taxon => taxon.CommonNames
        ) with
        {
            Description = "parted by semicolons, the most used first",
        },
        List("synonyms", (entry, taxon) => taxon with { Synonyms = entry.List("synonyms") }, taxon => taxon.Synonyms, whereNone: false),
        List("hybrid-of", HybridOf, taxon => taxon.HybridOf, whereNone: false),
        // All lists of the range are read at once, since what stands alone in one is left out of the blocks of the others.
        RangeList(Occurrence.Native, (entry, taxon) => taxon with { Distribution = RangeNotation.Read(entry) }) with
        {
            Description =
                "level 3 codes of the World Geographical Scheme or blocks of them, parted by semicolons; each may be followed by "
                + "how common it is there",
        },
        RangeList(Occurrence.RunWild),
        RangeList(Occurrence.Planted),
        RangeList(Occurrence.Absent),
        Flag(
            "looked",
            (taxon, looked) => taxon with { Distribution = taxon.Distribution with { Looked = looked } },
            taxon => taxon.Distribution.Looked
        ) with
        {
            Description = "whether every keyed country was gone through, so that those in no list are without it",
        },
        Flag(
            "planted-widely",
            (taxon, widely) => taxon with { Distribution = taxon.Distribution with { PlantedWidely = widely } },
            taxon => taxon.Distribution.PlantedWidely
        ),
        List("settings", Settings, taxon => [.. taxon.Settings.Select(setting => setting.Word())]) with
        {
            Description = "wild; planted",
        },
        Text(
            "abundance",
            (entry, taxon) => taxon with { Abundance = entry.Choice("abundance", Abundance.Frequent) },
            taxon => taxon.Abundance.Word()
        ),
        Text("aggregate", (entry, taxon) => taxon with { Aggregate = entry.Text("aggregate") }, taxon => taxon.Aggregate ?? ""),
        Text("windows-at", (entry, taxon) => taxon with { WindowsAt = entry.Text("windows-at") }, taxon => taxon.WindowsAt ?? ""),
        Text("meaning", (entry, taxon) => taxon with { Meaning = entry.Text("meaning") ?? "" }, taxon => taxon.Meaning),
        Text("remember", (entry, taxon) => taxon with { Remember = entry.Text("remember") ?? "" }, taxon => taxon.Remember),
        Pairs(
            "hazards",
            (entry, taxon) => taxon with { Hazards = [.. entry.Pairs("hazards").Select(pair => HazardOf(entry, pair.Key, pair.Value))] },
            taxon => taxon.Hazards.Select(hazard => (Key(hazard), hazard.Caution))
        ) with
        {
            Description = "one to a line: poisonous seed eat: The seed is poisonous.",
        },
        Pairs(
            "doubles",
            (entry, taxon) => taxon with { Doubles = [.. entry.Pairs("doubles").Select(pair => DoubleOf(pair.Key, pair.Value))] },
            taxon => taxon.Doubles.Select(alike => (alike.Name, Written(alike)))
        ) with
        {
            Description = "one to a line: Quercus robur: acorns without a stalk [acorn-stalk]",
        },
        Pairs("forms", FormsOf, taxon => taxon.Forms.Select(form => (form.Name, Written(form)))) with
        {
            Description = "garden forms, one to a line: purple: leaf-colour=purple; 20 %",
        },
        Pairs(
            "notes",
            (entry, taxon) => taxon with { Notes = entry.Pairs("notes").ToDictionary(pair => pair.Key, pair => pair.Value) },
            taxon => taxon.Notes.Select(note => (note.Key, note.Value))
        ) with
        {
            Description = "the source of a single score, or what is unsure of it; one to a line: bark-colour: seen on one tree only",
        },
        Text("provenance", (entry, taxon) => taxon with { Provenance = entry.Required("provenance") }, taxon => taxon.Provenance),
    ];

    // “bud black [bud-colour, bud-hair]”: the mark in words, and the characters it is about.
    private static PlantDouble DoubleOf(string name, string text)
    {
        var at = text.LastIndexOf('[');
        return at < 0 || !text.EndsWith(']')
            ? new PlantDouble(name, text)
            : new PlantDouble(name, text[..at].TrimEnd())
            {
                Marks = text[(at + 1)..^1].Split(',', StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries),
            };
    }

    private static string Written(PlantDouble alike) =>
        alike.Marks.Count == 0 ? alike.Mark : $"{alike.Mark} [{string.Join(", ", alike.Marks)}]";

    // “skin-irritant sap touch”: the kind, the part and the act; part and act may be left out where they are as usual for the kind.
    private static Hazard HazardOf(EntryReader entry, string key, string caution)
    {
        var words = key.Split(' ', StringSplitOptions.RemoveEmptyEntries);
        var hazard = new Hazard(entry.Choice("hazards", words[0], HazardKind.Poisonous), caution);
        if (words.Length > 1)
            hazard = hazard with { Part = entry.Choice("hazards", words[1], HazardPart.Any) };
        return words.Length > 2 ? hazard with { Act = entry.Choice("hazards", words[2], HazardAct.Touch) } : hazard;
    }

    private static string Key(Hazard hazard)
    {
        var usual = new Hazard(hazard.Kind, "");
        if (hazard.Act != usual.Act)
            return $"{hazard.Kind.Word()} {hazard.Part.Word()} {hazard.Act.Word()}";
        return hazard.Part == usual.Part ? hazard.Kind.Word() : $"{hazard.Kind.Word()} {hazard.Part.Word()}";
    }

    // “leaf-colour=purple; armature=none; 20 %”: what the form shows in the place of the kind's own, and how many planted plants are such.
    private static Taxon FormsOf(EntryReader entry, Taxon taxon)
    {
        var forms = new List<PlantForm>();
        foreach (var (name, text) in entry.Pairs("forms"))
        {
            var parts = text.Split(';', StringSplitOptions.TrimEntries);
            var shown = parts[..^1].Select(part => part.Split('=', 2, StringSplitOptions.TrimEntries)).ToArray();
            if (
                shown.Length == 0
                || name.Length == 0
                || shown.Any(part => part.Length < 2)
                || shown.DistinctBy(part => part[0]).Count() < shown.Length
                || ScoreNotation.Percent(parts[^1].Replace(" ", "", StringComparison.Ordinal)) is not (> 0 and < 100 and var percent)
            )
                entry.Fault(
                    "forms",
                    $"“{name}” must say once of each character what it shows and what share, as leaf-colour=purple; 20 %; not “{text}”"
                );
            else
                forms.Add(
                    new PlantForm(
                        name,
                        shown.ToDictionary(
                            part => part[0],
                            part => (IReadOnlyList<string>)part[1].Split(',', StringSplitOptions.TrimEntries)
                        ),
                        percent / 100
                    )
                );
        }
        return taxon with { Forms = forms };
    }

    private static string Written(PlantForm form) =>
        string.Join(
            "; ",
            form.Shows.Select(pair => $"{pair.Key}={string.Join(", ", pair.Value)}").Append($"{Math.Round(form.Share * 100, 6)} %")
        );

    private static string? Known(string text) => text == NotGiven ? null : text;

    private static TaxonField Text(string key, Func<EntryReader, Taxon, Taxon> read, Func<Taxon, string> write) =>
        new(key, FieldShape.Text, read, taxon => write(taxon) is { Length: > 0 } text ? new EntryValue.Text(text) : null);

    private static TaxonField List(
        string key,
        Func<EntryReader, Taxon, Taxon> read,
        Func<Taxon, IReadOnlyList<string>> write,
        bool whereNone = true
    ) =>
        new(
            key,
            FieldShape.List,
            read,
            taxon => write(taxon) is var items && (items.Count > 0 || whereNone) ? new EntryValue.List(items) : null
        );

    private static TaxonField Pairs(string key, Func<EntryReader, Taxon, Taxon> read, Func<Taxon, IEnumerable<(string, string)>> write) =>
        new(key, FieldShape.Pairs, read, taxon => new Entry("", 1).With(key, write(taxon))[key]);

    private static Taxon HybridOf(EntryReader entry, Taxon taxon)
    {
        var parents = entry.List("hybrid-of");
        if (parents.Count is 0 or 2)
            return taxon with { HybridOf = parents };
        entry.Fault("hybrid-of", "“hybrid-of” names the two parents");
        return taxon;
    }

    private static Taxon Settings(EntryReader entry, Taxon taxon) =>
        entry.RequiredList("settings").Select(setting => entry.Choice("settings", setting, Setting.Wild)).Distinct().ToArray()
            is { Length: > 0 } settings
            ? taxon with
            {
                Settings = settings,
            }
            : taxon;

    private static TaxonField RangeList(Occurrence occurrence, Func<EntryReader, Taxon, Taxon>? read = null)
    {
        var (key, _) = RangeNotation.Lists.First(list => list.Occurrence == occurrence);
        return List(
            key,
            read ?? ((_, taxon) => taxon),
            taxon => RangeNotation.Write(taxon.Distribution, occurrence),
            whereNone: occurrence == Occurrence.Native
        );
    }

    private static TaxonField Flag(string key, Func<Taxon, bool, Taxon> put, Func<Taxon, bool> get) =>
        Text(key, (entry, taxon) => put(taxon, entry.Flag(key)), taxon => get(taxon) ? "true" : "");
}
