using System.Globalization;
using System.Xml;
using System.Xml.Linq;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Measuring;

namespace VerdantSieve.Core.Formats.Exchange;

/// <summary>Writes and reads Structured Descriptive Data: taxa, categorical and quantitative characters, and coded descriptions.</summary>
/// <remarks>TDWG, Structured Descriptive Data 1.1 (2006), as remembered: the elements used here are Dataset, TaxonNames, Characters with
/// CategoricalCharacter and
/// QuantitativeCharacter, and CodedDescriptions with Categorical and Quantitative summary data; the schema itself was not at
/// hand.</remarks>
public sealed class StructuredDescriptions : TextFormat
{
    internal static readonly XNamespace Sdd = "http://rs.tdwg.org/UBIF/2006/";

    // The measures of a range: the middle 80 % and the outer ends.
    internal const string Least = "Min",
        Low = "UMethLower",
        High = "UMethUpper",
        Most = "Max";

    // The longest text that is taken in, in letters.
    private const long Longest = 128L * 1024 * 1024;

    /// <inheritdoc/>
    public override string Id => "sdd";

    /// <inheritdoc/>
    public override string Name => "SDD";

    /// <inheritdoc/>
    public override IReadOnlyList<string> Extensions { get; } = [".xml", ".sdd"];

    /// <inheritdoc/>
    public override string MediaType => "application/xml";

    /// <inheritdoc/>
    public override string Holds => "states and ranges";

    /// <inheritdoc/>
    public override string WriteText(Flora flora)
    {
        Character[] written = [.. flora.Characters.Where(character => character is not SeasonCharacter)];
        var metadata = Element(
            "TechnicalMetadata",
            new XAttribute("created", "2026-01-01T00:00:00"),
            Element("Generator", new XAttribute("name", "Verdant Sieve"), new XAttribute("version", flora.About.Edition))
        );
        var dataset = Element(
            "Dataset",
            new XAttribute(XNamespace.Xml + "lang", "en"),
            Label(flora.About.Title),
            Element(
                "TaxonNames",
                flora.Taxa.Select((taxon, t) => Element("TaxonName", new XAttribute("id", $"t{t + 1}"), Label(taxon.Name.Text)))
            ),
            Element("Characters", written.Select(Definition)),
            Element("CodedDescriptions", flora.Taxa.Select((taxon, t) => Description(taxon, t + 1, written)))
        );
        var document = new XDocument(new XDeclaration("1.0", "utf-8", null), Element("Datasets", metadata, dataset));
        return document.Declaration + "\n" + document;
    }

    private static XElement Element(string name, params object?[] content) => new(Sdd + name, content);

    private static XElement Label(string text, string? detail = null) =>
        Element("Representation", Element("Label", Clean(text)), detail is { Length: > 0 } ? Element("Detail", Clean(detail)) : null);

    // XML takes no control characters.
    private static string Clean(string text) => string.Concat(text.Where(XmlConvert.IsXmlChar));

    private static XElement Description(Taxon taxon, int number, Character[] written) =>
        Element(
            "CodedDescription",
            new XAttribute("id", $"d{number}"),
            Label(taxon.Name.Text),
            Element("Scope", Element("TaxonName", new XAttribute("ref", $"t{number}"))),
            Element(
                "SummaryData",
                written
                    .Where(character => taxon.Score(character.Id) is not null)
                    .Select(character => Coded(new Scored(character, taxon.Scores[character.Id])))
            )
        );

    private static XElement Definition(Character character) =>
        character.Match(
            states: states => Categorical(states, states.States.Select(state => (state.Id, Label(state.Label, state.Meaning)))),
            count: count => Quantitative(count, null),
            measure: measure => Quantitative(measure, Element("MeasurementUnit", Label(measure.Unit.Symbol()))),
            presence: presence => Categorical(presence, new[] { "absent", "present" }.Select(state => (state, Label(state)))),
            season: season => throw new ArgumentException($"The format has no seasons, such as {season.Id}.", nameof(character))
        );

    private static XElement Categorical(Character character, IEnumerable<(string Id, XElement Label)> states) =>
        Element(
            "CategoricalCharacter",
            new XAttribute("id", character.Id),
            Label(character.Label, character.Question),
            Element(
                "States",
                states.Select(state => Element("StateDefinition", new XAttribute("id", $"{character.Id}.{state.Id}"), state.Label))
            )
        );

