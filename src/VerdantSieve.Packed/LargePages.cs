using System.Runtime.InteropServices;

namespace VerdantSieve.Packed;

/// <summary>Memory that strides through many megabytes lose least time in.</summary>
internal static unsafe partial class LargePages
{
    private const nuint PageSize = 2 * 1024 * 1024;
    private const int AdviseHugePages = 14; // MADV_HUGEPAGE of Linux

    /// <summary>Room that is all zero, aligned to a large page, and kept in large pages where the system can; free it with
    /// <see cref="NativeMemory.AlignedFree"/>.</summary>
    public static byte* Allocate(nuint size)
    {
        var room = (byte*)NativeMemory.AlignedAlloc(size, PageSize);
        // Only a wish: without it all is as right, and a little slower.
        if (OperatingSystem.IsLinux() && size >= PageSize)
            _ = Advise(room, size, AdviseHugePages);
        NativeMemory.Clear(room, size);
        return room;
    }

    [LibraryImport("libc", EntryPoint = "madvise")]
    private static partial int Advise(void* address, nuint length, int advice);
}
