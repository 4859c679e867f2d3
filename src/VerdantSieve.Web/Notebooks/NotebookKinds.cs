using VerdantSieve.Core.Botany;
using VerdantSieve.Store.Notebooks;

namespace VerdantSieve.Web.Notebooks;

/// <summary>What the trees of a notebook are.</summary>
public static class NotebookKinds
{
    /// <summary>The kinds that trees are named as, each once; what is named no nearer than a genus is none.</summary>
    public static IEnumerable<Taxon> KindsOf(this IEnumerable<TreePoint> trees, Flora flora) =>
        trees.Select(tree => tree.Name).OfType<string>().Select(flora.FindTaxon).OfType<Taxon>().Distinct();
}
