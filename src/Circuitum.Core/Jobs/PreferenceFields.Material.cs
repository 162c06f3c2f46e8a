using System.Collections.Immutable;

namespace Circuitum.Core.Jobs;

// The preferences under "Material and money".
public static partial class PreferenceFields
{
    private const string Material = "Material and money";

    private static ImmutableArray<PreferenceField> MaterialFields =>
        [
            Choice(
                "wireJoins",
                Material,
                "Wires joined",
                "Connectors are counted splice by splice.",
                false,
                p => p.WireJoins,
                (p, v) => p with { WireJoins = v },
                (WireJoins.TwistOn, "twist-on, by size"),
                (WireJoins.Ports, "push-in or lever, by ports")
            ),
            Choice(
                "groundJoins",
                Material,
                "Grounds joined",
                "A green one lets one wire through as the tail.",
                false,
                p => p.GroundJoins,
                (p, v) => p with { GroundJoins = v },
                (GroundJoins.AsOthers, "like other wires"),
                (GroundJoins.Green, "green connectors with a hole"),
                (GroundJoins.Sleeve, "crimped sleeves")
            ),
            Choice(
                "deviceFaces",
                Material,
                "Devices and plates",
                "Decides the openings of the plates.",
                false,
                p => p.DeviceFaces,
                (p, v) => p with { DeviceFaces = v },
                (DeviceFaces.Classic, "toggles and duplex faces"),
                (DeviceFaces.Rectangular, "rectangular throughout")
            ),
            Distance(
                "uselessLeftover",
                Material,
                "Leftover of no use under",
                "What is longer goes to the next job.",
                false,
                0,
                100 * 12,
                p => p.UselessLeftover,
                (p, v) => p with { UselessLeftover = v }
            ),
            Figure(
                "hourRate",
                Material,
                "An hour of one person, dollars",
                "As it is charged.",
                1000,
                p => p.HourRate,
                (p, v) => p with { HourRate = v }
            ),
            Figure(
                "markUpPercent",
                Material,
                "Mark-up on material, percent",
                "Added to what it costs.",
                300,
                p => p.MarkUpPercent,
                (p, v) => p with { MarkUpPercent = v }
            ),
            Figure(
                "taxPercent",
                Material,
                "Sales tax on material, percent",
                "On its price with the mark-up; 0 where there is none.",
                30,
                p => p.TaxPercent,
                (p, v) => p with { TaxPercent = v }
            ),
            Figure(
                "permitFee",
                Material,
                "Permits and inspections, dollars",
                "A line of its own in the estimate.",
                100000,
                p => p.PermitFee,
                (p, v) => p with { PermitFee = v }
            ),
            Figure(
                "contingencyPercent",
                Material,
                "For what nobody foresees, percent",
                "Of material and labour.",
                100,
                p => p.ContingencyPercent,
                (p, v) => p with { ContingencyPercent = v }
            ),
        ];
}
