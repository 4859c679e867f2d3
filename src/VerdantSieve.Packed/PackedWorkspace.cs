namespace VerdantSieve.Packed;

/// <summary>What the information pass needs room for, made once and used again.</summary>
public sealed class PackedWorkspace
{
    internal const int LanesPerCell = 16;

    internal PackedWorkspace(int cells, int blocks)
    {
        Sums = new float[cells];
        Blocks = new int[blocks];
        Errors = new float[blocks];
        Lanes = new float[PackedColumns.BandCells * LanesPerCell];
    }

    internal float[] Sums { get; }
    internal float[] Lanes { get; }
    internal int[] Blocks { get; }
    internal float[] Errors { get; }
}
