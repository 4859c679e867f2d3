using System.Globalization;
using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Measuring;

namespace VerdantSieve.Core.Observing;

/// <summary>Turns raw readings into readings a flora understands. The web pages and the API both come in this way.</summary>
public static class ReadingDesk
{
    // A range of which nothing else is said was measured on a few leaves.
    private const int LeavesOfARange = 3;

    /// <summary>Checks a raw reading against the flora's characters.</summary>
    public static Outcome<Reading> Check(RawReading raw, Flora flora)
    {
        raw = FormerWords.Now(raw, flora.Vocabulary);
        if (raw.Character is null || flora.FindCharacter(raw.Character) is not { } character)
            return Fault.AtField(
                "character",
                raw.Character,
                "It must be the id of a character of this flora, such as arrangement or blade-length."
            );
        if (!EnumWords.TryRead<Certainty>(raw.Certainty ?? Certainty.Fair.Word(), out var certainty))
            return Fault.AtField("certainty", raw.Certainty, "It must be sure, fair or guess.");
        if (!EnumWords.TryRead<Origin>(raw.Origin ?? Origin.FairSample.Word(), out var origin))
            return Fault.AtField("origin", raw.Origin, $"It must be one of: {string.Join(", ", EnumWords.All<Origin>())}.");
        if (!EnumWords.TryRead<PlantPlace>(raw.On, out var place) && raw.On is not null)
            return Fault.AtField("on", raw.On, $"It must be one of: {string.Join(", ", EnumWords.All<PlantPlace>())}; or left out.");
        var day = raw.Date is null ? null : CircumstancesDesk.Day(raw.Date);
        if (raw.Date is not null && day is null)
            return Fault.AtField("date", raw.Date, CircumstancesDesk.AllowedDay);
        return Observed(raw, character, flora)
            .Map(observation => new Reading(character.Id, observation, certainty)
            {
                Origin = origin == Origin.FairSample ? OriginAt(raw.On is null ? null : place) : origin,
                On = raw.On is null ? null : place,
                Day = day,
            });
    }

    // What was read on a sucker or in the litter is no fair sample.
    private static Origin OriginAt(PlantPlace? place) =>
        place switch
        {
            PlantPlace.Sucker => Origin.Sucker,
            PlantPlace.Litter => Origin.Litter,
            null
            or PlantPlace.Base
            or PlantPlace.Trunk
            or PlantPlace.Limb
            or PlantPlace.Young
            or PlantPlace.Tip
            or PlantPlace.Older
            or PlantPlace.Sun
            or PlantPlace.Shade => Origin.FairSample,
        };

    private static Outcome<Observation> Observed(RawReading raw, Character character, Flora flora)
    {
        if (raw.Unknown)
            return new CannotTell();
        if (raw.Than is not null || raw.Is is not null)
            return CheckCompared(raw, character, flora);
        if (raw.Tally is not null)
            return CheckTally(raw.Tally, character);
        return character.Match(
            states: states => CheckStates(raw, states),
            count: _ => CheckCount(raw),
            measure: measure => CheckMeasure(raw, measure),
            presence: _ =>
                raw.Seen is { } seen ? new Sought(seen) : Fault.AtField("seen", null, "Say true (seen) or false (looked, not seen)."),
            season: _ =>
                raw.Today is { } today
                    ? new Today(today)
                    : Fault.AtField("today", null, "Say true (there are some today) or false (looked, none).")
        );
    }

    private static Outcome<Observation> CheckCompared(RawReading raw, Character character, Flora flora)
    {
        if (!EnumWords.TryRead<Comparison>(raw.Is, out var how))
            return Fault.AtField("is", raw.Is, $"It must be {EnumWords.Listed<Comparison>()}.");
        if (raw.Than is null || flora.FindTaxon(raw.Than) is not { } than)
            return Fault.AtField("than", raw.Than, "It must be the name of a taxon of this flora, such as Carpinus betulus.");
        var inSeries = character.Match(
            states: states => states.Ordered,
            count: _ => true,
            measure: _ => true,
            presence: _ => false,
            season: _ => false
        );
        if (!inSeries)
            return Fault.AtField("than", raw.Than, "Only a measure, a count or a series can be held against that of another kind.");
        return than.Score(character.Id) is null
            ? Fault.AtField("than", raw.Than, $"The flora does not say what the {character.Label} of {than.Name} is; name another kind.")
            : new Compared(than.Name, how);
    }

    private static Outcome<Observation> CheckTally(IReadOnlyDictionary<string, int> tally, Character character)
    {
        var (order, allowed) = character.Match<(Func<string, int>?, string)>(
            states: states => (what => states.Words.ToList().IndexOf(what), "It must be one of: " + string.Join(", ", states.Words) + "."),
            count: _ => (NumberOf, $"It must be a whole number from 1 to {CountCharacter.Largest}."),
            measure: _ => (null, ""),
            presence: _ => (null, ""),
            season: _ => (null, "")
        );
        if (order is null)
            return Fault.AtField("tally", null, "Only states and numbers can be tallied.");
        if (tally.Count == 0)
            return Fault.AtField("tally", null, "Count at least one state or number.");
        foreach (var (what, leaves) in tally)
        {
            if (order(what) < 0)
                return Fault.AtField($"tally.{what}", what, allowed);
            if (leaves < 1)
                return Fault.AtField($"tally.{what}", $"{leaves}", "At least one leaf is counted of each.");
        }
        return tally.Values.Sum(leaves => (long)leaves) > Tallied.MostLeaves
            ? Fault.AtField("tally", null, $"At most {Tallied.MostLeaves} leaves are counted in all.")
            : new Tallied([.. tally.OrderBy(line => order(line.Key)).Select(line => new TallyLine(line.Key, line.Value))]);
    }

