using VerdantSieve.Core.Planning;
using VerdantSieve.Core.Trees;

namespace VerdantSieve.Web.Shared;

/// <summary>Lines of a tree's history, and what to bring to it, in words.</summary>
public static class OpinionWords
{
    /// <summary>Who did what, as a line begins.</summary>
    public static string Of(Opinion line) => $"{(line.By.Length > 0 ? line.By : "Its observer")} {Verb(line)}";

    private static string Verb(Opinion line) =>
        line.Kind switch
        {
            OpinionKind.Determined => "named it",
            OpinionKind.Agreed => "agrees",
            OpinionKind.Doubted => "doubts it",
            OpinionKind.Remarked => "remarks",
            OpinionKind.Reopened => "opened it again",
        };

    /// <summary>What to bring.</summary>
    public static string Of(FieldTool tool) =>
        tool switch
        {
            FieldTool.Lens => "a hand lens",
            FieldTool.Ruler => "a ruler",
            FieldTool.Glasses => "field glasses for what hangs high",
            FieldTool.Knife => "a knife, and leave to use it",
            FieldTool.Bag => "a bag for what lies on the ground",
        };
}
