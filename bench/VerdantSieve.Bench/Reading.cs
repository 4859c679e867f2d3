using System.Diagnostics;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Sieving;

namespace VerdantSieve.Bench;

/// <summary>What the sieve's answer to each of nine readings costs on the shipped flora, one after the other as a person gives them.</summary>
internal static class Reading9
{
    public static int Run()
    {
        var flora = Shipped.Flora();
        var sieve = new Sieve(flora);
        Core.Observing.Reading[] readings =
        [
            State("foliage", "broad"),
            State("arrangement", "alternate"),
            State("structure", "simple"),
            State("lobing", "pinnate"),
            State("lobe-tip", "rounded"),
            new("blade-length", new Measured(9, 13, 5), Certainty.Fair),
            State("underside-hair", "sparse"),
            State("bark-pattern", "shallow-ridges"),
            State("end-bud", "clustered"),
        ];
        var where = new Circumstances { Region = "ORE", Date = new NodaTime.LocalDate(2026, 6, 14), Setting = Setting.Wild };
        var questions = Enumerable.Range(1, 9).Select(n => new SieveQuestion { Readings = readings[..n], Circumstances = where }).ToArray();
        for (var start = Stopwatch.GetTimestamp(); Stopwatch.GetElapsedTime(start).TotalSeconds < 12;)
            foreach (var q in questions)
                sieve.Ask(q);
        foreach (var q in questions)
        {
            var a = GC.GetAllocatedBytesForCurrentThread();
            var t = Stopwatch.GetTimestamp();
            for (var i = 0; i < 200; i++)
                sieve.Ask(q);
            Console.WriteLine($"{q.Readings.Count} {Stopwatch.GetElapsedTime(t).TotalMilliseconds / 200:0.00} ms {(GC.GetAllocatedBytesForCurrentThread() - a) / 200 / 1000} kB");
        }
        return 0;

        static Core.Observing.Reading State(string character, string state) => new(character, new StatesSeen([state], StateMode.Is), Certainty.Fair);
    }
}
