using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Routing;
using Circuitum.Core.Sizing;

namespace Circuitum.Core.Takeoff;

/// <summary>Counts conduit and single wires outside, and feeders.</summary>
internal static class OutsideCount
{
    internal static void Count(JobAnalysis a, Tally t)
    {
        var slack = a.Job.Preferences.BoxMakeUp * 2;
        foreach (var o in a.Outside)
        {
            var at = t.At(a.CircuitByNumber(o.Circuit)!, o.CableSegment);
            if (o.Buried)
                Trench(at, Ground(o.Length, o.Depth));
            if (o.Fill?.Size is null)
                continue;
            foreach (var w in o.Wires)
                Wire(at, (o.Length + slack) * w.Count, w.Size, "copper");
            Conduit(at, o.Fill, o.Length, o.Buried ? Ground(o.Length, o.Depth) : Length.Zero, Quarters(o.Bends), Walls(a, o.CableSegment));
        }

        foreach (var panel in a.Panels)
        {
            if (panel.Feeder is { Wire: not null } feeder)
                Feeder(a, t, panel.Panel, feeder);
        }
    }

    // The conduit turns into a wall at each end that is within doors; a panel always is.
    private static int Walls(JobAnalysis a, CableSegment cable) =>
        new[] { cable.From, cable.To }.Count(end => end is null || a.Boxes[end] is { Outside: false } box && !a.Job.KindAt(box).OpenAir());

    private static void Feeder(JobAnalysis a, Tally t, Panel panel, Feeder f)
    {
        var at = t.At(Subject.Panel(panel.Id), panel.Room, panel: panel.Id);
        var outside = f.Run.Outside is not null;
        BuyStage? stage = outside ? BuyStage.Outside : null;
        var metal = panel.AluminumFeeder ? "aluminum" : "copper";
        at.Work("pull-piece");
        at.Work("pull-foot", f.Cut);
        if (panel.AluminumFeeder)
            at.Add("antioxidant", 6);
        if (f.Run.Buried)
            Trench(at, f.Run.OutsideLength);
        if (f.Conduit?.Size is null)
        {
            at.Along("feeder-cable", f.Cut, MaterialItem.KeyOf(f.Made), f.Made, stage);
            return;
        }

        Wire(at, f.Cut * 3, f.Wire!.Size, metal, stage ?? BuyStage.RoughIn);
        Wire(at, f.Cut, f.Ground, "copper", stage ?? BuyStage.RoughIn);
        Conduit(at, f.Conduit, f.Route.Length, f.Run.Buried ? f.Run.OutsideLength : Length.Zero, Quarters(f.Run.Bends), outside ? 2 : 0);
    }

    private static void Wire(TallyPlace at, Length length, WireSize size, string metal, BuyStage? stage = null) =>
        at.Along("wire", length, $"{size}-{metal}", $"{size} {metal}", stage);

    // What goes down into the ground and comes up again is no trench.
    private static Length Ground(Length way, Length depth) => Length.Max(Length.Zero, way - (depth * 2));

    private static void Trench(TallyPlace at, Length length)
    {
        at.Along("trench-tape", length);
        at.Work("trench-foot", length);
    }

    private static int Quarters(ConduitBends? bends) => bends is null ? 0 : (int)Math.Round(bends.Stretches.Sum() / 90.0);

    /// <summary>Counts a conduit that is left empty, in the house or out of it.</summary>
    internal static void Empty(TallyPlace at, ConduitFill fill, Length length, bool buried, int sweeps, int pullPoints)
    {
        if (buried)
            Trench(at, length);
        Conduit(at, fill, length, buried ? length : Length.Zero, sweeps, pullPoints);
    }

    private static void Conduit(TallyPlace at, ConduitFill fill, Length length, Length inGround, int sweeps, int walls)
    {
        var rules = CodeLibrary.Takeoff.Rules;
        var size = fill.Size!.Size;
        var (key, words) = ($"{fill.Kind.Id}.{size}", $"{fill.Size.Told(at.Tally.House.Units)} {fill.Kind.Name}");
        var straight = Math.Max(0, (int)Math.Ceiling(length.InFeet / rules.StickFeet) - 1);
        at.Along("conduit", length, key, words);
        at.Add("sweep", sweeps, key, words);
        at.Add("coupling", straight + sweeps, key, words);
        at.Add("adapter", rules.AdaptersPerRun, key, words);
        at.Add("conduit-body", walls * rules.BodiesPerWall, key, words);
        at.Add("strap", 2 + (long)((length - inGround).InFeet / rules.StrapEveryFt), key, words);
        if (fill.Kind.Id.StartsWith("pvc", StringComparison.Ordinal))
            at.Add("cement", (2 * (straight + sweeps + (walls * rules.BodiesPerWall))) + rules.AdaptersPerRun);
        at.Along("pull-line", length);
        at.Work("conduit-foot", length);
    }
}
