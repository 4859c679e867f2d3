using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Formats;

/// <summary>Reads one taxon from its entry and checks it against the vocabulary.</summary>
internal sealed class TaxonReader(Vocabulary vocabulary, List<Fault> faults)
{
    private const int NearEnough = 3;

    /// <summary>The taxon; null where anything is wrong with it.</summary>
    public Taxon? Read(Entry entry)
    {
        var before = faults.Count;
        var reader = new EntryReader(entry, faults);
        var name = ScientificName.Parse(reader.Required("name"));
        foreach (var fault in name.Faults.Where(_ => faults.Count == before))
            reader.Fault("name", fault.Message);
        var taxon = TaxonFields.All.Aggregate(
            Blank(name.Has(out var given) ? given : new ScientificName("?")),
            (read, field) => field.Read(reader, read)
        );
        foreach (var mark in taxon.Doubles.SelectMany(alike => alike.Marks).Where(mark => vocabulary.Find(mark) is null))
            reader.Fault("doubles", $"a double’s mark names the unknown character “{mark}”{Nearest(mark)}");
        foreach (var form in taxon.Forms)
            foreach (var (id, states) in form.Shows)
                if (vocabulary.Find(id) is not StateCharacter character)
                    reader.Fault("forms", $"the {form.Name} form names “{id}”, which is no character with states{Nearest(id)}");
                else
                    foreach (var state in states.Where(state => character.IndexOf(state) < 0))
                        reader.Fault("forms", $"the {form.Name} form names “{state}”, which is no state of {id}");
        foreach (var noted in taxon.Notes.Keys.Where(noted => vocabulary.Find(noted) is null))
            reader.Fault("notes", $"a note names the unknown character “{noted}”{Nearest(noted)}");
        // A hybrid may leave all to its parents.
        var written = reader.Map("scores");
        if (written is null && !taxon.IsHybrid)
            reader.Fault("scores", "“scores” is missing");
        taxon = taxon with { OwnScores = Scores(written) };
        reader.FaultUnasked();
        return faults.Count == before ? taxon : null;
    }

    // What every field is read into.
    private static Taxon Blank(ScientificName name) =>
        new(name)
        {
            Authority = null,
            Family = null,
            CommonNames = [name.Text],
            Distribution = Distribution.NotGiven,
            Settings = [Setting.Wild],
            Provenance = "",
        };

    /// <summary>Reads scores, each under the id of its character.</summary>
    /// <param name="written">The scores; null where there are none.</param>
    public Dictionary<string, Score> Scores(EntryReader? written)
    {
        var scores = new Dictionary<string, Score>();
        if (written is null)
            return scores;
        foreach (var id in written.Keys)
        {
            if (vocabulary.Find(id) is not { } character)
                written.Fault(id, $"unknown character “{id}”{Nearest(id)}");
            else if (written.Text(id) is { } text)
            {
                var score = ScoreNotation.Parse(text, character);
                if (score.Has(out var read) && !scores.TryAdd(character.Id, read))
                    written.Fault(id, $"{id}: it is {character.Id} now, which is scored besides");
                if (read is PresenceScore { When: { } condition } && !vocabulary.Knows(condition))
                    written.Fault(id, $"{id}: the vocabulary does not know “{condition}”; write for example habit=climber");
                foreach (var fault in score.Faults)
                    written.Fault(id, $"{id}: {fault.Message}");
            }
        }
        foreach (var id in scores.Keys.Where(id => !vocabulary.CanApply(vocabulary[id], scores)))
            written.Fault(id, $"{id} cannot apply here: it needs {vocabulary[id].OnlyIf}, which the other scores rule out");
        return scores;
    }

    private string Nearest(string id)
    {
        var near = vocabulary.Characters.MinBy(character => Spelling.Distance(id, character.Id));
        return near is not null && Spelling.Distance(id, near.Id) <= NearEnough ? $"; did you mean “{near.Id}”?" : "";
    }
}
