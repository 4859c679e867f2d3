namespace VerdantSieve.Web.Curating;

/// <summary>How far an import is.</summary>
public enum ImportStage
{
    /// <summary>The rows are being taken in and checked.</summary>
    Reading,

    /// <summary>All is well with it, and it is being kept.</summary>
    Keeping,

    /// <summary>It is kept.</summary>
    Done,

    /// <summary>Nothing was kept.</summary>
    Refused,

    /// <summary>It was stopped, and nothing was kept.</summary>
    Stopped,

    /// <summary>The application stopped while it was being read, and nothing was kept.</summary>
    CutShort,
}
