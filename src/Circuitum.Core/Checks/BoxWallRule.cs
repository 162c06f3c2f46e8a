using Circuitum.Core.Analysis;

namespace Circuitum.Core.Checks;

/// <summary>Receptacles along walls.</summary>
internal sealed class BoxWallRule : CheckedRule
{
    internal override string Id => "box.wall";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a) =>
        WallReach.Missed(a, code: true).Select(m => Breach(a, m.Words, Subject.Room(m.Room.Room.Id)) with { Fix = m.Fix });
}
