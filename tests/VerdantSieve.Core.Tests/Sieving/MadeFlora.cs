using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Formats;
using VerdantSieve.Core.Measuring;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Sieving;

namespace VerdantSieve.Core.Tests.Sieving;

/// <summary>Small floras written down in a test: characters by their kind, taxa by their scores as in a flora's files.</summary>
internal sealed class MadeFlora
{
    private readonly List<Character> characters = [];
    private readonly List<Taxon> taxa = [];

    public MadeFlora States(string id, string states, Func<StateCharacter, StateCharacter>? with = null) =>
        Add(
            (with ?? (c => c))(
                new StateCharacter(id)
                {
                    Part = "blade",
                    Label = id,
                    Question = "?",
                    Phrase = id + " {}",
                    States = [.. states.Split(' ').Select(state => new State(state, state, ""))],
                    Order = characters.Count,
                }
            )
        );

    public MadeFlora Measure(string id, Func<MeasureCharacter, MeasureCharacter>? with = null) =>
        Add(
            (with ?? (c => c))(
                new MeasureCharacter(id, MeasureUnit.Centimetre)
                {
                    Part = "leaf-size",
                    Label = id,
                    Question = "?",
                    Phrase = id + " {}",
                    Order = characters.Count,
                }
            )
        );

    public MadeFlora Count(string id, Func<CountCharacter, CountCharacter>? with = null) =>
        Add(
            (with ?? (c => c))(
                new CountCharacter(id)
                {
                    Part = "lobes",
                    Label = id,
                    Question = "?",
                    Phrase = id + " {}",
                    Order = characters.Count,
                }
            )
        );

    public MadeFlora Presence(string id, Func<PresenceCharacter, PresenceCharacter>? with = null) =>
        Add(
            (with ?? (c => c))(
                new PresenceCharacter(id)
                {
                    Part = "twig",
                    Label = id,
                    Question = "?",
                    Phrase = id,
                    Order = characters.Count,
                }
            )
        );

    public MadeFlora Season(string id, Func<SeasonCharacter, SeasonCharacter>? with = null) =>
        Add(
            (with ?? (c => c))(
                new SeasonCharacter(id)
                {
                    Part = id switch
                    {
                        CharacterIds.Flowering => "flower",
                        CharacterIds.Turning => "surface",
                        _ => "fruit",
                    },
                    Label = id,
                    Question = "?",
                    Phrase = id,
                    Order = characters.Count,
                }
            )
        );

    public MadeFlora Taxon(string name, string scores, Func<Taxon, Taxon>? with = null)
    {
        var read = scores
            .Split(" / ", StringSplitOptions.RemoveEmptyEntries)
            .Select(text => text.Split(": ", 2))
            .ToDictionary(pair => pair[0], pair => ScoreNotation.Parse(pair[1], characters.First(c => c.Id == pair[0])).Value);
        taxa.Add(
            (with ?? (t => t))(
                new Taxon(new ScientificName(name))
                {
                    Authority = "",
                    Family = "Madeupaceae",
                    CommonNames = [name.ToLowerInvariant()],
                    Distribution = new Distribution(["ORE"], []),
                    Settings = [Setting.Wild, Setting.Planted],
                    Abundance = Abundance.Common,
                    Provenance = "made up",
                    OwnScores = read,
                }
            )
        );
        return this;
    }

    public Flora Flora => new(new FloraAbout("made", "Made"), characters, taxa);

    public Sieve Sieve(SieveModel? model = null) => new(Flora, model);

    private MadeFlora Add(Character character)
    {
        characters.Add(character);
        return this;
    }
}
