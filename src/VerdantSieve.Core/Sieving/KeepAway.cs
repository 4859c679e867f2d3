using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Sieving;

/// <summary>When enough is known to leave a plant alone: whoever stands before something that burns the skin wants to know when to stop,
/// not the species.</summary>
internal static class KeepAway
{
    // So little may be left to kinds that do no harm.
    private const double Harmless = 0.05;

    // What is seen from where one stands takes no more effort than this.
    private const double FromWhereOneStands = 1.2;

    /// <summary>The hazard that all which is left has in common; null where something else is still possible, or nothing was
    /// read.</summary>
    public static Hazard? From(Weighed weighed)
    {
        if (weighed.Readings.Count == 0)
            return null;
        var (harmless, all) = (0.0, 0.0);
        Hazard? worst = null;
        var mostLikely = 0.0;
        for (var t = 0; t < weighed.Table.Rows.Taxa; t++)
        {
            var chance = weighed.Posterior[t];
            all += chance;
            if (weighed.Table.Burning[t] is not { } burns)
                harmless += chance;
            else if (chance > mostLikely)
                (worst, mostLikely) = (burns, chance);
        }
        return harmless < Harmless * all ? worst : null;
    }

    /// <summary>Why reading a character must wait: the likeliest kind still possible that hurts the skin where it would be touched; null
    /// where
    /// none does.</summary>
    public static string? WaitFor(Character character, IEnumerable<Candidate> candidates)
    {
        if (!character.Contact)
            return null;
        var touched = candidates
            .Where(candidate => candidate.IsPossible && candidate.Taxon.Hazards.Any(hazard => hazard.IsTouchedBy(character)))
            .MaxBy(candidate => candidate.Probability);
        return touched is null ? null : $"Wait with touching: {touched.Taxon.CommonName} is still possible.";
    }

    /// <summary>What burns the skin wherever a plant of the taxon is touched; null where nothing does.</summary>
    public static Hazard? Burning(Taxon taxon) =>
        taxon.Hazards.FirstOrDefault(hazard => hazard is { Kind: HazardKind.SkinIrritant, Act: HazardAct.Touch, Part: HazardPart.Any });

    /// <summary>Whether a character can be read without coming nearer.</summary>
    public static bool IsAtArmsLength(Character character) =>
        !character.Contact && character is not MeasureCharacter && character.Effort <= FromWhereOneStands;
}
