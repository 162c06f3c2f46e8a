using System.Collections.Immutable;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Jobs;

// The preferences under "Weights".
public static partial class PreferenceFields
{
    private static ImmutableArray<PreferenceField> Weights =>
        [
            .. Weight(
                "cableFoot",
                "A foot of cable, cents",
                w => w.CableFoot,
                (w, v) => w with { CableFoot = v },
                ("A metre of cable, cents", Feet)
            ),
            .. Weight("circuit", "A circuit, cents", w => w.Circuit, (w, v) => w with { Circuit = v }),
            .. Weight("room", "Each room beyond the first, cents", w => w.Room, (w, v) => w with { Room = v }),
            .. Weight("storey", "Each storey beyond the first, cents", w => w.Storey, (w, v) => w with { Storey = v }),
            .. Weight("zone", "Each zone rule broken, cents", w => w.Zone, (w, v) => w with { Zone = v }),
            .. Weight(
                "zoneSqFt",
                "Floor area of a light circuit, sq ft",
                w => w.ZoneSqFt,
                (w, v) => w with { ZoneSqFt = v },
                ("Floor area of a light circuit, m\u00b2", 1 / (Feet * Feet))
            ),
            .. Weight(
                "sqFtOver",
                "Each square foot beyond that, cents",
                w => w.SqFtOver,
                (w, v) => w with { SqFtOver = v },
                ("Each square metre beyond that, cents", Feet * Feet)
            ),
            .. Weight("use", "Each further use among a light circuit's rooms, cents", w => w.Use, (w, v) => w with { Use = v }),
            .. Weight("margin", "Each outlet past four fifths, cents", w => w.Margin, (w, v) => w with { Margin = v }),
            .. Weight(
                "feederAmpFoot",
                "Each ampere on each foot of a feeder, cents",
                w => w.FeederAmpFoot,
                (w, v) => w with { FeederAmpFoot = v },
                ("Each ampere on each metre of a feeder, cents", Feet)
            ),
            .. Weight("heavy", "Each heavy user beside another, cents", w => w.Heavy, (w, v) => w with { Heavy = v }),
            .. Weight("hole", "One more hole for a cable, cents", w => w.Hole, (w, v) => w with { Hole = v }),
            .. Weight("moved", "Each outlet moved, cents", w => w.Moved, (w, v) => w with { Moved = v }),
        ];

    // So many feet are a metre.
    private const double Feet = 1 / LengthText.MetresInFoot;

    private static ImmutableArray<PreferenceField> Weight(
        string key,
        string title,
        Func<PlanWeights, int> read,
        Func<PlanWeights, int, PlanWeights> write,
        (string Title, double Factor)? metric = null
    )
    {
        var field = Whole(
            $"weight.{key}",
            "What the circuit planner weighs",
            title,
            "An estimate of labour and material; none of them is a rule.",
            false,
            0,
            PlanWeights.Most,
            p => read(p.Weights),
            (p, v) => p with { Weights = write(p.Weights, v) }
        );
        return [metric is { } told ? field.InMetres(told.Title, told.Factor, read, write) : field];
    }
}
