namespace VerdantSieve.Store.Curating;

/// <summary>Somebody else changed the flora in the meantime.</summary>
public sealed class StaleEditionException(int edition)
    : Exception($"The flora has been changed since; it is at edition {edition} now. Look at the change again before you keep it.");
