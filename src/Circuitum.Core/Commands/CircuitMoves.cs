using Circuitum.Core.Circuits;
using Circuitum.Core.Codes;
using Circuitum.Core.Intake;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Commands;

/// <summary>Moves boxes between circuits in the document.</summary>
public static class CircuitMoves
{
    /// <summary>The job with boxes on a circuit, put there by a person, and that circuit's number. Spaces are not laid out anew.</summary>
    /// <param name="job">The job.</param>
    /// <param name="boxes">The boxes.</param>
    /// <param name="circuit">The circuit, or none for a new one.</param>
    /// <param name="purpose">What a new circuit is for; none goes by the first box.</param>
    public static (Job Job, int Number) Move(Job job, IReadOnlySet<string> boxes, int? circuit, CircuitPurpose? purpose = null)
    {
        var number = circuit ?? Enumerable.Range(1, JobRules.MostCircuits + 1).First(n => job.Decisions.Circuits.All(c => c.Number != n));
        CircuitBox[] members =
        [
            .. job
                .Decisions.Boxes.Where(b => boxes.Contains(b.Id) && b.Serves is null)
                .Select(b => new CircuitBox { Box = b.Id, By = Origin.Person }),
        ];
        var circuits = job
            .Decisions.Circuits.Select(c =>
                c with
                {
                    Boxes = [.. c.Boxes.Where(b => !boxes.Contains(b.Box)), .. c.Number == number ? members : []],
                }
            )
            .ToList();
        if (circuit is null)
        {
            var edition = CodeLibrary.EditionOf(job);
            var kind = purpose
                ?? job.Decisions.Boxes.Where(b => boxes.Contains(b.Id))
                    .Select(b => BoxPurpose.Of(job, edition, b))
                    .GroupBy(p => p)
                    .OrderByDescending(g => g.Count())
                    .First()
                    .Key;
            circuits.Add(
                new Circuit
                {
                    Number = number,
                    Purpose = kind,
                    Boxes = [.. members],
                    By = Origin.Person,
                }
            );
        }

        // What is pulled stays pulled: the record goes with the box in which that home run ends, to a new circuit or to the one
        // that takes in all of its own.
        var emptied = circuits.Where(c => c.Boxes.Length == 0).Select(c => c.Number).ToHashSet();
        var pulled = job.Decisions.Pulled.Select(p =>
            boxes.Contains(p.To) && (circuit is null || emptied.Contains(p.Circuit)) ? p with { Circuit = number } : p
        );
        job = job with { Decisions = job.Decisions with { Pulled = [.. pulled] } };

        // A circuit that lost its last box goes, and its breaker with it, unless a person made it for later.
        circuits.RemoveAll(c => c.Boxes.Length == 0 && c.By == Origin.Planner);
        var left = circuits.Select(c => c.Number).ToHashSet();
        return (
            job with
            {
                Decisions = (
                    job.Decisions with
                    {
                        Circuits = [.. circuits.OrderBy(c => c.Number)],
                        Spaces = [.. job.Decisions.Spaces.Where(s => left.Contains(s.Circuit))],
                    }
                ).WithoutLostPairs(),
            },
            number
        );
    }
}
