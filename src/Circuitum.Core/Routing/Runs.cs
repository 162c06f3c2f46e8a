using System.Collections.Immutable;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Codes;
using Circuitum.Core.Explain;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Routing;

/// <summary>
/// The door to runs: how far it is from the panel to a box and from box to box through the frame, by which way, and the
/// tree of cable that serves a circuit.
/// </summary>
public sealed class Runs
{
    // No box has this name: ids hold no such character.
    private const string Panel = "\u0001panel";

    private readonly HouseShape house;
    private readonly Job job;
    private readonly Dictionary<string, (Point At, Length Z, Box Box)> places;
    private readonly Dictionary<string, (Point At, Length Z)> panels = [];
    private readonly CableWays ways;
    private readonly StudWays studs;
    private readonly CodeEdition edition;
    private readonly ImmutableArray<SwitchGroup> switched;
    private readonly Dictionary<(string Panel, string Box), Length> fromPanel = [];
    private readonly Dictionary<(string? From, string To), RunWay> led = [];

    // An analysis is read by several requests at once, and what is found out on the way is kept.
    private readonly Lock gate = new();

    private readonly ImmutableHashSet<(string? From, string To)> notThroughStuds;

    /// <summary>Prepares the ends of all cables in a house.</summary>
    public Runs(HouseShape house)
        : this(house, []) { }

    /// <summary>Prepares the ends of all cables in a house.</summary>
    /// <param name="house">The house.</param>
    /// <param name="notThroughStuds">Cables that keep to the fields, because too many others lie in the studs.</param>
    internal Runs(HouseShape house, ImmutableHashSet<(string? From, string To)> notThroughStuds)
    {
        (this.house, this.notThroughStuds) = (house, notThroughStuds);
        job = house.Job;
        ways = new(house);
        studs = new(house);
        switched = SwitchGroup.Of(job);
        places = job.Decisions.Boxes.ToDictionary(b => b.Id, b => (Places.Of(house, b), Floor(b.Room) + b.Height, b));
        edition = CodeLibrary.EditionOf(job);
        foreach (var box in job.Decisions.Boxes)
            ways.Add(
                box.Id,
                house[box.Room],
                box.Outside ? null : box.Wall,
                box.Along,
                places[box.Id].At,
                box.Height,
                house[box.Room].Room.Kind == RoomKind.Outdoors ? Burial.DepthOf(job, edition, box.Id) : null,
                !box.Outside && !house[box.Room].Room.Kind.OpenAir()
            );
        foreach (var way in job.Decisions.Ways.Where(w => places.ContainsKey(w.To) && (w.From is null || places.ContainsKey(w.From))))
        {
            if (ways.AddOver(Over(way.From, way.To), way.Storey, way.Over))
                led[(way.From, way.To)] = way;
        }

        foreach (var p in job.Panels)
        {
            panels[p.Id] = (house[p.Room].On(p.Wall, p.Along), Floor(p.Room) + p.Top);
            ways.Add(Panel + p.Id, house[p.Room], p.Wall, p.Along, panels[p.Id].At, p.Top, inside: !house[p.Room].Room.Kind.OpenAir());
        }
    }

    // The end of a home run: the panel that it names, else the first one.
    private string? PanelOf(string? named) => named is not null && panels.ContainsKey(named) ? named : job.Panels.FirstOrDefault()?.Id;

