using VerdantSieve.Store.Notebooks;

namespace VerdantSieve.Web.Shared;

/// <summary>What somebody may do with a notebook, in words.</summary>
public static class SharingWords
{
    /// <summary>As in “… may see it”.</summary>
    public static string Of(Sharing may) =>
        may switch
        {
            Sharing.Read => "may see it",
            Sharing.Comment => "may see it, remark on it, agree and doubt",
            Sharing.Determine => "may see it, remark on it, doubt and determine anew",
            Sharing.Own => "own it",
        };
}
