using System.Globalization;
using System.Xml;
using System.Xml.Linq;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Measuring;

namespace VerdantSieve.Core.Formats.Exchange;

/// <summary>Turns a dataset of structured descriptions into the entries of a flora.</summary>
internal sealed class DescriptionsReader(string file, CancellationToken cancel)
{
    private static readonly XNamespace Sdd = StructuredDescriptions.Sdd;

    // By the ids of the document: what each character is called here, its unit, and what each state is called.
    private readonly Dictionary<string, string> ids = [];
    private readonly Dictionary<string, MeasureUnit> units = [];
    private readonly Dictionary<string, string> states = [];
    private readonly Slugs taken = new();

    /// <exception cref="UnreadableException">Something is not defined, or defined twice.</exception>
    public FloraEntries Read(XElement dataset, string id)
    {
        // Counted before any of them is gone into.
        XElement[] described = [.. Children(dataset, "CodedDescriptions", "CodedDescription")],
            asked = [.. Children(dataset, "Characters")];
        if (described.Length > FileBounds.MostTaxa)
            throw new UnreadableException(FileBounds.TooMany(file, described.Length, "taxa", FileBounds.MostTaxa));
        if (asked.Length > FileBounds.MostCharacters)
            throw new UnreadableException(FileBounds.TooMany(file, asked.Length, "characters", FileBounds.MostCharacters));
        CharacterEntry[] characters = [.. asked.Select(Character).OfType<CharacterEntry>()];
        var names = Children(dataset, "TaxonNames", "TaxonName").ToDictionary(name => Required(name, "id"), name => Said(name));
        return new FloraEntries(
            PlainMatrix.About(file, id, Said(dataset)),
            characters,
            [.. described.Select(description => Taxon(description, names))]
        );
    }

    private static IEnumerable<XElement> Children(XElement parent, string of, string? called = null) =>
        parent.Element(Sdd + of)?.Elements().Where(child => called is null || child.Name == Sdd + called) ?? [];

    private UnreadableException Wrong(XObject at, string message) => new(file, LineOf(at), message);

    private static int LineOf(XObject at) => at is IXmlLineInfo line && line.HasLineInfo() ? line.LineNumber : 1;

    private string Required(XElement element, string attribute) =>
        element.Attribute(attribute)?.Value is { Length: > 0 } value
            ? value
            : throw Wrong(element, $"{element.Name.LocalName} needs the attribute “{attribute}”");

    private static string Said(XElement element, string part = "Label") =>
        element.Element(Sdd + "Representation")?.Element(Sdd + part)?.Value.Trim() ?? "";

    // Null for kinds of characters that are not known here, such as texts.
    private CharacterEntry? Character(XElement element)
    {
        cancel.ThrowIfCancellationRequested();
        var key = Required(element, "id");
        var slug = taken.Unique(Slugs.Of(key, "unnamed"));
        if (!ids.TryAdd(key, slug))
            throw Wrong(element, $"the character “{key}” stands twice");
        var label = Said(element) is { Length: > 0 } said ? said : key;
        var question = Said(element, "Detail") is { Length: > 0 } asked ? asked : $"What is the {label}?";
        var entry = new Entry(file, LineOf(element)).With("label", label).With("question", question);
        if (element.Name == Sdd + "CategoricalCharacter")
            entry.With("kind", CharacterNotation.Nominal).With("states", States(element, key));
        else if (element.Name == Sdd + "QuantitativeCharacter")
            Quantitative(element, key, entry);
        else
            return null;
        return new CharacterEntry(slug, null, entry);
    }

    private List<(string, string)> States(XElement character, string key)
    {
        var (own, ownIds) = (new List<(string, string)>(), new Slugs());
        foreach (var state in Children(character, "States", "StateDefinition"))
        {
            var stateKey = Required(state, "id");
            var slug = ownIds.Unique(Slugs.Of(StateWords(state, stateKey, key), "unnamed"));
            if (!states.TryAdd(stateKey, slug))
                throw Wrong(state, $"the state “{stateKey}” stands twice");
            // The bar parts a label from its meaning.
            var label = Said(state) is { Length: > 0 } words ? words.Replace('|', '/') : slug;
            own.Add((slug, $"{label} | {Said(state, "Detail")}"));
        }
        return own;
    }

