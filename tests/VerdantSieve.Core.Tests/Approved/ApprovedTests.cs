using System.Globalization;
using NodaTime;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Curating;
using VerdantSieve.Core.Drawing;
using VerdantSieve.Core.Formats;
using VerdantSieve.Core.Formats.Exchange;
using VerdantSieve.Core.Measuring;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Seasons;
using VerdantSieve.Core.Sieving;
using VerdantSieve.Core.Simulating;
using VerdantSieve.Core.Tests.Sieving;
using Xunit;

namespace VerdantSieve.Core.Tests.Approved;

public class ApprovedTests
{
    private static readonly Flora Flora = SmallFlora.Flora;

    private static string N(double value) => double.IsFinite(value) ? value.ToString("G6", CultureInfo.InvariantCulture) : "none";

    [Fact]
    public void Answers() => Approve.Same(Questions().SelectMany(Answer));

    [Fact]
    public void Bearings() =>
        Approve.Same(
            from question in Questions()
            from taxon in Flora.Taxa.Where((_, i) => i % 9 == 0)
            from bearing in SmallFlora.Sieve.Bearings(taxon, question)
            select $"{taxon.Name} {bearing.Reading.Character} {bearing.Standing} {N(bearing.Bits)}"
        );

    [Fact]
    public void Separations() =>
        Approve.Same(
            from start in new[] { 0, 11, 23, 37, 52 }
            let taxa = Flora.Taxa.Skip(start).Take(2 + start % 3).ToArray()
            from separation in SmallFlora.Sieve.TellApart(taxa, new Circumstances { Date = new LocalDate(2026, 5, 20) }).Take(25)
            select $"{separation.Character.Id} {N(separation.Bits)} {string.Join(' ', separation.Applies)}"
        );

    // Plants that the flora makes up, with mistakes among the readings; some by the strict school, some with a place, a day, an origin.
    private static IEnumerable<SieveQuestion> Questions()
    {
        yield return new SieveQuestion();
        for (var i = 0; i < 18; i++)
        {
            var random = new Random(i);
            var taxon = Flora.Taxa[i * 4 % Flora.Taxa.Count];
            var circumstances = new Circumstances
            {
                Region = i % 3 == 0 ? null : new[] { "ORE", "ONT", "GRB" }[i % 3],
                Date = i % 2 == 0 ? new LocalDate(2026, 4, 10).PlusDays(i * 11) : null,
                Setting = new Setting?[] { null, Setting.Wild, Setting.Planted, null }[i % 4],
                Position = i % 5 == 0 ? new Position(45 + i / 2.0, -120, 100 * i) : null,
                Age = i % 6 == 0 ? Age.Young : null,
            };
            var look = new Recovery(SmallFlora.Sieve, Flora).Look(taxon, 3 + i % 9, 0.15, 0.1, Strategy.NextLook, random);
            var readings = look.Answer.Question.Readings.Select(
                (reading, at) =>
                    reading with
                    {
                        Certainty = (Certainty)((i + at) % 3),
                        Origin = at == 1 ? (Origin)(i % 5) : Origin.FairSample,
                    }
            );
            yield return new SieveQuestion
            {
                Circumstances = circumstances,
                Readings = [.. readings],
                School = i % 4 == 3 ? School.Strict : School.Weigh,
                AllowedDisagreements = i % 3,
                Certainty = i % 7 == 0 ? 0.8 : 0.95,
            };
        }
    }