    private static XElement Quantitative(Character character, XElement? unit) =>
        Element("QuantitativeCharacter", new XAttribute("id", character.Id), Label(character.Label, character.Question), unit);

    private static XElement Coded(Scored scored) =>
        scored.Match(
            states: (character, shown) => States(character, shown.States.Select(state => state.State)),
            count: Measures,
            measure: Measures,
            presence: (character, presence) => States(character, AbsentOrPresent(presence)),
            season: (character, _) => throw new ArgumentException($"The format has no seasons, such as {character.Id}.", nameof(scored))
        );

    private static IEnumerable<string> AbsentOrPresent(PresenceScore presence)
    {
        if (presence.Frequency < 1)
            yield return "absent";
        if (presence.Frequency > 0)
            yield return "present";
    }

    private static XElement States(Character character, IEnumerable<string> states) =>
        Element(
            "Categorical",
            new XAttribute("ref", character.Id),
            states.Select(state => Element("State", new XAttribute("ref", $"{character.Id}.{state}")))
        );

    private static XElement Measures(Character character, RangeScore range) =>
        Element(
            "Quantitative",
            new XAttribute("ref", character.Id),
            new (string Type, double? Value)[] { (Least, range.Least), (Low, range.Low), (High, range.High), (Most, range.Most) }
                .Where(pair => pair.Value is not null)
                .Select(pair =>
                    Element(
                        "Measure",
                        new XAttribute("type", pair.Type),
                        new XAttribute("value", pair.Value!.Value.ToString("R", CultureInfo.InvariantCulture))
                    )
                )
        );

    /// <inheritdoc/>
    public override IReadOnlyList<string> Lost(Flora flora)
    {
        SeasonCharacter[] seasons = [.. flora.Characters.OfType<SeasonCharacter>()];
        return
        [
            .. seasons.Length > 0
                ? [$"Seasons are left out: {string.Join(", ", seasons.Select(season => season.Id))}."]
                : Array.Empty<string>(),
            .. PlainMatrix.LostFrequencies(flora),
            "When a character applies, what is confused with what, and all that is said of taxa but their names and scores is left out.",
        ];
    }

    /// <inheritdoc/>
    public override Outcome<Flora> ReadText(SourceFile source, string id, CancellationToken cancel = default)
    {
        try
        {
            // No document types and no outside entities: a description needs neither, and both can be made to read files or to fill all
            // memory.
            var settings = new XmlReaderSettings
            {
                DtdProcessing = DtdProcessing.Prohibit,
                XmlResolver = null,
                MaxCharactersInDocument = Longest,
                IgnoreComments = true,
            };
            if (Exceeded(source, settings, cancel) is { } tooMuch)
                return tooMuch;
            using var reader = XmlReader.Create(new StringReader(source.Text), settings);
            var document = XDocument.Load(reader, LoadOptions.SetLineInfo);
            return document.Descendants(Sdd + "Dataset").FirstOrDefault() is { } dataset
                ? FloraReader.ReadEntries(new DescriptionsReader(source.Path, cancel).Read(dataset, id), cancel)
                : Fault.InFile(source.Path, 1, $"there is no Dataset of the namespace {Sdd}");
        }
        catch (XmlException fault)
        {
            return Fault.InFile(
                source.Path,
                Math.Max(1, fault.LineNumber),
                fault.Message.Contains("DTD", StringComparison.Ordinal)
                    ? "a document type is not taken in"
                    : $"it can’t be read as XML: {fault.Message.TrimEnd('.')}"
            );
        }
        catch (UnreadableException unreadable)
        {
            return unreadable.Fault;
        }
    }

    // Gone through once before any of it is kept in memory.
    private static Fault? Exceeded(SourceFile source, XmlReaderSettings settings, CancellationToken cancel)
    {
        using var reader = XmlReader.Create(new StringReader(source.Text), settings);
        var elements = 0;
        while (reader.Read())
        {
            if (reader.NodeType != XmlNodeType.Element)
                continue;
            cancel.ThrowIfCancellationRequested();
            var line = ((IXmlLineInfo)reader).LineNumber;
            if (reader.Depth >= FileBounds.Deepest)
                return Fault.InFile(source.Path, line, $"elements stand more than {FileBounds.Deepest} deep within each other");
            elements += 1 + reader.AttributeCount;
            if (elements > FileBounds.MostWords)
                return FileBounds.TooMany(source.Path, elements, "elements and attributes", FileBounds.MostWords, line);
        }
        return null;
    }
}
