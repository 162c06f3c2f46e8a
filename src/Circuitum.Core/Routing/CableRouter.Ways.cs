using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Routing;

// The way of each cable through the frame.
public sealed partial class CableRouter
{
    /// <summary>Way from a panel to a box, or zero when the job has no panel.</summary>
    /// <param name="box">The box.</param>
    /// <param name="of">The panel; none takes the nearest one.</param>
    public Length FromPanel(string box, string? of = null)
    {
        if (panels.Count == 0)
            return Length.Zero;
        if (of is null && panels.Count > 1)
            return job.Panels.Select(p => FromPanel(box, p.Id)).Min();
        var id = PanelOf(of)!;
        if (fromPanel.TryGetValue((id, box), out var way))
            return way;
        fromPanel[(id, box)] = way = ByField(
            Panel + id,
            box,
            panels[id].At,
            panels[id].Z,
            places[box].At,
            places[box].Z,
            job.Preferences.RunBy
        );
        return way;
    }

    /// <summary>The way of a feeder from panel to panel.</summary>
    /// <param name="from">The panel that feeds.</param>
    /// <param name="to">The one that is fed.</param>
    public CableRoute Feeder(string from, string to)
    {
        return ways.Route(Panel + from, Panel + to, job.Preferences.RunBy)
            ?? Underground(to, panels[from].At, panels[from].Z, panels[to].At, panels[to].Z);
    }

    /// <summary>Whether a feeder leaves the house.</summary>
    public bool FeederOutside(string from, string to)
    {
        return ways.Outside(Panel + from, Panel + to);
    }

    /// <summary>Way from box to box: through the studs where a wall leads there without a doorway, else by a field.</summary>
    public Length Between(string from, string to)
    {
        var (a, b) = (places[from], places[to]);
        if (between.TryGetValue((a.Number, b.Number), out var way))
            return way;
        between[(a.Number, b.Number)] = way = InStuds(a, b) is { } along ? along.Way : ByField(from, to, a.At, a.Z, b.At, b.Z, Chains);
        return way;
    }

    /// <summary>What the way from box to box cannot be shorter than: cable goes along the axes of the frame.</summary>
    internal Length AtLeast(string from, string to) => PlaceOf(from).RectilinearTo(PlaceOf(to));

    /// <summary>Where a box is on the plan.</summary>
    internal Point PlaceOf(string box) => places[box].At;

    // Chains that go up and over keep out from under the floor.
    private RunBy Chains => job.Preferences.ChainBy == ChainBy.UpAndOver ? RunBy.Overhead : RunBy.Shorter;

    // The way through the studs where it is taken: by the job's school, and in one stud bay or back to back in any case.
    private StudWay? InStuds(Place a, Place b)
    {
        if (notThroughStuds.Count > 0 && (notThroughStuds.Contains((a.Box.Id, b.Box.Id)) || notThroughStuds.Contains((b.Box.Id, a.Box.Id))))
            return null;
        if (studs.Between(a.Box, b.Box) is not { } along)
            return null;
        var beside = a.At.RectilinearTo(b.At) <= job.Frame.StudSpacing + job.Frame.OutsideWall;
        if (beside || job.Preferences.ChainBy == ChainBy.ThroughStuds)
            return along;
        return job.Preferences.ChainBy == ChainBy.Cheapest && along.Way <= ByField(a.Box.Id, b.Box.Id, a.At, a.Z, b.At, b.Z, Chains)
            ? along
            : null;
    }

    /// <summary>The way that a piece of cable takes, piece by piece.</summary>
    public CableRoute Route(CableSegment segment)
    {
        if (
            segment.Via is null
            && led.ContainsKey((segment.From, segment.To))
            && ways.RouteOver(EndOf(segment), Over(segment.From, segment.To), segment.To) is { } own
        )
            return own;
        if (segment.Via is { } via)
            return Join(
                Route(new CableSegment(null, via, default, default) { Panel = segment.Panel }),
                Route(new CableSegment(via, segment.To, default, default))
            );
        if (segment.From is { } from)
        {
            var (a, b) = (places[from], places[segment.To]);
            if (InStuds(a, b) is { } along)
                return along.Route(a.At, a.Z, b.At, b.Z);
            return ways.Route(from, segment.To, Chains) ?? Underground(segment.To, a.At, a.Z, b.At, b.Z);
        }

        var end = places[segment.To];
        return PanelOf(segment.Panel) is not { } p
            ? new([])
            : ways.Route(Panel + p, segment.To, job.Preferences.RunBy) ?? Underground(segment.To, panels[p].At, panels[p].Z, end.At, end.Z);
    }

    /// <summary>Whether a piece of cable leaves the house on its way.</summary>
    public bool Outside(CableSegment segment)
    {
        if (segment.From is null && segment.Via is null && panels.Count == 0)
            return false;
        return ways.Outside(segment.Via ?? EndOf(segment), segment.To);
    }

    // No box has such a name either.
    private static string Over(string? from, string to) => $"\u0001{from}\u0001{to}";

    // Cables that a person leads elsewhere, with what that costs in length.
    private CableRun Led(CableRun run)
    {
        CableSegment Lead(CableSegment segment)
        {
            if (segment.Via is not null || !led.ContainsKey((segment.From, segment.To)))
                return segment;
            if (ways.RouteOver(EndOf(segment), Over(segment.From, segment.To), segment.To) is not { } own)
                return segment;
            return segment with { Way = own.Length, Cut = segment.Cut + own.Length - segment.Way, Longer = own.Length - segment.Way };
        }

        return led.Count == 0 ? run : run with { Segments = [.. run.Segments.Select(Lead)], Beside = [.. run.Beside.Select(Lead)] };
    }

    private static CableRoute Join(CableRoute one, CableRoute other) => new([.. one.Pieces, .. other.Pieces]);

    private Length ByField(string from, string to, Point a, Length za, Point b, Length zb, RunBy by) =>
        ways.Inches(from, to, by) is var inches && double.IsFinite(inches) ? Length.Inches(inches) : Underground(to, a, za, b, zb).Length;

    private CableRoute Underground(string to, Point a, Length za, Point b, Length zb)
    {
        var depth = job.Storeys.Select(s => s.Floor).DefaultIfEmpty(Length.Zero).Min() - Burial.DepthOf(job, edition, to);
        return new([new(WayKind.Wall, a, a, za, depth), new(WayKind.Outside, a, b, depth, depth), new(WayKind.Wall, b, b, depth, zb)]);
    }
}
