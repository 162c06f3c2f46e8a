using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Codes;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Tests;

/// <summary>What holds for any house: fewest receptacles, none too far, no dark way in.</summary>
public class LayoutPropertyTests
{
    // A rectangle or an L of whole feet.
    private static Room RandomRoom(Random random)
    {
        var (w, d) = (random.Next(7, 26), random.Next(7, 22));
        if (random.Next(2) == 0)
            return Sample.Rect("room", RoomKind.Living, 0, 0, w, d);
        var (cw, cd) = (random.Next(2, w - 4), random.Next(2, d - 4));
        return Sample.Rect("room", RoomKind.Living, 0, 0, w, d) with
        {
            Outline = [Sample.P(0, 0), Sample.P(w - cw, 0), Sample.P(w - cw, cd), Sample.P(w, cd), Sample.P(w, d), Sample.P(0, d)],
        };
    }

    private static Job WithDoors(Random random, Room room)
    {
        var shape = new RoomShape(room);
        var openings = new List<Opening>();
        foreach (var wall in shape.Walls)
        {
            var at = random.Next(0, 30);
            for (var n = 0; n < 2 && random.Next(3) > 0; n++)
            {
                var width = new[] { 28, 32, 36, 60, 72 }[random.Next(5)];
                if (at + width > wall.Length.InInches)
                    break;
                var kind = random.Next(5) switch
                {
                    0 => OpeningKind.Window,
                    1 => OpeningKind.Cased,
                    _ => OpeningKind.Hinged,
                };
                openings.Add(
                    new Opening
                    {
                        Id = $"o{openings.Count}",
                        Kind = kind,
                        Room = "room",
                        Wall = wall.Index,
                        From = Length.Inches(at),
                        Width = Length.Inches(width),
                        Hinge = random.Next(2) == 0 ? End.Start : End.Finish,
                        SwingsIn = random.Next(2) == 0,
                    }
                );
                at += width + random.Next(6, 60);
            }
        }

        return Sample.House(room) with
        {
            Openings = [.. openings],
        };
    }

    // Walked inch by inch round the room: runs of wall between doorways, those of 24 in and more.
    private static List<List<int>> Runs(Job job, RoomShape shape)
    {
        var around = (int)Math.Round(shape.Perimeter.InInches);
        var open = new bool[around];
        foreach (var o in job.Openings.Where(o => o.Kind != OpeningKind.Window))
        {
            var from = (int)Math.Round((shape.Walls[o.Wall].Start + o.From).InInches);
            for (var i = 0; i < (int)o.Width.InInches; i++)
                open[(from + i) % around] = true;
        }

        var first = Array.IndexOf(open, true);
        if (first < 0)
            return
            [
                [.. Enumerable.Range(0, around)],
            ];
        var runs = new List<List<int>> { new() };
        for (var i = 0; i < around; i++)
        {
            var at = (first + i) % around;
            if (open[at])
                runs.Add([]);
            else
                runs[^1].Add(at);
        }

        return [.. runs.Where(r => r.Count >= 24)];
    }

    [Fact]
    public void Wall_receptacles_are_the_fewest_and_none_is_too_far()
    {
        for (var seed = 0; seed < 400; seed++)
        {
            var random = new Random(seed);
            var job = WithDoors(random, RandomRoom(random));
            var shape = HouseShape.Of(job)["room"];
            var boxes = BoxProposal.Propose(job).Decisions.Boxes.Where(b => b.Kind == BoxKind.Receptacle && !b.Outside).ToList();
            var at = boxes.Select(b => (shape.Walls[b.Wall!.Value].Start + b.Along).InInches).ToList();
            var runs = Runs(job, shape);

            // A stretch of wall of length L needs exactly L / 12 ft, rounded up: each receptacle serves 6 ft to either side.
            boxes.Count.ShouldBe(runs.Sum(r => (int)Math.Ceiling(r.Count / 144.0)), $"seed {seed}");
            foreach (var run in runs)
            {
                var own = at.Select(p => run.FindIndex(i => Math.Abs(i - p) <= 0.5 || Math.Abs(i + 1 - p) <= 0.5))
                    .Where(i => i >= 0)
                    .ToList();
                for (var i = 0; i < run.Count; i++)
                    own.Min(o => Math.Abs(o - i)).ShouldBeLessThanOrEqualTo(73, $"seed {seed}");
            }
        }
    }

