using VerdantSieve.Core.Observing;

namespace VerdantSieve.Core.Practising;

/// <summary>What was said to an exercise, and how that stands.</summary>
/// <param name="Said">What was said: a scientific name, the id of a state or character, a number; empty where it was "can't tell".</param>
/// <param name="Right">What would have been right, in the same way.</param>
/// <param name="IsRight">Whether it is right.</param>
/// <param name="IsNear">Whether it is nearly so: the double, the genus, the neighbour.</param>
/// <param name="Certainty">How sure it was said.</param>
public sealed record Answer(string Said, string Right, bool IsRight, bool IsNear, Certainty Certainty)
{
    /// <summary>The grade from 0 to 5 that the schedule goes by: what is right counts the more the surer it was said, and what is wrong
    /// the less.</summary>
    public int Grade =>
        (IsRight, IsNear, Certainty) switch
        {
            (true, _, Certainty.Sure) => 5,
            (true, _, Certainty.Fair) => 4,
            (true, _, Certainty.Guess) => 3,
            (false, true, _) => 2,
            (false, false, Certainty.Sure) => 0,
            (false, false, Certainty.Fair or Certainty.Guess) => 1,
        };
}
