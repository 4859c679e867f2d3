using System.Globalization;
using NodaTime;
using VerdantSieve.Core;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Sieving;

namespace VerdantSieve.Web.Api;

/// <summary>Reads a question to the sieve from a request.</summary>
public static class SieveQuestions
{
    /// <summary>The most readings of one question; more than any vocabulary has characters in use.</summary>
    public const int MostReadings = 150;

    /// <summary>The question, or what is wrong with the request.</summary>
    public static Outcome<SieveQuestion> Read(SieveRequest request, Flora flora)
    {
        if (Amiss(request) is { } amiss)
            return amiss;
        return Circumstances(
                request.Place,
                new RawCircumstances
                {
                    Date = request.Date,
                    Setting = request.Setting,
                    Age = request.Age,
                    Stage = request.Stage,
                }
            )
            .Then(circumstances =>
                Among(request.Among, flora)
                    .Then(among =>
                        Readings(request.Readings ?? [], flora)
                            .Map(readings => new SieveQuestion
                            {
                                Circumstances = circumstances,
                                Readings = readings,
                                Among = among.Count > 0 ? among : null,
                                School = EnumWords.TryRead<School>(request.School, out var school) ? school : School.Weigh,
                                AllowedDisagreements = request.Slips ?? 1,
                                Certainty = request.Certainty ?? SieveQuestion.UsualCertainty,
                            })
                    )
            );
    }

    private static Fault? Amiss(SieveRequest request)
    {
        if (request.Slips is < 0 or > SieveQuestion.MostAllowed)
            return Fault.AtField("slips", Written(request.Slips), $"It must be a whole number from 0 to {SieveQuestion.MostAllowed}.");
        if (request.Certainty is not (null or (> 0.5 and < 1)))
            return Fault.AtField("certainty", Written(request.Certainty), "It must be above 0.5 and below 1.");
        if (request.School is { Length: > 0 } school && !EnumWords.TryRead<School>(school, out _))
            return Fault.AtField("school", school, $"It must be {EnumWords.Listed<School>()}.");
        return null;
    }

    /// <summary>Where and when; what is wrong with the place is told at the place's fields.</summary>
    public static Outcome<Circumstances> Circumstances(PlaceRequest? place, RawCircumstances others) =>
        CircumstancesDesk
            .Check(
                others with
                {
                    Region = place?.Region,
                    Latitude = Written(place?.Latitude),
                    Longitude = Written(place?.Longitude),
                    Elevation = Written(place?.Elevation),
                }
            )
            .Placed(fault => fault.At is "date" or "setting" or "age" or "stage" ? fault : fault with { At = $"place.{fault.At}" });

    // Each name is a genus or a taxon; none at all leaves everything open.
    private static Outcome<IReadOnlySet<string>> Among(IReadOnlyList<string?>? names, Flora flora)
    {
        var among = new HashSet<string>();
        if (names is null or [])
            return Outcome.Of<IReadOnlySet<string>>(among);
        if (names.Count > flora.Taxa.Count)
            return Fault.AtField("among", $"{names.Count} of them", $"At most {flora.Taxa.Count} names can be sent.");
        for (var i = 0; i < names.Count; i++)
        {
            var name = names[i] ?? "";
            Taxon[] meant = flora.FindTaxon(name) is { } taxon && taxon.Name.Text == name ? [taxon] : [.. flora.OfGenus(name)];
            if (meant.Length == 0)
                return Fault.AtField($"among[{i}]", names[i], $"It must be a genus or a taxon of {flora.About.Title}.");
            among.UnionWith(meant.Select(one => one.Name.Text));
        }
        return Outcome.Of<IReadOnlySet<string>>(among);
    }

    private static Outcome<IReadOnlyList<Reading>> Readings(IReadOnlyList<RawReading?> raw, Flora flora)
    {
        if (raw.Count > MostReadings)
            return Amiss("readings", $"{raw.Count} of them", $"At most {MostReadings} readings can be sent.");
        var read = new Dictionary<(string, PlantPlace?, LocalDate?), Reading>();
        for (var i = 0; i < raw.Count; i++)
        {
            var field = $"readings[{i}]";
            if (raw[i] is not { } one)
                return Amiss(field, "null", "Each must be an object with a character.");
            var desk = ReadingDesk.Check(one, flora);
            if (!desk.Has(out var reading))
                return Outcome.Faulty<IReadOnlyList<Reading>>([desk.Faults[0] with { At = $"{field}.{desk.Faults[0].At}" }]);
            if (!read.TryAdd(reading.Key, reading) && read[reading.Key] != reading)
                return Amiss(
                    $"{field}.character",
                    reading.Character,
                    "It was read differently before; send one reading a character, place on the plant (on) and day (date), with several "
                        + "states where it shows several."
                );
        }
        return Outcome.Of<IReadOnlyList<Reading>>([.. read.Values]);

        static Outcome<IReadOnlyList<Reading>> Amiss(string field, string value, string allowed) => Fault.AtField(field, value, allowed);
    }

    private static string? Written(IFormattable? number) => number?.ToString(null, CultureInfo.InvariantCulture);
}
