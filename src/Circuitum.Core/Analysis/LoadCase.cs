using System.Collections.Immutable;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Circuits;
using Circuitum.Core.Codes;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Loads;
using Circuitum.Core.Measure;
using Circuitum.Core.Panels;

namespace Circuitum.Core.Analysis;

/// <summary>
/// What a service or a feeder is worked out from: every outlet that draws is in one of its lines, or in a line that says within
/// which figure it is counted (215.2, 220.14, 220.40, 220.82).
/// </summary>
internal sealed class LoadCase
{
    private readonly HouseShape house;
    private readonly Job job;
    private readonly CodeEdition edition;
    private readonly bool whole;
    private readonly Dictionary<string, (string Why, string Cite, List<string> Boxes)> within = [];
    private readonly List<ServiceItem> items = [];

    private LoadCase(HouseShape house, CodeEdition edition, bool whole) =>
        (this.house, job, this.edition, this.whole) = (house, house.Job, edition, whole);

    /// <summary>The case of the whole house, appliances without an outlet among it.</summary>
    /// <param name="house">The house.</param>
    /// <param name="edition">Its edition.</param>
    /// <param name="areaSqFt">Floor area that counts, by the outside line.</param>
    internal static ServiceCase OfHouse(HouseShape house, CodeEdition edition, double areaSqFt)
    {
        var circuits = house.Job.Decisions.Circuits;
        return new LoadCase(house, edition, true).Of(house.Job.Decisions.Boxes, house.Job.Appliances, circuits) with
        {
            AreaSqFt = areaSqFt,
            InsideSqM = house.InsideAreaSqFt(r => FloorAreas.Counts(edition, r) && !RoomUse.IsBasement(house.Job, r)) * FloorArea.SqMInSqFt,
            BasementSqM = house.InsideAreaSqFt(r => RoomUse.IsBasement(house.Job, r)) * FloorArea.SqMInSqFt,
        };
    }

    /// <summary>The case of what hangs on a feeder that carries a part of the house.</summary>
    /// <param name="house">The house.</param>
    /// <param name="edition">Its edition.</param>
    /// <param name="circuits">The circuits of its panel and of all panels behind it.</param>
    internal static ServiceCase OfFeeder(HouseShape house, CodeEdition edition, ImmutableArray<CircuitAnalysis> circuits)
    {
        Box[] boxes = [.. circuits.SelectMany(c => c.Boxes)];
        var on = boxes.Select(b => b.Id).ToHashSet();
        var appliances = boxes.Select(b => house.Job.ApplianceById(b.Appliance)).OfType<Appliance>().Distinct();

        // The share of each room's area that its lights and receptacles on the feeder are of all of them.
        var area = house
            .Job.Decisions.Boxes.Where(b => b.Kind is BoxKind.Light or BoxKind.Receptacle && InArea(house, edition, b))
            .GroupBy(b => b.Room)
            .Sum(g => house[g.Key].AreaSqFt * g.Count(b => on.Contains(b.Id)) / g.Count());
        return new LoadCase(house, edition, false).Of(boxes, appliances, [.. circuits.Select(c => c.Circuit)]) with
        {
            AreaSqFt = area,
            InsideSqM = area * FloorArea.SqMInSqFt,
            Whole = false,
        };
    }

    private ServiceCase Of(IReadOnlyCollection<Box> boxes, IEnumerable<Appliance> appliances, IReadOnlyCollection<Circuit> circuits)
    {
        if (edition.Board is not null)
            return ByUse(boxes, appliances);
        var on = circuits
            .SelectMany(c => c.Boxes.Select(b => (b.Box, c.Purpose)))
            .GroupBy(x => x.Box)
            .ToDictionary(g => g.Key, g => g.First().Purpose);
        foreach (var box in boxes.Where(b => b.Appliance is null))
            Outlet(box, on.TryGetValue(box.Id, out var purpose) ? purpose : BoxPurpose.Of(job, edition, box));
        foreach (var appliance in appliances)
            Plate(appliance, [.. boxes.Where(b => b.Appliance == appliance.Id)], on);
        return new()
        {
            SmallApplianceCircuits = circuits.Count(c => c.Purpose == CircuitPurpose.SmallAppliance),
            LaundryCircuits = circuits.Count(c => c.Purpose == CircuitPurpose.Laundry),
            Items = [.. items],
            Within = [.. within.Select(w => new LoadNote(w.Key, w.Value.Why, w.Value.Cite, [.. w.Value.Boxes]))],
        };
    }

