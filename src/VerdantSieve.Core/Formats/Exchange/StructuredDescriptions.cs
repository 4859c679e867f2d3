using System.Globalization;
using System.Xml;
using System.Xml.Linq;
using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Formats.Exchange;

/// <summary>A flora, or as much of it as the format can hold, as an SDD document.</summary>
/// <param name="Text">The document.</param>
/// <param name="Lost">What it can’t hold, in sentences.</param>
public sealed record SddFile(string Text, IReadOnlyList<string> Lost);

/// <summary>Writes and reads Structured Descriptive Data: taxa, categorical and quantitative characters, and coded descriptions.</summary>
/// <remarks>TDWG, Structured Descriptive Data 1.1 (2006), as remembered: the elements used here are Dataset, TaxonNames, Characters with CategoricalCharacter and
/// QuantitativeCharacter, and CodedDescriptions with Categorical and Quantitative summary data; the schema itself was not at hand.</remarks>
public static class StructuredDescriptions
{
    private static readonly XNamespace Sdd = "http://rs.tdwg.org/UBIF/2006/";

    // The measures of a range: the middle 80 % and the outer ends.
    private const string Least = "Min", Low = "UMethLower", High = "UMethUpper", Most = "Max";

    // The longest text that is taken in, in letters.
    private const long Longest = 128L * 1024 * 1024;

    /// <summary>Writes a flora’s states, presences, counts and measures.</summary>
    public static SddFile Write(Flora flora)
    {
        Character[] written = [.. flora.Characters.Where(character => character is not SeasonCharacter)];
        var document = new XDocument(new XDeclaration("1.0", "utf-8", null), new XElement(Sdd + "Datasets",
            new XElement(Sdd + "TechnicalMetadata", new XAttribute("created", "2026-01-01T00:00:00"), new XElement(Sdd + "Generator", new XAttribute("name", "Verdant Sieve"), new XAttribute("version", flora.About.Edition))),
            new XElement(Sdd + "Dataset", new XAttribute(XNamespace.Xml + "lang", "en"), Label(flora.About.Title),
                new XElement(Sdd + "TaxonNames", flora.Taxa.Select((taxon, t) => new XElement(Sdd + "TaxonName", new XAttribute("id", $"t{t + 1}"), Label(taxon.Name.Text)))),
                new XElement(Sdd + "Characters", written.Select(Definition)),
                new XElement(Sdd + "CodedDescriptions", flora.Taxa.Select((taxon, t) => new XElement(Sdd + "CodedDescription", new XAttribute("id", $"d{t + 1}"), Label(taxon.Name.Text),
                    new XElement(Sdd + "Scope", new XElement(Sdd + "TaxonName", new XAttribute("ref", $"t{t + 1}"))),
                    new XElement(Sdd + "SummaryData", written.Where(character => taxon.Scores.ContainsKey(character.Id)).Select(character => Coded(character, taxon.Scores[character.Id])))))))));
        return new SddFile(document.Declaration + "\n" + document, Lost(flora));
    }

    private static XElement Label(string text, string? detail = null) =>
        new(Sdd + "Representation", new XElement(Sdd + "Label", Clean(text)), detail is { Length: > 0 } ? new XElement(Sdd + "Detail", Clean(detail)) : null);

    // XML takes no control characters.
    private static string Clean(string text) => string.Concat(text.Where(XmlConvert.IsXmlChar));

    private static XElement Definition(Character character)
    {
        var id = new XAttribute("id", character.Id);
        return character switch
        {
            StateCharacter states => new XElement(Sdd + "CategoricalCharacter", id, Label(character.Label, character.Question),
                new XElement(Sdd + "States", states.States.Select(state => new XElement(Sdd + "StateDefinition", new XAttribute("id", $"{character.Id}.{state.Id}"), Label(state.Label, state.Meaning))))),
            PresenceCharacter => new XElement(Sdd + "CategoricalCharacter", id, Label(character.Label, character.Question),
                new XElement(Sdd + "States", new[] { "absent", "present" }.Select(state => new XElement(Sdd + "StateDefinition", new XAttribute("id", $"{character.Id}.{state}"), Label(state))))),
            _ => new XElement(Sdd + "QuantitativeCharacter", id, Label(character.Label, character.Question),
                character is MeasureCharacter measure ? new XElement(Sdd + "MeasurementUnit", Label(Unit(measure.Unit))) : null)
        };
    }

    private static string Unit(MeasureUnit unit) => unit switch { MeasureUnit.Centimetre => "cm", MeasureUnit.Metre => "m", _ => "ratio" };

