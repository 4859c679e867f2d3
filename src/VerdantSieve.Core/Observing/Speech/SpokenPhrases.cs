using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Seasons;

namespace VerdantSieve.Core.Observing.Speech;

/// <summary>The words of a sentence that belong to no flora: not, or, usually, on the limbs, a street tree, late July.</summary>
internal static class SpokenPhrases
{
    private static readonly string[] Lacking =
    [
        "no",
        "without",
        "lacks",
        "lacking",
        "don’t have",
        "doesn’t have",
        "do not have",
        "does not have",
    ];

    private static readonly (SpokenRole Role, string Words)[] Roles =
    [
        (
            SpokenRole.Silent,
            """
            a, an, the, this, that, these, those, it, its, it’s, it is, is, are, was, were, be, being, been, has, have, having, had, with,
            of, at, for, by, from, as, i, i see, i found, i saw, i have, we, you, my, our, there, there is, there are, here, which,
            where, when, really, just, only, also, too, so, then, well, looks, look, looking, seen, see, found, saw, show, shows, showing,
            all, both, each, every, any, other, others, their, them, they, up, out, down, about it, on the same tree, on the same plant,
            on this tree, on this plant, on one tree, on one plant, on the tree, same tree, same plant, the plant, plant, the tree, this
            tree, thing, kind of, sort of, more or less, more, overall, in general, generally, altogether, usual, typical, normal, about,
            around, some, per, what, one, first, second, ones, such, like, in shape, in outline, in color, side, sided, part, surface,
            growing, grow, grown, grows, made, made of, up of, while, though, although, because, if, even, still, again, yes, me, mine,
            him, her, long, wide, and so on, etc, e, g, in, into, onto, within, over, under, towards, toward, along, across, same,
            different, rest, own, today, now, currently, this morning, this week, hang, hangs, come, comes, sit, sits, stand, stands,
            several, between, whether, color, shape, size, number, texture, round a, round the, round each, near my house, looks like,
            feel, feels, get, gets, becoming, become, becomes, than, rather than, held, bear, bears, bearing, ending, ends, end in, ends in,
            on long stems, new england, everywhere, call, call it, called, known as, later, afterwards,
            all around, nearby, all over the place, in leaf axils, in the leaf axils, at the leaf axils, leaf axils,
            vine-like, vinelike, tree-like, shrub-like
            """
        ),
        (
            SpokenRole.Degree,
            """
            very, rather, quite, fairly, slightly, somewhat, pretty, small, large, big, little, great, tall, medium sized, medium, bright,
            deep, light, pale, softly, colored, shaped, extremely, conspicuously, noticeably, strongly, tiny, huge, short, nice, old,
            young, fresh, healthy, new, ripe, unripe, pair of, a pair of
            """
        ),
        (SpokenRole.On, "on, all over"),
        (SpokenRole.To, "to, through"),
        (
            SpokenRole.Not,
            """
            not, no, never, without, none, isn’t, aren’t, doesn’t have, don’t have, do not, does not, do not have, does not have, lacks,
            lacking, lack, neither, nor, free of, absent, not any, not a
            """
        ),
        (SpokenRole.But, "but, except, however, yet"),
        (SpokenRole.And, "and, plus, as well as, together with"),
        (SpokenRole.Or, "or, or else, or maybe, either, or perhaps, or possibly"),
        (
            SpokenRole.Guess,
            """
            i think, i guess, i believe, i suppose, maybe, perhaps, probably, possibly, might be, may be, could be, might have, may have,
            could have, seems, seem, seems to
            be, apparently, not sure, not certain, unsure, i’d say, presumably, hard to say but, as far as i can see
            """
        ),
        (
            SpokenRole.Sure,
            """
            definitely, certainly, clearly, surely, for sure, no doubt, without doubt, i am sure, i’m sure, obviously, plainly,
            distinctly, very clearly
            """
        ),
        (
            SpokenRole.CannotTell,
            """
            can’t tell, cannot tell, can not tell, cant tell, couldn’t tell, can’t see, couldn’t see, cannot see, couldn’t make out, can’t
            make out, not seen, didn’t see, did not see, unknown, don’t know, do not know, no idea, couldn’t reach, out of reach
            """
        ),
        (SpokenRole.NearlyAll, "nearly all, almost all, nearly always, almost always, all but one, most of them"),
        (
            SpokenRole.Mostly,
            """
            mostly, usually, mainly, typically, most, generally, chiefly, commonly, normally, for the most part, predominantly, always,
            many, often
            """
        ),
        (
            SpokenRole.Some,
            """
            sometimes, occasionally, rarely, seldom, a few, few, now and then, some of them, here and there, one of them, at times
            """
        ),
    ];

