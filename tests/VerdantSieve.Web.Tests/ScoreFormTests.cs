using VerdantSieve.Core.Botany;
using VerdantSieve.Core.Formats;
using VerdantSieve.Core.Measuring;
using VerdantSieve.Web.Curating;
using Xunit;

namespace VerdantSieve.Web.Tests;

/// <summary>The form for one score, without a browser.</summary>
public class ScoreFormTests
{
    private static readonly StateCharacter Margin = new("margin")
    {
        Part = "margin",
        Label = "margin",
        Question = "?",
        Phrase = "{}",
        States = [new State("entire", "smooth", ""), new State("serrate", "saw-toothed", ""), new State("spiny", "spiny", "")],
    };
    private static readonly MeasureCharacter Length = new("length", MeasureUnit.Centimetre)
    {
        Part = "size",
        Label = "length",
        Question = "?",
        Phrase = "{}",
    };
    private static readonly CountCharacter Leaflets = new("leaflets")
    {
        Part = "size",
        Label = "leaflets",
        Question = "?",
        Phrase = "{}",
    };
    private static readonly PresenceCharacter Sprouts = new("sprouts")
    {
        Part = "twig",
        Label = "sprouts",
        Question = "?",
        Phrase = "sprouts",
    };
    private static readonly SeasonCharacter Flowers = new("flowers")
    {
        Part = "flower",
        Label = "flowers",
        Question = "?",
        Phrase = "flowers",
    };

    public static TheoryData<string, string> Scores =>
        new()
        {
            { "margin", "entire" },
            { "margin", "serrate, sometimes entire, rarely spiny" },
            { "margin", "12% spiny, entire" },
            { "length", "(1.5–)2–4.25(–9) cm" },
            { "length", "3 cm" },
            { "length", "2–4(–5) cm" },
            { "leaflets", "(3–)5–7(–9)" },
            { "leaflets", "3" },
            { "sprouts", "often" },
            { "sprouts", "30 %" },
            { "sprouts", "never" },
            { "flowers", "25 Mar – 10 May" },
            { "flowers", "15 Dec – 30 Apr" },
        };

    [Theory, MemberData(nameof(Scores))]
    public void A_score_shown_in_the_form_and_sent_unchanged_is_the_same_score(string id, string written)
    {
        var character = Named(id);
        var score = ScoreNotation.Parse(written, character).Value;
        var back = ScoreForm.Of(character, score).Read().Value;
        // States may come in the order of the vocabulary; what they say is the same.
        Assert.Equal(
            ScoreNotation.Format(new Scored(character, score)).Split(", ").Order(),
            ScoreNotation.Format(new Scored(character, back)).Split(", ").Order()
        );
    }

    [Theory]
    [InlineData("length", "low", "low=", "Give at least the lower end")]
    [InlineData("length", "most", "low=2;most=lots", "“lots” is not a number")]
    [InlineData("length", "low", "low=2,5", "“2,5” is not a number; write it with a point")]
    [InlineData("length", "low", "low=9;high=2", "is inverted")]
    [InlineData("length", "low", "low=0", "must be above 0")]
    [InlineData("leaflets", "low", "low=400", "count goes up to 80")]
    [InlineData("sprouts", "often", "often=mostly", "is not how often")]
    [InlineData("sprouts", "often", "often=", "is not how often")]
    [InlineData("flowers", "to", "from=1 Mar;to=31 Feb", "“31 Feb” is no day of the year")]
    [InlineData("flowers", "from", "from=spring;to=1 May", "“spring” is no day of the year")]
    [InlineData("margin", "states", "", "Say of at least one state")]
    public void What_cannot_be_used_is_said_at_its_field(string id, string field, string fields, string message)
    {
        var sent = fields
            .Split(';', StringSplitOptions.RemoveEmptyEntries)
            .Select(pair => pair.Split('=', 2))
            .ToDictionary(pair => pair[0], pair => pair[1]);
        var fault = Assert.Single(new ScoreForm(Named(id), sent).Read().Faults);
        Assert.Equal(field, fault.At);
        Assert.Contains(message, fault.Message);
    }

    [Fact]
    public void A_score_can_be_taken_away_and_an_empty_form_has_no_fields()
    {
        Assert.True(new ScoreForm(Margin, new Dictionary<string, string> { [ScoreForm.NotScored] = "yes" }).TakesAway);
        Assert.Empty(ScoreForm.Of(Margin, null).Fields);
        Assert.Equal("", ScoreForm.Of(Length, null)["low"]);
    }

    private static Character Named(string id) =>
        new Character[] { Margin, Length, Leaflets, Sprouts, Flowers }.Single(character => character.Id == id);

    [Theory]
    [InlineData("margin", "serrate; GRB: entire", "spiny", "spiny; GRB: entire")]
    [InlineData("sprouts", "sometimes when margin=entire", "often", "often when margin=entire")]
    [InlineData("flowers", "25 Mar – 10 May, 30 %", "1 Apr – 20 May", "1 Apr – 20 May, 30 %")]
    public void What_the_form_does_not_ask_for_stays_as_it_was(string id, string before, string after, string kept)
    {
        var character = Named(id);
        var (was, given) = (ScoreNotation.Parse(before, character).Value, ScoreNotation.Parse(after, character).Value);
        var form = ScoreForm.Of(character, given);
        Assert.Equal(kept, ScoreNotation.Format(new Scored(character, form.Keeping(was, given))));
        Assert.Equal(after, ScoreNotation.Format(new Scored(character, form.Keeping(null, given))));
    }

    [Theory]
    [InlineData("spiny, serrate", "state-spiny=first;state-serrate=usual", "spiny, serrate")]
    [InlineData("spiny, serrate", "state-spiny=usual;state-serrate=first", "serrate, spiny")]
    [InlineData("spiny, serrate", "state-spiny=first;state-serrate=usual;state-entire=usual", "spiny, serrate, entire")]
    [InlineData("spiny, serrate", "state-entire=first;state-spiny=usual;state-serrate=sometimes", "entire, spiny, sometimes serrate")]
    public void The_most_usual_state_is_told_from_other_usual_ones_and_they_keep_their_order(string before, string sent, string after)
    {
        var margin = Margin with { UsualFirst = true };
        var was = ScoreNotation.Parse(before, margin).Value;
        var fields = sent.Split(';').Select(pair => pair.Split('=', 2)).ToDictionary(pair => pair[0], pair => pair[1]);
        var form = new ScoreForm(margin, fields);
        Assert.Equal(after, ScoreNotation.Format(new Scored(margin, form.Keeping(was, form.Read().Value))));
        Assert.Equal("first", ScoreForm.Of(margin, was)["state-spiny"]);
        Assert.Equal("usual", ScoreForm.Of(Margin, was)["state-spiny"]);
    }
}