    private static XElement Coded(Character character, Score score)
    {
        var reference = new XAttribute("ref", character.Id);
        return score switch
        {
            StateScore states => new XElement(Sdd + "Categorical", reference, states.States.Select(state => new XElement(Sdd + "State", new XAttribute("ref", $"{character.Id}.{state.State}")))),
            PresenceScore presence => new XElement(Sdd + "Categorical", reference, new[] { ("absent", presence.Frequency < 1), ("present", presence.Frequency > 0) }.Where(pair => pair.Item2)
                .Select(pair => new XElement(Sdd + "State", new XAttribute("ref", $"{character.Id}.{pair.Item1}")))),
            RangeScore range => new XElement(Sdd + "Quantitative", reference, new (string Type, double? Value)[] { (Least, range.Least), (Low, range.Low), (High, range.High), (Most, range.Most) }.Where(pair => pair.Value is not null)
                .Select(pair => new XElement(Sdd + "Measure", new XAttribute("type", pair.Type), new XAttribute("value", pair.Value!.Value.ToString("R", CultureInfo.InvariantCulture))))),
            _ => throw new ArgumentOutOfRangeException(nameof(score), score, "Unknown kind of score.")
        };
    }

    private static List<string> Lost(Flora flora)
    {
        var lost = new List<string>();
        if (flora.Characters.Any(character => character is SeasonCharacter)) lost.Add($"Seasons are left out: {string.Join(", ", flora.Characters.OfType<SeasonCharacter>().Select(c => c.Id))}.");
        var weighed = flora.Taxa.Sum(taxon => taxon.Scores.Values.OfType<StateScore>().Count(score => score.States.Any(state => state.Frequency != Frequency.Usual)));
        if (weighed > 0) lost.Add($"How often a state is shown is lost in {weighed} scores: usual, sometimes and rarely all become one of several states.");
        var often = flora.Taxa.Sum(taxon => taxon.Scores.Values.OfType<PresenceScore>().Count(score => score.Frequency is > 0 and < 1));
        if (often > 0) lost.Add($"How often a thing is found is lost in {often} scores: they become “absent or present”.");
        lost.Add("When a character applies, what is confused with what, and all that is said of taxa but their names and scores is left out.");
        return lost;
    }

    /// <summary>Reads an SDD document as a flora whose taxa have scores and nothing else.</summary>
    /// <param name="source">The document.</param>
    /// <param name="id">The id the flora is to have.</param>
    public static FloraReading Read(SourceFile source, string id)
    {
        try
        {
            // No document types and no outside entities: a description needs neither, and both can be made to read files or to fill all memory.
            var settings = new XmlReaderSettings { DtdProcessing = DtdProcessing.Prohibit, XmlResolver = null, MaxCharactersInDocument = Longest, IgnoreComments = true };
            using var reader = XmlReader.Create(new StringReader(source.Text), settings);
            var document = XDocument.Load(reader, LoadOptions.SetLineInfo);
            return document.Descendants(Sdd + "Dataset").FirstOrDefault() is { } dataset ? Draft(dataset, source.Path, id).Read() : Refused(source, 1, $"there is no Dataset of the namespace {Sdd}");
        }
        catch (XmlException fault) { return Refused(source, Math.Max(1, fault.LineNumber), fault.Message.Contains("DTD", StringComparison.Ordinal) ? "a document type is not taken in" : $"it can’t be read as XML: {fault.Message.TrimEnd('.')}"); }
        catch (SddFault fault) { return Refused(source, fault.Line, fault.Message); }
    }

    private static FloraReading Refused(SourceFile source, int line, string message) => new(null, [new Fault(source.Path, line, message)]);

    private sealed class SddFault(XObject at, string message) : Exception(message)
    {
        public int Line { get; } = LineOf(at);
    }

    private static int LineOf(XObject at) => ((IXmlLineInfo)at).HasLineInfo() ? ((IXmlLineInfo)at).LineNumber : 1;

    private static string Required(XElement element, string attribute) =>
        element.Attribute(attribute)?.Value is { Length: > 0 } value ? value : throw new SddFault(element, $"{element.Name.LocalName} needs the attribute “{attribute}”");

    private static string Said(XElement element, string part = "Label") => element.Element(Sdd + "Representation")?.Element(Sdd + part)?.Value.Trim() ?? "";

