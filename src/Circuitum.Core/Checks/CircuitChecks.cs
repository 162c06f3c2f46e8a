using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Circuits;
using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;
using Circuitum.Core.Loads;
using Circuitum.Core.Measure;
using Circuitum.Core.Protection;

namespace Circuitum.Core.Checks;

/// <summary>Each box on a circuit.</summary>
internal sealed class BoxesOnCircuits : ICheck
{
    public IEnumerable<Finding> Find(JobAnalysis a)
    {
        var loose = a.Job.Decisions.Boxes.Where(b => b.Serves is null && a.CircuitOf(b.Id) is null).ToList();
        if (loose.Count > 0)
            yield return CheckList.Make(
                a,
                "circuit.unassigned",
                $"{loose.Count} {(loose.Count == 1 ? "box is" : "boxes are")} on no circuit: "
                    + $"{string.Join(", ", loose.Take(5).Select(b => b.Id))}{(loose.Count > 5 ? " and more" : "")}.",
                [.. loose.Take(50).Select(b => $"box:{b.Id}")]
            );
    }
}

/// <summary>Circuits that a dwelling must have.</summary>
internal sealed class RequiredCircuits : ICheck
{
    public IEnumerable<Finding> Find(JobAnalysis a)
    {
        if (a.Circuits.Length == 0)
            yield break;
        var (least, fewest) = ((int)a.Edition.Number("requiredCircuitA"), (int)a.Edition.Number("smallApplianceFewest"));
        foreach (var kitchen in a.House.Rooms.Where(r => RoomUse.Cooks(a.Job, r.Room)))
        {
            var small = a.Circuits.Where(c => c.Circuit.Purpose == CircuitPurpose.SmallAppliance && c.Breaker >= least).ToList();
            var counters = small.Count(c =>
                c.Boxes.Any(b => b.Room == kitchen.Room.Id && b.Kind == BoxKind.Receptacle && b.Height >= Length.Inches(36))
            );
            var receptacles = a.Job.Decisions.Boxes.Count(b =>
                b.Room == kitchen.Room.Id && b.Kind == BoxKind.Receptacle && b.Height >= Length.Inches(36)
            );
            if (small.Count < fewest)
                yield return CheckList.Make(
                    a,
                    "circuit.smallAppliance",
                    $"There are {small.Count} small-appliance circuits of {least} A; {fewest} are the least.",
                    $"room:{kitchen.Room.Id}"
                );
            else if (receptacles > 1 && counters < fewest)
                yield return CheckList.Make(
                    a,
                    "circuit.smallAppliance",
                    $"The counters of {kitchen.Room.Name} are on {counters} small-appliance circuit; {fewest} are the least.",
                    $"room:{kitchen.Room.Id}"
                );
        }

        foreach (var c in a.Circuits.Where(c => c.Circuit.Purpose == CircuitPurpose.SmallAppliance))
        {
            var served = c.Boxes.Select(b => b.Room).Distinct().Where(r => a.House[r].Room.Kind == RoomKind.Kitchen).ToList();
            if (served.Count > 1)
                yield return CheckList.Make(
                    a,
                    "circuit.smallAppliance",
                    $"Circuit {c.Number} serves {served.Count} kitchens; a small-appliance circuit serves one.",
                    $"circuit:{c.Number}"
                );
        }

        if (Missing(a, null, CircuitPurpose.Laundry))
            yield return CheckList.Make(a, "circuit.laundry", $"There is no laundry circuit of {least} A.");
        if (Missing(a, RoomKind.Bathroom, CircuitPurpose.Bathroom))
            yield return CheckList.Make(a, "circuit.bathroom", $"There is no bathroom circuit of {least} A.");
        if (Missing(a, RoomKind.Garage, CircuitPurpose.Garage))
            yield return CheckList.Make(a, "circuit.garage", $"There is no garage circuit of {least} A.");
        var general = a
            .Circuits.Where(c => c.Circuit.Purpose is CircuitPurpose.Lighting or CircuitPurpose.Receptacles or CircuitPurpose.Mixed)
            .ToList();
        var need = GeneralLoad.Of(a.Edition, a.AreaSqFt).Value;
        var have = general.Sum(c => c.Breaker * 120);
        var smallest = a.Edition.SmallestBreaker;
        if (have < need)
            yield return CheckList.Make(
                a,
                "circuit.generalCount",
                $"{a.AreaSqFt:#,0} sq ft at {a.Edition.Say("generalVaPerSqFt")} VA need {need:#,0} VA, at least "
                    + $"{GeneralLoad.LeastCircuits(a.Edition, a.AreaSqFt, smallest)} circuits of {smallest} A or "
                    + $"{GeneralLoad.LeastCircuits(a.Edition, a.AreaSqFt, least)} of {least} A; {general.Count} general circuits "
                    + $"carry {have:#,0} VA."
            );
    }

