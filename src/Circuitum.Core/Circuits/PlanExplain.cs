using System.Collections.Immutable;
using Circuitum.Core.Codes;
using Circuitum.Core.Explain;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Routing;

namespace Circuitum.Core.Circuits;

/// <summary>Says what the division into general circuits costs, what it cannot be cheaper than, and why a box is where it is.</summary>
public static class PlanExplain
{
    // Each is two divisions to work out.
    private const int MostPins = 12;

    /// <summary>The cost of the general circuits term by term, with the bound and the gap to it.</summary>
    public static Derivation OfPlan(HouseShape house)
    {
        var groups = Groups(house);
        var total = 0L;
        var steps = ImmutableArray.CreateBuilder<Derivation>();
        foreach (var g in groups.Where(g => g.Problem.Count > 0))
        {
            var plan = g.Now();
            var cost = plan.Priced();
            total += cost;
            var circuits = plan
                .Circuits.Select((c, i) => (Things: c.ToArray(), Number: i < g.Numbers.Length ? g.Numbers[i] : 0))
                .Where(c => c.Things.Length > 0)
                .ToList();
            var mixed = circuits.Sum(c => (long)g.Problem.Mixed(c.Things));
            var fixedPart = (long)circuits.Count * g.Problem.Weights.Circuit;
            steps.Add(
                new(g.Title, $"{new Money(cost)}")
                {
                    Formula =
                        $"{circuits.Count} circuits {new Money(fixedPart)} + cable {new Money(cost - fixedPart - mixed - plan.Moves)} + "
                        + $"rooms, zones and spare {new Money(mixed)}",
                    Because = Bound(g.Problem, cost),
                    Steps =
                    [
                        .. Pins(g, house.Job),
                        .. circuits.OrderBy(c => c.Number).Select(c => OfCircuit(g.Problem, c.Number, c.Things)),
                    ],
                }
            );
        }

        return new("Cost of the general circuits, as the planner weighs it", $"{new Money(total)}")
        {
            Because =
                $"{Worth(house)} Cents of labour and material by the job's weights: an estimate to compare plans with, not a price.".Trim(),
            Citation = "practice",
            Steps = steps.ToImmutable(),
        };
    }

    private static string Worth(HouseShape house) => BreakerWorth.Of(new CircuitDraft(house, CodeLibrary.EditionOf(house.Job))).Says;

    // One sentence on how far this division is from the best one.
    private static string Bound(GroupProblem problem, long cost)
    {
        var exact = ZonePartition.Solve(problem);
        var bound = exact?.Bound ?? GroupBound.Cost(problem);
        var kept = exact is null ? "No division" : "No division that keeps rooms whole and zones together";
        return cost <= bound
            ? $"{kept} is cheaper."
            : $"{kept} is cheaper than {new Money(bound)}, so this one is at most {100.0 * (cost - bound) / Math.Max(1, bound):0.0} "
                + "percent over the best.";
    }

    // What each pin costs: the best division with all of them, held against the best one without it.
    private static IEnumerable<Derivation> Pins(GeneralGroups g, Job job)
    {
        var pins = job.Decisions.Pins.Where(p => p.Counts(g.Purpose)).Take(MostPins).ToList();
        if (pins.Count == 0 || ZonePartition.Solve(g.Problem) is not { } all)
            yield break;
        foreach (var pin in pins)
        {
            if (ZonePartition.Solve(g.With(job.Decisions.Pins.Where(p => p != pin))) is not { } without)
                continue;
            var (circuits, cost) = (all.Circuits.Count() - without.Circuits.Count(), all.Cost - without.Cost);
            yield return new(Say(job, pin), cost == 0 ? "costs nothing" : new Money(cost).Signed())
            {
                Because = circuits > 0 ? "It takes a breaker more." : "It takes no breaker more.",
                Citation = "practice",
            };
        }
    }

    /// <summary>What a pin wants, in words.</summary>
    public static string Say(Job job, RoomPin pin)
    {
        string Name(string? room) => job.RoomById(room ?? "")?.Name ?? room ?? "";
        var what = pin.Of switch
        {
            CircuitPurpose.Lighting => "Lights",
            CircuitPurpose.Receptacles => "Receptacles",
            _ => "Lights and receptacles",
        };
        return pin.Kind switch
        {
            PinKind.Alone => $"{what}: {Name(pin.Room)} alone",
            PinKind.Together => $"{what}: {Name(pin.Room)} together with {Name(pin.Other)}",
            _ => $"{what}: {Name(pin.Room)} apart from {Name(pin.Other)}",
        };
    }

