using NodaTime.Text;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Measuring;

namespace VerdantSieve.Core.Observing.Speech;

/// <summary>Puts together what was said of one character at one place on the plant and on one day: “red or green” is one reading, and so
/// is “mostly three lobes, sometimes five”.</summary>
internal static class MentionsGathered
{
    /// <summary>The readings, each with where it stands; what the flora refuses is left.</summary>
    public static IEnumerable<(RawReading Raw, TextSpan Span)> Of(IEnumerable<Mention> mentions, SpokenAbout about)
    {
        foreach (var group in mentions.GroupBy(mention => (mention.Character.Id, mention.On, mention.Day)))
        {
            Mention[] said = [.. group];
            // What a plant shows counts before what it does not.
            Mention[] plain = [.. said.Where(mention => !mention.Not)];
            if (plain.Length == 0)
                plain = said;
            yield return (Raw(plain, about), Span(plain));
        }
    }

    private static TextSpan Span(Mention[] mentions)
    {
        var span = mentions[0].Span;
        // One span for what stands close together; else that of the first.
        foreach (var next in mentions.Skip(1))
            if (next.Span.Start - span.End < 40)
                span = span.With(next.Span);
        return span;
    }

    private static RawReading Raw(Mention[] mentions, SpokenAbout about)
    {
        var last = mentions[^1];
        var raw = new RawReading(last.Character.Id)
        {
            On = last.On?.Word(),
            Date = last.Day is { } day ? LocalDatePattern.Iso.Format(day) : null,
            Certainty = mentions.Select(mention => mention.Certainty).FirstOrDefault(certainty => certainty is not null)?.Word(),
        };
        if (last.Untold)
            return raw with { Unknown = true };
        if (last.There is { } there)
            return last.Character is SeasonCharacter ? raw with { Today = there } : raw with { Seen = there };
        if (last.Compared is var (than, how))
            return raw with { Than = than.Name.Text, Is = how.Word() };
        if (last.Amount is not null)
            return Sized(raw, mentions, about);
        return WithStates(raw, mentions);
    }

    private static RawReading WithStates(RawReading raw, Mention[] mentions)
    {
        var character = (StateCharacter)mentions[0].Character;
        var choice = mentions.Skip(1).Any(mention => mention.IsChoice);
        string[] states = [.. mentions.Select(mention => mention.State).OfType<string>().Distinct()];
        if (!choice)
            states = [.. Finest(character, states)];
        // “a spiny husk with a nut”: of what shows one state at a time the exact word counts.
        if (!choice && !character.Variety && states.Any(state => character.IndexOf(state) >= 0))
            states = [.. states.Where(state => character.IndexOf(state) >= 0)];
        if (mentions[0].Not)
            return RuledOut(raw, character, states);
        if (states.Length == 1)
            return raw with { States = states };
        if (choice)
            return raw with { States = states, Mode = StateMode.Either.Word() };
        return mentions.Any(mention => mention.Share is not null)
            ? raw with
            {
                Tally = Shares(mentions, states),
            }
            : raw with
            {
                States = states,
                Mode = StateMode.AllSeen.Word(),
            };
    }

    // “not hairy” leaves one state, which it then is.
    private static RawReading RuledOut(RawReading raw, StateCharacter character, string[] states)
    {
        var covered = states.SelectMany(character.Covered).ToHashSet();
        return character.States.Count - covered.Count == 1
            ? raw with
            {
                States = [character.States.Where((_, at) => !covered.Contains(at)).First().Id],
            }
            : raw with
            {
                States = states,
                Mode = StateMode.Not.Word(),
            };
    }

    // Of ten leaves: what is mostly so has what the others leave.
    private static Dictionary<string, int> Shares(Mention[] mentions, string[] states)
    {
        var shares = new Dictionary<string, int>();
        foreach (var mention in mentions.Where(mention => states.Contains(mention.State)))
            shares[mention.State!] = mention.Share ?? (mentions.Any(other => other.Share >= 7) ? 3 : 7);
        return shares;
    }

    // “toothed, finely serrate”: the broader word says nothing beside the finer one.
    private static IEnumerable<string> Finest(StateCharacter character, string[] states) =>
        states.Where(state =>
            !states.Any(other =>
                other != state
                && character.Covered(other) is var finer
                && character.Covered(state) is var broader
                && finer.Count < broader.Count
                && finer.All(broader.Contains)
            )
        );

    private static RawReading Sized(RawReading raw, Mention[] mentions, SpokenAbout about)
    {
        var amount = mentions.Select(mention => mention.Amount).OfType<Amount>().Aggregate(Both);
        raw = raw with
        {
            Unit = UnitOf(amount, mentions[0].Character, about),
            By = amount.By == MeasuredBy.Ruler ? null : amount.By.Word(),
        };
        if (mentions[0].Character is CountCharacter)
            raw = raw with { By = null };
        if (amount.Limit is { } side)
            return side == LimitSide.AtMost ? raw with { AtMost = amount.Low } : raw with { AtLeast = amount.Low };
        if (amount.Values.Count > 1 && mentions[0].Character is MeasureCharacter)
            return raw with { Values = amount.Values };
        return raw with { Low = amount.Low, High = amount.High, Mean = amount.Low < amount.High ? amount.Usual : null };
    }

    // Said twice: from the least to the most of both; “at least 5 and at most 8” is 5 to 8, “usually 6, never more than 8” 6 to 8.
    private static Amount Both(Amount one, Amount said)
    {
        var other = said.In(one.Unit);
        if (one.Limit == other.Limit)
            return one.Limit is null ? Spanning(one, other) : one;
        var (least, most) = one.Limit == LimitSide.AtLeast || other.Limit == LimitSide.AtMost ? (one, other) : (other, one);
        return least.High <= most.Low ? Spanning(least, most) : one;
    }

    private static Amount Spanning(Amount one, Amount other) =>
        one with
        {
            Low = Math.Min(one.Low, other.Low),
            High = Math.Max(one.High, other.High),
            Values = [],
            Usual = one.Usual ?? other.Usual,
            Limit = null,
            Unit = one.Unit ?? other.Unit,
        };

    private static string? UnitOf(Amount amount, Character character, SpokenAbout about) =>
        character is MeasureCharacter { Unit: not MeasureUnit.Ratio } measure
            ? amount.Unit ?? LengthWords.Unit(measure.Unit, about.Style)
            : null;
}
