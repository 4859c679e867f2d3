namespace VerdantSieve.Store.Looks;

/// <summary>A look as the notebook lists it.</summary>
public sealed record LookEntry(
    string Id,
    string Place,
    string Observer,
    DateOnly? Date,
    int Readings,
    string? Name,
    string? Rank,
    double? Probability,
    DateTimeOffset Changed
);