    private static Derivation OfCircuit(GroupProblem problem, int number, int[] things)
    {
        var broken = problem.Zones?.WhyNot(problem.PlacesOf(things)).ToList() ?? [];
        return Derivation.Fact($"Circuit {number}", $"{new Money(problem.Priced(things))}") with
        {
            Because = broken.Count == 0 ? "" : $"Against the usual zones: {string.Join("; ", broken)}.",
        };
    }

    /// <summary>
    /// Why a box is on its circuit: what every other circuit of its kind would cost more, or what forbids it. None for a box that is not
    /// divided by cost.
    /// </summary>
    public static Derivation? OfBox(HouseShape house, string box)
    {
        foreach (var g in Groups(house))
        {
            var thing = Enumerable.Range(0, g.Things.Length).FirstOrDefault(t => g.Things[t].Any(b => b.Id == box), -1);
            if (thing < 0)
                continue;
            var plan = g.Now();
            var home = plan.Of(thing);
            if (home < 0)
                return null;
            var together =
                g.Things[thing].Length > 1
                    ? " It goes together with "
                        + $"{string.Join(", ", g.Things[thing].Where(b => b.Id != box).Select(b => b.Id).Take(8))}: lights and their "
                        + "switches share a circuit."
                    : "";
            var without = plan.Circuits[home].Where(t => t != thing).ToArray();
            var here = g.Problem.Priced([.. without, thing]) - g.Problem.Priced(without);
            plan.Take(thing);
            var steps = Enumerable
                .Range(0, g.Numbers.Length)
                .Where(c => c != home && plan.Circuits[c].Count > 0)
                .Select(c => (Number: g.Numbers[c], Extra: Extra(g.Problem, plan, thing, c), Reason: Reason(g.Problem, plan, thing, c)))
                .OrderBy(c => c.Extra ?? int.MaxValue)
                .ThenBy(c => c.Number)
                .Select(c =>
                    c.Extra is { } extra
                        ? new Derivation($"On circuit {c.Number}", new Money(extra - here).Signed()) { Because = c.Reason }
                        : new($"On circuit {c.Number}", "no") { Because = c.Reason }
                )
                .Prepend(new("On a circuit of its own", new Money(g.Problem.Priced([thing]) - here).Signed()))
                .ToImmutableArray();
            return new($"Why circuit {g.Numbers[home]}", $"{new Money(here)}")
            {
                Because = $"What it costs there, and what any other place would cost more or less.{together}",
                Citation = "practice",
                Steps = steps,
            };
        }

        return null;
    }

    /// <summary>
    /// Why a general circuit is as it is: what it costs, together with another, and with one breaker more. None for one that is not divided
    /// by cost.
    /// </summary>
    public static Derivation? OfCircuit(HouseShape house, int number) => CircuitArgue.Of(house, Groups(house), number);

    /// <summary>What the general circuits of a job cost as the planner weighs it, as an estimate.</summary>
    public static Money CostOf(HouseShape house) => new(Groups(house).Sum(g => g.Now().Priced()));

    private static List<GeneralGroups> Groups(HouseShape house) =>
        [.. GeneralGroups.Of(new CircuitDraft(house, CodeLibrary.EditionOf(house.Job)), new CableRouter(house))];

    private static int? Extra(GroupProblem p, GroupPlan plan, int thing, int circuit)
    {
        int[] there = [.. plan.Circuits[circuit]],
            with = [.. there, thing];
        return p.Closed.Contains(circuit) || !p.Fits(with) ? null : p.Priced(with) - p.Priced(there);
    }

    // What forbids a place, or which of the usual zones it would go against.
    private static string Reason(GroupProblem p, GroupPlan plan, int thing, int circuit)
    {
        if (p.Closed.Contains(circuit))
            return "a person locked it";
        int[] with = [.. plan.Circuits[circuit], thing];
        return OverLimit(p, with) ?? p.Zones?.Ranked(p.PlacesOf(with)) ?? "";
    }

    /// <summary>Why things are too many for one circuit, or none when it holds them.</summary>
    internal static string? OverLimit(GroupProblem p, int[] things)
    {
        var (size, load) = (things.Sum(t => p.Size[t]), things.Sum(t => p.Load[t]));
        if (size > p.MostSize)
            return $"it would have {size} outlets, {p.MostSize} is the most that the job wants";
        return load > p.MostLoad ? $"its load would be {load:#,0} VA, {p.MostLoad:#,0} is the most" : null;
    }
}
