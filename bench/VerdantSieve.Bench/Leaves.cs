using System.Diagnostics;
using VerdantSieve.Imaging.Camera;
using VerdantSieve.Imaging.Tests;
using VerdantSieve.Imaging.Tracing;

namespace VerdantSieve.Bench;

/// <summary>Leaves there and back, and how long a large picture takes.</summary>
internal static class Leaves
{
    /// <summary>Prints how far what is found is from what was drawn.</summary>
    /// <param name="leaves">How many leaves.</param>
    public static int Run(int leaves)
    {
        LeafTrip[] trips = [.. Enumerable.Range(0, leaves).AsParallel().AsOrdered().Select(LeafTrip.Go)];
        Console.WriteLine($"{leaves} leaves\n\n| | median | 95 % | most | within 2 % |\n|---|---|---|---|---|");
        Line("length, as found", trips, trip => LeafTrip.Off(trip.True.Length, trip.Found.Length));
        Line("width, as found", trips, trip => LeafTrip.Off(trip.True.Width, trip.Found.Width));
        Line("length, foot and tip set", trips, trip => LeafTrip.Off(trip.True.Length, trip.Set.Length));
        Line("width, foot and tip set", trips, trip => LeafTrip.Off(trip.True.Width, trip.Set.Width));
        Line("area", trips, trip => LeafTrip.Off(trip.True.Area, trip.Found.Area));
        var toothed = trips.Where(trip => trip.Form.State("margin", "") is not ("entire" or "doubly-serrate")).ToArray();
        Line("teeth", toothed, trip => LeafTrip.Off(trip.True.Teeth.Count, trip.Found.Teeth.Count));
        var lobes = trips.Count(trip => trip.Found.Lobes.Count == trip.True.Lobes.Count);
        Console.WriteLine($"\nlobes right in {lobes} of {leaves}");
        Console.WriteLine(
            $"teeth within a tenth in {toothed.Count(trip => LeafTrip.Off(trip.True.Teeth.Count, trip.Found.Teeth.Count) <= 0.1)} of "
                + $"{toothed.Length}"
        );
        var unlobed = trips.Where(trip => trip.Form.State("lobing", "") == "unlobed").ToArray();
        Console.WriteLine($"shape right or next to it in {unlobed.Count(trip => trip.IsOfItsShape)} of {unlobed.Length}");
        Console.WriteLine($"called torn: {trips.Count(trip => trip.Found.LooksTorn)} of {leaves}");
        foreach (
            var group in trips.GroupBy(trip => (trip.Form.State("base", ""), trip.Form.State("lobing", ""))).OrderBy(group => group.Key)
        )
            Line($"length, {group.Key}", [.. group], trip => LeafTrip.Off(trip.True.Length, trip.Found.Length));
        Large();
        return 0;
    }

    private static void Line(string what, LeafTrip[] trips, Func<LeafTrip, double> off)
    {
        var all = trips.Select(off).Order().ToArray();
        double At(double part) => all[Math.Min(all.Length - 1, (int)(part * all.Length))];
        Console.WriteLine(
            $"| {what} | {At(0.5):0.0 %} | {At(0.95):0.0 %} | {all[^1]:0.0 %} | {all.Count(one => one <= 0.02) / (double)all.Length:0 %} |"
        );
    }

    private static void Large()
    {
        var shot = SimulatedCamera.Take(LeafTrip.Sheet(5), new Shot { Width = 2970, TiltDegrees = 8 });
        var scale = PictureScale.Sheet(shot.Corners, SimulatedCamera.SheetWidth, SimulatedCamera.SheetHeight).Value;
        for (var i = 0; i < 4; i++)
        {
            var clock = Stopwatch.StartNew();
            var found = LeafTracer.Trace(shot.Jpeg, scale).Value;
            Console.WriteLine(
                $"{shot.Width * (long)shot.Height / 1e6:0.0} megapixels, {found.Leaves.Count} leaves: {clock.ElapsedMilliseconds} ms, "
                    + $"{Process.GetCurrentProcess().PeakWorkingSet64 / 1_000_000} MB at most"
            );
        }
    }
}
