using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;

namespace Circuitum.Core.Checks;

/// <summary>Usual socket-outlets of a room.</summary>
internal sealed class BoardPointsRule : CheckedRule
{
    internal override string Id => "board.points";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        foreach (var shape in a.House.Rooms)
        {
            var usual = SocketRules.Usual(a.House, a.Edition.Board!, shape);
            var there = SocketRules.Count(a.Job.Decisions.Boxes.Where(b => b.Room == shape.Room.Id && !b.Outside));
            if (there < usual)
                yield return Breach(
                    a,
                    $"{shape.Room.Name} has {there} twin socket-outlet{(there == 1 ? "" : "s")}; {usual} are usual.",
                    Subject.Room(shape.Room.Id)
                );
        }
    }
}
