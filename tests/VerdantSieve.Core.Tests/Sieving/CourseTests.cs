using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Sieving;
using Xunit;
using static VerdantSieve.Core.Tests.Sieving.Readings;

namespace VerdantSieve.Core.Tests.Sieving;

/// <summary>Grains through meshes: who is held where.</summary>
public class CourseTests
{
    private static Course Of(int slips) =>
        Course.Of(
            new MadeFlora()
                .States("leaf", "broad needle")
                .States("bark", "grey red")
                .States("hair", "none dense")
                .Taxon("Aus fits", "leaf: broad / bark: grey / hair: none")
                .Taxon("Bus once", "leaf: needle / bark: grey / hair: none")
                .Taxon("Cus twice", "leaf: broad / bark: red / hair: dense")
                .Sieve()
                .Ask(
                    new SieveQuestion
                    {
                        AllowedDisagreements = slips,
                        Readings =
                        [
                            Is("hair", "none"),
                            Is("leaf", "broad"),
                            new Reading("nothing", new CannotTell(), Certainty.Fair) with
                            {
                                Character = "bark",
                            },
                            Is("bark", "grey"),
                        ],
                    }
                )
        );

    [Fact]
    public void A_grain_is_held_where_its_slips_become_more_than_are_allowed()
    {
        var course = Of(1);
        // In the order in which they were read; what could not be told is no mesh.
        Assert.Equal(["hair", "leaf", "bark"], course.Meshes.Select(mesh => mesh.Reading.Character));
        Assert.Equal(
            new (string, int?)[] { ("Cus twice", 2), ("Aus fits", null), ("Bus once", null) },
            course.Grains.Select(grain => (grain.Taxon.Name.Text, grain.CaughtAt))
        );
        Assert.Equal([0, 2], course.Grains[0].Snags);
        Assert.Equal([(3, 0, 1), (3, 0, 1), (3, 1, 1)], course.Meshes.Select(mesh => (mesh.Reached, mesh.Caught, mesh.Alone)));
        Assert.Equal("Aus fits", course.Pan.First().Taxon.Name.Text);
    }

    [Fact]
    public void Without_slips_the_first_disagreement_holds()
    {
        var course = Of(0);
        Assert.Equal([1, 1, 0], course.Meshes.Select(mesh => mesh.Caught));
        Assert.Equal([3, 2, 1], course.Meshes.Select(mesh => mesh.Reached));
        Assert.Single(course.Pan);
    }
}
