using System.Collections.Immutable;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;
using Circuitum.Core.Loads;
using Circuitum.Core.Routing;

namespace Circuitum.Core.Circuits;

/// <summary>The general lights or receptacles of a house as a problem for the search, and what its answer means for the job.</summary>
internal sealed class GeneralGroups
{
    internal const int MostLights = 14;

    private readonly CircuitDraft work;
    private readonly ImmutableArray<ImmutableArray<Box>> things;
    private readonly ImmutableArray<int> numbers;
    private readonly Func<IEnumerable<RoomPin>, ZoneRules> zones;

    private GeneralGroups(
        CircuitDraft work,
        CircuitPurpose purpose,
        ImmutableArray<ImmutableArray<Box>> things,
        ImmutableArray<int> numbers,
        Func<IEnumerable<RoomPin>, ZoneRules> zones,
        GroupProblem problem
    )
    {
        this.zones = zones;
        this.work = work;
        Purpose = purpose;
        this.things = things;
        this.numbers = numbers;
        Problem = problem;
    }

    internal CircuitPurpose Purpose { get; }

    /// <summary>What is divided, in words.</summary>
    internal string Title =>
        Purpose switch
        {
            CircuitPurpose.Lighting => "Lights",
            CircuitPurpose.Mixed => "Lights and receptacles",
            _ => "Receptacles",
        };

    internal GroupProblem Problem { get; }

    /// <summary>The boxes of each thing: one receptacle, or lights with the switches that control them.</summary>
    internal ImmutableArray<ImmutableArray<Box>> Things => things;

    /// <summary>The problem with other pins than the job's.</summary>
    internal GroupProblem With(IEnumerable<RoomPin> pins) => Problem with { Zones = zones(pins) };

    /// <summary>The numbers of the circuits that are there already, in the problem's order.</summary>
    internal ImmutableArray<int> Numbers => numbers;

    /// <summary>The general groups of a job: lights and receptacles apart, or together where the job mixes them.</summary>
    internal static IEnumerable<GeneralGroups> Of(CircuitDraft work, CableRouter runs)
    {
        if (work.Job.Preferences.LightsAndReceptacles == LightsAndReceptacles.Mixed)
            yield return Make(work, runs, CircuitPurpose.Mixed, [CircuitPurpose.Lighting, CircuitPurpose.Receptacles]);
        else
        {
            yield return Make(work, runs, CircuitPurpose.Lighting, [CircuitPurpose.Lighting]);
            yield return Make(work, runs, CircuitPurpose.Receptacles, [CircuitPurpose.Receptacles]);
        }
    }

