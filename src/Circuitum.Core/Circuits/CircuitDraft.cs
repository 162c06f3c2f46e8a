using System.Collections.Immutable;
using Circuitum.Core.Codes;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Loads;

namespace Circuitum.Core.Circuits;

/// <summary>Circuits while they are being filled.</summary>
internal sealed class CircuitDraft
{
    private readonly List<(Circuit Circuit, List<CircuitBox> Boxes)> circuits;

    // The circuit that each box is on.
    private readonly Dictionary<string, int> assigned;
    private readonly Dictionary<string, Box> boxes;

    internal CircuitDraft(HouseShape house, CodeEdition edition)
    {
        House = house;
        Edition = edition;
        circuits = [.. house.Job.Decisions.Circuits.Select(c => (c, c.Boxes.ToList()))];
        assigned = circuits.SelectMany(c => c.Boxes.Select(b => (b.Box, c.Circuit.Number))).ToDictionary(b => b.Box, b => b.Number);
        boxes = house.Job.Decisions.Boxes.ToDictionary(b => b.Id);
    }

    internal HouseShape House { get; }

    internal CodeEdition Edition { get; }

    internal Job Job => House.Job;

    internal ImmutableArray<Circuit> Result() =>
        [
            .. circuits
                .Where(c => c.Boxes.Count > 0 || c.Circuit.By == Origin.Person)
                .Select(c => c.Circuit with { Boxes = [.. c.Boxes] })
                .OrderBy(c => c.Number),
        ];

    internal List<Box> Loose(CircuitPurpose purpose) =>
        [.. Job.Decisions.Boxes.Where(b => b.Serves is null && !assigned.ContainsKey(b.Id) && BoxPurpose.Of(Job, Edition, b) == purpose)];

    /// <summary>The circuits of a purpose that serve a building.</summary>
    /// <param name="purpose">The purpose.</param>
    /// <param name="building">The building by the key of <see cref="BuildingOf"/>; empty is the one of the service.</param>
    internal List<int> Existing(CircuitPurpose purpose, string building = "") =>
        [
            .. circuits
                .Where(c => c.Circuit.Purpose == purpose && (c.Boxes.Count == 0 ? "" : BuildingOf(RoomOf(c.Boxes[0].Box))) == building)
                .Select(c => c.Circuit.Number),
        ];

    /// <summary>The circuits of a purpose in a building that may take more: a person locked none of them.</summary>
    internal List<int> Free(CircuitPurpose purpose, string building = "") => [.. Existing(purpose, building).Where(n => !Locked(n))];

    /// <summary>
    /// A key of the building in which a room stands: empty for the one of the service, and for what stands in the open alone.
    /// </summary>
    internal string BuildingOf(string room)
    {
        if (buildings.TryGetValue(room, out var known))
            return known;
        var rooms = House.BuildingOf(room);
        var main = Job.Panels.FirstOrDefault() is { } panel ? House.BuildingOf(panel.Room) : House.MainBuilding;
        var apart = !rooms.Overlaps(main) && rooms.Any(r => !House[r].Room.Kind.OpenAir());
        return buildings[room] = apart ? rooms.Min(StringComparer.Ordinal)! : "";
    }

    private string RoomOf(string box) => boxes[box].Room;

    private readonly Dictionary<string, string> buildings = [];

    internal List<Box> On(int number) => [.. circuits.First(c => c.Circuit.Number == number).Boxes.Select(m => boxes[m.Box])];

    /// <summary>Spaces that the circuits with boxes take which fit a description, in the building of the service.</summary>
    internal int PolesOf(Func<Circuit, bool> fits) =>
        circuits
            .Where(c => c.Boxes.Count > 0 && fits(c.Circuit) && BuildingOf(RoomOf(c.Boxes[0].Box)).Length == 0)
            .Sum(c =>
                On(c.Circuit.Number)
                    .Any(b => b.Appliance is { } id && ApplianceFacts.Of(Job, Job.ApplianceById(id)!).Connection == Connection.TwoLines)
                    ? 2
                    : 1
            );

