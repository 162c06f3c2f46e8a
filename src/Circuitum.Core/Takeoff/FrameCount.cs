using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;

namespace Circuitum.Core.Takeoff;

/// <summary>Counts what the frame takes: plates, bushings, seals, supports, by the drill list.</summary>
internal static class FrameCount
{
    internal static void Count(JobAnalysis a, Tally t)
    {
        var rules = CodeLibrary.Takeoff.Rules;
        foreach (var line in DrillList.Of(a).Lines)
        {
            foreach (var hole in line.Places)
            {
                // What serves several circuits counts with the first one through it.
                var first = hole[0];
                var circuit = a.CircuitByNumber(first.Circuit);
                var room = line.Member.Wall is { } wall ? wall.Id : a.Boxes[first.CableSegment.To].Room;
                var from = line.Member.Wall ?? new(SubjectKind.Run, first.CableSegment.To, first.CableSegment.From);
                var at = t.At(from, room, first.Circuit, circuit?.Panel, t.HeldOf(circuit));
                if (line.Plated)
                {
                    at.Add("nail-plate");
                    at.Work("nail-plate");
                }

                if (line.Bushed)
                    at.Add("bushing");
                if (line.Sealed)
                    at.Add("seal");
                if (line.Member.Kind == MemberKind.Plates && hole.Length >= rules.StackedFrom)
                    at.Add("stack", 1 + (hole.Max(c => c.Upright).Units / Math.Max(1, a.Job.Preferences.StapleEvery.Units)));
                at.Work(line.Member.Kind == MemberKind.Plates ? "drill-plate" : "drill-stud");
            }
        }
    }
}
