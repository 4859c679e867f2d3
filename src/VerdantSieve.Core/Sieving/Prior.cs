using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;

namespace VerdantSieve.Core.Sieving;

/// <summary>How likely a kind is before anything is read: by range, abundance and setting.</summary>
public static class Prior
{
    /// <summary>The chance, before any reading, that the plant is in none of the flora's taxa.</summary>
    public const double NoneOfThese = 0.02;

    private const double Native = 1, Introduced = 0.4, NextDoor = 0.08, Elsewhere = 0.01;
    private const double WrongSetting = 0.06;

    /// <summary>The weight of a taxon; 1 where nothing is known of place and setting.</summary>
    public static double Weight(Taxon taxon, Circumstances circumstances) =>
        ByRange(taxon, circumstances) * BySetting(taxon, circumstances.Setting);

    private static double ByRange(Taxon taxon, Circumstances circumstances)
    {
        if (circumstances.Region is not { } region) return 1;
        var abundance = taxon.Abundance switch { Abundance.Common => 1, Abundance.Frequent => 0.5, Abundance.Occasional => 0.2, _ => 0.07 };
        if (taxon.Distribution.Native.Contains(region)) return Native * abundance;
        if (taxon.Distribution.Introduced.Contains(region)) return Introduced * abundance;
        var neighbours = Regions.Neighbours(region);
        return (taxon.Distribution.Native.Any(neighbours.Contains) ? NextDoor : Elsewhere) * abundance;
    }

    private static double BySetting(Taxon taxon, Setting? setting) =>
        setting is { } here && !taxon.Settings.Contains(here) ? WrongSetting : 1;
}