    // On split boards all that is connected is summed up by what it is for.
    private ServiceCase ByUse(IReadOnlyCollection<Box> boxes, IEnumerable<Appliance> appliances)
    {
        var loads = boxes
            .Where(b => b.Appliance is null)
            .Select(b => (Use: BoardUses.Of(job, b), BoxLoad.Of(job, b).Load, Boxes: ImmutableArray.Create(b.Id)))
            .Where(l => l.Load.Value > 0)
            .Concat(
                appliances
                    .Select(x => ApplianceFacts.Of(job, x))
                    .Select(f =>
                        (
                            Use: f.BoardUse,
                            f.Load,
                            Boxes: ImmutableArray.CreateRange(boxes.Where(b => b.Appliance == f.Appliance.Id).Select(b => b.Id))
                        )
                    )
            );
        return new()
        {
            Items =
            [
                .. loads
                    .GroupBy(l => l.Use)
                    .OrderBy(g => g.Key)
                    .Select(g => new ServiceItem(
                        BoardCircuit.NameOf(g.Key),
                        g.Aggregate(VoltAmperes.Zero, (sum, l) => sum + l.Load),
                        ServiceItemKind.Fixed
                    )
                    {
                        Use = g.Key,
                        Boxes = [.. g.SelectMany(l => l.Boxes)],
                    }),
            ],
        };
    }

    /// <summary>Whether a room's lights and receptacles are within the load by floor area.</summary>
    internal static bool InArea(HouseShape house, CodeEdition edition, Box box) =>
        !box.Outside && FloorAreas.Counts(edition, house[box.Room].Room);

    // Lights, receptacles, alarms: within the load by area where they belong to the dwelling, else by outlet.
    private void Outlet(Box box, CircuitPurpose purpose)
    {
        var load = BoxLoad.Of(job, box);
        if (load.Load.Value <= 0)
            return;
        if (edition.Ways.Service == ServiceWay.ByArea && OfDwelling(box))
            WithinArea(box);
        else if (purpose == CircuitPurpose.SmallAppliance)
            Within(
                "Small-appliance circuits",
                "Their receptacles are within the figure for each circuit.",
                edition.Cite("service.smallAppliance"),
                box
            );
        else if (purpose == CircuitPurpose.Laundry)
            Within("Laundry circuits", "Their receptacles are within the figure for each circuit.", edition.Cite("service.laundry"), box);
        else if (InArea(house, edition, box))
            Within(
                "General lighting and receptacles",
                "Lights and general receptacles are within the load by floor area.",
                edition.Cite("service.general"),
                box
            );
        else if (OfDwelling(box))
            Within(
                "General lighting and receptacles",
                "Those of the garage, outdoors and of spaces without floor area too: no load beside the one by floor area.",
                edition.Cite("service.general"),
                box
            );
        else
        {
            var where = house[box.Room].Room.Name;
            var name = $"Lights and receptacles, {where}{(box.Outside ? " outside" : "")}";
            var at = items.FindIndex(i => i.Kind == ServiceItemKind.Outlets && i.Name == name);
            if (at < 0)
                items.Add(new(name, load.Load, ServiceItemKind.Outlets, false, true) { Boxes = [box.Id] });
            else
                items[at] = items[at] with { Load = items[at].Load + load.Load, Boxes = items[at].Boxes.Add(box.Id) };
        }
    }

    // Lights and receptacles, and what is plugged in and not large, are within the load by floor area.
    private void WithinArea(Box box) =>
        Within(
            "Floor area",
            "Lights, receptacles and what is not large are within the load by floor area.",
            edition.Cite("service.area"),
            box
        );

    private bool OfDwelling(Box box) =>
        InArea(house, edition, box) || (whole && job.KindAt(box) != RoomKind.AccessoryBuilding && !InBuilding(box));

