namespace VerdantSieve.Core.Botany;

/// <summary>A taxon that another is taken for.</summary>
/// <param name="Name">The scientific name of the double.</param>
/// <param name="Mark">The mark that tells the two apart, said of the taxon whose double it is.</param>
public sealed record PlantDouble(string Name, string Mark);
