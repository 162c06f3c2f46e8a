using System.Collections.Immutable;
using System.Globalization;
using System.Text.Json;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Jobs;

/// <summary>All preferences of a job, a company and a circuit, in the order in which they are shown.</summary>
public static class PreferenceFields
{
    /// <summary>The fields.</summary>
    public static ImmutableArray<PreferenceField> All { get; } =
    [
        Choice(
            "lightsAndReceptacles",
            "Circuits",
            "Lights and receptacles",
            "Apart, a tripped receptacle circuit leaves light to work by.",
            false,
            p => p.LightsAndReceptacles,
            (p, v) => p with { LightsAndReceptacles = v },
            "circuits of their own",
            "mixed by room"
        ),
        Choice(
            "generalWire",
            "Circuits",
            "Wire for general use",
            "The breaker follows the smallest wire on the circuit.",
            true,
            p => p.GeneralWire,
            (p, v) => p with { GeneralWire = v },
            "12 AWG, 20 A for receptacles; 14 AWG, 15 A for lights",
            "14 AWG, 15 A throughout",
            "12 AWG, 20 A throughout"
        ),
        Whole(
            "receptaclesPer15",
            "Circuits",
            "Receptacles on 15 A, most",
            "A planning figure; no edition has a number.",
            true,
            1,
            40,
            p => p.ReceptaclesPer15,
            (p, v) => p with { ReceptaclesPer15 = v }
        ),
        Whole(
            "receptaclesPer20",
            "Circuits",
            "Receptacles on 20 A, most",
            "A planning figure; no edition has a number.",
            true,
            1,
            40,
            p => p.ReceptaclesPer20,
            (p, v) => p with { ReceptaclesPer20 = v }
        ),
        .. Divisions,
        Whole(
            "roomsPerCircuit",
            "Circuits",
            "Rooms on a receptacle circuit, most",
            "20 lets the load alone decide.",
            false,
            1,
            20,
            p => p.RoomsPerCircuit,
            (p, v) => p with { RoomsPerCircuit = v }
        ),
        Choice(
            "dishwasherSharesWithDisposer",
            "Circuits",
            "Dishwasher and disposer",
            "Together only when the sum fits.",
            false,
            p => Yes(p.DishwasherSharesWithDisposer),
            (p, v) => p with { DishwasherSharesWithDisposer = v == Answer.Yes },
            "one circuit each",
            "shared when the sum fits"
        ),
        Choice(
            "dishwasherContinuous",
            "Circuits",
            "Long dishwasher programmes",
            "Continuous load counts at 125 percent.",
            false,
            p => Yes(p.DishwasherContinuous),
            (p, v) => p with { DishwasherContinuous = v == Answer.Yes },
            "not continuous",
            "continuous"
        ),
        Choice(
            "refrigeratorAlone",
            "Circuits",
            "Refrigerator",
            "Alone, nothing else can trip it.",
            false,
            p => Yes(p.RefrigeratorAlone),
            (p, v) => p with { RefrigeratorAlone = v == Answer.Yes },
            "on a small-appliance circuit",
            "a circuit of its own"
        ),
        Choice(
            "groundFault",
            "Protection",
            "Ground-fault protection",
            "In the first receptacle where one is in reach; circuits that need arc-fault protection too go by the line below.",
            true,
            p => p.GroundFault,
            (p, v) => p with { GroundFault = v },
            "breaker",
            "first receptacle of the chain"
        ),
        Choice(
            "arcFault",
            "Protection",
            "Arc-fault protection",
            "In the first outlet only with a metal home run and a metal box there; else the breaker is taken.",
            true,
            p => p.ArcFault,
            (p, v) => p with { ArcFault = v },
            "combination breaker",
            "first outlet where the home run qualifies"
        ),
        Choice(
            "bothKinds",
            "Protection",
            "Both kinds at once",
            "Two devices tell which of them tripped; one is quicker to wire.",
            true,
            p => p.BothKinds,
            (p, v) => p with { BothKinds = v },
            "dual-function breaker",
            "arc-fault breaker and ground-fault receptacle"
        ),
        Choice(
            "homeRunMethod",
            "Protection",
            "Home runs of",
            "Metal qualifies for an arc-fault device in the first outlet.",
            true,
            p => p.HomeRunMethod,
            (p, v) => p with { HomeRunMethod = v },
            "nonmetallic-sheathed cable",
            "metal-clad or armored cable, or steel raceway"
        ),
        Choice(
            "connections",
            "Protection",
            "Receptacle connections",
            "Changes what goes dead when one device fails.",
            true,
            p => p.Connections,
            (p, v) => p with { Connections = v },
            "pigtail",
            "feed through the device"
        ),
        Choice(
            "homeRunUpsize",
            "Cable",
            "Home run one size up",
            "The breaker still follows the smallest wire.",
            true,
            p => p.HomeRunUpsize,
            (p, v) => p with { HomeRunUpsize = v },
            "never",
            "when voltage drop asks for it",
            "always, on general circuits"
        ),
        Choice(
            "twoCircuitHomeRuns",
            "Cable",
            "Two-circuit home runs",
            "A shared neutral needs breakers that open together, on opposite legs.",
            false,
            p => p.TwoCircuitHomeRuns,
            (p, v) => p with { TwoCircuitHomeRuns = v },
            "never, but suggest them",
            "shared neutral, three-wire",
            "two neutrals, four-wire"
        ),
        Distance(
            "twoCircuitSaving",
            "Cable",
            "Only when it saves",
            "Cable that one home run less has to save.",
            false,
            0,
            500 * 12,
            p => p.TwoCircuitSaving,
            (p, v) => p with { TwoCircuitSaving = v }
        ),
        Choice(
            "chainBy",
            "Cable",
            "Cable from box to box",
            "Back to back and in one stud bay it goes straight in any case.",
            false,
            p => p.ChainBy,
            (p, v) => p with { ChainBy = v },
            "whichever is shorter",
            "through the studs at box height",
            "up, over and down"
        ),
        Choice(
            "runBy",
            "Cable",
            "Home runs by",
            "Where several are open.",
            false,
            p => p.RunBy,
            (p, v) => p with { RunBy = v },
            "whichever is shorter",
            "the ceilings",
            "the floor where there is room below"
        ),
        Choice(
            "switchLoops",
            "Cable",
            "Power of switched lights",
            "At the switch first, the neutral is there without a third wire.",
            true,
            p => p.SwitchLoops,
            (p, v) => p with { SwitchLoops = v },
            "to the switch first",
            "to the light first"
        ),
        Choice(
            "alarmJoin",
            "Cable",
            "Smoke alarms joined",
            "All sound when one does (R314.4).",
            false,
            p => p.AlarmJoin,
            (p, v) => p with { AlarmJoin = v },
            "by a third wire",
            "by radio, as listed"
        ),
        Distance(
            "boxMakeUp",
            "Cable",
            "Left at each box entry",
            "Made up and folded into the box.",
            false,
            6,
            72,
            p => p.BoxMakeUp,
            (p, v) => p with { BoxMakeUp = v }
        ),
        Distance(
            "panelMakeUp",
            "Cable",
            "Left at the panel",
            "Made up in the panel.",
            false,
            0,
            360,
            p => p.PanelMakeUp,
            (p, v) => p with { PanelMakeUp = v }
        ),
        Whole(
            "wastePercent",
            "Cable",
            "Waste, percent",
            "Added to the cable to buy.",
            false,
            0,
            100,
            p => p.WastePercent,
            (p, v) => p with { WastePercent = v }
        ),
        Choice(
            "outsideMethod",
            "Cable",
            "Outside the house",
            "Indoor cable is for dry places (334.12).",
            false,
            p => (OutsideWays)p.OutsideMethod,
            (p, v) => p with { OutsideMethod = (OutsideMethod)v },
            "wires in PVC conduit",
            "wires in rigid metal conduit",
            "cable made for the ground"
        ),
        Whole(
            "cablesPerHole",
            "Cable",
            "Cables in one hole, most",
            "More than two through a sealed hole take from the ampacity (334.80).",
            false,
            1,
            6,
            p => p.CablesPerHole,
            (p, v) => p with { CablesPerHole = v }
        ),
        Distance(
            "stapleFromBox",
            "Cable",
            "First staple from a box",
            "8 in without clamps, 12 in with them, at most (314.17, 334.30).",
            false,
            4,
            12,
            p => p.StapleFromBox,
            (p, v) => p with { StapleFromBox = v }
        ),
        Distance(
            "stapleEvery",
            "Cable",
            "Staples apart",
            "4-1/2 ft at most (334.30).",
            false,
            12,
            54,
            p => p.StapleEvery,
            (p, v) => p with { StapleEvery = v }
        ),
        Choice(
            "homeRunLabel",
            "Cable",
            "Home-run label",
            "Written at both ends.",
            false,
            p => p.HomeRunLabel,
            (p, v) => p with { HomeRunLabel = v },
            "number, cable, purpose",
            "with the breaker's size"
        ),
        Whole(
            "ambientC",
            "Cable",
            "Around the cable, degrees C",
            "An attic in summer may have 50; over 30 takes from the ampacity.",
            true,
            10,
            80,
            p => p.AmbientC,
            (p, v) => p with { AmbientC = v }
        ),
        Whole(
            "cablesTogether",
            "Cable",
            "Cables together",
            "Bundled over 24 in, or through one sealed hole.",
            true,
            1,
            12,
            p => p.CablesTogether,
            (p, v) => p with { CablesTogether = v }
        ),
        Choice(
            "terminationC",
            "Cable",
            "Terminals rated",
            "The lower of the two ends counts.",
            true,
            p => p.TerminationC == 60 ? Terminals.C60 : Terminals.C75,
            (p, v) => p with { TerminationC = v == Terminals.C60 ? 60 : 75 },
            "60 C",
            "75 C"
        ),
        Whole(
            "boxReservePercent",
            "Boxes",
            "Room left in a box, percent",
            "The next larger box is taken when one would be just full.",
            false,
            0,
            50,
            p => p.BoxReservePercent,
            (p, v) => p with { BoxReservePercent = v }
        ),
        Optional(
            "receptacleReach",
            "Boxes",
            "Receptacle within",
            "Empty takes the code's reach; a room may ask for less.",
            12,
            72,
            p => p.ReceptacleReach,
            (p, v) => p with { ReceptacleReach = v }
        ),
        Distance(
            "switchReach",
            "Boxes",
            "Switch within",
            "From each way in.",
            false,
            36,
            360,
            p => p.SwitchReach,
            (p, v) => p with { SwitchReach = v }
        ),
        Choice(
            "ceilingLights",
            "Boxes",
            "Ceiling lights",
            "One fixture or rows.",
            false,
            p => p.CeilingLights,
            (p, v) => p with { CeilingLights = v },
            "recessed in kitchens, laundries and halls",
            "recessed in all living spaces",
            "fixtures on the surface"
        ),
        Distance(
            "recessedSpacing",
            "Boxes",
            "Recessed lights apart",
            "In a row, at most.",
            false,
            24,
            144,
            p => p.RecessedSpacing,
            (p, v) => p with { RecessedSpacing = v }
        ),
        Distance(
            "receptacleBottom",
            "Boxes",
            "Bottom of receptacle boxes",
            "Over the floor.",
            false,
            0,
            60,
            p => p.ReceptacleBottom,
            (p, v) => p with { ReceptacleBottom = v }
        ),
        Distance(
            "switchCentre",
            "Boxes",
            "Centre of switches",
            "Over the floor.",
            false,
            24,
            72,
            p => p.SwitchCentre,
            (p, v) => p with { SwitchCentre = v }
        ),
        Distance(
            "counterCentre",
            "Boxes",
            "Centre of counter receptacles",
            "Over the floor.",
            false,
            36,
            60,
            p => p.CounterCentre,
            (p, v) => p with { CounterCentre = v }
        ),
        Words(
            "mark15",
            "Boxes",
            "Mark on 15 A boxes",
            "Such as a colour; empty marks nothing.",
            p => p.Mark15,
            (p, v) => p with { Mark15 = v }
        ),
        Words(
            "markLarger",
            "Boxes",
            "Mark on larger circuits' boxes",
            "Such as a colour; empty marks nothing.",
            p => p.MarkLarger,
            (p, v) => p with { MarkLarger = v }
        ),
        Choice(
            "roughTesting",
            "Panel",
            "Before the walls close",
            "A nail through a cable is cheap to mend now; in some places nothing may be connected before the inspection.",
            false,
            p => p.RoughTesting,
            (p, v) => p with { RoughTesting = v },
            "test the cables dead, connect after the inspection",
            "temporary power and a live test"
        ),
        Choice(
            "largeAppliances",
            "Panel",
            "Large appliances beside a sub-panel",
            "Those of 240 V; in the main panel they do not load the feeder.",
            false,
            p => p.LargeAppliances,
            (p, v) => p with { LargeAppliances = v },
            "in the main panel",
            "in the nearest panel"
        ),
        Choice(
            "panelOrder",
            "Panel",
            "Panel order",
            "Two-pole breakers come first in all but the second.",
            false,
            p => p.PanelOrder,
            (p, v) => p with { PanelOrder = v },
            "largest first",
            "by circuit number",
            "by room",
            "protection devices together"
        ),
        Choice(
            "circuitNumbers",
            "Panel",
            "Numbers of circuits",
            "Given when a circuit is first laid out, and kept; a panel after the first counts from 100.",
            false,
            p => p.CircuitNumbers,
            (p, v) => p with { CircuitNumbers = v },
            "the space of its breaker",
            "in order, as they are pulled"
        ),
        Choice(
            "legBalance",
            "Panel",
            "Legs in balance by",
            "All that is connected is what the schedule adds up; what runs on an ordinary evening is what the neutral feels.",
            false,
            p => p.LegBalance,
            (p, v) => p with { LegBalance = v },
            "connected load",
            "expected load"
        ),
        Distance(
            "panelTop",
            "Panel",
            "Top of a panel",
            "Checked against the highest handle.",
            false,
            36,
            84,
            p => p.PanelTop,
            (p, v) => p with { PanelTop = v }
        ),
        Whole(
            "sparePercent",
            "Panel",
            "Spare spaces, percent",
            "Of all spaces; a count below goes before it.",
            false,
            0,
            80,
            p => p.SparePercent,
            (p, v) => p with { SparePercent = v }
        ),
        Count(
            "spareSpaces",
            "Panel",
            "Spare spaces, count",
            "Empty goes by the percentage; 0 wants none.",
            0,
            80,
            p => p.SpareSpaces,
            (p, v) => p with { SpareSpaces = v }
        ),
        Choice(
            "serviceMethod",
            "Panel",
            "Service load by",
            "Both are always shown.",
            false,
            p => p.ServiceMethod,
            (p, v) => p with { ServiceMethod = v },
            "the optional method",
            "the standard method"
        ),
        .. Weight("cableFoot", "A foot of cable, cents", w => w.CableFoot, (w, v) => w with { CableFoot = v }),
        .. Weight("circuit", "A circuit, cents", w => w.Circuit, (w, v) => w with { Circuit = v }),
        .. Weight("room", "Each room beyond the first, cents", w => w.Room, (w, v) => w with { Room = v }),
        .. Weight("storey", "Each storey beyond the first, cents", w => w.Storey, (w, v) => w with { Storey = v }),
        .. Weight("zone", "Each zone rule broken, cents", w => w.Zone, (w, v) => w with { Zone = v }),
        .. Weight("zoneSqFt", "Floor area of a light circuit, sq ft", w => w.ZoneSqFt, (w, v) => w with { ZoneSqFt = v }),
        .. Weight("sqFtOver", "Each square foot beyond that, cents", w => w.SqFtOver, (w, v) => w with { SqFtOver = v }),
        .. Weight("use", "Each further use among a light circuit's rooms, cents", w => w.Use, (w, v) => w with { Use = v }),
        .. Weight("margin", "Each outlet past four fifths, cents", w => w.Margin, (w, v) => w with { Margin = v }),
        .. Weight(
            "feederAmpFoot",
            "Each ampere on each foot of a feeder, cents",
            w => w.FeederAmpFoot,
            (w, v) => w with { FeederAmpFoot = v }
        ),
        .. Weight("heavy", "Each heavy user beside another, cents", w => w.Heavy, (w, v) => w with { Heavy = v }),
        .. Weight("hole", "One more hole for a cable, cents", w => w.Hole, (w, v) => w with { Hole = v }),
        .. Weight("moved", "Each outlet moved, cents", w => w.Moved, (w, v) => w with { Moved = v }),
    ];

