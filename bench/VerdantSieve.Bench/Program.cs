using BenchmarkDotNet.Running;
using VerdantSieve.Bench;

// dotnet run -c Release -- load http://127.0.0.1:5080 [people] [pause in ms]
// dotnet run -c Release -- engine
return args switch
{
    ["load", var address, .. var rest] => await Load.Run(new Uri(address), rest.Length > 0 ? int.Parse(rest[0]) : 20, rest.Length > 1 ? int.Parse(rest[1]) : 300),
    ["engine", .. var rest] => Run(rest),
    _ => Usage()
};

static int Run(string[] arguments)
{
    BenchmarkRunner.Run<EngineBenchmarks>(args: arguments);
    return 0;
}

static int Usage()
{
    Console.Error.WriteLine("usage: load ADDRESS [PEOPLE] [PAUSE-MS] | engine");
    return 2;
}