    // -1 where it is no number that can be counted; a number is written in one way only.
    private static int NumberOf(string text) =>
        int.TryParse(text, NumberStyles.None, CultureInfo.InvariantCulture, out var number)
        && number is >= 1 and <= CountCharacter.Largest
        && text[0] != '0'
            ? number
            : -1;

    private static Outcome<Observation> CheckStates(RawReading raw, StateCharacter character)
    {
        var words = character.Words.ToList();
        var allowed = "It must be one of: " + string.Join(", ", words) + ".";
        if (raw.States is not { Count: > 0 } named)
            return Fault.AtField("states", null, "Name at least one state. " + allowed);
        foreach (var state in named)
            if (state is null || !words.Contains(state))
                return Fault.AtField("states", state, allowed);
        if (!EnumWords.TryRead<StateMode>(raw.Mode ?? StateMode.Is.Word(), out var mode))
            return Fault.AtField("mode", raw.Mode, "It must be is, either, all-seen or not.");
        string[] states = [.. named.Distinct().OrderBy(words.IndexOf)];
        if (mode == StateMode.Not)
            return RuledOut(states, character);
        if (states.Length == 1)
            return new StatesSeen(states, StateMode.Is);
        if (mode == StateMode.Is)
            return Fault.AtField(
                "mode",
                "is",
                "Several states need the mode either (one of these, can’t tell which) or all-seen (all of these on this plant)."
            );
        return new StatesSeen(states, mode);
    }

    // A plant shows something: not all can be ruled out.
    private static Outcome<Observation> RuledOut(string[] states, StateCharacter character) =>
        states.SelectMany(character.Covered).Distinct().Count() < character.States.Count
            ? new StatesSeen(states, StateMode.Not)
            : Fault.AtField("states", states[^1], "All states are ruled out; leave at least one that it can be.");

    private static Outcome<Observation> CheckCount(RawReading raw)
    {
        var allowed = $"Type a whole number from 1 to {CountCharacter.Largest}, a range such as 5-9, or several counts such as 5, 7, 7.";
        if (raw.Unit is not (null or ""))
            return Fault.AtField("unit", raw.Unit, "A count has no unit.");
        return AmountDesk
            .Check(raw, MeasureUnit.Ratio)
            .Placed(fault => fault with { Message = allowed })
            .Then(amount =>
                Count(amount) is { } count ? Outcome.Of(count) : Fault.AtField("value", raw.Text ?? $"{amount.Low:0.##}", allowed)
            );
    }

    // Null where a number is no count.
    private static Observation? Count(Quantity amount)
    {
        double[] numbers = [amount.Low, amount.High, amount.Usual ?? amount.Low];
        if (numbers.Any(number => number != Math.Floor(number) || number < 1 || number > CountCharacter.Largest))
            return null;
        if (amount.Limit is { } side)
            return new Limited(amount.Low, side);
        return new Counted((int)amount.Low, (int)amount.High) { Usual = amount.Low < amount.High ? (int?)amount.Usual : null };
    }

    private static Outcome<Observation> CheckMeasure(RawReading raw, MeasureCharacter character)
    {
        if (raw.Leaves is < 1 or > Measured.MostLeaves)
            return Fault.AtField("leaves", raw.Leaves.ToString(), $"It must be a whole number from 1 to {Measured.MostLeaves}.");
        if (!EnumWords.TryRead<MeasuredBy>(raw.By ?? MeasuredBy.Ruler.Word(), out var way))
            return Fault.AtField("by", raw.By, "It must be ruler, hand or eye.");
        return AmountDesk
            .Check(raw, character.Unit)
            .Then(amount => InBounds(amount, raw, character))
            .Map(amount => Measure(amount, raw, way));
    }

    private static Outcome<Quantity> InBounds(Quantity amount, RawReading raw, MeasureCharacter character) =>
        amount.High <= character.Largest && amount.Low >= MeasureCharacter.Smallest
            ? amount
            : Fault.AtField(
                "value",
                raw.Text ?? $"{amount.High:0.##}",
                $"It must be above 0 and at most {LengthWords.Say(character.Largest, character.Unit, LengthStyle.Metric)}."
            );

    private static Observation Measure(Quantity amount, RawReading raw, MeasuredBy way)
    {
        // The words may say that it was found less surely than the field does.
        var by = amount.By > way ? amount.By : way;
        if (amount.Limit is { } side)
            return new Limited(amount.Low, side) { By = by };
        var several = amount.Low < amount.High;
        var leaves = raw.Leaves ?? amount.Leaves ?? (several ? LeavesOfARange : 1);
        return new Measured(amount.Low, amount.High, leaves) { Typical = several ? amount.Usual : null, By = by };
    }
}
