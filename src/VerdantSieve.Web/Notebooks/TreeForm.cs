using System.Globalization;
using VerdantSieve.Core;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Seasons;
using VerdantSieve.Core.Trees;
using VerdantSieve.Store.Notebooks;

namespace VerdantSieve.Web.Notebooks;

/// <summary>What is typed of a tree, and what is wrong with it at its field.</summary>
public sealed class TreeForm
{
    public string? Tag { get; set; }
    public string? Girth { get; set; }
    public string? Sex { get; set; }
    public string? Individuals { get; set; }
    public string? GardenForm { get; set; }
    public string? Note { get; set; }
    public bool Sensitive { get; set; }
    public string? Latitude { get; set; }
    public string? Longitude { get; set; }
    public string? Elevation { get; set; }

    /// <summary>How the height is measured: <c>stick</c>, <c>clinometer</c> or <c>eye</c>; what was measured before stays where none is
    /// named.</summary>
    public string? By { get; set; }
    public string? Stick { get; set; }
    public string? Arm { get; set; }
    public string? Top { get; set; }
    public string? Foot { get; set; }
    public string? Away { get; set; }
    public string? Height { get; set; }

    /// <summary>The edition that was seen.</summary>
    public int Edition { get; set; }

    private readonly List<Fault> faults = [];

    /// <summary>What is wrong with a field; null where nothing is.</summary>
    public string? FaultAt(string field) => faults.FirstOrDefault(fault => fault.At == field)?.Sentence;

    /// <summary>Whether anything is wrong.</summary>
    public bool IsWrong => faults.Count > 0;

    /// <summary>Says that somebody else changed it meanwhile.</summary>
    public void ChangedElsewhere() =>
        faults.Add(
            new Fault("form", "This tree was changed elsewhere meanwhile. What you typed stands here; keep it again to have it instead.")
        );

    /// <summary>The form of a tree as it is kept.</summary>
    public static TreeForm Of(Tree tree) =>
        new()
        {
            Tag = tree.Details.Tag,
            Girth = N(tree.Details.Girth?.Centimetres),
            Sex = tree.Details.Sex?.Word(),
            Individuals = tree.Details.Individuals.ToString(CultureInfo.InvariantCulture),
            GardenForm = tree.Details.GardenForm,
            Note = tree.Details.Note,
            Sensitive = tree.Details.IsSensitive,
            Latitude = N(tree.Position?.Latitude),
            Longitude = N(tree.Position?.Longitude),
            Elevation = N(tree.Position?.Elevation),
            Edition = tree.Edition,
        };

    /// <summary>What is to be kept; null where something is wrong, which is then told at its field.</summary>
    public (TreeDetails Details, Position? Position)? Fill(TreeDetails before)
    {
        faults.Clear();
        var details = before with
        {
            Tag = Text(Tag, "tag", TreeDetails.LongestTag),
            Girth = GirthOf(),
            Sex = EnumWords.TryRead<PlantSex>(Sex, out var sex) ? sex : null,
            Individuals = IndividualsOf(),
            GardenForm = Text(GardenForm, "gardenform", TreeDetails.LongestTag),
            Note = Text(Note, "note", TreeDetails.LongestNote),
            IsSensitive = Sensitive,
            Height = HeightOf(before.Height),
        };
        var position = PositionOf();
        return faults.Count == 0 ? (details, position) : null;
    }

    private Girth? GirthOf()
    {
        var allowed = Core.Trees.Girth.Allowed;
        if (Number(Girth, "girth", allowed) is not { } round)
            return null;
        return round is > 0 and <= Core.Trees.Girth.Most ? new Girth(round) : Refused<Girth?>("girth", Girth, allowed);
    }

    private int IndividualsOf()
    {
        var allowed = FormattableString.Invariant(
            $"Give how many trees it stands for, a whole number from 1 to {TreeDetails.MostIndividuals}."
        );
        if (string.IsNullOrWhiteSpace(Individuals))
            return 1;
        return int.TryParse(Individuals, CultureInfo.InvariantCulture, out var number) && number is >= 1 and <= TreeDetails.MostIndividuals
            ? number
            : Refused("individuals", Individuals, allowed, 1);
    }

    private Position? PositionOf()
    {
        if (string.IsNullOrWhiteSpace(Latitude) && string.IsNullOrWhiteSpace(Longitude))
            return null;
        var (north, east) = (
            Number(Latitude, "latitude", Position.Allowed("latitude")),
            Number(Longitude, "longitude", Position.Allowed("longitude"))
        );
        var up = Number(Elevation, "elevation", Position.Allowed("elevation")) ?? 0;
        if (north is null || east is null)
        {
            if (faults.Count == 0)
                faults.Add(new Fault(north is null ? "latitude" : "longitude", "Give both, or neither."));
            return null;
        }
        var position = Position.Of(north.Value, east.Value, up);
        faults.AddRange(position.Faults);
        return position.Has(out var found) ? found : null;
    }

    private TreeHeight? HeightOf(TreeHeight? before)
    {
        Outcome<TreeHeight>? measured = By switch
        {
            "stick" => Measured(TreeHeight.ByStick, ("stick", Stick), ("arm", Arm), ("away", Away)),
            "clinometer" => Measured(TreeHeight.ByClinometer, ("top", Top), ("foot", Foot), ("away", Away)),
            "eye" => Measured((height, _, _) => TreeHeight.Guessed(height), ("height", Height)),
            _ => null,
        };
        if (measured is null)
            return By == "none" ? null : before;
        faults.AddRange(measured.Faults);
        return measured.Has(out var height) ? height : before;
    }

    private static Outcome<TreeHeight> Measured(
        Func<double, double, double, Outcome<TreeHeight>> by,
        params (string Field, string? Text)[] typed
    )
    {
        var numbers = typed.Select(field =>
            double.TryParse(field.Text?.Replace(',', '.'), CultureInfo.InvariantCulture, out var value) ? value : double.NaN
        );
        double[] all = [.. numbers, 0, 0];
        Fault[] missing =
        [
            .. typed.Where((_, at) => double.IsNaN(all[at])).Select(field => Fault.AtField(field.Field, field.Text, "Give a number.")),
        ];
        return missing.Length > 0 ? Outcome.Faulty<TreeHeight>(missing) : by(all[0], all[1], all[2]);
    }

    private string Text(string? text, string field, int longest)
    {
        var trimmed = text?.ReplaceLineEndings("\n").Trim() ?? "";
        if (trimmed.Length > longest)
            faults.Add(new Fault(field, $"At most {longest} letters fit here; these are {trimmed.Length}."));
        return trimmed;
    }

    private double? Number(string? text, string field, string allowed)
    {
        if (string.IsNullOrWhiteSpace(text))
            return null;
        return double.TryParse(text.Replace(',', '.'), CultureInfo.InvariantCulture, out var value) && double.IsFinite(value)
            ? value
            : Refused<double?>(field, text, allowed);
    }

    private T? Refused<T>(string field, string? text, string allowed, T? instead = default)
    {
        faults.Add(Fault.AtField(field, text, allowed));
        return instead;
    }

    private static string N(double? value) => value?.ToString("0.######", CultureInfo.InvariantCulture) ?? "";
}
