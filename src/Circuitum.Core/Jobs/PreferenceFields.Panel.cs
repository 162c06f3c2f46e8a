using System.Collections.Immutable;

namespace Circuitum.Core.Jobs;

// The preferences under "Panel".
public static partial class PreferenceFields
{
    private static ImmutableArray<PreferenceField> PanelFields =>
        [
            Choice(
                "roughTesting",
                "Panel",
                "Before the walls close",
                "A nail through a cable is cheap to mend now; in some places nothing may be connected before the inspection.",
                false,
                p => p.RoughTesting,
                (p, v) => p with { RoughTesting = v },
                (RoughTesting.Dead, "test the cables dead, connect after the inspection"),
                (RoughTesting.Live, "temporary power and a live test")
            ),
            Choice(
                "largeAppliances",
                "Panel",
                "Large appliances beside a sub-panel",
                "Those with a two-pole breaker; in the main panel they do not load the feeder.",
                false,
                p => p.LargeAppliances,
                (p, v) => p with { LargeAppliances = v },
                (LargeAppliances.MainPanel, "in the main panel"),
                (LargeAppliances.NearestPanel, "in the nearest panel")
            ),
            Choice(
                "panelOrder",
                "Panel",
                "Panel order",
                "Two-pole breakers come first in all but the second.",
                false,
                p => p.PanelOrder,
                (p, v) => p with { PanelOrder = v },
                (PanelOrder.LargestFirst, "largest first"),
                (PanelOrder.ByNumber, "by circuit number"),
                (PanelOrder.ByRoom, "by room"),
                (PanelOrder.ProtectionTogether, "protection devices together")
            ),
            Choice(
                "circuitNumbers",
                "Panel",
                "Numbers of circuits",
                "Given when a circuit is first laid out, and kept; a panel after the first counts from 100.",
                false,
                p => p.CircuitNumbers,
                (p, v) => p with { CircuitNumbers = v },
                (NumberBy.Space, "the space of its breaker"),
                (NumberBy.Order, "in order, as they are pulled")
            ),
            Choice(
                "legBalance",
                "Panel",
                "Legs in balance by",
                "All that is connected is what the schedule adds up; what runs on an ordinary evening is what the neutral feels.",
                false,
                p => p.LegBalance,
                (p, v) => p with { LegBalance = v },
                (LegBalanceBy.Connected, "connected load"),
                (LegBalanceBy.Expected, "expected load")
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
                (ServiceMethod.Optional, "the optional method"),
                (ServiceMethod.Standard, "the standard method")
            ),
        ];
}
