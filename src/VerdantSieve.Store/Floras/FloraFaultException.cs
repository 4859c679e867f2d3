using VerdantSieve.Core;

namespace VerdantSieve.Store.Floras;

/// <summary>A flora's files have faults; all of them are listed.</summary>
public sealed class FloraFaultException(IReadOnlyList<Fault> faults)
    : Exception($"The flora’s files have {(faults.Count == 1 ? "a fault" : $"{faults.Count} faults")}:\n{string.Join('\n', faults)}")
{
    public IReadOnlyList<Fault> Faults { get; } = faults;
}