    private static IEnumerable<string> Answer(SieveQuestion question)
    {
        var answer = SmallFlora.Sieve.Ask(question);
        yield return $"== {string.Join(", ", question.Readings.Select(reading => Wording.Of(reading, Flora)))}";
        yield return answer.Determination.Sentence.ToString();
        yield return $"{answer.Determination.Rank} {answer.Determination.Name} {N(answer.Determination.Probability)} "
            + $"{answer.Determination.SettledByRange} {answer.Determination.IsHard}";
        foreach (var reason in answer.Determination.For)
            yield return $"for {reason}";
        foreach (var reason in answer.Determination.Against)
            yield return $"against {reason}";
        yield return $"none {N(answer.NoneOfThese)} open {N(answer.Open)}";
        foreach (var candidate in answer.Candidates.Where((_, i) => i < 5 || i % 12 == 0))
            yield return $"{candidate.Taxon.Name} {N(candidate.Probability)} {candidate.Passes} {string.Join(' ', candidate.Held)}";
        foreach (var look in answer.NextLooks.Where((_, i) => i < 8 || i % 20 == 0))
            yield return $"look {look.Character.Id} {N(look.Bits)} {N(look.Worth)} {N(look.Leaves ?? double.NaN)} {look.HeldBack}";
        foreach (var look in answer.Offered(5))
            yield return $"offered {look.Character.Id}";
        foreach (var doubt in answer.Doubts)
            yield return $"doubt {doubt.Reading.Character} {N(doubt.SlipChance)} {doubt.Contradicts?.Character} "
                + $"{doubt.Without?.Leader.Name} {string.Join(' ', doubt.WouldReturn.Select(taxon => taxon.Name))}";
        foreach (var hazard in answer.Hazards)
            yield return $"hazard {hazard.Taxon.Name} {hazard.Hazard.Kind}";
        foreach (var share in answer.Ranking.Take(6))
            yield return $"{share.Rank} {share.Name} {N(share.Probability)}";
        yield return $"grounds {answer.Grounds?.Leader.Name} {answer.Grounds?.Rival.Name} {N(answer.Grounds?.ByPlace ?? 0)} "
            + $"{N(answer.Grounds?.ByReadings ?? 0)} {N(answer.Grounds?.PlaceShare ?? 0)}";
        yield return $"check {answer.Check?.Leader.Name} {answer.Check?.Double.Name} {answer.Check?.Look?.Character.Id}";
        yield return $"two {answer.LastTwo?.One.Name} {string.Join(' ', answer.LastTwo?.Differ.Select(c => c.Id) ?? [])}; "
            + string.Join(' ', answer.LastTwo?.Shared.Select(c => c.Id) ?? []);
        foreach (var grain in Course.Of(answer).Grains.Where((_, i) => i % 17 == 0))
            yield return $"grain {grain.Taxon.Name} {grain.CaughtAt} {string.Join(' ', grain.Snags)}";
        foreach (var mesh in Course.Of(answer).Meshes)
            yield return $"mesh {mesh.Reading.Character} {mesh.Reached} {mesh.Caught} {mesh.Alone}";
    }

    [Fact]
    public void Words() =>
        Approve.Same(
            from taxon in Flora.Taxa.Where((_, i) => i % 6 == 0)
            from score in taxon.Scores
            let scored = new Scored(Flora.Character(score.Key), score.Value)
            select $"{score.Key}: {Wording.Of(scored)} | {Wording.Of(scored, LengthStyle.Inches)} | {Wording.Has(scored)} | "
                + $"{Wording.Has(scored, 12)}"
        );

    [Fact]
    public void Desk()
    {
        RawReading[] sent =
        [
            new("blade-length") { Text = "12, 14, 9.5 cm" },
            new("blade-length") { Text = "5-9, mostly 7 in" },
            new("blade-length") { Text = "about 6 cm", Leaves = 3 },
            new("blade-length") { Text = "up to 5 cm" },
            new("blade-length") { Text = "2 hands" },
            new("blade-length") { Text = "five" },
            new("blade-length") { Text = "700 cm" },
            new("blade-length") { Low = 4, High = 3 },
            new("blade-length") { Low = 4 },
            new("blade-length")
            {
                Value = 3,
                Unit = "mm",
                By = "eye",
            },
            new("blade-length") { Values = [3, 4, 12], By = "hand" },
            new("blade-length") { Values = [] },
            new("blade-length") { AtMost = 501 },
            new("blade-length") { AtLeast = 12, Unit = "in" },
            new("height") { Text = "60 ft" },
            new("height") { Value = 151 },
            new("height") { Text = "12" },
            new("slenderness") { Text = "1.8" },
            new("slenderness") { Text = "1.8 cm" },
            new("lobe-count") { Text = "5-9, mostly 7" },
            new("lobe-count") { Text = "5, 7, 7" },
            new("lobe-count") { Text = "at least 9" },
            new("lobe-count") { Value = 80 },
            new("lobe-count")
            {
                Low = 3,
                High = 5,
                Mean = 4,
            },
            new("lobe-count")
            {
                Low = 3,
                High = 5,
                Mean = 4.5,
            },
            new("lobe-count") { AtMost = 9.5 },
            new("lobe-count") { Values = [3, 5, 5] },
            new("arrangement") { States = ["opposite"] },
            new("arrangement") { States = ["opposite", "alternate"], Mode = "either" },
            new("arrangement") { States = ["opposite", "alternate"], Mode = "all-seen" },
            new("arrangement") { States = ["opposite", "alternate"], Mode = "both" },
            new("arrangement") { States = [] },
            new("arrangement") { Value = 3 },
            new("arrangement")
            {
                States = ["opposite"],
                Certainty = "sure",
                Origin = "litter",
            },
            new("base-sprouts") { Seen = true },
            new("base-sprouts") { Seen = false, Certainty = "guess" },
            new("base-sprouts") { States = ["yes"] },
            new("flowering") { Today = true },
            new("flowering") { Today = false },
            new("flowering") { Text = "May" },
            new("smell") { Unknown = true },
            new("smel") { Unknown = true },
        ];
        Approve.Same(sent.Select(Checked));

        static string Checked(RawReading raw)
        {
            var outcome = ReadingDesk.Check(raw, Flora);
            if (!outcome.Has(out var reading))
                return $"refused {string.Join("; ", outcome.Faults)}";
            var character = Flora.Character(reading.Character);
            var typed = Wording.Typed(reading.Observation, character);
            var inches = Wording.Typed(reading.Observation, character, LengthStyle.Inches);
            return $"{Wording.Of(reading, Flora)} | {Wording.Of(reading, Flora, LengthStyle.Inches)} | {typed} | {inches} | {reading}"
                .Replace("System.String[]", "states", StringComparison.Ordinal)
                .Replace("System.Collections.Generic.List`1[System.String]", "states", StringComparison.Ordinal);
        }
    }

