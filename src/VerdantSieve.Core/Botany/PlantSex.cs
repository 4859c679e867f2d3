namespace VerdantSieve.Core.Botany;

/// <summary>The sex of one plant of a kind whose sexes stand apart.</summary>
public enum PlantSex
{
    /// <summary>Bears pollen, and never fruit.</summary>
    Male,

    /// <summary>Bears fruit.</summary>
    Female,
}
