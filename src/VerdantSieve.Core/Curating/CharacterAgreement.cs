using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Curating;

/// <summary>How far two drafts agree in one character.</summary>
/// <param name="Character">The character.</param>
/// <param name="Taxa">How many taxa both drafts say something of.</param>
/// <param name="Kappa">Cohen’s kappa of the chief states; null for ranges.</param>
/// <param name="Likeness">The mean likeness of the two scores (0 to 1): what the states share, frequencies included; for ranges the
/// overlap.</param>
/// <param name="Disagreements">Where the two scores are less alike than <see cref="SecondDraft.MustBeSettled"/>.</param>
public sealed record CharacterAgreement(
    Character Character,
    int Taxa,
    double? Kappa,
    double Likeness,
    IReadOnlyList<Disagreement> Disagreements
);