    private static bool Missing(JobAnalysis a, RoomKind? kind, CircuitPurpose purpose) =>
        a.Job.Decisions.Boxes.Any(b => BoxPurpose.Of(a.Job, a.Edition, b) == purpose && (kind is null || a.House[b.Room].Room.Kind == kind))
        && !a.Circuits.Any(c => c.Circuit.Purpose == purpose && c.Breaker >= a.Edition.Number("requiredCircuitA"));
}

/// <summary>Appliances that a rule wants alone on their circuit.</summary>
internal sealed class IndividualCircuits : ICheck
{
    public IEnumerable<Finding> Find(JobAnalysis a)
    {
        foreach (var appliance in a.Job.Appliances.Where(x => ApplianceFacts.Of(x).Type.Individual))
        {
            if (
                a.Job.Decisions.Boxes.FirstOrDefault(b => b.Appliance == appliance.Id) is { } box
                && a.CircuitOf(box.Id) is { Boxes.Length: > 1 } c
            )
                yield return CheckList.Make(
                    a,
                    "circuit.individual",
                    $"{ApplianceFacts.Of(appliance).Name} shares circuit {c.Number}.",
                    $"circuit:{c.Number}",
                    $"box:{box.Id}"
                );
        }
    }
}

/// <summary>Boxes on circuits that may not serve them.</summary>
internal sealed class CircuitMembers : ICheck
{
    public IEnumerable<Finding> Find(JobAnalysis a)
    {
        foreach (var c in a.Circuits)
        {
            foreach (
                var box in c.Boxes.Where(b =>
                    c.Load.Volts == 240
                    && b.Kind != BoxKind.Switch
                    && (a.Job.ApplianceById(b.Appliance) is not { } x || ApplianceFacts.Of(x).Volts != 240)
                )
            )
                yield return CheckList.Make(
                    a,
                    "circuit.volts",
                    $"{box.Id} works at 120 V; circuit {c.Number} ({c.Label}) has a two-pole breaker for 240 V.",
                    $"box:{box.Id}",
                    $"circuit:{c.Number}"
                );

            foreach (var box in c.Boxes)
            {
                var own = BoxPurpose.Of(a.Job, a.Edition, box);
                if (BoxPurpose.WhyNot(a.Job, a.Edition, box, c.Circuit.Purpose, c.Boxes) is not { } why)
                {
                    if (
                        own == CircuitPurpose.Appliance
                        && c.Circuit.Purpose == CircuitPurpose.SmallAppliance
                        && a.Job.ApplianceById(box.Appliance) is { } guest
                    )
                    {
                        yield return CheckList.Make(
                            a,
                            "circuit.alone",
                            $"{ApplianceFacts.Of(guest).Name} is on small-appliance circuit {c.Number}; the job wants it alone.",
                            $"box:{box.Id}",
                            $"circuit:{c.Number}"
                        ) with
                        {
                            Fix = new("Give it a circuit of its own", "assign-box", ("box", box.Id), ("circuit", "new")),
                        };
                    }

                    continue;
                }

                var rule = BoxPurpose.RuleOf(c.Circuit.Purpose) ?? BoxPurpose.RuleOf(own)!;
                yield return CheckList.Make(
                    a,
                    rule,
                    $"{box.Id} may not be on circuit {c.Number} ({c.Label}). {why}",
                    $"box:{box.Id}",
                    $"circuit:{c.Number}"
                );
            }
        }
    }
}

