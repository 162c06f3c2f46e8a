using Circuitum.Core.Analysis;
using Circuitum.Core.Commands;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Tests;

/// <summary>What changed since a set was issued.</summary>
public class ChangesSinceTests
{
    private static readonly Job Issued = CheckTests.PlannedWhole;

    private static readonly JobAnalysis Before = Analyzer.Analyze(Issued);

    [Fact]
    public void Nothing_has_changed_in_the_same_job()
    {
        var none = ChangesSince.Of(Before, Before);
        none.List.ShouldBeEmpty();
        none.Boxes.ShouldBeEmpty();
    }

    [Fact]
    public void Boxes_that_are_new_moved_gone_or_on_another_circuit_are_told_and_marked()
    {
        var receptacles = Issued
            .Decisions.Boxes.Where(b => b.Room == "bedroom" && b.Kind == BoxKind.Receptacle && b.Wall is not null)
            .ToList();
        var (moved, gone, taken) = (receptacles[0], receptacles[1], receptacles[2]);
        var other = Before.Circuits.First(c =>
            c.Circuit.Purpose == CircuitPurpose.Receptacles && c != Before.CircuitOf(taken.Id)
            || c.Circuit.Purpose == CircuitPurpose.Lighting
        );
        var job = new MoveBox(moved.Id, moved.Wall, moved.Along + Length.Inches(14), null).Apply(Issued).Job!;
        job = new RemoveBox(gone.Id).Apply(job).Job!;
        job = new AssignBox(taken.Id, other.Number).Apply(job).Job!;
        job = new AddBox(BoxKind.Receptacle, "hall", 1, Length.Feet(8), null).Apply(job).Job!;
        var after = Analyzer.Analyze(job);
        var added = job.Decisions.Boxes.Single(b => !Before.Boxes.ContainsKey(b.Id));
        var since = ChangesSince.Of(Before, after);
        since.Boxes.ShouldContain(moved.Id);
        since.Boxes.ShouldContain(taken.Id);
        since.Boxes.ShouldContain(added.Id);
        since.Boxes.ShouldNotContain(gone.Id);
        since.List.ShouldContain(c => c.What == $"Box {moved.Id}, bedroom: moved 1'-2\".");
        since.List.ShouldContain(c => c.What == $"Box {gone.Id}: gone.");
        since.List.ShouldContain(c => c.What.Contains($"from circuit {Before.CircuitOf(taken.Id)!.Number} to {other.Number}"));
        since.List.ShouldContain(c => c.What == $"Box {added.Id}, hall: new.");
    }
}
