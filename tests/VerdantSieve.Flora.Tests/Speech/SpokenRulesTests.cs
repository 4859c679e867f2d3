using NodaTime;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing.Speech;
using VerdantSieve.Core.Tests.Observing.Speech;
using Xunit;

namespace VerdantSieve.Flora.Tests.Speech;

/// <summary>Rules of speech that only the words of the shipped flora show, each on both sides.</summary>
public class SpokenRulesTests
{
    private static readonly SpeechReader Reader = new(ShippedFlora.Flora, new VocabularyIndex(ShippedFlora.Flora.Vocabulary));

    [Theory]
    // What is said of the counted thing is not what is counted.
    [InlineData("five pointed lobes", "lobe-count=5; lobe-tip=pointed")]
    [InlineData("five-pointed leaf", "lobe-count=5")]
    // “Flat needles” are one phrase, and needles have tips.
    [InlineData("sharp flat needles", "needle-tip=sharp; needle-section=flat")]
    [InlineData("sharp twigs", "")]
    // “Of fruit” is a smell behind “smells” alone.
    [InlineData("a red cone of fruit", "fruit-colour=red; fruit-type=cone")]
    [InlineData("smells of fruit", "smell=fruity")]
    // Of what is said of needles it follows that there are needles.
    [InlineData("a tree with needles that fall in autumn", "habit=tree; leaf-persistence=deciduous; foliage=needle")]
    [InlineData("a tree that loses its leaves", "habit=tree; leaf-persistence=deciduous")]
    [InlineData("pine with bunches of five needles", "needles-per-bundle=5; among=Pinus")]
    [InlineData("bunches of five berries", "fruit-hang=clustered; fruit-type=berry")]
    [InlineData("cones on long stalks, buds without a stalk", "fruit-type=cone")]
    [InlineData("end leaflet without a stalk", "terminal-leaflet=sessile")]
    [InlineData("three oval leaflets", "leaflet-count=3; shape=oval")]
    [InlineData("flowers in threes", "")]
    // Of what is said of leaflets it follows that the leaf has some.
    [InlineData("spiny leaflets", "margin=spiny; structure=compound")]
    [InlineData("spiny leaves", "margin=spiny")]
    [InlineData("leaves curved", "")]
    [InlineData("flowers like peas", "flower-form=pea")]
    // A plant’s name beside leaves is no fruit.
    [InlineData("grape-like leaves", "")]
    [InlineData("leaves like an olive", "")]
    [InlineData("small grapes", "fruit-type=berry")]
    [InlineData("olive-like fruit", "fruit-type=drupe")]
    // A tree’s name is no bud.
    [InlineData("Redbud with heart-shaped leaves", "among=Cercis; shape=heart")]
    [InlineData("red buds", "bud-colour=red")]
    // What was counted is a noun for what is said behind it.
    [InlineData("five lobes pointed", "lobe-count=5; lobe-tip=pointed")]
    [InlineData("five leaflets from one point", "leaflet-count=5; structure=palmate")]
    [InlineData("flowers from one point", "flower-cluster=umbel")]
    // A kind that is a fruit or a colour as well is one at the beginning, where more is told of it.
    [InlineData("Mulberry with lobed leaves", "among=Morus; lobing=lobed")]
    [InlineData("fruit a mulberry", "fruit-type=compound-berry")]
    [InlineData("fruit red, mulberry with a stalk", "fruit-colour=red; fruit-type=compound-berry")]
    // Three veins are those from the base, three leaflets are a count.
    [InlineData("three veins", "venation=three-from-base")]
    [InlineData("three pairs of veins", "vein-pairs=3")]
    [InlineData("three leaflets", "leaflet-count=3")]
    public void Is_heard(string text, string expected) =>
        Assert.Equal(
            expected.Split(';', StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries).Order(),
            SpokenNotation.Of(Reader.Read(text, new SpokenAbout(new LocalDate(2026, 8, 20)))).Order()
        );
}
