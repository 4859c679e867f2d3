using System.Diagnostics.CodeAnalysis;

namespace VerdantSieve.Core;

/// <summary>What came of reading or checking something: a value, or everything that is wrong with it; never both and never
/// neither.</summary>
public sealed class Outcome<T>
    where T : notnull
{
    private readonly T? value;

    internal Outcome(T? value, IReadOnlyList<Fault> faults) => (this.value, Faults) = (value, faults);

    /// <summary>All that is wrong; empty where there is a value.</summary>
    public IReadOnlyList<Fault> Faults { get; }

    /// <summary>The value.</summary>
    /// <exception cref="InvalidOperationException">There is none; the message lists the faults.</exception>
    public T Value => Faults.Count == 0 ? value! : throw new InvalidOperationException(string.Join('\n', Faults));

    /// <summary>Whether there is a value.</summary>
    /// <param name="found">The value; null where something is wrong.</param>
    public bool Has([NotNullWhen(true)] out T? found)
    {
        found = value;
        return Faults.Count == 0;
    }

    /// <summary>Goes on with the value, or keeps what is wrong.</summary>
    public Outcome<TOther> Then<TOther>(Func<T, Outcome<TOther>> next)
        where TOther : notnull => Has(out var found) ? next(found) : new Outcome<TOther>(default, Faults);

    /// <summary>Makes something of the value, or keeps what is wrong.</summary>
    public Outcome<TOther> Map<TOther>(Func<T, TOther> make)
        where TOther : notnull => Then(found => Outcome.Of(make(found)));

    /// <summary>The same, each fault said anew, as where it stands is known better by the caller.</summary>
    public Outcome<T> Placed(Func<Fault, Fault> place) => Faults.Count == 0 ? this : new Outcome<T>(default, [.. Faults.Select(place)]);

    /// <summary>A value is an outcome.</summary>
    public static implicit operator Outcome<T>(T value) => Outcome.Of(value);

    /// <summary>A fault is an outcome.</summary>
    public static implicit operator Outcome<T>(Fault fault) => Outcome.Faulty<T>([fault]);
}

/// <summary>Makes outcomes.</summary>
public static class Outcome
{
    /// <summary>All went well.</summary>
    public static Outcome<T> Of<T>(T value)
        where T : notnull => new(value ?? throw new ArgumentNullException(nameof(value)), []);

    /// <summary>Something is wrong.</summary>
    /// <exception cref="ArgumentException">No fault is given.</exception>
    public static Outcome<T> Faulty<T>(IReadOnlyList<Fault> faults)
        where T : notnull =>
        faults.Count > 0
            ? new(default, faults)
            : throw new ArgumentException("An outcome without a value has at least one fault.", nameof(faults));
}
