using System.Numerics.Tensors;

namespace VerdantSieve.Core.Sieving;

/// <summary>Bayes' rule over the rows.</summary>
internal static class Posterior
{
    /// <summary>The chance of each row after the evidence, leaving out one or two pieces of it.</summary>
    public static double[] Of(double[] prior, Evidence[] evidence, int without = -1, int andWithout = -1)
    {
        var posterior = new double[prior.Length];
        TensorPrimitives.Log(prior, posterior);
        for (var r = 0; r < evidence.Length; r++)
            if (r != without && r != andWithout) TensorPrimitives.Add(posterior, evidence[r].Logs, posterior);
        TensorPrimitives.Subtract(posterior, TensorPrimitives.Max<double>(posterior), posterior);
        TensorPrimitives.Exp(posterior, posterior);
        TensorPrimitives.Divide(posterior, TensorPrimitives.Sum<double>(posterior), posterior);
        return posterior;
    }
}
