using Circuitum.Core.Circuits;
using Circuitum.Core.Edits;
using Circuitum.Core.Jobs;
using Circuitum.Core.Planning;

namespace Circuitum.Core.Commands;

/// <summary>Pins what a person wants of rooms in the division; what stands is moved as far as that asks.</summary>
/// <param name="Pin">What is wanted; it replaces what was pinned of the same rooms.</param>
public sealed record PinRooms(RoomPin Pin) : JobCommand("pin rooms")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (job.Decisions.Pins.Contains(Pin))
            return CommandResult.Refuse("That is pinned already.");
        if (job.RoomById(Pin.Room) is null || (Pin.Other is { } other && job.RoomById(other) is null))
            return CommandResult.Refuse("That room is not there any more.");
        var pinned = job with { Decisions = job.Decisions with { Pins = [.. job.Decisions.Pins.Where(p => !Pin.Replaces(p)), Pin] } };
        if (CommandResult.Checked(pinned) is { Job: null } refused)
            return refused;
        return CommandResult.Checked(pinned.Decisions.Circuits.Length == 0 ? pinned : Planner.PlanCircuits(pinned, PlanEffort.Full));
    }
}
