using System.Collections.Frozen;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;

namespace VerdantSieve.Core.Drawing;

/// <summary>What is drawn of one flora. The drawings were made for one vocabulary: another flora has them only where it means the same by a
/// character and its state, and not where an id of its own only sounds like one.</summary>
public sealed class DrawnVocabulary
{
    private readonly FrozenSet<(string Character, string State)> drawn;
    private readonly FrozenSet<string> alike;

    /// <summary>Finds what is drawn of a flora.</summary>
    /// <param name="flora">The flora’s vocabulary.</param>
    /// <param name="made">The vocabulary the drawings were made for.</param>
    public DrawnVocabulary(Vocabulary flora, Vocabulary made)
    {
        alike = flora
            .Characters.Where(character => made.Find(character.Id) is { } other && MeansTheSame(character, other))
            .Select(character => character.Id)
            .ToFrozenSet();
        drawn = StateDrawings
            .All.Where(pair => StateOf(flora, pair) is { } state && alike.Contains(pair.Character) && state == StateOf(made, pair))
            .ToFrozenSet();
    }

    /// <summary>The registered drawings that draw no state of a vocabulary.</summary>
    public static IReadOnlyList<(string Character, string State)> WithoutState(Vocabulary vocabulary) =>
        [.. StateDrawings.All.Where(pair => StateOf(vocabulary, pair) is null)];

    /// <summary>Whether a state of the flora is drawn.</summary>
    public bool Draws(string character, string state) => drawn.Contains((character, state));

    /// <summary>The drawing of a state of the flora; null where words must do.</summary>
    public Drawing? Of(string character, string state) => Draws(character, state) ? StateDrawings.Of(character, state) : null;

    /// <summary>The usual form of a taxon of the flora, as far as it can be drawn.</summary>
    public LeafForm FormOf(Taxon taxon) => LeafForm.Of(taxon.Scores.Where(score => alike.Contains(score.Key)));

    /// <summary>The forms that leaves of a taxon take, the usual one first: several where the flora says that their lobing, structure or
    /// shape
    /// varies on one plant.</summary>
    public IReadOnlyList<LeafForm> VariedFormsOf(Taxon taxon) => LeafForm.AllOf(taxon.Scores.Where(score => alike.Contains(score.Key)));

    /// <summary>The forms as read, as far as they can be drawn: several where the plant shows several.</summary>
    public IReadOnlyList<LeafForm> FormsOf(IEnumerable<Reading> readings) =>
        LeafForm.AllOf([.. readings.Where(reading => alike.Contains(reading.Character))]);

    private static State? StateOf(Vocabulary vocabulary, (string Character, string State) pair) =>
        vocabulary.Find(pair.Character) is StateCharacter states && states.IndexOf(pair.State) is >= 0 and var at
            ? states.States[at]
            : null;

    private static bool MeansTheSame(Character one, Character other) =>
        one.GetType() == other.GetType() && one.Label == other.Label && one.Question == other.Question;
}
