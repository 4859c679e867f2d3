using System.Collections.Frozen;
using System.Globalization;
using VerdantSieve.Core.Seasons;

namespace VerdantSieve.Core.Botany;

/// <summary>A place for each botanical country that stands for it where no nearer place is known: near the middle of where its trees grow,
/// taken as low ground (from memory, to about half a degree).</summary>
internal static class Centres
{
    private static readonly FrozenDictionary<string, Position> All = Read(
        """
        ASK 62 -150; YUK 62 -135; NWT 62 -116; NUN 64 -95; BRC 51 -122; ABT 53 -114
        SAS 52.5 -106; MAN 51 -98; ONT 45 -80; QUE 47 -72; LAB 53 -60; NFL 48.5 -56
        NBR 46.5 -66.5; NSC 45 -63; PEI 46.4 -63.2; WAS 47.4 -121.5; ORE 44.3 -122; CAL 37.5 -120.5
        NEV 39 -117; IDA 45 -115; MNT 47 -111; WYO 43 -108; UTA 39.5 -111.5; COL 39 -106
        ARI 34 -111.5; NWM 34.5 -106; TEX 31 -97.5; OKL 35.5 -97; KAN 38.5 -97; NEB 41.3 -98
        SDA 44.3 -99.5; NDA 47.3 -99.5; MIN 46 -94.5; IOW 42 -93.5; MSO 38.3 -92.4; ARK 34.8 -92.4
        LOU 31 -92; MSI 32.7 -89.7; ALA 32.8 -86.8; GEO 32.9 -83.5; FLA 28.5 -82; SCA 33.9 -80.9
        NCA 35.5 -79.2; VRG 37.5 -78.5; WVA 38.6 -80.6; MRY 39.1 -76.8; WDC 38.9 -77; DEL 39 -75.5
        NWJ 40.2 -74.6; PEN 40.9 -77.7; NWY 42.5 -75; CNT 41.6 -72.7; RHO 41.7 -71.5; MAS 42.3 -72
        VER 44 -72.7; NWH 43.5 -71.5; MAI 45 -69.2; OHI 40.2 -82.7; INI 39.9 -86.2; ILL 40 -89.2
        KTY 37.6 -85.3; TEN 35.9 -86.4; MIC 43.6 -84.7; WIS 44.5 -89.7; MXN 28 -109; MXE 25 -101
        MXC 20 -100; MXG 19.5 -96.5; MXS 18 -99; GRB 52.5 -1.5; IRE 53.2 -7.8; FRA 47 2.5
        BGM 50.7 4.6; NET 52.2 5.3; GER 51 10; DEN 56 10; NOR 60 9; SWE 58.5 15
        FIN 61.5 25; BLT 56.5 24.5; BLR 53.5 28; POL 52 19.3; CZE 49.5 16.5; AUT 47.6 14
        SWI 46.9 8; HUN 47.1 19.3; ITA 43 12; SIC 37.6 14.2; COR 42.2 9.1; SAR 40 9
        SPA 40.2 -3.7; POR 40 -8; YUG 44 19; ALB 41.1 20; GRC 39.2 22.5; BUL 42.7 25.3
        ROM 46 25; UKR 49 31; KRY 45 34.3; TUE 41.3 27; TUR 39 35; TCS 41.5 44.5
        NCS 43.5 44; RUN 62 40; RUC 55.5 38; RUW 58.5 30; RUE 55 52; RUS 49 45
        LBS 34.5 36.5; PAL 32 35; IRN 35.5 51; AFG 34.5 68; PAK 33 72; WHM 32 77
        NEP 28 84; EHM 27.4 90.5; CHT 30 91; CHC 29 104; CHS 28 115; CHN 36 112
        CHM 44.5 126; CHI 42.5 113; CHX 43.5 86; MON 47.5 104; KAZ 48 67; WSB 56 75
        AMU 52 128; PRM 45 134; KOR 37.5 127.5; JAP 36.5 138; SAK 49 143; TAI 23.8 121
        MOR 32.5 -6; ALG 36 3; TUN 36 9.5
        """
    );

    /// <summary>The place that stands for a country; null for an unknown code.</summary>
    public static Position? Of(string code) => All.TryGetValue(code, out var centre) ? centre : null;

    private static FrozenDictionary<string, Position> Read(string table) =>
        table
            .Split([';', '\n'], StringSplitOptions.TrimEntries)
            .Select(entry => entry.Split(' '))
            .ToFrozenDictionary(
                words => words[0],
                words => new Position(
                    double.Parse(words[1], CultureInfo.InvariantCulture),
                    double.Parse(words[2], CultureInfo.InvariantCulture),
                    LowGround
                )
            );

    // Metres above the sea.
    private const double LowGround = 100;
}
