using System.Collections.Immutable;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Codes;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Protection;

/// <summary>Works out what protection each box needs.</summary>
public static class ProtectionNeeds
{
    /// <summary>What a box needs on a circuit of a given voltage and rating.</summary>
    /// <param name="house">The house.</param>
    /// <param name="edition">Its edition.</param>
    /// <param name="box">The box.</param>
    /// <param name="volts">The circuit's voltage.</param>
    /// <param name="breaker">Its breaker in amperes.</param>
    /// <param name="with">All boxes of the circuit.</param>
    public static ImmutableArray<ProtectionNeed> Of(
        HouseShape house,
        CodeEdition edition,
        Box box,
        int volts,
        int breaker,
        IReadOnlyList<Box> with
    )
    {
        var needs = ImmutableArray.CreateBuilder<ProtectionNeed>();
        var room = house[box.Room];
        var oneLine = edition.Supply.At(volts) == Connection.OneLine;
        var kind = house.Job.KindAt(box);
        var traits = edition.Traits(kind);
        if (edition.Ways.ArcFault == ArcFaultWay.ByReceptacle)
        {
            if (oneLine && breaker <= 20 && IsReceptacle(house.Job, box) && !Alone(house, edition, with))
                Need(ProtectionKind.ArcFault, "protect.arc", $"a receptacle in {room.Room.Name}");
        }
        else if (oneLine && breaker <= 20 && traits.ArcFault && box.Kind != BoxKind.Provision)
            Need(ProtectionKind.ArcFault, "protect.arc", $"{(box.Kind == BoxKind.Switch ? "a switch" : "an outlet")} in {room.Room.Name}");
        else if (oneLine && breaker <= 20 && box.Kind != BoxKind.Provision && RoomUse.InLaundryArea(house, edition, box))
            Need(ProtectionKind.ArcFault, "protect.arc", $"an outlet of the laundry area in {room.Room.Name}");
        var facts = house.Job.ApplianceById(box.Appliance) is { } appliance ? ApplianceFacts.Of(house.Job, appliance) : null;
        var receptacle = box.Kind is BoxKind.Provision || IsReceptacle(house.Job, box);
        if (receptacle && volts <= edition.Number("groundFaultReceptacleVolts"))
            ByPlace();
        if (box.Kind == BoxKind.Switch)
            ByTub();
        if (box.Kind == BoxKind.Light && oneLine && kind == RoomKind.CrawlSpace)
            Need(ProtectionKind.GroundFault, "protect.crawlLight", $"a light in {room.Room.Name}");
        if (facts is not null)
            ByAppliance(facts);
        foreach (var (rule, demand) in edition.Demands.Where(d => d.Value.Room == kind))
            ByLocalRule(rule, demand);
        return needs.ToImmutable();

        void Need(ProtectionKind what, string rule, string reason, string? cite = null)
        {
            if (edition.InForce(rule))
                needs.Add(new(what, rule, cite ?? edition.Cite(rule), reason));
        }

        void ByLocalRule(string rule, LocalDemand demand)
        {
            if (demand.Kind == LocalDemandKind.GroundFault && receptacle)
                Need(ProtectionKind.GroundFault, rule, $"a receptacle in {room.Room.Name}, by local rule");
            if (demand.Kind == LocalDemandKind.ArcFault && oneLine && box.Kind != BoxKind.Provision)
                Need(
                    ProtectionKind.ArcFault,
                    rule,
                    $"{(box.Kind == BoxKind.Switch ? "a switch" : "an outlet")} in {room.Room.Name}, by local rule"
                );
        }

        void ByPlace()
        {
            if (
                traits.GroundFault is { } place
                && (place != "kitchen" || edition.Ways.KitchenGroundFault == KitchenGroundFaultWay.All || ServesCounter(house, room, box))
            )
                Need(
                    ProtectionKind.GroundFault,
                    $"protect.{place}",
                    box.Outside ? $"a receptacle outdoors, at {room.Room.Name}" : $"a receptacle in {room.Room.Name}"
                );
            if (box.Outside)
                return;
            var job = house.Job;
            if (traits.GroundFault != "laundry" && RoomUse.InLaundryArea(house, edition, box))
                Need(ProtectionKind.GroundFault, "protect.laundry", $"a receptacle of the laundry area in {room.Room.Name}");
            if (traits.GroundFault != "bathroom" && RoomUse.IsBathroom(job, room.Room))
                Need(
                    ProtectionKind.GroundFault,
                    "protect.bathroom",
                    $"a receptacle in {room.Room.Name}, where a basin and a bath fixture stand"
                );
            if (traits.GroundFault != "kitchen" && RoomUse.PreparesFood(job, room.Room))
                Need(
                    ProtectionKind.GroundFault,
                    "protect.food",
                    $"a receptacle in {room.Room.Name}, where food or drink is prepared beside a sink"
                );
            if (
                traits.GroundFault != "basement"
                && RoomUse.IsBasement(job, room.Room)
                && (kind == RoomKind.Utility || edition.Traits(RoomKind.FinishedBasement).GroundFault is not null)
            )
                Need(ProtectionKind.GroundFault, "protect.basement", $"a receptacle in {room.Room.Name}, in a basement");
            if (edition.Ways.Water == WaterWay.Reached && facts is not null)
                return;
            var at = Places.Of(house, box);
            foreach (var fixture in house.Job.Fixtures)
            {
                var sink = fixture.Kind is FixtureKind.Sink or FixtureKind.Basin;
                if (!sink && fixture.Kind is not (FixtureKind.Tub or FixtureKind.Shower))
                    continue;
                if (CordInches(house, edition, box.Room, at, fixture) is not { } inches || inches > edition.Number("waterReachIn"))
                    continue;
                var what = fixture.Kind.ToString().ToLowerInvariant();
                Need(
                    ProtectionKind.GroundFault,
                    sink ? "protect.sink" : "protect.tub",
                    $"{LengthText.Far(inches / 12, house.Job.Units, LengthText.Tenths)} from a {what} in {house[fixture.Room].Room.Name}"
                );
            }
        }

        // Where a protected switch may stand nearer to a tub than another.
        void ByTub()
        {
            var (guarded, plain) = (edition.Number("switchFromTubGuardedIn"), edition.Number("switchFromTubIn"));
            if (guarded <= 0)
                return;
            var at = Places.Of(house, box);
            var tubs = house.Job.Fixtures.Where(f => f.Room == box.Room && f.Kind is FixtureKind.Tub or FixtureKind.Shower);
            if (tubs.Select(f => (double?)Places.InchesTo(room, f.Spot, at)).Min() is { } inches && inches < plain)
                Need(
                    ProtectionKind.GroundFault,
                    "box.wet",
                    $"a switch {LengthText.Far(inches / 12, house.Job.Units, LengthText.Tenths)} from a tub or shower in {room.Room.Name}"
                );
        }

        void ByAppliance(ApplianceFacts f)
        {
            if (edition.GroundFaultAppliances.GetValueOrDefault(f.Type.Id) is { } named)
                Need(
                    ProtectionKind.GroundFault,
                    f.Type.Has(ApplianceTrait.SumpPump) ? "protect.sump" : "protect.appliance",
                    $"{f.Name}: named by the rule, plug or hardwired",
                    named
                );
            if (f.Type.Charging && !f.Hardwired && breaker <= edition.Number("evReceptacleMostA"))
                Need(ProtectionKind.GroundFault, "protect.charging", "a receptacle for vehicle charging");
            var where = (edition.Ways.HardwiredGroundFault, traits.Outdoors, kind is RoomKind.Garage or RoomKind.AccessoryBuilding) switch
            {
                (HardwiredGroundFaultWay.None, _, _) => null,
                (_, true, _) => "outdoors",
                (HardwiredGroundFaultWay.OutdoorsAndGarages, _, true) => "in a garage or building at grade",
                _ => null,
            };
            if (where is null || !f.Hardwired || breaker > edition.Number("groundFaultMostA") || f.Type.Lighting)
                return;
            if (!f.Type.Hvac || edition.HvacGroundFaultFrom is not { } ended)
                Need(ProtectionKind.GroundFault, "protect.outdoorOutlet", $"{f.Name}: hardwired {where}, {breaker} A");
            else if (house.Job.PermitDate is not { } permit)
                Need(
                    ProtectionKind.GroundFault,
                    "protect.outdoorOutlet",
                    $"{f.Name}: hardwired {where}; without a permit date the exception for heating and cooling, which ended on "
                        + $"{ended:yyyy-MM-dd}, is taken as ended"
                );
            else if (permit >= ended)
                Need(
                    ProtectionKind.GroundFault,
                    "protect.outdoorOutlet",
                    $"{f.Name}: hardwired {where}; the exception for heating and cooling ended on {ended:yyyy-MM-dd}"
                );
        }
    }

