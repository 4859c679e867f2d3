using VerdantSieve.Core.Observing;
using VerdantSieve.Core.Practising;
using Xunit;

namespace VerdantSieve.Core.Tests.Practising;

/// <summary>Exercises, what is written down of them, and how answers are graded.</summary>
public class ExerciseTests
{
    public static TheoryData<Exercise> All =>
        [
            new NamePlant("Acer rubrum", 7),
            new NamePlant("Acer rubrum", 7) { IsEasy = true },
            new PartTwo("Acer rubrum", "Acer saccharinum", -3),
            new ReadDrawing("margin", "serrate", 0),
            new NameRecord("Platanus × hispanica", "GRB", int.MaxValue),
            new MeasureLeaf("Acer rubrum", "blade-length", int.MinValue),
        ];

    [Theory]
    [MemberData(nameof(All))]
    public void An_exercise_is_read_from_its_line(Exercise exercise) => Assert.Equal(exercise, Exercise.Of(exercise.Line));

    [Theory]
    [InlineData("")]
    [InlineData("name|7")]
    [InlineData("name|seven|Acer rubrum")]
    [InlineData("name|7|Acer rubrum|more")]
    [InlineData("part|7|Acer rubrum")]
    [InlineData("eat|7|Acer rubrum")]
    public void What_is_no_exercise_is_read_as_none(string line) => Assert.Null(Exercise.Of(line));

    [Fact]
    public void A_double_is_the_same_whichever_is_named_first()
    {
        Assert.Equal(new PartTwo("A b", "C d", 1).Subject, new PartTwo("C d", "A b", 2).Subject);
        Assert.Equal(new NamePlant("A b", 1).Subject, new NameRecord("A b", "GRB", 2).Subject);
        Assert.NotEqual(new NamePlant("A b", 1).Subject, new NamePlant("C d", 1).Subject);
    }

    [Theory]
    [InlineData(true, false, Certainty.Sure, 5)]
    [InlineData(true, false, Certainty.Fair, 4)]
    [InlineData(true, false, Certainty.Guess, 3)]
    [InlineData(false, true, Certainty.Sure, 2)]
    [InlineData(false, false, Certainty.Guess, 1)]
    [InlineData(false, false, Certainty.Sure, 0)]
    public void What_is_right_counts_the_more_the_surer_it_was_said_and_what_is_wrong_the_less(
        bool right,
        bool near,
        Certainty certainty,
        int grade
    ) => Assert.Equal(grade, new Answer("x", "y", right, near, certainty).Grade);
}
