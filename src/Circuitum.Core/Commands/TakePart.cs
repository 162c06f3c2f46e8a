using Circuitum.Core.Circuits;
using Circuitum.Core.Edits;
using Circuitum.Core.Jobs;
using Circuitum.Core.Planning;

namespace Circuitum.Core.Commands;

/// <summary>Takes some of a plan with another aim: one of its circuits, as the comparison shows it.</summary>
/// <param name="Aim">The aim's name.</param>
/// <param name="Circuit">The circuit's number in that plan.</param>
public sealed record TakePart(string Aim, int Circuit) : JobCommand("take part of a plan")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (PlanAims.All.All(a => a.Name != Aim))
            return CommandResult.Refuse("There is no such plan.");
        var plan = PlanAims.Plan(job, PlanAims.All.First(a => a.Name == Aim).Weights);
        if (plan.Decisions.Circuits.FirstOrDefault(c => c.Number == Circuit) is not { Boxes.Length: > 0 } part)
            return CommandResult.Refuse($"That plan has no circuit {Circuit}.");
        var boxes = part.Boxes.Select(b => b.Box).ToHashSet();
        if (job.Decisions.Circuits.FirstOrDefault(c => c.Locked && c.Boxes.Any(b => boxes.Contains(b.Box))) is { } locked)
            return CommandResult.Refuse($"Circuit {locked.Number} is locked. Unlock it first.");

        // The circuit that holds most of them already keeps its number; what else it had is loose, and is planned again around it.
        var home = job
            .Decisions.Circuits.Where(c => c.Purpose == part.Purpose)
            .OrderByDescending(c => c.Boxes.Count(b => boxes.Contains(b.Box)))
            .ThenBy(c => c.Number)
            .FirstOrDefault(c => c.Boxes.Any(b => boxes.Contains(b.Box)));
        var loose = home is null
            ? job
            : job with
            {
                Decisions = job.Decisions with
                {
                    Circuits = job.Decisions.Circuits.Replace(
                        home,
                        home with
                        {
                            Boxes = [.. home.Boxes.Where(b => boxes.Contains(b.Box) || b.By == Origin.Person)],
                        }
                    ),
                },
            };
        return CommandResult.Checked(
            Planner.Numbered(job, Planner.PlanCircuits(CircuitMoves.Move(loose, boxes, home?.Number, part.Purpose).Job, PlanEffort.Full))
        );
    }
}
