using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Planning;
using Circuitum.Core.Review;

namespace Circuitum.Generated;

/// <summary>
/// What a master would say of any good plan, each statement told anew from rooms, boxes and cables alone. Every check yields what
/// is against it; nothing means that the statement holds.
/// </summary>
internal sealed partial class Masters
{
    private static readonly RoomKind[] Rides = [RoomKind.Closet, RoomKind.Pantry, RoomKind.Porch, RoomKind.Deck, RoomKind.Outdoors];

    private readonly JobAnalysis a;
    private readonly HashSet<string> main;
    private readonly List<CircuitAnalysis> lights;
    private readonly List<CircuitAnalysis> plugs;
    private readonly Dictionary<string, HashSet<string>> touches;

    internal Masters(JobAnalysis analysis)
    {
        a = analysis;
        main = [.. a.House.BuildingOf(a.Job.Panels[0].Room)];
        lights = [.. a.Circuits.Where(c => c.Circuit.Purpose == CircuitPurpose.Lighting && Lit(c).Any(main.Contains))];
        plugs = [.. a.Circuits.Where(c => c.Circuit.Purpose == CircuitPurpose.Receptacles && c.Boxes.Any(b => main.Contains(b.Room)))];
        touches = a.Job.Rooms.ToDictionary(
            r => r.Id,
            r => a.Job.Rooms.Where(o => o.Id != r.Id && Touch(r, o)).Select(o => o.Id).ToHashSet()
        );
        foreach (var closet in a.Job.Rooms.Where(r => r.Kind is RoomKind.Closet or RoomKind.Pantry))
        {
            foreach (
                var (room, behind) in Doors(closet.Id).SelectMany(d => touches[closet.Id].Where(b => b != d).Select(b => (d, b))).ToList()
            )
                touches[room].Add(behind);
        }
    }

    /// <summary>All statements by name.</summary>
    internal IEnumerable<(string Name, IEnumerable<string> Against)> All =>
        [
            ("at least two light circuits on a storey of three rooms or more", TwoOnAStorey()),
            ("the rooms of a light circuit touch", lights.SelectMany(c => Apart(c, Lit(c), ByZone ? touches : AcrossHalls()))),
            (
                "at most five rooms on a light circuit",
                lights.Where(c => ByZone && Lit(c).Count(r => !Rides.Contains(Kind(r))) > 5).Select(Say)
            ),
            ("a light circuit stays on its storey, stairs excepted", lights.Where(c => Storeys(Lit(c)) > 1).Select(Say)),
            ("a room's lights and switches are on one circuit", WholeRooms()),
            (
                "no kitchen goes dark with a bedroom or a full bath",
                lights.Where(c => Has(c, Cooks) && (Has(c, r => r.Kind == RoomKind.Bedroom) || Has(c, Bathes))).Select(Say)
            ),
            ("no hall goes dark with every bedroom off it", Halls()),
            (
                "the light at the panel does not go out with the kitchen",
                lights.Where(c => Has(c, r => Cooks(r)) && Has(c, r => !Cooks(r) && a.Job.Panels.Any(p => p.Room == r.Id))).Select(Say)
            ),
            (
                "garage lights are not with a bedroom's",
                lights.Where(c => Has(c, r => r.Kind == RoomKind.Garage) && Has(c, r => r.Kind == RoomKind.Bedroom)).Select(Say)
            ),
            ("at most 14 lights on a circuit", lights.Where(c => c.Boxes.Count(b => b.Kind == BoxKind.Light) > 14).Select(Say)),
            ("alarms are on one circuit and not alone", Alarms()),
            ("an alarm feeds only alarms", AlarmFeeds()),
            (
                "receptacles of a circuit are in rooms that touch or open on one hall, on one storey",
                plugs
                    .SelectMany(c => Apart(c, Inside(c), AcrossHalls()))
                    .Concat(plugs.Where(c => Storeys(c.Boxes.Select(b => b.Room)) > 1).Select(Say))
            ),
            (
                "no living room shares receptacles with a bedroom",
                plugs
                    .Where(c =>
                        Plug(c, r => r.Kind is RoomKind.Living or RoomKind.Family or RoomKind.Recreation)
                        && Plug(c, r => r.Kind == RoomKind.Bedroom)
                    )
                    .Select(Say)
            ),
            (
                "at most two bedrooms on a receptacle circuit",
                plugs
                    .Where(c => c.Boxes.Where(b => a.Job.KindAt(b) == RoomKind.Bedroom).Select(b => b.Room).Distinct().Count() > 2)
                    .Select(Say)
            ),
            (
                "one riser a circuit",
                lights.Concat(plugs).Where(c => Risers(c) > 1).Select(c => $"{Say(c)} changes storey {Risers(c)} times")
            ),
            ("a room is finished before it is left", lights.Concat(plugs).SelectMany(Left)),
            (
                "no cable closes a ring",
                a.Circuits.Where(c => c.Run.Segments.Length != c.Run.Segments.Select(h => h.To).Distinct().Count()).Select(Say)
            ),
            ("no segment of over 40 ft between outdoor boxes", LongHops()),
            ("a circuit's number is a space of its breaker", Numbers()),
            (
                "a label has at most 60 letters, without but or all of",
                a.Circuits.Where(c =>
                        c.Label.Length > 60
                        || c.Label.Contains(" but ", StringComparison.Ordinal)
                        || c.Label.Contains("all of", StringComparison.OrdinalIgnoreCase)
                    )
                    .Select(c => $"{c.Label.Length}: {c.Label}")
            ),
            (
                "no two labels are alike",
                a.Circuits.GroupBy(c => c.Label, StringComparer.OrdinalIgnoreCase).Where(g => g.Count() > 1).Select(g => g.Key)
            ),
            ("spare spaces are together at the bottom", Spares()),
        ];