    /// <summary>Preferences with what was typed for some of them; none with a sentence when one is wrong.</summary>
    /// <param name="from">Keeps what nothing was typed for.</param>
    /// <param name="typed">Text by key; what is no preference is passed over.</param>
    public static (Preferences? Preferences, string Problem) WriteAll(Preferences from, IReadOnlyDictionary<string, string> typed)
    {
        foreach (var field in All.Where(f => typed.ContainsKey(f.Key)))
        {
            var (written, problem) = field.Write(from, typed[field.Key]);
            if (written is null)
                return (null, problem);
            from = written;
        }

        return (from, "");
    }

    /// <summary>The field with a key, or none.</summary>
    public static PreferenceField? Find(string key) => ByKey.GetValueOrDefault(key);

    /// <summary>The preferences of one circuit: the job's with its own over them.</summary>
    public static Preferences Of(Job job, Circuit circuit)
    {
        if (circuit.Preferences is not { } own)
            return job.Preferences;
        return own.Aggregate(job.Preferences, (p, o) =>
            ByKey.TryGetValue(o.Key, out var field) && field.PerCircuit ? field.Write(p, o.Value).Preferences ?? p : p
        );
    }

    private static readonly ImmutableDictionary<string, PreferenceField> ByKey = All.ToImmutableDictionary(f => f.Key);

