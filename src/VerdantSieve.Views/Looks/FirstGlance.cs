using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;

namespace VerdantSieve.Views.Looks;

/// <summary>The first glance: what the eye takes in in one breath, before anything is asked.</summary>
public static class FirstGlance
{
    private const int MostWords = 6;

    // What is told apart at a glance, with words short enough to be read at one; finer states are asked later. Common practice, no source.
    private static readonly (string Character, string Title, (string Word, string Label)[] Words)[] Rows =
    [
        (CharacterIds.Foliage, "foliage", [("broad", "broad"), ("needle", "needles"), ("scale", "scales"), ("awl", "awls")]),
        (
            CharacterIds.Arrangement,
            "on the twig",
            [("alternate", "one by one"), ("opposite", "in pairs"), ("whorled", "in rings"), ("on-spurs", "on short shoots")]
        ),
        (
            CharacterIds.Structure,
            "one leaf is",
            [
                ("simple", "one blade"),
                ("trifoliate", "three leaflets"),
                ("pinnate", "a feather"),
                ("palmate", "a hand"),
                ("bipinnate", "twice divided"),
            ]
        ),
        ("lobing", "lobes", [("unlobed", "none"), ("palmate", "like a hand"), ("pinnate", "like a feather"), ("one-sided", "a mitten")]),
        ("margin", "edge", [("entire", "smooth"), ("toothed", "toothed"), ("wavy", "wavy"), ("spiny", "spiny")]),
        (
            CharacterIds.Habit,
            "it is",
            [("tree", "a tree"), ("multi-stemmed-tree", "several trunks"), ("shrub", "a shrub"), ("climber", "a climber")]
        ),
    ];

    /// <summary>The rows for a plant as read so far: what it can't have is not shown. A flora that knows none of the usual characters shows
    /// those of its own that cost least to look at.</summary>
    public static IReadOnlyList<GlanceRow> Of(Flora flora, IReadOnlyList<Reading> readings)
    {
        var rows = Rows.Select(row =>
                flora.FindCharacter(row.Character) is StateCharacter character ? RowOf(character, row.Title, row.Words, readings) : null
            )
            .OfType<GlanceRow>()
            .ToArray();
        if (rows.Length == 0)
            rows =
            [
                .. flora
                    .Characters.OfType<StateCharacter>()
                    .Where(character => character.IsGlance)
                    .Select(character =>
                        RowOf(
                            character,
                            character.Label,
                            [.. character.States.Select(state => (state.Id, state.Label)).Take(MostWords)],
                            readings
                        )
                    )
                    .OfType<GlanceRow>(),
            ];
        return [.. rows.Where(row => CanBe(flora, row.Character, readings))];
    }

    /// <summary>Whether all that can be seen at a glance was read.</summary>
    public static bool IsDone(IReadOnlyList<GlanceRow> rows) => rows.All(row => row.Chosen is not null);

    private static GlanceRow? RowOf(
        StateCharacter character,
        string title,
        (string Word, string Label)[] words,
        IReadOnlyList<Reading> readings
    )
    {
        (string, string)[] known = [.. words.Where(word => character.LabelOf(word.Word) is not null)];
        if (known.Length < 2)
            return null;
        var read = readings.FirstOrDefault(reading => reading.Character == character.Id && reading.On is null);
        return new GlanceRow(character, title, known, read is null ? null : Chosen(character, known, read));
    }

    // Read some other way, or more finely: then the row is answered, and the coarser word stands for it where there is one.
    private static string Chosen(StateCharacter character, (string Word, string Label)[] words, Reading read)
    {
        if (read.Observation is not StatesSeen { States: [var state, ..], Mode: StateMode.Is })
            return "";
        if (words.Any(word => word.Word == state))
            return state;
        var at = character.IndexOf(state);
        return words.FirstOrDefault(word => at >= 0 && character.Covered(word.Word).Contains(at)).Word ?? "";
    }

    private static bool CanBe(Flora flora, StateCharacter character, IReadOnlyList<Reading> readings) =>
        flora
            .Vocabulary.ConditionsOf(character)
            .All(condition =>
                readings.FirstOrDefault(reading => reading.Character == condition.CharacterId)
                    is not { Observation: StatesSeen { Mode: not StateMode.Not } seen }
                || flora.FindCharacter(condition.CharacterId) is not StateCharacter on
                || seen.States.SelectMany(on.Covered).Any(at => condition.Admits(on.States[at].Id))
            );
}
