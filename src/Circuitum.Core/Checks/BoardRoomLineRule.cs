using Circuitum.Core.Analysis;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Checks;

/// <summary>All socket-outlets of a room on one line.</summary>
internal sealed class BoardRoomLineRule : CheckedRule
{
    internal override string Id => "board.roomLine";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        foreach (var room in a.Job.Rooms)
        {
            var lines = a
                .Circuits.Where(c => c.Boxes.Any(b => b.Kind == BoxKind.Receptacle && b.Room == room.Id) && a.RowOf(c) is not null)
                .Where(c => c.Board is { ThreeLines: false })
                .Select(c => (c.Number, Line: a.Edition.Supply.Names[a.Edition.Supply.LineOf(a.RowOf(c)!.Space)]))
                .ToList();
            if (lines.Select(l => l.Line).Distinct().Count() > 1)
                yield return Breach(
                    a,
                    $"The socket-outlets of {room.Name} are on lines {string.Join(" and ", lines.Select(l => l.Line).Distinct())}: "
                        + $"circuits {string.Join(", ", lines.Select(l => l.Number))}.",
                    Subject.Room(room.Id)
                );
        }
    }
}
