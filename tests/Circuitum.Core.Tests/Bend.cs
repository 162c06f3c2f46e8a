using Circuitum.Core.Codes;
using Circuitum.Core.Commands;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Tests;

/// <summary>Small changes to a planned house.</summary>
internal static class Bend
{
    internal static Job Boxes(this Job job, Func<IEnumerable<Box>, IEnumerable<Box>> to) =>
        job with
        {
            Decisions = BoxLayout.BoxProposal.DropLost(job.Decisions with { Boxes = [.. to(job.Decisions.Boxes)] }),
        };

    internal static Job Without(this Job job, Func<Box, bool> which) => job.Boxes(all => all.Where(b => !which(b)));

    internal static Job Change(this Job job, Func<Box, bool> which, Func<Box, Box> to) =>
        job.Boxes(all => all.Select(b => which(b) ? to(b) : b));

    internal static Job Raise(this Job job, string room, Length height) =>
        job.Change(b => b.Room == room && b.Kind == BoxKind.Receptacle, b => b with { Height = height });

    internal static Job Slide(this Job job, string room, int wall, Length along) =>
        job.Change(b => b.Room == room && b.Kind == BoxKind.Receptacle, b => b with { Wall = wall, Along = along });

    /// <summary>A closet 8 ft by 2 ft beside the house with a door in its long side and a light at a place.</summary>
    internal static Job WithCloset(this Job job, Point light, LightStyle fixture) =>
        job with
        {
            Rooms = job.Rooms.Add(Sample.Rect("closet", RoomKind.Closet, 60, 0, 8, 2.5)),
            Openings = job.Openings.Add(Sample.Door("closet", 2, 3)),
            Decisions = job.Decisions with
            {
                Boxes = job.Decisions.Boxes.Add(
                    new Box
                    {
                        Id = "closet.l1",
                        Kind = BoxKind.Light,
                        Room = "closet",
                        At = light,
                        Height = Length.Feet(8),
                        Fixture = fixture,
                    }
                ),
            },
        };

    internal static Job Circuits(this Job job, Func<Circuit, bool> which, Func<Circuit, Circuit> to) =>
        job with
        {
            Decisions = job.Decisions with { Circuits = [.. job.Decisions.Circuits.Select(c => which(c) ? to(c) : c)] },
        };

    private static Job Put(Job job, string box, int number) =>
        job with
        {
            Decisions = job.Decisions with
            {
                Circuits =
                [
                    .. job.Decisions.Circuits.Select(c =>
                        c with
                        {
                            Boxes =
                            [
                                .. c.Boxes.Where(b => b.Box != box),
                                .. c.Number == number ? [new CircuitBox { Box = box }] : Array.Empty<CircuitBox>(),
                            ],
                        }
                    ),
                ],
            },
        };

    /// <summary>Moves a room's first receptacle to a circuit of a purpose.</summary>
    internal static Job Move(this Job job, string room, CircuitPurpose purpose) =>
        Put(
            job,
            job.Decisions.Boxes.First(b => b.Room == room && b.Kind == BoxKind.Receptacle).Id,
            job.Decisions.Circuits.First(c => c.Purpose == purpose).Number
        );

    /// <summary>Puts an appliance on the circuit of a room's receptacles, with a load if one is given.</summary>
    internal static Job Share(this Job job, string appliance, string room, double? va = null)
    {
        if (va is { } load)
            job = job.Plate(appliance, load);
        var box = job.Decisions.Boxes.Single(b => b.Appliance == appliance).Id;
        return Put(
            job,
            box,
            job.Decisions.Circuits.First(c =>
                job.Decisions.Boxes.Any(b => b.Room == room && b.Kind == BoxKind.Receptacle && c.Holds(b.Id))
            ).Number
        );
    }

    internal static Job Twin(this Job job, string appliance) =>
        job with
        {
            Appliances = job.Appliances.Add(job.Appliances.First(x => x.Type == appliance) with { Id = "twin" }),
        };

    // In a bedroom that is not the panel's room.
    internal static Job Meter(this Job job)
    {
        var room = job.Rooms.First(r => r.Id != job.Panels[0].Room && r.Kind == RoomKind.Bedroom).Id;
        return new PutOnWall("fixture:meter", room, 1, Length.Zero, Length.Inches(12)).Apply(job).Job!;
    }

    internal static Job Plate(this Job job, string appliance, double va) =>
        job with
        {
            Appliances =
            [
                .. job.Appliances.Select(a => a.Id == appliance ? a with { Nameplate = a.Nameplate with { VoltAmperes = va } } : a),
            ],
        };

    /// <summary>Puts all of a room on one circuit.</summary>
    internal static Job Gather(this Job job, string room)
    {
        var boxes = job.Decisions.Boxes.Where(b => b.Room == room).ToList();
        var number = job.Decisions.Circuits.First(c => boxes.Any(b => b.Kind == BoxKind.Light && c.Holds(b.Id))).Number;
        return boxes.Aggregate(job, (j, b) => Put(j, b.Id, number));
    }

    /// <summary>Moves the panel far away from a room by moving the room.</summary>
    internal static Job Far(this Job job, string room)
    {
        var by = Length.Feet(900);
        return job with
        {
            Rooms =
            [
                .. job.Rooms.Select(r => r.Id == room ? r with { Outline = [.. r.Outline.Select(p => new Point(p.X + by, p.Y))] } : r),
            ],
            Openings = job.Openings.RemoveAll(o => o.Room == room || o.To == room),
            Decisions = job.Decisions with
            {
                Boxes =
                [
                    .. job.Decisions.Boxes.Select(b => b.Room == room && b.At is { } at ? b with { At = new Point(at.X + by, at.Y) } : b),
                ],
            },
        };
    }

    /// <summary>Leaves only those one-pole breakers that sit on leg A.</summary>
    internal static Job AllOnOneLeg(this Job job)
    {
        var a = Analyzer.Analyze(job);
        return job with
        {
            Decisions = job.Decisions with
            {
                Spaces = job.Decisions.Spaces.RemoveAll(s =>
                    a.CircuitByNumber(s.Circuit)!.Poles == 1 && CodeLibrary.Newest.Supply.LineOf(s.Space) == 1
                ),
            },
        };
    }
}
