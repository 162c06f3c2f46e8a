using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Planning;
using Circuitum.Core.Review;

namespace Circuitum.Generated;

// The hard rules, told apart from the program's own checks.
internal static partial class GeneratedHouse
{
    /// <summary>The hard rules of dividing into circuits, written down here once more: what a planned house breaks of them.</summary>
    internal static IEnumerable<string> Broken(JobAnalysis a, bool byHand = false)
    {
        var job = a.Job;
        var on = job.Decisions.Circuits.SelectMany(c => c.Boxes.Select(b => (b.Box, Circuit: c))).ToLookup(x => x.Box, x => x.Circuit);
        foreach (var box in job.Decisions.Boxes.Where(b => b.Serves is null && on[b.Id].Count() != 1))
            yield return $"{box.Id} is on {on[box.Id].Count()} circuits";
        foreach (var c in a.Circuits.Where(c => c.Boxes.Length > 0))
        {
            var receptacles = c.Boxes.Where(b => b.Kind == BoxKind.Receptacle).ToList();
            var kinds = receptacles.Select(job.KindAt).ToHashSet();
            bool Only(params RoomKind[] allowed) => kinds.All(allowed.Contains);
            if (kinds.Contains(RoomKind.Bathroom) && !Only(RoomKind.Bathroom))
                yield return $"circuit {c.Number} mixes bathrooms with others";
            if (kinds.Contains(RoomKind.Laundry) && !Only(RoomKind.Laundry))
                yield return $"circuit {c.Number} mixes the laundry with others";
            if (
                (kinds.Contains(RoomKind.Kitchen) || kinds.Contains(RoomKind.Dining))
                && !Only(RoomKind.Kitchen, RoomKind.Dining, RoomKind.Pantry)
            )
                yield return $"circuit {c.Number} mixes kitchen and dining walls with others";
            if (kinds.Contains(RoomKind.Garage) && !Only(RoomKind.Garage, RoomKind.Porch, RoomKind.Deck, RoomKind.Outdoors))
                yield return $"circuit {c.Number} mixes the garage with others";
            if (
                kinds.Overlaps([RoomKind.Bathroom, RoomKind.Laundry, RoomKind.Kitchen, RoomKind.Dining])
                && c.Boxes.Any(b => b.Kind == BoxKind.Light)
            )
                yield return $"circuit {c.Number} has lights on a required circuit";
            if (c.Wire is not { } wire)
                yield return $"circuit {c.Number} has no wire";
            else
            {
                var hvac = c.Boxes.Any(b =>
                    job.ApplianceById(b.Appliance) is { } x && ApplianceFacts.Of(a.Job, x).MinimumCircuitAmpacity is not null
                );
                var most = wire.Size.ToString() switch
                {
                    "14" => 15,
                    "12" => 20,
                    "10" => 30,
                    _ => 999,
                };
                if (!hvac && wire.Breaker > most)
                    yield return $"circuit {c.Number}: {wire.Size} AWG on {wire.Breaker} A";
                if (c.Circuit.Purpose is CircuitPurpose.Lighting or CircuitPurpose.Receptacles or CircuitPurpose.Mixed)
                {
                    var va = c.Boxes.Sum(b =>
                        b.Kind switch
                        {
                            BoxKind.Receptacle or BoxKind.Provision => 180,
                            BoxKind.Light => 60,
                            BoxKind.SmokeAlarm => 5,
                            BoxKind.Appliance => ApplianceFacts.Of(job, job.ApplianceById(b.Appliance)!).Load.Value,
                            _ => 0,
                        }
                    );
                    if (va > wire.Breaker * 120)
                        yield return $"circuit {c.Number} carries {va} VA on {wire.Breaker} A";
                    var limit = wire.Breaker == 15 ? job.Preferences.ReceptaclesPer15 : job.Preferences.ReceptaclesPer20;
                    if (c.Circuit.Purpose != CircuitPurpose.Lighting && receptacles.Count > limit)
                        yield return $"circuit {c.Number} has {receptacles.Count} receptacles of {limit}";
                }
            }

            foreach (var box in c.Boxes)
            {
                if (job.ApplianceById(box.Appliance) is { } x && x.Type is "furnace" or "air-handler" or "ev-charger" && c.Boxes.Length > 1)
                    yield return $"{x.Type} shares circuit {c.Number}";
                if (c.Load.Volts == 240 && job.ApplianceById(box.Appliance) is null)
                    yield return $"{box.Id} hangs on the 240 V circuit {c.Number}";
                foreach (var kind in c.Needs[box.Id].Select(n => n.Kind).Distinct())
                {
                    if (
                        !c.Protection.Devices.Any(d =>
                            d.Covers.Contains(box.Id) && (kind == Core.Protection.ProtectionKind.ArcFault ? d.ArcFault : d.GroundFault)
                        )
                    )
                        yield return $"{box.Id} on circuit {c.Number} is without {kind}";
                }
            }
        }

        foreach (var kitchen in job.Rooms.Where(r => r.Kind == RoomKind.Kitchen))
        {
            var counters = job
                .Decisions.Boxes.Where(b =>
                    b.Room == kitchen.Id && b.Kind == BoxKind.Receptacle && b.Wall is not null && b.Height >= Length.Inches(36)
                )
                .ToList();
            if (counters.Count > 1 && counters.SelectMany(b => on[b.Id]).Distinct().Count() < 2)
                yield return $"the counters of {kitchen.Id} are on one circuit";
        }

        foreach (var pair in job.Decisions.Pairs)
        {
            var (one, other) = (a.CircuitByNumber(pair.First)!, a.CircuitByNumber(pair.Second)!);
            if (one.Load.Volts != 120 || other.Load.Volts != 120 || one.Wire!.Size != other.Wire!.Size)
                yield return $"circuits {pair.First} and {pair.Second} cannot share a cable";
            var spaces = job.Decisions.Spaces.Where(s => pair.Has(s.Circuit)).Select(s => s.Space).ToList();
            if (pair.Kind == PairKind.SharedNeutral && (spaces.Count != 2 || Math.Abs(spaces[0] - spaces[1]) != 2))
                yield return $"the breakers of circuits {pair.First} and {pair.Second} cannot open together";
        }

        foreach (
            var f in a.Findings.Where(f =>
                f.Severity == Severity.Must
                && (
                    f.RuleId.StartsWith("circuit.", StringComparison.Ordinal)
                    || f.RuleId.StartsWith("wire.", StringComparison.Ordinal)
                    || f.RuleId.StartsWith("protect.", StringComparison.Ordinal)
                )
                && f.RuleId != "circuit.generalCount"
                && !(byHand && f.RuleId == "circuit.switched")
            )
        )
            yield return f.Sentence;
    }