    [Fact]
    public void Places()
    {
        RawCircumstances[] sent =
        [
            new(),
            new()
            {
                Region = "ore",
                Date = "2026-06-14",
                Setting = "wild",
                Age = "grown",
            },
            new()
            {
                Latitude = "45,1",
                Longitude = "−123.2",
                Elevation = "110",
            },
            new() { Latitude = "45.1" },
            new() { Longitude = "45.1" },
            new()
            {
                Latitude = "91",
                Longitude = "181",
                Elevation = "9001",
            },
            new()
            {
                Latitude = "-90",
                Longitude = "180",
                Elevation = "-500",
            },
            new() { Latitude = "north", Longitude = "0" },
            new() { Elevation = "100" },
            new() { Date = "14 June" },
            new() { Date = "1699-12-31" },
            new() { Date = "2201-01-01" },
            new() { Date = "1700-01-01" },
            new()
            {
                Setting = "garden",
                Age = "old",
                Region = "OREGON",
            },
        ];
        Approve.Same(
            sent.Select(raw =>
                CircumstancesDesk.Check(raw) is { Faults.Count: 0, Value: var value }
                    ? $"{value} {RawCircumstances.From(value)}"
                    : string.Join("; ", CircumstancesDesk.Check(raw).Faults)
            )
        );
    }

    [Fact]
    public void Quantities()
    {
        string[] typed =
        [
            "14.5 cm",
            "145 mm",
            "3 1/2 in",
            "5-8 in",
            "6½\"",
            "12, 14, 9.5 cm",
            "5-9, mostly 7 cm",
            "up to 5 cm",
            "about 6 in",
            "2 hands",
            "1 m",
            "1.5",
            "3'",
            "½ in",
            "5–9 cm",
            "5 to 9 cm",
            "9-5 cm",
            "0 cm",
            "-3 cm",
            "1e9 cm",
            "cm",
            "",
            "3 4 cm",
            "5-9, mostly 12 cm",
            "5-9, mostly 5 cm",
            "5-9, mostly 9 cm",
            "5-9, mostly 4.9 cm",
            "< 3 cm",
            "> 3 cm",
            "at least 3",
            "3 furlongs",
            "1/0 in",
            "7, 7, 7",
            "1, 2, 3, 4",
            "mostly 7 cm",
            "~5",
            "100000 cm",
            "100001 cm",
        ];
        Approve.Same(
            from text in typed
            from unit in Enum.GetValues<MeasureUnit>()
            let outcome = QuantityParser.Parse(text, unit)
            select $"{text} in {unit}: {(outcome.Has(out var quantity) ? $"{quantity}" : string.Join("; ", outcome.Faults))}"
        );
    }

    [Fact]
    public void Lengths() =>
        Approve.Same(
            from style in Enum.GetValues<LengthStyle>()
            from unit in Enum.GetValues<MeasureUnit>()
            from value in new[] { 0.04, 0.25, 0.99, 1, 2.54, 9.96, 12.34, 99.5, 123.4 }
            select $"{LengthWords.Say(value, unit, style)} | {LengthWords.Say(value, value * 1.4, unit, style)} | "
                + $"{LengthWords.Number(value, unit, style)}"
        );

    [Fact]
    public void Scale()
    {
        var scale = LogScale.Over([(2, 5), (1, 3), (4, 100)])!;
        Approve.Same(new[] { 0, 0.5, 1, 5, 10, 100, 200 }.Select(size => N(scale.At(size))));
        Assert.Null(LogScale.Over([]));
        Assert.Null(LogScale.Over([(3, 3)]));
    }