    private static bool IsReceptacle(Job job, Box box) =>
        box.Kind == BoxKind.Receptacle || (job.ApplianceById(box.Appliance) is { } a && !ApplianceFacts.Of(job, a).Hardwired);

    // What hangs on the circuit is all of one sort that needs none by itself: counter, refrigerator, basin, sump.
    private static bool Alone(HouseShape house, CodeEdition edition, IReadOnlyList<Box> with)
    {
        bool Is(Box box, ApplianceTrait trait) => ApplianceFacts.Has(house.Job.ApplianceById(box.Appliance), trait);
        Func<Box, bool>[] sorts =
        [
            b => RoomUse.Cooks(house.Job, house[b.Room].Room) && ServesCounter(house, house[b.Room], b),
            b => Is(b, ApplianceTrait.Refrigerator),
            b => Is(b, ApplianceTrait.SumpPump),
            b => b.Kind == BoxKind.Receptacle && RoomUse.IsBathroom(house.Job, house[b.Room].Room) && NearBasin(house, edition, b),
        ];
        return sorts.Any(sort => with.All(sort));
    }

    private static bool NearBasin(HouseShape house, CodeEdition edition, Box box) =>
        !box.Outside
        && house.Job.Fixtures.Any(f =>
            f.Room == box.Room
            && f.Kind == FixtureKind.Basin
            && Places.InchesTo(house[box.Room], f.Spot, Places.Of(house, box)) <= edition.Number("basinReachIn")
        );