    internal int New(CircuitPurpose purpose, IEnumerable<Box> boxes)
    {
        var taken = circuits.Select(c => c.Circuit.Number).ToHashSet();
        var number = 1;
        while (taken.Contains(number))
            number++;
        circuits.Add(
            (
                new Circuit
                {
                    Number = number,
                    Purpose = purpose,
                    By = Origin.Planner,
                },
                []
            )
        );
        foreach (var box in boxes)
            Put(number, box);
        return number;
    }

    /// <summary>The circuit that a box is on, who put it there and whether that circuit is locked; none when it is loose.</summary>
    internal (int Number, Origin By, bool Locked)? Member(string box)
    {
        if (!assigned.TryGetValue(box, out var number))
            return null;
        var (circuit, boxes) = circuits.First(c => c.Circuit.Number == number);
        return (number, boxes.First(b => b.Box == box).By, circuit.Locked);
    }

    internal bool Locked(int number) => circuits.First(c => c.Circuit.Number == number).Circuit.Locked;

    /// <summary>Puts a box on a circuit, or moves one that the planner put elsewhere.</summary>
    internal void Move(Box box, int number)
    {
        if (Member(box.Id) is { } member)
        {
            if (member.Number == number || member.By == Origin.Person || member.Locked)
                return;
            circuits.First(c => c.Circuit.Number == member.Number).Boxes.RemoveAll(b => b.Box == box.Id);
            assigned.Remove(box.Id);
        }

        Put(number, box);
    }

    internal void Put(int number, Box box)
    {
        if (!assigned.TryAdd(box.Id, number))
            return;
        circuits.First(c => c.Circuit.Number == number).Boxes.Add(new CircuitBox { Box = box.Id, By = Origin.Planner });
    }

    /// <summary>All boxes on one circuit of the purpose, more circuits when there are too many or their loads do not fit.</summary>
    internal void Simple(CircuitPurpose purpose, List<Box> boxes, int most)
    {
        var rating = CircuitPlanning.GeneralRating(Job.Preferences, purpose, Edition);
        foreach (var box in boxes)
        {
            var room = Free(purpose, BuildingOf(box.Room))
                .Where(n => On(n) is var there && there.Count < most && Fits(rating, [.. there, box]))
                .ToList();
            if (room.Count > 0)
                Put(room[0], box);
            else
                New(purpose, [box]);
        }
    }

    internal void Appliances()
    {
        var loose = Loose(CircuitPurpose.Appliance)
            .Select(b => (Box: b, Facts: ApplianceFacts.Of(Job, Job.ApplianceById(b.Appliance)!)))
            .OrderByDescending(a => a.Facts.Volts)
            .ThenByDescending(a => a.Facts.Load)
            .ThenBy(a => a.Box.Id, StringComparer.Ordinal)
            .ToList();
        foreach (var (box, facts) in loose)
        {
            var partner =
                facts.Type.Has(ApplianceTrait.Disposer) && Job.Preferences.DishwasherSharesWithDisposer
                    ? circuits
                        .Where(c => c.Circuit.Purpose == CircuitPurpose.Appliance && c.Boxes.Count == 1)
                        .Select(c => c.Circuit.Number)
                        .FirstOrDefault(n =>
                            On(n)[0] is { Appliance: { } id } other
                            && other.Room == box.Room
                            && ApplianceFacts.Has(Job.ApplianceById(id), ApplianceTrait.Dishwasher)
                            && Fits(20, [other, box])
                        )
                    : 0;
            if (partner > 0)
                Put(partner, box);
            else
                New(CircuitPurpose.Appliance, [box]);
        }
    }

    internal bool Fits(int breaker, IReadOnlyList<Box> boxes) =>
        !LoadLimits.Check(Edition, breaker, Edition.Supply.ToNeutral, [.. boxes.Select(b => BoxLoad.Of(Job, b))]).Any();

    /// <summary>Most counter receptacles that hang on a circuit.</summary>
    internal int CounterMost => Edition.Number("counterReceptaclesMost").Whole;

