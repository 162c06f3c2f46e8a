using System.Collections.Immutable;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Commands;
using Circuitum.Core.Entry;
using Circuitum.Core.Geometry;
using Circuitum.Core.Intake;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Generated;

namespace Circuitum.Core.Tests;

/// <summary>Rooms copied within a job and from another, several rooms changed at once, houses kept to begin with.</summary>
public class RoomCopyTests
{
    // Every room of made-up houses, far off so that nothing is beside it: the copy is the room again, mirrored or not.
    [Theory]
    [InlineData(false)]
    [InlineData(true)]
    public void A_copy_has_the_same_size_and_the_same_things_in_their_places(bool mirrored)
    {
        for (var seed = 0; seed < 12; seed++)
        {
            var job = GeneratedHouse.MakeWithShed(seed);
            job = job with { Rooms = job.Rooms.Add(Distant(job)) };
            foreach (var room in job.Rooms.SkipLast(1))
            {
                var made = new CopyRoom(room.Id, "Copy", "distant", Side.South, mirrored).Apply(job);
                var copied = made.Job.ShouldNotBeNull($"{seed}, {room.Id}: {made.Problem}");
                JobRules.Check(copied).ShouldBeEmpty();
                var (was, now) = (new RoomShape(room), new RoomShape(copied.Rooms[^1]));
                now.AreaSqFt.ShouldBe(was.AreaSqFt, 0.01);
                (now.MaxX - now.MinX).ShouldBe(was.MaxX - was.MinX);
                Things(copied, now).ShouldBe(Things(job, was).Select(t => mirrored ? Flip(t, was) : t), ignoreOrder: true);
                copied.Openings.Where(o => o.Room == now.Room.Id).ShouldAllBe(o => o.Kind == OpeningKind.Window);
                copied.Decisions.ShouldBe(job.Decisions);
            }
        }
    }

    private static Room Distant(Job job) => Sample.Rect("distant", RoomKind.Den, 500, 500, 10, 10) with { Storey = job.Rooms[0].Storey };

    // What stands in a room, by its middle from the room's northwest corner, in tenths of an inch.
    private static List<(string Kind, double X, double Y)> Things(Job job, RoomShape room)
    {
        (string, double, double) At(string kind, Spot spot)
        {
            var (w, n, e, s) = Places.Box(room, spot);
            return (kind, Tenth(((w + e) / 2) - room.MinX.InInches), Tenth(((n + s) / 2) - room.MinY.InInches));
        }

        return
        [
            .. job.Fixtures.Where(f => f.Room == room.Room.Id).Select(f => At($"{f.Kind}", f.Spot)),
            .. job.Counters.Where(c => c.Room == room.Room.Id).Select(c => At("counter", c.Spot)),
            .. job.Appliances.Where(x => x.Room == room.Room.Id).Select(x => At(x.Type, x.Spot)),
        ];
    }

    private static (string, double, double) Flip((string Kind, double X, double Y) thing, RoomShape room) =>
        (thing.Kind, Tenth((room.MaxX - room.MinX).InInches - thing.X), thing.Y);

    private static double Tenth(double inches) => Math.Round(inches, 1) + 0;

