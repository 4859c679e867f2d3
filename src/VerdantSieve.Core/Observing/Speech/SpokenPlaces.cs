namespace VerdantSieve.Core.Observing.Speech;

/// <summary>Names that people use for what the scheme of countries calls otherwise: cities, landscapes and parts of countries, by level 3
/// code (from memory). What begins with “the” goes by its name without it, too. A name that is more often a word, or that is found in
/// several countries, is left out.</summary>
internal static class SpokenPlaces
{
    /// <summary>The names by country, parted by commas.</summary>
    public static readonly (string Code, string Words)[] All =
    [
        (
            "GRB",
            """
            england, britain, great britain, scotland, wales, the uk, united kingdom, london, yorkshire, kent, surrey, sussex, cornwall,
            devon, somerset, dorset, wiltshire, the cotswolds, the lake district, the scottish highlands, the highlands, highland glen,
            norfolk, the norfolk broads, suffolk, essex, hampshire, oxfordshire, cumbria, northumberland, lancashire, derbyshire,
            shropshire, herefordshire, hertfordshire, lincolnshire, edinburgh, glasgow, inverness, perthshire, leeds, manchester,
            liverpool, sheffield, newcastle, nottingham, leicester, coventry, bristol, cardiff, swansea, aberdeen, dundee, oxford,
            brighton, exeter, norwich, southampton, hampstead, snowdonia, the pennines, the peak district, the chilterns, the south downs,
            the new forest
            """
        ),
        (
            "IRE",
            """
            northern ireland, dublin, belfast, galway, county cork, limerick, kerry, killarney, connemara, donegal, sligo, wexford,
            wicklow
            """
        ),
        (
            "FRA",
            """
            paris, brittany, normandy, provence, the landes, alsace, the vosges, toulouse, lyon, marseille, bordeaux, lille, nantes,
            strasbourg, rennes, grenoble, montpellier, dijon, the loire, the auvergne, périgord, the dordogne, burgundy, the cevennes,
            the pyrenees, the jura, the camargue
            """
        ),
        ("BGM", "brussels, flanders, wallonia, antwerp, ghent, bruges, liège, namur, the ardennes"),
        (
            "NET",
            """
            the netherlands, holland, amsterdam, rotterdam, utrecht, the hague, groningen, leiden, haarlem, arnhem, maastricht, friesland,
            the veluwe
            """
        ),
        (
            "GER",
            """
            germany, bavaria, berlin, hamburg, munich, cologne, leipzig, hannover, bremen, nuremberg, freiburg, heidelberg,
            the black forest, saxony, frankfurt, stuttgart, dresden, the rhine, hesse, the harz, swabia, westphalia
            """
        ),
        ("DEN", "copenhagen, jutland, aarhus, odense, funen"),
        ("NWY", "new york, new york state, upstate new york, new york city, long island, brooklyn, the adirondacks, the catskills"),
        ("MAS", "boston, cape cod, the berkshires"),
        ("CNT", "hartford"),
        ("RHO", "providence"),
        ("NWH", "the white mountains"),
        ("NWJ", "the pine barrens"),
        ("PEN", "philadelphia, pittsburgh, the poconos"),
        ("MRY", "baltimore, the chesapeake"),
        ("WDC", "washington dc"),
        ("VRG", "the shenandoah"),
        ("NCA", "asheville, raleigh, charlotte, chapel hill, the outer banks, the blue ridge, the blue ridge mountains, the carolinas"),
        ("SCA", "charleston"),
        ("TEN", "nashville, memphis, knoxville, the smokies, the great smoky mountains, the smoky mountains"),
        ("GEO", "atlanta, savannah"),
        ("KTY", "louisville"),
        ("FLA", "miami, orlando, tampa, jacksonville, tallahassee, gainesville, the everglades"),
        ("LOU", "new orleans, baton rouge"),
        ("ARK", "little rock, the ozarks"),
        ("OKL", "tulsa, oklahoma city"),
        ("TEX", "dallas, houston, austin, san antonio, fort worth, el paso, the texas hill country, east texas, west texas"),
        ("OHI", "cleveland, cincinnati"),
        ("INI", "indianapolis"),
        ("MIC", "detroit, ann arbor, the upper peninsula"),
        ("ILL", "chicago"),
        ("WIS", "milwaukee, madison"),
        ("MIN", "minneapolis"),
        ("IOW", "des moines"),
        ("MSO", "st louis, kansas city"),
        ("NEB", "omaha"),
        ("COL", "denver"),
        ("UTA", "salt lake city"),
        ("IDA", "boise"),
        ("MNT", "missoula, bozeman"),
        ("ARI", "tucson"),
        (
            "WAS",
            """
            washington state, seattle, puget sound, tacoma, spokane, bellingham, olympia, the olympic peninsula, the cascades,
            the cascade range
            """
        ),
        ("ORE", "portland, eugene, corvallis, the willamette valley, the coast range, the siskiyous"),
        (
            "CAL",
            """
            san francisco, los angeles, the sierra nevada, the sierras, monterey, the central valley, san diego, sacramento, big sur,
            mendocino, santa cruz, santa barbara, oakland, berkeley, the bay area, lake tahoe, yosemite
            """
        ),
        ("BRC", "bc, british columbia, vancouver, vancouver island, victoria bc, kelowna, whistler, the okanagan"),
        ("ABT", "calgary, edmonton"),
        ("MAN", "winnipeg"),
        ("ONT", "toronto, ottawa, muskoka"),
        ("QUE", "quebec, montreal"),
        ("NSC", "halifax"),
    ];
}
