using Circuitum.Core.Analysis;
using Circuitum.Core.Measure;
using Circuitum.Formats.Drawings;

namespace Circuitum.Formats;

/// <summary>
/// Service, panels and feeders as one line: from the utility through the meter to the panel at the service and on to the others.
/// </summary>
public static class OneLine
{
    // What an edition asks for between the utility and the panel.
    private static readonly string[] BeforeThePanel = ["service.emergency", "service.surge"];

    private const string Label = "One-line drawing of service, panels and feeders";

    private const float Left = 60,
        PanelWide = 250,
        PanelTall = 86,
        Step = 130,
        Indent = 60;

    /// <summary>The drawing.</summary>
    /// <param name="a">The analysis.</param>
    public static Drawing Of(JobAnalysis a)
    {
        var pen = new Pen();
        if (a.Panels.Length == 0)
        {
            pen.Text(20, 30, "No panel yet.");
            return pen.Done("one-line", Label, 200, 50);
        }

        var sheet = ServiceSheet.Of(a);
        pen.Text(Left - 40, 22, "Utility", 12, true);
        pen.Line(Left, 30, Left, 62, 2);
        pen.Circle(Left, 78, 16);
        pen.Text(Left - 5, 82, "M", 12, true);
        pen.Text(Left + 26, 74, $"{a.Edition.Supply.Name}, {a.Edition.Supply.Lines}; {sheet.Conductors.Result}", 11);
        pen.Text(
            Left + 26,
            90,
            string.Join(
                ", ",
                BeforeThePanel
                    .Where(a.Edition.InForce)
                    .Select(id => $"{a.Edition.Rule(id).Title.ToLowerInvariant()} ({a.Edition.Cite(id)})")
                    .Prepend("Meter")
            ),
            11
        );
        pen.Line(Left, 94, Left, 130, 2);

        // Each panel under the one that feeds it, farther in the deeper it is.
        var depth = new Dictionary<string, int>();
        var place = new Dictionary<string, (float X, float Y)>();
        var y = 130f;
        var wide = 560f;
        foreach (var at in a.Panels)
        {
            depth[at.Panel.Id] = at.Feeder is { } from ? depth[from.From] + 1 : 0;
            var x = Left - 30 + (depth[at.Panel.Id] * (PanelWide + Indent) * 0.5f);
            place[at.Panel.Id] = (x, y);
            pen.Box(x, y, x + PanelWide, y + PanelTall, 2);
            pen.Text(x + 10, y + 18, at.Panel.Name.Length > 34 ? at.Panel.Name[..33] + "\u2026" : at.Panel.Name, 13, true);
            pen.Text(
                x + 10,
                y + 36,
                at.Feeder is null ? $"{at.Panel.MainBreaker} A main, neutral bonded to ground here"
                    : at.Panel.MainLugs ? "main lugs, neutral and ground apart"
                    : $"{at.Panel.MainBreaker} A main, neutral and ground apart",
                11
            );
            var circuits = a.Circuits.Count(c => c.Panel == at.Panel.Id);
            pen.Text(
                x + 10,
                y + 52,
                $"{at.Panel.Spaces} spaces, {at.SpacesUsed} taken, {circuits} branch circuit{(circuits == 1 ? "" : "s")}",
                11
            );
            pen.Text(
                x + 10,
                y + 68,
                at.Feeder is { } f
                    ? $"load {f.Load.Current.Value:0.0} A"
                    : $"load {a.Service.Current.Value:0.0} A, {sheet.Used * 100:0} percent",
                11
            );
            if (at.Feeder is null || at.Feeder.ToBuilding)
                Electrode(
                    x + PanelWide,
                    y + 40,
                    at.Feeder is null
                        ? sheet.Conductors.Steps.FirstOrDefault(s => s.What == ServiceSheet.ElectrodeConductor)?.Result ?? ""
                        : "electrode of its own"
                );
            if (at.Feeder is { } feeder)
            {
                var (px, py) = place[feeder.From];
                var down = px + 24 + (12 * depth[at.Panel.Id]);
                pen.Line(down, py + PanelTall, down, y + 30, 2);
                pen.Line(down, y + 30, x, y + 30, 2);
                pen.Text(
                    down + 8,
                    y - 8,
                    $"{feeder.Breaker} A, {feeder.Made}, {LengthText.Far(feeder.Cut, a.Units)}, drop {feeder.DropPercent:0.0} percent",
                    11
                );
            }

            wide = Math.Max(wide, x + PanelWide + 200);
            y += Step;
        }

        return pen.Done("one-line", Label, wide, y);

        // Three lines, each shorter than the one over it.
        void Electrode(float x, float at, string wire)
        {
            pen.Line(x, at, x + 26, at);
            pen.Line(x + 26, at, x + 26, at + 16);
            for (var n = 0; n < 3; n++)
                pen.Line(x + 14 + (4 * n), at + 16 + (5 * n), x + 38 - (4 * n), at + 16 + (5 * n));
            pen.Text(x + 44, at + 22, wire, 10);
        }
    }
}
