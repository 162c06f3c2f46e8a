using System.Collections.Immutable;

namespace Circuitum.Core.Jobs;

// The preferences under "Cable".
public static partial class PreferenceFields
{
    private static ImmutableArray<PreferenceField> CableFields =>
        [
            Choice(
                "homeRunUpsize",
                "Cable",
                "Home run one size up",
                "The breaker still follows the smallest wire.",
                true,
                p => p.HomeRunUpsize,
                (p, v) => p with { HomeRunUpsize = v },
                (HomeRunUpsize.Off, "never"),
                (HomeRunUpsize.WhenDropAsks, "when voltage drop asks for it"),
                (HomeRunUpsize.Always, "always, on general circuits")
            ),
            Choice(
                "twoCircuitHomeRuns",
                "Cable",
                "Two-circuit home runs",
                "A shared neutral needs breakers that open together, on opposite legs.",
                false,
                p => p.TwoCircuitHomeRuns,
                (p, v) => p with { TwoCircuitHomeRuns = v },
                (TwoCircuitHomeRuns.Never, "never, but suggest them"),
                (TwoCircuitHomeRuns.SharedNeutral, "shared neutral, three-wire"),
                (TwoCircuitHomeRuns.TwoNeutrals, "two neutrals, four-wire")
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
                (ChainBy.Cheapest, "whichever is shorter"),
                (ChainBy.ThroughStuds, "through the studs at box height"),
                (ChainBy.UpAndOver, "up, over and down")
            ),
            Choice(
                "runBy",
                "Cable",
                "Home runs by",
                "Where several are open.",
                false,
                p => p.RunBy,
                (p, v) => p with { RunBy = v },
                (RunBy.Shorter, "whichever is shorter"),
                (RunBy.Overhead, "the ceilings"),
                (RunBy.Underfloor, "the floor where there is room below")
            ),
            Choice(
                "switchLoops",
                "Cable",
                "Power of switched lights",
                "At the switch first, the neutral is there without a third wire.",
                true,
                p => p.SwitchLoops,
                (p, v) => p with { SwitchLoops = v },
                (SwitchLoops.SwitchFirst, "to the switch first"),
                (SwitchLoops.LightFirst, "to the light first")
            ),
            Choice(
                "alarmJoin",
                "Cable",
                "Smoke alarms joined",
                "All sound when one does ({box.alarmJoined}).",
                false,
                p => p.AlarmJoin,
                (p, v) => p with { AlarmJoin = v },
                (AlarmJoin.Wired, "by a third wire"),
                (AlarmJoin.Wireless, "by radio, as listed")
            ),
            Choice(
                "conduitPlace",
                "Cable",
                "Conduit in walls",
                "Straight up, down or level from a point, so that whoever drills later knows where it is; boxes go with it.",
                false,
                p => p.ConduitPlace,
                (p, v) => p with { ConduitPlace = v },
                (ConduitPlace.Chased, "chased, before the plaster"),
                (ConduitPlace.Surface, "on the surface")
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
                "Indoor cable is for dry places ({wire.outside}).",
                false,
                p => p.OutsideMethod,
                (p, v) => p with { OutsideMethod = v },
                (OutsideMethod.PvcConduit, "wires in PVC conduit"),
                (OutsideMethod.RigidConduit, "wires in rigid metal conduit"),
                (OutsideMethod.DirectBurial, "cable made for the ground")
            ),
            Whole(
                "cablesPerHole",
                "Cable",
                "Cables in one hole, most",
                "More than two through a sealed hole take from the ampacity ({wire.sheathed}).",
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
                "{stapleFromPlainBoxIn} without clamps, {stapleFromBoxIn} with them, at most ({wire.staple}).",
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
                "{stapleEveryIn} at most ({wire.staple}).",
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
                (HomeRunLabel.Plain, "number, cable, purpose"),
                (HomeRunLabel.WithBreaker, "with the breaker's size")
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
                )
                .InMetres("Bundled over 600 mm, or through one sealed hole."),
            Choice(
                "terminationC",
                "Cable",
                "Terminals rated",
                "The lower of the two ends counts.",
                true,
                p => p.TerminationC == 60 ? Terminals.C60 : Terminals.C75,
                (p, v) => p with { TerminationC = v == Terminals.C60 ? 60 : 75 },
                (Terminals.C60, "60 C"),
                (Terminals.C75, "75 C")
            ),
        ];
}
