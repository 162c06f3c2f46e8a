using System.Diagnostics;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Circuits;
using Circuitum.Core.Codes;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Routing;

namespace Circuitum.Benchmarks;

/// <summary>
/// How long dividing takes and how good it gets, from ten outlets to a thousand: search beside the exact division, in one run.
/// </summary>
internal static class PlannerCurve
{
    private static readonly RoomKind[] Kinds =
    [
        RoomKind.Living,
        RoomKind.Bedroom,
        RoomKind.Hallway,
        RoomKind.Bedroom,
        RoomKind.Bathroom,
        RoomKind.Office,
        RoomKind.Bedroom,
        RoomKind.Den,
        RoomKind.Hallway,
        RoomKind.Bedroom,
    ];

    internal static void Run(int[] sizes)
    {
        Console.WriteLine(
            "rooms | boxes | of | things | first ms | first over | search ms | search over | 20x ms | 20x over | exact ms | "
                + "circuits that may be | proven gap % | tree bound under %"
        );
        Divide(BoxProposal.Propose(House(4)), quiet: true);
        foreach (var rooms in sizes.Length > 0 ? sizes : [3, 6, 15, 30, 60, 90, 150])
            Divide(BoxProposal.Propose(House(rooms)), quiet: false);
    }

    private static void Divide(Job job, bool quiet)
    {
        var house = HouseShape.Of(job);
        var work = new CircuitDraft(house, CodeLibrary.EditionOf(job));
        foreach (var g in GeneralGroups.Of(work, new CableRouter(house)).Where(g => g.Problem.Count > 0))
        {
            var p = g.Problem;
            var (exact, exactMs) = Timed(() => ZonePartition.Solve(p));
            var (first, firstMs) = Timed(() => new GroupSearch(p).First());
            var (search, searchMs) = Timed(() => new GroupSearch(p).Improve(first, GroupSearch.Rounds(p.Count)));
            var twenty = p.Count is > 40 and < 400
                ? Timed(() => new GroupSearch(p, 99).Improve(first, 20 * GroupSearch.Rounds(p.Count)))
                : default;
            if (quiet)
                continue;
            var best = exact?.Cost ?? search.Priced();
            string Over(GroupPlan? plan) => plan is null ? "" : $"{100.0 * (plan.Priced() - best) / best:0.00} %";
            Console.WriteLine(
                string.Join(
                    " | ",
                    job.Rooms.Length,
                    job.Decisions.Boxes.Length,
                    g.Purpose,
                    p.Count,
                    $"{firstMs:0.0}",
                    Over(first),
                    $"{searchMs:0}",
                    Over(search),
                    twenty.Value is null ? "" : $"{twenty.Ms:0}",
                    Over(twenty.Value),
                    $"{exactMs:0}",
                    exact?.Columns ?? 0,
                    exact is null ? "" : $"{100.0 * (exact.Cost - exact.Bound) / exact.Bound:0.00}",
                    $"{100.0 * (best - GroupBound.Cost(p)) / best:0}"
                )
            );
        }
    }

    private static (T Value, double Ms) Timed<T>(Func<T> work)
    {
        var watch = Stopwatch.StartNew();
        var value = work();
        return (value, watch.Elapsed.TotalMilliseconds);
    }

    /// <summary>Rooms on a grid, two storeys from ten rooms on, a door to the room on the left and to the one behind, no boxes.</summary>
    internal static Job House(int count)
    {
        var storeys = count < 10 ? 1 : 2;
        var each = (count + storeys - 1) / storeys;
        var wide = Math.Max(2, (int)Math.Ceiling(Math.Sqrt(each * 1.4)));
        var rooms = Enumerable
            .Range(0, count)
            .Select(i => Room(i, i % each % wide * 14.0, i % each / wide * 13.0, $"s{i / each}"))
            .ToList();
        var doors = Enumerable
            .Range(0, count)
            .SelectMany(i =>
                new[]
                {
                    (From: i, Wall: 1, To: i + 1, Is: i % each % wide < wide - 1 && i + 1 < count && (i + 1) / each == i / each),
                    (From: i, Wall: 2, To: i + wide, Is: i + wide < count && (i + wide) / each == i / each),
                }
            )
            .Where(d => d.Is)
            .Select(
                (d, n) =>
                    new Opening
                    {
                        Id = $"d{n}",
                        Room = rooms[d.From].Id,
                        Wall = d.Wall,
                        From = Length.Feet(3),
                        Width = Length.Feet(2.5),
                        To = rooms[d.To].Id,
                    }
            );
        return new Job
        {
            Name = $"{count} rooms",
            Storeys =
            [
                .. Enumerable
                    .Range(0, storeys)
                    .Select(s => new Storey
                    {
                        Id = $"s{s}",
                        Name = $"Storey {s + 1}",
                        Floor = Length.Feet(9 * s),
                    }),
            ],
            Rooms = [.. rooms],
            Openings = [.. doors],
            Panels =
            [
                new Panel
                {
                    Id = "main",
                    Name = "Main",
                    Room = "r0",
                    Wall = 3,
                    Along = Length.Feet(3),
                    Spaces = 84,
                    MainBreaker = 400,
                    BreakerFamily = "A",
                },
            ],
        };
    }

    private static Room Room(int i, double x, double y, string storey) =>
        new()
        {
            Id = $"r{i}",
            Name = $"Room {i}",
            Kind = Kinds[i % Kinds.Length],
            Storey = storey,
            Outline =
            [
                new(Length.Feet(x), Length.Feet(y)),
                new(Length.Feet(x + 13.6), Length.Feet(y)),
                new(Length.Feet(x + 13.6), Length.Feet(y + 12.6)),
                new(Length.Feet(x), Length.Feet(y + 12.6)),
            ],
        };
}
