using Circuitum.Core.Analysis;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Checks;

/// <summary>No pendant in a clothes closet.</summary>
internal sealed class BoxPendantRule : CheckedRule
{
    internal override string Id => "box.pendant";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a) =>
        a
            .Job.Decisions.Boxes.Where(b =>
                b is { Kind: BoxKind.Light, Fixture: LightStyle.Pendant, Outside: false } && a.House[b.Room].Room.Kind == RoomKind.Closet
            )
            .Select(b =>
                Breach(a, $"{a.House[b.Room].Room.Name}: {b.Id} is a pendant; none may hang in a clothes closet.", Subject.Box(b.Id)) with
                {
                    Fix = BoxFixes.Change("Make it a recessed one", b.Id, new() { Fixture = LightStyle.Recessed }),
                }
            );
}
