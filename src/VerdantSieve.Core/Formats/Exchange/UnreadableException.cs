namespace VerdantSieve.Core.Formats.Exchange;

/// <summary>A file can’t be read on from here; its format turns this into the one fault that is told.</summary>
internal sealed class UnreadableException(Fault fault) : Exception(fault.Message)
{
    public UnreadableException(string file, int line, string message)
        : this(Fault.InFile(file, line, message)) { }

    public Fault Fault { get; } = fault;
}
