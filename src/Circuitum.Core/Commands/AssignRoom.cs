using System.Collections.Immutable;
using Circuitum.Core.Circuits;
using Circuitum.Core.Codes;
using Circuitum.Core.Edits;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Commands;

/// <summary>
/// Puts all of a room that suits a circuit on it: its receptacles on a receptacle circuit, its lights and switches on a lighting one.
/// </summary>
/// <param name="Room">The room.</param>
/// <param name="Circuit">The circuit, or none for a new one, which takes the room's receptacles.</param>
public sealed record AssignRoom(string Room, int? Circuit) : JobCommand("move room to circuit")
{
    /// <summary>The boxes of a room that a circuit would take.</summary>
    public static ImmutableArray<string> Boxes(Job job, string room, int? circuit)
    {
        var edition = CodeLibrary.EditionOf(job);
        var purpose = job.Decisions.Circuits.FirstOrDefault(c => c.Number == circuit)?.Purpose ?? CircuitPurpose.Receptacles;
        bool Suits(CircuitPurpose own) =>
            own == purpose || (purpose == CircuitPurpose.Mixed && own is CircuitPurpose.Lighting or CircuitPurpose.Receptacles);
        return
        [
            .. job
                .Decisions.Boxes.Where(b => b.Room == room && b.Kind != BoxKind.SmokeAlarm && Suits(BoxPurpose.Of(job, edition, b)))
                .Select(b => b.Id),
        ];
    }

    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (job.RoomById(Room) is not { } room)
            return CommandResult.Refuse("That room is not there any more.");
        var boxes = Boxes(job, Room, Circuit);
        return boxes.Length == 0
            ? CommandResult.Refuse($"Nothing in {room.Name} belongs on {(Circuit is { } n ? $"circuit {n}" : "a receptacle circuit")}.")
            : new AssignBoxes(boxes, Circuit).Apply(job);
    }
}
