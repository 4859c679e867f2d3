using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;

namespace VerdantSieve.Core.Sieving;

/// <summary>One taxon on its way through the meshes.</summary>
/// <param name="Taxon">The taxon.</param>
/// <param name="Probability">Its chance by weighing.</param>
/// <param name="Snags">The meshes it disagrees with, as places in <see cref="Course.Meshes"/>, in order.</param>
/// <param name="CaughtAt">The mesh that holds it back for good; null where it comes through.</param>
public sealed record Grain(Taxon Taxon, double Probability, IReadOnlyList<int> Snags, int? CaughtAt);

/// <summary>One reading as a mesh, with what came to it and what it holds.</summary>
/// <param name="Reading">The reading.</param>
/// <param name="Reached">How many grains fall as far as this mesh.</param>
/// <param name="Caught">How many of these it holds back for good.</param>
/// <param name="Alone">How many it would hold by itself.</param>
public sealed record CourseMesh(Reading Reading, int Reached, int Caught, int Alone);

/// <summary>The whole course of a look: taxa as grains that fall through the readings, in the order in which these were made. A grain is
/// held by the mesh at which its disagreements become more than are allowed.</summary>
public sealed record Course(IReadOnlyList<CourseMesh> Meshes, IReadOnlyList<Grain> Grains)
{
    /// <summary>The grains that come through, likeliest first.</summary>
    public IEnumerable<Grain> Pan => Grains.Where(grain => grain.CaughtAt is null).OrderByDescending(grain => grain.Probability);

    /// <summary>Lays out the course of an answer.</summary>
    public static Course Of(SieveAnswer answer)
    {
        Reading[] readings = [.. answer.Question.Readings.Where(reading => reading.Tells)];
        Grain[] grains =
        [
            .. answer
                .Candidates.Select(candidate => GrainOf(candidate, readings, answer.Question.AllowedDisagreements))
                .OrderBy(grain => grain.CaughtAt ?? int.MaxValue)
                .ThenBy(grain => grain.Taxon.Family, StringComparer.Ordinal)
                .ThenBy(grain => grain.Taxon.Name),
        ];
        return new Course([.. readings.Select((reading, mesh) => MeshOf(reading, mesh, grains))], grains);
    }

    private static Grain GrainOf(Candidate candidate, Reading[] readings, int allowed)
    {
        int[] snags = [.. Enumerable.Range(0, readings.Length).Where(mesh => candidate.Held.Contains(readings[mesh].Character))];
        return new Grain(candidate.Taxon, candidate.Probability, snags, snags.Length > allowed ? snags[allowed] : null);
    }

    private static CourseMesh MeshOf(Reading reading, int mesh, Grain[] grains) =>
        new(
            reading,
            grains.Count(grain => grain.CaughtAt is null || grain.CaughtAt >= mesh),
            grains.Count(grain => grain.CaughtAt == mesh),
            grains.Count(grain => grain.Snags.Contains(mesh))
        );
}