    private static DraftFlora Draft(XElement dataset, string file, string id)
    {
        var (ids, states) = (new Dictionary<string, string>(), new Dictionary<string, (string Character, string State)>());
        var characters = new List<DraftEntry>();
        foreach (var element in dataset.Element(Sdd + "Characters")?.Elements() ?? [])
        {
            var key = Required(element, "id");
            var slug = Unique(Slug(key), ids.Values);
            if (!ids.TryAdd(key, slug)) throw new SddFault(element, $"the character “{key}” stands twice");
            var label = Said(element) is { Length: > 0 } said ? said : key;
            var fields = new Dictionary<string, string> { ["part"] = Organs.PartNotGiven, ["id"] = slug, ["label"] = label, ["question"] = Said(element, "Detail") is { Length: > 0 } question ? question : $"What is the {label}?" };
            var pairs = new Dictionary<string, IReadOnlyList<(string, string)>>();
            if (element.Name == Sdd + "CategoricalCharacter")
            {
                var own = new List<(string, string)>();
                foreach (var state in element.Element(Sdd + "States")?.Elements(Sdd + "StateDefinition") ?? [])
                {
                    var stateKey = Required(state, "id");
                    var stateSlug = Unique(Slug(stateKey.StartsWith(key + ".", StringComparison.Ordinal) ? stateKey[(key.Length + 1)..] : Said(state) is { Length: > 0 } name ? name : stateKey), own.Select(o => o.Item1));
                    if (!states.TryAdd(stateKey, (key, stateSlug))) throw new SddFault(state, $"the state “{stateKey}” stands twice");
                    own.Add((stateSlug, $"{(Said(state) is { Length: > 0 } words ? words.Replace('|', '/') : stateSlug)} | {Said(state, "Detail")}"));
                }
                (fields["kind"], pairs["states"]) = ("nominal", own);
            }
            else if (element.Name == Sdd + "QuantitativeCharacter")
            {
                var unit = element.Element(Sdd + "MeasurementUnit") is { } measured ? Said(measured) : "";
                if (unit is not ("" or "cm" or "m" or "ratio")) throw new SddFault(element, $"the unit of “{key}” must be cm, m or ratio, or left out for a count; not “{unit}”");
                fields["kind"] = unit.Length > 0 ? "measure" : "count";
                if (unit.Length > 0) fields["unit"] = unit;
            }
            else continue;
            characters.Add(new DraftEntry(file, LineOf(element), fields) { Pairs = pairs });
        }
        var names = (dataset.Element(Sdd + "TaxonNames")?.Elements(Sdd + "TaxonName") ?? []).ToDictionary(name => Required(name, "id"), name => Said(name));
        var units = characters.Where(character => character["unit"].Length > 0).ToDictionary(character => character["id"], character => character["unit"] == "ratio" ? "" : " " + character["unit"]);
        var taxa = new List<DraftEntry>();
        foreach (var description in dataset.Element(Sdd + "CodedDescriptions")?.Elements(Sdd + "CodedDescription") ?? [])
        {
            var name = description.Element(Sdd + "Scope")?.Element(Sdd + "TaxonName") is { } scope ? names.GetValueOrDefault(Required(scope, "ref")) ?? throw new SddFault(scope, "the taxon referred to is not among the taxon names") : Said(description);
            if (name.Length == 0) throw new SddFault(description, "the description says of no taxon what it describes");
            taxa.Add(new DraftEntry(file, LineOf(description), new Dictionary<string, string> { ["name"] = name.Contains(' ') ? name : $"{name} sp.", ["authority"] = Taxon.NotGiven, ["family"] = Taxon.NotGiven, ["provenance"] = $"Read from {file}." })
            {
                Lists = new Dictionary<string, IReadOnlyList<string>> { ["common-names"] = [name], ["settings"] = ["wild", "planted"] },
                Pairs = new Dictionary<string, IReadOnlyList<(string, string)>> { ["scores"] = [.. Scores(description, ids, states, units)] }
            });
        }
        return new DraftFlora { About = new DraftEntry(file, 1, new Dictionary<string, string> { ["id"] = id, ["title"] = Said(dataset) is { Length: > 0 } title ? title : id }), Characters = characters, Taxa = taxa };
    }

    private static IEnumerable<(string, string)> Scores(XElement description, Dictionary<string, string> ids, Dictionary<string, (string Character, string State)> states, Dictionary<string, string> units)
    {
        foreach (var coded in description.Element(Sdd + "SummaryData")?.Elements() ?? [])
        {
            if (!ids.TryGetValue(Required(coded, "ref"), out var id)) throw new SddFault(coded, $"the character “{Required(coded, "ref")}” is not defined");
            if (coded.Name == Sdd + "Categorical")
            {
                var shown = coded.Elements(Sdd + "State").Select(state => states.TryGetValue(Required(state, "ref"), out var known) ? known.State : throw new SddFault(state, $"the state “{Required(state, "ref")}” is not defined")).Distinct().ToArray();
                if (shown.Length > 0) yield return (id, string.Join(", ", shown));
            }
            else if (coded.Name == Sdd + "Quantitative")
            {
                var measures = coded.Elements(Sdd + "Measure").GroupBy(measure => Required(measure, "type")).ToDictionary(group => group.Key, group => Required(group.First(), "value"));
                string? Of(string type) => measures.GetValueOrDefault(type);
                var (low, high) = (Of(Low) ?? Of("Mean") ?? Of(Least), Of(High) ?? Of("Mean") ?? Of(Most));
                if (low is null || high is null) continue;
                var text = $"{(Of(Least) is { } least && Of(Low) is not null ? $"({least}–)" : "")}{low}{(high == low ? "" : $"–{high}")}{(Of(Most) is { } most && Of(High) is not null ? $"(–{most})" : "")}";
                yield return (id, text + units.GetValueOrDefault(id, ""));
            }
        }
    }

    private static string Slug(string text)
    {
        var slug = new string([.. text.ToLowerInvariant().Select(letter => char.IsAsciiLetterOrDigit(letter) ? letter : '-')]).Trim('-');
        return slug.Length == 0 ? "unnamed" : slug;
    }

    private static string Unique(string id, IEnumerable<string> taken)
    {
        var (unique, n) = (id, 2);
        var all = taken.ToHashSet();
        while (all.Contains(unique)) unique = $"{id}-{n++}";
        return unique;
    }
}