    private enum Answer
    {
        No,
        Yes,
    }

    // What of the methods anybody may want.
    private enum OutsideWays
    {
        PvcConduit,
        RigidConduit,
        DirectBurial,
    }

    private enum Terminals
    {
        C60,
        C75,
    }

    private static Answer Yes(bool value) => value ? Answer.Yes : Answer.No;

    private static string Word<T>(T value)
        where T : struct, Enum => JsonNamingPolicy.KebabCaseLower.ConvertName(value.ToString());

    private static PreferenceField Choice<T>(
        string key,
        string group,
        string title,
        string why,
        bool perCircuit,
        Func<Preferences, T> read,
        Func<Preferences, T, Preferences> write,
        params string[] words
    )
        where T : struct, Enum
    {
        var values = Enum.GetValues<T>();
        return new(
            key,
            group,
            title,
            why,
            perCircuit,
            [.. values.Select((v, i) => (Word(v), words[i]))],
            p => Word(read(p)),
            (p, text) =>
            {
                var at = Array.FindIndex(values, v => Word(v) == text);
                return at < 0 ? (null, $"{title}: choose one of the list.") : (write(p, values[at]), "");
            }
        );
    }

    private static PreferenceField Whole(
        string key,
        string group,
        string title,
        string why,
        bool perCircuit,
        int least,
        int most,
        Func<Preferences, int> read,
        Func<Preferences, int, Preferences> write
    ) =>
        new(
            key,
            group,
            title,
            why,
            perCircuit,
            [],
            p => read(p).ToString(CultureInfo.InvariantCulture),
            (p, text) =>
                int.TryParse(text, NumberStyles.AllowLeadingSign, CultureInfo.InvariantCulture, out var value)
                && value >= least
                && value <= most
                    ? (write(p, value), "")
                    : (null, $"{title}: type a whole number from {least} to {most}.")
        );