    // A house of rooms in rows, with doors anywhere between neighbours and closets and baths that open onto one room only.
    internal static Job House(int seed)
    {
        var random = new Random(seed);
        var (columns, rows) = (random.Next(2, 5), random.Next(2, 4));
        double[] wide = [.. Enumerable.Range(0, columns).Select(_ => random.Next(4, 18) + 0.0)],
            deep = [.. Enumerable.Range(0, rows).Select(_ => random.Next(5, 16) + 0.0)];
        RoomKind[] kinds =
        [
            RoomKind.Living,
            RoomKind.Bedroom,
            RoomKind.Kitchen,
            RoomKind.Hallway,
            RoomKind.Bathroom,
            RoomKind.Office,
            RoomKind.Laundry,
            RoomKind.Dining,
            RoomKind.Closet,
        ];
        var rooms = new List<Room>();
        var openings = new List<Opening>();
        for (var j = 0; j < rows; j++)
        {
            for (var i = 0; i < columns; i++)
            {
                rooms.Add(
                    Sample.Rect(
                        $"r{i}-{j}",
                        kinds[random.Next(kinds.Length)],
                        wide.Take(i).Sum() + (i * 0.375),
                        deep.Take(j).Sum() + (j * 0.375),
                        wide[i],
                        deep[j]
                    )
                );
                if (i > 0 && random.Next(4) > 0)
                    Door($"r{i - 1}-{j}", 1, deep[j], $"r{i}-{j}");
                if (j > 0 && (i == 0 || random.Next(3) > 0))
                    Door($"r{i}-{j - 1}", 2, wide[i], $"r{i}-{j}");
            }
        }

        Door("r0-0", 0, wide[0], Opening.Outside);
        return Sample.House([.. rooms]) with { Openings = [.. openings] };

        void Door(string from, int wall, double length, string to)
        {
            var cased = random.Next(4) == 0;
            var width = cased ? random.Next(3, 5) : 2.5;
            if (length < width + 0.5)
                return;
            openings.Add(
                new Opening
                {
                    Id = $"d{openings.Count}",
                    Kind = cased ? OpeningKind.Cased : OpeningKind.Hinged,
                    Room = from,
                    Wall = wall,
                    From = Length.Feet(Math.Round(random.NextDouble() * (length - width) * 4) / 4),
                    Width = Length.Feet(width),
                    To = to,
                    Hinge = random.Next(2) == 0 ? End.Start : End.Finish,
                    SwingsIn = random.Next(2) == 0,
                }
            );
        }
    }

    [Fact]
    public void No_way_in_is_dark()
    {
        var entries = 0;
        for (var seed = 0; seed < 150; seed++)
        {
            var job = House(seed);
            Intake.JobRules.Check(job).ShouldBeEmpty($"seed {seed}");
            var planned = BoxProposal.Propose(job);
            var house = HouseShape.Of(planned);
            var edition = CodeLibrary.Edition(job.CodeEdition);
            var findings = Analyzer.Analyze(planned).Findings.Where(f => f.RuleId == "box.switchReach").ToList();
            foreach (var room in house.Rooms.Where(r => edition.Traits(r.Room.Kind).Light))
            {
                var lights = planned
                    .Decisions.Boxes.Where(b => b.Kind == BoxKind.Light && b.Room == room.Room.Id && !b.Outside)
                    .Select(b => b.Id)
                    .ToHashSet();
                if (room.Openings.Any(o => o.IsDoorway))
                    lights.ShouldNotBeEmpty();
                var switches = planned.Decisions.Boxes.Where(b => b.Gangs.Any(g => g.Lights.Any(lights.Contains))).ToList();
                var doors = room.Openings.Where(o => o.IsDoorway).ToList();

                // From a room that leads nowhere else one comes back through this one.
                var ways = doors
                    .Where(o => o.Beyond is not { } b || !house[b].Openings.Where(x => x.IsDoorway).All(x => x.Beyond == room.Room.Id))
                    .ToList();
                foreach (var door in ways.Count > 0 ? ways : doors)
                {
                    entries++;

                    // The rooms are rectangles, so a person walks straight.
                    var middle = room.On(door.Wall, door.From + (door.Opening.Width / 2));
                    var near = switches
                        .Where(s => s.Room == room.Room.Id || s.Room == door.Beyond)
                        .Select(s => Places.Of(house, s).InchesTo(middle))
                        .DefaultIfEmpty(double.MaxValue)
                        .Min();
                    (near <= 72 + 8 || findings.Any(f => f.Subjects.Contains(Subject.Parse($"opening:{door.Opening.Id}")))).ShouldBeTrue(
                        $"seed {seed}, {room.Room.Id} from {door.Beyond ?? "outside"}: {near:0} in"
                    );
                }
            }

            findings.ShouldBeEmpty($"seed {seed}: a proposal serves every way in");
        }

        entries.ShouldBeGreaterThan(1000);
    }

    [Fact]
    public void A_proposal_hits_nothing_and_is_made_again_alike()
    {
        // A room without a way in has its own finding, and nowhere to hang a switch.
        foreach (
            var (job, seed) in Enumerable
                .Range(0, 120)
                .Select(s => (House(s), s))
                .Where(h => HouseShape.Of(h.Item1).Rooms.All(r => r.Openings.Any(o => o.IsDoorway)))
                .Take(60)
        )
        {
            var planned = Planner.PlanAll(job);
            Intake.JobRules.Check(planned).ShouldBeEmpty($"seed {seed}");
            Analyzer
                .Analyze(planned)
                .Findings.Where(f => f.RuleId is "box.door" or "box.wall" or "box.counter" or "box.light" or "box.tub" or "box.closet")
                .Select(f => f.Sentence)
                .ShouldBeEmpty($"seed {seed}");
            BoxProposal
                .Propose(planned)
                .Decisions.Boxes.Select(b => (b.Id, b.Wall, b.Along, b.At))
                .ShouldBe(planned.Decisions.Boxes.Select(b => (b.Id, b.Wall, b.Along, b.At)), $"seed {seed}");
        }
    }
}
