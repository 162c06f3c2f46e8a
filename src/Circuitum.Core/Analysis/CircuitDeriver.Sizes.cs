using System.Collections.Immutable;
using Circuitum.Core.Circuits;
using Circuitum.Core.Codes;
using Circuitum.Core.Explain;
using Circuitum.Core.Jobs;
using Circuitum.Core.Loads;
using Circuitum.Core.Measure;
using Circuitum.Core.Routing;
using Circuitum.Core.Sizing;

namespace Circuitum.Core.Analysis;

// Wire and breaker.
internal sealed partial class CircuitDeriver
{
    /// <summary>The wire of a circuit if so many current-carrying wires lay together; none when no cable would do.</summary>
    internal ConductorChoice? WireWith(CircuitAnalysis c, int carrying)
    {
        var appliances = c
            .Boxes.Select(b => job.ApplianceById(b.Appliance))
            .OfType<Appliance>()
            .Select(x => ApplianceFacts.Of(job, x))
            .ToList();
        return Conductor.Choose(
            Together(Case(c.Circuit, PreferenceFields.Of(job, c.Circuit), [.. c.Boxes], appliances, c.Load, c.Pair), carrying),
            edition
        );
    }

    private static SizingCase Together(SizingCase c, int? carrying) =>
        carrying is { } n && n > c.CurrentCarrying ? c with { CurrentCarrying = n } : c;

    // The home run goes up first, size by size, until the drop is within the limit; then the rest, and the home run again.
    private (WireSize Size, WireSize Home, double Drop, Derivation Why, ImmutableDictionary<string, double> At) Sizes(
        Circuit circuit,
        Preferences preferences,
        ConductorChoice? wire,
        CableRun run,
        CircuitLoad load
    )
    {
        var size = wire?.Size ?? CodeLibrary.Conductors.Sheathed[^1];
        var home = size;
        if (wire is not null && preferences.HomeRunUpsize == HomeRunUpsize.Always && circuit.Purpose is not CircuitPurpose.Appliance)
            home = Conductor.NextCable(size) ?? size;
        var (drop, why, at) = Drop(run, load, size, home);
        // Where a local rule makes the limit law, the wire follows it whatever the school.
        var asked = preferences.HomeRunUpsize != HomeRunUpsize.Off || edition.Rule("wire.drop").Severity == "must";
        if (wire is null || !asked)
            return (size, home, drop, why, at);
        var limit = edition.Number("dropPercentBranch");
        var most = edition.Rule("wire.drop").Severity == "must" ? int.MaxValue : MostSteps;
        if (most > MostSteps && drop > limit && Cheapest(wire, run, load, size, home, limit) is { } pair)
        {
            (size, home) = pair;
            (drop, why, at) = Drop(run, load, size, home);
            return (size, home, drop, why, at);
        }

        while (drop > limit)
        {
            if (Conductor.NextCable(home) is { } larger && Steps(size, larger) <= most && Grounded(wire, larger))
                home = larger;
            else if (
                run.Segments.Length > 1
                && size != LargestToDevices
                && Conductor.NextCable(size) is { } branch
                && (most > MostSteps || Steps(wire.Size, branch) <= 1)
                && Grounded(wire, branch)
            )
                size = branch;
            else
                break;
            (drop, why, at) = Drop(run, load, size, home);
        }

        return (size, home, drop, why, at);
    }

    // Where the limit is law nobody buys a thick home run for a thin circuit: of all pairs that hold it that with the least copper, those
    // first whose home run is a size larger than the rest at most.
    private (WireSize Size, WireSize Home)? Cheapest(
        ConductorChoice wire,
        CableRun run,
        CircuitLoad load,
        WireSize least,
        WireSize leastHome,
        double limit
    )
    {
        var sizes = CodeLibrary.Conductors.Sheathed;
        var (first, rest) = (run.HomeRun.InFeet, Math.Max(0, run.Cut.InFeet - run.HomeRun.InFeet));
        double Copper(WireSize size) => Conductor.Copper(size).Cmil;
        var branches =
            run.Segments.Length > 1 ? sizes.Where(s => s == least || (s > least && s <= LargestToDevices && Grounded(wire, s))) : [least];
        var pairs =
            from s in branches
            from h in sizes.Where(h => h >= s && h >= leastHome && Grounded(wire, h))
            orderby Steps(s, h) > 1, (first * Copper(h)) + (rest * Copper(s))
            where Drop(run, load, s, h).Percent <= limit
            select ((WireSize, WireSize)?)(s, h);
        return pairs.FirstOrDefault();
    }

    // With larger wire the ground grows in proportion; what is in the cable must be enough.
    private bool Grounded(ConductorChoice wire, WireSize size) => EquipmentGround.InCable(wire.Breaker, wire.Size, size, edition).Enough;

    private static int Steps(WireSize from, WireSize to) =>
        CodeLibrary.Conductors.Sheathed.IndexOf(to) - CodeLibrary.Conductors.Sheathed.IndexOf(from);

