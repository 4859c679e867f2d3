using VerdantSieve.Core.Trees;
using VerdantSieve.Web.Notebooks;
using Xunit;

namespace VerdantSieve.Web.Tests;

/// <summary>What is typed of trees and outings: told at its field what is allowed, and nothing lost.</summary>
public class NotebookFormTests
{
    private static readonly TreeDetails Before = new() { Height = TreeHeight.Guessed(12).Value };

    [Fact]
    public void What_is_well_typed_is_kept_in_either_way_of_writing_numbers()
    {
        var form = new TreeForm
        {
            Tag = " LC 1 ",
            Girth = "212,5",
            Sex = "female",
            Individuals = "3",
            Latitude = "45.1",
            Longitude = "-123.2",
            By = "stick",
            Stick = "62",
            Arm = "65",
            Away = "24",
        };
        var (details, position) = form.Fill(Before)!.Value;
        Assert.Equal(("LC 1", 212.5, 3), (details.Tag, details.Girth!.Value.Centimetres, details.Individuals));
        Assert.Equal((22.9, HeightBy.Stick), (details.Height!.Metres, details.Height.By));
        Assert.Equal((45.1, -123.2, 0), (position!.Value.Latitude, position.Value.Longitude, position.Value.Elevation));
    }

    [Theory]
    [InlineData(null, true)]
    [InlineData("none", false)]
    public void A_height_stays_as_it_was_unless_it_is_said_not_to_be_measured(string? by, bool stays) =>
        Assert.Equal(
            stays,
            new TreeForm { By = by }
                .Fill(Before)!
                .Value.Details.Height == Before.Height
        );

    [Fact]
    public void Every_field_says_what_is_allowed_in_it_and_keeps_what_was_typed()
    {
        var form = new TreeForm
        {
            Tag = new string('x', 61),
            Girth = "thick",
            Individuals = "0",
            Latitude = "95",
            Longitude = "-123",
            By = "clinometer",
            Top = "45",
            Foot = "",
            Away = "20",
        };
        Assert.Null(form.Fill(Before));
        Assert.Contains("At most 60 letters", form.FaultAt("tag"));
        Assert.Contains("“thick” can’t be used", form.FaultAt("girth"));
        Assert.Contains("from 1 to", form.FaultAt("individuals"));
        Assert.Contains("-90 to 90", form.FaultAt("latitude"));
        Assert.Contains("Give a number", form.FaultAt("foot"));
        Assert.Null(form.FaultAt("longitude"));
        Assert.Equal("thick", form.Girth);
        // Mended, it is taken.
        (form.Tag, form.Girth) = ("x", "0.5");
        (form.Individuals, form.Latitude) = ("", "45");
        form.Foot = "-3";
        Assert.NotNull(form.Fill(Before));
        Assert.False(form.IsWrong);
    }

    [Theory]
    [InlineData("45", "", "longitude")]
    [InlineData("", "-123", "latitude")]
    public void Half_a_position_is_none(string north, string east, string missing)
    {
        var form = new TreeForm { Latitude = north, Longitude = east };
        Assert.Null(form.Fill(Before));
        Assert.Equal("Give both, or neither.", form.FaultAt(missing));
    }

    [Fact]
    public void An_outing_needs_a_name_and_a_day_that_is_one()
    {
        Assert.NotNull(new OutingForm { Title = "Ridge", Date = "2026-09-12" }.Fill());
        Assert.Null(
            new OutingForm { Title = "Ridge" }
                .Fill()!
                .Date
        );
        var wrong = new OutingForm { Title = "Ridge", Date = "12.9.2026" };
        Assert.Null(wrong.Fill());
        Assert.Contains("year-month-day", wrong.FaultAt("date"));
        var unnamed = new OutingForm { Title = " ", Weather = new string('x', 501) };
        Assert.Null(unnamed.Fill());
        Assert.Contains("At most 500", unnamed.FaultAt("weather"));
    }
}
