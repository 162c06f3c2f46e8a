using System.Collections.Immutable;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Drafting;

/// <summary>Carries everything that is given by a wall along when the walls of a room change.</summary>
internal static class Anchors
{
    /// <summary>Maps each thing on a room's walls to a new place. What maps to none is taken away.</summary>
    /// <param name="job">The job with the old outline.</param>
    /// <param name="room">The room.</param>
    /// <param name="map">The new place of a thing.</param>
    internal static Job Map(Job job, string room, Func<Anchor, Hold, Anchor?> map)
    {
        Anchor? Of(int wall, Length from, Length width, Hold hold) => map(new(room, wall, from, width), hold);
        var d = job.Decisions;
        return job with
        {
            Walls = Each(
                job.Walls,
                w => w.Room == room,
                w => Of(w.Wall, Length.Zero, Length.Zero, Hold.Corner) is { } a ? w with { Room = a.Room, Wall = a.Wall } : null
            ),
            Openings = Each(
                job.Openings,
                o => o.Room == room,
                o => Of(o.Wall, o.From, o.Width, Hold.Place) is { } a ? o with { Room = a.Room, Wall = a.Wall, From = a.From } : null
            ),
            Counters = Each(
                job.Counters,
                c => c.Room == room && c.Spot.Wall is not null,
                c => Put(c.Spot) is { } a ? c with { Room = a.Room, Spot = On(c.Spot, a) } : null
            ),
            Fixtures = Each(
                job.Fixtures,
                f => f.Room == room && f.Spot.Wall is not null,
                f => Put(f.Spot) is { } a ? f with { Room = a.Room, Spot = On(f.Spot, a) } : null
            ),
            Appliances = Each(
                job.Appliances,
                x => x.Room == room && x.Spot.Wall is not null,
                x => Put(x.Spot) is { } a ? x with { Room = a.Room, Spot = On(x.Spot, a) } : null
            ),
            Panels = Each(
                job.Panels,
                p => p.Room == room,
                p => Of(p.Wall, p.Along, Length.Zero, Hold.Place) is { } a ? p with { Room = a.Room, Wall = a.Wall, Along = a.From } : null
            ),
            Decisions = d with
            {
                Boxes = Each(
                    d.Boxes,
                    b => b.Room == room && b.Wall is not null,
                    b =>
                        Of(b.Wall!.Value, b.Along, Length.Zero, Hold.Place) is { } a
                            ? b with
                            {
                                Room = a.Room,
                                Wall = a.Wall,
                                Along = a.From,
                            }
                            : null
                ),
                Refused = Each(
                    d.Refused,
                    b => b.Room == room && b.Wall is not null,
                    b =>
                        Of(b.Wall!.Value, b.Along, Length.Zero, Hold.Place) is { } a
                            ? b with
                            {
                                Room = a.Room,
                                Wall = a.Wall,
                                Along = a.From,
                            }
                            : null
                ),
            },
        };

        Anchor? Put(Spot spot) => Of(spot.Wall!.Value, spot.From, spot.Width, Hold.Corner);
        static Spot On(Spot spot, Anchor a) => spot with { Wall = a.Wall, From = a.From, Width = a.Width };
    }

    /// <summary>Maps the plan place of each thing that stands free in a room, or in every room.</summary>
    /// <param name="job">The job.</param>
    /// <param name="room">Which rooms.</param>
    /// <param name="at">The new place of a point.</param>
    /// <param name="spot">The new rectangle of a free thing.</param>
    internal static Job Free(Job job, Func<string, bool> room, Func<Point, Point> at, Func<Spot, Spot> spot)
    {
        var d = job.Decisions;
        return job with
        {
            Counters = Each(job.Counters, c => room(c.Room) && c.Spot.At is not null, c => c with { Spot = spot(c.Spot) }),
            Fixtures = Each(job.Fixtures, c => room(c.Room) && c.Spot.At is not null, c => c with { Spot = spot(c.Spot) }),
            Appliances = Each(job.Appliances, c => room(c.Room) && c.Spot.At is not null, c => c with { Spot = spot(c.Spot) }),
            Wishes = Each(job.Wishes, w => room(w.Room), w => w with { At = at(w.At) }),
            Decisions = d with
            {
                Boxes = Each(d.Boxes, b => room(b.Room) && b.At is not null, b => b with { At = at(b.At!.Value) }),
                Refused = Each(d.Refused, b => room(b.Room) && b.At is not null, b => b with { At = at(b.At!.Value) }),
            },
        };
    }

    /// <summary>Maps the room that free things belong to.</summary>
    internal static Job Rehouse(Job job, string room, Func<Point, string> to)
    {
        var d = job.Decisions;
        string Of(Spot s) => to(new(s.At!.Value.X + (s.Width / 2), s.At.Value.Y + (s.Depth / 2)));
        return job with
        {
            Counters = Each(job.Counters, c => c.Room == room && c.Spot.At is not null, c => c with { Room = Of(c.Spot) }),
            Fixtures = Each(job.Fixtures, c => c.Room == room && c.Spot.At is not null, c => c with { Room = Of(c.Spot) }),
            Appliances = Each(job.Appliances, c => c.Room == room && c.Spot.At is not null, c => c with { Room = Of(c.Spot) }),
            Wishes = Each(job.Wishes, w => w.Room == room, w => w with { Room = to(w.At) }),
            Decisions = d with
            {
                Boxes = Each(d.Boxes, b => b.Room == room && b.At is not null, b => b with { Room = to(b.At!.Value) }),
                Refused = Each(d.Refused, b => b.Room == room && b.At is not null, b => b with { Room = to(b.At!.Value) }),
            },
        };
    }

    private static ImmutableArray<T> Each<T>(ImmutableArray<T> all, Func<T, bool> which, Func<T, T?> to)
        where T : class => [.. all.Select(x => which(x) ? to(x) : x).OfType<T>()];
}
