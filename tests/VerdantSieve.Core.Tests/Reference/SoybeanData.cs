using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Tests.Reference;

/// <summary>The Soybean data as a flora: diseases as taxa, counted frequencies as scores. See soybean-fixtures.R.</summary>
public sealed class SoybeanData
{
    private readonly string[] names;

    /// <summary>Reads soybean.csv.</summary>
    public SoybeanData(string csv)
    {
        var lines = csv.Split('\n', StringSplitOptions.RemoveEmptyEntries).Select(line => line.TrimEnd('\r').Split(',')).ToArray();
        names = lines[0];
        Plants =
        [
            .. lines
                .Skip(1)
                .Select(cells => new SoybeanPlant(
                    cells[0],
                    names
                        .Zip(cells)
                        .Skip(1)
                        .Where(pair => pair.Second.Length > 0)
                        .ToDictionary(pair => pair.First, pair => "s" + pair.Second)
                )),
        ];
        Characters =
        [
            .. names
                .Skip(1)
                .Select(
                    (name, order) =>
                        new StateCharacter(name)
                        {
                            Part = "soybean",
                            Label = name,
                            Question = name,
                            Phrase = name + " {}",
                            Order = order,
                            States =
                            [
                                .. Plants
                                    .Select(plant => plant.Shown.GetValueOrDefault(name))
                                    .OfType<string>()
                                    .Distinct()
                                    .Order(StringComparer.Ordinal)
                                    .Select(state => new State(state, state, "")),
                            ],
                        }
                ),
        ];
    }

    public IReadOnlyList<SoybeanPlant> Plants { get; }

    public IReadOnlyList<StateCharacter> Characters { get; }

    /// <summary>The flora that some of the plants make.</summary>
    /// <param name="plants">The plants that are counted.</param>
    /// <param name="added">What is added to every count (Laplace's rule with 1); with 0 only what was met is scored.</param>
    public Flora Flora(IEnumerable<SoybeanPlant> plants, double added) =>
        new(
            new FloraAbout("soybean", "Soybean"),
            Characters,
            plants
                .GroupBy(plant => plant.Disease)
                .Select(group => new Taxon(new ScientificName($"Disease {group.Key}"))
                {
                    Authority = "",
                    Family = "Diseases",
                    CommonNames = [group.Key],
                    Distribution = new Distribution([], []),
                    Settings = [Setting.Wild],
                    Provenance = "counted",
                    OwnScores = Characters
                        .Select(character => (character.Id, Score: Score(character, [.. group], added)))
                        .Where(pair => pair.Score is not null)
                        .ToDictionary(pair => pair.Id, pair => pair.Score!),
                })
        );

    private static Score? Score(StateCharacter character, SoybeanPlant[] plants, double added)
    {
        var shown = plants.Select(plant => plant.Shown.GetValueOrDefault(character.Id)).OfType<string>().ToArray();
        var counts = character
            .States.Select(state => (state.Id, Count: shown.Count(s => s == state.Id) + added))
            .Where(pair => pair.Count > 0)
            .ToArray();
        return counts.Length == 0
            ? null
            : new StateScore([
                .. counts.Select(pair => new StateFrequency(
                    pair.Id,
                    Frequency.Of(pair.Count / (plants.Length + added * character.States.Count))
                )),
            ]);
    }
}

/// <summary>One plant: its disease and the states it shows; a missing value is left out.</summary>
public sealed record SoybeanPlant(string Disease, IReadOnlyDictionary<string, string> Shown);
