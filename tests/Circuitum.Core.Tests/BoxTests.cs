using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Commands;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Tests;

/// <summary>What a box is, how it stands on the frame, and what a person does with it.</summary>
public partial class BoxTests
{
    private static readonly Job Planned = Planner.PlanAll(Sample.Whole());

    private static Job Done(JobCommand command, Job job) =>
        command.Apply(job) is { Job: { } done } ? done : throw new InvalidOperationException(command.Apply(job).Problem);

    private static Box First(Job job, BoxKind kind, string room) =>
        job.Decisions.Boxes.First(b => b.Kind == kind && b.Room == room && !b.Outside);

    [Fact]
    public void A_room_of_a_workshop_may_ask_for_receptacles_every_three_feet()
    {
        int Count(Length? reach) =>
            BoxProposal
                .Propose(
                    Sample.House(Sample.Rect("room", RoomKind.Office, 0, 0, 12, 12) with { ReceptacleReach = reach }) with
                    {
                        Openings = [Sample.Door("room", 2, 1, 3)],
                    }
                )
                .Decisions.Boxes.Count(b => b.Kind == BoxKind.Receptacle && !b.Outside);

        // 45 ft of wall: by the code 45 / 12 = 4, every 3 ft 45 / 6 = 8, every 4 ft 45 / 8 = 6.
        Count(null).ShouldBe(4);
        Count(Length.Feet(3)).ShouldBe(8);
        Count(Length.Feet(4)).ShouldBe(6);
    }

    [Fact]
    public void Without_a_porch_the_front_and_the_back_get_one_on_the_outer_face()
    {
        var job = Sample.House(Sample.Rect("living", RoomKind.Living, 0, 0, 20, 15)) with { Openings = [Sample.Door("living", 2, 2)] };
        var planned = Planner.PlanAll(job);
        var outside = planned.Decisions.Boxes.Where(b => b.Outside && b.Kind == BoxKind.Receptacle).ToList();
        outside.Select(b => b.Wall).Order().ShouldBe([0, 2]);
        var a = Analyzer.Analyze(planned);
        a.Findings.ShouldNotContain(f => f.RuleId == "box.outdoor" || f.RuleId == "box.outsideDoor");
        outside.ShouldAllBe(b => a.Specs[b.Id].Weather == WeatherNeed.Wet);
        outside.ShouldAllBe(b => a.CircuitOf(b.Id)!.Needs[b.Id].Any(n => n.RuleId == "protect.outdoors"));
        Analyzer
            .Analyze(planned.Change(b => b.Outside, b => b with { Height = Length.Inches(80) }))
            .Findings.Count(f => f.RuleId == "box.outdoor")
            .ShouldBe(2, "over 6-1/2 ft");
    }

    [Fact]
    public void A_refrigerator_leaves_its_wall_a_wall_and_its_plug_serves_it()
    {
        var job = Sample.House(Sample.Rect("dining", RoomKind.Dining, 0, 0, 12, 10)) with
        {
            Openings = [Sample.Door("dining", 2, 4)],
            Appliances =
            [
                new Appliance
                {
                    Id = "cold",
                    Type = "refrigerator",
                    Room = "dining",
                    Spot = new Spot
                    {
                        Wall = 0,
                        From = Length.Feet(4),
                        Width = Length.Feet(3),
                        Depth = Length.Inches(30),
                    },
                },
            ],
        };
        WallSpaces.Of(HouseShape.Of(job)["dining"], job, Length.Feet(2)).Length.ShouldBe(1);
        BoxProposal
            .Propose(job)
            .Decisions.Boxes.ShouldNotContain(b =>
                b.Kind == BoxKind.Receptacle && !b.Outside && b.Wall == 0 && b.Along > Length.Feet(4) && b.Along < Length.Feet(7)
            );
        Analyzer.Analyze(Planner.PlanAll(job)).Findings.ShouldNotContain(f => f.RuleId == "box.wall");
    }

