using VerdantSieve.Core.Botany;

namespace VerdantSieve.Views.Looks;

/// <summary>A row of the first glance: a character with the few words the eye takes in at once.</summary>
/// <param name="Character">The character.</param>
/// <param name="Title">What it is called here.</param>
/// <param name="Words">States and broad words, each with its plain words.</param>
/// <param name="Chosen">What was read of it; null where nothing was.</param>
public sealed record GlanceRow(StateCharacter Character, string Title, IReadOnlyList<(string Word, string Label)> Words, string? Chosen);
