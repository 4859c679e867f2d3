using VerdantSieve.Core.Measuring;

namespace VerdantSieve.Web.Shared;

/// <summary>The reader's own units, kept in a cookie.</summary>
public static class Units
{
    /// <summary>The cookie's name.</summary>
    public const string Cookie = "units";

    /// <summary>The style of lengths this reader asked for.</summary>
    public static LengthStyle Of(HttpRequest request) => request.Cookies[Cookie] == "inches" ? LengthStyle.Inches : LengthStyle.Metric;
}