    [Fact]
    public void Seasons() =>
        Approve.Same(
            from written in new[] { "25 Mar – 10 May", "15 Dec – 30 Apr", "1 Jan – 31 Dec", "4 Jul – 4 Jul" }
            let window = SeasonWindow.Parse(written).Value
            from day in new[] { 0, 40, 83, 84, 90, 129, 130, 140, 184, 200, 300, 348, 364 }
            from fruit in new[] { false, true }
            select $"{window} {window.Length} {window.StartDay} {window.Shifted(day / 10.0 - 15)} day {day}: {window.DaysInside(day)} "
                + $"{N(Phenology.ChanceSeen(window, day, 0, fruit, false))} {N(Phenology.ChanceSeen(window, day, 9, fruit, true))} "
                + N(Phenology.HopkinsDelay(new Position(45, -122, 60), new Position(45 + day / 40.0, -122 + day / 20.0, 60 + 3 * day)))
        );

    [Fact]
    public void Drawings() =>
        Approve.Same(
            StateDrawings
                .All.Select(pair => $"{pair.Character} {pair.State}: {Drawn(StateDrawings.Of(pair.Character, pair.State)!)}")
                .Concat(Flora.Taxa.Select(taxon => $"{taxon.Name}: {Drawn(ShootDrawing.Likeness(SmallFlora.Drawn.FormOf(taxon)))}"))
                .Concat(Flora.Taxa.Select(taxon => $"{taxon.Name}: {Drawn(ShootDrawing.Of(SmallFlora.Drawn.FormOf(taxon)))}"))
                .Append(Drawn(Guides.LeafOrLeaflet()))
                .Append(Drawn(ShootDrawing.Of(LeafForm.Unknown)))
        );

    // Where all strokes go, in a few numbers: how many of each kind, how long, and how their points are spread.
    private static string Drawn(Core.Drawing.Drawing drawing)
    {
        var strokes = drawing.Flat().ToArray();
        var points = strokes.SelectMany(stroke => stroke.Points).ToArray();
        var kinds = string.Join(
            ' ',
            strokes.CountBy(stroke => stroke.Kind).OrderBy(kind => kind.Key).Select(kind => $"{kind.Value} {kind.Key}")
        );
        var length = strokes.Sum(stroke => stroke.Points.Zip(stroke.Points.Skip(1), (one, next) => one.To(next)).Sum());
        var (x, y) = (points.Sum(p => p.X), points.Sum(p => p.Y));
        return $"{kinds}; {N(length)} {N(x)} {N(y)} {N(points.Sum(p => p.X * p.X))} {N(points.Sum(p => p.Y * p.Y))} "
            + $"{N(points.Sum(p => p.X * p.Y))}";
    }

    [Fact]
    public void Files() =>
        Approve.Same(Flora.Taxa.Where((_, i) => i % 10 == 0).Select(taxon => TaxonWriter.Write(taxon, Flora.Vocabulary)));

    [Fact]
    public void Exchange() =>
        Approve.Same([
            new Nexus().WriteText(Excerpt),
            .. new Nexus().Lost(Excerpt),
            new StructuredDescriptions().WriteText(Excerpt),
            .. new StructuredDescriptions().Lost(Excerpt),
        ]);

    // A few kinds with the first characters, which hang on none that is left out.
    private static readonly Flora Excerpt = Part(
        characters => characters.Take(30),
        taxon => taxon.Name.Genus is "Alnus" or "Pinus" or "Platanus"
    );

    private static Flora Part(Func<IEnumerable<Character>, IEnumerable<Character>> some, Func<Taxon, bool> which)
    {
        Character[] characters = [.. some(Flora.Characters).Select(character => character with { OnlyIf = null })];
        var ids = characters.Select(character => character.Id).ToHashSet();
        var about = Flora.About with { NearAlike = new Dictionary<string, string>(), Aggregates = new Dictionary<string, string>() };
        return new Flora(
            about,
            characters,
            Flora
                .Taxa.Where(which)
                .Select(taxon =>
                    taxon with
                    {
                        HybridOf = [],
                        Aggregate = null,
                        OwnScores = taxon.OwnScores.Where(score => ids.Contains(score.Key)).ToDictionary(),
                    }
                )
        );
    }