    private static readonly (PlantPlace Place, Organ Organ, string Words)[] Places =
    [
        (
            PlantPlace.Base,
            Organ.Bark,
            """
            base of the trunk, base of trunk, foot of trunk, foot of the trunk, lower trunk, trunk base, low on the trunk, lower bark,
            near the ground, bark at the
            base, bottom of the trunk
            """
        ),
        (PlantPlace.Trunk, Organ.Bark, "trunk, bole, on the trunk, trunk bark, main trunk"),
        (
            PlantPlace.Limb,
            Organ.Bark,
            """
            limb, on the limbs, on limbs, branches, branch, on the branches, on branches, higher up, up high, upper bark, upper trunk,
            bark of the limbs, upper limbs
            """
        ),
        (
            PlantPlace.Young,
            Organ.Bark,
            """
            young stem, young bark, on young stems, on young trees, younger bark, young trunk, younger stem, younger trunk, bark of young
            trees
            """
        ),
        (
            PlantPlace.Tip,
            Organ.Twig,
            """
            twig tip, tip of the twig, new growth, this year’s twig, this year’s growth, this year’s shoot, current year’s twig, young
            twig, new twig, new shoot, young shoot, shoot tip
            """
        ),
        (
            PlantPlace.Older,
            Organ.Twig,
            """
            older twig, older one, the older one, last year’s, last year’s one, old twig, further back, farther back, last year’s twig,
            second year twig, older wood, two year old twig, older
            shoot
            """
        ),
    ];

    private static readonly (PlantPlace Place, string Words)[] PlacesAlone =
    [
        (PlantPlace.Sun, "sun leaf, in the sun, crown leaf, sunny side, from the crown"),
        (PlantPlace.Shade, "shade leaf, in the shade, shaded leaf, from the shade"),
        (
            PlantPlace.Sucker,
            """
            on a sucker, on suckers, on the suckers, sucker leaf, from a sucker, on sprouts, on a sprout, sucker shoot, on vigorous shoots
            """
        ),
        (PlantPlace.Tip, "at the tip, at its tip"),
        (PlantPlace.Base, "at the base, near the base, at its base, lower down, low down"),
        (PlantPlace.Litter, "in the litter, in the leaf litter, on the ground, fallen leaf, from the ground"),
    ];

    private static readonly (Organ Organ, string Words)[] OrganNames =
    [
        (Organ.Leaf, "leaf, foliage, blade, leaf blade, lamina"),
        (Organ.Twig, "twig, shoot, branchlet, stem"),
        (Organ.Bark, "bark"),
        (Organ.Flower, "flower, blossom, bloom"),
        (Organ.Fruit, "fruit"),
        (Organ.WholePlant, "whole plant, whole tree"),
    ];

    /// <summary>The plain names of an organ, and of places on it: all are spoken of alike.</summary>
    public static IEnumerable<string> NamesOf(Organ organ) =>
        OrganNames
            .Where(pair => pair.Organ == organ)
            .Select(pair => pair.Words)
            .Concat(Places.Where(place => place.Organ == organ).Select(place => place.Words))
            .SelectMany(words => words.Split(',', StringSplitOptions.TrimEntries));

    // Of the leaf they name a side; of bark they say how high up.
    private const string Sides = "above, below, beneath, underneath, on top";

