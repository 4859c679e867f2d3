using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Formats.Exchange;

namespace VerdantSieve.Web.Curating;

/// <summary>The files that floras are taken out as, each written once for an edition: writing one takes as long as hundreds of
/// pages.</summary>
public sealed class FloraExports
{
    private const int MostKept = 12;

    private readonly Lock keeping = new();

    // The last asked for stands last.
    private readonly List<(Flora Flora, string Format, Lazy<byte[]> File)> kept = [];

    /// <summary>A flora as a file of a format.</summary>
    public byte[] Of(Flora flora, FloraFormat format)
    {
        Lazy<byte[]> file;
        lock (keeping)
        {
            var at = kept.FindIndex(one => ReferenceEquals(one.Flora, flora) && one.Format == format.Id);
            var one = at >= 0 ? kept[at] : (flora, format.Id, new Lazy<byte[]>(() => Written(flora, format)));
            if (at >= 0)
                kept.RemoveAt(at);
            // An older edition of the same flora is asked for no more.
            kept.RemoveAll(other => other.Flora.About.Id == flora.About.Id && !ReferenceEquals(other.Flora, flora));
            kept.Add(one);
            if (kept.Count > MostKept)
                kept.RemoveAt(0);
            file = one.Item3;
        }
        return file.Value;
    }

    /// <summary>Writes a flora.</summary>
    public static byte[] Written(Flora flora, FloraFormat format)
    {
        var stream = new MemoryStream();
        format.Write(flora, stream);
        return stream.ToArray();
    }
}
