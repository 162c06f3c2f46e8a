using System.Diagnostics;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Circuits;
using Circuitum.Core.Commands;
using Circuitum.Core.Jobs;
using Circuitum.Core.Review;
using Circuitum.Formats;
using Circuitum.Formats.Documents;

namespace Circuitum.Benchmarks;

/// <summary>The largest house that is taken: each step once, cold, with the most memory that the process held until then.</summary>
internal static class LargeHouse
{
    internal static void Run(int rooms)
    {
        var bare = PlannerCurve.House(rooms);
        var boxed = Timed("propose boxes", () => BoxProposal.Propose(bare));
        Console.WriteLine($"{bare.Rooms.Length} rooms, {boxed.Decisions.Boxes.Length} boxes");
        var result = Timed("plan circuits, full search", () => new PlanCircuits(true).Apply(boxed));
        if (result.Job is not { } planned)
        {
            Console.WriteLine(result.Problem);
            return;
        }

        Console.WriteLine($"{planned.Decisions.Circuits.Length} circuits");
        var analysis = Timed("analyse", () => Analyzer.Analyze(planned));
        Timed("write", () => JobFile.Write(planned));
        Timed("draw a storey", () => PlanSvg.Draw(analysis, new PlanView("s0", PlanStage.Circuits)));
        Timed("packet", () => Papers.Make(analysis, "packet", 1, PaperSize.Letter));
        Timed("compare whole plans", () => PlanChoices.Of(planned));
    }

    private static T Timed<T>(string what, Func<T> work)
    {
        var watch = Stopwatch.StartNew();
        var value = work();
        var seconds = watch.Elapsed.TotalSeconds;
        using var self = Process.GetCurrentProcess();
        Console.WriteLine($"{what, -28} {seconds, 7:0.00} s, at most {self.PeakWorkingSet64 / 1_000_000} MB");
        return value;
    }
}
