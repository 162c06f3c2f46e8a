using System.Diagnostics;
using BenchmarkDotNet.Attributes;
using BenchmarkDotNet.Running;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Circuits;
using Circuitum.Core.Jobs;
using Circuitum.Core.Planning;
using Circuitum.Core.Review;
using Circuitum.Formats;
using Circuitum.Formats.Documents;

if (args is ["quick", .. var only])
    House.Quick(string.Join(' ', only));
else if (args is ["planner", .. var rooms])
    Circuitum.Benchmarks.PlannerCurve.Run([.. rooms.Select(int.Parse)]);
else if (args is ["solver-files", var folder])
    Circuitum.Benchmarks.SolverFiles.Write(folder);
else if (args is ["large", var size])
    Circuitum.Benchmarks.LargeHouse.Run(int.Parse(size));
else if (args is ["routes", ..])
    Circuitum.Benchmarks.RouteCurve.Run();
else if (args is ["picture"])
    Circuitum.Benchmarks.PictureReading.Run(House.Demo());
else if (args is ["picture", var what, var file, var wide, var tall])
    Circuitum.Benchmarks.PictureReading.One(what, file, double.Parse(wide), double.Parse(tall));
else if (args is ["load", var address, var people, var jobs, var minutes, .. var process])
    return await Circuitum.Benchmarks.LoadRun.RunAsync(
        address,
        int.Parse(people),
        int.Parse(jobs),
        double.Parse(minutes, System.Globalization.CultureInfo.InvariantCulture),
        process is [var id] ? int.Parse(id) : 0
    );
else if (args is ["houses", var count, .. var rest] && int.TryParse(count, out var houses))
    return Circuitum.Benchmarks.ManyHouses.Run(houses, rest is [var first] && int.TryParse(first, out var from) ? from : 0);
else if (args is ["same", var lines])
    return Circuitum.Benchmarks.SameAsBefore.Run(lines, null);
else if (args is ["same", var now, "--against", var before])
    return Circuitum.Benchmarks.SameAsBefore.Run(now, before);
else
    BenchmarkSwitcher.FromTypes([typeof(House)]).Run(args);
return 0;

/// <summary>The demo house: analysis, box proposal and circuit plan.</summary>
public class House
{
    private readonly Job rooms = Demo();
    private readonly Job planned = Planner.PlanAll(Demo());
    private readonly Circuitum.Core.Analysis.JobAnalysis plannedAnalysis = Analyzer.Analyze(Planner.PlanAll(Demo()));
    private readonly Circuitum.Core.Analysis.JobAnalysis manyBoxes = Analyzer.Analyze(Planner.PlanAll(BigHouse.Make()));
    private readonly Job oneMore = new Circuitum.Core.Commands.AddBox(
        BoxKind.Receptacle,
        "living",
        0,
        Circuitum.Core.Measure.Length.Feet(1),
        null
    )
        .Apply(Planner.PlanAll(Demo()))
        .Job!;
    private readonly Job big = BigHouse.Make();
    private readonly Circuitum.Core.Analysis.JobAnalysis bigAnalysis = Analyzer.Analyze(BigHouse.Make());

    [Benchmark]
    public int Analyze() => Analyzer.Analyze(planned).Findings.Length;

    [Benchmark]
    public int Propose() => BoxProposal.Propose(rooms).Decisions.Boxes.Length;

    [Benchmark]
    public int Circuits() => CircuitPlanning.Afresh(planned).Decisions.Circuits.Length;

    [Benchmark]
    public int AnalyzeBig() => Analyzer.Analyze(big).Findings.Length;

    [Benchmark]
    public int CheckBig() => Circuitum.Core.Intake.JobRules.Check(big).Count;

    [Benchmark]
    public int WriteBig() => JobFile.Write(big).Length;

    [Benchmark]
    public int DrawBoxes() => Draw(plannedAnalysis, PlanStage.Boxes);

    // The labels of circuits have the most to go around.
    [Benchmark]
    public int DrawCircuits() => Draw(plannedAnalysis, PlanStage.Circuits);

    [Benchmark]
    public int DrawRuns() => Draw(plannedAnalysis, PlanStage.Runs);

    // A storey of as many boxes as a large house has.
    [Benchmark]
    public int DrawManyBoxes() => Draw(manyBoxes, PlanStage.Circuits);

    private static int Draw(Circuitum.Core.Analysis.JobAnalysis a, PlanStage stage) => PlanSvg.Draw(a, new PlanView("first", stage)).Length;

    [Benchmark]
    public int DrawBig() => PlanSvg.Draw(bigAnalysis, new PlanView("first", PlanStage.Rooms)).Length;

    [Benchmark]
    public int Packet() =>
        Circuitum.Formats.Documents.Papers.Make(plannedAnalysis, "packet", 1, Circuitum.Formats.Documents.PaperSize.Letter).Length;

    [Benchmark]
    public int Takeoff() => Circuitum.Core.Takeoff.HouseMaterial.Of(plannedAnalysis).Lines.Length;

