namespace VerdantSieve.Core;

/// <summary>Something that can’t be used: where it stands, what was written there, and what is wrong with it or allowed instead.</summary>
/// <param name="At">The field of a request or form, or the file, that it stands in.</param>
/// <param name="Message">What is wrong, or what is allowed.</param>
public sealed record Fault(string At, string Message)
{
    /// <summary>The line of the file, from 1; null where <see cref="At"/> is a field.</summary>
    public int? Line { get; private init; }

    /// <summary>What was written in the field; null where nothing was.</summary>
    public string? Value { get; init; }

    /// <summary>A fault in a file.</summary>
    /// <param name="file">The file.</param>
    /// <param name="line">The line, from 1.</param>
    /// <param name="message">What is wrong, in lower case and without a full stop.</param>
    public static Fault InFile(string file, int line, string message) => new(file, message) { Line = line };

    /// <summary>A fault in a field.</summary>
    /// <param name="field">The field.</param>
    /// <param name="value">What was written there; null where nothing was.</param>
    /// <param name="allowed">What is allowed, as a sentence.</param>
    public static Fault AtField(string field, string? value, string allowed) => new(field, allowed) { Value = value };

    /// <summary>The fault as a sentence, without the name of the field or file.</summary>
    public string Sentence
    {
        get
        {
            if (Line is not null)
                return $"{Message}.";
            return Value is null or "" ? Message : $"“{Value}” can’t be used. {Message}";
        }
    }

    /// <summary>The whole of it: “field: “value” can’t be used. It must be …”, or “file:line: message”.</summary>
    public override string ToString() => Line is { } line ? $"{At}:{line}: {Message}" : $"{At}: {Sentence}";
}
