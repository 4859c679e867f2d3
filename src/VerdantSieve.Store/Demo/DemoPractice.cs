using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Practising;
using VerdantSieve.Store.Lists;
using VerdantSieve.Store.Practising;

namespace VerdantSieve.Store.Demo;

/// <summary>What the walker of the demonstration practises: the list of the reserve’s wood, and a set that was worked; all made
/// up.</summary>
public static class DemoPractice
{
    /// <summary>The list.</summary>
    public const string Wood = "lanternwood";

    internal const string Set = "lanternset";

    private static readonly DateTimeOffset Day = new(2026, 5, 30, 19, 0, 0, TimeSpan.Zero);

    internal static PlantListRow List =>
        new()
        {
            Id = Wood,
            Owner = DemoReserve.Walker,
            FloraId = "temperate-trees",
            Title = "Lantern Wood",
            Note = "What stands between the gate and the ridge, in the order of the path.",
            Kinds =
            [
                new("Alnus rubra", "along the creek from the ford on"),
                new("Fraxinus latifolia", "the alder flat, where it stays wet"),
                new("Acer macrophyllum", ""),
                new("Acer circinatum", "under the firs"),
                new("Thuja plicata", ""),
                new("Tsuga heterophylla", ""),
                new("Pseudotsuga menziesii", "the tallest, all the way up"),
                new("Cornus nuttallii", "two at the bend"),
                new("Frangula purshiana", "taken for an alder every spring"),
                new("Toxicodendron diversilobum", "by the lower path: look, and don’t touch"),
                new("Quercus garryana", "the ridge"),
                new("Arbutus menziesii", "the ridge, on rock"),
            ],
            Created = Day,
            Changed = Day,
        };

    private static readonly (Exercise Exercise, string Said, string Right, bool Near, Certainty Certainty)[] Worked =
    [
        (new NamePlant("Alnus rubra", 11), "Frangula purshiana", "Alnus rubra", true, Certainty.Fair),
        (new NamePlant("Acer circinatum", 12), "Acer circinatum", "Acer circinatum", false, Certainty.Sure),
        (new ReadDrawing("margin", "doubly-serrate", 13), "serrate", "doubly-serrate", true, Certainty.Sure),
        (new NamePlant("Tsuga heterophylla", 14), "Pseudotsuga menziesii", "Tsuga heterophylla", true, Certainty.Fair),
        (new NamePlant("Quercus garryana", 15), "Quercus garryana", "Quercus garryana", false, Certainty.Fair),
        (new NameRecord("Frangula purshiana", "ORE", 16), "Alnus rubra", "Frangula purshiana", true, Certainty.Guess),
        (new ReadDrawing("shape", "obovate", 17), "elliptic", "obovate", false, Certainty.Fair),
        (new NamePlant("Fraxinus latifolia", 18), "Fraxinus latifolia", "Fraxinus latifolia", false, Certainty.Sure),
    ];

    internal static PracticeSetRow Practised =>
        new()
        {
            Id = Set,
            Owner = DemoReserve.Walker,
            FloraId = "temperate-trees",
            Title = "Lantern Wood",
            Region = "ORE",
            Pool = [.. List.Kinds.Select(kind => kind.Name)],
            Queue = [.. Worked.Select(one => one.Exercise.Line)],
            Created = Day,
            Changed = Day,
        };

    internal static IEnumerable<PracticeAnswerRow> Answers =>
        Worked.Select(
            (one, at) =>
                new PracticeAnswerRow
                {
                    SetId = Set,
                    At = at,
                    Line = one.Exercise.Line,
                    Said = one.Said,
                    Right = one.Right,
                    IsRight = one.Said == one.Right,
                    IsNear = one.Near,
                    Certainty = one.Certainty,
                    Asked = one.Exercise is NameRecord ? ["foliage", "arrangement", "structure", "margin"] : [],
                    Given = Day.AddMinutes(at),
                }
        );
}
