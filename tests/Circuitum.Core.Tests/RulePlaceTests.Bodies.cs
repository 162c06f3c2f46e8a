using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Codes;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Protection;

namespace Circuitum.Core.Tests;

// Where a box can stand.
public partial class RulePlaceTests
{
    [Fact]
    public void Three_hundred_houses_have_no_box_in_a_corner_in_an_opening_or_on_another_box() =>
        HouseSet
            .All.SelectMany(h =>
                h.House.Findings.Where(f => f.RuleId == "box.body" && h.House.Boxes[f.Subjects[0].Id].Appliance is null)
                    .Select(f => $"house {h.Seed}: {f.Sentence}")
            )
            .Take(10)
            .ShouldBeEmpty();

    [Theory]
    [InlineData(0, "corner")]
    [InlineData(60, null)]
    public void A_box_does_not_stand_in_a_corner(int inches, string? word) =>
        Why(
            new Box
            {
                Id = "x",
                Kind = BoxKind.Receptacle,
                Room = "place",
                Wall = 0,
                Along = Length.Inches(inches),
                Height = Length.Inches(16),
            },
            word
        );

    [Theory]
    [InlineData(1.75, 16, "stands on y")]
    [InlineData(2.75, 16, null)]
    [InlineData(0, 46, null)]
    public void Two_boxes_take_two_places(double apart, int height, string? word) =>
        Why(
            new Box
            {
                Id = "x",
                Kind = BoxKind.Receptacle,
                Room = "place",
                Wall = 0,
                Along = Length.Inches(60 + apart),
                Height = Length.Inches(height),
            },
            word,
            new Box
            {
                Id = "y",
                Kind = BoxKind.Receptacle,
                Room = "place",
                Wall = 0,
                Along = Length.Inches(60),
                Height = Length.Inches(16),
            }
        );

    [Theory]
    [InlineData(7, LightStyle.Surface, "a fan")]
    [InlineData(40, LightStyle.Surface, null)]
    [InlineData(40, LightStyle.Recessed, null)]
    public void A_light_keeps_out_from_under_a_fan(double inches, LightStyle style, string? word) =>
        Why(
            new Box
            {
                Id = "x",
                Kind = BoxKind.Light,
                Room = "place",
                At = new(Length.Inches(84 + inches), Length.Inches(72)),
                Fixture = style,
                Height = Length.Feet(8),
            },
            word,
            new Box
            {
                Id = "y",
                Kind = BoxKind.Light,
                Room = "place",
                At = new(Length.Inches(84), Length.Inches(72)),
                Fixture = LightStyle.Fan,
                Height = Length.Feet(8),
            }
        );

    [Theory]
    [InlineData(2, "from a wall")]
    [InlineData(6, null)]
    public void A_can_has_room_beside_the_wall(double inches, string? word) =>
        Why(
            new Box
            {
                Id = "x",
                Kind = BoxKind.Light,
                Room = "place",
                At = new(Length.Inches(84), Length.Inches(inches)),
                Fixture = LightStyle.Recessed,
                Height = Length.Feet(8),
            },
            word
        );

    private static void Why(Box box, string? word, params Box[] others)
    {
        var why = BoxBody.WhyNot(HouseShape.Of(Room("us-2023", RoomKind.Bedroom)), box, [box, .. others]);
        if (word is null)
            why.ShouldBeNull();
        else
            why.ShouldNotBeNull().ShouldContain(word);
    }

    [Fact]
    public void A_receptacle_is_not_proposed_into_a_low_window()
    {
        // Glass from the floor along most of a wall: what serves it stands beside it.
        var job = Room("us-2023", RoomKind.Bedroom);
        job = job with
        {
            Openings =
            [
                .. job.Openings,
                new Opening
                {
                    Id = "w",
                    Kind = OpeningKind.Window,
                    Room = "place",
                    Wall = 0,
                    From = Length.Feet(5),
                    Width = Length.Feet(4),
                    Sill = Length.Inches(6),
                },
            ],
        };
        var a = Plan(job);
        a.Findings.ShouldNotContain(f => f.RuleId == "box.door" || f.RuleId == "box.wall");
    }

    [Fact]
    public void The_second_receptacle_of_a_peninsula_is_in_a_face_and_not_in_the_cabinets()
    {
        var job = Sample.Whole() with { CodeEdition = "us-2020" };
        job = job with
        {
            Counters = job.Counters.Add(
                new Counter
                {
                    Id = "p",
                    Room = "kitchen",
                    Peninsula = true,
                    Spot = new Spot
                    {
                        Wall = 2,
                        From = Length.Feet(6),
                        Width = Length.Feet(3),
                        Depth = Length.Feet(5),
                    },
                }
            ),
        };
        var a = Plan(job);
        a.Job.Decisions.Boxes.Count(b => b.Room == "kitchen" && b.Kind == BoxKind.Receptacle && b.Wall is null).ShouldBe(2);
        a.Findings.ShouldNotContain(f => f.RuleId == "box.body");
    }

    [Fact]
    public void The_dishwashers_plug_is_in_the_space_beside_it()
    {
        var job = Sample.WithKitchen();
        var planned = Planner.PlanAll(job);
        var (spot, box) = (job.ApplianceById("dishwasher")!.Spot, planned.Decisions.Boxes.Single(b => b.Appliance == "dishwasher"));
        (box.Along < spot.From || box.Along > spot.From + spot.Width).ShouldBeTrue();
        Analyzer.Analyze(planned).Findings.ShouldNotContain(f => f.RuleId == "box.beside");
        var behind = planned.Change(b => b.Appliance == "dishwasher", b => b with { Along = spot.From + (spot.Width / 2) });
        Analyzer.Analyze(behind).Findings.ShouldContain(f => f.RuleId == "box.beside" && f.Severity == Severity.Must);
    }
}
