namespace VerdantSieve.Core.Trees;

/// <summary>Where a tree's history of determinations has come to.</summary>
/// <param name="Stands">The name that stands: the last one given that was not taken back or opened again; null where none.</param>
/// <param name="Agreed">Who agreed with it since.</param>
/// <param name="Doubts">Who doubted it since, or gave another name before it and did not agree.</param>
public sealed record OpinionStanding(Opinion? Stands, IReadOnlyList<Opinion> Agreed, IReadOnlyList<Opinion> Doubts)
{
    /// <summary>Works out where a history has come to.</summary>
    /// <param name="history">All lines, oldest first.</param>
    public static OpinionStanding Of(IReadOnlyList<Opinion> history)
    {
        Opinion? stands = null;
        List<Opinion> agreed = [],
            doubts = [];
        foreach (var line in history.Where(line => !line.IsWithdrawn))
        {
            if (line.Kind is OpinionKind.Determined or OpinionKind.Reopened)
            {
                // Who named it otherwise before has not been persuaded by that alone; who doubted the name that is gone may well be.
                doubts =
                [
                    .. doubts
                        .Append(stands)
                        .OfType<Opinion>()
                        .Where(other => other.Kind == OpinionKind.Determined && other.By != line.By && other.Written != line.Written),
                ];
                (stands, agreed) = (line.Kind == OpinionKind.Determined ? line : null, []);
            }
            else if (line.Kind is OpinionKind.Agreed or OpinionKind.Doubted)
            {
                agreed.RemoveAll(other => other.By == line.By);
                doubts.RemoveAll(other => other.By == line.By);
                (line.Kind == OpinionKind.Agreed ? agreed : doubts).Add(line);
            }
        }
        return new OpinionStanding(stands, agreed, stands is null ? [] : doubts);
    }

    /// <summary>Whether somebody sees it otherwise.</summary>
    public bool IsDisputed => Doubts.Count > 0;

    /// <summary>The other names given for it.</summary>
    public IReadOnlyList<string> OtherNames =>
        [.. Doubts.Where(doubt => doubt.Kind == OpinionKind.Determined).Select(doubt => doubt.Name).Distinct()];
}
