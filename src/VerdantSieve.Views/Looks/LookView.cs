using VerdantSieve.Core;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Drawing;
using VerdantSieve.Core.Looking;
using VerdantSieve.Core.Measuring;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Sieving;

namespace VerdantSieve.Views.Looks;

/// <summary>A reading as the stack of meshes shows it.</summary>
public sealed record Mesh(Reading Reading, Character Character, string Words, int Holds, Doubt? Doubt)
{
    /// <summary>Whether it was read on another visit to the same tree, where alone it is changed.</summary>
    public bool IsOfAnotherVisit { get; init; }
}

/// <summary>All that the look's page shows, worked out once for a request.</summary>
public sealed class LookView
{
    private const int ShownInPan = 9,
        ShownInFull = 40;
    private const int OtherLooksShown = 6;

    // As good as one kind open: a look would only confirm it.
    private const double Settled = 1.3;

    public LookView(Look look, OpenFlora open, LookRequest request, LengthStyle style, ILookAddresses to)
    {
        (Look, Open) = (look, open);
        (Request, Style) = (request, style);
        To = to;
        var content = look.Content;
        var asked = LookQuestion.Of(look, open.Flora);
        Own = asked.Own;
        (Question, NotUnderstood) = (asked.Question, asked.NotUnderstood);
        WhereFaults = asked.WhereFaults;
        Answer = open.Sieve.Ask(Question);
        Asked = (request.Ask is { } id ? open.Flora.FindCharacter(id) : null) ?? Answer.NextLooks.FirstOrDefault()?.Character;
        AskedLook = Answer.NextLooks.FirstOrDefault(next => next.Character == Asked);
        On = EnumWords.TryRead<PlantPlace>(request.On, out var place) ? place : null;
        Places = Asked is null ? [] : PlacesOf(Asked);
        AskedReading = ReadAt(On);
        var isAsked = request is { Ask: not null } or { Taxon: not null } or { Find: { Length: > 0 } };
        var glances = request.Glance ?? (!isAsked && content.Readings.Count == 0 && look.Others.Count == 0);
        Glance = glances ? FirstGlance.Of(open.Flora, Question.Readings) : [];
        OtherLooks = [.. Answer.Offered(OtherLooksShown + 1).Where(next => next.Character != Asked).Take(OtherLooksShown)];
        ReasonsFor = open.FindBySlug(request.Taxon);
        Reasons = ReasonsFor is null ? [] : open.Sieve.Bearings(ReasonsFor, Question);
        var doubts = Answer.Doubts.ToDictionary(doubt => doubt.Reading.Key);
        Meshes =
        [
            .. Question.Readings.Select(
                (reading, at) =>
                    MeshOf(at < Own.Count ? Own[at] : reading, doubts.GetValueOrDefault(reading.Key)) with
                    {
                        IsOfAnotherVisit = at >= Own.Count,
                    }
            ),
        ];
        Passing = Answer.Pan.Count();
        Pan = [.. (IsStrict ? Answer.Pan : Answer.Candidates).Take(request.More ? ShownInFull : ShownInPan)];
        Shoot = ShootDrawing.Of(open.Drawn.FormsOf(Question.Readings));
    }

    public Look Look { get; }
    public OpenFlora Open { get; }
    public LookRequest Request { get; }
    public LengthStyle Style { get; }
    public SieveQuestion Question { get; }
    public SieveAnswer Answer { get; }
    public LookContent Content => Look.Content;

    /// <summary>Where forms and links lead.</summary>
    public ILookAddresses To { get; }

    /// <summary>What is left of the pan, where that is few enough for a key to be carried; empty where it is not, or nothing was
    /// read.</summary>
    public IReadOnlyList<Taxon> LastFew =>
        Meshes.Count > 0
        && Answer.Candidates.Where(candidate => candidate.Probability >= StillLeft).Take(MostOfAKey + 1).ToArray()
            is { Length: <= MostOfAKey } few
            ? [.. few.Select(candidate => candidate.Taxon)]
            : [];

    // What is less likely is not left, and a key to more than that is a book.
    private const double StillLeft = 0.01;
    private const int MostOfAKey = 30;

    /// <summary>The rows of the first glance; empty where a question is asked instead.</summary>
    public IReadOnlyList<GlanceRow> Glance { get; }

    /// <summary>The place on the plant that the question is about; null where it is about no one place.</summary>
    public PlantPlace? On { get; }

    /// <summary>The places that the question can be asked about.</summary>
    public IReadOnlyList<PlantPlace> Places { get; }

    /// <summary>What was read of the asked character at a place.</summary>
    public Reading? ReadAt(PlantPlace? place) =>
        Asked is null ? null : Own.FirstOrDefault(reading => reading.Character == Asked.Id && reading.On == place);

    /// <summary>The readings of the look itself; the question has those of the tree's other visits as well.</summary>
    public IReadOnlyList<Reading> Own { get; }

    /// <summary>What is being said, read; null where nothing is.</summary>
    public HeardView? Heard { get; init; }

