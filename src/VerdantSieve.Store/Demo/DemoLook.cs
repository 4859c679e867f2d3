using VerdantSieve.Core.Observing;
using VerdantSieve.Store.Looks;

namespace VerdantSieve.Store.Demo;

/// <summary>A look of the demonstration: where it starts, and its readings one after another.</summary>
internal sealed record DemoLook(string Id, LookContent Start, IReadOnlyList<RawReading> Readings, bool Settle, string Notes = "");