    private readonly Lazy<Circuitum.Core.Analysis.JobAnalysis> thousandBoxes = new(() =>
        Analyzer.Analyze(Planner.PlanAll(BigHouse.Make(140)))
    );

    [Benchmark]
    public int TakeoffThousand() => Circuitum.Core.Takeoff.HouseMaterial.Of(thousandBoxes.Value).Lines.Length;

    [Benchmark]
    public int Reels() => Circuitum.Core.Takeoff.CutPlan.Of(plannedAnalysis).Length;

    // Twenty different sets of cuts in turn.
    private static int cutSet;

    private static int Cuts(int count)
    {
        var random = new Random(cutSet++ % 20);
        int[] cuts = [.. Enumerable.Range(0, count).Select(_ => random.Next(60, 1100))];
        return Circuitum.Core.Takeoff.CutSolver.Solve(cuts, [300, 700, 1500], 3000).Coils;
    }

    // A receptacle is added to the planned house and finds a circuit.
    [Benchmark]
    public int OneMore() => new Circuitum.Core.Commands.PlanCircuits(false).Apply(oneMore).Job!.Decisions.Circuits.Length;

    [Benchmark]
    public int LargestPanel() => Circuitum.Core.Panels.SpacePlan.Fill(LargePanel, [], LargeNeeds, PanelOrder.ByNumber).Length;

    [Benchmark]
    public int PlanAll() => Planner.PlanAll(rooms).Decisions.Spaces.Length;

    // All lower spaces take tandems; fifty-eight circuits of uneven load.
    private static readonly Panel LargePanel = new()
    {
        Id = "p",
        Spaces = 42,
        TandemSpaces = [.. Enumerable.Range(19, 24)],
    };

    private static readonly List<Circuitum.Core.Panels.BreakerNeed> LargeNeeds =
    [
        .. Enumerable
            .Range(1, 58)
            .Select(i => new Circuitum.Core.Panels.BreakerNeed(i, 1, 20, 100 + (i * 613 % 1800), Protective: i <= 15)),
    ];

    // What everything else is measured against: the job written as text, which no change of the rules touches.
    [Benchmark(Baseline = true)]
    public int Write() => JobFile.Write(planned).Length;

    /// <summary>
    /// Medians of 200 runs after 50 to warm up, in one process, each also as a multiple of writing the job, measured in the same
    /// run: the multiple stays what it is on a slow or busy machine. Only those whose name begins as told, or all.
    /// </summary>
    internal static void Quick(string only)
    {
        var house = new House();
        var unit = 0.0;
        foreach (
            var (name, work) in new (string, Func<int>)[]
            {
                ("write the job", house.Write),
                ("analyze", house.Analyze),
                ("propose boxes", house.Propose),
                ("circuits afresh", house.Circuits),
                ("plan all", house.PlanAll),
                ("one box more", house.OneMore),
                ("packet", house.Packet),
                ("largest panel", house.LargestPanel),
                ("big analyze", house.AnalyzeBig),
                ("big check", house.CheckBig),
                ("big write", house.WriteBig),
                ("big draw", house.DrawBig),
                ("draw boxes", house.DrawBoxes),
                ("draw circuits", house.DrawCircuits),
                ("draw runs", house.DrawRuns),
                ("draw 400 boxes", house.DrawManyBoxes),
                ("takeoff", house.Takeoff),
                ("takeoff, 1000", house.TakeoffThousand),
                ("reels", house.Reels),
                ("reels, 30 cuts", () => Cuts(30)),
                ("reels, 300 cuts", () => Cuts(300)),
            }
        )
        {
            if (unit > 0 && name == "takeoff, 1000" && name.StartsWith(only, StringComparison.Ordinal))
                Console.WriteLine($"{house.thousandBoxes.Value.Job.Decisions.Boxes.Length} boxes");
            if (unit > 0 && !name.StartsWith(only, StringComparison.Ordinal))
                continue;
            for (var i = 0; i < 50; i++)
                work();
            var times = Enumerable
                .Range(0, 200)
                .Select(_ =>
                {
                    var watch = Stopwatch.StartNew();
                    work();
                    return watch.Elapsed.TotalMilliseconds;
                })
                .Order()
                .ToList();
            if (unit == 0)
                unit = times[100];
            Console.WriteLine(
                $"{name, -16} median {times[100]:0.0} ms, 95th percentile {times[190]:0.0} ms, {times[100] / unit:0.0} times "
                    + "writing the job"
            );
        }
    }

    internal static Job Demo()
    {
        var at = new DirectoryInfo(AppContext.BaseDirectory);
        while (at is not null && !File.Exists(Path.Combine(at.FullName, "demo", "tamarack-row.json")))
            at = at.Parent;
        return JobFile.Read(File.ReadAllText(Path.Combine(at!.FullName, "demo", "tamarack-row.json"))).Job!;
    }
}
