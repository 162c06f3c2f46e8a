using System.Collections.Immutable;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Codes;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Protection;

/// <summary>Kinds of protection.</summary>
public enum ProtectionKind
{
    /// <summary>Arc-fault (AFCI).</summary>
    ArcFault,

    /// <summary>Ground-fault (GFCI).</summary>
    GroundFault,
}

/// <summary>Why a box needs a kind of protection.</summary>
/// <param name="Kind">Which.</param>
/// <param name="RuleId">The rule.</param>
/// <param name="Citation">Its section.</param>
/// <param name="Reason">In words.</param>
public sealed record ProtectionNeed(ProtectionKind Kind, string RuleId, string Citation, string Reason);

/// <summary>Works out what protection each box needs.</summary>
public static class ProtectionNeeds
{
    /// <summary>What a box needs on a circuit of a given voltage and rating.</summary>
    public static ImmutableArray<ProtectionNeed> Of(HouseShape house, CodeEdition edition, Box box, int volts, int breaker)
    {
        var needs = ImmutableArray.CreateBuilder<ProtectionNeed>();
        var room = house[box.Room];
        var traits = edition.Traits(room.Room.Kind);
        if (volts == 120 && breaker <= 20 && traits.ArcFault && box.Kind != BoxKind.Provision)
            Need(ProtectionKind.ArcFault, "protect.arc", $"{(box.Kind == BoxKind.Switch ? "a switch" : "an outlet")} in {room.Room.Name}");
        var facts = house.Job.ApplianceById(box.Appliance) is { } appliance ? ApplianceFacts.Of(appliance) : null;
        var receptacle = box.Kind is BoxKind.Receptacle or BoxKind.Provision || facts is { Hardwired: false };
        if (receptacle) ByPlace();
        if (facts is not null) ByAppliance(facts);
        return needs.ToImmutable();

        void Need(ProtectionKind kind, string rule, string reason, string? cite = null) => needs.Add(new(kind, rule, cite ?? edition.Cite(rule), reason));

        void ByPlace()
        {
            if (traits.GroundFault is { } place) Need(ProtectionKind.GroundFault, $"protect.{place}", $"a receptacle in {room.Room.Name}");
            var at = Places.Of(house, box);
            foreach (var fixture in house.Job.Fixtures)
            {
                var sink = fixture.Kind is FixtureKind.Sink or FixtureKind.Basin;
                if (!sink && fixture.Kind is not (FixtureKind.Tub or FixtureKind.Shower)) continue;
                if (CordInches(house, box.Room, at, fixture) is not { } inches || inches > edition.Number("waterReachIn")) continue;
                var what = fixture.Kind.ToString().ToLowerInvariant();
                Need(ProtectionKind.GroundFault, sink ? "protect.sink" : "protect.tub", $"{inches / 12:0.0} ft from a {what} in {house[fixture.Room].Room.Name}");
            }
        }

        void ByAppliance(ApplianceFacts f)
        {
            if (f.Type.GroundFault) Need(ProtectionKind.GroundFault, f.Type.Id == "sump-pump" ? "protect.sump" : "protect.appliance", $"{f.Name}: named by the rule, plug or hardwired", f.Type.GroundFaultCite);
            if (f.Type.Charging && !f.Hardwired) Need(ProtectionKind.GroundFault, "protect.charging", "a receptacle for vehicle charging");
            if (!f.Hardwired || breaker > 50 || f.Type.Lighting || (!traits.Outdoors && room.Room.Kind != RoomKind.Garage)) return;
            var where = traits.Outdoors ? "outdoors" : "in a garage at grade";
            if (!f.Type.Hvac) Need(ProtectionKind.GroundFault, "protect.outdoorOutlet", $"{f.Name}: hardwired {where}, {breaker} A");
            else if (house.Job.PermitDate is not { } permit) Need(ProtectionKind.GroundFault, "protect.outdoorOutlet", $"{f.Name}: hardwired {where}; without a permit date the exception for heating and cooling, which ended on {edition.HvacGroundFaultFrom:yyyy-MM-dd}, is taken as ended");
            else if (permit >= edition.HvacGroundFaultFrom) Need(ProtectionKind.GroundFault, "protect.outdoorOutlet", $"{f.Name}: hardwired {where}; the exception for heating and cooling ended on {edition.HvacGroundFaultFrom:yyyy-MM-dd}");
        }
    }

    // The shortest way a cord could take: straight in the same room, by the doorway from the next one.
    private static double? CordInches(HouseShape house, string roomId, Measure.Point at, Fixture fixture)
    {
        var there = house[fixture.Room];
        if (fixture.Room == roomId) return Places.InchesTo(there, fixture.Spot, at);
        var here = house[roomId];
        if (here.Room.Storey != there.Room.Storey) return null;
        double? best = null;
        foreach (var door in here.Openings.Where(o => o.IsDoorway && o.Beyond == fixture.Room))
        {
            foreach (var place in new[] { door.From, door.From + (door.Opening.Width / 2), door.To })
            {
                var jamb = here.On(door.Wall, place);
                var way = at.InchesTo(jamb) + Places.InchesTo(there, fixture.Spot, jamb);
                if (best is null || way < best) best = way;
            }
        }

        return best;
    }
}
