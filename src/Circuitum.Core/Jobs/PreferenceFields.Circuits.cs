using System.Collections.Immutable;

namespace Circuitum.Core.Jobs;

// The preferences under "Circuits".
public static partial class PreferenceFields
{
    private static ImmutableArray<PreferenceField> CircuitFields =>
        [
            Choice(
                "lightsAndReceptacles",
                "Circuits",
                "Lights and receptacles",
                "Apart, a tripped receptacle circuit leaves light to work by.",
                false,
                p => p.LightsAndReceptacles,
                (p, v) => p with { LightsAndReceptacles = v },
                (LightsAndReceptacles.Separate, "circuits of their own"),
                (LightsAndReceptacles.Mixed, "mixed by room")
            ),
            Choice(
                "generalWire",
                "Circuits",
                "Wire for general use",
                "The breaker follows the smallest wire on the circuit.",
                true,
                p => p.GeneralWire,
                (p, v) => p with { GeneralWire = v },
                (GeneralWire.TwelveForReceptacles, "12 AWG, 20 A for receptacles; 14 AWG, 15 A for lights"),
                (GeneralWire.FourteenThroughout, "14 AWG, 15 A throughout"),
                (GeneralWire.TwelveThroughout, "12 AWG, 20 A throughout")
            ),
            Choice(
                "counterReceptacles",
                "Circuits",
                "Over kitchen counters",
                "A split one gives two cooks a line each; it takes three wires and both poles of a breaker ({circuit.smallAppliance}).",
                false,
                p => p.CounterReceptacles,
                (p, v) => p with { CounterReceptacles = v },
                (CounterReceptacles.TwentyAmpere, "receptacles of 20 A on two wires"),
                (CounterReceptacles.Split, "split receptacles of 15 A on three wires")
            ),
            Whole(
                "receptaclesPer15",
                "Circuits",
                "Receptacles on 15 A, most",
                "A planning figure; where the rules count outlets, their number holds too.",
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
                "A planning figure; where the rules count outlets, their number holds too.",
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
                (Answer.No, "one circuit each"),
                (Answer.Yes, "shared when the sum fits")
            ),
            Choice(
                "dishwasherContinuous",
                "Circuits",
                "Long dishwasher programmes",
                "Continuous load counts at 125 percent.",
                false,
                p => Yes(p.DishwasherContinuous),
                (p, v) => p with { DishwasherContinuous = v == Answer.Yes },
                (Answer.No, "not continuous"),
                (Answer.Yes, "continuous")
            ),
            Choice(
                "refrigeratorAlone",
                "Circuits",
                "Refrigerator",
                "Alone, nothing else can trip it.",
                false,
                p => Yes(p.RefrigeratorAlone),
                (p, v) => p with { RefrigeratorAlone = v == Answer.Yes },
                (Answer.No, "on a small-appliance circuit"),
                (Answer.Yes, "a circuit of its own")
            ),
        ];

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
                (LightsBy.Zone, "by zones"),
                (LightsBy.Storey, "by storeys")
            ),
            Choice(
                "bedrooms",
                "Circuits",
                "Bedrooms on a receptacle circuit",
                "Vacuum, iron and heater come together in bedrooms.",
                false,
                p => p.Division.Bedrooms,
                (p, v) => p with { Division = p.Division with { Bedrooms = v } },
                (BedroomsBy.Two, "two at most"),
                (BedroomsBy.One, "each its own"),
                (BedroomsBy.MainAlone, "the main one alone")
            ),
            Choice(
                "baths",
                "Circuits",
                "Full baths",
                "Two hair dryers are more than one circuit holds; a half bath may join.",
                false,
                p => p.Division.Baths,
                (p, v) => p with { Division = p.Division with { Baths = v } },
                (BathsBy.Apart, "each its own circuit"),
                (BathsBy.Together, "two on a storey together")
            ),
            Choice(
                    "outdoor",
                    "Circuits",
                    "Receptacles outside",
                    "More than 40 ft from the others one is fed from inside, with its own reset.",
                    false,
                    p => p.Division.Outdoor,
                    (p, v) => p with { Division = p.Division with { Outdoor = v } },
                    (OutdoorCircuit.Nearest, "near ones together, far ones from inside"),
                    (OutdoorCircuit.One, "all on one circuit")
                )
                .InMetres("More than 12 m from the others one is fed from inside, with its own reset."),
            Choice(
                "island",
                "Circuits",
                "Kitchen island",
                "Both are small-appliance circuits.",
                false,
                p => p.Division.Island,
                (p, v) => p with { Division = p.Division with { Island = v } },
                (IslandWith.Counter, "with a counter"),
                (IslandWith.Dining, "with the dining walls")
            ),
            Choice(
                "doorOperator",
                "Circuits",
                "Garage door operator",
                "Alone, a tripped garage circuit still lets the car out.",
                false,
                p => p.Division.DoorOperator,
                (p, v) => p with { Division = p.Division with { DoorOperator = v } },
                (DoorOperator.WithGarage, "with the garage"),
                (DoorOperator.Alone, "by itself")
            ),
            Choice(
                "alarms",
                "Circuits",
                "Smoke alarms",
                "With lights, somebody notices when their circuit is dead.",
                false,
                p => p.Division.Alarms,
                (p, v) => p with { Division = p.Division with { Alarms = v } },
                (AlarmsWith.Lights, "with hall or bedroom lights"),
                (AlarmsWith.Alone, "on a circuit of their own")
            ),
        ];
}