    private static GeneralGroups Make(CircuitDraft work, CableRouter runs, CircuitPurpose purpose, CircuitPurpose[] own)
    {
        var numbers = work.Existing(purpose).ToImmutableArray();
        var index = numbers.Select((n, i) => (n, i)).ToDictionary(x => x.n, x => x.i);

        // What sits on a circuit of another purpose was put there by somebody and stays out of this; what is of another purpose and
        // sits on one of these, such as a receptacle outside, counts with them.
        var boxes = work
            .Job.Decisions.Boxes.Where(b => b.Serves is null && b.Kind != BoxKind.SmokeAlarm && work.BuildingOf(b.Room).Length == 0)
            .Where(b => work.Member(b.Id) is { } m ? index.ContainsKey(m.Number) : own.Contains(BoxPurpose.Of(work.Job, work.Edition, b)))
            .ToList();
        var lighting = purpose == CircuitPurpose.Lighting;
        ImmutableArray<ImmutableArray<Box>> things =
        [
            .. purpose == CircuitPurpose.Receptacles
                ? RoomClusters.Clusters(boxes)
                : RoomClusters.ByRoom(work.Job, RoomClusters.Clusters(boxes), purpose, b =>
                    work.Member(b.Id) is { } m && (m.By == Origin.Person || m.Locked)
                ),
        ];
        var job = work.Job;
        var p = job.Preferences;
        var rating = CircuitPlanning.GeneralRating(p, purpose, work.Edition);
        var counted = work.Edition.InForce("circuit.mostOutlets");
        var worth = BreakerWorth.Of(work);
        var weights = worth.Priced(lighting ? p.Weights with { Room = 0 } : p.Weights);
        var rooms = job.Rooms.Select((r, i) => (r.Id, i)).ToDictionary(r => r.Id, r => r.i);
        var storeys = job.Storeys.Select((s, i) => (s.Id, i)).ToDictionary(s => s.Id, s => s.i);
        var members = things.Select(t => t.Select(b => work.Member(b.Id)).OfType<(int Number, Origin By, bool Locked)>().ToList()).ToList();
        var counts = boxes.Where(b => b.Kind == BoxKind.Receptacle).GroupBy(b => b.Room).ToDictionary(g => g.Key, g => g.Count());
        var lit = RoomSet.Of(boxes.Where(b => b.Kind == BoxKind.Light).Select(b => rooms[b.Room]));
        var wire = new CircuitWire(job, runs, things, weights, new FeedingPanels(work.House, runs));
        return new(
            work,
            purpose,
            things,
            numbers,
            pins => HouseZones.For(purpose, work.House, lit, counts, pins),
            new GroupProblem
            {
                Between = wire.Between,
                Home = wire.Home,
                Routed = wire.Routed,
                Load = [.. things.Select(t => (int)t.Sum(b => BoxLoad.Of(job, b).Load.Value))],
                Size =
                [
                    .. things.Select(t =>
                        Math.Max(
                            lighting ? 1 : 0,
                            t.Count(b =>
                                counted ? Outlets.Counts(b)
                                : lighting ? b.Kind == BoxKind.Light
                                : b.Kind == BoxKind.Receptacle
                            )
                        )
                    ),
                ],
                Room =
                [
                    .. things.Select(t =>
                        !RoomClusters.Outdoors(job, t[0]) && Counts(work.House[t[0].Room].Room, things)
                            ? rooms[t[0].Room]
                            : -1 - rooms[t[0].Room]
                    ),
                ],
                Places =
                [
                    .. things.Select(t => RoomSet.Of(t.Where(b => lighting || !RoomClusters.Outdoors(job, b)).Select(b => rooms[b.Room]))),
                ],
                Around =
                [
                    .. things.Select(t =>
                        work.House[t[0].Room] is var shape && t[0].Wall is { } wall ? (int)shape.ToPerimeter(wall, t[0].Along).InInches : 0
                    ),
                ],
                Zones = HouseZones.For(purpose, work.House, lit, counts, job.Decisions.Pins),
                Storey =
                [
                    .. things.Select(t => work.House[t[0].Room].Room is { Kind: not RoomKind.Stairs } room ? storeys[room.Storey] : -1),
                ],
                Fixed =
                [
                    .. members.Select(m => m.Where(x => x.By == Origin.Person || x.Locked).Select(x => index[x.Number]).FirstOrDefault(-1)),
                ],
                Standing = [.. members.Select(m => m.Select(x => index[x.Number]).FirstOrDefault(-1))],
                Existing = numbers.Length,
                Closed = [.. numbers.Where(work.Locked).Select(n => index[n])],
                Heavy = things.Any(t => t.Any(RoomClusters.Heavy)) ? [.. things.Select(t => t.Any(RoomClusters.Heavy))] : [],
                MostSize = Math.Min(
                    lighting ? MostLights : MostReceptacles(p, work.Edition, rating),
                    counted ? Outlets.Most(work, purpose) : int.MaxValue
                ),
                MostLoad =
                    (lighting ? (int)(rating * work.Edition.Supply.ToNeutral * 0.8) : rating * work.Edition.Supply.ToNeutral)
                    - Alarms(work, purpose),
                Weights = weights,
            }
        );
    }

    // All alarms come onto one of these circuits in the end; whichever it is has to have room for them.
    private static int Alarms(CircuitDraft work, CircuitPurpose purpose) =>
        purpose == CircuitPurpose.Receptacles
            ? 0
            : (int)Math.Ceiling(Math.Min(MostAlarms, work.Job.Decisions.Boxes.Count(b => b.Kind == BoxKind.SmokeAlarm)) * BoxLoad.AlarmVa);

    // All alarms of a dwelling hear each other; what has more than this is no dwelling, and one circuit would not hold them.
    private const int MostAlarms = 40;

    // A closet, a hall or stairs with one or two goes along with a neighbour and is not a room more.
    private static bool Counts(Room room, ImmutableArray<ImmutableArray<Box>> things) =>
        room.Kind is not (RoomKind.Closet or RoomKind.Hallway or RoomKind.Stairs) || things.Count(t => t[0].Room == room.Id) > 2;

    /// <summary>Most receptacles on a general circuit: the job's planning figure, or less where a local rule has a number.</summary>
    internal static int MostReceptacles(Preferences preferences, CodeEdition edition, int rating)
    {
        var most = rating <= 15 ? preferences.ReceptaclesPer15 : preferences.ReceptaclesPer20;
        return edition.InForce("circuit.mostReceptacles") ? Math.Min(most, edition.Number("receptaclesOnCircuitMost").Whole) : most;
    }

