using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Keys;

/// <summary>Where a taxon stands to a couplet.</summary>
internal enum Side
{
    First,
    Second,

    // It shows both, or nothing is known of it: it comes out both ways.
    Both,
}

/// <summary>A way to part taxa by one character, with the two statements that say it.</summary>
/// <param name="First">The one statement.</param>
/// <param name="Second">The other.</param>
/// <param name="Sides">Where each taxon stands.</param>
internal sealed record KeySplit(Statement First, Statement Second, Side[] Sides)
{
    public Character Character => First.Character;

    public int Of(Side side) => Sides.Count(at => at == side);

    /// <summary>Whether both ways leave fewer than came.</summary>
    public bool Parts => Of(Side.First) > 0 && Of(Side.Second) > 0;
}
