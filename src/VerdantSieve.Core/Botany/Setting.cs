namespace VerdantSieve.Core.Botany;

/// <summary>Where a plant stands: of its own accord, or put there by people.</summary>
public enum Setting
{
    /// <summary>Growing of its own accord.</summary>
    Wild,

    /// <summary>Put there by people.</summary>
    Planted,
}
