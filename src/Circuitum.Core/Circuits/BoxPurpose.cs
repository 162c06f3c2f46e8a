using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Circuits;

/// <summary>Which sort of circuit a box belongs on.</summary>
public static class BoxPurpose
{
    /// <summary>The purpose of the circuit that a box belongs on.</summary>
    public static CircuitPurpose Of(Job job, CodeEdition edition, Box box)
    {
        var kind = job.KindAt(box);
        if (job.ApplianceById(box.Appliance) is { } appliance)
        {
            var facts = ApplianceFacts.Of(job, appliance);
            if (facts.Type.Lighting)
                return CircuitPurpose.Lighting;
            if (
                facts.Own(job.Preferences)
                || edition.OwnCircuits.Contains(facts.Type.Id)
                || facts.Connection == Connection.TwoLines
                || edition.Demands.Values.Any(d => d.Kind == LocalDemandKind.OwnCircuit && d.Appliance == facts.Type.Id)
            )
                return CircuitPurpose.Appliance;
            if (facts.Type.Laundry && !facts.Hardwired)
                return CircuitPurpose.Laundry;
            if (facts.Type.Garage && kind == RoomKind.Garage)
                return job.Preferences.Division.DoorOperator == DoorOperator.Alone ? CircuitPurpose.Appliance : CircuitPurpose.Garage;
            if (facts.Type.Has(ApplianceTrait.SmallApplianceGuest) && edition.Traits(kind).SmallAppliance)
                return CircuitPurpose.SmallAppliance;
            if (facts.Type is { Fastened: false, Hvac: false, Motor: false } && !facts.Hardwired && kind == RoomKind.Garage)
                return CircuitPurpose.Garage;
            return facts.Hardwired && facts.Load.Value <= 360 ? CircuitPurpose.Lighting : CircuitPurpose.Appliance;
        }

        if (box.Kind == BoxKind.Disconnect)
            return CircuitPurpose.Appliance;
        if (box.Kind is not (BoxKind.Receptacle or BoxKind.Provision))
            return CircuitPurpose.Lighting;
        if (
            edition.Ways.Counter == CounterWay.Alternating
                ? AtCounter(job, edition, box)
                : edition.Traits(kind).SmallAppliance || OverCounterWhereOneCooks(job, box)
        )
            return CircuitPurpose.SmallAppliance;
        if (kind == RoomKind.Utility && edition.InForce("circuit.utility"))
            return CircuitPurpose.Utility;
        return kind switch
        {
            RoomKind.Bathroom => CircuitPurpose.Bathroom,
            RoomKind.Laundry => CircuitPurpose.Laundry,
            RoomKind.Garage => CircuitPurpose.Garage,
            RoomKind.Porch or RoomKind.Deck or RoomKind.Outdoors => CircuitPurpose.Outdoor,
            _ => CircuitPurpose.Receptacles,
        };
    }

    /// <summary>Whether a receptacle serves a counter where one cooks, or stands on an island or a peninsula.</summary>
    internal static bool AtCounter(Job job, CodeEdition edition, Box box) =>
        OverCounterWhereOneCooks(job, box)
        || (box is { Kind: BoxKind.Receptacle, Wall: null } && edition.Traits(job.KindAt(box)).SmallAppliance);

    // In a studio the counter is a kitchen's, whatever the room is called.
    private static bool OverCounterWhereOneCooks(Job job, Box box) =>
        box is { Kind: BoxKind.Receptacle, Outside: false, Wall: not null }
        && box.Height >= Length.Inches(36)
        && BoxLayout.RoomUse.Cooks(job, job.RoomById(box.Room)!)
        && job.Counters.Any(c =>
            c.Room == box.Room && c.Spot.Wall == box.Wall && box.Along >= c.Spot.From && box.Along <= c.Spot.From + c.Spot.Width
        );

