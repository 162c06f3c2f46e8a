using Circuitum.Core.Edits;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Commands;

/// <summary>
/// Feeds a box from the line side of a protective device, so that the device does not protect it, or from its load side again.
/// </summary>
/// <param name="Box">The box.</param>
/// <param name="LineSide">From the line side.</param>
public sealed record FeedFromLine(string Box, bool LineSide) : JobCommand(LineSide ? "feed from the line side" : "feed from the load side")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (job.Decisions.Circuits.FirstOrDefault(c => c.Holds(Box)) is not { } circuit)
            return CommandResult.Refuse("That box is on no circuit.");
        return CommandResult.Checked(
            job with
            {
                Decisions = job.Decisions with
                {
                    Circuits = job.Decisions.Circuits.Replace(
                        circuit,
                        circuit with
                        {
                            Boxes = [.. circuit.Boxes.Select(b => b.Box == Box ? b with { LineSide = LineSide } : b)],
                        }
                    ),
                },
            }
        );
    }
}
