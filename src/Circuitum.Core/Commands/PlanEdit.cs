using Circuitum.Core.Edits;
using Circuitum.Core.Geometry;
using Circuitum.Core.Intake;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Commands;

/// <summary>What every edit of the plan ends with.</summary>
internal static class PlanEdit
{
    // Rounding of skew walls may make two rooms touch; more than this is a mistake of the hand.
    private const double LeastOverlapSqFt = 0.1;

    /// <summary>The changed job if its document is right and it brought no two rooms over each other.</summary>
    internal static CommandResult Finish(Job before, Job after)
    {
        var result = CommandResult.Checked(after);
        if (result.Job is null)
            return result;
        var old = before.Rooms.ToDictionary(r => r.Id);
        foreach (var room in after.Rooms.Where(r => !old.TryGetValue(r.Id, out var was) || !was.Outline.SequenceEqual(r.Outline)))
        {
            foreach (var other in after.Rooms.Where(r => r.Id != room.Id && r.Storey == room.Storey))
            {
                var now = HouseShape.OverlapSqFt(room, other);
                if (now < LeastOverlapSqFt)
                    continue;
                var then = old.TryGetValue(room.Id, out var a) && old.TryGetValue(other.Id, out var b) ? HouseShape.OverlapSqFt(a, b) : 0;
                if (now > then + 0.01)
                    return CommandResult.Refuse($"{JobRules.Short(room.Name)} would lie over {JobRules.Short(other.Name)}.");
            }
        }

        return result;
    }

    internal static string Gone(string what) => $"That {what} is not there any more.";
}