    // Over a counter, or on an island or a peninsula.
    private static bool ServesCounter(HouseShape house, RoomShape room, Box box) =>
        !box.Outside
        && house.Job.Counters.Any(c =>
            c.Room == box.Room
            && (
                box.Wall is null
                    ? Places.InchesTo(room, c.Spot, Places.Of(house, box)) < 1
                    : !c.Peninsula
                        && c.Spot.Wall == box.Wall
                        && box.Kind == BoxKind.Receptacle
                        && box.Height >= Measure.Length.Inches(36)
                        && box.Along >= c.Spot.From
                        && box.Along <= c.Spot.From + c.Spot.Width
            )
        );

    // The shortest way a cord could take: straight in the same room, by the doorway from the next one.
    private static double? CordInches(HouseShape house, CodeEdition edition, string roomId, Measure.Point at, Fixture fixture)
    {
        var there = house[fixture.Room];
        if (fixture.Room == roomId)
            return Places.InchesTo(there, fixture.Spot, at);
        var here = house[roomId];
        if (here.Room.Storey != there.Room.Storey)
            return null;
        double? best = null;
        foreach (
            var door in here.Openings.Where(o =>
                o.IsDoorway
                && o.Beyond == fixture.Room
                && (o.Opening.Kind == OpeningKind.Cased || edition.Ways.Cord == CordWay.ThroughDoorways)
            )
        )
        {
            foreach (var place in new[] { door.From, door.From + (door.Opening.Width / 2), door.To })
            {
                var jamb = here.On(door.Wall, place);
                var way = at.InchesTo(jamb) + Places.InchesTo(there, fixture.Spot, jamb);
                if (best is null || way < best)
                    best = way;
            }
        }

        return best;
    }
}
