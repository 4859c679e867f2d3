using System.Collections.Frozen;
using VerdantSieve.Core.Seasons;

namespace VerdantSieve.Core.Botany;

/// <summary>Botanical countries: level 3 codes of the World Geographical Scheme for Recording Plant Distributions
/// (Brummitt 2001, second edition; codes and neighbours from memory). Those of the northern temperate zone.</summary>
public static class Regions
{
    private static readonly FrozenDictionary<string, (string Name, string[] Neighbours)> All = Read(
        """
        ASK Alaska: YUK BRC
        YUK Yukon: ASK BRC NWT
        NWT Northwest Territories: YUK BRC ABT SAS NUN
        NUN Nunavut: NWT MAN
        BRC British Columbia: ASK YUK NWT ABT WAS IDA MNT
        ABT Alberta: BRC NWT SAS MNT
        SAS Saskatchewan: ABT NWT MAN MNT NDA
        MAN Manitoba: SAS NUN ONT NDA MIN
        ONT Ontario: MAN QUE MIN MIC NWY WIS OHI PEN
        QUE Québec: ONT LAB NBR MAI NWH VER NWY
        LAB Labrador: QUE NFL
        NFL Newfoundland: LAB NSC
        NBR New Brunswick: QUE NSC PEI MAI
        NSC Nova Scotia: NBR PEI NFL
        PEI Prince Edward Island: NBR NSC
        WAS Washington: BRC IDA ORE
        ORE Oregon: WAS IDA NEV CAL
        CAL California: ORE NEV ARI MXN
        NEV Nevada: ORE IDA UTA ARI CAL
        IDA Idaho: BRC WAS ORE NEV UTA WYO MNT
        MNT Montana: BRC ABT SAS NDA SDA WYO IDA
        WYO Wyoming: MNT SDA NEB COL UTA IDA
        UTA Utah: IDA WYO COL NWM ARI NEV
        COL Colorado: WYO NEB KAN OKL NWM UTA
        ARI Arizona: CAL NEV UTA NWM MXN
        NWM New Mexico: ARI UTA COL OKL TEX MXE
        TEX Texas: NWM OKL ARK LOU MXE
        OKL Oklahoma: TEX NWM COL KAN MSO ARK
        KAN Kansas: OKL COL NEB MSO
        NEB Nebraska: KAN COL WYO SDA IOW MSO
        SDA South Dakota: NEB WYO MNT NDA MIN IOW
        NDA North Dakota: SDA MNT SAS MAN MIN
        MIN Minnesota: NDA SDA IOW WIS MAN ONT
        IOW Iowa: MIN SDA NEB MSO ILL WIS
        MSO Missouri: IOW NEB KAN OKL ARK TEN KTY ILL
        ARK Arkansas: MSO OKL TEX LOU MSI TEN
        LOU Louisiana: TEX ARK MSI
        MSI Mississippi: LOU ARK TEN ALA
        ALA Alabama: MSI TEN GEO FLA
        GEO Georgia: ALA TEN NCA SCA FLA
        FLA Florida: GEO ALA
        SCA South Carolina: GEO NCA
        NCA North Carolina: SCA GEO TEN VRG
        VRG Virginia: NCA TEN KTY WVA MRY WDC
        WVA West Virginia: VRG KTY OHI PEN MRY
        MRY Maryland: VRG WVA PEN DEL WDC
        WDC District of Columbia: MRY VRG
        DEL Delaware: MRY PEN NWJ
        NWJ New Jersey: DEL PEN NWY
        PEN Pennsylvania: NWJ DEL MRY WVA OHI NWY ONT
        NWY New York: PEN NWJ CNT MAS VER QUE ONT
        CNT Connecticut: NWY MAS RHO
        RHO Rhode I.: CNT MAS
        MAS Massachusetts: RHO CNT NWY VER NWH
        VER Vermont: NWY MAS NWH QUE
        NWH New Hampshire: VER MAS MAI QUE
        MAI Maine: NWH QUE NBR
        OHI Ohio: PEN WVA KTY INI MIC ONT
        INI Indiana: OHI KTY ILL MIC
        ILL Illinois: INI KTY MSO IOW WIS
        KTY Kentucky: ILL INI OHI WVA VRG TEN MSO
        TEN Tennessee: KTY VRG NCA GEO ALA MSI ARK MSO
        MIC Michigan: OHI INI WIS ONT
        WIS Wisconsin: MIC ILL IOW MIN ONT
        MXN Mexico Northwest: CAL ARI MXE
        MXE Mexico Northeast: MXN NWM TEX MXC
        MXC Mexico Central: MXE MXG MXS
        MXG Mexico Gulf: MXC MXE MXS
        MXS Mexico Southwest: MXC MXG
        GRB Great Britain: IRE FRA
        IRE Ireland: GRB
        FRA France: GRB BGM GER SWI ITA SPA
        BGM Belgium: FRA NET GER
        NET Netherlands: BGM GER
        GER Germany: NET BGM FRA SWI AUT CZE POL DEN
        DEN Denmark: GER SWE
        NOR Norway: SWE FIN
        SWE Sweden: NOR FIN DEN
        FIN Finland: SWE NOR RUN BLT
        BLT Baltic States: FIN POL BLR
        BLR Belarus: BLT POL UKR
        POL Poland: GER CZE BLT BLR UKR
        CZE Czechoslovakia: POL GER AUT HUN
        AUT Austria: GER CZE HUN SWI ITA YUG
        SWI Switzerland: FRA GER AUT ITA
        HUN Hungary: AUT CZE ROM YUG
        ITA Italy: FRA SWI AUT YUG SIC COR
        SIC Sicilia: ITA
        COR Corse: ITA FRA SAR
        SAR Sardegna: COR
        SPA Spain: FRA POR MOR
        POR Portugal: SPA
        YUG Yugoslavia: ITA AUT HUN ROM BUL ALB GRC
        ALB Albania: YUG GRC
        GRC Greece: ALB YUG BUL TUE
        BUL Bulgaria: YUG ROM GRC TUE
        ROM Romania: HUN YUG BUL UKR
        UKR Ukraine: ROM POL BLR KRY RUS
        KRY Krym: UKR
        TUE Turkey-in-Europe: GRC BUL TUR
        TUR Turkey: TUE TCS LBS IRN
        TCS Transcaucasus: TUR NCS IRN
        NCS North Caucasus: TCS RUS
        RUN North European Russia: FIN RUC
        RUC Central European Russia: RUN RUE RUW
        RUW Northwest European Russia: RUC BLT
        RUE East European Russia: RUC WSB
        RUS South European Russia: RUC UKR NCS
        LBS Lebanon-Syria: TUR PAL
        PAL Palestine: LBS
        IRN Iran: TUR TCS AFG
        AFG Afghanistan: IRN PAK
        PAK Pakistan: AFG WHM
        WHM West Himalaya: PAK NEP
        NEP Nepal: WHM EHM
        EHM East Himalaya: NEP CHT
        CHT Tibet: EHM CHC CHX
        CHC China South-Central: CHT CHS CHN
        CHS China Southeast: CHC CHN
        CHN China North-Central: CHC CHS CHM CHI
        CHM Manchuria: CHN KOR AMU
        CHI Inner Mongolia: CHN MON
        CHX Xinjiang: CHT KAZ
        MON Mongolia: CHI
        KAZ Kazakhstan: CHX WSB
        WSB West Siberia: KAZ RUE
        AMU Amur: CHM PRM
        PRM Primorye: AMU KOR
        KOR Korea: CHM JAP
        JAP Japan: KOR SAK
        SAK Sakhalin: JAP
        TAI Taiwan: CHS
        MOR Morocco: ALG SPA
        ALG Algeria: MOR TUN
        TUN Tunisia: ALG
        """
    );