    private static PreferenceField Count(
        string key,
        string group,
        string title,
        string why,
        int least,
        int most,
        Func<Preferences, int?> read,
        Func<Preferences, int?, Preferences> write
    ) =>
        new(
            key,
            group,
            title,
            why,
            false,
            [],
            p => read(p)?.ToString(CultureInfo.InvariantCulture) ?? "",
            (p, text) =>
                text.Length == 0 ? (write(p, null), "")
                : int.TryParse(text, NumberStyles.AllowLeadingSign, CultureInfo.InvariantCulture, out var value)
                && value >= least
                && value <= most
                    ? (write(p, value), "")
                : (null, $"{title}: type a whole number from {least} to {most}, or nothing.")
        );

    private static PreferenceField Distance(
        string key,
        string group,
        string title,
        string why,
        bool perCircuit,
        double leastIn,
        double mostIn,
        Func<Preferences, Length> read,
        Func<Preferences, Length, Preferences> write
    ) =>
        new(
            key,
            group,
            title,
            why,
            perCircuit,
            [],
            p => LengthText.Print(read(p)),
            (p, text) =>
                Parse(title, text, leastIn, mostIn) switch
                {
                    (null, var problem) => (null, problem),
                    ({ } length, _) => (write(p, length), ""),
                }
        );

