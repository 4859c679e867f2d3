namespace VerdantSieve.Core.Sieving.Columns;

/// <summary>What plants of each row show of a character, on the plant as a whole or at one place of it.</summary>
/// <param name="Scored">For each state and row the chance that the plant shows it, as the score says.</param>
/// <param name="Shown">The same, and what the score leaves out.</param>
/// <param name="Believed">For each row the chance that the score leaves nothing out.</param>
/// <param name="Allowed">For each state and taxon whether the score can allow it.</param>
internal sealed record ShownStates(double[][] Scored, double[][] Shown, double[] Believed, bool[][] Allowed)
{
    /// <summary>The same where so many plants show one certain state instead, whatever their kind.</summary>
    public ShownStates With(int state, double share)
    {
        return share == 0 ? this : this with { Scored = Instead(Scored), Shown = Instead(Shown) };

        double[][] Instead(double[][] chances) =>
            [.. chances.Select((column, s) => column.Select(chance => (1 - share) * chance + (s == state ? share : 0)).ToArray())];
    }
}