    /// <summary>Every code, in no order.</summary>
    public static IReadOnlyList<string> Codes => All.Keys;

    /// <summary>Whether this is the code of a botanical country known here.</summary>
    public static bool Exists(string code) => All.ContainsKey(code);

    /// <summary>The name of a botanical country.</summary>
    /// <exception cref="KeyNotFoundException">There is no such code.</exception>
    public static string Name(string code) => All[code].Name;

    /// <summary>The place that stands for a country where no nearer one is known; null for an unknown code.</summary>
    public static Position? CentreOf(string code) => Centres.Of(code);

    /// <summary>The countries that share a border with this one; none for an unknown code.</summary>
    public static IReadOnlyList<string> Neighbours(string code) => All.TryGetValue(code, out var region) ? region.Neighbours : [];

    /// <summary>How many borders must be crossed from a country to reach each of those that can be reached over land; 0 for
    /// itself.</summary>
    public static IReadOnlyDictionary<string, int> BordersFrom(string code)
    {
        var borders = new Dictionary<string, int> { [code] = 0 };
        var next = new Queue<string>([code]);
        while (next.TryDequeue(out var at))
            foreach (var neighbour in Neighbours(at))
                if (borders.TryAdd(neighbour, borders[at] + 1))
                    next.Enqueue(neighbour);
        return borders;
    }

    private static FrozenDictionary<string, (string, string[])> Read(string table) =>
        table
            .Split('\n')
            .Select(line => line.Split(':', 2))
            .ToFrozenDictionary(
                halves => halves[0][..3],
                halves => (halves[0][4..], halves[1].Split(' ', StringSplitOptions.RemoveEmptyEntries))
            );
}
