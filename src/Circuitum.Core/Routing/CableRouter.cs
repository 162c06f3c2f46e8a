using System.Collections.Concurrent;
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
public sealed partial class CableRouter
{
    // No box has this name: ids hold no such character.
    private const string Panel = "\u0001panel";

    private readonly HouseShape house;
    private readonly Job job;
    private readonly Dictionary<string, Place> places;
    private readonly Dictionary<string, (Point At, Length Z)> panels = [];
    private readonly RouteSearch ways;
    private readonly StudWays studs;
    private readonly CodeEdition edition;
    private readonly SwitchGroups switched;
    private readonly Dictionary<(string? From, string To), LedSegment> led = [];

    // An analysis is read by several requests at once, and what is found out on the way is kept; two that ask for the same find the same.
    private readonly ConcurrentDictionary<(string Panel, string Box), Length> fromPanel = [];
    private readonly ConcurrentDictionary<(int From, int To), Length> between = new(Writers, 1000);

    // Groups that are divided side by side ask for hundreds of thousands of ways: with a lock for each core they mostly wait for it.
    private const int Writers = 64;

    // Where a box is, and its place in the job's list.
    private sealed record Place(int Number, Point At, Length Z, string Storey, Box Box);

    private readonly ImmutableHashSet<(string? From, string To)> notThroughStuds;

    /// <summary>Prepares the ends of all cables in a house.</summary>
    public CableRouter(HouseShape house)
        : this(house, []) { }

    /// <summary>Prepares the ends of all cables in a house.</summary>
    /// <param name="house">The house.</param>
    /// <param name="notThroughStuds">Cables that keep to the fields, because too many others lie in the studs.</param>
    internal CableRouter(HouseShape house, ImmutableHashSet<(string? From, string To)> notThroughStuds)
    {
        (this.house, this.notThroughStuds) = (house, notThroughStuds);
        job = house.Job;
        ways = new(house);
        studs = new(house);
        switched = new(SwitchGroup.Of(job));
        places = job
            .Decisions.Boxes.Select((b, i) => new Place(i, Places.Of(house, b), Floor(b.Room) + b.Height, house[b.Room].Room.Storey, b))
            .ToDictionary(p => p.Box.Id);
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

    private string EndOf(CableSegment segment) => segment.From ?? Panel + PanelOf(segment.Panel);

    /// <summary>The storey on which a box stands.</summary>
    internal string StoreyOf(string box) => places[box].Storey;

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
    public CableRun Plan(
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
        return Led(
            panels.Count < 2 ? run : run with { Segments = run.Segments.SetItem(0, run.Segments[0] with { Panel = PanelOf(panel) }) }
        );
    }

    /// <summary>Plans the cable of a circuit that goes on from the first box of another one, whose home run carries both.</summary>
    /// <param name="boxes">The circuit's boxes.</param>
    /// <param name="via">The other circuit's first box.</param>
    /// <param name="first">A box that must be first, or none.</param>
    /// <param name="loops">Whether power comes to the switch or to the light first; none takes the job's preference.</param>
    /// <param name="locked">Cables that are in the frame already.</param>
    /// <param name="panel">The panel that feeds both; none takes the first one.</param>
    public CableRun PlanVia(
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
                Segments = run.Segments.SetItem(
                    0,
                    run.Segments[0] with
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
    public Derivation Explain(CableSegment segment)
    {
        var p = job.Preferences;
        if (segment.Via is { } via)
        {
            return new($"On from {via} to {segment.To}", LengthText.Far(segment.Cut, job.Units))
            {
                Formula =
                    $"{LengthText.Far(segment.Cut - (p.BoxMakeUp * 2), job.Units, "0.#")} way + "
                    + $"{LengthText.Far(p.BoxMakeUp * 2, job.Units, "0.#")} make-up",
                Because =
                    $"The home run is in the cable of another circuit, which ends in {via}; from there "
                    + $"{Route(new CableSegment(via, segment.To, default, default)).InWords}.",
            };
        }

        var makeUp = segment.From is null ? p.PanelMakeUp + p.BoxMakeUp : p.BoxMakeUp * 2;
        return new(segment.From is null ? "Home run" : $"{segment.From} to {segment.To}", LengthText.Far(segment.Cut, job.Units))
        {
            Formula = $"{LengthText.Far(segment.Way, job.Units, "0.#")} way + {LengthText.Far(makeUp, job.Units, "0.#")} make-up",
            Because =
                $"Through the frame along its two axes: {Route(segment).Told(job.Units)}."
                + (
                    segment.Longer > Length.Zero
                        ? $" A person leads it this way, {LengthText.Far(segment.Longer, job.Units, "0.#")} longer than the shortest one."
                        : ""
                ),
        };
    }

    private Length Floor(string room) => job.StoreyById(job.RoomById(room)!.Storey)!.Floor;
}