/// <summary>Load limits, counts and darkness.</summary>
internal sealed class CircuitLoads : ICheck
{
    public IEnumerable<Finding> Find(JobAnalysis a)
    {
        foreach (var c in a.Circuits.Where(c => c.Wire is not null))
        {
            var subject = $"circuit:{c.Number}";
            var fixedFigure = c.Circuit.Purpose is CircuitPurpose.SmallAppliance or CircuitPurpose.Laundry;
            var cooking = c.Boxes.Any(b => a.Job.ApplianceById(b.Appliance) is { } x && ApplianceFacts.Of(x).Type.Cooking);
            var hvac = c.Boxes.Any(b =>
                a.Job.ApplianceById(b.Appliance) is { } x && ApplianceFacts.Of(x).MinimumCircuitAmpacity is not null
            );
            if (cooking && !(c.Load.Sizing <= new Amperes(c.Breaker)))
                yield return CheckList.Make(
                    a,
                    "circuit.overload",
                    $"Circuit {c.Number}: {c.Load.Sizing} on a {c.Breaker} A breaker.",
                    subject
                );
            if (c.Wire!.MostBreaker is { } largest && c.Breaker > largest)
            {
                yield return CheckList.Make(
                    a,
                    "circuit.receptacleBreaker",
                    $"Circuit {c.Number} feeds several receptacles from a {c.Breaker} A breaker; {largest} A is the most.",
                    subject
                ) with
                {
                    Fix = new($"Let the sizing choose", "set-breaker", ("circuit", $"{c.Number}"), ("breaker", "")),
                };
            }

            if (!fixedFigure && !cooking && !hvac)
            {
                foreach (var breach in LoadLimits.Check(a.Edition, c.Breaker, c.Load.Volts, [.. c.Boxes.Select(b => BoxLoad.Of(a.Job, b))]))
                    yield return CheckList.Make(a, breach.RuleId, $"Circuit {c.Number}: {breach.Sentence}", subject);
            }

            if (
                a.Job.Preferences.LightsAndReceptacles == LightsAndReceptacles.Separate
                && c.Circuit.Purpose is CircuitPurpose.Lighting or CircuitPurpose.Receptacles
                && c.Boxes.Any(b => b.Kind == BoxKind.Light)
                && c.Boxes.Any(b => b.Kind == BoxKind.Receptacle)
            )
                yield return CheckList.Make(
                    a,
                    "circuit.apart",
                    $"Circuit {c.Number} carries lights and receptacles; the job wants them apart.",
                    subject
                );
            if (c.Circuit.Purpose is not (CircuitPurpose.Receptacles or CircuitPurpose.Mixed))
                continue;
            var receptacles = c.Boxes.Count(b => b.Kind == BoxKind.Receptacle);
            var law = (int)a.Edition.Number("receptaclesOnCircuitMost");
            if (receptacles > law)
                yield return CheckList.Make(
                    a,
                    "circuit.mostReceptacles",
                    $"Circuit {c.Number} has {receptacles} receptacles; the local rule allows {law}.",
                    subject
                );
            var wishes = PreferenceFields.Of(a.Job, c.Circuit);
            var most = c.Breaker <= 15 ? wishes.ReceptaclesPer15 : wishes.ReceptaclesPer20;
            if (receptacles > most)
                yield return CheckList.Make(
                    a,
                    "circuit.count",
                    $"Circuit {c.Number} has {receptacles} receptacles; the job plans {most} at most.",
                    subject
                );
        }

        foreach (var room in a.House.Rooms)
        {
            var boxes = a
                .Job.Decisions.Boxes.Where(b => b.Room == room.Room.Id && b.Kind is (BoxKind.Light or BoxKind.Receptacle))
                .ToList();
            var circuits = boxes.Select(b => a.CircuitOf(b.Id)?.Number ?? 0).Distinct().ToList();
            if (
                circuits.Count == 1
                && circuits[0] > 0
                && boxes.Any(b => b.Kind == BoxKind.Light)
                && boxes.Any(b => b.Kind == BoxKind.Receptacle)
            )
                yield return CheckList.Make(
                    a,
                    "circuit.dark",
                    $"Circuit {circuits[0]} carries all lights and receptacles of {room.Room.Name}.",
                    $"room:{room.Room.Id}",
                    $"circuit:{circuits[0]}"
                );
        }
    }
}