    private const string Fleeting =
        "new leaf, young leaf, emerging leaf, unfolding leaf, expanding leaf, opening leaf, new foliage, young foliage";

    private static readonly (Dimension Dimension, string Words)[] Dimensions =
    [
        (Dimension.Long, "long, in length"),
        (Dimension.Wide, "wide, broad, across, in width, in breadth"),
        (Dimension.Tall, "tall, high, in height"),
        (Dimension.Thick, "thick, in diameter, in thickness"),
        (
            Dimension.Ratio,
            """
            times as long as wide, times longer than wide, times as long as broad, times longer than broad, times as long, as long as
            wide, as long as broad, as long as it is wide
            """
        ),
    ];

    private static readonly (Dimension Dimension, string Words)[] DimensionNouns =
    [
        (Dimension.Long, "length"),
        (Dimension.Wide, "width, breadth"),
        (Dimension.Tall, "height"),
        (Dimension.Thick, "diameter, dbh, thickness"),
    ];

    /// <summary>The way of a size that a word names: “width”, but not “wide”.</summary>
    public static Dimension? DimensionNamed(string word)
    {
        foreach (var (dimension, words) in DimensionNouns)
            if (words.Split(", ").Contains(word))
                return dimension;
        return null;
    }

    private static readonly (Dimension Of, Comparison Is, string Words)[] Comparatives =
    [
        (Dimension.Ratio, Comparison.More, "narrower, slimmer"),
        (Dimension.Ratio, Comparison.Less, "rounder"),
        (Dimension.Wide, Comparison.More, "wider, broader"),
        (Dimension.Long, Comparison.More, "longer, larger, bigger"),
        (Dimension.Long, Comparison.Less, "shorter, smaller"),
        (Dimension.Tall, Comparison.More, "taller, higher"),
        (Dimension.Thick, Comparison.More, "stouter, thicker"),
        (Dimension.Thick, Comparison.Less, "thinner, slenderer, finer"),
    ];

    private static readonly (Setting Setting, string Words)[] Settings =
    [
        (
            Setting.Planted,
            """
            street tree, planted, garden, park, yard, in a garden, in the garden, garden tree, in a park, in the park, park tree, in a
            yard, in the yard, yard tree, roadside planting, in cultivation, cultivated, in my garden, in my yard, planted tree, in a
            front yard, in a churchyard, in a car park, in a parking lot, street, city street, on the street, along the street, sidewalk,
            backyard, back yard, front garden, back garden, churchyard, car park, parking lot, schoolyard
            """
        ),
        (Setting.Wild, "wild, growing wild, in the wild, native, self-sown, self-seeded"),
    ];

    private static readonly (Age Age, string Words)[] Ages =
    [
        (Age.Young, "young tree, young plant, sapling, seedling, a young one, young specimen"),
        (Age.Grown, "mature, full grown, mature tree, old tree, fully grown, grown tree, adult tree"),
    ];

    private static readonly (LeafStage Stage, string Words)[] Stages =
    [
        (
            LeafStage.Leafless,
            """
            leafless, bare, leaves gone, leaves fallen, leaves have fallen, no leaves, no leaves yet, no leaves left, without leaves, in
            winter, in the winter
            """
        ),
        (LeafStage.Bud, "in bud, buds swelling, buds breaking, bud break"),
        (LeafStage.Leafing, "leaves unfolding, leafing out, leaves just out, coming into leaf"),
        (LeafStage.Leaf, "in leaf, in full leaf, full leaf"),
        (LeafStage.Turning, "in fall color, in autumn color"),
        (LeafStage.LeafFall, "leaves falling, dropping its leaves now, losing its leaves now"),
    ];

