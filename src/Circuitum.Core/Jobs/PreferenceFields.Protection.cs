using System.Collections.Immutable;

namespace Circuitum.Core.Jobs;

// The preferences under "Protection".
public static partial class PreferenceFields
{
    private static ImmutableArray<PreferenceField> ProtectionFields =>
        [
            Choice(
                "groundFault",
                "Protection",
                "Ground-fault protection",
                "In the first receptacle where one is in reach; circuits that need arc-fault protection too go by the line below.",
                true,
                p => p.GroundFault,
                (p, v) => p with { GroundFault = v },
                (ProtectionPlace.Breaker, "breaker"),
                (ProtectionPlace.FirstReceptacle, "first receptacle of the chain")
            ),
            Choice(
                "arcFault",
                "Protection",
                "Arc-fault protection",
                "In the first outlet only with a metal home run and a metal box there; else the breaker is taken.",
                true,
                p => p.ArcFault,
                (p, v) => p with { ArcFault = v },
                (ArcFaultPlace.Breaker, "combination breaker"),
                (ArcFaultPlace.FirstOutlet, "first outlet where the home run qualifies")
            ),
            Choice(
                "bothKinds",
                "Protection",
                "Both kinds at once",
                "Two devices tell which of them tripped; one is quicker to wire.",
                true,
                p => p.BothKinds,
                (p, v) => p with { BothKinds = v },
                (BothKinds.DualFunction, "dual-function breaker"),
                (BothKinds.BreakerAndReceptacle, "arc-fault breaker and ground-fault receptacle")
            ),
            Choice(
                "homeRunMethod",
                "Protection",
                "Home runs of",
                "Metal qualifies for an arc-fault device in the first outlet.",
                true,
                p => p.HomeRunMethod,
                (p, v) => p with { HomeRunMethod = v },
                (HomeRunMethod.Sheathed, "nonmetallic-sheathed cable"),
                (HomeRunMethod.Metal, "metal-clad or armored cable, or steel raceway")
            ),
            Choice(
                "connections",
                "Protection",
                "Receptacle connections",
                "Changes what goes dead when one device fails.",
                true,
                p => p.Connections,
                (p, v) => p with { Connections = v },
                (Connections.Pigtail, "pigtail"),
                (Connections.FeedThrough, "feed through the device")
            ),
        ];
}
