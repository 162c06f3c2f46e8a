using System.Collections.Immutable;

namespace Circuitum.Core.Jobs;

// The preferences under "Boxes".
public static partial class PreferenceFields
{
    private static ImmutableArray<PreferenceField> BoxFields =>
        [
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
                (CeilingLights.RecessedWhereOneWorks, "recessed in kitchens, laundries and halls"),
                (CeilingLights.RecessedThroughout, "recessed in all living spaces"),
                (CeilingLights.Surface, "fixtures on the surface")
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
        ];
}
