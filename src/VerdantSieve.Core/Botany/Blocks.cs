using System.Collections.Frozen;

namespace VerdantSieve.Core.Botany;

/// <summary>Blocks of botanical countries: the regions (level 2) of the World Geographical Scheme for Recording Plant Distributions
/// (Brummitt 2001, second edition; from memory), each by its name in small letters. They shorten lists of countries.</summary>
public static class Blocks
{
    private static readonly FrozenDictionary<string, string[]> All = Read(
        """
        northern-europe: DEN FIN GRB IRE NOR SWE
        middle-europe: AUT BGM CZE GER HUN NET POL SWI
        southwestern-europe: COR FRA POR SAR SPA
        southeastern-europe: ALB BUL GRC ITA ROM SIC TUE YUG
        eastern-europe: BLR BLT KRY RUC RUE RUN RUS RUW UKR
        northern-africa: ALG MOR TUN
        caucasus: NCS TCS
        western-asia: AFG IRN LBS PAL TUR
        russian-far-east: AMU PRM SAK
        china: CHC CHI CHM CHN CHS CHT CHX
        eastern-asia: JAP KOR TAI
        indian-subcontinent: EHM NEP PAK WHM
        subarctic-america: ASK NUN NWT YUK
        western-canada: ABT BRC MAN SAS
        eastern-canada: LAB NBR NFL NSC ONT PEI QUE
        northwestern-usa: COL IDA MNT ORE WAS WYO
        north-central-usa: ILL IOW KAN MIN MSO NDA NEB OKL SDA WIS
        northeastern-usa: CNT INI MAI MAS MIC NWH NWJ NWY OHI PEN RHO VER WVA
        southwestern-usa: ARI CAL NEV UTA
        south-central-usa: NWM TEX
        southeastern-usa: ALA ARK DEL FLA GEO KTY LOU MRY MSI NCA SCA TEN VRG WDC
        mexico: MXC MXE MXG MXN MXS
        """
    );

    /// <summary>The names of all blocks, as they are written in lists.</summary>
    public static IReadOnlyList<string> Names { get; } = [.. All.Keys.Order(StringComparer.Ordinal)];

    /// <summary>The countries of a block; none for an unknown name.</summary>
    public static IReadOnlyList<string> Of(string name) => All.GetValueOrDefault(name, []);

    private static FrozenDictionary<string, string[]> Read(string table) =>
        table.Split('\n').Select(line => line.Split(": ", 2)).ToFrozenDictionary(halves => halves[0], halves => halves[1].Split(' '));
}
