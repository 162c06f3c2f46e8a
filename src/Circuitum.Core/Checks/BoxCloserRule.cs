using Circuitum.Core.Analysis;

namespace Circuitum.Core.Checks;

/// <summary>Receptacles closer than the code asks for.</summary>
internal sealed class BoxCloserRule : CheckedRule
{
    internal override string Id => "box.closer";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a) =>
        WallReach.Missed(a, code: false).Select(m => Breach(a, m.Words, Subject.Room(m.Room.Room.Id)) with { Fix = m.Fix });
}
