namespace VerdantSieve.Core.Simulating;

/// <summary>Draws from the normal distribution.</summary>
internal static class RandomNormal
{
    /// <summary>A draw from the standard normal distribution (Box and Muller 1958).</summary>
    public static double NextNormal(this Random random) =>
        Math.Sqrt(-2 * Math.Log(1 - random.NextDouble())) * Math.Cos(2 * Math.PI * random.NextDouble());
}
