using Circuitum.Core.Analysis;
using Circuitum.Core.Commands;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Takeoff;

namespace Circuitum.Core.Checks;

/// <summary>Who makes panels or frames in steel has the sheet in time, and has the present one.</summary>
internal sealed class PlanBuildersRule : CheckedRule
{
    internal override string Id => "plan.builders";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        // The sheet is worth its time only where such a wall stands.
        if (a.Job.Decisions.Boxes.Length == 0 || Wall(a) is not { } wall || BuilderSheet.Of(a) is not { Matters: true } sheet)
            yield break;
        if (a.Job.BuildersTold == sheet.Mark)
            yield break;
        var what = a.Job.BuildersTold is null
            ? "What is built of insulated panels or steel cannot be changed afterwards: give their makers the sheet "
                + "\"Before others build\" while they still can."
            : "The plan is no longer what the builders were told: give them the sheet \"Before others build\" again.";
        yield return Breach(a, what, wall) with
        {
            Fix = new("They have it", new TellBuilders(true)),
        };
    }

    private static Subject? Wall(JobAnalysis a)
    {
        foreach (var room in a.House.Rooms)
        {
            for (var w = 0; w < room.Walls.Length; w++)
            {
                if (WallBody.Of(a.House, room, w).Build is WallBuild.InsulatedPanel or WallBuild.MetalStud)
                    return Subject.Wall(room.Room.Id, w);
            }
        }

        return null;
    }
}
