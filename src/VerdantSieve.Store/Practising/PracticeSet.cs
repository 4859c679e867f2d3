using VerdantSieve.Core.Practising;

namespace VerdantSieve.Store.Practising;

/// <summary>An answer that was given in a set.</summary>
/// <param name="At">Its place in the set, from 0.</param>
/// <param name="Answered">The exercise with its answer.</param>
/// <param name="Asked">What was asked of a record before it was named.</param>
/// <param name="IsAsked">Whether the same exercise is asked again at the end of the set.</param>
public sealed record GivenAnswer(int At, Answered Answered, IReadOnlyList<string> Asked, bool IsAsked);

/// <summary>A practice set as it stands.</summary>
/// <param name="Id">Its id.</param>
/// <param name="FloraId">The flora it is made from.</param>
/// <param name="Title">What it is about.</param>
/// <param name="Pool">The scientific names of the kinds it is about.</param>
/// <param name="Queue">Its exercises.</param>
/// <param name="Answers">What was answered so far, in order.</param>
public sealed record PracticeSet(
    string Id,
    string FloraId,
    string Title,
    IReadOnlyList<string> Pool,
    IReadOnlyList<Exercise> Queue,
    IReadOnlyList<GivenAnswer> Answers
)
{
    /// <summary>The country it is about; null where about none.</summary>
    public string? Region { get; init; }

    /// <summary>The class it is worked in; null where in none.</summary>
    public string? ClassId { get; init; }

    /// <summary>What has been asked of the record that is open.</summary>
    public IReadOnlyList<string> Asked { get; init; } = [];

    /// <summary>Where it stands: the place of the exercise that is open.</summary>
    public int At => Answers.Count;

    /// <summary>The exercise that is open; null where the set is done.</summary>
    public Exercise? Now => At < Queue.Count ? Queue[At] : null;
}

/// <summary>A set in a list.</summary>
/// <param name="Id">Its id.</param>
/// <param name="Title">What it is about.</param>
/// <param name="Begun">When it was begun.</param>
/// <param name="Exercises">How many exercises it has.</param>
/// <param name="Answered">How many of them are answered.</param>
/// <param name="Right">How many of these are right.</param>
public sealed record PracticeEntry(string Id, string Title, DateTimeOffset Begun, int Exercises, int Answered, int Right);