/// <summary>Wire, breaker and drop.</summary>
internal sealed class WireSizes : ICheck
{
    public IEnumerable<Finding> Find(JobAnalysis a)
    {
        foreach (var c in a.Circuits)
        {
            var subject = $"circuit:{c.Number}";
            if (c.Wire is null)
            {
                yield return CheckList.Make(a, "wire.size", $"Circuit {c.Number}: no sheathed cable carries {c.Load.Sizing}.", subject);
                continue;
            }

            if (c.DropPercent > a.Edition.Number("dropPercentBranch"))
                yield return CheckList.Make(
                    a,
                    "wire.drop",
                    $"Circuit {c.Number} drops {c.DropPercent:0.0} percent at its farthest load.",
                    subject
                );
            var appliance = c.Boxes.Length == 1 && a.Job.ApplianceById(c.Boxes[0].Appliance) is { } x ? ApplianceFacts.Of(x) : null;
            if (appliance?.MaximumBreaker is { } most && c.Breaker > most)
                yield return CheckList.Make(
                    a,
                    "wire.hvac",
                    $"Circuit {c.Number}: a {c.Breaker} A breaker is over the nameplate's {most} A.",
                    subject
                );
            if (
                appliance is { Type.Id: "range" }
                && appliance.Load.Value >= a.Edition.Number("rangeLeastVa")
                && c.Breaker < a.Edition.Number("rangeLeastBreaker")
            )
                yield return CheckList.Make(
                    a,
                    "wire.range",
                    $"Circuit {c.Number}: a range of {appliance.Load} has a {c.Breaker} A breaker.",
                    subject
                );
            var amps = c.Load.Actual.Value;
            if (appliance is not null && CircuitDeriver.LargestFor(a.Edition, appliance, amps) is { } largest && c.Breaker > largest)
            {
                var motor = appliance.MotorLoad;
                yield return CheckList.Make(
                    a,
                    motor ? "wire.motor" : "wire.nonMotor",
                    $"Circuit {c.Number}: {c.Breaker} A is over {largest} A for one {(motor ? "motor" : "appliance")} of {amps:0.0} A.",
                    subject
                );
            }

            if (c.Ground is { Enough: false } ground)
                yield return CheckList.Make(
                    a,
                    "wire.ground",
                    $"Circuit {c.Number}: the ground in {c.Cable} cable is {ground.There ?? "missing"} AWG; {ground.Needed} is needed.",
                    subject
                );
        }
    }
}

/// <summary>Each outlet that needs protection has it.</summary>
internal sealed class ProtectionCover : ICheck
{
    public IEnumerable<Finding> Find(JobAnalysis a)
    {
        foreach (var c in a.Circuits)
        {
            foreach (var (box, needs) in c.Needs.OrderBy(n => n.Key, StringComparer.Ordinal))
            {
                foreach (var need in needs.DistinctBy(n => n.Kind))
                {
                    var covered = c.Protection.Devices.Any(d =>
                        d.Covers.Contains(box) && (need.Kind == ProtectionKind.ArcFault ? d.ArcFault : d.GroundFault)
                    );
                    if (!covered)
                        yield return CheckList.Make(
                            a,
                            "protect.missing",
                            $"{box} on circuit {c.Number} is without "
                                + $"{(need.Kind == ProtectionKind.ArcFault ? "arc-fault" : "ground-fault")} protection: {need.Reason} "
                                + $"({need.Citation}).",
                            $"box:{box}",
                            $"circuit:{c.Number}"
                        );
                }
            }

            foreach (var d in c.Protection.Devices.Where(d => d.GroundFault && d.Covers.Length > 1))
            {
                foreach (
                    var box in d.Covers.Where(b =>
                        b != d.Box && ProtectionPlan.KeptClear(a.Job, a.Boxes[b]) && a.Boxes[b].Kind == BoxKind.Appliance
                    )
                )
                    yield return CheckList.Make(
                        a,
                        "protect.shared",
                        $"{ApplianceFacts.Of(a.Job.ApplianceById(a.Boxes[box].Appliance)!).Name} hangs on "
                            + $"{(d.Box is null ? "the breaker" : $"the device in {d.Box}")} of circuit {c.Number} with "
                            + $"{d.Covers.Length - 1} other outlets: when one of them trips it, nobody may notice.",
                        $"box:{box}",
                        $"circuit:{c.Number}"
                    ) with
                    {
                        Fix = new("Give it a circuit of its own", "assign-box", ("box", box), ("circuit", "new")),
                    };
            }

            foreach (var d in c.Protection.Devices.Where(d => d.Box is not null && !CircuitProtection.CanHoldDevice(a.Boxes[d.Box!])))
                yield return CheckList.Make(
                    a,
                    "protect.reach",
                    $"The protective device of circuit {c.Number} sits in {d.Box}, where it is not readily reached.",
                    $"box:{d.Box}"
                );
        }
    }
}

/// <summary>Large appliances whose plate nobody has read.</summary>
internal sealed class Nameplates : ICheck
{
    public IEnumerable<Finding> Find(JobAnalysis a)
    {
        foreach (var appliance in a.Job.Appliances.Where(x => !x.Nameplate.Confirmed))
        {
            var facts = ApplianceFacts.Of(appliance);
            if (facts.Volts == 240)
                yield return CheckList.Make(
                    a,
                    "appliance.assumed",
                    $"{facts.Name}: {facts.Load} at {facts.Volts} V is not confirmed by its nameplate.",
                    $"appliance:{appliance.Id}"
                );
        }
    }
}
