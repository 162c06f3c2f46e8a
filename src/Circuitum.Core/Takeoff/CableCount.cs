using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;
using Circuitum.Core.Measure;
using Circuitum.Core.Routing;

namespace Circuitum.Core.Takeoff;

/// <summary>Counts cable with its staples, labels and marks, and feeders in the house.</summary>
internal static class CableCount
{
    internal static void Count(JobAnalysis a, Tally t)
    {
        var (totals, p) = (a.Cable, a.Job.Preferences);
        foreach (var c in a.Circuits.Where(c => c.Wire is not null))
        {
            foreach (var segment in c.Run.Cables)
            {
                var at = t.At(c, segment);
                var (name, cut) = totals.InHouse(c, segment);
                if (cut > Length.Zero)
                {
                    if (name.EndsWith(CableTotals.ForGround, StringComparison.Ordinal))
                        at.Along("cable-ground", cut, $"{c.CableOf(segment)}");
                    else
                        at.Along("cable", cut, name);
                    at.Work("pull-foot", cut);
                    at.Work("pull-piece");
                }

                var staples = DrillList.StaplesOf(p, segment, a.RouteOf(segment));
                at.Add("staple", staples);
                at.Work("staple", staples);
                if (segment.From is null && segment.Via is null)
                    at.Add("label", 2);
                at.Add("remark", Remarked(c, segment));
            }
        }
    }

    // The white wire is hot at both ends of a circuit of two lines without neutral, and where a loop needs it beside the neutral.
    private static int Remarked(CircuitAnalysis c, CableSegment segment) =>
        c.Load.Connection == Connection.TwoLines && c.CableOf(segment).Conductors == 2 ? 2 : 0;

    /// <summary>The clamps where cables come into metal boxes and panels.</summary>
    internal static void Clamps(JobAnalysis a, Tally t)
    {
        foreach (var box in a.Job.Decisions.Boxes)
        {
            if (a.Specs[box.Id] is { Entry.Metal: true, Entry.Clamps: false } spec)
                t.At(box).Add("clamp", spec.Cables.Length);
        }

        foreach (var c in a.Circuits.Where(c => c.Wire is not null && !c.Carried && a.Panels.Length > 0))
        {
            foreach (var segment in c.Run.Cables.Where(h => h.From is null && h.Via is null))
                t.At(c, segment).Add("clamp");
        }

        foreach (var feeder in a.Panels.Select(p => p.Feeder).OfType<Feeder>().Where(f => f.Conduit is null))
            t.At(Subject.Panel(feeder.To), a.PanelById(feeder.To)!.Panel.Room, panel: feeder.To).Add("clamp", 2);
    }
}
