using System.Diagnostics;
using System.IO.Compression;
using System.Text;
using VerdantSieve.Core.Drawing;
using VerdantSieve.Core.Drawing.Plates;
using VerdantSieve.Views.Drawings;

namespace VerdantSieve.Bench;

/// <summary>How long plates take to compose and to write, and how much they weigh.</summary>
internal static class Plates
{
    private const int Thumbnails = 60;

    /// <summary>Prints both, and the slowest and the heaviest.</summary>
    public static int Run()
    {
        var flora = Shipped.Flora();
        var drawn = new DrawnVocabulary(flora.Vocabulary, flora.Vocabulary);
        for (var round = 1; round <= 6; round++)
        {
            var slow = new List<(string Name, double Milliseconds)>();
            var (heavy, written) = (("", 0), new List<string>());
            var clock = Stopwatch.StartNew();
            foreach (var taxon in flora.Taxa)
            {
                var before = clock.Elapsed;
                written.Add(PlateSvg.File(PlateComposer.Of(taxon, drawn)));
                slow.Add((taxon.Name.Text, (clock.Elapsed - before).TotalMilliseconds));
            }
            var each = clock.Elapsed.TotalMilliseconds / flora.Taxa.Count;
            foreach (var (svg, taxon) in written.Zip(flora.Taxa))
                if (Weight(svg) is var weight && weight > heavy.Item2)
                    heavy = (taxon.Name.Text, weight);
            var slowest = slow.OrderByDescending(one => one.Milliseconds).Take(5).Select(one => $"{one.Name} {one.Milliseconds:0.0}");
            Console.WriteLine($"round {round}: {each:0.00} ms a plate; slowest {string.Join(", ", slowest)}; heaviest {heavy}");
            clock.Restart();
            foreach (var taxon in flora.Taxa.Take(Thumbnails))
                SvgPen.File(ShootDrawing.Likeness(drawn.FormOf(taxon)));
            Console.WriteLine($"{Thumbnails} likenesses: {clock.Elapsed.TotalMilliseconds:0.0} ms");
        }
        return 0;
    }

    private static int Weight(string svg)
    {
        using var into = new MemoryStream();
        using (var zip = new GZipStream(into, CompressionLevel.Optimal, leaveOpen: true))
            zip.Write(Encoding.UTF8.GetBytes(svg));
        return (int)into.Length;
    }
}