    /// <summary>The character asked about; null where nothing is left to ask.</summary>
    public Character? Asked { get; }
    public NextLook? AskedLook { get; }
    public Reading? AskedReading { get; }
    public IReadOnlyList<Mesh> Meshes { get; }

    /// <summary>Readings that the flora does not understand: kept, shown, and not counted.</summary>
    public IReadOnlyList<NotUnderstood> NotUnderstood { get; }

    /// <summary>What of where and when is not understood.</summary>
    public IReadOnlyList<Fault> WhereFaults { get; }

    public IReadOnlyList<Candidate> Pan { get; }

    /// <summary>The taxon whose reasons are shown, and the reasons.</summary>
    public Taxon? ReasonsFor { get; }
    public IReadOnlyList<ReadingBearing> Reasons { get; }

    /// <summary>What was wrong with the last reading sent, and what was sent.</summary>
    public Fault? Problem { get; init; }
    public ReadForm? Sent { get; init; }

    /// <summary>The form for place and day where it is being corrected.</summary>
    public WhereForm? Where { get; init; }

    /// <summary>The notes, as kept or as they are being corrected.</summary>
    public NotesForm Notes
    {
        get => field ?? new NotesForm(Content.Notes);
        init;
    }

    /// <summary>What a look would leave, as "leaves about 4"; empty where it would only confirm.</summary>
    public string Leaves(NextLook look) =>
        Answer.Open < Settled || look.Leaves is not { } left ? "" : $"leaves about {Math.Max(1, Math.Round(left)):0}";

    public bool IsStrict => Question.School == School.Strict;
    public int Passing { get; }
    public int InPan => IsStrict ? Passing : Answer.Candidates.Count;

    /// <summary>How many kinds it may still well be: those that come through, or that weigh at least one in a hundred; where nothing weighs
    /// so much yet, at least a tenth of the first.</summary>
    public int StillOpen => IsStrict ? Passing : Answer.Candidates.Count(candidate => candidate.Probability >= Enough);

    private double Enough => Math.Min(0.01, Answer.Candidates.Count > 0 ? Answer.Candidates[0].Probability / 10 : 0);

    /// <summary>Other good looks, of different organs, so that one is at hand.</summary>
    public IReadOnlyList<NextLook> OtherLooks { get; }

    /// <summary>What the last leaf was read on: the next one most likely is as well.</summary>
    public Origin UsualOrigin => Own.LastOrDefault()?.Origin ?? Origin.FairSample;

    /// <summary>The shoot as it is known so far.</summary>
    public Drawing Shoot { get; }

    /// <summary>The labels of the readings that hold a candidate.</summary>
    public string HeldWords(Candidate candidate) => Wording.Join([.. candidate.Held.Select(id => Open.Flora.Character(id).Label)], "and");

    /// <summary>How many disagreements are allowed, in words.</summary>
    public string AllowedWords =>
        Question.AllowedDisagreements switch
        {
            0 => "no disagreement",
            1 => "one disagreement",
            var several => $"{several} disagreements",
        };

    /// <summary>Whether the character needs to be told what one leaf is first.</summary>
    public bool NeedsLeafGuide =>
        Asked?.Id is CharacterIds.Arrangement or CharacterIds.Structure or CharacterIds.LeafletCount or CharacterIds.LeafLength;

    /// <summary>Whether it matters what the character is read on: a good shoot, a sucker, the litter.</summary>
    public bool NeedsOrigin => Asked is not null && Organs.Of(Asked) is Organ.Leaf or Organ.Twig or Organ.Fruit;

    /// <summary>Whether the character needs a fair sample.</summary>
    public bool NeedsSample => Asked is MeasureCharacter || Asked?.Id is "shape-variety" or "margin" or "shape" or "lobing" or "lobe-count";

    private static readonly PlantPlace[] OnTheTrunk = [PlantPlace.Base, PlantPlace.Trunk, PlantPlace.Limb, PlantPlace.Young],
        AlongTheTwig = [PlantPlace.Tip, PlantPlace.Older],
        OfLeaves = [PlantPlace.Sun, PlantPlace.Shade, PlantPlace.Sucker, PlantPlace.Litter];

    // Bark differs up the trunk, twigs along their length, leaves by where they grew.
    private static IReadOnlyList<PlantPlace> PlacesOf(Character character) =>
        Organs.Of(character) switch
        {
            Organ.Bark => OnTheTrunk,
            Organ.Twig => character.Id.StartsWith("twig", StringComparison.Ordinal) ? AlongTheTwig : [],
            Organ.Leaf => character.Part != "needles" && character.Id != CharacterIds.Foliage ? OfLeaves : [],
            Organ.Flower or Organ.Fruit or Organ.WholePlant or null => [],
        };

    private Mesh MeshOf(Reading reading, Doubt? doubt) =>
        new(
            reading,
            Open.Flora.Character(reading.Character),
            Wording.Of(reading, Open.Flora, Style),
            Answer.HeldBy(reading.Character),
            doubt is { IsPointedAt: true } ? doubt : null
        );
}