    private string EndOf(Hop hop) => hop.From ?? Panel + PanelOf(hop.Panel);

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
        using var _ = gate.EnterScope();
        if (!fromPanel.TryGetValue((id, box), out var way))
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
        using var _ = gate.EnterScope();
        return ways.Route(Panel + from, Panel + to, job.Preferences.RunBy)
            ?? Underground(to, panels[from].At, panels[from].Z, panels[to].At, panels[to].Z);
    }

    /// <summary>Whether a feeder leaves the house.</summary>
    public bool FeederOutside(string from, string to)
    {
        using var _ = gate.EnterScope();
        return ways.Outside(Panel + from, Panel + to);
    }

    /// <summary>Way from box to box: through the studs where a wall leads there without a doorway, else by a field.</summary>
    public Length Between(string from, string to)
    {
        var (a, b) = (places[from], places[to]);
        using var _ = gate.EnterScope();
        return InStuds(a, b) is { } along ? along.Way : ByField(from, to, a.At, a.Z, b.At, b.Z, Chains);
    }

    /// <summary>What the way from box to box cannot be shorter than: cable goes along the axes of the frame.</summary>
    internal Length AtLeast(string from, string to) => places[from].At.RectilinearTo(places[to].At);

    // Chains that go up and over keep out from under the floor.
    private RunBy Chains => job.Preferences.ChainBy == ChainBy.UpAndOver ? RunBy.Overhead : RunBy.Shorter;

    // The way through the studs where it is taken: by the job's school, and in one stud bay or back to back in any case.
    private StudWay? InStuds((Point At, Length Z, Box Box) a, (Point At, Length Z, Box Box) b)
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
    public CableRoute Route(Hop hop)
    {
        using var _ = gate.EnterScope();
        if (hop.Via is null && led.ContainsKey((hop.From, hop.To)) && ways.RouteOver(EndOf(hop), Over(hop.From, hop.To), hop.To) is { } own)
            return own;
        if (hop.Via is { } via)
            return Join(Route(new Hop(null, via, default, default) { Panel = hop.Panel }), Route(new Hop(via, hop.To, default, default)));
        if (hop.From is { } from)
        {
            var (a, b) = (places[from], places[hop.To]);
            if (InStuds(a, b) is { } along)
                return along.Route(a.At, a.Z, b.At, b.Z);
            return ways.Route(from, hop.To, Chains) ?? Underground(hop.To, a.At, a.Z, b.At, b.Z);
        }

        var end = places[hop.To];
        return PanelOf(hop.Panel) is not { } p
            ? new([])
            : ways.Route(Panel + p, hop.To, job.Preferences.RunBy) ?? Underground(hop.To, panels[p].At, panels[p].Z, end.At, end.Z);
    }

    /// <summary>Whether a piece of cable leaves the house on its way.</summary>
    public bool Outside(Hop hop)
    {
        if (hop.From is null && hop.Via is null && panels.Count == 0)
            return false;
        using var _ = gate.EnterScope();
        return ways.Outside(hop.Via ?? EndOf(hop), hop.To);
    }

    // No box has such a name either.
    private static string Over(string? from, string to) => $"\u0001{from}\u0001{to}";

    // Cables that a person leads elsewhere, with what that costs in length.
    private RunEstimate Led(RunEstimate run)
    {
        Hop Lead(Hop hop)
        {
            if (hop.Via is not null || !led.ContainsKey((hop.From, hop.To)))
                return hop;
            using var _ = gate.EnterScope();
            if (ways.RouteOver(EndOf(hop), Over(hop.From, hop.To), hop.To) is not { } own)
                return hop;
            return hop with { Way = own.Length, Cut = hop.Cut + own.Length - hop.Way, Longer = own.Length - hop.Way };
        }

        return led.Count == 0 ? run : run with { Hops = [.. run.Hops.Select(Lead)], Beside = [.. run.Beside.Select(Lead)] };
    }

    private static CableRoute Join(CableRoute one, CableRoute other) => new([.. one.Pieces, .. other.Pieces]);

    private Length ByField(string from, string to, Point a, Length za, Point b, Length zb, RunBy by) =>
        ways.Inches(from, to, by) is var inches && double.IsFinite(inches) ? Length.Inches(inches) : Underground(to, a, za, b, zb).Length;

    private CableRoute Underground(string to, Point a, Length za, Point b, Length zb)
    {
        var depth = job.Storeys.Select(s => s.Floor).DefaultIfEmpty(Length.Zero).Min() - Burial.DepthOf(job, edition, to);
        return new([new(WayKind.Wall, a, a, za, depth), new(WayKind.Outside, a, b, depth, depth), new(WayKind.Wall, b, b, depth, zb)]);
    }

    /// <summary>The storey on which a box stands.</summary>
    internal string StoreyOf(string box) => job.RoomById(places[box].Box.Room)!.Storey;

    /// <summary>The room in which a box stands.</summary>
    internal string RoomOf(string box) => places[box].Box.Room;

    /// <summary>Whether a box is an alarm.</summary>
    internal bool IsAlarm(string box) => places[box].Box.Kind == BoxKind.SmokeAlarm;

    /// <summary>
    /// Plans a circuit's cable: nearest box first, each further box from the nearest one that can take another cable, lights from their
    /// switches or the other way about.
    /// </summary>
    /// <param name="boxes">The circuit's boxes.</param>
    /// <param name="first">A box that must be first, or none.</param>
    /// <param name="loops">Whether power comes to the switch or to the light first; none takes the job's preference.</param>
    /// <param name="locked">Cables that are in the frame already.</param>
    /// <param name="panel">The panel that feeds it; none takes the first one.</param>
    public RunEstimate Plan(
        IReadOnlyList<string> boxes,
        string? first = null,
        SwitchLoops? loops = null,
        ImmutableArray<LockedCable>? locked = null,
        string? panel = null
    )
    {
        if (boxes.Count == 0)
            return new([]);
        var run = new RunPlanner(
            this,
            job.Preferences,
            switched,
            boxes,
            first,
            loops ?? job.Preferences.SwitchLoops,
            b => FromPanel(b, PanelOf(panel)),
            locked ?? []
        ).Plan();
        return Led(panels.Count < 2 ? run : run with { Hops = run.Hops.SetItem(0, run.Hops[0] with { Panel = PanelOf(panel) }) });
    }

    /// <summary>Plans the cable of a circuit that goes on from the first box of another one, whose home run carries both.</summary>
    /// <param name="boxes">The circuit's boxes.</param>
    /// <param name="via">The other circuit's first box.</param>
    /// <param name="first">A box that must be first, or none.</param>
    /// <param name="loops">Whether power comes to the switch or to the light first; none takes the job's preference.</param>
    /// <param name="locked">Cables that are in the frame already.</param>
    /// <param name="panel">The panel that feeds both; none takes the first one.</param>
    public RunEstimate PlanVia(
        IReadOnlyList<string> boxes,
        string via,
        string? first = null,
        SwitchLoops? loops = null,
        ImmutableArray<LockedCable>? locked = null,
        string? panel = null
    )
    {
        if (boxes.Count == 0)
            return new([]);
        var run = new RunPlanner(
            this,
            job.Preferences,
            switched,
            boxes,
            first,
            loops ?? job.Preferences.SwitchLoops,
            b => Between(via, b),
            locked ?? []
        ).Plan();
        var between = Between(via, run.First!);
        return Led(
            run with
            {
                Hops = run.Hops.SetItem(
                    0,
                    run.Hops[0] with
                    {
                        Panel = panels.Count < 2 ? null : PanelOf(panel),
                        Way = FromPanel(via, PanelOf(panel)) + between,
                        Cut = between + (job.Preferences.BoxMakeUp * 2),
                        Via = via,
                    }
                ),
            }
        );
    }

    /// <summary>The derivation of a piece of cable.</summary>
    public Derivation Explain(Hop hop)
    {
        var p = job.Preferences;
        if (hop.Via is { } via)
        {
            return new($"On from {via} to {hop.To}", $"{hop.Cut.InFeet:0} ft")
            {
                Formula = $"{(hop.Cut - (p.BoxMakeUp * 2)).InFeet:0.#} ft way + {(p.BoxMakeUp * 2).InFeet:0.#} ft make-up",
                Because =
                    $"The home run is in the cable of another circuit, which ends in {via}; from there "
                    + $"{Route(new Hop(via, hop.To, default, default)).InWords}.",
            };
        }

        var makeUp = hop.From is null ? p.PanelMakeUp + p.BoxMakeUp : p.BoxMakeUp * 2;
        return new(hop.From is null ? "Home run" : $"{hop.From} to {hop.To}", $"{hop.Cut.InFeet:0} ft")
        {
            Formula = $"{hop.Way.InFeet:0.#} ft way + {makeUp.InFeet:0.#} ft make-up",
            Because =
                $"Through the frame along its two axes: {Route(hop).InFeet}."
                + (
                    hop.Longer > Length.Zero ? $" A person leads it this way, {hop.Longer.InFeet:0.#} ft longer than the shortest one." : ""
                ),
        };
    }

    private Length Floor(string room) => job.StoreyById(job.RoomById(room)!.Storey)!.Floor;
}
