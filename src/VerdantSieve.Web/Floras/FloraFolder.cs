namespace VerdantSieve.Web;

/// <summary>Where the files of the shipped flora are.</summary>
public sealed record FloraFolder(string Path);
