using VerdantSieve.Core.Botany;

namespace VerdantSieve.Core.Observing.Speech;

/// <summary>Finds where a text says what the plant is: “an oak with lobed leaves”, “this is probably a maple”. “Oak leaves”, “like an oak”,
/// “not an oak” and “under oaks” say nothing of it.</summary>
internal sealed class KindsSpoken(Lexicon lexicon, IReadOnlyList<SpokenToken> tokens)
{
    // What may stand between the beginning and the name.
    private static readonly HashSet<string> Before = Words(
        """
        a an the some my our this that it here is be must have has to call take kind sort type species of really tree plant shrub bush we
        you see saw seen find found get got
        """
    );

    // What parts the name from what is said of it; a noun behind it would make it that noun’s: “oak leaf”.
    private static readonly HashSet<string> Behind = Words(
        """
        with which that have has but in on by at near beside above along growing grow grown planted tree shrub bush hedge sapling seedling i
        probably maybe perhaps they we people folk call called known climbing climbs twining
        """
    );

    // Nobody says where it stands in more words; a text that never ends a sentence costs no more for it.
    private const int MostWords = 30;

    private static readonly HashSet<string> OfAKind = Words("sp spp species");

    /// <summary>What is said at a place that the plant is, and the place behind it; null where nothing is.</summary>
    public (KindsCalled Kinds, int End)? At(int at, (Meaning Meaning, int End)? phrase)
    {
        if (lexicon.Called(tokens, at) is not var (called, end) || phrase is var (_, reached) && reached > end)
            return null;
        // “An evergreen oak” says that it is evergreen, too, and “weeping willow” that it weeps.
        if (IsOfTheWhole(at, at + 1) && !IsHabit(at) && lexicon.Called(tokens, at + 1) is not null)
            return null;
        // “Platanus” and “cypress” are one, “oaks” are several.
        if (tokens[end - 1].IsPlural && !tokens[end - 1].Form.EndsWith('s'))
            return null;
        while (end < tokens.Count && OfAKind.Contains(tokens[end].Form))
            end++;
        // “Olive, hairless twigs” names a colour; “an olive” does not, and “weeping willow” is more than “weeping”.
        var isAState = phrase is ({ States.Count: > 0 } or { IsTopic: true }, var said) && said == end;
        return SaysWhatItIs(at, isAState && !(BeginsASentence(at) && IsTold(end)), IsTold(end)) && StandsAlone(end) ? (called, end) : null;
    }

    // “Mulberry with lobed leaves” begins with what it is.
    private bool BeginsASentence(int at) => at == 0 || tokens[at - 1].Kind == TokenKind.Stop;

    private bool IsTold(int end) => end < tokens.Count && tokens[end].Form is "with" or "that" or "which" or "has";

    private bool SaysWhatItIs(int at, bool withAnArticle, bool isTold)
    {
        var introduced = false;
        for (var before = at - 1; before >= 0; before--)
        {
            var token = tokens[before];
            if (token.Kind is TokenKind.Stop or TokenKind.Question)
                return introduced || !withAnArticle;
            if (token.Kind == TokenKind.Comma)
                return introduced || !withAnArticle && SaysWhereAlone(before, isTold);
            introduced |= token.Form is "a" or "an" or "is";
            if (!Before.Contains(token.Form) && !IsDoubt(before) && !IsSaidOf(before, at) && !IsWhere(before))
                return false;
        }
        return introduced || !withAnArticle;
    }

    // “Texas hills, small evergreen oak”: before the comma stands where it is, and nothing that was seen of it. Where nobody knows the
    // place, as in “behind the mill, oak with lobed leaves”, more must be told of the kind.
    private bool SaysWhereAlone(int comma, bool isTold)
    {
        var from = comma;
        while (from > 0 && tokens[from - 1].Kind != TokenKind.Stop)
            if (comma - --from > MostWords)
                return false;
        var where = isTold;
        for (var at = from; at < comma;)
        {
            if (lexicon.Phrase(tokens, at) is not var (meaning, end))
            {
                at++;
                continue;
            }
            var isPlace = meaning.SaysWhere;
            if (!isPlace && (meaning.States.Count > 0 || meaning.IsTopic))
                return false;
            where |= isPlace;
            at = end;
        }
        return where;
    }

    // “bushy”, “evergreen”, “narrow and upright”.
    private bool IsOfTheWhole(int at, int before) =>
        States(at, before)
            .Any(meaning =>
                meaning.States.Any(meant => meant.Character.Id is CharacterIds.Habit or CharacterIds.LeafPersistence or CharacterIds.Crown)
            );

    // “copper-coloured”, “very thorny”.
    private bool IsSaidOf(int at, int before) =>
        lexicon.Phrase(tokens, at) is ({ Role: SpokenRole.Degree }, _)
        || States(at, before).Any(meaning => !meaning.IsTopic && !meaning.IsThing);

    // The phrases that say something and reach over a place: the last word of the phrase is met first. They end before what stands at
    // another.
    private IEnumerable<Meaning> States(int at, int before)
    {
        for (var start = at; start >= 0 && start > at - 4; start--)
            if (lexicon.Phrase(tokens, start) is ({ States.Count: > 0 } meaning, var end) && end > at && end <= before)
                yield return meaning;
    }

    // “Vine maple” is no vine.
    private bool IsHabit(int at) =>
        lexicon.Phrase(tokens, at) is ({ States: [{ Character.Id: CharacterIds.Habit }, ..] }, var end) && end == at + 1;

    // “mountain oak”; the mountain ash is no ash.
    private bool IsWhere(int at) => lexicon.Phrase(tokens, at) is ({ SaysWhere: true }, var end) && end == at + 1;

    // “I think it’s”, “probably”, “definitely”: the last word of the phrase is met first.
    private bool IsDoubt(int at)
    {
        for (var start = at; start >= 0 && start > at - 4; start--)
            if (lexicon.Phrase(tokens, start) is ({ Role: SpokenRole.Guess or SpokenRole.Sure }, var end) && end > at)
                return true;
        return tokens[at] is { Kind: TokenKind.Word, Form: "i" };
    }

    private bool StandsAlone(int end) =>
        end == tokens.Count
        || tokens[end].Kind is TokenKind.Stop or TokenKind.Comma or TokenKind.Question
        || tokens[end].Kind == TokenKind.Word && Behind.Contains(tokens[end].Form);

    private static HashSet<string> Words(string words) =>
        [.. words.Split([' ', '\n'], StringSplitOptions.RemoveEmptyEntries).Select(WordForms.Of)];
}