    private SizingCase Case(
        Circuit circuit,
        Preferences preferences,
        Box[] boxes,
        List<ApplianceFacts> appliances,
        CircuitLoad load,
        HomeRunPair? pair
    )
    {
        var loads = boxes.Select(b => BoxLoad.Of(job, b)).ToList();
        var alone = appliances.Count == 1 && boxes.Length == 1 ? appliances[0] : null;
        var hvac = alone is { Type.Hvac: true, MinimumCircuitAmpacity: not null } ? alone : null;
        var receptacles = load.Split || load.Connection == Connection.OneLine ? boxes.Sum(b => Receptacles(b, appliances)) : 0;
        var breaker = circuit.Breaker ?? Usual(circuit, preferences, alone, load);
        var steady = loads.Where(l => l.Continuous).Sum(l => l.Load.Value) / load.Volts;

        // A planning figure for receptacles is no load that a breaker must carry: it fills the usual breaker and no more.
        var practice = load.Practice.Value;
        var free = (breaker ?? 20) - (load.Sizing.Value - practice);
        var counted = load.Sizing.Value - Math.Clamp(practice - Math.Max(0, free), 0, practice);
        var c = new SizingCase
        {
            Continuous = new(steady),
            NonContinuous = new(Math.Max(0, counted - (steady * edition.Number("continuousFactor")))),
            MinimumCircuitAmpacity = hvac?.MinimumCircuitAmpacity,
            MaximumBreaker = alone?.MaximumBreaker,
            Breaker = breaker,
            Held = circuit.Breaker is not null,
            MostBreaker =
                load.Split ? edition.Number("counterSplitA").Whole
                : receptacles > 1 ? edition.Number("receptacleCircuitMostA").Whole
                : null,
            TerminationC = preferences.TerminationC,
            AmbientC = preferences.AmbientC,
            SeveralReceptacles = receptacles > 1,
            CurrentCarrying = (pair?.Kind == PairKind.TwoNeutrals ? 4 : 2) * preferences.CablesTogether,
        };
        if (edition.InForce("wire.smallest"))
            c = c with { SmallestSize = WireSize.Awg(edition.Number("smallestWireAwg").Whole) };
        var twelve =
            preferences.GeneralWire == GeneralWire.TwelveThroughout
            && circuit.Purpose is (CircuitPurpose.Lighting or CircuitPurpose.Receptacles or CircuitPurpose.Mixed);
        return twelve && !(c.SmallestSize > Twelve) ? c with { SmallestSize = Twelve } : c;
    }

    // A duplex is two receptacles (210.21(B)).
    private static int Receptacles(Box box, List<ApplianceFacts> appliances) =>
        box.Kind switch
        {
            BoxKind.Receptacle => box.Style switch
            {
                ReceptacleStyle.Single => 1,
                ReceptacleStyle.Quad => 4,
                _ => 2,
            },
            BoxKind.Provision => 1,
            _ => appliances.Any(a => a.Appliance.Id == box.Appliance && !a.Hardwired) ? 1 : 0,
        };

    // The breaker that is usual for what hangs on the circuit, as far as the plate allows it; none lets the load alone decide.
    private int? Usual(Circuit circuit, Preferences preferences, ApplianceFacts? alone, CircuitLoad load)
    {
        if (circuit.Purpose != CircuitPurpose.Appliance)
            return CircuitPlanning.GeneralRating(preferences, circuit.Purpose, edition);
        if (alone is null)
            return 20;
        if (alone.Type.Hvac && alone.MinimumCircuitAmpacity is not null)
            return alone.MaximumBreaker;

        // At another voltage the library's breaker means nothing.
        var usual =
            alone.Connection != alone.Type.Connection ? null
            : edition.UsualBreakers.TryGetValue(alone.Type.Id, out var other) ? other
            : alone.Type.Breaker;

        // Where a receptacle is rated as its breaker a plug of 15 A asks for one of 15 A, unless the load is over it.
        if (edition.Ways.Receptacles == ReceptacleWay.AsBreaker && alone is { Hardwired: false, Connection: Connection.OneLine })
            return null;
        if (alone.Type.Has(ApplianceTrait.Range) && alone.Load.Value >= edition.Number("rangeLeastVa"))
            usual = Math.Max(usual ?? 0, edition.Number("rangeLeastBreaker").Whole);
        return usual is { } u && LargestFor(edition, alone, load.Actual.Value) is { } most ? Math.Min(u, most) : usual;
    }

    /// <summary>
    /// The largest breaker for one appliance: 250 percent of a motor's current (430.52), 150 percent of another one's, and 20 A
    /// up to 13.3 A (422.11(E)), each at the next standard size. None for what goes by another rule, and for cooking and dryers
    /// until their plate is read: their plugs go with a breaker.
    /// </summary>
    /// <param name="edition">The edition.</param>
    /// <param name="alone">The appliance.</param>
    /// <param name="amps">Its current in amperes.</param>
    internal static int? LargestFor(CodeEdition edition, ApplianceFacts alone, double amps)
    {
        if (alone.Type.Hvac && !alone.MotorLoad)
            return null;
        if (alone.MotorLoad)
            return edition.BreakerFor(amps * edition.Number("motorBreakerFactor"));
        if ((alone.Type.Cooking || alone.Type.Has(ApplianceTrait.Dryer)) && !alone.Appliance.Nameplate.Confirmed)
            return null;
        return amps > edition.Number("smallApplianceBreakerAmps")
            ? edition.BreakerFor(amps * edition.Number("applianceBreakerFactor"))
            : edition.Number("receptacleCircuitMostA").Whole;
    }
}
