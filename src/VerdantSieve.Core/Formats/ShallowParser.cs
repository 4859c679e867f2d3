using YamlDotNet.Core;
using YamlDotNet.Core.Events;

namespace VerdantSieve.Core.Formats;

/// <summary>Gives out the events of a YAML text and gives up where mappings and lists stand too deep within each other, or where a text
/// stands for another: what reads on calls itself for each, and would take the process down.</summary>
internal sealed class ShallowParser(IParser inner, int deepest) : IParser
{
    private int depth;

    public ParsingEvent? Current => inner.Current;

    /// <exception cref="YamlException">It is deeper than allowed, or has an alias.</exception>
    public bool MoveNext()
    {
        if (!inner.MoveNext())
            return false;
        if (inner.Current is AnchorAlias alias)
            throw new YamlException(alias.Start, alias.End, "an alias (“*”) is not taken in; write it out");
        depth += inner.Current!.NestingIncrease;
        if (depth > deepest)
            throw new YamlException(inner.Current.Start, inner.Current.End, $"brackets stand more than {deepest} deep within each other");
        return true;
    }
}
