namespace VerdantSieve.Core.Observing;

/// <summary>How several states of one reading are meant.</summary>
public enum StateMode
{
    /// <summary>This state.</summary>
    Is,

    /// <summary>One of these; can't tell which.</summary>
    Either,

    /// <summary>All of these occur on this very plant.</summary>
    AllSeen,

    /// <summary>None of these, whatever else it is.</summary>
    Not,
}
