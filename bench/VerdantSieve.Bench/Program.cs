using BenchmarkDotNet.Running;
using VerdantSieve.Bench;

// dotnet run -c Release -- load http://127.0.0.1:5080 [people] [pause in ms]
// dotnet run -c Release -- engine
// dotnet run -c Release -- world
// dotnet run -c Release -- quick [taxa]
// dotnet run -c Release -- exchange [taxa]
// dotnet run -c Release -- agreement second-draft.csv
// dotnet run -c Release -- visits [trees]
// dotnet run -c Release -- keys [plants of each kind]
// dotnet run -c Release -- practice
// dotnet run -c Release -- people FILE… [--list]
// dotnet run -c Release -- recovery [plants of each taxon] [soybean | shipped | strategies | calibration | people | strangers]
return args switch
{
    ["load", var address, .. var rest] => await Load.Run(
        new Uri(address),
        rest.Length > 0 ? int.Parse(rest[0]) : 20,
        rest.Length > 1 ? int.Parse(rest[1]) : 300
    ),
    ["engine", .. var rest] => Run<EngineBenchmarks>(rest),
    ["world", .. var rest] => Run<WorldBenchmarks>(rest),
    ["quick", .. var rest] => Quick.Run(rest.Length > 0 ? int.Parse(rest[0]) : 60_000),
    ["agreement", var file, .. var log] => Drafts.Run(file, log.FirstOrDefault(), log.Skip(1).FirstOrDefault()),
    ["exchange", .. var rest] => await Exchange.Run(rest.Length > 0 ? int.Parse(rest[0]) : 1000),
    ["keys", .. var rest] => Keys.Run(rest.Length > 0 ? int.Parse(rest[0]) : 6),
    ["leaves", .. var rest] => Leaves.Run(rest.Length > 0 ? int.Parse(rest[0]) : 300),
    ["plates"] => Plates.Run(),
    ["practice"] => Practice.Run(),
    ["visits", .. var rest] => Visits.Run(rest.Length > 0 ? int.Parse(rest[0]) : 200),
    ["people", .. var files] when files.Length > 0 => People.Run([.. files.Where(file => file != "--list")], files.Contains("--list")),
    ["recovery", .. var rest] => RecoveryTables.Run(rest.Length > 0 ? int.Parse(rest[0]) : 12, rest.Length > 1 ? rest[1] : null),
    _ => Usage(),
};

static int Run<T>(string[] arguments)
{
    BenchmarkRunner.Run<T>(args: arguments);
    return 0;
}

static int Usage()
{
    Console.Error.WriteLine(
        "usage: load ADDRESS [PEOPLE] [PAUSE-MS] | engine | world | quick [TAXA] | exchange [TAXA] | visits [TREES] | "
            + "keys [PLANTS] | leaves [N] | plates | practice | agreement FILE "
            + "| people FILE… [--list] | recovery [PLANTS [TABLE]]"
    );
    return 2;
}
