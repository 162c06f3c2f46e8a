using Circuitum.Core.Analysis;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Formats;

/// <summary>The box schedule as CSV: one line a box, cells safe to open in a spreadsheet.</summary>
public static class BoxScheduleCsv
{
    private static readonly string[] Head = ["Room", "Box", "Mark", "Device", "Where", "Height", "Box to set", "Stud", "Held for", "By"];

    /// <summary>Writes it.</summary>
    public static string Write(JobAnalysis a) =>
        ScheduleCsv.Lines(
            BoxSchedule
                .Of(a)
                .SelectMany(r =>
                    r.Lines.Select(l =>
                        new[]
                        {
                            r.Room.Room.Name,
                            l.Box.Id,
                            l.Spec.Mark,
                            l.Spec.Device,
                            l.Place,
                            l.Height,
                            l.Spec.Entry?.Name ?? "",
                            l.Spec.Stud is { } s
                                ? $"{(s.Side == StudSide.Left ? "left" : "right")} of {LengthText.Show(s.FromLeft, a.Units)}"
                                    + $"{(s.Needs.Length > 0 ? $", {s.Needs}" : "")}"
                                : "",
                            l.Box.Held?.WaitsFor ?? "",
                            l.Box.By == Origin.Person ? "person" : "planner",
                        }
                    )
                )
                .Prepend(Head)
        );
}
