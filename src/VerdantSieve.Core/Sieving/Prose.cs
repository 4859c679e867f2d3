namespace VerdantSieve.Core.Sieving;

/// <summary>Plain words with scientific names marked in them, so that a page can set the names in italics.</summary>
public sealed class Prose
{
    private readonly List<(string Text, bool Name)> runs = [];

    /// <summary>The runs in order; Name marks a scientific name.</summary>
    public IReadOnlyList<(string Text, bool Name)> Runs => runs;

    /// <summary>Adds plain words.</summary>
    public Prose Say(string text)
    {
        runs.Add((text, false));
        return this;
    }

    /// <summary>Adds a scientific name.</summary>
    public Prose Name(string name)
    {
        runs.Add((name, true));
        return this;
    }

    /// <summary>Adds names as "A", "A or B", "A, B or C".</summary>
    public Prose Names(IReadOnlyList<string> names, string lastJoin = "or")
    {
        for (var i = 0; i < names.Count; i++)
        {
            if (i > 0)
                Say(i == names.Count - 1 ? $" {lastJoin} " : ", ");
            Name(names[i]);
        }
        return this;
    }

    /// <summary>The words alone.</summary>
    public override string ToString() => string.Concat(runs.Select(run => run.Text));
}
