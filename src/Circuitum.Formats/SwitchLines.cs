using System.Xml;
using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Jobs;
using static Circuitum.Formats.PlanSvg;

namespace Circuitum.Formats;

/// <summary>
/// Draws what the picked switch controls, or by what the picked light is switched: a bowed, broken line as on any wiring plan.
/// </summary>
internal static class SwitchLines
{
    internal static void Draw(XmlWriter w, JobAnalysis a, PlanView view)
    {
        if (view.Selected.Split(':') is not ["box", var id] || a.Boxes.GetValueOrDefault(id) is not { } picked)
            return;
        var pairs =
            picked.Kind == BoxKind.Switch
                ? picked.Gangs.SelectMany(g => g.Lights).Select(l => (Switch: picked, Light: a.Boxes.GetValueOrDefault(l)))
                : a.Job.Decisions.Boxes.Where(b => b.Gangs.Any(g => g.Lights.Contains(id))).Select(b => (Switch: b, Light: (Box?)picked));
        foreach (var (from, light) in pairs)
        {
            if (light is null || a.House[light.Room].Room.Storey != view.Storey || a.House[from.Room].Room.Storey != view.Storey)
                continue;
            var (p, q) = (Places.Of(a.House, from), Places.Of(a.House, light));
            var (px, py, qx, qy) = (p.X.InInches, p.Y.InInches, q.X.InInches, q.Y.InInches);
            Shape(
                w,
                "path",
                "switching",
                (
                    "d",
                    $"M{N(px)} {N(py)}Q{N(((px + qx) / 2) + ((qy - py) * 0.18))} {N(((py + qy) / 2) - ((qx - px) * 0.18))} {N(qx)} {N(qy)}"
                )
            );
        }
    }
}
