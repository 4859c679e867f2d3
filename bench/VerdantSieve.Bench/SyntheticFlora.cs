using VerdantSieve.Packed;

namespace VerdantSieve.Bench;

/// <summary>A made-up flora of any size: 200 characters of 6 states. Twenty taxa make a genus, which agree in most characters; each shows
/// one
/// state usually and often a second sometimes. The same numbers give the same flora.</summary>
internal static class SyntheticFlora
{
    public const int Characters = 200,
        States = 6;
    private const int GenusSize = 20;

    public static int[] StatesOfEach { get; } = [.. Enumerable.Repeat(States, Characters)];

    public static PackedSieve Make(int taxa) => new(taxa, StatesOfEach, Shown);

    public static void Shown(int taxon, int character, Span<double> chances)
    {
        chances.Clear();
        var (genus, own) = (Mix(taxon / GenusSize, character, 1), Mix(taxon, character, 2));
        // One taxon in four differs from its genus; half of the taxa show a second state.
        var usual = (int)((own % 4 == 0 ? own >> 8 : genus >> 8) % States);
        var second = (usual + 1 + (int)((own >> 24) % (States - 1))) % States;
        chances[usual] = (own >> 4) % 2 == 0 ? 0.8 : 1;
        chances[second] += 1 - chances[usual];
    }

    /// <summary>The state a taxon usually shows.</summary>
    public static int Usual(int taxon, int character)
    {
        Span<double> chances = stackalloc double[States];
        Shown(taxon, character, chances);
        return chances.IndexOf(System.Numerics.Tensors.TensorPrimitives.Max<double>(chances));
    }

    // Any good mixing of bits will do (the finaliser of MurmurHash3).
    private static uint Mix(int a, int b, uint seed)
    {
        var h = (uint)a * 0x9E3779B1 ^ (uint)b * 0x85EBCA77 ^ seed * 0xC2B2AE3D;
        h ^= h >> 16;
        h *= 0x85EBCA6B;
        h ^= h >> 13;
        h *= 0xC2B2AE35;
        return h ^ h >> 16;
    }
}