    // Studs every 16 in from the corner; the room's walls run clockwise, so along a wall is to the right.
    [Theory]
    [InlineData(34, null, 32, StudSide.Right, "")]
    [InlineData(46, null, 48, StudSide.Left, "")]
    [InlineData(40, null, 32, StudSide.Right, "bar or block")]
    [InlineData(34, StudSide.Left, 48, StudSide.Left, "bar or block")]
    [InlineData(48, null, 48, StudSide.Right, "moves beside the stud")]
    public void The_stud_of_a_box(double along, StudSide? wanted, double stud, StudSide side, string needs)
    {
        var job = Sample.House(Sample.Rect("den", RoomKind.Den, 0, 0, 12, 12)) with
        {
            Decisions = new Decisions
            {
                Boxes =
                [
                    new Box
                    {
                        Id = "b",
                        Kind = BoxKind.Receptacle,
                        Room = "den",
                        Wall = 0,
                        Along = Length.Inches(along),
                        Side = wanted,
                    },
                ],
            },
        };
        var note = BoxHardware.StudOf(HouseShape.Of(job), job.Decisions.Boxes[0])!;
        (note.Stud, note.Side, note.Needs).ShouldBe((Length.Inches(stud), side, needs));
    }

    [Theory]
    [InlineData(20, 1, true, null, 20)]
    [InlineData(20, 1, false, null, 15)]
    [InlineData(15, 2, true, null, 15)]
    [InlineData(15, 2, true, 20, 0)]
    [InlineData(20, 2, true, 15, 15)]
    [InlineData(20, 2, true, 20, 20)]
    [InlineData(20, 1, true, 15, 0)]
    public void The_rating_of_a_receptacle_by_its_circuit(int breaker, int receptacles, bool single, int? chosen, int rating)
    {
        var boxes = Enumerable
            .Range(0, receptacles)
            .Select(i => new Box
            {
                Id = $"den.r{i}",
                Kind = BoxKind.Receptacle,
                Room = "den",
                Wall = 0,
                Along = Length.Feet(2 + (2 * i)),
                Height = Length.Inches(16),
                Style = single ? ReceptacleStyle.Single : null,
                Rating = i == 0 ? chosen : null,
            })
            .ToList();
        var job = Sample.House(Sample.Rect("den", RoomKind.Den, 0, 0, 12, 12)) with
        {
            Decisions = new Decisions
            {
                Boxes = [.. boxes],
                Circuits =
                [
                    new Circuit
                    {
                        Number = 1,
                        Purpose = CircuitPurpose.Receptacles,
                        Breaker = breaker,
                        Boxes = [.. boxes.Select(b => new CircuitBox { Box = b.Id })],
                    },
                ],
            },
        };
        var a = Analyzer.Analyze(job);
        if (rating > 0)
            a.Specs["den.r0"].RatingA.ShouldBe(rating);
        a.Findings.Any(f => f.RuleId == "box.rating").ShouldBe(rating == 0);
    }

    [Fact]
    public void Every_box_has_a_box_to_buy_a_mark_and_a_place()
    {
        var a = Analyzer.Analyze(Planned);
        var rooms = BoxSchedule.Of(a);
        rooms.Sum(r => r.Lines.Length).ShouldBe(Planned.Decisions.Boxes.Length);
        foreach (var line in rooms.SelectMany(r => r.Lines))
        {
            line.Place.ShouldMatch("from the (left corner|north|east|south|west)", line.Box.Id);
            line.Spec.Mark.ShouldNotBeEmpty();
            if (line.Spec is { Entry: { } entry, Fill: { } fill })
                fill.Inches3.ShouldBeLessThanOrEqualTo(entry.Volume);
        }

        a.Specs[First(Planned, BoxKind.Receptacle, "bedroom").Id].TamperResistant.ShouldBeTrue();
        a.Specs[Planned.Decisions.Boxes.Single(b => b.Appliance == "range").Id].RatingA.ShouldBe(50);
        rooms.Single(r => r.Room.Room.Id == "hall").Lines.Single(l => l.Box.Kind == BoxKind.SmokeAlarm).Place.ShouldContain(", ");
    }