    // Landscapes that are called like this are said of a place as peoples are: “a cascade of flowers” is none.
    private static readonly (string Code, string Words)[] Peoples =
    [
        ("GRB", "english, scottish, scots, welsh, british, cornish"),
        ("IRE", "irish"),
        ("FRA", "french, breton"),
        ("BGM", "belgian, flemish"),
        ("NET", "dutch"),
        ("GER", "german, bavarian"),
        ("DEN", "danish"),
        ("AUT", "austrian"),
        ("SWI", "swiss"),
        ("ITA", "italian"),
        ("SPA", "spanish"),
        ("POR", "portuguese"),
        ("SWE", "swedish"),
        ("NOR", "norwegian"),
        ("FIN", "finnish"),
        ("POL", "polish"),
        ("CZE", "czech"),
        ("HUN", "hungarian"),
        ("TEX", "texan"),
        ("CAL", "californian, sierra"),
        ("WAS", "cascade"),
    ];

    // What a people's land is said of, beside the habitats that the vocabulary knows.
    private static readonly HashSet<string> PlaceNouns =
    [
        .. """
            wood woodland forest trail foothill hill hillside hilltop mountain mountainside alp valley glen dale highland lowland down
            chalk moor heath bog fen marsh swamp island isle coast beach dune shore cliff river riverbank stream lake canal ditch field
            meadow pasture farm lane road hedge hedgerow garden park churchyard estate arboretum nursery street village town city suburb
            countryside
            """.Split([' ', '\n'], StringSplitOptions.RemoveEmptyEntries),
    ];

    // “Northern Ontario”, “upstate New York”; “West Virginia” is another country than the west of Virginia.
    private static readonly string[] PartsOfACountry =
    [
        "northern",
        "southern",
        "eastern",
        "western",
        "northeastern",
        "northwestern",
        "southeastern",
        "southwestern",
        "central",
        "coastal",
        "upstate",
        "rural",
    ];

    private static readonly string[] Months =
    [
        "january, jan",
        "february, feb",
        "march, mar",
        "april, apr",
        "may",
        "june, jun",
        "july, jul",
        "august, aug",
        "september, sept, sep",
        "october, oct",
        "november, nov",
        "december, dec",
    ];

    private static readonly (int Day, string Words)[] PartsOfAMonth =
    [
        (5, "early, early in, beginning of, start of, the beginning of"),
        (15, "mid, middle of, the middle of"),
        (25, "late, late in, end of, the end of"),
    ];

    // “Spring” alone is also where water comes up, and “fall” what leaves do.
    private static readonly (YearPart Part, string Words)[] PartsOfTheYear =
    [
        (YearPart.EarlySpring, "early spring, early in spring, early in the spring, beginning of spring"),
        (YearPart.Spring, "in spring, in the spring, this spring, last spring, during spring, mid spring, midspring, springtime"),
        (YearPart.LateSpring, "late spring, late in spring, late in the spring, end of spring"),
        (YearPart.EarlySummer, "early summer, early in summer, early in the summer, beginning of summer"),
        (YearPart.Summer, "summer, in summer, in the summer, this summer, last summer, during summer, mid summer, midsummer, high summer"),
        (YearPart.LateSummer, "late summer, late in summer, late in the summer, end of summer"),
        (YearPart.EarlyAutumn, "early autumn, early fall, early in autumn, early in the fall"),
        (
            YearPart.Autumn,
            """
            in autumn, in the autumn, in fall, in the fall, this autumn, this fall, last autumn, last fall, during autumn, mid autumn, mid
            fall
            """
        ),
        (YearPart.LateAutumn, "late autumn, late fall, late in autumn, late in the fall"),
        (YearPart.EarlyWinter, "early winter, early in winter"),
        (YearPart.Winter, "in winter, in the winter, this winter, last winter, during winter, mid winter, midwinter"),
        (YearPart.LateWinter, "late winter, late in winter, end of winter"),
    ];

    /// <summary>What is said for “no lobes” or “without lobes”, too: “lacking lobes”, “don’t have any lobes”; nothing where a name lacks
    /// nothing.</summary>
    public static IEnumerable<string> AlsoLacking(string name) =>
        Array.Find(["no ", "without "], (string lacks) => name.StartsWith(lacks, StringComparison.Ordinal)) is { } start
            ? Lacking.SelectMany(lacking => (string[])[$"{lacking} {name[start.Length..]}", $"{lacking} any {name[start.Length..]}"])
            : [];