    [Fact]
    public void Faults()
    {
        var taxon = TaxonWriter.Write(Flora.FindTaxon("Quercus garryana")!, Flora.Vocabulary);
        (string From, string To)[] slips =
        [
            ("family: Fagaceae", "family: []"),
            ("name: Quercus garryana", "name: Quercus"),
            ("abundance: common", "abundance: plenty"),
            ("rank:", "rnk:"),
            ("arrangement: alternate", "arrangement: alternat"),
            ("  foliage: broad", "  foliage: 3"),
            ("settings: [wild", "settings: [street, wild"),
            ("native: [", "native: [XXX, "),
            ("provenance:", "source:"),
            ("scores:", "scores: none\nx:"),
            ("  foliage: broad", "  foliage: broad\n  foliage: broad"),
            ("blade-length: ", "blade-length: -"),
            ("cm", "furlongs"),
            ("flowering: ", "flowering: spring "),
            ("authority:", "authority: '"),
        ];
        Approve.Same(
            slips.Select(slip =>
                string.Join(
                    "; ",
                    FloraReader
                        .ReadTaxon(
                            new SourceFile("taxa/Quercus/garryana.yaml", taxon.Replace(slip.From, slip.To, StringComparison.Ordinal)),
                            Flora
                        )
                        .Faults.DefaultIfEmpty(new Fault("", "none"))
                )
            )
        );
    }

    [Fact]
    public void Curating()
    {
        var report = FloraReport
            .Of(SmallFlora.Sieve, SmallFlora.Drawn)
            .Findings.Select(finding => $"{finding.Kind} {finding.Text} {finding.Explained}");
        var changed = Flora.FindTaxon("Acer macrophyllum")! with
        {
            Remember = "Other.",
            OwnScores = Flora.FindTaxon("Acer circinatum")!.OwnScores,
        };
        var effect = ChangeEffect.Of(
            SmallFlora.Sieve,
            SmallFlora.Drawn,
            changed,
            [("a", "here", new SieveQuestion { Readings = [Readings.Is("arrangement", "opposite", Certainty.Sure)] })],
            TestContext.Current.CancellationToken
        );
        var scores = Flora.Taxa.Select(taxon => taxon.Score("blade-length")).OfType<RangeScore>().ToArray();
        var shapes = Flora.Taxa.Select(taxon => taxon.Score("shape")).OfType<StateScore>().ToArray();
        Approve.Same([
            .. report,
            .. effect.Changes.Select(change => $"{change}"),
            .. effect.Mended.Concat(effect.Caused).Select(finding => finding.Text),
            .. effect.Looks.Select(look => $"{look.Look} {look.IsDifferent} {N(look.Before.Probability)} {N(look.After.Probability)}"),
            .. scores.Zip(scores.Skip(1), (one, other) => $"{N(Agreement.Likeness(one, other))} {Agreement.Excludes(one, other)}"),
            .. shapes.Zip(shapes.Skip(1), (one, other) => $"{N(Agreement.Likeness(one, other))} {Agreement.Excludes(one, other)}"),
        ]);
    }

    [Fact]
    public void Merging()
    {
        var names = Flora.Taxa.Select(taxon => taxon.Name).ToArray();
        var north = Part(characters => characters.Take(80), taxon => Array.IndexOf(names, taxon.Name) < 30);
        var south = Part(characters => characters.Skip(40), taxon => Array.IndexOf(names, taxon.Name) >= 20);
        var (merged, kept) = FloraMerge.Of(north, south, "both", "Both");
        Approve.Same([
            string.Join(' ', merged.Characters.Select(character => character.Id)),
            .. merged.Taxa.Select(taxon =>
                $"{taxon.Name} {taxon.OwnScores.Count} {string.Join(' ', taxon.Distribution.Countries)} {taxon.Provenance}"
            ),
            .. kept,
        ]);
    }

    [Fact]
    public void Names()
    {
        var names = new NameIndex(Flora);
        string[] words =
        [
            "maple",
            "Acer",
            "acer rubrum",
            "bigleaf",
            "oregon oak",
            "quercus gariana",
            "sicamore",
            "zzz",
            "dogwod",
            "pinus ponderosa",
            "Rhus toxicodendron",
            "a",
        ];
        Approve.Same(
            words.Select(word =>
                $"{word}: {names.Find(word).Misspelt} {string.Join(", ", names.Find(word).Taxa.Select(taxon => taxon.Name))}"
            )
        );
    }

    [Fact]
    public void Likenesses()
    {
        var likeness = new Likeness(Flora);
        Approve.Same(
            Flora
                .Taxa.Where((_, i) => i % 7 == 0)
                .Select(taxon =>
                    $"{taxon.Name}: "
                    + $"{string.Join(", ", likeness.Nearest(taxon).Take(4).Select(near => $"{near.Taxon.Name} {N(near.Difference)}"))}"
                )
        );
    }
}