    /// <summary>
    /// Plans a house, then again with a person's hand in it, and says what was broken: the rules, or what the person decided.
    /// </summary>
    internal static IEnumerable<string> Try(int seed)
    {
        var job = MakeWithShed(seed);
        foreach (var p in Core.Intake.JobRules.Check(job))
            yield return $"made wrong: {p}";
        var planned = Planner.PlanAll(job, seed % 10 == 0 ? Core.Circuits.PlanEffort.Full : Core.Circuits.PlanEffort.First);
        foreach (var b in Broken(Analyzer.Analyze(planned)).Concat(TryByHand(planned, seed)))
            yield return b;
    }

    /// <summary>Plans a planned house again with a person's hand in it, and says what was broken.</summary>
    internal static IEnumerable<string> TryByHand(Job planned, int seed)
    {
        var random = new Random(seed + 1);
        var general = planned
            .Decisions.Circuits.Where(c => c.Purpose is CircuitPurpose.Receptacles or CircuitPurpose.Lighting or CircuitPurpose.Mixed)
            .ToList();
        if (general.Count < 2)
            yield break;

        // One circuit locked, one box held by a person on a circuit of its own; then all is planned anew.
        var locked = general[random.Next(general.Count)];
        var free = general.First(c => c.Number != locked.Number);
        var box = free.Boxes[random.Next(free.Boxes.Length)].Box;
        var held = new Core.Commands.AssignBox(box, null)
            .Apply(new Core.Commands.LockCircuit(locked.Number, true).Apply(planned).Job!)
            .Job!;
        var own = held.Decisions.Circuits.Single(c => c.Holds(box)).Number;
        var again = Planner.PlanAfresh(held, new Core.Circuits.SearchCircuitPlanner(Core.Circuits.PlanEffort.First));
        if (
            !again
                .Decisions.Circuits.Single(c => c.Number == locked.Number)
                .Boxes.Select(b => b.Box)
                .ToHashSet()
                .SetEquals(locked.Boxes.Select(b => b.Box))
        )
            yield return $"the lock of circuit {locked.Number} was broken";
        if (again.Decisions.Circuits.Single(c => c.Holds(box)).Number != own)
            yield return $"{box} was taken from where a person put it";

        // A light that a person takes from its switch is found, and stays where the person put it.
        foreach (var b in Broken(Analyzer.Analyze(again), byHand: true))
            yield return $"planned again: {b}";
    }
}