    private static PreferenceField Optional(
        string key,
        string group,
        string title,
        string why,
        double leastIn,
        double mostIn,
        Func<Preferences, Length?> read,
        Func<Preferences, Length?, Preferences> write
    ) =>
        new(
            key,
            group,
            title,
            why,
            false,
            [],
            p => read(p) is { } length ? LengthText.Print(length) : "",
            (p, text) =>
                text.Trim().Length == 0
                    ? (write(p, null), "")
                    : Parse(title, text, leastIn, mostIn) switch
                    {
                        (null, var problem) => (null, problem),
                        ({ } length, _) => (write(p, length), ""),
                    }
        );

    private static PreferenceField Words(
        string key,
        string group,
        string title,
        string why,
        Func<Preferences, string> read,
        Func<Preferences, string, Preferences> write
    ) =>
        new(key, group, title, why, false, [], read, (p, text) =>
            text.Length > 20 || text.Any(char.IsControl)
                ? (null, $"{title}: 20 characters of plain text at most.")
                : (write(p, text.Trim()), "")
        );

    private static ImmutableArray<PreferenceField> Divisions =>
        [
            Choice(
                "lights",
                "Circuits",
                "Lights",
                "A zone is a few rooms that touch; two light circuits on each storey at least.",
                false,
                p => p.Division.Lights,
                (p, v) => p with { Division = p.Division with { Lights = v } },
                "by zones",
                "by storeys"
            ),
            Choice(
                "bedrooms",
                "Circuits",
                "Bedrooms on a receptacle circuit",
                "Vacuum, iron and heater come together in bedrooms.",
                false,
                p => p.Division.Bedrooms,
                (p, v) => p with { Division = p.Division with { Bedrooms = v } },
                "two at most",
                "each its own",
                "the main one alone"
            ),
            Choice(
                "baths",
                "Circuits",
                "Full baths",
                "Two hair dryers are more than one circuit holds; a half bath may join.",
                false,
                p => p.Division.Baths,
                (p, v) => p with { Division = p.Division with { Baths = v } },
                "each its own circuit",
                "two on a storey together"
            ),
            Choice(
                "outdoor",
                "Circuits",
                "Receptacles outside",
                "More than 40 ft from the others one is fed from inside, with its own reset.",
                false,
                p => p.Division.Outdoor,
                (p, v) => p with { Division = p.Division with { Outdoor = v } },
                "near ones together, far ones from inside",
                "all on one circuit"
            ),
            Choice(
                "island",
                "Circuits",
                "Kitchen island",
                "Both are small-appliance circuits.",
                false,
                p => p.Division.Island,
                (p, v) => p with { Division = p.Division with { Island = v } },
                "with a counter",
                "with the dining walls"
            ),
            Choice(
                "doorOperator",
                "Circuits",
                "Garage door operator",
                "Alone, a tripped garage circuit still lets the car out.",
                false,
                p => p.Division.DoorOperator,
                (p, v) => p with { Division = p.Division with { DoorOperator = v } },
                "with the garage",
                "by itself"
            ),
            Choice(
                "alarms",
                "Circuits",
                "Smoke alarms",
                "With lights, somebody notices when their circuit is dead.",
                false,
                p => p.Division.Alarms,
                (p, v) => p with { Division = p.Division with { Alarms = v } },
                "with hall or bedroom lights",
                "on a circuit of their own"
            ),
        ];

    private static ImmutableArray<PreferenceField> Weight(
        string key,
        string title,
        Func<PlanWeights, int> read,
        Func<PlanWeights, int, PlanWeights> write
    ) =>
        [
            Whole(
                $"weight.{key}",
                "What the circuit planner weighs",
                title,
                "An estimate of labour and material; none of them is a rule.",
                false,
                0,
                PlanWeights.Most,
                p => read(p.Weights),
                (p, v) => p with { Weights = write(p.Weights, v) }
            ),
        ];

    private static (Length? Length, string Problem) Parse(string title, string text, double leastIn, double mostIn)
    {
        if (!LengthText.TryParse(text, out var length, out var why))
            return (null, $"{title}: {why}");
        var (least, most) = (Length.Inches(leastIn), Length.Inches(mostIn));
        return length >= least && length <= most
            ? (length, "")
            : (null, $"{title}: {LengthText.Show(length)} is outside {LengthText.Show(least)} to {LengthText.Show(most)}.");
    }
}
