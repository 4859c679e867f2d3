using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;
using Xunit;

namespace VerdantSieve.Core.Tests.Observing;

/// <summary>How far each origin misleads, for each sort of character. The values are the project's own choices, in
/// docs/method.md.</summary>
public class OriginsTests
{
    private static StateCharacter Of(string id, string? part) =>
        new(id)
        {
            Part = part,
            Label = id,
            Question = "?",
            Phrase = "{}",
            States = [new State("a", "a", "")],
        };

    [Theory]
    [InlineData(Origin.FairSample, "margin", "margin", 0)]
    [InlineData(Origin.FairSample, "arrangement", "foliage", 0)]
    [InlineData(Origin.Litter, "arrangement", "foliage", 1)]
    [InlineData(Origin.Litter, "crowding", "foliage", 1)]
    [InlineData(Origin.Litter, "ranks", "foliage", 1)]
    [InlineData(Origin.Litter, "margin", "margin", 0.2)]
    [InlineData(Origin.Litter, "fruit-type", "fruit", 0.2)]
    [InlineData(Origin.Litter, "bark-pattern", "bark", 0.1)]
    [InlineData(Origin.Sucker, "shape", "blade", 0.25)]
    [InlineData(Origin.Sucker, "margin", "margin", 0.25)]
    [InlineData(Origin.Sucker, "structure", "leaf-structure", 0.25)]
    [InlineData(Origin.Sucker, "blade-length", "leaf-size", 0.25)]
    [InlineData(Origin.Sucker, "lobing", "lobes", 0.25)]
    [InlineData(Origin.Sucker, "petiole-length", "petiole", 0.25)]
    [InlineData(Origin.Sucker, "upper-gloss", "surface", 0.25)]
    [InlineData(Origin.Sucker, "bud-form", "twig", 0.15)]
    [InlineData(Origin.Sucker, "bark-pattern", "bark", 0.05)]
    [InlineData(Origin.Sucker, "one", null, 0.05)]
    [InlineData(Origin.Hedge, "habit", "whole-plant", 0.8)]
    [InlineData(Origin.Hedge, "height", "whole-plant", 0.8)]
    [InlineData(Origin.Hedge, "crown", "whole-plant", 0.8)]
    [InlineData(Origin.Hedge, "habitat", "whole-plant", 0.8)]
    [InlineData(Origin.Hedge, "sexes", "whole-plant", 0.1)]
    [InlineData(Origin.Hedge, "blade-length", "leaf-size", 0.2)]
    [InlineData(Origin.Hedge, "flower-cluster", "flower", 0.2)]
    [InlineData(Origin.Hedge, "fruit-type", "fruit", 0.2)]
    [InlineData(Origin.Hedge, "margin", "margin", 0.1)]
    [InlineData(Origin.Damaged, "blade-length", "leaf-size", 0.3)]
    [InlineData(Origin.Damaged, "shape", "blade", 0.3)]
    [InlineData(Origin.Damaged, "margin", "margin", 0.3)]
    [InlineData(Origin.Damaged, "upper-gloss", "surface", 0.3)]
    [InlineData(Origin.Damaged, "bark-pattern", "bark", 0.1)]
    public void Each_origin_misleads_as_far_as_is_written(Origin origin, string id, string? part, double chance) =>
        Assert.Equal(chance, Origins.Misleads(origin, Of(id, part)));

    [Theory]
    [InlineData(Origin.FairSample, 0)]
    [InlineData(Origin.Sucker, 0.35)]
    [InlineData(Origin.Damaged, 0.3)]
    [InlineData(Origin.Hedge, 0.2)]
    [InlineData(Origin.Litter, 0.1)]
    public void Each_origin_adds_its_error_to_a_measurement(Origin origin, double error) => Assert.Equal(error, Origins.AddedError(origin));
}
