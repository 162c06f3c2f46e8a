using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;
using Circuitum.Core.Measure;
using Circuitum.Core.Routing;
using Circuitum.Core.Sizing;

namespace Circuitum.Core.Takeoff;

/// <summary>
/// Counts what is put in now where a circuit is only made ready for later: an empty conduit along its way, large enough for its wires, with
/// a pull line, a pull point after each four quarter bends (352.26, 358.26), and a box with a blank plate at its end.
/// </summary>
internal static class MadeReady
{
    private const string Kind = "pvc40";
    private const string LeastSize = "3/4";
    private const string Box = "m-sq-42";

    /// <summary>The material of a house without a circuit, with what makes ready for it.</summary>
    /// <param name="without">The house without it.</param>
    /// <param name="with">The house with it.</param>
    /// <param name="c">The circuit, alone for one piece of equipment.</param>
    internal static HouseMaterial Of(JobAnalysis without, JobAnalysis with, CircuitAnalysis c)
    {
        var tally = new Tally(with);
        foreach (var cable in c.Run.Cables)
            Conduit(with, c, cable, tally.At(c, cable));
        var last = with.Boxes[c.Run.Cables.Last().To];
        var end = tally.At(Subject.Box(last.Id), last.Room, c.Number, c.Panel);
        end.Add("box", 1, Box, CodeLibrary.Boxes[Box].In(with.Units).Name);
        end.Add("plate", 1, "2.blank", "two-gang blank plate");
        end.Work("set-box");
        var house = HouseMaterial.Of(without);
        return new(house.Pieces.AddRange(tally.Pieces), house.Labour.AddRange(tally.Labour));
    }

    private static void Conduit(JobAnalysis a, CircuitAnalysis c, CableSegment segment, TallyPlace at)
    {
        var (cable, route) = (c.CableOf(segment), a.RouteOf(segment));
        var ground = c.Wire is { } wire ? EquipmentGround.For(wire.Breaker, wire.Size, cable.Size, a.Edition) : cable.Size;
        var fill = ConduitFill.Of([new(cable.Size, cable.Conductors), new(ground, 1)], Kind, edition: a.Edition);
        var sizes = CodeLibrary.Conduit[Kind].Sizes;
        if (fill.Size is null)
            return;
        var least = sizes.First(s => s.Size == LeastSize);
        if (sizes.IndexOf(fill.Size) < sizes.IndexOf(least))
            fill = fill with { Size = least };
        var buried = a.Outside.Any(o => o.CableSegment == segment && o.Buried);
        var bends = Math.Max(1, route.Pieces.Count(p => p.Length > Length.Inches(1)) - 1);
        OutsideCount.Empty(at, fill, route.Length, buried, bends, bends * 90 / ConduitBends.Most);
    }
}