    /// <summary>Whether a box may be put on a circuit of a purpose; a sentence with the rule when it may not.</summary>
    /// <param name="job">The job.</param>
    /// <param name="edition">Its edition.</param>
    /// <param name="box">The box.</param>
    /// <param name="purpose">The circuit's purpose.</param>
    /// <param name="with">All boxes of the circuit, which decide where a rule has an exception.</param>
    public static string? WhyNot(Job job, CodeEdition edition, Box box, CircuitPurpose purpose, IReadOnlyList<Box> with)
    {
        var own = Of(job, edition, box);
        if (own == purpose || Excepted(job, edition, box, own, purpose, with))
            return null;
        var general = own is CircuitPurpose.Lighting or CircuitPurpose.Receptacles or CircuitPurpose.Mixed;
        if (purpose is CircuitPurpose.Lighting or CircuitPurpose.Receptacles or CircuitPurpose.Mixed && general)
            return null;
        if (
            own == CircuitPurpose.Outdoor
            && !edition.InForce("circuit.outdoor")
            && purpose is (CircuitPurpose.Garage or CircuitPurpose.Receptacles or CircuitPurpose.Mixed)
        )
            return null;
        return RuleOf(edition, purpose, own) is { } rule ? $"{edition.Rule(rule).Text.TrimEnd('.')} ({edition.Cite(rule)})." : null;
    }

    /// <summary>The rule by which a box is not for a circuit: of the circuit's purpose where that holds, else of the box's.</summary>
    /// <param name="edition">The edition.</param>
    /// <param name="purpose">The circuit's purpose.</param>
    /// <param name="own">The purpose of the circuit that the box belongs on.</param>
    internal static string? RuleOf(CodeEdition edition, CircuitPurpose purpose, CircuitPurpose own) =>
        new[] { RuleOf(purpose), RuleOf(own) }.FirstOrDefault(rule => rule is not null && edition.InForce(rule));

    /// <summary>The rule that speaks of circuits of a purpose, or none.</summary>
    private static string? RuleOf(CircuitPurpose purpose) =>
        purpose switch
        {
            CircuitPurpose.SmallAppliance => "circuit.smallAppliance",
            CircuitPurpose.Laundry => "circuit.laundry",
            CircuitPurpose.Bathroom => "circuit.bathroom",
            CircuitPurpose.Garage => "circuit.garage",
            CircuitPurpose.Utility => "circuit.utility",
            CircuitPurpose.Outdoor => "circuit.outdoor",
            _ => null,
        };

    private static bool Excepted(Job job, CodeEdition edition, Box box, CircuitPurpose own, CircuitPurpose purpose, IReadOnlyList<Box> with)
    {
        var appliance = job.ApplianceById(box.Appliance) is { } a ? ApplianceFacts.Of(job, a) : null;

        // A circuit that serves one bathroom may carry all equipment of it, within the limits of 210.23 (210.11(C)(3), exception).
        if (purpose == CircuitPurpose.Bathroom && job.KindAt(box) == RoomKind.Bathroom && with.All(b => b.Room == box.Room))
            return true;

        // What is plugged in in the garage may share its receptacles' circuit or have its own; the rule asks for one circuit for
        // the receptacles of the bays (210.11(C)(4)).
        if (
            appliance is { Hardwired: false, Connection: Connection.OneLine }
            && job.KindAt(box) == RoomKind.Garage
            && (purpose == CircuitPurpose.Garage || own == CircuitPurpose.Garage)
        )
            return true;
        if (purpose == CircuitPurpose.Garage && own == CircuitPurpose.Lighting && job.KindAt(box) == RoomKind.Garage)
            return edition.Traits(RoomKind.Garage).LightBeside;
        if (own == CircuitPurpose.Garage && purpose is CircuitPurpose.Appliance or CircuitPurpose.Receptacles or CircuitPurpose.Mixed)
            return BaysServed(job, box);

        // A refrigerator may be on the kitchen's circuits although the job wants it alone (210.52(B)(1)).
        return purpose == CircuitPurpose.SmallAppliance
            && ApplianceFacts.Has(appliance?.Appliance, ApplianceTrait.SmallApplianceGuest)
            && edition.Traits(job.KindAt(box)).SmallAppliance;
    }

    // One receptacle on a garage circuit for each vehicle bay is what the rule wants; more may hang elsewhere.
    private static bool BaysServed(Job job, Box box)
    {
        var served = job
            .Decisions.Circuits.Where(c => c.Purpose == CircuitPurpose.Garage)
            .SelectMany(c => c.Boxes)
            .Select(b => b.Box)
            .ToHashSet();
        var there = job.Decisions.Boxes.Count(b =>
            b.Kind == BoxKind.Receptacle && b.Room == box.Room && !b.Outside && b.Id != box.Id && served.Contains(b.Id)
        );
        var bays = Math.Max(
            1,
            job.Openings.Where(o => o.Room == box.Room && o.Kind == OpeningKind.GarageDoor)
                .Sum(o => BoxLayout.RoomReceptacleRules.BaysOf(o))
        );
        return there >= bays;
    }
}
