namespace VerdantSieve.Core.Botany;

/// <summary>How a score came to be: what decides how far it is to be believed where it leaves a state out.</summary>
public enum ScoreBasis
{
    /// <summary>Entered for the taxon itself.</summary>
    Own,

    /// <summary>Entered once for its genus or section.</summary>
    Shared,

    /// <summary>Taken as given for want of anything else, as that a plant has no aerial roots.</summary>
    Default,

    /// <summary>Worked out from the parents of a hybrid.</summary>
    Parents,
}
