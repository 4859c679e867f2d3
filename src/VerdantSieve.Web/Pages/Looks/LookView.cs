using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Drawing;
using VerdantSieve.Core.Measuring;
using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Sieving;
using VerdantSieve.Store.Looks;

namespace VerdantSieve.Web.Pages.Looks;

/// <summary>What the address asks to be shown of a look, beside the look itself.</summary>
/// <param name="Ask">The character asked for; the best next look where left out.</param>
/// <param name="Several">Whether several states are to be chosen.</param>
/// <param name="Taxon">The taxon whose reasons are shown.</param>
/// <param name="Find">Words searched for among characters and plants.</param>
/// <param name="More">Whether the pan is shown in full.</param>
public sealed record LookRequest(string? Ask, bool Several, string? Taxon, string? Find, bool More);

/// <summary>A reading as the stack of meshes shows it.</summary>
public sealed record Mesh(Reading Reading, Character Character, string Words, int Holds, Doubt? Doubt);

/// <summary>All that the look's page shows, worked out once for a request.</summary>
public sealed class LookView
{
    private const int ShownInPan = 9;
    private const int ShownInFull = 40;

    public LookView(Look look, OpenFlora open, LookRequest request, LengthStyle style)
    {
        (Look, Open, Request, Style) = (look, open, request, style);
        Question = LookQuestion.Of(look.Content, open.Flora);
        Answer = open.Sieve.Ask(Question);
        Asked = (request.Ask is { } id ? open.Flora.FindCharacter(id) : null) ?? Answer.NextLooks.FirstOrDefault()?.Character;
        AskedLook = Answer.NextLooks.FirstOrDefault(next => next.Character == Asked);
        AskedReading = Question.Readings.FirstOrDefault(reading => reading.Character == Asked?.Id);
        ReasonsFor = open.FindBySlug(request.Taxon);
        var doubts = Answer.Doubts.ToDictionary(doubt => doubt.Reading.Character);
        Meshes = [.. Question.Readings.Select(reading => new Mesh(reading, open.Flora.Character(reading.Character), Wording.Of(reading, open.Flora, style),
            Answer.HeldBy(reading.Character), doubts.GetValueOrDefault(reading.Character) is { SlipChance: >= Doubt.Threshold } doubt ? doubt : null))];
        Pan = [.. (IsStrict ? Answer.Pan : Answer.Candidates).Take(request.More ? ShownInFull : ShownInPan)];
    }

    public Look Look { get; }
    public OpenFlora Open { get; }
    public LookRequest Request { get; }
    public LengthStyle Style { get; }
    public SieveQuestion Question { get; }
    public SieveAnswer Answer { get; }
    public LookContent Content => Look.Content;
    public string Address => $"/look/{Look.Id}";

    /// <summary>The character asked about; null where nothing is left to ask.</summary>
    public Character? Asked { get; }
    public NextLook? AskedLook { get; }
    public Reading? AskedReading { get; }
    public Taxon? ReasonsFor { get; }
    public IReadOnlyList<Mesh> Meshes { get; }
    public IReadOnlyList<Candidate> Pan { get; }

    /// <summary>What was wrong with the last reading sent, and what was sent.</summary>
    public FieldProblem? Problem { get; init; }
    public ReadForm? Sent { get; init; }

    /// <summary>The form for place and day where it is being corrected.</summary>
    public WhereForm? Where { get; init; }

    /// <summary>What a look would leave, as "leaves about 4"; empty where it would only confirm.</summary>
    public string Leaves(NextLook look) => Answer.Open < 1.3 || look.Leaves is not { } left ? "" : $"leaves about {Math.Max(1, Math.Round(left)):0}";

    public bool IsStrict => Question.School == School.Strict;
    public int Passing => Answer.Pan.Count();
    public int InPan => IsStrict ? Passing : Answer.Candidates.Count;

    /// <summary>Other good looks, of different organs, so that one is at hand.</summary>
    public IReadOnlyList<NextLook> OtherLooks => [.. Answer.Offered(7).Where(next => next.Character != Asked).Take(6)];

    /// <summary>What the last leaf was read on: the next one most likely is as well.</summary>
    public Origin UsualOrigin => Question.Readings.LastOrDefault()?.Origin ?? Origin.FairSample;

    /// <summary>The shoot as it is known so far.</summary>
    public Drawing Shoot => ShootDrawing.Of(LeafForm.Of(Question.Readings));

    public IReadOnlyList<ReadingBearing> Reasons => ReasonsFor is null ? [] : Open.Sieve.Bearings(ReasonsFor, Question);

    /// <summary>The labels of the readings that hold a candidate.</summary>
    public string HeldWords(Candidate candidate) => Wording.Join([.. candidate.Held.Select(id => Open.Flora.Character(id).Label)], "and");

    /// <summary>Whether the character needs to be told what one leaf is first.</summary>
    public bool NeedsLeafGuide => Asked?.Id is "arrangement" or "structure" or "leaflet-count" or "leaf-length";

    /// <summary>Whether it matters what the character is read on: a good shoot, a sucker, the litter.</summary>
    public bool NeedsOrigin => Asked is not null && Organs.Of(Asked) is Organ.Leaf or Organ.Twig or Organ.Fruit;

    /// <summary>Whether the character needs a fair sample.</summary>
    public bool NeedsSample => Asked is MeasureCharacter || Asked?.Id is "shape-variety" or "margin" or "shape" or "lobing" or "lobe-count";
}