    /// <summary>Whether a word is a place of which a people can be named: “Scottish glen”.</summary>
    public static bool IsPlace(string form) => PlaceNouns.Contains(form);

    /// <summary>Adds all of them to what is known of a flora's own words. What the flora says goes before what says nothing.</summary>
    public static void AddTo(PhraseTree<Meaning> tree)
    {
        foreach (var (role, words) in Roles)
            Each(tree, words, meaning => meaning.Role ??= role);
        foreach (var (place, organ, words) in Places)
            Each(tree, words, meaning => (meaning.Place, meaning.Organ) = (place, organ));
        foreach (var (place, words) in PlacesAlone)
            Each(tree, words, meaning => meaning.Place = place);
        foreach (var (organ, words) in OrganNames)
            Each(tree, words, meaning => meaning.Organ = organ);
        // A leaflet is of the leaf, but not all that is said of leaves is said of it.
        Each(tree, "leaflet", meaning => meaning.Organ = Organ.Leaf);
        foreach (var (dimension, words) in Dimensions)
            Each(tree, words, meaning => meaning.Dimension = dimension);
        foreach (var (dimension, words) in DimensionNouns)
            Each(tree, words, meaning => meaning.Dimension = dimension);
        Each(tree, Sides, meaning => meaning.IsSide = true);
        Each(tree, Fleeting, meaning => meaning.IsFleeting = true);
        // Said of the plant alone, and no number with it: told as not understood rather than taken for “broad”.
        Each(tree, "longer than broad, longer than wide, as broad as long, as wide as long, wider than long, broader than long", _ => { });
        foreach (var (of, how, words) in Comparatives)
            Each(tree, words, meaning => meaning.Comparative = new Comparative(of, how));
        AddCircumstances(tree);
    }

    private static void AddCircumstances(PhraseTree<Meaning> tree)
    {
        foreach (var (setting, words) in Settings)
            Each(tree, words, meaning => meaning.Setting = setting);
        foreach (var (age, words) in Ages)
            Each(tree, words, meaning => meaning.Age = age);
        foreach (var (stage, words) in Stages)
            Each(tree, words, meaning => meaning.Stage = stage);
        (string Code, string Words)[] countries = [.. Regions.Codes.Select(code => (code, Regions.Name(code))), .. SpokenPlaces.All];
        foreach (var (code, words) in countries)
        {
            Each(tree, words, meaning => meaning.Region = code);
            Each(tree, WithoutArticle(words), meaning => meaning.Region ??= code);
        }
        foreach (var (code, words) in countries)
            foreach (var part in PartsOfACountry)
                Each(tree, $"{part} {words.Replace(",", $", {part}", StringComparison.Ordinal)}", meaning => meaning.Region ??= code);
        foreach (var (code, words) in Peoples)
            Each(tree, words, meaning => (meaning.Region, meaning.IsOfAPeople) = (code, true));
        for (var month = 1; month <= Months.Length; month++)
            Each(tree, Months[month - 1], meaning => meaning.Month = month);
        foreach (var (day, words) in PartsOfAMonth)
            Each(tree, words, meaning => meaning.DayOfMonth = day);
        foreach (var (part, words) in PartsOfTheYear)
            Each(tree, words, meaning => meaning.YearPart = part);
    }

    // “The Ozarks” are “Ozarks” as well.
    private static string WithoutArticle(string names) =>
        string.Join(',', names.Split(',', StringSplitOptions.TrimEntries).Where(name => name.StartsWith("the ")).Select(name => name[4..]));

    private static void Each(PhraseTree<Meaning> tree, string words, Action<Meaning> say)
    {
        foreach (var phrase in words.Split(',', StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries))
            if (tree.At(phrase) is { } meaning)
                say(meaning);
    }
}
