using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Sieving.Columns;

/// <summary>What every column is made of.</summary>
/// <param name="Scores">The flora's score of each taxon; null where it has none.</param>
/// <param name="CanApply">Whether each taxon's scores leave room for the character.</param>
/// <param name="Applies">The chance that each row can show the character at all, the seasons of its conditions put aside; null where it
/// always can.</param>
/// <param name="Rows">Who stands in which row.</param>
/// <param name="Model">What is assumed of observers.</param>
internal sealed record ColumnSource(Score?[] Scores, bool[] CanApply, double[]? Applies, RowLayout Rows, SieveModel Model);