    [Fact]
    public void From_the_left_is_as_one_faces_the_wall()
    {
        var a = Analyzer.Analyze(Planned);
        var room = a.House["bedroom"];
        var mirrored = new RoomShape(room.Room with { Outline = [.. room.Room.Outline.Reverse()] });
        var box = new Box { Wall = 0, Along = Length.Feet(3) };
        BoxSchedule.FromLeft(room, box, 0).ShouldBe(Length.Feet(3));
        BoxSchedule.FromLeft(room, box with { Outside = true }, 0).ShouldBe(room.Walls[0].Length - Length.Feet(3));
        BoxSchedule.FromLeft(mirrored, box, 0).ShouldBe(mirrored.Walls[0].Length - Length.Feet(3));
    }

    [Fact]
    public void A_held_box_is_roughed_in_but_not_final_until_released()
    {
        var id = First(Planned, BoxKind.Light, "bath").Id;
        var held = Done(
            new HoldBox(
                id,
                new HeldFor
                {
                    WaitsFor = "mirror height",
                    Ask = "owner",
                    Slack = Length.Feet(3),
                }
            ),
            Planned
        );
        BoxSchedule.Held(held).ShouldHaveSingleItem().Held!.Ask.ShouldBe("owner");
        Analyzer
            .Analyze(held)
            .Findings.ShouldContain(f =>
                f.RuleId == "box.held"
                && f.Sentence.Contains("mirror height", StringComparison.Ordinal)
                && f.Sentence.Contains("3'-0\"", StringComparison.Ordinal)
            );
        var rough = Done(new EditBox(id, new BoxChange { State = BoxState.RoughedIn }), held);
        new EditBox(id, new BoxChange { State = BoxState.Final }).Apply(rough).Problem.ShouldContain("mirror height");
        var free = Done(new HoldBox(id, null), rough);
        Done(new EditBox(id, new BoxChange { State = BoxState.Final }), free)
            .Decisions.Boxes.Single(b => b.Id == id)
            .State.ShouldBe(BoxState.Final);
        new HoldBox(id, new HeldFor { WaitsFor = " " }).Apply(Planned).Problem.ShouldContain("waits for");
        BoxProposal.Propose(held).Decisions.Boxes.Single(b => b.Id == id).Held.ShouldNotBeNull("a person's box stays");
    }

    [Fact]
    public void A_person_makes_a_quad_of_a_duplex_and_it_counts_twice()
    {
        var id = First(Planned, BoxKind.Receptacle, "bedroom").Id;
        var quad = Done(
            new EditBox(
                id,
                new BoxChange
                {
                    Style = ReceptacleStyle.Quad,
                    Height = Length.Inches(30),
                    Side = "left",
                }
            ),
            Planned
        );
        var a = Analyzer.Analyze(quad);
        var box = a.Boxes[id];
        (box.By, box.Height, box.Side).ShouldBe((Origin.Person, Length.Inches(30), StudSide.Left));
        (a.Specs[id].Gangs, a.Specs[id].Entry!.Gangs).ShouldBe((2, 2));
        Loads.BoxLoad.Of(quad, box).Load.Value.ShouldBe(360);
        new EditBox(First(Planned, BoxKind.Light, "bedroom").Id, new BoxChange { Kind = BoxKind.Switch })
            .Apply(Planned)
            .Problem.ShouldContain("wall");
        new EditBox(Planned.Decisions.Boxes.Single(b => b.Appliance == "range").Id, new BoxChange { Kind = BoxKind.Receptacle })
            .Apply(Planned)
            .Problem.ShouldContain("appliance");
        Done(new EditBox(id, new BoxChange { Kind = BoxKind.Provision }), quad)
            .Decisions.Boxes.Single(b => b.Id == id)
            .Style.ShouldBeNull();
    }

    [Fact]
    public void Accepting_keeps_boxes_from_the_next_proposal()
    {
        var mine = Done(new AcceptBoxes("bedroom"), Planned);
        mine.Decisions.Boxes.Where(b => b.Room == "bedroom").ShouldAllBe(b => b.By == Origin.Person);
        mine.Decisions.Boxes.ShouldContain(b => b.By == Origin.Planner);
        new AcceptBoxes("bedroom").Apply(mine).Problem.ShouldNotBeEmpty();
        Done(new AcceptBoxes(null), mine).Decisions.Boxes.ShouldAllBe(b => b.By == Origin.Person);
    }
}