    private bool InBuilding(Box box) =>
        house.BuildingOf(box.Room) is { } building && building.Any(r => house[r].Room.Kind == RoomKind.AccessoryBuilding);

    private void Within(string what, string why, string cite, Box box)
    {
        if (!within.TryGetValue(what, out var line))
            within[what] = line = (why, cite, []);
        else if (!line.Why.Contains(why, StringComparison.Ordinal))
            within[what] = line = line with { Why = $"{line.Why} {why}" };
        line.Boxes.Add(box.Id);
    }

    private void Plate(Appliance appliance, ImmutableArray<Box> boxes, Dictionary<string, CircuitPurpose> on)
    {
        var facts = ApplianceFacts.Of(job, appliance);
        CircuitPurpose? purpose =
            boxes.Length == 0 ? null
            : on.TryGetValue(boxes[0].Id, out var p) ? p
            : BoxPurpose.Of(job, edition, boxes[0]);
        if (
            edition.Ways.Service == ServiceWay.ByArea
            && Kind(facts) is ServiceItemKind.Fixed or ServiceItemKind.Specific
            && !facts.Type.Has(ApplianceTrait.FullDemand)
            && facts.Load.Value <= edition.Number("largeOverW")
            && boxes.All(OfDwelling)
        )
        {
            foreach (var box in boxes)
                WithinArea(box);
            return;
        }

        var alone = boxes.Length == 0 ? facts.Own(job.Preferences) : purpose == CircuitPurpose.Appliance;
        if (facts is { FastenedInPlace: false, Connection: Connection.OneLine } && facts.Type is { Hvac: false, Cooking: false } && !alone)
        {
            var note = purpose switch
            {
                CircuitPurpose.SmallAppliance => (
                    "Small-appliance circuits",
                    "Their receptacles are within the figure for each circuit.",
                    edition.Cite("service.smallAppliance")
                ),
                CircuitPurpose.Laundry => (
                    "Laundry circuits",
                    "Their receptacles are within the figure for each circuit.",
                    edition.Cite("service.laundry")
                ),
                _ => ("", "", ""),
            };

            // Plugged in where anything may be: within the load by area in the dwelling, by its plate elsewhere.
            if (note.Item1.Length == 0 && boxes.All(b => InArea(house, edition, b)) && facts.Load.Value <= BoxLoad.HeavyVa)
                note = (
                    "General lighting and receptacles",
                    "Lights and general receptacles are within the load by floor area.",
                    edition.Cite("service.general")
                );
            if (note.Item1.Length > 0)
            {
                foreach (var box in boxes)
                    Within(note.Item1, note.Item2, note.Item3, box);
                return;
            }
        }

        items.Add(
            new(facts.Name, facts.Load, Kind(facts), facts.Type.Motor || facts.Type.Hp is not null, facts.Neutral)
            {
                Boxes = [.. boxes.Select(b => b.Id)],
                Horsepower = facts.Type.Hp,
                Type = facts.Type,
                RefrigeratorAlone =
                    facts.Type.Has(ApplianceTrait.Refrigerator)
                    && alone
                    && edition.Traits(job.RoomById(appliance.Room)!.Kind).SmallAppliance,
            }
        );
    }

    /// <summary>How an appliance counts in a load calculation.</summary>
    internal static ServiceItemKind Kind(ApplianceFacts facts) => KindOf(facts.Type, facts.FastenedInPlace);

    /// <inheritdoc cref="Kind"/>
    /// <param name="type">Its entry in the library.</param>
    /// <param name="fastened">Fastened in place.</param>
    internal static ServiceItemKind KindOf(ApplianceType type, bool fastened) =>
        type switch
        {
            { Cooking: true } => ServiceItemKind.Cooking,
            _ when type.Has(ApplianceTrait.Dryer) => ServiceItemKind.Dryer,
            { Charging: true } => ServiceItemKind.Charging,
            { Heating: true } => ServiceItemKind.Heating,
            { Cooling: true } => ServiceItemKind.Cooling,
            { HeatPump: true } => ServiceItemKind.HeatPump,
            _ => fastened ? ServiceItemKind.Fixed : ServiceItemKind.Specific,
        };
}
