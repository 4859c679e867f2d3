using VerdantSieve.Core.Botany;
using Xunit;

namespace VerdantSieve.Flora.Tests.Practice;

/// <summary>Terms of botanists and of beginners, British and American, and the character or state each means: common practice, no source, from
/// memory. Whoever types one finds it among the first few.</summary>
public class PeoplesWords
{
    private const int FirstFew = 6;

    private const string Terms = """
        phyllotaxy>arrangement; phyllotaxis>arrangement; alternate>arrangement:alternate; opposite>arrangement:opposite; in pairs>arrangement:opposite
        decussate>arrangement:opposite; whorled>arrangement:whorled; verticillate>arrangement:whorled; subopposite>arrangement:subopposite; distichous>ranks:two-ranked
        broadleaf>foliage:broad; needles>foliage:needle; scale-like leaves>foliage:scale; conifer needles>foliage:needle; awl-shaped>foliage:awl
        simple>structure:simple; compound leaf>structure; pinnate>structure:odd-pinnate; imparipinnate>structure:odd-pinnate; paripinnate>structure:even-pinnate
        palmately compound>structure:palmate; trifoliate>structure:trifoliate; ternate>structure:trifoliate; bipinnate>structure:bipinnate; twice divided>structure:bipinnate
        number of leaflets>leaflet-count; rachis>rachis; winged rachis>rachis:winged; terminal leaflet>terminal-leaflet; leaf length>blade-length
        lamina width>blade-width; width of leaf>blade-width; linear>shape:linear; lanceolate>shape:lanceolate; oblong>shape:oblong
        elliptic>shape:elliptic; oval>shape:elliptic; ovate>shape:ovate; egg-shaped>shape:ovate; obovate>shape:obovate
        oblanceolate>shape:oblanceolate; spatulate>shape:spatulate; spoon-shaped>shape:spatulate; orbicular>shape:round; rotund>shape:round
        deltoid>shape:triangular; triangular>shape:triangular; rhombic>shape:diamond; reniform>shape:kidney; fan-shaped>shape:fan
        leaf apex>apex; leaf tip>apex; acute>apex:acute; acuminate>apex:acuminate; drip tip>apex:acuminate
        mucronate>apex:abrupt-tip; cuspidate>apex:abrupt-tip; obtuse>apex:obtuse; emarginate>apex:notched; retuse>apex:notched
        leaf base>base; cuneate>base:wedge; attenuate>base:tapered; cordate>base:heart; truncate>base:truncate
        oblique>base:unequal; lopsided>base:unequal; asymmetric>base:unequal; lobed>lobing; palmately lobed>lobing:palmate
        pinnately lobed>lobing:pinnate; mitten>lobing:one-sided; like a maple>lobing:palmate; like an oak>lobing:pinnate; number of lobes>lobe-count
        deeply cut>lobe-depth:deep; dissected>lobe-depth:deep; sinus depth>lobe-depth; bristle-tipped>lobe-tip:bristle; awned>lobe-tip:bristle
        leaf margin>margin; leaf edge>margin; entire>margin:entire; smooth-edged>margin:entire; undulate>margin:wavy
        sinuate>margin:wavy; serrate>margin:serrate; saw-toothed>margin:serrate; serrated>margin:serrate; doubly serrate>margin:doubly-serrate
        biserrate>margin:doubly-serrate; crenate>margin:crenate; scalloped>margin:crenate; dentate>margin:dentate; spinose>margin:spiny
        serrulate>tooth-size:fine; coarsely toothed>tooth-size:coarse; glands on the petiole>leaf-glands:on-petiole; punctate>leaf-glands:dotted-blade; gland-dotted>leaf-glands:dotted-blade
        veins>venation; nerves>venation; palmately veined>venation:palmate; three-veined>venation:three-from-base; arcuate>venation:arcuate
        dichotomous>venation:fan; pairs of veins>vein-pairs; lateral veins>vein-pairs; shiny>upper-gloss:glossy; lustrous>upper-gloss:glossy
        matt>upper-gloss:dull; matte>upper-gloss:dull; scabrous>upper-touch:rough; sandpaper>upper-touch:rough; velvety>upper-touch:soft-hairy
        glaucous>underside-colour:bluish; silvery>underside-colour:white; ferruginous>underside-colour:rusty; underside color>underside-colour; underside colour>underside-colour
        pubescence>underside-hair; glabrous>underside-hair:none; hairless>underside-hair:none; tomentose>underside-hair:dense; woolly>underside-hair:dense
        wooly>underside-hair:dense; puberulent>underside-hair:sparse; felted>underside-hair:dense; domatia>vein-tufts; tufts in the vein angles>vein-tufts
        stellate>hair-type:star-shaped; lepidote>hair-type:scales; coriaceous>texture:leathery; leathery>texture:leathery; papery>texture:thin
        revolute>blade-fold:rolled-edges; conduplicate>blade-fold:folded; fall color>autumn-colour; autumn colour>autumn-colour; variegated>leaf-colour:variegated
        leaf color>leaf-colour; gray-green>leaf-colour:grey-green; smell>smell; scent>smell; odour>smell
        odor>smell; root beer>smell:spicy; peanut butter>smell:rank; stinks>smell:rank; turpentine>smell:resin
        petiole>petiole-length; leaf stem>petiole-length; leafstalk>petiole-length; stem of the leaf>petiole-length; quaking>petiole-form:flattened
        flattened petiole>petiole-form; stipule>stipules; ocrea>stipules:collar; ear-like stipules>stipules:leafy; fascicled>needle-grouping:bundles
        needles in twos>needle-grouping:bundles; needles in fives>needle-grouping:bundles; larch tufts>needle-grouping:spur-tufts; needles in a bundle>needles-per-bundle; square needle>needle-section:four-angled
        flat needle>needle-section:flat; stomatal bands>needle-bands; white lines>needle-bands; sterigma>needle-base:peg; suction cup>needle-base
        sharp-pointed>needle-tip:sharp; twig color>twig-colour; gray twig>twig-colour:grey; downy shoot>twig-hair; glabrous twig>twig-hair:none
        corky ridges>twig-form:corky-wings; winged twig>twig-form:corky-wings; flexuous>twig-form:zigzag; square stem>twig-form:angled; thorns>armature:thorns
        spines>armature; prickles>armature:prickles; unarmed>armature:none; thornless>armature:none; stipular spines>armature:paired-spines
        compound thorns>armature:branched-thorns; pith>pith; chambered pith>pith:chambered; hollow stem>pith:hollow; marrow>pith
        naked bud>bud-scales:none; valvate>bud-scales:two; imbricate>bud-scales:several; single cap>bud-scales:one; stalked bud>bud-form:stalked
        resinous>bud-form:sticky; gummy>bud-form:sticky; cigar-shaped>bud-form:long-pointed; terminal bud>end-bud; false end bud>end-bud:absent
        clustered end buds>end-bud:clustered; leaf scar>leaf-scars; lenticels>lenticels; bloom>flowering; blossom>flowering
        in flower>flowering; inflorescence>flower-cluster; catkin>flower-cluster:catkin; ament>flower-cluster:catkin; raceme>flower-cluster:hanging-raceme
        spike>flower-cluster:upright-spike; candle>flower-cluster:upright-spike; panicle>flower-cluster:panicle; corymb>flower-cluster:flat-head; cyme>flower-cluster:flat-head
        umbel>flower-cluster:umbel; pompom>flower-cluster:ball; flower color>flower-colour; mauve>flower-colour:purple; lilac>flower-colour:purple
        violet>flower-colour:purple; number of petals>petal-count; stamens>stamen-count; dioecious>sexes:separate-trees; monoecious>sexes:both-on-one-tree
        hermaphrodite>sexes:bisexual; male and female trees>sexes; fruits>fruiting; in fruit>fruiting; helicopters>fruit-type:paired-samara
        samara>fruit-type; keys>fruit-type:paired-samara; ash key>fruit-type:single-samara; acorns>fruit-type:acorn; hazelnut>fruit-type:bract-or-husk-nut
        hickory nut>fruit-type:husked-nut; conker case>fruit-type:spiny-capsule; bur>fruit-type:spiny-capsule; capsule>fruit-type:dry-capsule; cotton>fruit-type:cottony-capsule
        legume>fruit-type:pod; bean pod>fruit-type:pod; stone fruit>fruit-type:drupe; drupe>fruit-type:drupe; berries>fruit-type:berry
        haw>fruit-type:pome; crabapple>fruit-type:pome; aggregate fruit>fruit-type:compound-berry; gumball>fruit-type:seed-ball; pine cone>fruit-type:seed-cone
        strobile>fruit-type:catkin-cone; juniper berry>fruit-type:berry-cone; yew berry>fruit-type:aril; red cup>fruit-type:aril; fruit color>fruit-colour
        size of the fruit>fruit-length; cupule>acorn-cup; acorn cap>acorn-cup; mossy cup>acorn-cup-scales:fringed; cone size>cone-length
        mouse tails>cone-scales:bracts-showing; growth habit>habit; bush>habit:shrub; vine>habit:climber; liana>habit:climber
        multi-trunked>habit:multi-stemmed-tree; evergreen>leaf-persistence:evergreen; deciduous>leaf-persistence:deciduous; semi-evergreen>leaf-persistence:half-evergreen; how tall>height
        fastigiate>crown:columnar; pyramidal>crown:conical; weeping>crown:weeping; pendulous>crown:weeping; suckers>base-sprouts
        milky sap>sap:milky; latex>sap; swamp>habitat:wet-ground; riparian>habitat:waterside; hedgerow>habitat:hedge-or-edge
        street tree>habitat:planted; seaside>habitat:coast; alpine>habitat:mountain; bark>bark-pattern; furrowed>bark-pattern:deep-furrows
        fissured>bark-pattern:deep-furrows; diamond bark>bark-pattern:interlacing-ridges; alligator bark>bark-pattern:blocks; shaggy bark>bark-pattern:loose-strips; camouflage bark>bark-pattern:mottled-flaking
        cherry bark>bark-pattern:horizontal-lines; stringy bark>bark-pattern:fibrous; corky bark>bark-pattern:corky; bark color>bark-colour; blackish>bark-colour:dark
        """;

    private static readonly string[] All = Terms.Split([';', '\n'], StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries);

    [Fact]
    public void Find_their_character_or_state()
    {
        var index = new VocabularyIndex(ShippedFlora.Flora.Vocabulary);
        Assert.True(All.Length >= 250, $"{All.Length} terms");
        Assert.Equal(All.Length, All.Select(line => line.Split('>')[0]).Distinct().Count());
        Assert.Equal([], All.Where(line => !Finds(index, line)));
    }

    private static bool Finds(VocabularyIndex index, string line)
    {
        var (term, meant) = (line.Split('>')[0], line.Split('>')[1].Split(':'));
        return index
            .Find(term)
            .Take(FirstFew)
            .Any(word => word.Character.Id == meant[0] && (meant.Length == 1 || word.State?.Id == meant[1]));
    }

    [Fact]
    public void Are_there_for_every_character_that_is_asked_often()
    {
        string[] often = ["arrangement", "structure", "shape", "margin", "lobing", "apex", "base", "bark-pattern", "fruit-type", "petiole-length"];
        Assert.All(often, id => Assert.NotEmpty(ShippedFlora.Flora.Character(id).Also));
    }
}
