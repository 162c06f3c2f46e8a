using System.Diagnostics;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Planning;
using Circuitum.Core.Review;
using Circuitum.Core.Routing;
using Circuitum.Formats;

namespace Circuitum.Benchmarks;

/// <summary>How long all ways of a house take: the demo house and a grid of rooms with as many boxes as asked for.</summary>
internal static class RouteCurve
{
    internal static void Run()
    {
        Console.WriteLine("house | boxes | frame ms | all routes ms | one wall moved, routes again ms");
        Show("demo", Planner.PlanAll(JobFile.Read(File.ReadAllText(Path.Combine(Root(), "demo", "tamarack-row.json"))).Job!));
        Show("60 rooms", Planner.PlanAll(BigHouse.Make()));

        // Two storeys of it, with closer receptacles: about a thousand boxes.
        var one = BigHouse.Make();
        var upper = one.Rooms.Select(r => r with { Id = $"u{r.Id}", Storey = "second" });
        Show(
            "120 rooms on two storeys",
            Planner.PlanAll(
                one with
                {
                    Storeys = one.Storeys.Add(
                        new Storey
                        {
                            Id = "second",
                            Name = "Second",
                            Floor = Core.Measure.Length.Feet(9),
                        }
                    ),
                    Rooms = [.. one.Rooms, .. upper],
                    Openings =
                    [
                        .. one.Openings,
                        .. one.Openings.Select(o =>
                            o with
                            {
                                Id = $"u{o.Id}",
                                Room = $"u{o.Room}",
                                To = o.To == Opening.Outside ? o.To : $"u{o.To}",
                            }
                        ),
                    ],
                    Preferences = one.Preferences with { ReceptacleReach = Core.Measure.Length.Feet(4) },
                }
            )
        );
    }

    private static void Show(string name, Job job)
    {
        var a = Analyzer.Analyze(job);
        var house = HouseShape.Of(job);
        var segments = a.Circuits.SelectMany(c => c.Run.Segments).ToList();
        var frame = Median(() => _ = new CableRouter(HouseShape.Of(job with { Rooms = [.. job.Rooms] })));
        var routes = Median(() =>
        {
            var runs = new CableRouter(house);
            foreach (var segment in segments)
                runs.Route(segment);
        });
        var again = Median(() =>
        {
            var room = job.Rooms[0];
            var moved = job with
            {
                Rooms = job.Rooms.SetItem(
                    0,
                    room with
                    {
                        Outline = [.. room.Outline.Select(p => p with { X = p.X - Core.Measure.Length.Inches(2) })],
                    }
                ),
            };
            var runs = new CableRouter(HouseShape.Of(moved));
            foreach (var segment in segments)
                runs.Route(segment);
        });
        Console.WriteLine($"{name} | {job.Decisions.Boxes.Length} | {frame:0.0} | {routes:0.0} | {again:0.0}");
    }

    private static double Median(Action work)
    {
        for (var i = 0; i < 5; i++)
            work();
        return Enumerable
            .Range(0, 15)
            .Select(_ =>
            {
                var watch = Stopwatch.StartNew();
                work();
                return watch.Elapsed.TotalMilliseconds;
            })
            .Order()
            .ElementAt(7);
    }

    private static string Root()
    {
        var at = new DirectoryInfo(AppContext.BaseDirectory);
        while (!Directory.Exists(Path.Combine(at!.FullName, "demo", "starters")))
            at = at.Parent;
        return at.FullName;
    }
}