    // No small-appliance circuit serves two kitchens (210.52(B)(3)): each kitchen has its own, and the dining rooms and
    // pantries around it.
    internal void SmallAppliance()
    {
        var kitchens = Job.Rooms.Where(r => r.Kind == RoomKind.Kitchen).ToList();
        foreach (var area in Loose(CircuitPurpose.SmallAppliance).GroupBy(b => KitchenOf(b.Room, kitchens)).ToList())
        {
            var there = Free(CircuitPurpose.SmallAppliance).Where(n => On(n).All(b => KitchenOf(b.Room, kitchens) == area.Key)).ToList();
            if (Edition.Ways.Counter == CounterWay.Alternating)
                CounterCircuits.Fill(this, [.. area], there);
            else
                SmallAppliance([.. area], there);
        }
    }

    // The counters go on two circuits, each a stretch of counter; dining and pantry walls join the one with fewer.
    private void SmallAppliance(List<Box> loose, List<int> there)
    {
        var byDining = Job.Preferences.Division.Island == IslandWith.Dining;
        var counter = loose
            .Where(b => b.Kind == BoxKind.Receptacle && b.Height >= Measure.Length.Inches(36) && !(byDining && b.Wall is null))
            .OrderBy(b => b.Room, StringComparer.Ordinal)
            .ThenBy(b => b.Wall)
            .ThenBy(b => b.Along)
            .ToList();
        var rest = loose.Except(counter).ToList();

        // An island is a counter wherever its receptacle hangs.
        if (!byDining)
            counter.AddRange(rest.Where(b => b is { Kind: BoxKind.Receptacle, Wall: null }).OrderBy(b => b.Id, StringComparer.Ordinal));
        rest.RemoveAll(counter.Contains);
        while (there.Count < 2)
            there.Add(New(CircuitPurpose.SmallAppliance, []));
        var fresh = there.All(n => On(n).Count == 0);
        var half = (counter.Count + 1) / 2;
        for (var i = 0; i < counter.Count; i++)
            Put(fresh ? there[i < half ? 0 : 1] : there.MinBy(n => Counters(n)), counter[i]);
        if (fresh && rest.Count >= 5)
            there.Add(New(CircuitPurpose.SmallAppliance, []));
        foreach (var box in rest)
            Put(fresh && there.Count > 2 ? there[2] : there.MinBy(n => On(n).Count), box);
    }

    // One more counter receptacle goes where the fewest are, so that the counter always hangs on two circuits.
    private int Counters(int number) => On(number).Count(b => b.Kind == BoxKind.Receptacle && b.Height >= Measure.Length.Inches(36));

    // A room's kitchen is itself, or the nearest one, on its own storey if there is one.
    private string KitchenOf(string room, List<Room> kitchens)
    {
        if (kitchens.Count == 0)
            return "";
        var here = House[room];
        return kitchens
            .OrderBy(k => k.Id == room ? 0 : 1)
            .ThenBy(k => k.Storey == here.Room.Storey ? 0 : 1)
            .ThenBy(k => House[k.Id].Centre.InchesTo(here.Centre))
            .ThenBy(k => k.Id, StringComparer.Ordinal)
            .First()
            .Id;
    }

    // Hair dryers: a full bath by itself, a half bath with another of its storey; by preference two of any sort together.
    internal void Bathrooms()
    {
        var together = Job.Preferences.Division.Baths == BathsBy.Together;
        foreach (var room in Loose(CircuitPurpose.Bathroom).GroupBy(b => b.Room).OrderBy(g => Bathes(g.Key) ? 0 : 1))
        {
            var storey = House[room.Key].Room.Storey;
            bool Joins(int number)
            {
                var there = On(number).Select(b => b.Room).Append(room.Key).Distinct().ToList();
                return there.Count <= 2 && there.All(r => House[r].Room.Storey == storey) && (together || there.Count(Bathes) < 2);
            }

            var join = Free(CircuitPurpose.Bathroom, BuildingOf(room.Key)).FirstOrDefault(Joins);
            if (join == 0)
                join = New(CircuitPurpose.Bathroom, []);
            foreach (var box in room)
                Put(join, box);
        }
    }

    private bool Bathes(string room) => HouseZones.IsFullBath(Job, House[room].Room);
}