    /// <summary>The rooms that a circuit lights.</summary>
    internal static HashSet<string> Lit(CircuitAnalysis c) => [.. c.Boxes.Where(b => b.Kind == BoxKind.Light).Select(b => b.Room)];

    private bool ByZone => a.Job.Preferences.Division.Lights == LightsBy.Zone;

    private HashSet<string> Inside(CircuitAnalysis c) =>
        [.. c.Boxes.Where(b => !b.Outside && !a.Job.KindAt(b).OpenAir()).Select(b => b.Room)];

    private static string Say(CircuitAnalysis c) => $"{c.Number}: {c.Label}";

    private RoomKind Kind(string room) => a.Job.RoomById(room)!.Kind;

    private bool Has(CircuitAnalysis c, Func<Room, bool> what) => Lit(c).Any(r => what(a.Job.RoomById(r)!));

    private bool Plug(CircuitAnalysis c, Func<Room, bool> what) => c.Boxes.Any(b => what(a.Job.RoomById(b.Room)!));

    private bool Cooks(Room room) => RoomUse.Cooks(a.Job, room);

    private bool Bathes(Room room) =>
        RoomUse.IsBathroom(a.Job, room) && a.Job.Fixtures.Any(f => f.Room == room.Id && f.Kind is FixtureKind.Tub or FixtureKind.Shower);

    private int Storeys(IEnumerable<string> rooms) =>
        rooms.Select(r => a.Job.RoomById(r)!).Where(r => r.Kind != RoomKind.Stairs).Select(r => r.Storey).Distinct().Count();

    private IEnumerable<string> TwoOnAStorey() =>
        a
            .Job.Storeys.Select(s =>
                (
                    s.Name,
                    On: lights
                        .Where(c =>
                            Lit(c)
                                .Any(r =>
                                    a.Job.RoomById(r) is var room
                                    && room!.Storey == s.Id
                                    && !Rides.Contains(room.Kind)
                                    && room.Kind != RoomKind.Stairs
                                    && main.Contains(r)
                                )
                        )
                        .ToList()
                )
            )
            .Where(s =>
                s.On.Count == 1
                && s.On[0]
                    .Boxes.Where(b => b.Kind == BoxKind.Light)
                    .Select(b => b.Room)
                    .Distinct()
                    .Count(r => !Rides.Contains(Kind(r)) && Kind(r) != RoomKind.Stairs) >= 3
            )
            .Select(s => s.Name);

    private static IEnumerable<string> Apart(CircuitAnalysis c, HashSet<string> rooms, Dictionary<string, HashSet<string>> touches)
    {
        if (rooms.Count < 2)
            yield break;
        HashSet<string> reached = [rooms.First()];
        while (rooms.FirstOrDefault(r => !reached.Contains(r) && touches[r].Overlaps(reached)) is { } next)
            reached.Add(next);
        if (reached.Count < rooms.Count)
            yield return $"{Say(c)}: {string.Join(", ", rooms.Except(reached))} apart from {string.Join(", ", reached)}";
    }

    private Dictionary<string, HashSet<string>> AcrossHalls()
    {
        var wide = touches.ToDictionary(t => t.Key, t => t.Value.ToHashSet());
        foreach (var hall in a.Job.Rooms.Where(r => r.Kind == RoomKind.Hallway))
        {
            foreach (var (one, other) in Doors(hall.Id).SelectMany(d => Doors(hall.Id).Where(o => o != d).Select(o => (d, o))))
                wide[one].Add(other);
        }

        return wide;
    }

    private List<string> Doors(string room) =>
        [
            .. a
                .Job.Openings.Where(o => o.Kind != OpeningKind.Window && o.To != Opening.Outside && (o.Room == room || o.To == room))
                .Select(o => o.Room == room ? o.To : o.Room)
                .Distinct(),
        ];

    private IEnumerable<string> WholeRooms() =>
        a
            .Job.Rooms.Where(r => main.Contains(r.Id))
            .Select(r =>
                (
                    r.Id,
                    On: lights
                        .Where(c => c.Boxes.Any(b => b.Room == r.Id && b.Kind is BoxKind.Light or BoxKind.Switch && b.Room == r.Id))
                        .ToList()
                )
            )
            .Where(r => r.On.Count > 1)
            .Select(r => $"{r.Id}: {string.Join(", ", r.On.Select(c => c.Number))}");

    private IEnumerable<string> Halls()
    {
        foreach (var hall in a.Job.Rooms.Where(r => r.Kind == RoomKind.Hallway))
        {
            var off = Doors(hall.Id).Where(r => Kind(r) == RoomKind.Bedroom && lights.Any(c => Lit(c).Contains(r))).ToList();
            if (off.Count >= 2 && lights.FirstOrDefault(c => Lit(c).Contains(hall.Id) && off.All(Lit(c).Contains)) is { } c)
                yield return Say(c);
        }
    }
}
