using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Curating;

/// <summary>Something to mend, or to know of.</summary>
/// <param name="Kind">What it is.</param>
/// <param name="Text">In a sentence.</param>
/// <param name="Taxa">The taxa it is about; empty where it is about a character.</param>
/// <param name="Explained">Why it is no fault: an aggregate, varieties, a hybrid and its parent; null where nothing explains it.</param>
public sealed record Finding(FindingKind Kind, string Text, IReadOnlyList<Taxon> Taxa, string? Explained = null);

/// <summary>What a flora can fall short in.</summary>
public enum FindingKind
{
    /// <summary>Two taxa that no single character parts.</summary>
    Inseparable,

    /// <summary>A taxon with too few scores.</summary>
    UnderScored,

    /// <summary>A character that no taxon is scored for.</summary>
    UnusedCharacter,

    /// <summary>A range that lies apart from those of all others of its genus.</summary>
    OutOfLine,

    /// <summary>A character with one and the same state in all taxa scored for it.</summary>
    OneState,

    /// <summary>A state that is neither explained nor drawn.</summary>
    GlossaryGap,

    /// <summary>A taxon of which nothing is said for a keyed country.</summary>
    NotLooked,

    /// <summary>A country of which nothing is said though the taxon is native to all its neighbours.</summary>
    RangeHole,

    /// <summary>A taxon that is native and never wild.</summary>
    NativeNeverWild,

    /// <summary>A double that does not name its double in turn.</summary>
    OneWayDouble,

    /// <summary>A mark between doubles that is no difference by the scores.</summary>
    EmptyMark,

    /// <summary>A state that no taxon shows.</summary>
    UnusedState,

    /// <summary>A state that one taxon shows.</summary>
    LoneState,

    /// <summary>Fleshy fruit that is never green.</summary>
    UnripeNotGreen,

    /// <summary>Stone fruit with many stones.</summary>
    ManyStones,

    /// <summary>A flowering window copied from a congener of another place.</summary>
    SameWindowElsewhere,

    /// <summary>A mark of the genus that a kind has for itself.</summary>
    UnlikeItsGenus,

    /// <summary>A line to remember by that names what the scores lack.</summary>
    RememberAgainstScores,
}