    // As it was written by us; else by its label.
    private static string StateWords(XElement state, string stateKey, string character)
    {
        if (stateKey.StartsWith(character + ".", StringComparison.Ordinal))
            return stateKey[(character.Length + 1)..];
        return Said(state) is { Length: > 0 } name ? name : stateKey;
    }

    private void Quantitative(XElement element, string key, Entry entry)
    {
        var unit = element.Element(Sdd + "MeasurementUnit") is { } measured ? Said(measured) : "";
        if (unit.Length == 0)
        {
            entry.With("kind", CharacterNotation.Count);
            return;
        }
        units[key] =
            MeasureUnits.Read(unit)
            ?? throw Wrong(element, $"the unit of “{key}” must be cm, m or ratio, or left out for a count; not “{unit}”");
        entry.With("kind", CharacterNotation.Measure).With("unit", unit);
    }

    private Entry Taxon(XElement description, Dictionary<string, string> names)
    {
        cancel.ThrowIfCancellationRequested();
        var name = description.Element(Sdd + "Scope")?.Element(Sdd + "TaxonName") is { } scope
            ? names.GetValueOrDefault(Required(scope, "ref")) ?? throw Wrong(scope, "the taxon referred to is not among the taxon names")
            : Said(description);
        if (name.Length == 0)
            throw Wrong(description, "the description says of no taxon what it describes");
        return PlainMatrix.Taxon(file, LineOf(description), name, Scores(description));
    }

    private IEnumerable<(string, string)> Scores(XElement description)
    {
        foreach (var coded in Children(description, "SummaryData"))
        {
            var key = Required(coded, "ref");
            if (!ids.TryGetValue(key, out var id))
                throw Wrong(coded, $"the character “{key}” is not defined");
            var score = coded.Name == Sdd + "Categorical" ? Shown(coded) : Range(coded, key);
            if (score.Length > 0)
                yield return (id, score);
        }
    }

    private string Shown(XElement coded) =>
        string.Join(
            ", ",
            coded
                .Elements(Sdd + "State")
                .Select(state =>
                    states.GetValueOrDefault(Required(state, "ref"))
                    ?? throw Wrong(state, $"the state “{Required(state, "ref")}” is not defined")
                )
                .Distinct()
        );

    // The range as a score is written; empty where too little is given.
    private string Range(XElement coded, string key)
    {
        if (coded.Name != Sdd + "Quantitative")
            return "";
        var measures = coded
            .Elements(Sdd + "Measure")
            .GroupBy(measure => Required(measure, "type"))
            .ToDictionary(group => group.Key, group => Number(group.First()));
        double? Of(string type) => measures.TryGetValue(type, out var value) ? value : null;
        var (low, high) = (
            Of(StructuredDescriptions.Low) ?? Of("Mean") ?? Of(StructuredDescriptions.Least),
            Of(StructuredDescriptions.High) ?? Of("Mean") ?? Of(StructuredDescriptions.Most)
        );
        if (low is not { } from || high is not { } to)
            return "";
        var least = Of(StructuredDescriptions.Low) is null ? null : Of(StructuredDescriptions.Least);
        var most = Of(StructuredDescriptions.High) is null ? null : Of(StructuredDescriptions.Most);
        var range = RangeScore.Of(least, from, to, most, $"{from:R} to {to:R}");
        if (!range.Has(out var score))
            throw Wrong(coded, range.Faults[0].Message);
        var unit = units.TryGetValue(key, out var measured) ? LengthWords.Unit(measured, LengthStyle.Metric) : "";
        return $"{score.Write(value => value.ToString("R", CultureInfo.InvariantCulture))} {unit}".TrimEnd();
    }

    private double Number(XElement measure) =>
        double.TryParse(Required(measure, "value"), NumberStyles.Float, CultureInfo.InvariantCulture, out var value)
            ? value
            : throw Wrong(measure, $"“{Required(measure, "value")}” is no number");
}