    /// <summary>The division as the job has it now; what is loose is on none.</summary>
    internal GroupPlan Now()
    {
        var plan = new GroupPlan(Problem);
        for (var t = 0; t < Problem.Count; t++)
        {
            if (plan.Of(t) < 0 && Problem.Standing[t] >= 0)
                plan.Put(t, Problem.Standing[t]);
        }

        return plan;
    }

    /// <summary>Carries a division into the job's circuits; a person's boxes stay where they are.</summary>
    internal void Take(GroupPlan plan)
    {
        for (var c = 0; c < numbers.Length; c++)
            Put(plan.Circuits[c], numbers[c]);

        // New circuits are numbered storey by storey, from the west.
        foreach (
            var group in plan
                .Circuits.Skip(numbers.Length)
                .Where(g => g.Count > 0)
                .OrderBy(g => g.Min(t => Problem.Storey[t]))
                .ThenBy(g => g.Average(t => Places.Of(work.House, things[t][0]).X.InInches))
                .ThenBy(g => things[g[0]][0].Id, StringComparer.Ordinal)
                .ToList()
        )
            Put(group, work.New(Purpose, []));
    }

    private void Put(List<int> group, int number)
    {
        foreach (var box in group.Order().SelectMany(t => things[t]))
            work.Move(box, number);
    }

    /// <summary>Alarms interconnect on one circuit, that of a bedroom's or a hall's lights, where people notice when it is dead.</summary>
    internal static void Alarms(CircuitDraft work)
    {
        var purpose =
            work.Job.Preferences.LightsAndReceptacles == LightsAndReceptacles.Mixed ? CircuitPurpose.Mixed : CircuitPurpose.Lighting;
        var lit = work.Edition.InForce("circuit.alarms");
        foreach (var alarm in work.Loose(CircuitPurpose.Lighting).Where(b => b.Kind == BoxKind.SmokeAlarm))
        {
            bool IsLit(int circuit) => !lit || work.On(circuit).Any(b => b.Kind == BoxKind.Light);
            bool HasRoom(int circuit) =>
                work.On(circuit).All(b => b.Kind == BoxKind.SmokeAlarm) || (IsLit(circuit) && Outlets.HasRoomForAlarms(work, circuit));
            int On(int circuit) => work.On(circuit).Count(b => b.Kind == BoxKind.SmokeAlarm);
            var circuits = work.Existing(purpose).Where(n => !work.Locked(n) && On(n) < MostAlarms && HasRoom(n)).ToList();
            var withAlarms = circuits.FirstOrDefault(n => On(n) > 0);
            int Lighting(RoomKind kind) =>
                circuits.FirstOrDefault(n => work.On(n).Any(b => b.Kind == BoxKind.Light && work.House[b.Room].Room.Kind == kind));
            if (work.Job.Preferences.Division.Alarms == AlarmsWith.Alone && !lit)
            {
                var own = circuits.FirstOrDefault(n => work.On(n).All(b => b.Kind == BoxKind.SmokeAlarm));
                work.Put(own > 0 ? own : work.New(purpose, []), alarm);
                continue;
            }

            int[] wanted = [withAlarms, Lighting(RoomKind.Bedroom), Lighting(RoomKind.Hallway), circuits.FirstOrDefault()];
            work.Put(wanted.FirstOrDefault(n => n > 0) is var number and > 0 ? number : work.New(purpose, []), alarm);
        }

        if (lit)
            Lit(work, purpose);
    }

    // Where they are too many to come to lights, some lights come to them: of a bedroom or a hall before others, the fewest.
    private static void Lit(CircuitDraft work, CircuitPurpose purpose)
    {
        var circuits = work.Existing(purpose).Where(n => !work.Locked(n)).ToList();
        foreach (var dark in circuits.Where(n => work.On(n) is { Count: > 0 } on && on.All(b => b.Kind == BoxKind.SmokeAlarm)))
        {
            var room = work.Edition.Number("outletsOnCircuitMost") - work.On(dark).Count;
            var lights = circuits
                .SelectMany(n => RoomClusters.Clusters(work.On(n)).Where(c => c.Length < work.On(n).Count))
                .Where(c => c.Any(b => b.Kind == BoxKind.Light) && c.Count(Outlets.Counts) <= room)
                .Where(c => c.All(b => work.Member(b.Id) is { By: not Origin.Person }))
                .OrderBy(c => work.House[c[0].Room].Room.Kind is not (RoomKind.Bedroom or RoomKind.Hallway))
                .ThenBy(c => c.Count(Outlets.Counts))
                .ThenBy(c => c[0].Id, StringComparer.Ordinal)
                .FirstOrDefault();
            foreach (var box in lights.IsDefault ? [] : lights)
                work.Move(box, dark);
        }
    }
}
