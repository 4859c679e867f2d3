using System.Text.RegularExpressions;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Seasons;

namespace VerdantSieve.Core.Curating;

/// <summary>Rules that the scores of a taxon keep among themselves and with those of its kin. Each finds where one is broken; a note on the
/// score explains it.</summary>
internal static partial class ScoreRules
{
    private const string FruitColour = "fruit-colour",
        FruitType = "fruit-type",
        Green = "green",
        SeedsPerFruit = "seeds-per-fruit",
        Drupe = "drupe";

    // Fruit that ripens on the plant and is seen before it does; cones, capsules and nuts may be brown all along.
    private static readonly string[] Fleshy = [Drupe, "berry", "pome", "aril"];

    // Common practice, no source: a stone fruit has one stone; hollies, hawthorns and buckthorns up to five.
    private const int MostStones = 5;

    // Marks that hardly differ within a genus.
    private static readonly string[] OneInAGenus = ["stipules", "bud-scales", "end-bud", "pith", "leaf-scars", "arrangement", "structure"];

    // So many days later or earlier two plants of one genus cannot flower in the same window, word for word, without one being a copy.
    private const double DaysApart = 10;

    /// <summary>What is wild somewhere and, by its settings or its habitat, never is.</summary>
    public static IEnumerable<Finding> NativeNeverWild(IEnumerable<Taxon> taxa) =>
        from taxon in taxa
        where taxon.Distribution.Native.Count > 0
        let habitat = taxon.Score(CharacterIds.Habitat) as StateScore
        where !taxon.Settings.Contains(Setting.Wild) || habitat is not null && habitat.States.All(s => s.State == CharacterIds.PlantedThere)
        select Of(FindingKind.NativeNeverWild, taxon, CharacterIds.Habitat, $"{taxon.Name} is native, and yet never said to grow wild.");

    /// <summary>Fleshy fruit is green before it is ripe, and that is seen for longer than the ripe fruit.</summary>
    public static IEnumerable<Finding> UnripeNotGreen(IEnumerable<Taxon> taxa) =>
        from taxon in taxa
        where taxon.Score(FruitType) is StateScore fruit && fruit.States.All(state => Fleshy.Contains(state.State))
        let colours = taxon.Score(FruitColour) as StateScore
        where colours?.Allows(Green) == false
        select Of(FindingKind.UnripeNotGreen, taxon, FruitColour, $"The fruit of {taxon.Name} is never green, not even unripe.");

    /// <summary>A stone fruit with many stones is no stone fruit.</summary>
    public static IEnumerable<Finding> ManyStones(IEnumerable<Taxon> taxa) =>
        from taxon in taxa
        where taxon.Score(FruitType) is StateScore { Chief: Drupe }
        let seeds = taxon.Score(SeedsPerFruit) as RangeScore
        where seeds?.High > MostStones
        select Of(FindingKind.ManyStones, taxon, SeedsPerFruit, $"{taxon.Name} has stone fruit with {seeds.High:0} stones.");

    /// <summary>A flowering window word for word that of another kind of the genus, though the two hold for places where spring comes weeks
    /// apart.</summary>
    public static IEnumerable<Finding> SameWindowElsewhere(Flora flora, IEnumerable<Taxon> taxa)
    {
        var genera = flora.Taxa.Where(taxon => taxon.Score(CharacterIds.Flowering) is SeasonScore).ToLookup(taxon => taxon.Name.Genus);
        return from taxon in taxa
               let window = (taxon.Score(CharacterIds.Flowering) as SeasonScore)?.Window
               where window is not null
               let copied = genera[taxon.Name.Genus]
                   .FirstOrDefault(other =>
                       string.CompareOrdinal(other.Name.Text, taxon.Name.Text) < 0
                       && ((SeasonScore)other.Score(CharacterIds.Flowering)!).Window == window
                       && Math.Abs(Phenology.HopkinsDelay(flora.WindowPlace(other).Position, flora.WindowPlace(taxon).Position)) > DaysApart
                   )
               where copied is not null
               select Of(
                   FindingKind.SameWindowElsewhere,
                   taxon,
                   CharacterIds.Flowering,
                   $"{taxon.Name} flowers {window} in {flora.WindowPlace(taxon).Name}, "
                       + $"as {copied.Name} does in {flora.WindowPlace(copied).Name}."
               );
    }

    /// <summary>A mark that hardly differs within a genus, of which a kind shares no state with any other of its genus.</summary>
    public static IEnumerable<Finding> UnlikeItsGenus(Flora flora, IEnumerable<Taxon> taxa)
    {
        var genera = flora.Taxa.Where(taxon => !taxon.IsHybrid).ToLookup(taxon => taxon.Name.Genus);
        return from taxon in taxa
               where !taxon.IsHybrid
               from character in OneInAGenus
               let own = taxon.Score(character) as StateScore
               where own is not null
               let kin = genera[taxon.Name.Genus]
                   .Where(other => other.Name != taxon.Name)
                   .Select(other => other.Score(character))
                   .OfType<StateScore>()
                   .ToArray()
               where kin.Length > 0 && !kin.Any(other => other.States.Any(state => own.Allows(state.State)))
               select Of(
                   FindingKind.UnlikeItsGenus,
                   taxon,
                   character,
                   $"{flora.Character(character).Label} of {taxon.Name} is like that of no other {taxon.Name.Genus}."
               );
    }

    /// <summary>The line to remember a taxon by names a colour that its scores lack.</summary>
    public static IEnumerable<Finding> RememberAgainstScores(IEnumerable<Taxon> taxa) =>
        from taxon in taxa
        from said in ColourOf().Matches(taxon.Remember)
        let character = Coloured[said.Groups["thing"].Value.TrimEnd('s')]
        let score = taxon.Score(character) as StateScore
        let colour = said.Groups["colour"].Value.ToLowerInvariant()
        where score is not null && !score.States.Any(state => state.State == colour || Alike(state.State, colour))
        select Of(FindingKind.RememberAgainstScores, taxon, character, $"{taxon.Name}: “{said.Value}” is not what {character} says.");

    // Colours that people do not part.
    private static bool Alike(string one, string other) =>
        one.Contains(other, StringComparison.Ordinal)
        || (one, other) is ("black", "dark") or ("dark", "black") or ("cream", "white") or ("purple", "black");

    private static readonly Dictionary<string, string> Coloured = new(StringComparer.OrdinalIgnoreCase)
    {
        ["twig"] = "twig-colour",
        ["bud"] = "bud-colour",
        ["flower"] = "flower-colour",
        ["bark"] = "bark-colour",
    };

    [GeneratedRegex(
        @"\b(?<colour>red|yellow|green|brown|black|white|grey|orange|pink|purple)\s(?<thing>twigs?|buds?|flowers?|bark)\b",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex ColourOf();

    // A note on the score says that somebody has looked.
    private static Finding Of(FindingKind kind, Taxon taxon, string character, string text) =>
        new(kind, text, [taxon], taxon.Notes.TryGetValue(character, out var note) ? note : null);
}