    [Fact]
    public void A_kitchen_comes_from_another_job_with_its_nameplates_unread_and_its_windows_only_to_the_open_air()
    {
        var (other, _) = RoomList.Take(Sample.House(), "first", ["Kitchen 12 x 13, window 4 n, opening 6 s, furnished"]);
        other = other with { Appliances = [.. other.Appliances.Select(x => x with { Nameplate = new() { Confirmed = true } })] };
        var (job, _) = RoomList.Take(Sample.House(), "first", ["Great room 20 x 20"]);
        var brought = new BringRoom(other, "kitchen", "", "first", "great-room", Side.East).Apply(job).Job.ShouldNotBeNull();
        brought.Rooms[1].Name.ShouldBe("Kitchen");
        brought.Appliances.Length.ShouldBe(other.Appliances.Length);
        brought.Appliances.ShouldAllBe(x => !x.Nameplate.Confirmed && x.Room == "kitchen");
        brought.Openings.ShouldHaveSingleItem().Kind.ShouldBe(OpeningKind.Window);

        // South of the great room its north wall is no outside wall, so there is no window.
        new BringRoom(other, "kitchen", "Galley", "first", "great-room", Side.South).Apply(job).Job!.Openings.ShouldBeEmpty();
        new BringRoom(other, "cellar", "", "first", null, Side.South).Apply(job).Problem.ShouldContain("Choose a room");
        new BringRoom(other, "kitchen", "", "attic", null, Side.South).Apply(job).Problem.ShouldContain("not there any more");
        new CopyRoom("great-room", " ", "great-room", Side.East).Apply(job).Problem.ShouldStartWith("Name: ");
    }

    [Fact]
    public void Several_rooms_are_changed_together_and_what_is_not_stated_stays()
    {
        var job = Planner.PlanAll(GeneratedHouse.MakeWithShed(5));
        var chosen = job.Rooms.Take(3).Select(r => r.Id).ToImmutableArray();
        var none = new EditRooms(chosen, null, null, null, null, null, null).Apply(job).Job!;
        none.Rooms.ShouldBe(job.Rooms);
        none.Decisions.Boxes.ShouldBe(job.Decisions.Boxes);

        var edit = new EditRooms(chosen, Length.Feet(10), WallBuild.MetalStud, Length.Feet(4), ReceptacleStyle.Quad, true, null);
        var after = edit.Apply(job).Job.ShouldNotBeNull();
        foreach (var room in after.Rooms)
        {
            var inside = chosen.Contains(room.Id);
            (room.CeilingHeight == Length.Feet(10)).ShouldBe(inside, room.Id);
            (room.ReceptacleReach == Length.Feet(4)).ShouldBe(inside, room.Id);
            var house = HouseShape.Of(after);
            if (inside)
                house[room.Id].Walls.ShouldAllBe(w => WallBody.Of(house, house[room.Id], w.Index).Build == WallBuild.MetalStud);
        }

        foreach (var box in after.Decisions.Boxes.Where(b => b.Kind == BoxKind.Receptacle))
            (box.Style == ReceptacleStyle.Quad).ShouldBe(
                chosen.Contains(box.Room) || job.Decisions.Boxes.Single(b => b.Id == box.Id).Style == ReceptacleStyle.Quad
            );
        JobRules.Check(after).ShouldBeEmpty();
        new EditRooms([], Length.Feet(10), null, null, null, null, null).Apply(job).Problem.ShouldContain("Choose the rooms");
        new EditRooms(["moon"], Length.Feet(10), null, null, null, null, null).Apply(job).Problem.ShouldContain("not there any more");
    }

    [Fact]
    public void A_house_is_kept_to_begin_with_and_can_be_planned_again()
    {
        var job = Planner.PlanAll(GeneratedHouse.MakeWithShed(5));
        var kept = StarterHouse.Of(job, "The usual");
        (kept.House.Name, kept.House.Rooms.Length, kept.House.Panels.Length).ShouldBe(("The usual", job.Rooms.Length, 0));
        kept.House.Decisions.Boxes.ShouldBeEmpty();
        var company = new Company { Starters = [kept] };
        JobRules.Check(company).ShouldBeEmpty();
        new PlanHouse().Apply(company.Begin(kept.House)).Job.ShouldNotBeNull().Decisions.Circuits.ShouldNotBeEmpty();
        JobRules.Check(company with { Starters = [.. Enumerable.Repeat(kept, 21)] }).ShouldNotBeEmpty();
        JobRules.Check(company with { Starters = [kept with { Name = "" }] }).ShouldNotBeEmpty();
    }
}
