using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Formats.Exchange;

/// <summary>The formats that floras come and go in. A new one is a class of its own and a line here.</summary>
public static class FloraFormats
{
    /// <summary>All of them.</summary>
    public static IReadOnlyList<FloraFormat> All { get; } = [new DataPackage(), new Nexus(), new StructuredDescriptions()];

    /// <summary>The format of this id; null where there is none.</summary>
    public static FloraFormat? Find(string id) => All.FirstOrDefault(format => format.Id == id);

    /// <summary>The format of a file of this name; null where it is none of them.</summary>
    public static FloraFormat? OfFile(string name) =>
        All.FirstOrDefault(format => format.Extensions.Contains(Path.GetExtension(name), StringComparer.OrdinalIgnoreCase));

    /// <summary>The formats with what ends their files, as they stand in a message: “data package (.zip), NEXUS (.nex) or SDD
    /// (.xml)”.</summary>
    public static string Listed(string last) =>
        Observing.Wording.Join([.. All.Select(format => $"{format.Name} ({format.Extensions[0]})")], last);

    private const string TemplateId = "my-flora";

    /// <summary>A small flora to begin with, for whoever fills in a file: the vocabulary, and two taxa as an example.</summary>
    public static Flora Template(Flora flora)
    {
        Taxon[] taxa = [.. flora.Taxa.Where(taxon => !taxon.IsHybrid && taxon.Aggregate is null).Take(2)];
        var genera = taxa.Select(taxon => taxon.Name.Genus).ToHashSet();
        return new Flora(
            flora.About with
            {
                Id = TemplateId,
                Title = "A flora of my own",
                Edition = 1,
                NearAlike = flora.About.NearAlike.Where(pair => genera.Contains(pair.Key)).ToDictionary(),
                MissingKinds = flora.About.MissingKinds.Where(pair => genera.Contains(pair.Key)).ToDictionary(),
                Aggregates = new Dictionary<string, string>(),
            },
            flora.Vocabulary,
            taxa
        );
    }
}
